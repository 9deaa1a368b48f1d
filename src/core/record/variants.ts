import type { Casting, Coat, Layer, Variant } from './casting';
import { fillingOf } from './references';

/** How many pieces are as the casting is chosen, then how many of each variant: each takes what is left for it, in its order. */
export function piecesOfEach({ variants }: Pick<Casting, 'variants'>, pieces: number): readonly number[] {
  let left = pieces;
  const taken = variants.map((variant) => {
    const own = Math.min(left, variant.pieces);
    left -= own;
    return own;
  });
  return [left, ...taken];
}

/** What goes into a piece, as the casting is chosen or as one of its variants has it: fillings by their names, from the bottom up, each once. */
export function insideOf(casting: Casting, variantId?: string): readonly string[] {
  const variant = casting.variants.find(({ id }) => id === variantId);
  const { fill } = variant ? asVariant(casting, variant) : casting;
  return [...new Set(fill.map(({ fillingId }) => fillingOf(casting, fillingId).name))];
}

/** Parts of a variant's casting of which nothing is made otherwise are the casting's own objects. */
export function asVariant(casting: Casting, variant: Variant): Casting {
  const { fillings, without } = variant;
  const instead = new Map(variant.melts.map(({ meltId, insteadId }) => [meltId, insteadId]));
  const exchanged = <T extends { readonly meltId: string }>(one: T): T =>
    instead.has(one.meltId) ? { ...one, meltId: instead.get(one.meltId) ?? one.meltId } : one;
  const kept = <T extends { readonly id: string }>(list: T[]): T[] =>
    list.some(({ id }) => without.includes(id)) ? list.filter(({ id }) => !without.includes(id)) : list;
  const melted = <T extends object>(one: T): T => ('meltId' in one ? exchanged(one as T & { meltId: string }) : one);
  return {
    ...casting,
    pieces: variant.pieces,
    variants: [],
    parts: casting.parts.map((part) => {
      const coats = mapped(part.coats, (coat) => coatWith(coat, exchanged));
      const prep = mapped(kept(part.prep), melted);
      return coats === part.coats && prep === part.prep ? part : { ...part, coats, prep };
    }),
    fill: casting.fill.map((layer): Layer => {
      const fillingId = fillings.find(({ layerId }) => layerId === layer.id)?.fillingId ?? layer.fillingId;
      return { ...layer, fillingId, ...(layer.dip ? { dip: exchanged(layer.dip) } : {}) };
    }),
    closure: casting.closure && exchanged(casting.closure),
    finishes: kept(casting.finishes).map(melted),
  };
}

/** A coat of other melts; shares that come to be of one melt are one share. */
function coatWith(coat: Coat, exchanged: (share: Coat['shares'][number]) => Coat['shares'][number]): Coat {
  const shares = mapped(coat.shares, exchanged);
  if (shares === coat.shares) return coat;
  const ofMelt = new Map<string, number>();
  for (const { meltId, share } of shares) ofMelt.set(meltId, (ofMelt.get(meltId) ?? 0) + share);
  return { ...coat, shares: [...ofMelt].map(([meltId, share]) => ({ meltId, share: Math.min(1, share) })) };
}

/** A list with every entry changed: itself, where none is. */
function mapped<T>(list: T[], change: (one: T) => T): T[] {
  const changed = list.map(change);
  return changed.every((one, i) => one === list[i]) ? list : changed;
}
