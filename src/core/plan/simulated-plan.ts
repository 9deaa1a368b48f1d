import type { Casting } from '../record/casting';
import { draftPlan } from './draft';
import { chillsOf, makingsOf } from './makings';
import { finishPlan } from './plan';
import type { CastingPlan } from './plan-types';
import { simulateMaking } from './simulate';

/** A plan with its shell as simulated and the nominal chill, one round after the other. @param seen the part it is seen from */
export function simulatedPlan(casting: Casting, seen?: string): CastingPlan {
  const draft = draftPlan(
    casting,
    makingsOf(casting).makings.map((making) => simulateMaking(making).simulated),
    seen,
  );
  return finishPlan(draft, chillsOf(draft));
}
