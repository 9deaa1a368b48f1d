import { cassonAt40, type Fluidity } from '../matter/chocolate';
import { thinned } from '../matter/thinning';
import type { Melt } from './casting';
import type { Chocolate, Tint } from './chocolate';

/** A tint scaled to an amount, kg: of each chocolate, and of each colour. They sum to the amount. */
export function tintAmounts(
  { chocolates, colours }: Pick<Tint, 'chocolates' | 'colours'>,
  kg: number,
): { readonly chocolatesKg: readonly number[]; readonly coloursKg: readonly number[] } {
  const all = [...chocolates, ...colours].reduce((sum, { parts }) => sum + parts, 0);
  const of = (list: readonly { readonly parts: number }[]): number[] => list.map(({ parts }) => (kg * parts) / all);
  return { chocolatesKg: of(chocolates), coloursKg: of(colours) };
}

/** Shares by weight of each chocolate among the chocolates of a tint; they sum to 1. */
function chocolateShares(tint: Tint): readonly { readonly chocolateId: string; readonly share: number }[] {
  const { chocolatesKg } = tintAmounts({ ...tint, colours: [] }, 1);
  return tint.chocolates.map(({ chocolateId }, i) => ({ chocolateId, share: chocolatesKg[i] }));
}

/**
 * A tint as one chocolate: the bands of what it has most of, under the lowest ceiling; fat and flow mixed by weight
 * (flow by its logarithm, working rule); the allergens of all.
 */
export function tintAsChocolate(tint: Tint, chocolates: readonly Chocolate[]): Chocolate {
  const mixed = chocolateShares(tint).flatMap(({ chocolateId, share }) => {
    const chocolate = chocolates.find((candidate) => candidate.id === chocolateId);
    return chocolate ? [{ chocolate, share }] : [];
  });
  return {
    ...marbled(
      mixed.map(({ chocolate }) => chocolate),
      mixed.map(({ share }) => share),
    ),
    id: tint.id,
    name: tint.name,
    colour: tint.colour,
  };
}

/**
 * Chocolates mixed or streaked into each other as one: the kind and bands of what there is most of, under the lowest ceiling; fat and
 * flow mixed by weight (flow by its logarithm, working rule); the allergens of all.
 * @param chocolates one or more; @param shares by weight, one for each, in any measure
 */
export function marbled(chocolates: readonly Chocolate[], shares: readonly number[]): Chocolate {
  const main = chocolates[shares.indexOf(Math.max(...shares))];
  if (chocolates.length === 1) return main;
  const all = shares.reduce((sum, share) => sum + share, 0);
  const mean = (of: (chocolate: Chocolate) => number): number =>
    chocolates.reduce((sum, chocolate, i) => sum + (shares[i] / all) * of(chocolate), 0);
  return {
    ...main,
    ceilingC: Math.max(main.workToC, Math.min(...chocolates.map(({ ceilingC }) => ceilingC))),
    fatShare: mean(({ fatShare }) => fatShare),
    fluidity: {
      yieldPa: Math.exp(mean(({ fluidity }) => Math.log(Math.max(0.01, cassonAt40(fluidity).yieldPa)))),
      viscosityPas: Math.exp(mean(({ fluidity }) => Math.log(cassonAt40(fluidity).viscosityPas))),
    },
    allergens: [...new Set(chocolates.flatMap(({ allergens }) => allergens))],
  };
}

/** What is in the bowl: a chocolate or tint, thinned where it is. */
export function asMelted(chocolate: Chocolate, { thinning }: Pick<Melt, 'thinning'>): Chocolate {
  if (!thinning) return chocolate;
  const fluidity: Fluidity = thinned(chocolate.fluidity, thinning.share);
  return {
    ...chocolate,
    fluidity: fluidity as Chocolate['fluidity'],
    fatShare: Math.min(0.7, (chocolate.fatShare + thinning.share) / (1 + thinning.share)),
  };
}
