import { ALONE, larderNeeds, type LarderNeed, type Taken } from '../plan/larder';
import type { CastingPlan } from '../plan/plan-types';
import { goodsKey } from '../record/references';
import type { Bowl } from './bowls';

/** What some castings take: each of them, and all together. */
export interface OccasionNeeds {
  readonly all: readonly LarderNeed[];
  /** Its share of what several share. */
  readonly byCasting: Readonly<Record<string, readonly LarderNeed[]>>;
}

/**
 * Everything that some castings take, each thing once: what is melted for several of them in one bowl is counted as it is melted, so that a pool
 * which is tipped out and used again is bought once.
 */
export function occasionNeeds(plans: readonly CastingPlan[], bowls: readonly Bowl[]): OccasionNeeds {
  const all = new Map<string, LarderNeed>();
  const each = plans.map((plan) => larderNeeds(plan, (meltId) => takenFor(bowls, plan.casting.id, meltId)));
  for (const needs of each)
    for (const need of needs) {
      const key = need.entryId ?? goodsKey(need.name);
      const before = all.get(key);
      all.set(key, {
        ...need,
        neededKg: (before?.neededKg ?? 0) + need.neededKg,
        usedKg: (before?.usedKg ?? 0) + need.usedKg,
      });
    }
  return {
    all: [...all.values()],
    byCasting: Object.fromEntries(plans.map(({ casting }, i) => [casting.id, each[i]])),
  };
}

/** What of a casting's melt has to be there, and is used, beside what it would be were it melted by itself. */
function takenFor(bowls: readonly Bowl[], castingId: string, meltId: string): Taken {
  const at = bowls.findIndex(({ uses }) => uses.some((use) => use.castingId === castingId && use.meltId === meltId));
  const bowl = bowls[at];
  if (!bowl || bowl.apartKg <= 0) return ALONE;
  const { kg, apartKg, mix, leftKg, from } = bowl;
  if (from)
    return {
      share: (component) => {
        const own = mix.find((one) => one.component === component)?.share ?? 0;
        const added = from.added.find((one) => one.component === component)?.kg ?? 0;
        return own > 0 ? added / (own * apartKg) : 0;
      },
      usedShare: 1,
    };
  const passesOn = bowls.some((other) => other.from?.bowl === at);
  return { share: () => kg / apartKg, ...(passesOn ? { usedShare: 1 - leftKg / kg } : {}) };
}
