import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { scaleLinear } from 'd3-scale';
import { line } from 'd3-shape';
import { depthCurve } from '../../../core/cavity/depth-curve';
import { displayUnit } from '../../../core/quantity/display-unit';
import { UNITS } from '../../../core/quantity/units';
import { PlanService } from '../../state/plan-service';
import { Units } from '../../state/units';
import { boxSize } from '../../ui/box-size';
import { text } from '../../wording/format';

const HEIGHT = 138;
const LEVELS = 40;

/** The profile that the shell is computed on, and how much the cavity holds against how deep it is filled. */
@Component({
  selector: 'ks-cavity-profile',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (chart(); as c) {
      <svg
        [attr.viewBox]="'0 0 ' + width() + ' ' + height"
        [attr.height]="height"
        width="100%"
        role="img"
        [attr.aria-label]="c.description"
      >
        <path class="axis" [attr.d]="'M' + c.axisX + ' 6V' + (height - 24)" />
        <path class="body" [attr.d]="c.body" />
        <path class="wall" [attr.d]="c.wall" />
        <text [attr.x]="c.axisX" [attr.y]="height - 4" text-anchor="middle">profile of the shell</text>
        @for (tick of c.volumes; track tick.name) {
          <path class="grid" [attr.d]="'M' + tick.x + ' 8V' + (height - 24)" />
          <text [attr.x]="tick.x" [attr.y]="height - 10" text-anchor="middle">{{ tick.name }}</text>
        }
        @for (tick of c.depths; track tick.name) {
          <path class="grid" [attr.d]="'M' + c.left + ' ' + tick.y + 'H' + (width() - 14)" />
          <text [attr.x]="c.left - 7" [attr.y]="tick.y + 4" text-anchor="end">{{ tick.name }}</text>
        }
        <path class="curve" [attr.d]="c.curve" />
        <text [attr.x]="width() - 16" [attr.y]="height - 32" text-anchor="end" class="said">
          {{ c.unit }} held, against depth in {{ c.depthUnit }}
        </text>
      </svg>
    }
  `,
  styles: `
    :host {
      display: block;
      min-width: 0;
      height: 138px;
    }
    svg {
      display: block;
    }
    text {
      font: 12px var(--text);
      fill: var(--soft);
      font-variant-numeric: tabular-nums;
    }
    .grid {
      stroke: var(--rule);
    }
    .axis {
      stroke: var(--edge);
      stroke-dasharray: 5 4;
    }
    .body {
      fill: #eee4d6;
    }
    .wall {
      fill: none;
      stroke: var(--ink);
      stroke-width: 2;
      stroke-linejoin: round;
    }
    .curve {
      fill: none;
      stroke: var(--glaze);
      stroke-width: 2;
    }
    .said {
      paint-order: stroke;
      stroke: var(--page);
      stroke-width: 5px;
    }
  `,
})
export class CavityProfile {
  private readonly plans = inject(PlanService);
  private readonly units = inject(Units);
  private readonly size = boxSize({ width: 560, height: HEIGHT }, { width: 240, height: 0 });
  protected readonly width = computed(() => this.size().width);
  protected readonly height = HEIGHT;

  protected readonly chart = computed(() => {
    const plan = this.plans.draft();
    if (!plan) return undefined;
    const system = this.units.system();
    const { profile, depthM, spanM } = plan.cavity;
    const lengthUnit = displayUnit('length', system) ?? UNITS.millimetre;
    const volumeUnit = system === 'us' ? UNITS.tablespoon : UNITS.millilitre;
    const perM = Math.min((this.width() * 0.3) / spanM, (HEIGHT - 34) / depthM);
    const axisX = this.width() * 0.17;
    const rimY = 8 + (HEIGHT - 34 - depthM * perM) / 2;
    const wall = Array.from(
      profile.radiusM,
      (r, i) => [axisX + r * perM, rimY + (depthM - profile.heightM[i]) * perM] as [number, number],
    );
    const mirrored = wall.map(([x, y]) => [2 * axisX - x, y] as [number, number]).reverse();
    const left = this.width() * 0.42;
    const curve = depthCurve(profile);
    const x = scaleLinear([0, curve.capacityM3 / volumeUnit.factor], [left, this.width() - 14]);
    const y = scaleLinear([0, depthM / lengthUnit.factor], [HEIGHT - 24, 8]);
    const at = Array.from({ length: LEVELS + 1 }, (_, k) => {
      const level = (depthM * k) / LEVELS;
      return [x(curve.volumeAt(level) / volumeUnit.factor), y(level / lengthUnit.factor)] as [number, number];
    });
    const path = line().digits(1);
    return {
      axisX,
      left,
      wall: path([...mirrored, ...wall]) ?? '',
      body: `${path([...mirrored, ...wall]) ?? ''}Z`,
      curve: path(at) ?? '',
      volumes: x.ticks(5).map((tick) => ({ x: x(tick), name: String(tick) })),
      depths: y.ticks(4).map((tick) => ({ y: y(tick), name: String(tick) })),
      unit: volumeUnit.symbol,
      depthUnit: lengthUnit.symbol,
      description: `The profile the shell is computed on, ${text(spanM, 'length', system)} wide and ${text(depthM, 'length', system)} deep, and what it holds at each depth, up to ${text(curve.capacityM3, 'volume', system)}.`,
    };
  });
}
