import { faultsOf } from './check';
import { Trial } from './trial';
import type { Workload } from './workload';

/** How deep calls may be nested here. */
function deepest(at = 0): number {
  try {
    return deepest(at + 1);
  } catch {
    return at;
  }
}

/** Calls something so many calls deep. */
function nested<T>(deep: number, call: () => T): T {
  return deep > 0 ? nested(deep - 1, call) : call();
}

describe('the exact search', () => {
  it('goes as deep as there are pairs to part, however many there are', () => {
    // Free to be done in any order by one pair of hands: 19,900 pairs, hardly any of them forced.
    const operations = Array.from({ length: 200 }, (_, i) => ({ id: String(i), seconds: 60, hands: 1 }));
    const workload: Workload = { operations, lags: [], resources: [], occupations: [], people: 1, stays: [] };
    const trial = new Trial(workload, 1);
    trial.anew();
    // Most of the room for nested calls is taken: what is left holds thousands of pairs no longer.
    expect(nested(Math.floor(0.8 * deepest()), () => trial.sequence.search(() => true, 10))).toBe(true);
    expect(trial.endS).toBe(200 * 60);
    expect(faultsOf(workload, trial.starts)).toEqual([]);
  });
});
