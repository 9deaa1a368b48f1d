import { CHOCOLATE_SPECIFIC_HEAT, latentHeat, type ChocolateKind } from '../matter/chocolate';

/** What heating up a chocolate depends on. */
export interface Meltable {
  /** 0 to 1; 0 for what has melted already. */
  readonly fatShare: number;
  /** It begins to melt at `solidToC` and is melted at `meltedFromC`, °C. */
  readonly solidToC: number;
  readonly meltedFromC: number;
}

/** Melting interval of cocoa butter in temper, °C, and of coating, whose packet says where it may be worked. From memory. */
const REAL_SOLID_TO_C = 30;
const REAL_MELTED_FROM_C = 34;
const COATING_MELTED_AT_MOST_C = 36;

/** How a kind of chocolate melts. Coating is melted where its packet lets it be worked. */
export function meltable(kind: ChocolateKind, fatShare: number, workFromC: number): Meltable {
  const meltedFromC = kind === 'compound' ? Math.min(COATING_MELTED_AT_MOST_C, workFromC) : REAL_MELTED_FROM_C;
  return { fatShare, meltedFromC, solidToC: meltedFromC - (REAL_MELTED_FROM_C - REAL_SOLID_TO_C) };
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
