import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import type { ComparedSide } from '../../core/study/ways';
import { Units } from '../state/units';
import { Figure } from '../ui/figure';
import { text } from '../wording/format';
import { coatShades } from '../drawing/coat-shades';
import { sectionGeometry } from '../drawing/section-geometry';

const WIDTH = 440;
const HEIGHT = 250;
const MARGIN = { top: 14, bottom: 26, left: 14, right: 14 };

/** One of two ways: its cut, its thickness, minutes, grams and chance of breaking. */
@Component({
  selector: 'ks-compare-side',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [Figure],
  template: `
    <svg viewBox="0 0 ${WIDTH} ${HEIGHT}" role="img" [attr.aria-label]="description()">
      <defs>
        <pattern id="compare-mold" width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <rect width="7" height="7" class="ground" />
          <path d="M0 0V7" class="hatch" />
        </pattern>
      </defs>
      <path [attr.d]="drawn().moldPath" fill="url(#compare-mold)" class="mold" />
      @for (path of drawn().coatPaths; track $index) {
        <path [attr.d]="path" [attr.fill]="shades()[$index]" class="coat" />
      }
      <text x="${WIDTH / 2}" y="${HEIGHT - 6}" text-anchor="middle">{{ scaleText() }}</text>
    </svg>
    <dl>
      @if (!plan().coat.body) {
        <dt>Rim</dt>
        <dd><ks-figure [answer]="plan().coat.total.rim" [strong]="true" /></dd>
        <dt>Wall</dt>
        <dd><ks-figure [answer]="plan().coat.total.wall" /></dd>
      }
      <dt>{{ plan().coat.body ? 'Deep' : 'Base' }}</dt>
      <dd><ks-figure [answer]="plan().coat.total.base" /></dd>
      <dt>Breaks when unmolded</dt>
      <dd><ks-figure [answer]="plan().coat.breakChance" [strong]="true" /></dd>
      <dt>Coating and setting, a round</dt>
      <dd class="big">{{ minutes() }}</dd>
      @for (coat of plan().chill.coats; track $index) {
        <dt class="sub">{{ next[coat.until] ?? 'to coat ' + ($index + 2) }}</dt>
        <dd><ks-figure [answer]="coat.stay" /></dd>
      }
      <dt>Chocolate in a part</dt>
      <dd><ks-figure [answer]="plan().coat.mass" [strong]="true" /></dd>
    </dl>
  `,
  styleUrl: './compare-side.less',
})
export class CompareSide {
  private readonly units = inject(Units);
  readonly plan = input.required<ComparedSide>();
  protected readonly next: Readonly<Record<string, string | undefined>> = { holds: 'to filling', unmold: 'to unmold' };
  /** Coats drawn thicker than they are, on both sides alike. */
  readonly exaggerated = input(false);
  protected readonly drawn = computed(() => sectionGeometry(this.plan(), WIDTH, HEIGHT, this.exaggerated(), MARGIN));
  protected readonly shades = computed(() => coatShades(this.plan().chocolates.map(({ colour }) => colour)));
  protected readonly minutes = computed(() => text(this.plan().roundSeconds, 'duration', this.units.system()));
  protected readonly scaleText = computed(() =>
    this.drawn().exaggeration > 1 ? `coats drawn ${this.drawn().exaggeration.toFixed(1)} times too thick` : 'to scale',
  );
  protected readonly description = computed(() => {
    const { rim, wall, base } = this.plan().coat.total;
    const length = (m: number): string => text(m, 'length', this.units.system());
    if (this.plan().coat.body) return `Cut through the cavity, filled ${length(base.value)} deep`;
    return `Cut through the cavity: rim ${length(rim.value)}, wall ${length(wall.value)}, base ${length(base.value)}`;
  });
}
