// Ten thousand made-up runs of the bench with all that can go wrong with a browser in the middle of one: `npm run faults`.
import fc from 'fast-check';
import { goThrough, happenings, IN_ORDER, type Counts } from '../src/testing/made-up-runs';

const RUNS = 10_000;
const counts: Counts = {};

await fc.assert(
  fc.asyncProperty(happenings, (all) => goThrough(all, counts)),
  { ...IN_ORDER, numRuns: RUNS },
);
console.log(
  `${RUNS} made-up runs: nothing noted was lost or came twice, no call was lost or made twice, no clock was wrong, no reading counted that was not the bowl’s.`,
);
for (const [what, count] of Object.entries(counts).sort(([, a], [, b]) => b - a))
  console.log(`${what.padEnd(10)} ${count}`);
