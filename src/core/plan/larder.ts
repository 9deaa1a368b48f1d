import { goodsKey, mixedOf } from '../record/references';
import { castsAlike } from './batch-input';
import { paintNeeds } from './painting';
import type { CastingPlan } from './plan-types';
import { castsOf, sortsOf } from './sorts';

/** One thing the job takes from the pantry or the shop. */
export interface LarderNeed {
  readonly name: string;
  /** The pantry's entry that it is, where it is one. */
  readonly entryId: string | undefined;
  readonly kind: 'chocolate' | 'filling' | 'other';
  /** To have at the start, kg, and of that what does not come back as it was. */
  readonly neededKg: number;
  readonly usedKg: number;
}

/** What of a melt has to be there, where others share it. */
export interface Taken {
  /** Of each thing that it is mixed of (`mixedOf`), as a share of what it is in the melt by itself. */
  readonly share: (component: string) => number;
  /** What of that is used up; where it is left out, all but what comes back from the melt by itself. */
  readonly usedShare?: number;
}

/** A melt by itself. */
export const ALONE: Taken = { share: () => 1 };

/**
 * Everything the job takes: each chocolate, in melts and fillings; each filling that is bought as it is; what recipes name besides; colours
 * and dusts that go into molds and on pieces.
 * @param taken what of a melt has to be there: less than by itself where others use what it gives back
 */
export function larderNeeds(plan: CastingPlan, taken: (meltId: string) => Taken = () => ALONE): LarderNeed[] {
  const { casting, batch, fillings } = plan;
  const needs = new Map<string, LarderNeed>();
  const add = (key: string, need: Omit<LarderNeed, 'neededKg' | 'usedKg'>, neededKg: number, usedKg: number): void => {
    const before = needs.get(key);
    needs.set(key, { ...need, neededKg: (before?.neededKg ?? 0) + neededKg, usedKg: (before?.usedKg ?? 0) + usedKg });
  };
  const other = (name: string, kg: number): void =>
    add(goodsKey(name), { name, entryId: undefined, kind: 'other' }, kg, kg);
  const named = (chocolateId: string): string => casting.chocolates.find(({ id }) => id === chocolateId)?.name ?? '';
  for (const melt of batch.melts) {
    const record = casting.melts.find(({ id }) => id === melt.meltId);
    if (!record) continue;
    const { share: takes, usedShare } = taken(melt.meltId);
    // Streaked with other colours, a tint, or thinned, it does not go back to what it was.
    const changed = melt.mixed || record.source.kind === 'tint' || record.thinning !== undefined;
    const back = changed ? 0 : melt.comesBack.value;
    for (const { component, name, chocolateId, share } of mixedOf(casting, record)) {
      const meltedKg = melt.melted.value * takes(component);
      const usedKg = usedShare === undefined ? Math.min(meltedKg, melt.melted.value - back) : meltedKg * usedShare;
      if (chocolateId === undefined) other(name, share * meltedKg);
      else add(chocolateId, { name, entryId: chocolateId, kind: 'chocolate' }, share * meltedKg, share * usedKg);
    }
  }
  for (const { components } of fillings) {
    for (const { name, chocolateId, fillingId, kg } of components) {
      if (chocolateId !== undefined)
        add(chocolateId, { name: named(chocolateId), entryId: chocolateId, kind: 'chocolate' }, kg, kg);
      else if (fillingId !== undefined) add(fillingId, { name, entryId: fillingId, kind: 'filling' }, kg, kg);
      else other(name, kg);
    }
  }
  const counts = castsAlike(batch);
  for (const { id } of casting.parts)
    for (const [i, { made }] of castsOf(plan, id, casting.pieces).entries())
      for (const { name, kg } of paintNeeds(made.preps, counts(id)[i] ?? 0)) other(name, kg);
  for (const { pieces, draft } of sortsOf(plan, casting.pieces))
    for (const { finish, material } of draft.finishes)
      if (material && (finish.kind === 'dust' || finish.kind === 'paint')) other(finish.name, material.value * pieces);
  return [...needs.values()];
}
