import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { LucidePause, LucidePlay } from '@lucide/angular';
import { NzButtonComponent } from 'ng-zorro-antd/button';
import { PlanService } from '../../state/plan-service';
import { Units } from '../../state/units';
import { clockText, phaseText, speedText } from '../../wording/film';
import { text } from '../../wording/format';
import { PICTURES_A_SECOND, ShellFilm } from './shell-film';
import { Tool } from '../../ui/tool';

/** Plays the film of the shell and moves through it by hand. */
@Component({
  selector: 'ks-film-bar',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [LucidePause, LucidePlay, NzButtonComponent, Tool],
  template: `
    @if (film.frame(); as frame) {
      <div class="row">
        <button
          nz-button
          type="button"
          class="play"
          (click)="film.toggle()"
          [ksTool]="film.playing() ? 'Pause' : 'Play'"
        >
          @if (film.playing()) {
            <svg lucidePause size="16" aria-hidden="true"></svg>
          } @else {
            <svg lucidePlay size="16" aria-hidden="true"></svg>
          }
        </button>
        <input
          type="range"
          min="0"
          [max]="film.frames().length - 1"
          step="1"
          [value]="film.index()"
          (input)="show($event)"
          aria-label="Time"
          [attr.aria-valuetext]="clock() + ', ' + phase()"
        />
        <output>{{ clock() }}</output>
        <button nz-button nzType="link" type="button" (click)="film.close()">Back to the result</button>
      </div>
      <p>
        <strong>{{ phase() }}</strong>{{ frame.flows ? ', still running' : '' }}. Rim {{ length(frame.readings.rimM) }},
        wall {{ length(frame.readings.wallM) }}, base {{ length(frame.readings.baseM) }}.
        <span class="speed">{{ speed() }}</span>
      </p>
    }
  `,
  styleUrl: './film-bar.less',
})
export class FilmBar {
  protected readonly film = inject(ShellFilm);
  private readonly plans = inject(PlanService);
  private readonly units = inject(Units);
  protected readonly clock = computed(() => clockText(this.film.frame()?.seconds ?? 0));
  protected readonly phase = computed(() => {
    const frame = this.film.frame();
    const made = this.plans.draft()?.coatsMade;
    return frame && made ? phaseText(frame, made[Math.min(frame.coat, made.length - 1)]) : '';
  });
  protected readonly speed = computed(() => {
    const frames = this.film.frames();
    const i = Math.min(this.film.index(), frames.length - 2);
    if (i < 0) return '';
    return `Shown ${speedText((frames[i + 1].seconds - frames[i].seconds) * PICTURES_A_SECOND)}.`;
  });

  protected length(m: number): string {
    return text(m, 'length', this.units.system());
  }

  protected show(event: Event): void {
    this.film.show(Number((event.target as HTMLInputElement).value));
  }
}
