/**
 * How far a figure is likely to lie below and above its nominal value, when each thing that is not known for sure is taken to either
 * end in turn and their effects are independent: the root of the sum of squares of the larger deviation to each side.
 * @param others the figure at either end of each, in pairs
 * @returns [down, up], both 0 or more, in the unit of the values; Infinity where an end is
 */
export function likelyDeviation(nominal: number, others: readonly number[]): readonly [down: number, up: number] {
  let down = 0;
  let up = 0;
  for (let i = 0; i < others.length; i += 2) {
    const a = others[i] - nominal;
    const b = others[i + 1] - nominal;
    down += Math.min(0, a, b) ** 2;
    up += Math.max(0, a, b) ** 2;
  }
  return [Math.sqrt(down), Math.sqrt(up)];
}
