import { dueSeconds } from '../record/due';
import type { Occasion } from '../record/occasion';
import type { CastingPlan } from '../plan/plan-types';
import { allSupplies, suppliesOf, type Supply } from '../plan/supplies';
import { workNames, type WorkNames } from '../plan/work-names';
import { usedStays } from '../schedule/attend';
import { faultsOf } from '../schedule/check';
import { slack } from '../schedule/slack';
import type { Lag, Starts, Stay, Workload } from '../schedule/workload';
import { aheadOf, type Ahead } from './ahead';
import type { Bowl } from './bowls';
import { BREAK_AFTER_S, stretchesOf } from './breaks';
import { handsOf, lanesOf, type Lanes } from './lanes';
import { occasionNeeds, type OccasionNeeds } from './occasion-needs';
import type { OccasionWork } from './occasion-work';
import { packingSupplies } from './packing';
import { reasonsOf, type Reason } from './reasons';
import { amountsOf, type TaskAmount } from './task-amounts';
import type { Task, Wait } from './work';

/** A task with its place in the timetable. */
export interface PlannedTask extends Task {
  /** What it is held by. */
  readonly key: string;
  /** s since 1970 UTC. */
  readonly startS: number;
  /** Who does it, from 0. */
  readonly person: number;
  /** How long it may be put off, the order kept, s. */
  readonly mayWaitS: number;
  /** Tasks are named by their place in the timetable. */
  readonly reason: Reason;
  readonly amounts: readonly TaskAmount[];
}

/** Everything that follows from an occasion. Moments are s since 1970 UTC. */
export interface OccasionPlan {
  /** By their time. */
  readonly tasks: readonly PlannedTask[];
  /** What has to pass between them, and what passes meanwhile: by their place in the timetable. */
  readonly lags: readonly Lag[];
  readonly waits: readonly Wait[];
  readonly bowls: readonly Bowl[];
  readonly lanes: Lanes;
  readonly startS: number;
  readonly readyS: number;
  /** When somebody is there: from the first thing done by hand in each stay to the last. */
  readonly there: readonly Stay[];
  readonly attendedS: number;
  /** Over several stays: with as many melts nobody is there for less, s. At one stretch, or in one stay: no timetable starts later than so long before the event, s. */
  readonly leastS: number;
  /** Nothing is to be done by hand for longer than a short while; a break is such a stretch. */
  readonly free: readonly Stay[];
  /** Long stretches in which there was no room for the break that is wanted. */
  readonly noBreak: readonly Stay[];
  readonly handsOnS: number;
  /** What the castings take one after the other, s. */
  readonly apartS: number;
  readonly names: Readonly<Record<string, WorkNames>>;
  readonly needs: OccasionNeeds;
  /** What is counted in pieces, with gloves for everybody in each stay. */
  readonly supplies: readonly Supply[];
  /** The same by casting, by its id, without gloves and what it is packed in. */
  readonly suppliesOf: Readonly<Record<string, readonly Supply[]>>;
  /** When each step of each casting can be done. */
  readonly ahead: readonly Ahead[];
}

/** Shorter than this is no stretch to go away in, s. */
const FREE_S = 900;

/** What a timetable is told of. */
export interface Timetabled {
  readonly occasion: Occasion;
  readonly plans: readonly CastingPlan[];
  readonly made: OccasionWork;
  readonly workload: Workload;
  readonly starts: Starts;
  /** The workload’s first moment, s since 1970 UTC. */
  readonly zeroS: number;
  readonly leastS: number;
}

/** Tells a timetable: each task as early as it goes in its order, melts when they are wanted. Undefined where it has a fault. */
export function occasionPlan(of: Timetabled): OccasionPlan | undefined {
  const { occasion, plans, made, workload, zeroS } = of;
  const { work, bowls } = made;
  const dueS = dueSeconds(occasion.due);
  // Tasks name their stay by its place: one that is not used stays there, with room for nothing.
  const used = usedStays(workload, of.starts).map(
    (stay, k) => stay ?? { ...workload.stays[k], to: workload.stays[k].from },
  );
  const kept = slack({ ...workload, stays: used }, of.starts, dueS - zeroS, (i) => work.tasks[i].kind === 'melt');
  if (faultsOf(workload, kept.starts).length > 0) return undefined;
  const starts = kept.starts.map((start) => start + zeroS);
  const there = stretchesOf(workload, kept.starts).map(({ from, to }) => ({ from: from + zeroS, to: to + zeroS }));
  const held = (i: number): boolean => workload.operations[i].heldAt !== undefined;
  const reasons = reasonsOf(work.tasks, work.lags, starts, there, held);
  const people = handsOf(workload, starts);
  const order = starts.map((_, i) => i).sort((a, b) => starts[a] - starts[b] || a - b);
  const placeOf = new Map(order.map((i, place) => [i, place]));
  const tasks = order.map((i): PlannedTask => ({
    ...work.tasks[i],
    key: work.keys[i],
    startS: starts[i],
    person: people[i],
    mayWaitS: kept.mayWait[i],
    reason: placed(reasons[i], placeOf),
    amounts: amountsFor(plans, work.tasks[i]),
  }));
  const handsOn = tasks.filter((task) => task.handsOn && task.kind !== 'break');
  const breaks = tasks.filter(({ kind }) => kind === 'break');
  const own = Object.fromEntries(plans.map((plan) => [plan.casting.id, suppliesOf(plan)]));
  return {
    tasks,
    lags: inPlace(work.lags, placeOf),
    waits: inPlace(work.waits, placeOf),
    bowls,
    lanes: lanesOf(work, starts),
    startS: Math.min(...starts),
    readyS: Math.max(...tasks.map(({ startS, seconds }) => startS + seconds)),
    there,
    attendedS: there.reduce((sum, { from, to }) => sum + to - from, 0),
    leastS: of.leastS,
    free: freeIn(there, handsOn),
    noBreak:
      occasion.breakS === 0
        ? []
        : there.filter(
            ({ from, to }) => to - from > BREAK_AFTER_S && !breaks.some(({ startS }) => startS >= from && startS < to),
          ),
    handsOnS: handsOn.reduce((sum, { seconds }) => sum + seconds, 0),
    apartS: plans.reduce((sum, { batch }) => sum + batch.total.value, 0),
    names: Object.fromEntries(plans.map((plan) => [plan.casting.id, workNames(plan)])),
    needs: occasionNeeds(plans, bowls),
    suppliesOf: own,
    supplies: allSupplies([
      ...Object.values(own).flat(),
      ...packingSupplies(occasion.sets),
      { kind: 'gloves', count: occasion.people * there.length },
    ]),
    ahead: plans.flatMap((plan) => aheadOf(plan, dueS, goesInS(plan, tasks))),
  };
}

function amountsFor(plans: readonly CastingPlan[], task: Task): readonly TaskAmount[] {
  const plan = plans.find(({ casting }) => casting.id === task.castingId);
  return plan ? amountsOf(plan, task) : [];
}

function placed(reason: Reason, placeOf: ReadonlyMap<number, number>): Reason {
  return 'task' in reason ? { ...reason, task: placeOf.get(reason.task) ?? 0 } : reason;
}

function inPlace<T extends { readonly from: number; readonly to: number }>(
  all: readonly T[],
  placeOf: ReadonlyMap<number, number>,
): readonly T[] {
  return all.map((one) => ({ ...one, from: placeOf.get(one.from) ?? 0, to: placeOf.get(one.to) ?? 0 }));
}

/** Stretches of some while in which nothing is done by hand, by any. */
function freeIn(there: readonly Stay[], handsOn: readonly PlannedTask[]): readonly Stay[] {
  return there.flatMap(({ from, to }) => {
    const free: Stay[] = [];
    let until = from;
    for (const { startS, seconds } of handsOn.filter(({ startS }) => startS >= from && startS < to)) {
      if (startS - until >= FREE_S) free.push({ from: until, to: startS });
      until = Math.max(until, startS + seconds);
    }
    return free;
  });
}

/** When the first filling of a casting goes in. */
function goesInS({ casting }: CastingPlan, tasks: readonly PlannedTask[]): number | undefined {
  return tasks.find(({ castingId, kind }) => castingId === casting.id && kind === 'fill')?.startS;
}
