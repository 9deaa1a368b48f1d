import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';

/** The scale goes from half to twice, in the middle of it what was assumed. */
const END = Math.log(2);
const WIDE = 200;

/** A factor on what was assumed, with its likely range, on a scale from half to twice. It is told in words beside it. */
@Component({
  selector: 'ks-lesson-scale',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <svg viewBox="-6 0 212 34" aria-hidden="true">
      <path d="M0 14H200" class="scale" />
      <path d="M100 7V21" class="assumed" />
      <path [attr.d]="range()" class="range" />
      <circle [attr.cx]="at()" cy="14" r="5" />
      <text x="0" y="32">½</text>
      <text x="100" y="32" text-anchor="middle">as assumed</text>
      <text x="200" y="32" text-anchor="end">2 ×</text>
    </svg>
  `,
  styles: `
    svg {
      display: block;
      width: 212px;
    }
    path {
      fill: none;
    }
    .scale {
      stroke: var(--rule);
      stroke-width: 2;
    }
    .assumed {
      stroke: var(--soft);
      stroke-width: 1.5;
    }
    .range {
      stroke: var(--glaze);
      stroke-width: 5;
      stroke-linecap: round;
      opacity: 0.35;
    }
    circle {
      fill: var(--glaze);
    }
    text {
      font-size: 11px;
      fill: var(--soft);
    }
  `,
})
export class LessonScale {
  readonly factor = input.required<number>();
  readonly low = input.required<number>();
  readonly high = input.required<number>();
  protected readonly at = computed(() => place(this.factor()));
  protected readonly range = computed(() => `M${place(this.low())} 14H${place(this.high())}`);
}

const place = (factor: number): number => (WIDE / 2) * (1 + Math.max(-1, Math.min(1, Math.log(factor) / END)));
