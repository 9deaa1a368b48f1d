import { lightness } from '../matter/colour';
import { workOrder } from '../plan/batch-input';
import type { CastingPlan } from '../plan/plan-types';
import type { PackedSet } from '../record/occasion';
import { bowlsOf, BowlTurns, type Bowl } from './bowls';
import { addJob, whyNotFitted } from './job-workload';
import { MoldTurns } from './mold-turns';
import { addLate, addTurns, inTurn, lateOf } from './in-turn';
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

/** A bowl for each melt; one for all that are alike; or besides, colours from one bowl in turn. */
export type Melting = 'apart' | 'shared' | 'inTurn';

/** More operations than this are not fitted. */
const MOST_OPERATIONS = 900;

/** How the work of some castings is put together. */
export interface Together {
  readonly melting: Melting;
  /** Home-made fillings that have to stand at most so long are made with it, s. */
  readonly makingS: number;
  /** A bowl is worked from for so long, s. */
  readonly lastS?: number | undefined;
  /** What is packed together once it is done. */
  readonly sets?: readonly PackedSet[];
  /** Castings that are cast from what the others leave of a bowl. */
  readonly fromLeft?: readonly string[];
}

/**
 * Puts the work of some castings together: light colours before dark ones, a mold that several use in turn, a bowl for all melts that are
 * alike, or one for each, or colours in turn.
 */
export function occasionWork(
  plans: readonly CastingPlan[],
  { melting, makingS, lastS, sets = [], fromLeft = [] }: Together,
): OccasionWork | NoWork {
  if (plans.length === 0) return { key: 'empty' };
  for (const plan of plans) {
    const why = whyNotFitted(plan);
    if (why) return why === 'endless' ? { key: why, castingId: plan.casting.id } : { key: why };
  }
  const built = (bowls: readonly Bowl[], late: readonly string[]): Work => {
    const work = new Work();
    const [turns, molds] = [new BowlTurns(work, bowls, lastS), new MoldTurns(work)];
    for (const plan of lightFirst(plans)) addJob(plan, work, turns, molds, makingS);
    addPacking(work, sets);
    addTurns(work, bowls);
    addLate(work, bowls, late);
    return work;
  };
  const plain = bowlsOf(plans, melting !== 'apart');
  const first = built(plain, []);
  const late = lateOf(first, plain, fromLeft);
  const own = late.length > 0 ? bowlsOf(plans, melting !== 'apart', late) : plain;
  const bowls = melting === 'inTurn' ? inTurn(own, first) : own;
  const work = bowls === plain ? first : built(bowls, late);
  return work.tasks.length > MOST_OPERATIONS ? { key: 'tooMany' } : { work, bowls };
}

/** Castings whose first chocolate is light before those whose is dark; of those alike the one listed first. */
function lightFirst(plans: readonly CastingPlan[]): readonly CastingPlan[] {
  const light = (plan: CastingPlan): number => lightness(workOrder(plan.parts)[0].chocolates[0].colour);
  return [...plans].sort((a, b) => light(b) - light(a));
}
