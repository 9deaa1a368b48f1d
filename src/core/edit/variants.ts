import type { Casting, Variant } from '../record/casting';
import { LIMITS, within } from '../record/limits';
import { sourceKey, type MeltSource } from '../record/melting';
import { meltOf } from '../record/references';
import { piecesOfEach } from '../record/variants';
import { dropUnused, meltFrom } from './melting';

/** A variant of half of the pieces that are left as the casting is chosen, made as they are: what is otherwise is yet to be said. */
export function freshVariant(casting: Casting, id: string): Variant {
  const [left] = piecesOfEach(casting, casting.pieces);
  const taken = new Set(casting.variants.map(({ name }) => name));
  let n = casting.variants.length + 1;
  while (taken.has(`Variant ${n}`)) n++;
  return {
    id,
    name: `Variant ${n}`,
    pieces: within(LIMITS.pieces, Math.floor(left / 2)),
    melts: [],
    fillings: [],
    without: [],
  };
}

/** Makes a variant of another source wherever the casting has a melt, on a draft of it that may be written to; of the melt itself again for none. */
export function exchangeMelt(casting: Casting, variant: Variant, meltId: string, source: MeltSource | undefined): void {
  const others = variant.melts.filter((one) => one.meltId !== meltId);
  const same = source === undefined || sourceKey(source) === sourceKey(meltOf(casting, meltId).source);
  variant.melts = same ? others : [...others, { meltId, insteadId: meltFrom(casting, source, meltId).id }];
  dropUnused(casting);
}

/** Fills a layer of a variant with another filling; with the casting's own again for none. */
export function exchangeFilling(variant: Variant, layerId: string, fillingId: string | undefined): void {
  variant.fillings = [
    ...variant.fillings.filter((one) => one.layerId !== layerId),
    ...(fillingId === undefined ? [] : [{ layerId, fillingId }]),
  ];
}
