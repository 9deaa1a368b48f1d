const MOST_STEPS = 60;

/**
 * Where a function that changes sign between `low` and `high` passes zero: regula falsi with the Illinois weight,
 * which keeps the bracket and still converges fast where the function bends.
 * @param atLow value at `low`; @param atHigh value at `high`; of opposite signs, or zero
 * @param closeEnough size of the function's value at which it is called zero
 */
export function rootBetween(
  value: (x: number) => number,
  low: number,
  high: number,
  atLow: number,
  atHigh: number,
  closeEnough: number,
): number {
  let side = 0;
  let best = Math.abs(atLow) < Math.abs(atHigh) ? low : high;
  for (let k = 0; k < MOST_STEPS; k++) {
    const x = (low * atHigh - high * atLow) / (atHigh - atLow);
    if (!Number.isFinite(x)) return best;
    const at = value(x);
    best = x;
    if (Math.abs(at) <= closeEnough) return x;
    if (at < 0 === atLow < 0) {
      low = x;
      atLow = at;
      if (side === -1) atHigh /= 2;
      side = -1;
    } else {
      high = x;
      atHigh = at;
      if (side === 1) atLow /= 2;
      side = 1;
    }
  }
  return best;
}
