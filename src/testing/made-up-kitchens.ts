import { impossible } from '../core/schedule/impossible';
import { Improver } from '../core/schedule/improve';
import type { Lag, Occupation, Operation, Starts, Stay, Workload } from '../core/schedule/workload';

/** Numbers that follow from a seed (Park and Miller 1988). */
function numbers(seed: number): (from: number, to: number) => number {
  let state = (seed * 48271 + 11) % 2147483647;
  return (from, to) => {
    state = (state * 48271) % 2147483647;
    return from + (state % (to - from + 1));
  };
}

const MOLDS = 2;
const SHELF = 2;

/**
 * A small evening that nobody has planned, in whole minutes taken as seconds: two or three castings of coats and waits with lags both ways, in
 * two molds and on a shelf, by one or two people, every third one over two stays. Six to twelve operations; some of them cannot be.
 */
export function madeUpKitchen(seed: number): Workload {
  const number = numbers(seed);
  const operations: Operation[] = [];
  const lags: Lag[] = [];
  const occupations: Occupation[] = [];
  const begin = (seconds: number, hands: number): number =>
    operations.push({ id: `${operations.length}`, seconds, hands }) - 1;
  const most = (least: number): number | undefined => (number(0, 2) > 0 ? least + number(0, 6) : undefined);
  const castings = number(2, 3);
  for (let c = 0; c < castings; c++) {
    const coats = number(1, 2);
    const first = begin(number(2, 5), 1);
    let last = first;
    for (let k = 0; k <= coats; k++) {
      const next = begin(number(1, 4), k === coats ? 1 : number(0, 3) > 0 ? 1 : 0);
      const least = number(1, 8);
      lags.push({ from: last, to: next, least, most: most(least) });
      const shelf = number(0, 3);
      if (shelf > 0)
        occupations.push({
          resource: SHELF,
          amount: shelf,
          from: { operation: last, at: 'end' },
          to: { operation: next, at: 'start' },
        });
      last = next;
    }
    occupations.push({
      resource: number(0, MOLDS - 1),
      amount: 1,
      from: { operation: first, at: 'start' },
      to: { operation: last, at: 'end' },
    });
  }
  // Something that one casting waits for from another.
  if (number(0, 1) > 0) lags.push({ from: 0, to: operations.length - 1, least: 0, most: number(10, 40) });
  return {
    operations,
    lags,
    resources: [
      { name: 'one mold', capacity: 1 },
      { name: 'another mold', capacity: 1 },
      { name: 'shelf', capacity: 4 },
    ],
    occupations,
    people: number(1, 2),
    stays: seed % 3 === 0 ? twoStays(number) : [],
  };
}

/**
 * The same kitchen with one or two of its tasks held, up to four seconds later than a first timetable has them: some of them cannot be then.
 * Undefined where it cannot be as it is.
 */
export function heldKitchen(seed: number): Workload | undefined {
  const kitchen = madeUpKitchen(seed);
  const starts = timetableOf(kitchen, 1);
  if (!starts) return undefined;
  const number = numbers(seed + 1_000_000);
  const later = number(0, 4);
  const held = new Set(Array.from({ length: number(1, 2) }, () => number(0, starts.length - 1)));
  return {
    ...kitchen,
    operations: kitchen.operations.map((operation, i) =>
      held.has(i) ? { ...operation, heldAt: starts[i] + later + (number(0, 3) > 0 ? 0 : number(0, 2)) } : operation,
    ),
  };
}

/** The best that so many rounds find for a workload; nothing where no timetable is found. */
export function timetableOf(workload: Workload, seed: number, rounds = 0): Starts | undefined {
  if (impossible(workload)) return undefined;
  const improver = new Improver(workload, seed);
  if (improver.first() !== 'found') return undefined;
  for (let k = 0; k < rounds; k++) improver.round();
  return improver.best?.starts;
}

function twoStays(number: (from: number, to: number) => number): Stay[] {
  const leaves = number(8, 20);
  const returns = leaves + number(4, 20);
  return [
    { from: 0, to: leaves },
    { from: returns, to: returns + number(15, 40) },
  ];
}
