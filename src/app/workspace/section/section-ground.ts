import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { PlanService } from '../../state/plan-service';
import { Units } from '../../state/units';
import { rulerTicks, rulerUnit } from '../../drawing/ruler';
import type { SectionGeometry } from '../../drawing/section-geometry';
import { acrossText } from '../../wording/shapes';

/** The mold that a section lies in, with its measure across and its depth on a ruler. */
@Component({
  selector: 'ks-section-ground',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @let g = geometry();
    <svg [attr.viewBox]="'0 0 ' + width() + ' ' + height()" aria-hidden="true">
      <defs>
        <pattern id="mold-hatch" width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <rect width="7" height="7" class="mold-ground" />
          <path d="M0 0V7" class="mold-line" />
        </pattern>
      </defs>
      <path [attr.d]="g.moldPath" fill="url(#mold-hatch)" class="mold" />
      <g class="measure">
        <path
          [attr.d]="
            'M' + (g.axisX - g.halfCavity) + ' ' + (g.topY - 10) + 'v-18m0 7H' + (g.axisX + g.halfCavity) + 'm0 -7v18'
          "
        />
        <text [attr.x]="g.axisX" [attr.y]="g.topY - 33" text-anchor="middle">{{ across() }}</text>
      </g>
      <g class="ruler">
        <path [attr.d]="'M34 ' + g.rimY + 'V' + (g.rimY + g.depth)" />
        @for (tick of ticks(); track tick.name) {
          <path [attr.d]="'M28 ' + tick.y + 'h6'" />
          <text x="24" [attr.y]="tick.y + 4" text-anchor="end">{{ tick.name }}</text>
        }
        <text x="34" [attr.y]="g.rimY - 12" text-anchor="middle">{{ unit() }}</text>
      </g>
    </svg>
  `,
  styleUrls: ['../../drawing/measures.less', '../../drawing/mold-hatch.less', './section-ground.less'],
})
export class SectionGround {
  private readonly plan = inject(PlanService).draft;
  private readonly units = inject(Units);

  readonly geometry = input.required<SectionGeometry>();
  /** Of the drawing, px. */
  readonly width = input.required<number>();
  readonly height = input.required<number>();

  protected readonly ticks = computed(() => {
    const plan = this.plan();
    if (!plan) return [];
    const { depth, rimY, pxPerM } = this.geometry();
    const system = this.units.system();
    const most = Math.min(system === 'us' ? 4 : 6, Math.max(1, Math.floor(depth / 26)));
    return rulerTicks(plan.cavity.depthM, system, most).map(({ m, name }) => ({ y: rimY + m * pxPerM, name }));
  });
  protected readonly unit = computed(() => rulerUnit(this.units.system()));
  protected readonly across = computed(() => {
    const cavity = this.plan()?.cavity;
    return cavity ? acrossText(cavity, this.units.system()) : '';
  });
}
