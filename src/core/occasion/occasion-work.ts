import { lightness } from '../matter/colour';
import { workOrder } from '../plan/batch-input';
import type { CastingPlan } from '../plan/plan-types';
import type { PackedSet } from '../record/occasion';
import { bowlsOf, BowlTurns, type Bowl } from './bowls';
import { addJob, whyNotFitted } from './job-workload';
import { MoldTurns } from './mold-turns';
import { addPacking } from './packing';
import { Work } from './work';

/** Why the work of some castings cannot be put together. */
export type NoWork =
  | { readonly key: 'empty' }
  /** It never sets where it is to set. */
  | { readonly key: 'endless'; readonly castingId: string }
  | { readonly key: 'tooMany' };

/** The work of some castings, and what is melted for it. */
export interface OccasionWork {
  readonly work: Work;
  readonly bowls: readonly Bowl[];
}

/** More operations than this are not fitted. */
const MOST_OPERATIONS = 900;

/**
 * Puts the work of some castings together: light colours before dark ones, a mold that several use in turn, a bowl for all melts that are
 * alike, or one for each.
 * @param making home-made fillings that have to stand at most so long are made with it, s
 * @param lastS a bowl is worked from for so long, s
 * @param sets what is packed together once it is done
 */
export function occasionWork(
  plans: readonly CastingPlan[],
  shared: boolean,
  making: number,
  lastS?: number,
  sets: readonly PackedSet[] = [],
): OccasionWork | NoWork {
  if (plans.length === 0) return { key: 'empty' };
  for (const plan of plans) {
    const why = whyNotFitted(plan);
    if (why) return why === 'endless' ? { key: why, castingId: plan.casting.id } : { key: why };
  }
  const work = new Work();
  const bowls = bowlsOf(plans, shared);
  const [turns, molds] = [new BowlTurns(work, bowls, lastS), new MoldTurns(work)];
  for (const plan of lightFirst(plans)) addJob(plan, work, turns, molds, making);
  addPacking(work, sets);
  return work.tasks.length > MOST_OPERATIONS ? { key: 'tooMany' } : { work, bowls };
}

/** Castings whose first chocolate is light before those whose is dark; of those alike the one listed first. */
function lightFirst(plans: readonly CastingPlan[]): readonly CastingPlan[] {
  const light = (plan: CastingPlan): number => lightness(workOrder(plan.parts)[0].chocolates[0].colour);
  return [...plans].sort((a, b) => light(b) - light(a));
}
