import {
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  inject,
  input,
  output,
  signal,
  untracked,
} from '@angular/core';
import { FormsModule } from '@angular/forms';
import { scaleLinear } from 'd3-scale';
import { NzButtonComponent } from 'ng-zorro-antd/button';
import { NzInputDirective } from 'ng-zorro-antd/input';
import { TURNED_LIMITS, checkOutline, checkPoints } from '../../core/cavity/check-shape';
import type { TurnedPoint } from '../../core/cavity/shape';
import { Units } from '../state/units';
import { text } from '../wording/format';
import { shapeProblemText } from '../wording/shapes';
import { Fold } from './fold';
import { Labelled } from './labelled';
import { AmountField } from './amount-field';
import { boxSize } from './box-size';
import { DragHandle, type HandleMove } from './drag-handle';
import { readPoints, writePoints } from './profile-points';

const MARGIN = { left: 44, right: 22, top: 18, bottom: 26 } as const;
const GRID_M = 0.0005;
/** Room that a number on the axis takes, px. */
const TICK_PX = 36;

/** What the points are points of: how they are checked, and what they are called. */
const POINTS_OF = {
  profile: {
    check: checkPoints,
    hint: 'Drag a point, or move it by arrow keys. The lowest comes first, the rim last; all of it turns about the dashed line.',
    across: 'From the axis',
    up: 'Height',
    table: 'One point a line: distance from the axis and height, in mm where no unit is typed',
  },
  outline: {
    check: checkOutline,
    hint: 'Half of it as seen from above: drag a point, or move it by arrow keys, from the lower end up. The other half is its mirror image over the dashed line.',
    across: 'From the middle line',
    up: 'Along it',
    table: 'One point a line: distance from the middle line and how far along it, in mm where no unit is typed',
  },
} as const;

/**
 * The profile of a turned cavity, or half of an outline seen from above, as points on a small canvas: dragged, added, removed, or typed as
 * a table. Points that make no cavity are marked and said; only whole ones are given out, so the last good one stays.
 */
@Component({
  selector: 'ks-profile-editor',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [AmountField, DragHandle, Fold, FormsModule, Labelled, NzButtonComponent, NzInputDirective],
  templateUrl: './profile-editor.html',
  styleUrl: './profile-editor.less',
})
export class ProfileEditor {
  private readonly units = inject(Units);

  readonly points = input.required<readonly TurnedPoint[]>();
  readonly of = input<keyof typeof POINTS_OF>('profile');
  /** A whole profile, with what names the gesture that made it. */
  readonly changed = output<{ readonly points: readonly TurnedPoint[]; readonly gesture: string }>();

  protected readonly size = boxSize({ width: 480, height: 340 }, { width: 260, height: 220 }, '.canvas');
  /** Points as they stand on the canvas, whole or not. */
  protected readonly drawn = signal<readonly TurnedPoint[]>([]);
  protected readonly chosen = signal(1);
  protected readonly table = signal('');
  protected readonly badLine = signal('');
  protected readonly radiusLimit = { dimension: 'length', low: 0, high: TURNED_LIMITS.radiusM } as const;
  protected readonly heightLimit = {
    dimension: 'length',
    low: -TURNED_LIMITS.depthM,
    high: TURNED_LIMITS.depthM,
  } as const;
  private given: readonly TurnedPoint[] | undefined;
  private from: TurnedPoint = { radiusM: 0, heightM: 0 };

  protected readonly words = computed(() => POINTS_OF[this.of()]);
  protected readonly problem = computed(() => this.words().check(this.drawn()));
  protected readonly problemText = computed(() => {
    const problem = this.problem();
    return problem ? shapeProblemText(problem) : '';
  });
  /** The canvas keeps its scale while a point is dragged, or it would run away from the pointer. */
  private readonly reach = signal({ radiusM: 0.04, depthM: 0.06 });
  protected readonly scale = computed(() => {
    const { width, height } = this.size();
    const { radiusM, depthM } = this.reach();
    const perM = Math.min(
      (width - MARGIN.left - MARGIN.right) / (2 * radiusM),
      (height - MARGIN.top - MARGIN.bottom) / depthM,
    );
    return {
      perM,
      axisX: MARGIN.left + (width - MARGIN.left - MARGIN.right) / 2,
      floorY: MARGIN.top + (height - MARGIN.top - MARGIN.bottom + depthM * perM) / 2,
    };
  });
  protected readonly spots = computed(() => {
    const { perM, axisX, floorY } = this.scale();
    const marked = this.problem()?.point;
    return this.drawn().map((point, i) => ({
      x: axisX + point.radiusM * perM,
      y: floorY - point.heightM * perM,
      wrong: i === marked,
      label: `Point ${i + 1} of ${this.drawn().length}`,
      spoken: `${this.words().across}: ${this.write(point.radiusM)}, ${this.words().up.toLowerCase()}: ${this.write(point.heightM)}`,
    }));
  });
  protected readonly path = computed(() => {
    const { axisX } = this.scale();
    const right = this.spots().map(({ x, y }) => `${x.toFixed(1)} ${y.toFixed(1)}`);
    const left = this.spots()
      .map(({ x, y }) => `${(2 * axisX - x).toFixed(1)} ${y.toFixed(1)}`)
      .reverse();
    return { right: `M${right.join('L')}`, whole: `M${[...left, ...right].join('L')}` };
  });
  protected readonly ticks = computed(() => {
    const us = this.units.system() === 'us';
    const unit = us ? 0.0254 : 0.001;
    const { perM, floorY, axisX } = this.scale();
    const { depthM, radiusM } = this.reach();
    return {
      unit: us ? 'in' : 'mm',
      up: scaleLinear([0, depthM / unit], [0, 1])
        .ticks(5)
        .map((t) => ({ y: floorY - t * unit * perM, name: String(t) })),
      across: scaleLinear([0, radiusM / unit], [0, 1])
        .ticks(Math.min(4, Math.max(1, Math.floor((radiusM * perM) / TICK_PX))))
        .map((t) => ({ x: axisX + t * unit * perM, name: String(t) })),
    };
  });

  constructor() {
    effect(() => {
      const points = this.points();
      untracked(() => this.takeOver(points));
    });
  }

  protected move(index: number, move: HandleMove): void {
    const point = this.drawn()[index];
    if (move.start) this.from = point;
    const { perM } = this.scale();
    const moved =
      move.step === undefined
        ? { radiusM: this.from.radiusM + move.dx / perM, heightM: this.from.heightM - move.dy / perM }
        : {
            radiusM: point.radiusM + (move.axis === 'x' ? move.step * GRID_M : 0),
            heightM: point.heightM + (move.axis === 'y' ? move.step * GRID_M : 0),
          };
    this.chosen.set(index);
    this.put(
      index,
      { radiusM: onGrid(Math.max(0, moved.radiusM)), heightM: onGrid(moved.heightM) },
      `drag ${move.gesture}`,
    );
    if (move.step !== undefined) this.fit();
  }

  protected type(index: number, key: keyof TurnedPoint, value: number): void {
    this.chosen.set(index);
    this.put(index, { ...this.drawn()[index], [key]: value }, `type ${index} ${key}`);
    this.fit();
  }

  /** A point halfway to the next one, or before the rim. */
  protected add(): void {
    const points = this.drawn();
    const i = Math.min(Math.max(0, this.chosen()), points.length - 2);
    const [a, b] = [points[i], points[i + 1] ?? points[i]];
    const between = { radiusM: onGrid((a.radiusM + b.radiusM) / 2), heightM: onGrid((a.heightM + b.heightM) / 2) };
    this.chosen.set(i + 1);
    this.set([...points.slice(0, i + 1), between, ...points.slice(i + 1)], 'add');
  }

  protected remove(): void {
    const points = this.drawn();
    const i = Math.min(this.chosen(), points.length - 1);
    this.chosen.set(Math.max(0, i - 1));
    this.set(
      points.filter((_, k) => k !== i),
      'remove',
    );
  }

  protected key(index: number, event: KeyboardEvent): void {
    this.chosen.set(index);
    if (event.key === 'Delete' || event.key === 'Backspace') this.remove();
    else if (event.key === 'Insert' || event.key === 'Enter') this.add();
    else return;
    event.preventDefault();
  }

  protected paste(): void {
    const read = readPoints(this.table());
    if (!read.ok) {
      this.badLine.set(
        `Line ${read.line} ${read.twoWays ? 'holds a number that reads two ways: type 1.25 or 1250' : 'is not two lengths'}. Type it as 24; 40.`,
      );
      return;
    }
    this.badLine.set('');
    this.set(read.points, 'table');
    this.fit();
  }

  protected openTable(open: boolean): void {
    if (open) this.table.set(writePoints(this.drawn()));
  }

  protected fit(): void {
    const good = this.drawn().filter((point) => Number.isFinite(point.radiusM) && Number.isFinite(point.heightM));
    this.reach.set({
      radiusM: Math.min(TURNED_LIMITS.radiusM, Math.max(0.01, ...good.map((point) => point.radiusM))) * 1.15,
      depthM: Math.min(TURNED_LIMITS.depthM, Math.max(0.01, ...good.map((point) => point.heightM))) * 1.1,
    });
  }

  private takeOver(points: readonly TurnedPoint[]): void {
    if (points === this.given) return;
    this.given = points;
    this.drawn.set(points);
    this.fit();
  }

  private put(index: number, point: TurnedPoint, gesture: string): void {
    this.set(
      this.drawn().map((old, i) => (i === index ? point : old)),
      gesture,
    );
  }

  private set(points: readonly TurnedPoint[], gesture: string): void {
    this.drawn.set(points);
    if (this.words().check(points)) return;
    // The lowest point is the floor, wherever it was drawn.
    const floor = points[0].heightM;
    const whole = floor === 0 ? points : points.map((point) => ({ ...point, heightM: point.heightM - floor }));
    if (floor === 0) this.given = whole;
    this.changed.emit({ points: whole, gesture });
  }

  private write(m: number): string {
    return Number.isFinite(m) ? text(m, 'length', this.units.system()) : 'nothing';
  }
}

function onGrid(m: number): number {
  return Math.round(m / GRID_M) * GRID_M;
}
