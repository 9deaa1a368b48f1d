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
 * @param kept some of them as they are rounded elsewhere, by their place: they stay so, and the others make up the sum
 */
export function onScale(
  amounts: readonly number[],
  step: number,
  kept: ReadonlyMap<number, number> = new Map(),
): number[] {
  const steps = amounts.map((amount) => amount / step);
  const whole = steps.map((n, i) => (kept.has(i) ? Math.round((kept.get(i) ?? 0) / step) : Math.floor(n + 1e-9)));
  let missing = Math.round(steps.reduce((sum, n) => sum + n, 0)) - whole.reduce((sum, n) => sum + n, 0);
  const free = steps
    .map((n, i) => ({ i, left: n - whole[i] }))
    .filter(({ i }) => !kept.has(i))
    .sort((a, b) => b.left - a.left);
  // What is kept may have been rounded up too far: those with least left over give it back.
  const back = [...free].reverse();
  for (let k = 0; missing > 0 && free.length > 0; k++, missing--) whole[free[k % free.length].i]++;
  for (let k = 0; missing < 0 && free.some(({ i }) => whole[i] > 0); k++) {
    const { i } = back[k % back.length];
    if (whole[i] > 0) [whole[i], missing] = [whole[i] - 1, missing + 1];
  }
  return whole.map((n) => n * step);
}
