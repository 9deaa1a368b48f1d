import { CHOCOLATE_SPECIFIC_HEAT, latentHeat } from '../matter/chocolate';
import { meltedShare, type Meltable } from './heat-held';

/** Chocolate and its bowl, at one temperature while they are stirred, losing heat to what is around them. SI, °C. */
export interface Pot {
  readonly chocolate: Meltable;
  readonly kg: number;
  /** Heat capacity of the bowl, J/K. */
  readonly bowlHeat: number;
  /** Heat lost for each kelvin above the surroundings, W/K. */
  readonly lossWK: number;
  readonly aroundC: number;
}

/** The same pot with nothing left in it to melt: melted chocolate does not set where it melts, but well below. */
export function meltedPot(pot: Pot): Pot {
  return { ...pot, chocolate: { ...pot.chocolate, fatShare: 0 } };
}

/** Heat held by pot and chocolate, J, against solid at 0 °C. */
export function potHeat(pot: Pot, temperatureC: number): number {
  const { kg, bowlHeat, chocolate } = pot;
  return (
    (kg * CHOCOLATE_SPECIFIC_HEAT + bowlHeat) * temperatureC +
    kg * latentHeat(chocolate.fatShare) * meltedShare(chocolate, temperatureC)
  );
}

/** Temperature, °C, of a pot that holds this heat, J: the inverse of `potHeat`. */
export function potTemperatureC(pot: Pot, heatJ: number): number {
  const { solidToC: fromC, meltedFromC: toC } = pot.chocolate;
  const plain = pot.kg * CHOCOLATE_SPECIFIC_HEAT + pot.bowlHeat;
  const latent = pot.kg * latentHeat(pot.chocolate.fatShare);
  if (heatJ <= plain * fromC) return heatJ / plain;
  if (heatJ >= plain * toC + latent) return (heatJ - latent) / plain;
  return fromC + (heatJ - plain * fromC) / (plain + latent / (toC - fromC));
}

/**
 * Heat held after so many seconds of steady heating, J, exact: temperature is straight in the heat held between the
 * corners of the melting interval, so that each stretch is an exponential, followed from corner to corner.
 *
 * dH/dt = watts - loss (T - around), with T = T(H).
 * @param watts heat that reaches pot and chocolate; 0 while they only cool
 */
export function heatedPot(pot: Pot, heatJ: number, watts: number, seconds: number): number {
  const { solidToC: fromC, meltedFromC: toC } = pot.chocolate;
  const plain = pot.kg * CHOCOLATE_SPECIFIC_HEAT + pot.bowlHeat;
  const latent = pot.kg * latentHeat(pot.chocolate.fatShare);
  const low = plain * fromC;
  const high = plain * toC + latent;
  let held = heatJ;
  let left = seconds;
  for (let stretch = 0; stretch < 4 && left > 1e-12; stretch++) {
    const rising = watts > pot.lossWK * (potTemperatureC(pot, held) - pot.aroundC);
    const melting = rising ? held >= low && held < high : held > low && held <= high;
    const capacity = melting ? plain + latent / (toC - fromC) : plain;
    const corner = rising
      ? held < low
        ? low
        : held < high
          ? high
          : Infinity
      : held > high
        ? high
        : held > low
          ? low
          : -Infinity;
    const t = potTemperatureC(pot, held);
    const reach = secondsTo(t + (corner - held) / capacity, t, capacity, pot, watts);
    const step = Math.min(left, reach);
    held =
      step === reach && Number.isFinite(corner) ? corner : held + capacity * (after(t, capacity, pot, watts, step) - t);
    left -= step;
  }
  return held;
}

/** Seconds of steady heating until a temperature is reached; Infinity where it never is. */
export function secondsToReach(pot: Pot, fromC: number, toC: number, watts: number): number {
  const target = potHeat(pot, toC);
  const start = potHeat(pot, fromC);
  if (target === start) return 0;
  const rising = target > start;
  const steady = pot.lossWK > 0 ? pot.aroundC + watts / pot.lossWK : watts > 0 ? Infinity : fromC;
  if (rising ? steady <= toC : steady >= toC) return Infinity;
  const corners = [pot.chocolate.solidToC, pot.chocolate.meltedFromC].filter((corner) =>
    rising ? corner > fromC && corner < toC : corner < fromC && corner > toC,
  );
  const stops = [fromC, ...(rising ? corners : corners.reverse()), toC];
  return stops
    .slice(1)
    .reduce(
      (sum, stop, i) =>
        sum + secondsTo(stop, stops[i], (potHeat(pot, stop) - potHeat(pot, stops[i])) / (stop - stops[i]), pot, watts),
      0,
    );
}

function after(t: number, capacity: number, { lossWK, aroundC }: Pot, watts: number, seconds: number): number {
  if (lossWK === 0) return t + (watts * seconds) / capacity;
  const steady = aroundC + watts / lossWK;
  return steady + (t - steady) * Math.exp((-lossWK * seconds) / capacity);
}

function secondsTo(target: number, t: number, capacity: number, { lossWK, aroundC }: Pot, watts: number): number {
  if (!Number.isFinite(target)) return Infinity;
  if (lossWK === 0) return watts === 0 ? Infinity : ((target - t) * capacity) / watts;
  const steady = aroundC + watts / lossWK;
  const ratio = (t - steady) / (target - steady);
  return ratio >= 1 ? (capacity / lossWK) * Math.log(ratio) : Infinity;
}
