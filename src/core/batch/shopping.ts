import { answer, term, type Answer } from '../quantity/answer';

/** What is left to buy of something once the pantry is looked into, in kg, or in pieces where it is counted. */
export interface Shopping {
  readonly missing: number;
  readonly packs: number;
  /** The same as a figure with its working. */
  readonly packsAnswer: Answer;
  /** In the currency of the price; undefined where no price is known. */
  readonly cost: number | undefined;
  /** What the amount that is used costs, at the price of a pack. */
  readonly usedCost: number | undefined;
  /** What is there when the job is done: stock and packs bought, less what is used. */
  readonly left: number;
}

/**
 * Whole packs of what the pantry lacks, their price, what the job's own share of them costs, and what is left.
 * @param needed to have at the start; @param stock what is there; @param pack size of a pack, above 0
 * @param used of it what does not come back; the whole where it is left out
 */
export function shopping(
  needed: number,
  stock: number,
  pack: number,
  packPrice: number | undefined,
  used = needed,
  dimension: 'mass' | 'count' = 'mass',
): Shopping {
  const missing = Math.max(0, needed - stock);
  const packs = missing > 0 ? Math.ceil(missing / pack - 1e-9) : 0;
  return {
    missing,
    packs,
    packsAnswer: answer(packs, 'count', 'batch.packs', [
      term('wanted', needed, dimension),
      term('stock', stock, dimension),
      term('packSize', pack, dimension),
    ]),
    cost: packPrice === undefined ? undefined : packs * packPrice,
    usedCost: packPrice === undefined ? undefined : (used / pack) * packPrice,
    left: Math.max(0, stock + packs * pack - used),
  };
}
