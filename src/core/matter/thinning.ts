import { cassonAt40, type Fluidity, type Rheology } from './chocolate';

/** Each hundredth of added fat lowers viscosity and yield stress by these shares of their logarithm. Working rules. */
const VISCOSITY_PER_HUNDREDTH = 0.12;
const YIELD_PER_HUNDREDTH = 0.08;

/**
 * How chocolate runs with a share of solid fat melted in, Casson values at 40 °C. Working rule: calibrate it with a drip test.
 * @param share of the chocolate's weight, 0 to about 0.08; more makes it soft
 */
export function thinned(fluidity: Fluidity, share: number): Rheology {
  const { yieldPa, viscosityPas } = cassonAt40(fluidity);
  return {
    yieldPa: yieldPa * Math.exp(-100 * share * YIELD_PER_HUNDREDTH),
    viscosityPas: viscosityPas * Math.exp(-100 * share * VISCOSITY_PER_HUNDREDTH),
  };
}

/** Share of fat that brings the viscosity from one value to a lower one; 0 where it is that low already. */
export function thinnerShare(from: Rheology, to: Rheology): number {
  return Math.max(0, Math.log(from.viscosityPas / to.viscosityPas) / (100 * VISCOSITY_PER_HUNDREDTH));
}

/** Fat in a total that it is part of, kg: `share` counts from the chocolate's own weight. */
export function thinnerKg(totalKg: number, share: number): number {
  return (totalKg * share) / (1 + share);
}
