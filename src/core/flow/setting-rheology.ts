import { rheologyAt, type Fluidity, type Rheology } from '../matter/chocolate';

/** Set fraction from which chocolate does not flow at all. Working rule. */
export const NO_FLOW_FROM = 0.6;
/** How much of its yield stress chocolate gains on setting. Working rule. */
const YIELD_GAIN = 8;

/** Factor on the plastic viscosity at a set fraction below `NO_FLOW_FROM`: (1 - φ/φ_m)^-1.5, growing without bound toward it. Working rule. */
export function viscosityGain(setFraction: number): number {
  const free = 1 - setFraction / NO_FLOW_FROM;
  return 1 / (free * Math.sqrt(free));
}

/** Factor on the yield stress at a set fraction: 1 + 8 φ. Working rule. */
export function yieldGain(setFraction: number): number {
  return 1 + YIELD_GAIN * setFraction;
}

/**
 * Casson values of chocolate that is setting: those of its temperature, stiffer by what has set.
 * @param temperatureC 0 to 60 °C
 * @param setFraction 0 to 1; from 0.6 on nothing flows, which an infinite yield stress stands for
 */
export function settingRheology(fluidity: Fluidity, temperatureC: number, setFraction: number): Rheology {
  if (setFraction >= NO_FLOW_FROM) return { yieldPa: Infinity, viscosityPas: Infinity };
  const { yieldPa, viscosityPas } = rheologyAt(fluidity, temperatureC);
  return { yieldPa: yieldPa * yieldGain(setFraction), viscosityPas: viscosityPas * viscosityGain(setFraction) };
}
