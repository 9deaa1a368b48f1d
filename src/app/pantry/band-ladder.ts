import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { scaleLinear } from 'd3-scale';
import { stirDownToC } from '../../core/matter/bands';
import { CHOCOLATE_MATTER } from '../../core/matter/chocolate';
import type { PantryChocolate } from '../../core/record/chocolate';
import { boxSize } from '../ui/box-size';
import { Units } from '../state/units';
import { text } from '../wording/format';

const HEIGHT = 240;
const MARGIN = 26;
const BASE = 150;

/** The temperatures of a chocolate on one scale: where it sets, where it is worked, where it is seeded and melted. */
@Component({
  selector: 'ks-band-ladder',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @let l = ladder();
    <svg
      [attr.viewBox]="'0 0 ' + l.width + ' ' + height"
      width="100%"
      [attr.height]="height"
      role="img"
      [attr.aria-label]="l.description"
    >
      <path class="axis" [attr.d]="'M' + l.from + ' ' + base + 'H' + l.to" />
      @for (tick of l.ticks; track tick.name) {
        <path class="tick" [attr.d]="'M' + tick.x + ' ' + base + 'v7'" />
        <text class="scale" [attr.x]="tick.x" [attr.y]="base + 22" text-anchor="middle">{{ tick.name }}</text>
      }
      <rect class="sets" [attr.x]="l.sets.x" [attr.y]="base - 20" [attr.width]="l.sets.width" height="20" />
      <text class="name" [attr.x]="l.sets.x + 4" [attr.y]="base - 6">sets as it cools</text>
      <rect
        class="work"
        [attr.x]="l.work.x"
        [attr.y]="base - 56"
        [attr.width]="l.work.width"
        height="56"
        [attr.fill]="chocolate().colour"
      />
      <text class="band" [attr.x]="l.work.x + l.work.width / 2" [attr.y]="base - 64" text-anchor="middle">work</text>
      @for (mark of l.marks; track mark.name) {
        <path [attr.class]="mark.tone" [attr.d]="'M' + mark.x + ' ' + base + 'V' + mark.y" />
        <text
          [attr.class]="'band ' + mark.tone"
          [attr.x]="mark.x"
          [attr.y]="mark.y - 6"
          [attr.text-anchor]="mark.anchor"
        >
          {{ mark.name }}
        </text>
      }
      @if (l.path) {
        <path class="path" [attr.d]="l.path" />
        <text class="scale" [attr.x]="l.to" [attr.y]="base + 74" text-anchor="end">{{ l.pathName }}</text>
      }
    </svg>
  `,
  styles: `
    :host {
      display: block;
    }
    .axis {
      stroke: var(--ink);
      stroke-width: 1.5;
    }
    .tick {
      stroke: var(--edge);
    }
    .scale,
    .name {
      font-size: 12.5px;
      fill: var(--soft);
      font-variant-numeric: tabular-nums;
    }
    .sets {
      fill: var(--glaze-pale);
    }
    .band {
      font-size: 13.5px;
      font-weight: 600;
      fill: var(--ink);
    }
    path.ceiling {
      stroke: var(--ember);
      stroke-width: 1.5;
    }
    text.ceiling {
      fill: #8f361c;
    }
    path.mark {
      stroke: var(--ink);
      stroke-width: 1.5;
      stroke-dasharray: 3 3;
    }
    .path {
      fill: none;
      stroke: var(--ember);
      stroke-width: 2;
      stroke-linejoin: round;
    }
  `,
})
export class BandLadder {
  private readonly units = inject(Units);
  private readonly size = boxSize({ width: 560, height: HEIGHT }, { width: 240, height: 0 });
  readonly chocolate = input.required<PantryChocolate>();
  protected readonly height = HEIGHT;
  protected readonly base = BASE;

  protected readonly ladder = computed(() => {
    const chocolate = this.chocolate();
    const system = this.units.system();
    const { kind, meltToC, seedToC, workFromC, workToC, ceilingC } = chocolate;
    const { setFromC, setToC } = CHOCOLATE_MATTER[kind];
    const width = this.size().width;
    const x = scaleLinear([Math.min(setToC, 15), Math.max(meltToC, ceilingC) + 2], [MARGIN, width - MARGIN]);
    const at = (name: string, c: number): string => `${name} ${text(c, 'temperature', system)}`;
    const marks = [
      { name: at('ceiling', ceilingC), x: x(ceilingC), y: BASE - 92, tone: 'ceiling', anchor: 'start' },
      { name: at('melt to', meltToC), x: x(meltToC), y: BASE - 122, tone: 'mark', anchor: 'end' },
    ];
    const down = stirDownToC(chocolate);
    const seeded = kind !== 'compound';
    return {
      width,
      from: MARGIN,
      to: width - MARGIN,
      marks,
      ticks: x.ticks(width > 460 ? 8 : 5).map((c) => ({ x: x(c), name: text(c, 'temperature', system) })),
      sets: { x: x(setToC), width: Math.max(0, x(setFromC) - x(setToC)) },
      work: { x: x(workFromC), width: Math.max(3, x(workToC) - x(workFromC)) },
      // Melted, seeded down, stirred down, warmed up to work.
      path: seeded
        ? `M${x(meltToC)} ${BASE + 36}H${x(seedToC)}V${BASE + 44}H${x(down)}V${BASE + 52}H${x((workFromC + workToC) / 2)}l-6 -4m6 4l-6 4`
        : '',
      pathName: `${at('seed to', seedToC)}, stir on to ${text(down, 'temperature', system)}, warm to work`,
      description: `Sets from ${text(setFromC, 'temperature', system)} down, worked from ${text(workFromC, 'temperature', system)} to ${text(workToC, 'temperature', system)}, ${at('ceiling', ceilingC)}, ${at('melted to', meltToC)}${seeded ? `, ${at('seeded to', seedToC)}` : ''}.`,
    };
  });
}
