import { WORKING_RULES } from '../matter/working-rules';
import { tippedOut, type Method } from '../record/choices';

/** One coat as the batch weighs it. */
export interface CoatAmount {
  readonly coatId: string;
  readonly meltId: string;
  readonly method: Method;
  /** What stays in one cavity, kg. */
  readonly perPartKg: number;
}

export interface AmountsInput {
  readonly coats: readonly CoatAmount[];
  readonly parts: number;
  /** Parts one round gives, and those of one mold. */
  readonly perRound: number;
  readonly perMold: number;
  /** Chocolate that fills one cavity solid, kg. */
  readonly solidKg: number;
  /** Cavities poured and tipped out together; all of a mold's when left out. */
  readonly pouredTogether?: number;
}

/** One melt's chocolate for the whole job; melted = in parts + comes back + stuck, exactly. */
export interface MeltAmount {
  readonly meltId: string;
  readonly inPartsKg: number;
  readonly comesBackKg: number;
  readonly stuckKg: number;
  readonly meltedKg: number;
  /** What a full round takes when it is melted by itself. */
  readonly perRoundKg: number;
}

/**
 * What to melt, per melt: what stays in the parts, the pool that tipping out needs and gives back, and what sticks to bowl and tools.
 *
 * A tipped-out coat is poured to half the cavity, one chilled before it is tipped out to the brim, one mold at a time, so the last mold
 * still needs its pool in the bowl.
 */
export function meltAmounts(input: AmountsInput): MeltAmount[] {
  const meltIds = [...new Set(input.coats.map((coat) => coat.meltId))];
  return meltIds.map((meltId) => {
    const coats = input.coats.filter((coat) => coat.meltId === meltId);
    const perPart = coats.reduce((sum, coat) => sum + coat.perPartKg, 0);
    const together = Math.min(input.pouredTogether ?? input.perMold, input.parts);
    const pool = coats
      .filter((coat) => tippedOut(coat.method))
      .reduce((most, coat) => Math.max(most, together * ((coat.method === 'dump' ? WORKING_RULES.dumpPourShare : 1) * input.solidKg - coat.perPartKg)), 0);
    const inPartsKg = perPart * input.parts;
    const stuckKg = WORKING_RULES.stuckKg + WORKING_RULES.stuckShare * inPartsKg;
    const round = perPart * Math.min(input.perRound, input.parts);
    return {
      meltId,
      inPartsKg,
      comesBackKg: pool,
      stuckKg,
      meltedKg: inPartsKg + pool + stuckKg,
      perRoundKg: round + pool + WORKING_RULES.stuckKg + WORKING_RULES.stuckShare * round,
    };
  });
}
