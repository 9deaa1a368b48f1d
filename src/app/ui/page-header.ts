import { ChangeDetectionStrategy, Component, effect, inject, input } from '@angular/core';
import { Title } from '@angular/platform-browser';
import { RouterLink } from '@angular/router';
import { LucideChevronLeft } from '@lucide/angular';

/** Head of a page that belongs to another one: the way back, what the page is for and of what; its own tools beside them. Names the browser's tab too. */
@Component({
  selector: 'ks-page-header',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [LucideChevronLeft, RouterLink],
  template: `
    <a class="back" [routerLink]="back()" [attr.aria-label]="backLabel()"
      ><svg lucideChevronLeft [size]="20" aria-hidden="true"></svg
    ></a>
    <h1>
      {{ heading() }}
      @if (of()) {
        <span>{{ of() }}</span>
      }
    </h1>
    <ng-content />
  `,
  styles: `
    :host {
      display: flex;
      align-items: center;
      gap: 10px;
      padding: 12px 28px 12px 16px;
      border-bottom: 1px solid var(--rule);
    }
    .back {
      width: 40px;
      height: 40px;
      display: grid;
      place-items: center;
      color: var(--soft);
      border-radius: 6px;
    }
    .back:hover {
      background: var(--panel);
      color: var(--ink);
    }
    h1 {
      font: 700 24px/1.2 var(--answer);
      flex: 1;
      min-width: 0;
      overflow-wrap: anywhere;
    }
    span {
      color: var(--soft);
      font-weight: 500;
      font-size: 17px;
      margin-left: 8px;
    }
    @media (max-width: 900px) {
      :host {
        padding: 10px 12px;
        flex-wrap: wrap;
      }
      h1 {
        flex-basis: calc(100% - 60px);
      }
      span {
        display: block;
        margin: 0;
        font-size: 14px;
      }
      .back {
        width: 44px;
        height: 44px;
      }
    }
  `,
})
export class PageHeader {
  readonly heading = input.required<string>();
  /** The record it is about, where that is not in the heading. */
  readonly of = input('');
  readonly back = input.required<readonly string[]>();
  readonly backLabel = input.required<string>();

  constructor() {
    const titles = inject(Title);
    effect(() => titles.setTitle(`${this.heading()}${this.of() ? `, ${this.of()}` : ''} · Kilnstone`));
  }
}
