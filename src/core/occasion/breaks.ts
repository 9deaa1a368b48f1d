import { usedStays } from '../schedule/attend';
import type { Starts, Stay, Workload } from '../schedule/workload';

/** Who is there for longer than this has a break. Working rule. */
export const BREAK_AFTER_S = 2 * 3600;
/** Of the moments at which a break could begin so many are tried, those nearest to the middle first. */
const MOMENTS = 12;

/** When somebody is there, s: by the stays, or all of it where none are said; none in which nothing is done by hand. */
export function stretchesOf(workload: Workload, starts: Starts): readonly Stay[] {
  const whole = { from: -Infinity, to: Infinity };
  const stays = workload.stays.length > 0 ? workload.stays : [whole];
  return usedStays({ ...workload, stays }, starts).flatMap((stay) => stay ?? []);
}

/** The stretches that are long enough for a break. */
export function longStretches(workload: Workload, starts: Starts): readonly Stay[] {
  return stretchesOf(workload, starts).filter(({ from, to }) => to - from > BREAK_AFTER_S);
}

/** Where in a stretch a break belongs that makes it longer by as much: in the middle third. */
export function middleOf({ from, to }: Stay, breakS: number): Stay {
  const third = Math.round((to - from) / 3);
  return { from: from + third, to: to - third + breakS };
}

/**
 * A timetable with a break in it, told as its last operation, at each of some moments of a stretch when nobody is at anything: what came after it comes
 * later by as much. Its lags may not bear that; its order is one to go on from.
 */
export function withBreakAt({ operations }: Workload, starts: Starts, stretch: Stay, breakS: number): Starts[] {
  const ends = (i: number): number => starts[i] + operations[i].seconds;
  const byHand = operations.flatMap(({ hands }, i) =>
    hands > 0 && starts[i] >= stretch.from && ends(i) <= stretch.to ? [i] : [],
  );
  const middle = (stretch.from + stretch.to) / 2;
  return byHand
    .map(ends)
    .filter((at) => at < stretch.to && !byHand.some((i) => starts[i] < at && ends(i) > at))
    .sort((a, b) => Math.abs(a - middle) - Math.abs(b - middle))
    .slice(0, MOMENTS)
    .map((at) => [...starts.map((start) => (start >= at ? start + breakS : start)), at]);
}
