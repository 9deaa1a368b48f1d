import { logGamma } from '../quantity/gamma';
import { byHalving } from '../quantity/root';
import type { SpareRule } from '../record/casting';

/** Highest chance of breaking that is counted with, so that the answer stays a number of parts one could think of. */
const WORST_CHANCE = 0.95;

/**
 * Probability that at most `most` of `tries` parts break, each with chance `p`.
 * By the regularized incomplete beta function, so its cost does not grow with the number of parts.
 */
export function chanceOfAtMost(most: number, tries: number, p: number): number {
  if (most >= tries || p <= 0) return 1;
  if (most < 0 || p >= 1) return 0;
  return incompleteBeta(1 - p, tries - most, most + 1);
}

/**
 * Regularized incomplete beta function I_x(a, b), for a, b ≥ 1, by Lentz's continued fraction
 * (Press et al., Numerical Recipes, section 6.4). Good to about 1e-12.
 */
function incompleteBeta(x: number, a: number, b: number): number {
  const front = Math.exp(logGamma(a + b) - logGamma(a) - logGamma(b) + a * Math.log(x) + b * Math.log1p(-x));
  return x < (a + 1) / (a + b + 2) ? (front * betaFraction(x, a, b)) / a : 1 - (front * betaFraction(1 - x, b, a)) / b;
}

const TINY = 1e-300;

function betaFraction(x: number, a: number, b: number): number {
  const away = (value: number): number => (Math.abs(value) < TINY ? TINY : value);
  let c = 1;
  let d = 1 / away(1 - ((a + b) * x) / (a + 1));
  let fraction = d;
  for (let m = 1; m < 5000; m++) {
    const even = (m * (b - m) * x) / ((a + 2 * m - 1) * (a + 2 * m));
    d = 1 / away(1 + even * d);
    c = away(1 + even / c);
    fraction *= d * c;
    const odd = (-(a + m) * (a + b + m) * x) / ((a + 2 * m) * (a + 2 * m + 1));
    d = 1 / away(1 + odd * d);
    c = away(1 + odd / c);
    fraction *= d * c;
    if (Math.abs(d * c - 1) < 1e-14) break;
  }
  return fraction;
}

/** The chance of breaking as known from parts that were cast: as sure as so many parts of which so many broke. */
export interface LearnedChance {
  readonly broken: number;
  readonly whole: number;
}

/** A chance computed from the thickness counts as much as so many parts that were cast. Working rule. */
const COMPUTED_COUNTS = 20;

/** What parts that were cast say of the chance of breaking, on top of a computed one: prior and counts of a Beta distribution. */
export function learnedChance(computed: number, cast: number, broken: number): LearnedChance {
  const p = Math.min(WORST_CHANCE, Math.max(1e-4, computed));
  return { broken: COMPUTED_COUNTS * p + broken, whole: COMPUTED_COUNTS * (1 - p) + cast - broken };
}

/**
 * Probability that at most `most` of `tries` parts break where the chance itself is known from counts alone (Beta-Binomial; Johnson,
 * Kemp & Kotz, Univariate Discrete Distributions, section 6.2.2), term after term by their ratio.
 */
export function chanceOfAtMostLearned(most: number, tries: number, { broken: a, whole: b }: LearnedChance): number {
  if (most >= tries) return 1;
  if (most < 0) return 0;
  let term = Math.exp(logBeta(a, b + tries) - logBeta(a, b));
  let sum = term;
  for (let k = 0; k < most; k++) {
    term *= ((tries - k) * (a + k)) / ((k + 1) * (b + tries - k - 1));
    sum += term;
  }
  return Math.min(1, sum);
}

/** From so many parts on, or where more break than not, what the chance itself may be decides, and not how the single parts fall. */
const MOST_COUNTED = 500;

/** The chance of breaking that is not passed with so much confidence: a quantile of its Beta distribution, by bisection; at most 0.95. */
function likelyAtMost({ broken, whole }: LearnedChance, confidence: number): number {
  const [a, b] = [Math.max(1, broken), Math.max(1, whole)];
  return byHalving((chance) => incompleteBeta(chance, a, b) < confidence, 0, WORST_CHANCE, 40);
}

/** Logarithm of the beta function, for any arguments above 0: small ones are raised by Γ(x) = Γ(x + 1) / x. */
function logBeta(a: number, b: number): number {
  const log = (x: number): number => logGamma(x + 1) - Math.log(x);
  return log(a) + log(b) - log(a + b);
}

/**
 * Fewest parts to cast so that enough survive.
 *
 * By confidence: smallest N with P(N - broken ≥ needed) ≥ confidence, the broken by a binomial distribution, or by a Beta-Binomial where
 * the chance is learned from parts that were cast. By share: that share more, rounded up.
 * @param needed parts that must be whole, 1 to 24000
 * @param breakChance per part; more than 0.95 is taken as 0.95
 */
export function partsToCast(needed: number, breakChance: number | LearnedChance, rule: SpareRule): number {
  if (rule.by === 'share') return Math.ceil(needed * (1 + rule.share) - 1e-9);
  const learned = typeof breakChance === 'number' ? undefined : breakChance;
  if (learned && (needed > MOST_COUNTED || learned.broken > learned.whole))
    return Math.ceil(needed / (1 - likelyAtMost(learned, rule.confidence)));
  const p =
    typeof breakChance === 'number'
      ? Math.min(WORST_CHANCE, Math.max(0, breakChance))
      : breakChance.broken / (breakChance.broken + breakChance.whole);
  const enough = (n: number): boolean =>
    (learned ? chanceOfAtMostLearned(n - needed, n, learned) : chanceOfAtMost(n - needed, n, p)) >= rule.confidence;
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
