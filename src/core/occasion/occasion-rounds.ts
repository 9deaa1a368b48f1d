import { Attendance } from '../schedule/attend';
import { byHandsS, type Starts } from '../schedule/workload';
import type { OccasionProgress, Steps } from './occasion-answer';
import type { Begun } from './occasion-begun';
import type { OccasionPlan } from './occasion-plan';

/** Effort is told in rounds, so that the same occasion always comes out the same; of a large one each round takes longer. */
const ROUNDS = 300;
const ROUNDS_THERE = 500;
const PROOF_TURNS = 500;
export const ROUNDS_AT_A_TIME = 5;
export const SEED = 1;
/** Tries at a first timetable, of those that the search has. */
export const TRIES = 3;
/** A timetable begins no longer than this before the event, s. */
export const AT_MOST_S = 30 * 86_400;

/** What a timetable is for the eye; undefined where it has a fault. */
type Told = (starts: Starts, leastS: number) => OccasionPlan | undefined;

/** About the timetable that is found in the end. */
export function* roughly({ backward, improver }: Begun, several: boolean): Generator<OccasionProgress, Starts> {
  for (let k = 0; k < ROUNDS / 4; k++) improver.round();
  yield { share: 0.35 };
  const starts = improver.best?.starts ?? [];
  if (!several) return starts;
  const search = new Attendance(backward, starts, SEED);
  for (let k = 0; k < ROUNDS_THERE / 4; k++) search.round();
  return search.best.starts;
}

/** All in one stretch: it begins as late as is found. */
export function* endSteps({ improver }: Begun, told: Told): Steps {
  let best = improver.best;
  let plan = best && told(best.starts, improver.leastS);
  for (let k = 0; k < ROUNDS && !improver.proven; k++) {
    if (k % ROUNDS_AT_A_TIME === 0) {
      if (best !== improver.best && improver.best) plan = told(improver.best.starts, improver.leastS);
      best = improver.best;
      yield { share: 0.3 + (0.7 * k) / ROUNDS, ...(plan ? { plan } : {}) };
    }
    improver.round();
  }
  improver.prove(PROOF_TURNS);
  plan = improver.best && told(improver.best.starts, improver.leastS);
  return plan ? { ok: true, plan } : { ok: false, why: { key: 'notFound', help: {} } };
}

/** Over several stays: as few minutes in them as are found. @param goesOn from a timetable that has few already */
export function* thereSteps({ backward, improver }: Begun, told: Told, goesOn: boolean): Steps {
  const leastS = byHandsS(backward);
  let plan = improver.best && told(improver.best.starts, leastS);
  yield { share: 0.35, ...(plan ? { plan } : {}) };
  for (let k = 0; k < ROUNDS / 4 && !goesOn; k++) {
    if (k % ROUNDS_AT_A_TIME === 0) yield { share: 0.35 };
    improver.round();
  }
  const search = new Attendance(backward, improver.best?.starts ?? [], SEED);
  let best = search.best;
  plan = told(best.starts, leastS);
  for (let k = 0; k < ROUNDS_THERE; k++) {
    if (k % ROUNDS_AT_A_TIME === 0) {
      if (best !== search.best) plan = told(search.best.starts, leastS);
      best = search.best;
      yield { share: 0.4 + (0.6 * k) / ROUNDS_THERE, ...(plan ? { plan } : {}) };
    }
    search.round();
  }
  plan = told(search.best.starts, leastS);
  return plan ? { ok: true, plan } : { ok: false, why: { key: 'notFound', help: {} } };
}
