import { UNITS, type UnitSystem } from './units';

/**
 * The step of a kitchen scale that amounts of a sum are weighed to, kg: a gram, or a tenth of an ounce; for small sums a tenth of a
 * gram, or a twentieth of an ounce.
 */
export function scaleStepKg(sumKg: number, system: UnitSystem): number {
  const small = sumKg < 0.1;
  return system === 'us' ? (small ? 0.05 : 0.1) * UNITS.ounce.factor : small ? 0.0001 : 0.001;
}

/**
 * Amounts rounded to a scale's step so that they still add up to their rounded sum: each is rounded down, and what is missing of the
 * sum goes, a step at a time, to those with most left over (the method of largest remainders, Hamilton).
 * @param amounts 0 or more, in any unit; @param step above 0, in the same unit
 */
export function onScale(amounts: readonly number[], step: number): number[] {
  const steps = amounts.map((amount) => amount / step);
  const whole = steps.map((n) => Math.floor(n + 1e-9));
  const missing = Math.round(steps.reduce((sum, n) => sum + n, 0)) - whole.reduce((sum, n) => sum + n, 0);
  const first = steps.map((n, i) => ({ i, left: n - whole[i] })).sort((a, b) => b.left - a.left).slice(0, Math.max(0, missing));
  for (const { i } of first) whole[i]++;
  return whole.map((n) => n * step);
}
