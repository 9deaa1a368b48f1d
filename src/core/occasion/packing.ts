import type { Supply } from '../plan/supplies';
import type { Casting } from '../record/casting';
import type { SupplyKind, Wrap } from '../record/choices';
import { packedKey, type PackedSet } from '../record/occasion';
import { piecesOfEach } from '../record/variants';
import type { Work } from './work';

/** How a wrap is packed: by hand for each, and for each piece in it, s, and what they take. Working rules. */
interface WrapRow {
  readonly eachS: number;
  readonly pieceS: number;
  readonly each: readonly SupplyKind[];
  readonly piece: readonly SupplyKind[];
}

const WRAP_ROWS: Readonly<Record<Wrap, WrapRow>> = {
  bag: { eachS: 25, pieceS: 4, each: ['bag', 'tie', 'tag'], piece: [] },
  linerBag: { eachS: 25, pieceS: 7, each: ['bag', 'tie', 'tag'], piece: ['liner'] },
  box: { eachS: 40, pieceS: 7, each: ['box', 'tag'], piece: ['liner'] },
};

/** Adds the packing of what is in some sets: each once everything of its castings is done. */
export function addPacking(work: Work, sets: readonly PackedSet[]): void {
  const goOn = new Set(work.lags.map(({ from }) => from));
  const ends = work.tasks.flatMap(({ castingId }, i) =>
    castingId !== undefined && !goOn.has(i) ? [{ i, castingId }] : [],
  );
  for (const { id, count, wrap, contents } of sets) {
    const own = contents.filter(
      ({ castingId, pieces }) => pieces > 0 && ends.some((end) => end.castingId === castingId),
    );
    if (own.length === 0) continue;
    const { eachS, pieceS } = WRAP_ROWS[wrap];
    const ids = new Set(own.map((one) => one.castingId));
    const castingId = ids.size === 1 ? own[0].castingId : undefined;
    const pack = work.add({
      castingId,
      kind: 'pack',
      handsOn: true,
      seconds: count * (eachS + pieceS * piecesIn(own)),
      setId: id,
    });
    for (const end of ends) if (own.some((one) => one.castingId === end.castingId)) work.lag(end.i, pack, { least: 0 });
  }
}

/** What some sets are packed in. */
export function packingSupplies(sets: readonly PackedSet[]): readonly Supply[] {
  return sets.flatMap(({ count, wrap, contents }) => {
    const pieces = piecesIn(contents);
    if (pieces === 0) return [];
    const { each, piece } = WRAP_ROWS[wrap];
    return [
      ...each.map((kind): Supply => ({ kind, count })),
      ...piece.map((kind): Supply => ({ kind, count: count * pieces })),
    ];
  });
}

/** Pieces of a casting that are made alike, to be packed: as it is chosen, or one of its variants. */
export interface Packable {
  readonly castingId: string;
  readonly variantId?: string;
  /** The variant's; undefined for one that is not there any more. */
  readonly variant?: string | undefined;
  readonly pieces: number;
}

/** All that can be packed of some castings, and what is in a set and is not there any more: of a variant that was taken out. */
export function packablesOf(
  castings: readonly Pick<Casting, 'id' | 'pieces' | 'variants'>[],
  sets: readonly Pick<PackedSet, 'contents'>[],
): readonly Packable[] {
  return castings.flatMap(({ id: castingId, pieces, variants }): Packable[] => {
    const counts = piecesOfEach({ variants }, pieces);
    const gone = new Set(
      sets.flatMap(({ contents }) =>
        contents.flatMap((one) =>
          one.castingId === castingId && one.variantId !== undefined && !variants.some(({ id }) => id === one.variantId)
            ? [one.variantId]
            : [],
        ),
      ),
    );
    return [
      { castingId, pieces: counts[0] },
      ...variants.map(({ id: variantId, name: variant }, i) => ({
        castingId,
        variantId,
        variant,
        pieces: counts[i + 1],
      })),
      ...[...gone].map((variantId) => ({ castingId, variantId, pieces: 0 })),
    ];
  });
}

/** How many pieces of each are packed, and how many are left over; below 0, so many are short. */
export function packedOf<P extends Packable>(
  sets: readonly PackedSet[],
  packables: readonly P[],
): readonly (P & { readonly packed: number; readonly left: number })[] {
  return packables.map((one) => {
    const packed = sets.reduce(
      (sum, { count, contents }) =>
        sum + count * (contents.find((other) => packedKey(other) === packedKey(one))?.pieces ?? 0),
      0,
    );
    return { ...one, packed, left: one.pieces - packed };
  });
}

/** Makes a casting be of so many pieces of one sort more or less, on a draft of it that may be written to: of the others as many as before. */
export function castSo(casting: Casting, variantId: string | undefined, pieces: number): void {
  const counts = piecesOfEach(casting, casting.pieces);
  const at = 1 + casting.variants.findIndex(({ id }) => id === variantId);
  const variant = casting.variants.at(at - 1);
  if (at > 0 && variant) variant.pieces = pieces;
  casting.pieces += pieces - counts[at];
}

const piecesIn = (contents: PackedSet['contents']): number => contents.reduce((sum, { pieces }) => sum + pieces, 0);
