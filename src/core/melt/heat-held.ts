import { CHOCOLATE_SPECIFIC_HEAT, latentHeat, type ChocolateKind } from '../matter/chocolate';

/** What heating up a chocolate depends on. */
export interface Meltable {
  /** 0 to 1; 0 for what has melted already. */
  readonly fatShare: number;
  /** It begins to melt at `solidToC` and is melted at `meltedFromC`, °C. */
  readonly solidToC: number;
  readonly meltedFromC: number;
}

/** Melting interval of chocolate in temper, °C: milk fat lowers it; and of coating, whose packet says where it may be worked. From memory. */
const MELTED_FROM_C = { dark: 34, milk: 32.8, white: 32.8 };
const MELTS_OVER_K = 4;
const COATING_MELTED_AT_MOST_C = 36;

/** How a kind of chocolate melts. Coating is melted where its packet lets it be worked. */
export function meltable(kind: ChocolateKind, fatShare: number, workFromC: number): Meltable {
  const meltedFromC = kind === 'compound' ? Math.min(COATING_MELTED_AT_MOST_C, workFromC) : MELTED_FROM_C[kind];
  return { fatShare, meltedFromC, solidToC: meltedFromC - MELTS_OVER_K };
}

/**
 * Share of the fat that is melted in equilibrium while heating, 0 to 1, linear over the melting interval.
 * Melting lies above setting: set chocolate does not melt again where melted chocolate sets. Working rule.
 */
export function meltedShare({ solidToC, meltedFromC }: Meltable, temperatureC: number): number {
  return Math.min(1, Math.max(0, (temperatureC - solidToC) / (meltedFromC - solidToC)));
}

/** Heat held by a kilogram of chocolate against solid at 0 °C, J/kg, on the way up. */
export function heatHeld(chocolate: Meltable, temperatureC: number): number {
  return CHOCOLATE_SPECIFIC_HEAT * temperatureC + latentHeat(chocolate.fatShare) * meltedShare(chocolate, temperatureC);
}
