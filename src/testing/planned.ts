import { chillCasting } from '../core/chill/chill';
import { draftPlan } from '../core/plan/draft';
import { chillsOf, makingsOf } from '../core/plan/makings';
import { finishPlan } from '../core/plan/plan';
import { simulateMaking } from '../core/plan/simulate';
import type { Casting } from '../core/record/casting';
import type { CastingPlan } from '../core/plan/plan-types';

/** A casting planned by the nominal chill, seen from its first part; by the closed form, or its shells simulated. */
export function planned(casting: Casting, simulated = false): CastingPlan {
  const draft = draftPlan(
    casting,
    simulated ? makingsOf(casting).makings.map((making) => simulateMaking(making).simulated) : [],
  );
  return finishPlan(draft, chillsOf(draft));
}

/** By the closed form and the chill with its ranges. */
export function plannedInFull(casting: Casting): CastingPlan {
  const draft = draftPlan(casting);
  return finishPlan(draft, chillsOf(draft, chillCasting));
}

/** With made-up stays, for what does not depend on them: hundreds of castings in the time of one that is chilled. */
export function plannedUnchilled(casting: Casting): CastingPlan {
  const minutes = (value: number) => ({ value: 60 * value, low: 60 * value, high: 60 * value });
  const draft = draftPlan(casting);
  return finishPlan(
    draft,
    chillsOf(draft, (chillInput) => ({
      coats: chillInput.coats.map(({ place }) => {
        const times = { holds: minutes(4), touch: minutes(5), unmold: minutes(10), latest: minutes(20) };
        const chosen = { place, ...times, equilibrium: 1 };
        return { chosen, places: [chosen], surfaceC: 10, ready: { holds: true, touch: true, unmold: true } };
      }),
    })),
  );
}
