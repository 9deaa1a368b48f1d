import type { SupplyKind, Supply } from '../plan/supplies';
import type { Casting } from '../record/casting';
import type { Wrap } from '../record/choices';
import type { PackedSet } from '../record/occasion';
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
    const castingId = own.length === 1 ? own[0].castingId : undefined;
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

/** Of each casting: how many pieces are packed, and how many are left over; below 0, so many are short. */
export function packedOf(
  sets: readonly PackedSet[],
  castings: readonly Pick<Casting, 'id' | 'pieces'>[],
): readonly { readonly castingId: string; readonly packed: number; readonly left: number }[] {
  return castings.map(({ id, pieces }) => {
    const packed = sets.reduce(
      (sum, { count, contents }) => sum + count * (contents.find(({ castingId }) => castingId === id)?.pieces ?? 0),
      0,
    );
    return { castingId: id, packed, left: pieces - packed };
  });
}

const piecesIn = (contents: PackedSet['contents']): number => contents.reduce((sum, { pieces }) => sum + pieces, 0);
