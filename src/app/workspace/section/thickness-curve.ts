import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { scaleLinear } from 'd3-scale';
import { area, line } from 'd3-shape';
import { PlanService } from '../../state/plan-service';
import { Units } from '../../state/units';
import { boxSize } from '../../ui/box-size';
import { text } from '../../wording/format';

const HEIGHT = 138;
const MARGIN = { left: 34, right: 12, top: 8, bottom: 22 } as const;

/** Thickness of the shell along the wall, with its likely band and the rim it needs. */
@Component({
  selector: 'ks-thickness-curve',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (chart(); as c) {
      <svg [attr.viewBox]="'0 0 ' + width() + ' ' + height" [attr.height]="height" width="100%" aria-hidden="true">
        @for (tick of c.ticks; track tick.name) {
          <path class="grid" [attr.d]="'M' + margin.left + ' ' + tick.y + 'H' + (width() - margin.right)" />
          <text [attr.x]="margin.left - 8" [attr.y]="tick.y + 4" text-anchor="end">{{ tick.name }}</text>
        }
        <text
          class="needed-text"
          [attr.x]="width() - margin.right"
          [attr.y]="c.neededY + (c.neededBelow ? 14 : -5)"
          text-anchor="end"
        >
          {{ c.neededText }}
        </text>
        <text [attr.x]="margin.left" [attr.y]="height - 4">base</text>
        <text [attr.x]="width() / 2" [attr.y]="height - 4" text-anchor="middle">
          thickness along the wall, {{ c.unit }}
        </text>
        <text [attr.x]="width() - margin.right" [attr.y]="height - 4" text-anchor="end">rim</text>
      </svg>
      <svg
        class="over"
        [attr.viewBox]="'0 0 ' + width() + ' ' + height"
        [attr.height]="height"
        width="100%"
        role="img"
        [attr.aria-label]="c.description"
      >
        <path class="band" [attr.d]="c.band" />
        <path class="needed" [attr.d]="'M' + margin.left + ' ' + c.neededY + 'H' + (width() - margin.right)" />
        <path class="curve" [attr.d]="c.curve" />
      </svg>
    }
  `,
  styleUrl: './thickness-curve.less',
})
export class ThicknessCurve {
  private readonly plans = inject(PlanService);
  private readonly units = inject(Units);
  private readonly size = boxSize({ width: 560, height: HEIGHT }, { width: 240, height: 0 });
  protected readonly width = computed(() => this.size().width);
  protected readonly height = HEIGHT;
  protected readonly margin = MARGIN;

  protected readonly chart = computed(() => {
    const plan = this.plans.draft();
    if (!plan) return undefined;
    const system = this.units.system();
    const perUnit = system === 'us' ? 0.0254 : 0.001;
    const arc = plan.cavity.profile.arcM;
    const needed = plan.coat.neededRim.value;
    const top = Math.max(needed, ...plan.coat.totalHighM) / perUnit;
    const x = scaleLinear([0, arc[arc.length - 1]], [MARGIN.left, this.width() - MARGIN.right]);
    const y = scaleLinear([0, top], [HEIGHT - MARGIN.bottom, MARGIN.top]).nice(4);
    const at = (values: Float64Array) => Array.from(arc, (s, i) => [x(s), y(values[i] / perUnit)] as [number, number]);
    const low = at(plan.coat.totalLowM);
    const band =
      area<[number, number]>(
        (p) => p[0],
        (_, i) => low[i][1],
        (p) => p[1],
      ).digits(2)(at(plan.coat.totalHighM)) ?? '';
    return {
      band,
      curve: line().digits(2)(at(plan.coat.totalM)) ?? '',
      ticks: y.ticks(4).map((tick) => ({ y: y(tick), name: String(tick) })),
      neededY: y(needed / perUnit),
      // On the side of its line that the curve is not on.
      neededBelow:
        y(needed / perUnit) < HEIGHT / 3 ||
        (plan.coat.total.rim.value > needed && y(needed / perUnit) < HEIGHT - MARGIN.bottom - 16),
      neededText: `needed at the rim ${text(needed, 'length', system)}`,
      unit: system === 'us' ? 'in' : 'mm',
      description: `Thickness along the wall from base ${text(plan.coat.total.base.value, 'length', system)} to rim ${text(plan.coat.total.rim.value, 'length', system)}; ${text(needed, 'length', system)} is needed at the rim.`,
    };
  });
}
