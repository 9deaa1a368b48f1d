import * as fc from 'fast-check';
import { IN_ORDER, goThrough, happenings } from '../testing/made-up-runs';

/** All ten thousand go through `npm run faults`. */
const RUNS = 500;

describe('what is noted in a run', () => {
  it(`is kept, and its clocks true, through ${RUNS} made-up runs with kills, tabs, sleep, set clocks, a full store and a probe that fails or lies`, async () => {
    await fc.assert(
      fc.asyncProperty(happenings, (all) => goThrough(all)),
      { ...IN_ORDER, numRuns: RUNS },
    );
  });
});
