import { answer, term, type Answer } from '../quantity/answer';

/** What is left to buy of something once the pantry is looked into. */
export interface Shopping {
  readonly missingKg: number;
  readonly packs: number;
  /** The same as a figure with its working. */
  readonly packsAnswer: Answer;
  /** In the currency of the price; undefined where no price is known. */
  readonly cost: number | undefined;
  /** What the amount that is used costs, at the price of a pack. */
  readonly usedCost: number | undefined;
  /** What is there when the job is done: stock and packs bought, less what is used. */
  readonly leftKg: number;
}

/**
 * Whole packs of what the pantry lacks, their price, what the job's own share of them costs, and what is left.
 * @param neededKg to have at the start; @param stockKg what is there; @param packKg size of a pack, above 0
 * @param usedKg of it what does not come back; the whole where it is left out
 */
export function shopping(
  neededKg: number,
  stockKg: number,
  packKg: number,
  packPrice: number | undefined,
  usedKg = neededKg,
): Shopping {
  const missingKg = Math.max(0, neededKg - stockKg);
  const packs = missingKg > 0 ? Math.ceil(missingKg / packKg - 1e-9) : 0;
  return {
    missingKg,
    packs,
    packsAnswer: answer(packs, 'count', 'batch.packs', [
      term('wanted', neededKg, 'mass'),
      term('stock', stockKg, 'mass'),
      term('packSize', packKg, 'mass'),
    ]),
    cost: packPrice === undefined ? undefined : packs * packPrice,
    usedCost: packPrice === undefined ? undefined : (usedKg / packKg) * packPrice,
    leftKg: Math.max(0, stockKg + packs * packKg - usedKg),
  };
}
