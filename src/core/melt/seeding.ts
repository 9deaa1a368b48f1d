import { CHOCOLATE_SPECIFIC_HEAT } from '../matter/chocolate';
import { rootBetween } from '../quantity/root';
import { heatHeld, meltedShare, type Meltable } from './heat-held';

/** Melted chocolate and what it is stirred in, before seed goes in. SI, °C. */
export interface Seeding {
  readonly chocolate: Meltable;
  /** Temperature of the melted chocolate, and of the seed (the room). */
  readonly meltC: number;
  readonly seedC: number;
  /** Heat capacity of the bowl it is stirred in, J/K, and its temperature. */
  readonly bowlHeat: number;
  readonly bowlC: number;
  /** Heat lost to the room while stirring, J. */
  readonly lossJ: number;
}

/**
 * Seed to stir in so that melt, bowl and seed come together at a temperature, kg, of a total of `totalKg`.
 *
 * Balance of heat: (total - s) c (melt - T) + bowl (bowlC - T) - loss = s (h(T) - h(seedC)), with h on the way up: the seed
 * melts as far as it does at T. Straight in s. 0 where it is cool enough without; never more than all.
 * @param targetC where the stirring ends; below `meltC`
 */
export function seedKg(seeding: Seeding, totalKg: number, targetC: number): number {
  const { chocolate, meltC, seedC, bowlHeat, bowlC, lossJ } = seeding;
  const given = CHOCOLATE_SPECIFIC_HEAT * (meltC - targetC);
  const taken = heatHeld(chocolate, targetC) - heatHeld(chocolate, seedC);
  const needed = totalKg * given + bowlHeat * (bowlC - targetC) - lossJ;
  return Math.min(totalKg, Math.max(0, needed / (given + taken)));
}

/** Heat left over by a mixture at a temperature, J: 0 at the temperature it comes to. Falls with it. */
export function heatLeftOver(seeding: Seeding, meltKg: number, seedKgIn: number, temperatureC: number): number {
  const { chocolate, meltC, seedC, bowlHeat, bowlC, lossJ } = seeding;
  const given = meltKg * CHOCOLATE_SPECIFIC_HEAT * (meltC - temperatureC) + bowlHeat * (bowlC - temperatureC) - lossJ;
  return given - seedKgIn * (heatHeld(chocolate, temperatureC) - heatHeld(chocolate, seedC));
}

/** Temperature that melt and seed come to together, °C. */
export function seededC(seeding: Seeding, meltKg: number, seedKgIn: number): number {
  const over = (temperatureC: number): number => -heatLeftOver(seeding, meltKg, seedKgIn, temperatureC);
  const high = Math.max(seeding.meltC, seeding.bowlC) + 1;
  // A great loss may take it below the coolest thing that was put together.
  const low =
    Math.min(seeding.seedC, seeding.bowlC) - seeding.lossJ / (meltKg * CHOCOLATE_SPECIFIC_HEAT + seeding.bowlHeat) - 1;
  return rootBetween(over, low, high, over(low), over(high), 1e-9);
}

/** Temperature of the melted chocolate from which a given share of seed ends at a temperature, °C. */
export function meltForSeedC(
  seeding: Omit<Seeding, 'meltC' | 'bowlC'>,
  totalKg: number,
  seedShare: number,
  targetC: number,
): number {
  const { chocolate, seedC, bowlHeat, lossJ } = seeding;
  const taken = totalKg * seedShare * (heatHeld(chocolate, targetC) - heatHeld(chocolate, seedC));
  return targetC + (taken + lossJ) / (totalKg * (1 - seedShare) * CHOCOLATE_SPECIFIC_HEAT + bowlHeat);
}

/** Share of the seed that is still solid at a temperature: the bits that are left. */
export function bitsLeft(chocolate: Meltable, temperatureC: number): number {
  return 1 - meltedShare(chocolate, temperatureC);
}
