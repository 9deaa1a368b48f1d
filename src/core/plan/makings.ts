import { chillNominal, type ChillResult } from '../chill/chill';
import type { Casting } from '../record/casting';
import { asVariant } from '../record/variants';
import { makingOf, type Making } from './making';
import type { PlanDraft } from './plan-types';

/** All that a worker is asked of a casting. */
export interface Makings {
  /** Of every part in the record's order, then those of variants that come out otherwise. */
  readonly makings: readonly Making[];
  /** Which of them a part is, by its place in the record: of the casting as chosen, then of each variant. */
  readonly at: readonly (readonly number[])[];
}

/** The makings of a casting: a variant of another colour alone is made as the others are, and asks for none of its own. */
export function makingsOf(casting: Casting): Makings {
  const makings = casting.parts.map((part) => makingOf(casting, part));
  const own = casting.parts.map((_, i) => i);
  const ofVariants = casting.variants.map((variant) => {
    const { parts } = asVariant(casting, variant);
    return parts.map((part, i) => {
      if (part === casting.parts[i]) return i;
      const making = makingOf(casting, part);
      const text = JSON.stringify(making);
      const same = makings.findIndex((one, k) => (k === i || k >= own.length) && JSON.stringify(one) === text);
      return same >= 0 ? same : makings.push(making) - 1;
    });
  });
  return { makings, at: [own, ...ofVariants] };
}

/** Where a casting's parts are among its makings. */
export function placesOf(casting: Casting): Makings['at'] {
  return casting.variants.length === 0 ? [casting.parts.map((_, i) => i)] : makingsOf(casting).at;
}

/** The chill of each of a draft's makings, by a function of what it is computed from; the nominal one without ranges. */
export function chillsOf(
  draft: PlanDraft,
  chill: (input: PlanDraft['chillInput']) => ChillResult = chillNominal,
): ChillResult[] {
  const inputs: PlanDraft['chillInput'][] = [];
  for (const { parts } of [draft, ...draft.variants.map((variant) => variant.draft)])
    for (const { makingAt, chillInput } of parts) inputs[makingAt] = chillInput;
  return inputs.map((input) => chill(input));
}
