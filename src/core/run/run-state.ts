import { standing, type Mark } from './mark';

/** A reading of a bowl. */
export interface Reading {
  readonly atS: number;
  readonly value: number;
}

/** What a run's marks come to. */
export interface RunState {
  /** When each task was done, by its key, s since 1970 UTC. */
  readonly doneS: ReadonlyMap<string, number>;
  /** By how much each wait was made longer, s. */
  readonly longerS: ReadonlyMap<string, number>;
  /** What has been called: wait and moment. */
  readonly rung: ReadonlySet<string>;
  /** The last reading of each bowl, °C and kg. */
  readonly temperature: ReadonlyMap<number, Reading>;
  readonly weight: ReadonlyMap<number, Reading>;
  /** Until when the hands are away, s since 1970 UTC; undefined where they are there. Infinity while it is paused. */
  readonly awayUntilS: number | undefined;
  readonly pausedS: number | undefined;
  /** The order in which what was left then is done, by the tasks' keys; undefined where it is the plan's. */
  readonly order: readonly string[] | undefined;
  readonly endedS: number | undefined;
  readonly bookedS: number | undefined;
  /** The last mark that can be taken back. */
  readonly last: Mark | undefined;
  /** By how much the run's clock is ahead of the computer's, s. */
  readonly aheadS: number;
}

/** What is called, as `rung` names it. */
export const rungKey = (wait: string, at: 'due' | 'latest'): string => `${at} ${wait}`;

/** Marks that the run makes by itself, and that nobody takes back. */
const BY_ITSELF: ReadonlySet<Mark['kind']> = new Set(['rung', 'clock', 'order', 'takenBack', 'booked', 'verdict']);

/** Folds a run's marks, in their order, to its state. */
export function runState(marks: readonly Mark[]): RunState {
  const doneS = new Map<string, number>();
  const longerS = new Map<string, number>();
  const rung = new Set<string>();
  const temperature = new Map<number, Reading>();
  const weight = new Map<number, Reading>();
  let [awayUntilS, pausedS, endedS, bookedS]: (number | undefined)[] = [];
  let order: readonly string[] | undefined;
  let last: Mark | undefined;
  let aheadS = 0;
  for (const mark of standing(marks)) {
    const { atS } = mark;
    if (!BY_ITSELF.has(mark.kind)) last = mark;
    switch (mark.kind) {
      case 'done':
        if (!doneS.has(mark.task)) doneS.set(mark.task, atS);
        break;
      case 'temperature':
        temperature.set(mark.bowl, { atS, value: mark.c });
        break;
      case 'weight':
        weight.set(mark.bowl, { atS, value: mark.kg });
        break;
      case 'longer':
        longerS.set(mark.wait, (longerS.get(mark.wait) ?? 0) + mark.byS);
        // What was called is called again at its new time.
        rung.delete(rungKey(mark.wait, 'due'));
        rung.delete(rungKey(mark.wait, 'latest'));
        break;
      case 'rung':
        rung.add(rungKey(mark.wait, mark.at));
        break;
      case 'wrong':
        if (mark.forS !== undefined) awayUntilS = Math.max(awayUntilS ?? 0, atS + mark.forS);
        break;
      case 'paused':
        pausedS ??= atS;
        break;
      case 'goesOn':
        pausedS = undefined;
        break;
      case 'order':
        order = mark.tasks;
        break;
      case 'clock':
        aheadS = mark.aheadS;
        break;
      case 'ended':
        endedS = atS;
        break;
      case 'booked':
        bookedS = atS;
        break;
    }
  }
  return { doneS, longerS, rung, temperature, weight, awayUntilS, pausedS, order, endedS, bookedS, last, aheadS };
}
