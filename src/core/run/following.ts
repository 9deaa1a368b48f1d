import type { Run } from './run-record';
import type { RunState } from './run-state';
import { waitsOf } from './run-waits';

/** What of a run it is moved by. */
type Followable = Pick<Run, 'tasks' | 'lags' | 'waits' | 'there' | 'people'>;

/** When what is still to be done is done now. By the tasks' places in the run; s since 1970 UTC. */
export interface Followed {
  /** Of what is done: when it began, as near as is known. */
  readonly startS: readonly number[];
  readonly endS: readonly number[];
  /** Not done yet. */
  readonly open: readonly boolean[];
  readonly readyS: number;
}

/**
 * Moves a run to what really happened: what is done stays where it was, everything else follows in the order of the plan, or in the one that
 * was found since, as early as waits and hands let it, and nothing open begins before now. Work of a later stretch in the kitchen does not begin before that stretch, and a bowl is melted no sooner than
 * what is cast from it wants. Most lags are not kept by force: what is too late by them is told by its clock.
 *
 * One pass over tasks and lags; the order in molds and on shelves is kept, which the plan's lags say.
 */
export function follow(
  run: Followable,
  state: Pick<RunState, 'doneS' | 'longerS' | 'awayUntilS' | 'order'>,
  nowS: number,
): Followed {
  const { tasks, people } = run;
  const longer = longerBy(run, state);
  const open = tasks.map(({ key }) => !state.doneS.has(key));
  const startS = tasks.map(() => 0);
  const endS = tasks.map(({ key }) => state.doneS.get(key) ?? 0);
  const freeS = Array.from({ length: people }, () => Math.max(nowS, state.awayUntilS ?? 0));
  const before = lagsTo(run);
  const held = heldBack(run, open);
  const order = orderOf(run, state);
  for (const i of order) {
    const task = tasks[i];
    if (!open[i]) {
      startS[i] = Math.min(endS[i], Math.max(endS[i] - task.seconds, ...before[i].map(({ from }) => endS[from])));
      continue;
    }
    const waited = Math.max(0, ...before[i].map((lag) => endS[lag.from] + lag.least + (longer.get(pairOf(lag)) ?? 0)));
    const person = task.person % people;
    if (!task.handsOn) {
      // It is over by itself; nobody has to say so.
      startS[i] = before[i].length > 0 ? waited : Math.max(waited, nowS);
      endS[i] = startS[i] + task.seconds + (state.longerS.get(task.key) ?? 0);
      open[i] = endS[i] > nowS || before[i].some(({ from }) => open[from]);
      continue;
    }
    const hands = task.kind === 'break' ? Math.max(...freeS) : freeS[person];
    startS[i] = Math.max(waited, hands, held[i]);
    endS[i] = startS[i] + task.seconds;
    if (task.kind === 'break') freeS.fill(endS[i]);
    else freeS[person] = endS[i];
  }
  meltWhenWanted(run, order, open, startS, endS);
  return { startS, endS, open, readyS: Math.max(...endS) };
}

/** What a lag is called by its two tasks. */
export const pairOf = ({ from, to }: { readonly from: number; readonly to: number }): string => `${from} ${to}`;

/**
 * The tasks in the order in which they are done: that of the plan, with what has been put into another order since in its places. One that would
 * have something done before what it waits for, as after a mark was taken back, is left aside.
 */
function orderOf({ tasks, lags }: Followable, { order = [] }: Pick<RunState, 'order'>): readonly number[] {
  const planned = [...tasks.keys()];
  if (order.length === 0) return planned;
  const byKey = new Map(tasks.map(({ key }, i) => [key, i]));
  const moved = order.flatMap((key) => byKey.get(key) ?? []);
  const movable = new Set(moved);
  let next = 0;
  const found = planned.map((i) => (movable.has(i) ? moved[next++] : i));
  const rank = new Map(found.map((i, at) => [i, at]));
  const holds = lags.every(({ from, to }) => (rank.get(from) ?? 0) <= (rank.get(to) ?? 0));
  return holds && rank.size === tasks.length ? found : planned;
}

/** By how much waits between two tasks were made longer, s, by their pair. */
export function longerBy(run: Followable, { longerS }: Pick<RunState, 'longerS'>): ReadonlyMap<string, number> {
  if (longerS.size === 0) return new Map();
  return new Map(
    waitsOf(run).flatMap(({ key, from, to, task }) =>
      task === undefined && to !== undefined && longerS.has(key) ? [[pairOf({ from, to }), longerS.get(key) ?? 0]] : [],
    ),
  );
}

/** By task, what it waits for. */
function lagsTo({ tasks, lags }: Followable): readonly Run['lags'][] {
  const to: Run['lags'][number][][] = tasks.map(() => []);
  for (const lag of lags) to[lag.to].push(lag);
  return to;
}

/** By task, the first moment of its stretch in the kitchen; of the stretch that is being worked through, none. */
function heldBack({ tasks, there }: Followable, open: readonly boolean[]): readonly number[] {
  const stretchOf = (startS: number): number => there.findIndex(({ from, to }) => startS >= from && startS < to);
  const next = tasks.findIndex((task, i) => open[i] && task.handsOn);
  const present = next < 0 ? -1 : stretchOf(tasks[next].startS);
  return tasks.map((task) => {
    const stretch = stretchOf(task.startS);
    return stretch > present ? there[stretch].from : 0;
  });
}

/** Puts off what is melted to when it is wanted, as far as the same hands have nothing else to do then. */
function meltWhenWanted(
  { tasks, lags, people }: Followable,
  order: readonly number[],
  open: readonly boolean[],
  startS: number[],
  endS: number[],
): void {
  for (let at = order.length - 1; at >= 0; at--) {
    const i = order[at];
    if (!open[i] || tasks[i].kind !== 'melt') continue;
    const wanted = lags.filter(({ from }) => from === i).map(({ to, least }) => startS[to] - least);
    const next = order.find(
      (k, after) => after > at && open[k] && tasks[k].handsOn && tasks[k].person % people === tasks[i].person % people,
    );
    const until = Math.min(...wanted, next === undefined ? Infinity : startS[next]);
    if (!Number.isFinite(until) || until <= endS[i]) continue;
    startS[i] = until - tasks[i].seconds;
    endS[i] = until;
  }
}
