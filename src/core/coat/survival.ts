import type { ChocolateKind } from '../matter/chocolate';

/** Working rules, no source: first guess at what a 64 mm shell needs at the rim, and how kinds differ. */
const NEEDED_AT_64_MM = 0.0015;
const TOUGHNESS: Readonly<Record<ChocolateKind, number>> = { dark: 1, milk: 1, white: 1.05, compound: 0.85 };

/** Rim thickness a shell wants to survive unmolding, m; grows with the square root of its size. Working rule. */
export function neededRimM(spanM: number, kind: ChocolateKind): number {
  return NEEDED_AT_64_MM * Math.sqrt(spanM / 0.064) * TOUGHNESS[kind];
}

const FLOOR = 0.01353;
const A = -2.6276;
const B = -5.0901;

/**
 * Chance that a part breaks when it is unmolded, 0 to 1, from its rim over the rim it needs.
 * 8 % at 1, 50 % at 0.6, 2 % at 1.6. Working rule.
 */
export function breakChance(rimOverNeeded: number): number {
  if (rimOverNeeded <= 0) return 1;
  return FLOOR + (1 - FLOOR) / (1 + Math.exp(-(A + B * Math.log(rimOverNeeded))));
}
