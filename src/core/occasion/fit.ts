import { impossible } from '../schedule/impossible';
import { Improver } from '../schedule/improve';
import type { Starts, Workload } from '../schedule/workload';

/** A timetable, when it ends, and before when none can end, s. */
export interface Fitted {
  readonly starts: Starts;
  readonly endS: number;
  readonly leastS: number;
}

/** Effort is told in rounds, so that the same work always comes out the same; a round on more operations takes longer, so there are fewer. */
const MOST_ROUNDS = 400;
const ROUNDS_TIMES_OPERATIONS = 20_000;
const SEED = 1;
/** How often it may turn back while everything below the best is tried. */
const PROOF_TURNS = 500;

/** Fits a workload: as early an end as is found, and how far it can be from the earliest. Undefined where there is none. Some tenths of a second. */
export function fit(workload: Workload): Fitted | undefined {
  if (impossible(workload)) return undefined;
  const improver = new Improver(workload, SEED);
  if (improver.first() !== 'found') return undefined;
  // The first that is built is often the best, and then soon known to be.
  improver.prove(PROOF_TURNS);
  const rounds = Math.min(MOST_ROUNDS, ROUNDS_TIMES_OPERATIONS / workload.operations.length);
  for (let k = 0; k < rounds && !improver.proven; k++) improver.round();
  improver.prove(PROOF_TURNS);
  return improver.best && { ...improver.best, leastS: improver.leastS };
}
