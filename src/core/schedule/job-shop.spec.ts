import { FISHER_THOMPSON_10, FISHER_THOMPSON_6, jobShop } from '../../testing/job-shops';
import { faultsOf } from './check';
import { Improver } from './improve';

// Fisher and Thompson (1963), as published in Muth and Thompson, Industrial Scheduling; the best ends from the literature, from memory.
describe('published job shops', () => {
  it('6 jobs on 6 machines end after 55, proven', () => {
    const shop = jobShop(FISHER_THOMPSON_6);
    const improver = new Improver(shop, 1);
    expect(improver.first()).toBe('found');
    improver.prove(100_000);
    expect(improver).toMatchObject({ proven: true, leastS: 55 });
    expect(improver.best?.endS).toBe(55);
    expect(faultsOf(shop, improver.best?.starts ?? [])).toEqual([]);
  });

  it('10 jobs on 10 machines come within 3 % of 930 in 1,000 rounds, never below it, the same for the same seed', () => {
    const shop = jobShop(FISHER_THOMPSON_10);
    const ends = [1, 2, 1].map((seed) => {
      const improver = new Improver(shop, seed);
      improver.first();
      for (let k = 0; k < 1000; k++) improver.round();
      expect(faultsOf(shop, improver.best?.starts ?? [])).toEqual([]);
      expect(improver.leastS).toBeLessThanOrEqual(930);
      return improver.best?.endS ?? Infinity;
    });
    expect(ends[2]).toBe(ends[0]);
    expect(Math.min(...ends)).toBeGreaterThanOrEqual(930);
    expect(Math.max(...ends)).toBeLessThanOrEqual(958);
  });
});
