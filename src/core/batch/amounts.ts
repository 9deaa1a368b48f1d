import { type Method, tippedOut } from '../record/method';

/** A share of a coat's chocolate from one melt. */
export interface MeltShare {
  readonly meltId: string;
  readonly share: number;
}

/** One coat as the batch weighs it. */
export interface CoatAmount {
  readonly coatId: string;
  /** One melt, or several streaked into each other; the shares sum to 1. */
  readonly shares: readonly MeltShare[];
  readonly method: Method;
  /** What stays in one cavity, and what drips off it for good, kg. */
  readonly perPartKg: number;
  readonly dripsKg: number;
  /** What is poured into one cavity before it is tipped out, kg; what stays where it is not. */
  readonly pouredKg: number;
}

/** Parts that are cast alike, with how many they are. */
export interface PartAmount {
  readonly coats: readonly CoatAmount[];
  readonly parts: number;
  /** Most of them that one round casts. */
  readonly perRound: number;
  /** Cavities of one mold: what is poured and tipped out together. */
  readonly perMold: number;
}

/** Chocolate that goes into empty molds or on pieces, kg in all and for those of the fullest round, from one melt. */
export interface OnPieces {
  readonly meltId: string;
  readonly use: 'painting' | 'dipping' | 'closing' | 'finishing';
  readonly kg: number;
  readonly perRoundKg: number;
}

export interface AmountsInput {
  readonly parts: readonly PartAmount[];
  readonly onPieces: readonly OnPieces[];
  /** What sticks to bowl and tools of so many kg of a melt that are worked, kg. */
  readonly stuckKg: (meltId: string, kg: number) => number;
}

/** One melt's chocolate for the whole job; melted = in parts + painting + dipping + closing + finishing + comes back + stuck + drips, exactly. */
export interface MeltAmount {
  readonly meltId: string;
  readonly inPartsKg: number;
  readonly paintingKg: number;
  readonly dippingKg: number;
  readonly closingKg: number;
  readonly finishingKg: number;
  /** Painting, dipping, closing and finishing of the fullest round. */
  readonly paintingPerRoundKg: number;
  readonly dippingPerRoundKg: number;
  readonly closingPerRoundKg: number;
  readonly finishingPerRoundKg: number;
  readonly comesBackKg: number;
  /** It comes back streaked with other melts, and is one colour no more. */
  readonly mixed: boolean;
  readonly stuckKg: number;
  readonly dripsKg: number;
  readonly meltedKg: number;
  /** What the fullest round takes when it is melted by itself. */
  readonly perRoundKg: number;
}

/**
 * What to melt, per melt in the order of its use: what stays in the parts and goes on the pieces, the pool that tipping out needs and
 * gives back, what drips off for good, and what sticks to bowl and tools.
 *
 * Coats that are tipped out are poured one mold at a time, so the last mold still needs its pool in the bowl.
 */
export function meltAmounts(input: AmountsInput): MeltAmount[] {
  const meltIds = [
    ...new Set([
      ...input.onPieces.filter(({ use }) => use === 'painting').map(({ meltId }) => meltId),
      ...input.parts.flatMap(({ coats, parts }) =>
        parts > 0 ? coats.flatMap(({ shares }) => shares.map(({ meltId }) => meltId)) : [],
      ),
      ...input.onPieces.map(({ meltId }) => meltId),
    ]),
  ];
  return meltIds.map((meltId) => meltAmount(input, meltId));
}

function meltAmount({ parts, onPieces, stuckKg: sticks }: AmountsInput, meltId: string): MeltAmount {
  let [inPartsKg, dripsKg, comesBackKg, roundKg, roundDripsKg, mixed] = [0, 0, 0, 0, 0, false];
  for (const part of parts) {
    for (const coat of part.coats) {
      const share = shareOf(coat, meltId);
      if (share === 0) continue;
      inPartsKg += share * coat.perPartKg * part.parts;
      dripsKg += share * coat.dripsKg * part.parts;
      roundKg += share * coat.perPartKg * part.perRound;
      roundDripsKg += share * coat.dripsKg * part.perRound;
      const pool = share * poolKg(coat, Math.min(part.perMold, part.parts));
      if (pool > comesBackKg) [comesBackKg, mixed] = [pool, coat.shares.length > 1];
    }
  }
  const on = (use: OnPieces['use'], of: 'kg' | 'perRoundKg'): number =>
    onPieces.reduce((sum, one) => sum + (one.meltId === meltId && one.use === use ? one[of] : 0), 0);
  const used = (of: 'kg' | 'perRoundKg') => [
    on('painting', of),
    on('dipping', of),
    on('closing', of),
    on('finishing', of),
  ];
  const [paintingKg, dippingKg, closingKg, finishingKg] = used('kg');
  const [paintingPerRoundKg, dippingPerRoundKg, closingPerRoundKg, finishingPerRoundKg] = used('perRoundKg');
  const workedKg = inPartsKg + paintingKg + dippingKg + closingKg + finishingKg + comesBackKg + dripsKg;
  const inRoundKg =
    roundKg +
    paintingPerRoundKg +
    dippingPerRoundKg +
    closingPerRoundKg +
    finishingPerRoundKg +
    comesBackKg +
    roundDripsKg;
  const stuckKg = sticks(meltId, workedKg);
  return {
    meltId,
    inPartsKg,
    paintingKg,
    dippingKg,
    closingKg,
    finishingKg,
    paintingPerRoundKg,
    dippingPerRoundKg,
    closingPerRoundKg,
    finishingPerRoundKg,
    comesBackKg,
    mixed,
    stuckKg,
    dripsKg,
    meltedKg: workedKg + stuckKg,
    perRoundKg: inRoundKg + sticks(meltId, inRoundKg),
  };
}

function shareOf({ shares }: CoatAmount, meltId: string): number {
  return shares.reduce((sum, one) => sum + (one.meltId === meltId ? one.share : 0), 0);
}

/** What has to be poured beyond what stays, into so many cavities together, kg. */
function poolKg({ method, perPartKg, pouredKg }: CoatAmount, together: number): number {
  return tippedOut(method) ? Math.max(0, together * (pouredKg - perPartKg)) : 0;
}
