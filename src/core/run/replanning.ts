import type { Lag, Workload } from '../schedule/workload';
import { atHand } from './at-hand';
import { follow, longerBy, pairOf, type Followed } from './following';
import type { Run } from './run-record';
import type { RunState } from './run-state';

/** What is left of a run: a workload whose first moment is now, and which tasks of the run its operations are. */
export interface Remaining {
  readonly workload: Workload;
  readonly tasks: readonly number[];
}

/** Another order is worth learning anew what is next where all is ready so much sooner by it, s. */
const WORTH_S = 300;
/** No end is looked for after this, s. */
const FAR_S = 30 * 86_400;

/**
 * What is still to be done, with the past held: what waits for something that is done waits from when that was done, and what is at hand now is not
 * put off. Work of a later stretch in the kitchen stays there.
 * @param strict most lags are kept; without, only least lags are: a run that is late may have missed one already
 */
export function remaining(run: Run, state: RunState, nowS: number, strict: boolean): Remaining | undefined {
  const followed = follow(run, state, nowS);
  const tasks = run.tasks.flatMap((_, i) => (followed.open[i] ? [i] : []));
  if (tasks.length < 2) return undefined;
  const at = new Map(tasks.map((task, operation) => [task, operation]));
  const longer = longerBy(run, state);
  const fromS = Math.max(nowS, state.awayUntilS ?? 0);
  if (!Number.isFinite(fromS)) return undefined;
  const earliest = earliestOf(run, followed, longer, fromS);
  const begun = new Set(atHand(run, state, followed, nowS).now.map(({ task }) => task));
  const operations = tasks.map((task) => {
    const { key, seconds, handsOn, kind } = run.tasks[task];
    const hands = !handsOn ? 0 : kind === 'break' ? run.people : 1;
    const from = earliest(task);
    return { id: key, seconds, hands, within: { from, to: FAR_S }, heldAt: begun.has(task) ? from : undefined };
  });
  const lags = run.lags.flatMap(({ from, to, least, most }): Lag[] => {
    const [a, b] = [at.get(from), at.get(to)];
    if (a === undefined || b === undefined) return [];
    const more = longer.get(pairOf({ from, to })) ?? 0;
    return [{ from: a, to: b, least: least + more, most: strict && most !== undefined ? most + more : undefined }];
  });
  return {
    tasks,
    workload: { operations, lags, resources: [], occupations: [], people: run.people, stays: [] },
  };
}

/** By task, when it can start at the earliest, s from now: by what is done, by when hands are there, and by its stretch in the kitchen. */
function earliestOf(
  { tasks, lags, there }: Run,
  { open, endS }: Followed,
  longer: ReadonlyMap<string, number>,
  fromS: number,
): (task: number) => number {
  const next = tasks.find((task, i) => open[i] && task.handsOn);
  const stretchOf = (startS: number): number => there.findIndex(({ from, to }) => startS >= from && startS < to);
  const present = next ? stretchOf(next.startS) : -1;
  return (task) => {
    const waited = lags.flatMap((lag) =>
      lag.to === task && !open[lag.from] ? [endS[lag.from] + lag.least + (longer.get(pairOf(lag)) ?? 0)] : [],
    );
    const stretch = stretchOf(tasks[task].startS);
    const later = stretch > present ? there[stretch].from : 0;
    return Math.max(0, ...waited.map((s) => s - fromS), later - fromS);
  };
}

/** An order in which what is left is done, by keys; and when all is ready by it and by the one that there was, s since 1970 UTC. */
export interface NewOrder {
  readonly order: readonly string[];
  readonly readyS: number;
  readonly insteadS: number;
}

/**
 * The order that a found timetable has, where following it makes all ready sooner; undefined where it does not, or not by enough to be worth a word.
 * @param starts of the operations of what remains, s
 */
export function orderFrom(
  run: Run,
  state: RunState,
  nowS: number,
  { tasks }: Remaining,
  starts: readonly number[],
): NewOrder | undefined {
  const order = [...tasks.keys()]
    .sort((a, b) => starts[a] - starts[b] || tasks[a] - tasks[b])
    .map((operation) => run.tasks[tasks[operation]].key);
  const insteadS = follow(run, state, nowS).readyS;
  const { readyS } = follow(run, { ...state, order }, nowS);
  return readyS + WORTH_S <= insteadS ? { order, readyS, insteadS } : undefined;
}
