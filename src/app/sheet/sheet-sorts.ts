import { castsAlike } from '../../core/plan/batch-input';

import type { CastingPlan } from '../../core/plan/plan-types';
import { castsOf, sortsOf } from '../../core/plan/sorts';
import { chocolateOf, meltOf } from '../../core/record/references';
import { containsText } from '../wording/guest-tag';
import { sortsText, variantPrefix } from '../wording/inside';
import { listed } from '../wording/names';
import { fieldText } from '../wording/times';

/** How many pieces are of which variant: " (12 as chosen and 6 White ones)". */
export function sortsLead(plan: CastingPlan): string {
  const sorts = sortsOf(plan, plan.casting.pieces);
  return sorts.some(({ name }) => name !== undefined)
    ? ` (${listed(sorts.map(({ name, pieces }) => `${pieces} ${sortsText([name])}`))})`
    : '';
}

/** Parts that were cast before, with their day: " 12 × Half are there from 10 Oct 2026." */
export function thereText({ casting }: CastingPlan): string {
  return casting.parts
    .flatMap(({ name, there }) =>
      there ? [` ${there.parts} × ${name} are there${there.on ? ` from ${fieldText(there.on)}` : ''}.`] : [],
    )
    .join('');
}

/** What a coat of a part is poured of: "Quarry 64", and for variants that are cast of something else "White ones: Linen". */
export function pouredOf(plan: CastingPlan, partId: string, coat: number): string {
  return castsOf(plan, partId, plan.casting.pieces)
    .flatMap(({ names, made }) => {
      const shares = made.coatsMade.at(coat)?.shares;
      const chocolates = shares?.map(({ meltId }) => chocolateOf(plan.casting, meltOf(plan.casting, meltId)).name);
      return chocolates ? [variantPrefix(names) + chocolates.join(' streaked with ')] : [];
    })
    .join(', ');
}

/** How many of a part something is painted or dusted into, and where that is not all "as chosen: " before it. */
export function paintedIn(
  plan: CastingPlan,
  partId: string,
  stepId: string,
): { readonly of: string; readonly count: number } {
  const counts = castsAlike(plan.batch)(partId);
  const casts = castsOf(plan, partId, plan.casting.pieces).map((cast, i) => ({ ...cast, count: counts[i] ?? 0 }));
  const painted = casts.filter(({ made }) => made.preps.some(({ step }) => step.id === stepId));
  return {
    of: painted.length < casts.length ? `${sortsText(painted.flatMap(({ names }) => names))}: ` : '',
    count: painted.reduce((sum, { count }) => sum + count, 0),
  };
}

/** What variants contain: " White ones: contains milk." for each that there is a piece of. */
export function variantsContain(plan: CastingPlan): string {
  return sortsOf(plan, plan.casting.pieces)
    .flatMap(({ name, draft }) => (name === undefined ? [] : [` ${name}: ${containsText(draft.piece).toLowerCase()}.`]))
    .join('');
}
