import { madeUpKitchen } from '../../testing/made-up-kitchens';
import { faultsOf } from './check';
import { impossible } from './impossible';
import { Improver } from './improve';
import type { Workload } from './workload';

/** Several kitchens as jobs of one, in the same molds, on the same shelf, by the same hands; and what they take one after the other. */
function joined(seeds: readonly number[], people: number): { readonly workload: Workload; readonly apart: number } {
  const parts = seeds.flatMap((seed) => {
    const kitchen: Workload = { ...madeUpKitchen(seed), people, stays: [] };
    const improver = new Improver(kitchen, seed);
    return !impossible(kitchen) && improver.first() === 'found' ? [{ kitchen, endS: improver.best?.endS ?? 0 }] : [];
  });
  let first = 0;
  const shifted = parts.map(({ kitchen: { operations, lags, occupations } }, job) => {
    const by = first;
    first += operations.length;
    return {
      operations: operations.map((operation) => ({ ...operation, id: `${job} ${operation.id}` })),
      lags: lags.map((lag) => ({ ...lag, from: lag.from + by, to: lag.to + by })),
      occupations: occupations.map((one) => ({
        ...one,
        from: { ...one.from, operation: one.from.operation + by },
        to: { ...one.to, operation: one.to.operation + by },
      })),
      jobs: operations.map(() => job),
    };
  });
  return {
    workload: {
      ...parts[0].kitchen,
      operations: shifted.flatMap(({ operations }) => operations),
      lags: shifted.flatMap(({ lags }) => lags),
      occupations: shifted.flatMap(({ occupations }) => occupations),
      jobs: shifted.flatMap(({ jobs }) => jobs),
    },
    apart: parts.reduce((sum, { endS }) => sum + endS, 0),
  };
}

describe('a timetable built of many jobs', () => {
  it('has no fault by the checker, and takes no longer than one after the other', () => {
    for (let k = 0; k < 20; k++) {
      const seeds = Array.from({ length: 30 }, (_, i) => 10_000 + 100 * k + i);
      const { workload, apart } = joined(seeds, 1 + (k % 2));
      // More than are built at once.
      expect(workload.operations.length).toBeGreaterThan(160);
      const improver = new Improver(workload, k);
      expect(improver.first()).toBe('found');
      const { starts, endS } = improver.best ?? { starts: [], endS: NaN };
      expect(faultsOf(workload, starts)).toEqual([]);
      expect(endS).toBeLessThanOrEqual(apart);
      expect(endS).toBeGreaterThanOrEqual(improver.leastS);
      improver.round();
      expect(faultsOf(workload, improver.best?.starts ?? [])).toEqual([]);
    }
  });
});
