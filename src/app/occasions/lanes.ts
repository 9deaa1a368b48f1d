import { ChangeDetectionStrategy, Component, computed, inject, output, signal } from '@angular/core';
import { isMelted } from '../../core/occasion/bowls';
import type { Use } from '../../core/occasion/lanes';
import type { PlannedTask } from '../../core/occasion/occasion-plan';
import { isOnPlate } from '../../core/record/closing';
import { Units } from '../state/units';
import { Pick } from '../ui/pick';
import { text } from '../wording/format';
import { letterOf, taskText, whoseText } from '../wording/occasion';
import { dayText, timeText } from '../wording/times';
import { followPointer } from './follow-pointer';
import { OccasionView } from './occasion-view';
import { StayEdges } from './stay-edges';
import { fullness, ticksOf, timetableScale } from './timetable-scale';

/** Something in a lane. */
interface Bar {
  readonly id: string;
  readonly at: number;
  readonly width: number;
  readonly mark: string;
  readonly title: string;
  readonly castingId: string | undefined;
  /** Of what is done by hand: its task. */
  readonly task?: string;
  readonly kind: 'heat' | 'hands' | 'break' | 'mold' | 'bowl';
  readonly colour?: string;
  readonly held?: boolean;
}

/** Where a bar is, and how wide, % of the whole. */
type Place = Readonly<Record<'at' | 'width', number>>;

interface Lane {
  readonly name: string;
  readonly detail: string;
  readonly bars: readonly Bar[];
  /** How full it is, where that changes. */
  readonly path?: string;
}

/** Narrower than this a bar has no room for its letter, %, at full width. */
const LETTERED = 3;
const HELD_TO_S = 300;
const WIDTHS = { '1': 100, '2': 200, '4': 400 } as const;
/** Between two ticks, s, by how far it is zoomed in. */
const TICKS_S = { '1': 3600, '2': 1800, '4': 900 } as const;
/** What the name of a tick takes, % at full width. */
const NAME_SHARE = 9;

/** An occasion's timetable as lanes: the hands of each person, molds, shelves, bowls; nights folded. What is done by hand can be dragged. */
@Component({
  selector: 'ks-lanes',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [Pick, StayEdges],
  templateUrl: './lanes.html',
  styleUrl: './lanes.less',
})
export class LanesView {
  protected readonly view = inject(OccasionView);
  private readonly units = inject(Units);
  /** A task was dragged to a moment, s since 1970 UTC. */
  readonly moved = output<{ readonly key: string; readonly atS: number }>();
  protected readonly zooms = [
    { value: '1' as const, name: 'whole' },
    { value: '2' as const, name: 'closer' },
    { value: '4' as const, name: 'closest' },
  ];
  protected readonly zoom = signal<keyof typeof WIDTHS>('1');
  protected readonly widthShare = computed(() => WIDTHS[this.zoom()]);
  /** What is being dragged, and by how much of the whole, %. */
  protected readonly drag = signal<{ readonly key: string; readonly by: number } | undefined>(undefined);

  private dragged = false;

  protected readonly scale = computed(() => {
    const plan = this.view.plan();
    return plan && timetableScale(plan);
  });
  protected readonly ticks = computed(() => {
    const scale = this.scale();
    const zone = this.view.zone();
    // A name that would run into what follows a fold is left out.
    const room = NAME_SHARE / (this.widthShare() / 100);
    return (scale ? ticksOf(scale, TICKS_S[this.zoom()]) : [])
      .filter(({ at }) => !scale?.folds.some((fold) => fold.at >= at && fold.at + fold.width < at + room))
      .map(({ at, seconds }) => ({ at, name: timeText(seconds, zone) }));
  });
  protected readonly days = computed(() => {
    const zone = this.view.zone();
    return (this.scale()?.drawn ?? []).map(({ at, from }) => ({ at, name: dayText(from, zone) }));
  });
  protected readonly folds = computed(() =>
    (this.scale()?.folds ?? []).map((fold) => ({
      ...fold,
      name: text(fold.seconds, 'duration', this.units.system()),
    })),
  );
  protected readonly now = computed(() => {
    const [scale, plan, now] = [this.scale(), this.view.plan(), this.view.clock.seconds()];
    return scale && plan && now >= plan.startS && now <= plan.readyS ? scale.at(now) : undefined;
  });
  protected readonly lanes = computed<readonly Lane[]>(() => [
    ...this.handLanes(),
    ...this.moldLanes(),
    ...this.shelfLanes(),
    ...this.bowlLanes(),
    ...this.warmLanes(),
  ]);

  protected grab(event: PointerEvent, bar: Bar): void {
    const lane = (event.currentTarget as HTMLElement).parentElement;
    if (bar.task === undefined || !lane || event.button !== 0) return;
    const key = bar.task;
    const shareOf = (px: number): number => (100 * px) / lane.clientWidth;
    followPointer(
      event,
      (px) => this.drag.set({ key, by: shareOf(px) }),
      (px) => {
        this.drag.set(undefined);
        this.dragged = px !== undefined;
        if (px !== undefined) this.drop(key, bar.at + shareOf(px));
      },
    );
  }

  protected press({ task }: Bar): void {
    // A drag ends in a click as well.
    if (task !== undefined && !this.dragged) this.view.toggle(task);
    this.dragged = false;
  }

  protected shift(bar: Bar): number {
    const drag = this.drag();
    return drag && drag.key === bar.task ? drag.by : 0;
  }

  private drop(key: string, at: number): void {
    const moment = this.scale()?.momentAt(at) ?? 0;
    this.moved.emit({ key, atS: Math.round(moment / HELD_TO_S) * HELD_TO_S });
  }

  private bar(use: { readonly from: number; readonly to: number }): Place {
    const scale = this.scale();
    const at = scale?.at(use.from) ?? 0;
    return { at, width: Math.max(0.12, (scale?.at(use.to) ?? 0) - at) };
  }

  private mark(castingId: string | undefined, width: number): string {
    const index = this.view.letterIndex(castingId);
    return index >= 0 && width * (this.widthShare() / 100) >= LETTERED ? letterOf(index) : '';
  }

  private handLanes(): Lane[] {
    const [plan, told, occasion] = [this.view.plan(), this.view.told(), this.view.occasion()];
    if (!plan || !occasion) return [];
    return Array.from({ length: occasion.people }, (_, person): Lane => {
      const own = plan.tasks.filter((task) => task.handsOn && (task.person === person || task.kind === 'break'));
      const seconds = own.reduce((sum, task) => sum + (task.kind === 'break' ? 0 : task.seconds), 0);
      return {
        name: occasion.people === 1 ? 'Your hands' : `Person ${person + 1}`,
        detail: text(seconds, 'duration', this.units.system()),
        bars: own.map((task): Bar => {
          const place = this.bar({ from: task.startS, to: task.startS + task.seconds });
          return {
            ...place,
            id: task.key,
            task: task.key,
            mark: this.mark(task.castingId, place.width),
            title: `${timeText(task.startS, this.view.zone())} ${taskText(task, told)}: ${whoseText(task, told)}`,
            castingId: task.castingId,
            kind: handKind(task.kind),
            held: task.reason.key === 'held',
          };
        }),
      };
    });
  }

  private moldLanes(): Lane[] {
    const [plan, castings] = [this.view.plan(), this.view.castings()];
    return (plan?.lanes.molds ?? []).map(({ moldId, uses }): Lane => {
      const mold = castings.flatMap(({ molds }) => molds).find(({ id }) => id === moldId);
      return {
        name: mold?.name ?? 'Mold',
        detail: mold && mold.atHand > 1 ? `${mold.atHand} of it` : '',
        bars: joined(uses).map((use, i) => this.useBar(use, `${moldId} ${i}`, 'mold', `In use`)),
      };
    });
  }

  private shelfLanes(): Lane[] {
    const [plan, scale] = [this.view.plan(), this.scale()];
    if (!plan || !scale) return [];
    return plan.lanes.shelves.map(({ place, uses }): Lane => {
      const lit = this.view.lit();
      const { peakM2 } = fullness(uses, scale);
      const shown = lit ? uses.filter(({ castingId }) => castingId === lit) : uses;
      return {
        name: place === 'fridge' ? 'Fridge' : 'Freezer',
        detail: `at most ${text(peakM2, 'area', this.units.system())}`,
        bars: [],
        path: fullness(shown, scale).path,
      };
    });
  }

  private bowlLanes(): Lane[] {
    const plan = this.view.plan();
    if (!plan) return [];
    return plan.bowls.map(({ name, colour, workingC, uses }, k): Lane => ({
      name,
      detail: `at ${text(workingC, 'temperature', this.units.system())}`,
      bars: plan.lanes.bowls
        .filter(({ bowl }) => bowl === k)
        .map((use, i): Bar => {
          const own = { ...use, castingId: uses.length === 1 ? uses[0].castingId : undefined };
          const lit = uses.some(({ castingId }) => castingId === this.view.lit()) ? this.view.lit() : own.castingId;
          return { ...this.useBar({ ...own, castingId: lit }, `${k} ${i}`, 'bowl', 'Melted and worked from'), colour };
        }),
    }));
  }

  /** The microwave and the warm plate, where they are used. */
  private warmLanes(): Lane[] {
    const [plan, castings] = [this.view.plan(), this.view.castings()];
    const plated = new Set(castings.flatMap(({ id, closure }) => (isOnPlate(closure) ? [id] : [])));
    const rows = [
      {
        name: 'Microwave',
        what: 'Melting',
        is: ({ bowl, again }: PlannedTask) =>
          bowl !== undefined && plan?.bowls[bowl].way === 'microwave' && isMelted(plan.bowls[bowl], again),
      },
      {
        name: 'Warm plate',
        what: 'Rims are melted',
        is: ({ kind, castingId }: PlannedTask) => kind === 'close' && plated.has(castingId ?? ''),
      },
    ];
    return rows.flatMap(({ name, what, is }) => {
      const own = (plan?.tasks ?? []).filter((task) => task.handsOn && is(task));
      const bars = own.map(({ key, startS, seconds, castingId }) =>
        this.useBar({ from: startS, to: startS + seconds, castingId }, `${name} ${key}`, 'heat', what),
      );
      return bars.length > 0 ? [{ name, detail: '', bars }] : [];
    });
  }

  private useBar(use: Use, id: string, kind: Bar['kind'], what: string): Bar {
    const place = this.bar(use);
    const zone = this.view.zone();
    return {
      ...place,
      id,
      kind,
      mark: kind === 'bowl' ? '' : this.mark(use.castingId, place.width),
      title: `${what} from ${timeText(use.from, zone)} to ${timeText(use.to, zone)}`,
      castingId: use.castingId,
    };
  }
}

function handKind(kind: PlannedTask['kind']): Bar['kind'] {
  if (kind === 'break') return kind;
  return kind === 'melt' || kind === 'coat' || kind === 'turn' ? 'heat' : 'hands';
}

/** Uses of one casting that overlap, as two halves of a figure in one mold, are one. */
function joined(uses: readonly Use[]): readonly Use[] {
  const all: { from: number; to: number; castingId: string | undefined }[] = [];
  for (const { from, to, castingId } of [...uses].sort((a, b) => a.from - b.from)) {
    const last = all[all.length - 1];
    if (last && last.castingId === castingId && from < last.to) last.to = Math.max(last.to, to);
    else all.push({ from, to, castingId });
  }
  return all;
}
