/** What is left to buy of something once the pantry is looked into. */
export interface Shopping {
  readonly missingKg: number;
  readonly packs: number;
  /** In the currency of the price; undefined where no price is known. */
  readonly cost: number | undefined;
}

/**
 * Whole packs of what the pantry lacks, and their price.
 * @param neededKg wanted in all; @param stockKg what is there; @param packKg size of a pack, above 0
 */
export function shopping(neededKg: number, stockKg: number, packKg: number, packPrice: number | undefined): Shopping {
  const missingKg = Math.max(0, neededKg - stockKg);
  const packs = missingKg > 0 ? Math.ceil(missingKg / packKg - 1e-9) : 0;
  return { missingKg, packs, cost: packPrice === undefined ? undefined : packs * packPrice };
}
