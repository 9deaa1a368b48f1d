import type { SpareRule } from '../record/casting';

/**
 * Probability that at most `most` of `tries` parts break, each with chance `p`.
 * Sums the binomial terms by their ratio, in logarithms for the first, so large numbers do not underflow.
 */
export function chanceOfAtMost(most: number, tries: number, p: number): number {
  if (most >= tries || p <= 0) return 1;
  if (most < 0 || p >= 1) return 0;
  let logTerm = tries * Math.log1p(-p);
  const ratio = Math.log(p) - Math.log1p(-p);
  let sum = Math.exp(logTerm);
  for (let k = 1; k <= most; k++) {
    logTerm += Math.log((tries - k + 1) / k) + ratio;
    sum += Math.exp(logTerm);
  }
  return Math.min(1, sum);
}

/**
 * Fewest parts to cast so that enough survive.
 *
 * By confidence: smallest N with P(Binomial(N, 1 - p) ≥ needed) ≥ confidence. By share: that share more, rounded up.
 * @param needed parts that must be whole, 1 to 24000
 * @param breakChance per part, 0 to 0.99; more is taken as 0.99, so that the answer stays finite
 */
export function partsToCast(needed: number, breakChance: number, rule: SpareRule): number {
  if (rule.by === 'share') return Math.ceil(needed * (1 + rule.share) - 1e-9);
  const p = Math.min(0.99, Math.max(0, breakChance));
  const enough = (n: number): boolean => chanceOfAtMost(n - needed, n, p) >= rule.confidence;
  if (enough(needed)) return needed;
  let low = needed;
  let high = Math.ceil(needed / (1 - p)) + 8;
  while (!enough(high)) {
    low = high;
    high = Math.ceil(high * 1.2) + 4;
  }
  while (high - low > 1) {
    const middle = (low + high) >> 1;
    if (enough(middle)) high = middle;
    else low = middle;
  }
  return high;
}
