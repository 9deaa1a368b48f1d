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

/**
 * Where a function that rises from below zero at 0 passes it: looked for up to `reach` first, then twice as far each time, up to `most`,
 * which is the answer where it does not pass it before.
 * @param atZero value at 0, below 0; @param reach above 0
 * @param closeEnough size of the function's value at which it is called zero
 */
export function rootUpward(
  value: (x: number) => number,
  atZero: number,
  reach: number,
  most: number,
  closeEnough: number,
): number {
  let [low, atLow] = [0, atZero];
  let high = Math.min(reach, most);
  let atHigh = value(high);
  while (atHigh < -closeEnough && high < most) {
    [low, atLow] = [high, atHigh];
    high = Math.min(2 * high, most);
    atHigh = value(high);
  }
  return atHigh <= closeEnough ? high : rootBetween(value, low, high, atLow, atHigh, closeEnough);
}

/**
 * Where something that is too low to the left comes right, by halving: slow and sure, for functions that bend too much for a chord.
 * @param times how often the stretch from `low` to `high` is halved: each adds a binary digit
 */
export function byHalving(tooLow: (x: number) => boolean, low: number, high: number, times: number): number {
  let [from, to] = [low, high];
  for (let k = 0; k < times; k++) {
    const middle = (from + to) / 2;
    if (tooLow(middle)) from = middle;
    else to = middle;
  }
  return (from + to) / 2;
}
