import { ChangeDetectionStrategy, Component, inject } from '@angular/core';
import { LucidePlay } from '@lucide/angular';
import { NzButtonComponent } from 'ng-zorro-antd/button';
import { ShellFilm } from './shell-film';

/** Opens the film of the shell, on the section itself. */
@Component({
  selector: 'ks-film-button',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [LucidePlay, NzButtonComponent],
  template: `
    @if (film.failed()) {
      <span role="status">The computation gave no answer; nothing is lost. Try again in a moment.</span>
    }
    <button nz-button type="button" (click)="open()" [disabled]="film.waiting()">
      <svg lucidePlay size="15" aria-hidden="true"></svg>
      {{ film.waiting() ? 'Working out the film…' : 'Watch it run and set' }}
    </button>
  `,
  styles: `
    :host {
      position: absolute;
      right: 0;
      bottom: 4px;
      display: flex;
      gap: 10px;
      align-items: center;
      font-size: 12.5px;
      color: var(--soft);
    }
    button {
      display: inline-flex;
      gap: 7px;
      align-items: center;
      border-radius: 18px;
      padding: 0 14px 0 11px;
      font-size: 13.5px;
    }
    @media (max-width: 900px) {
      button {
        height: 44px;
        border-radius: 22px;
      }
    }
  `,
})
export class FilmButton {
  protected readonly film = inject(ShellFilm);

  protected open(): void {
    void this.film.open();
  }
}
