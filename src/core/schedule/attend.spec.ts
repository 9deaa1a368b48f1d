import fc from 'fast-check';
import { attendedAsProgram, attendedOf } from '../../testing/kitchen-as-program';
import { madeUpKitchen } from '../../testing/made-up-kitchens';
import { Attendance, usedStays } from './attend';
import { faultsOf } from './check';
import { impossible } from './impossible';
import { Improver } from './improve';
import { forward, reversed } from './reversed';
import { slack } from './slack';
import type { Starts, Workload } from './workload';

interface Highs {
  solve(program: string): { readonly Status: string; readonly ObjectiveValue: number };
}
const loadHighs = jest.requireActual<() => Promise<Highs>>('highs');

function firstOf(kitchen: Workload): Starts | undefined {
  if (impossible(kitchen)) return undefined;
  const improver = new Improver(kitchen, 1);
  return improver.first() === 'found' ? improver.best?.starts : undefined;
}

/** Kitchens of two stays that can be, the first so many. */
function overTwoStays(count: number): { readonly seed: number; readonly kitchen: Workload; readonly first: Starts }[] {
  const all: { seed: number; kitchen: Workload; first: Starts }[] = [];
  for (let seed = 3; all.length < count; seed += 3) {
    const kitchen = madeUpKitchen(seed);
    const first = firstOf(kitchen);
    if (first) all.push({ seed, kitchen, first });
  }
  return all;
}

describe('the fewest minutes in which somebody has to be there', () => {
  // Reference: HiGHS (Huangfu and Hall 2018) on the same kitchens, in a model written apart. More of them in the measurements of speed.
  it('are those of the mixed-integer optimum, and then the earliest end', async () => {
    const highs = await loadHighs();
    const found = overTwoStays(4).map(({ seed, kitchen, first }) => {
      const search = new Attendance(kitchen, first, 1);
      for (let k = 0; k < 2000; k++) search.round();
      const horizon = Math.max(...kitchen.stays.map(({ to }) => to)) + 15;
      const { ObjectiveValue } = highs.solve(attendedAsProgram(kitchen, horizon));
      const { attendedS, endS } = search.best;
      return { ours: { seed, attendedS, endS }, theirs: { seed, ...attendedOf(ObjectiveValue, horizon) } };
    });
    expect(found.map(({ ours }) => ours)).toEqual(found.map(({ theirs }) => theirs));
  });

  it('never grow, have no fault, and are never fewer than all hands need', () => {
    for (const { kitchen, first } of overTwoStays(60)) {
      const search = new Attendance(kitchen, first, 7);
      let before = search.best.attendedS;
      for (let k = 0; k < 40; k++) {
        search.round();
        expect(search.best.attendedS).toBeLessThanOrEqual(before);
        before = search.best.attendedS;
      }
      expect(faultsOf(kitchen, search.best.starts)).toEqual([]);
      expect(search.leastS).toBeLessThanOrEqual(before);
      expect(usedStays(kitchen, search.best.starts).some((stay) => stay)).toBe(true);
    }
  });

  it('come out the same for the same seed', () => {
    const [{ kitchen, first }] = overTwoStays(1);
    const ends = [1, 2].map(() => {
      const search = new Attendance(kitchen, first, 5);
      for (let k = 0; k < 300; k++) search.round();
      return search.best;
    });
    expect(ends[0]).toEqual(ends[1]);
  });
});

describe('work told backward', () => {
  it('has a timetable where the work has one, and it is one of the work', () => {
    let could = 0;
    fc.assert(
      fc.property(fc.integer({ min: 5000, max: 9000 }), (seed) => {
        const kitchen = madeUpKitchen(seed);
        const atS = 500;
        const backward = reversed(kitchen, atS);
        expect(reversed(backward, atS).lags).toEqual(kitchen.lags);
        const starts = firstOf(backward);
        if (!starts) return;
        could++;
        const onward = forward(backward, starts, atS);
        expect(faultsOf(kitchen, onward)).toEqual([]);
        expect(faultsOf(backward, forward(kitchen, onward, atS))).toEqual([]);
      }),
      { numRuns: 300 },
    );
    expect(could).toBeGreaterThan(120);
  });

  it('keeps what is held where it is, whichever way it is told', () => {
    let held = 0;
    for (let seed = 1; seed < 200; seed++) {
      const kitchen = madeUpKitchen(seed);
      const starts = firstOf(kitchen);
      if (!starts) continue;
      // A little later than it would be.
      const operations = kitchen.operations.map((one, i) => (i === 2 ? { ...one, heldAt: starts[i] + 1 } : one));
      const later = { ...kitchen, operations };
      const backward = reversed(later, 500);
      const found = firstOf(backward);
      const onward = found && forward(backward, found, 500);
      // What would have to begin before the first moment there is is no timetable told forward.
      if (!onward || Math.min(...onward) < 0) continue;
      held++;
      expect(onward[2]).toBe(starts[2] + 1);
      expect(faultsOf(later, onward)).toEqual([]);
      expect(faultsOf(later, starts)).toContainEqual({ key: 'notHeld', operation: 2 });
    }
    expect(held).toBeGreaterThan(25);
  });
});

describe('a timetable with its order kept', () => {
  it('is as early as it goes, and each may be put off by what is said, and no more', () => {
    let could = 0;
    for (let seed = 1; seed < 300; seed++) {
      const kitchen = { ...madeUpKitchen(seed), stays: [] };
      const starts = firstOf(kitchen);
      if (!starts) continue;
      could++;
      const end = Math.max(...starts.map((start, i) => start + kitchen.operations[i].seconds));
      const kept = slack(kitchen, starts, end + 5, () => false);
      expect(faultsOf(kitchen, kept.starts)).toEqual([]);
      expect(Math.min(...kept.mayWait)).toBeGreaterThanOrEqual(0);
      // Put off by as much as is said, each still ends in time.
      kept.starts.forEach((start, i) =>
        expect(start + kept.mayWait[i] + kitchen.operations[i].seconds).toBeLessThanOrEqual(end + 5),
      );
      // The end of all may be put off by just what is left.
      const ends = kept.starts.map((start, i) => start + kitchen.operations[i].seconds);
      expect(Math.min(...kept.mayWait)).toBeLessThanOrEqual(end + 5 - Math.max(...ends));
    }
    expect(could).toBeGreaterThan(150);
  });
});
