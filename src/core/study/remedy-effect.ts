import type { Casting } from '../record/casting';
import { copyOf } from '../record/copy';
import { fittedPlan } from '../occasion/fitted-job';
import { seenFrom } from '../plan/draft';
import { applyRemedy } from '../edit/remedy';
import { simulatedPlan } from '../plan/simulated-plan';
import type { CastingPlan, Problem, Remedy } from '../plan/plan-types';

/** What a remedy would change in all, for the note that offers it. */
export interface RemedyEffect {
  readonly seconds: number;
  readonly kg: number;
  readonly breakChance: number;
}

/** Effects by what tells the problem whose remedy has them from others. */
export type RemedyEffects = ReadonlyMap<string, RemedyEffect>;

/** What tells a problem of a plan from its others. */
export function problemId({ key, partId = '', variant = '', values }: Problem): string {
  return `${key} ${partId} ${variant} ${values['coat'] ?? ''}`;
}

/** Plans a casting, its shell simulated, by the nominal chill, its rounds in each other's waits, and what each of its notes' remedies would change. */
export function remedyEffects(casting: Casting): RemedyEffects {
  const plan = fittedPlan(simulatedPlan(casting));
  return new Map(
    plan.problems.flatMap((problem) =>
      problem.remedy
        ? [[problemId(problem), remedyEffect(seenFrom(plan, problem.partId), problem.remedy)] as const]
        : [],
    ),
  );
}

/** Plans the casting with the remedy and gives the differences to now; NaN where a time is unbounded. @param plan in the order that was found for it */
export function remedyEffect(plan: CastingPlan, remedy: Remedy): RemedyEffect {
  const changed = copyOf(plan.casting);
  applyRemedy(changed, remedy, plan);
  const after = fittedPlan(simulatedPlan(changed, plan.part.id));
  const melted = (p: CastingPlan): number => p.batch.melts.reduce((sum, melt) => sum + melt.melted.value, 0);
  return {
    seconds: after.batch.total.value - plan.batch.total.value,
    kg: melted(after) - melted(plan),
    breakChance: after.coat.breakChance.value,
  };
}
