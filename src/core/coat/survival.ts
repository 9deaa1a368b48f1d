import type { ChocolateKind } from '../matter/chocolate';
import { MOLD_MATTER, type MoldMaterial } from '../matter/mold-material';

/** Working rules, no source: first guess at what a 64 mm shell needs at the rim, and how kinds differ. */
const NEEDED_AT_64_MM = 0.0015;
const TOUGHNESS: Readonly<Record<ChocolateKind, number>> = { dark: 1, milk: 1, white: 1.05, compound: 0.85 };

/** What is peeled out of a liner, or off a leaf or a balloon, is bent so much less on its way. Working rule. */
const PEELED_SHARE = 0.5;

/** Rim thickness a shell wants to survive being taken out, m; grows with the square root of its size. Working rule. */
export function neededRimM(spanM: number, kind: ChocolateKind, material: MoldMaterial): number {
  const bent = MOLD_MATTER[material].peeled ? PEELED_SHARE : 1;
  return NEEDED_AT_64_MM * Math.sqrt(spanM / 0.064) * TOUGHNESS[kind] * bent;
}

const FLOOR = 0.017;
const A = -3.085;
const B = -5.972;

/**
 * Chance that a part breaks when it is taken out, 0 to 1, from its rim over the rim it needs.
 * 6 % at 1, 9 % at 0.9, 50 % at 0.6, 2 % at 1.6. Working rule, on what people break: one in ten to twenty of a spooned coat of coating in a
 * 64 mm half, and many of one thin coat of a fluid chocolate.
 */
export function breakChance(rimOverNeeded: number): number {
  if (rimOverNeeded <= 0) return 1;
  return FLOOR + (1 - FLOOR) / (1 + Math.exp(-(A + B * Math.log(rimOverNeeded))));
}
