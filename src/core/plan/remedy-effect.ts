import { chillNominal } from '../chill/chill';
import type { Casting } from '../record/casting';
import { copyOf } from '../record/copy';
import { draftPlan } from './draft';
import { makingOf } from './making';
import { finishPlan, type CastingPlan } from './plan';
import type { Problem } from './problems';
import { applyRemedy, type Remedy } from './remedy';
import { simulateMaking } from './simulate';

/** What a remedy would change in all, for the note that offers it. */
export interface RemedyEffect {
  readonly seconds: number;
  readonly kg: number;
  readonly breakChance: number;
}

/** Effects by the key of the problem whose remedy has them. */
export type RemedyEffects = ReadonlyMap<Problem['key'], RemedyEffect>;

/** Plans a casting, its shell simulated, by the nominal chill, and what each of its notes' remedies would change. */
export function remedyEffects(casting: Casting): RemedyEffects {
  const plan = simulatedPlan(casting);
  return new Map(plan.problems.flatMap(({ key, remedy }) => (remedy ? [[key, remedyEffect(plan, remedy)] as const] : [])));
}

/** Plans the casting with the remedy and gives the differences to now; NaN where a time is unbounded. */
export function remedyEffect(plan: CastingPlan, remedy: Remedy): RemedyEffect {
  const changed = copyOf(plan.casting);
  applyRemedy(changed, remedy, plan);
  const after = simulatedPlan(changed);
  const melted = (p: CastingPlan): number => p.batch.melts.reduce((sum, melt) => sum + melt.melted.value, 0);
  return { seconds: after.batch.total.value - plan.batch.total.value, kg: melted(after) - melted(plan), breakChance: after.coat.breakChance.value };
}

/** A plan with its shell as simulated and the nominal chill. */
export function simulatedPlan(casting: Casting): CastingPlan {
  const draft = draftPlan(casting, simulateMaking(makingOf(casting)).simulated);
  return finishPlan(draft, chillNominal(draft.chillInput));
}
