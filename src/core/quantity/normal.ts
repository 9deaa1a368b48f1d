/**
 * Share of a normal distribution below z standard deviations, by a Chebyshev fit of the complementary error function: right to 1.2e-7 of itself, in the far
 * tails as well (Press et al., Numerical Recipes, section 6.2).
 */
export function normalBelow(z: number): number {
  const x = Math.abs(z) / Math.SQRT2;
  const t = 1 / (1 + x / 2);
  const tail = (t * Math.exp(-x * x + CHEBYSHEV.reduceRight((sum, c) => c + t * sum, 0))) / 2;
  return z > 0 ? 1 - tail : tail;
}

const CHEBYSHEV = [
  -1.26551223, 1.00002368, 0.37409196, 0.09678418, -0.18628806, 0.27886807, -1.13520398, 1.48851587, -0.82215223,
  0.17087277,
];

/** Density of the same, per standard deviation. */
export const normalDensity = (z: number): number => Math.exp((-z * z) / 2) / Math.sqrt(2 * Math.PI);

/** Four fifths of a normal distribution lie within so many standard deviations of its middle. */
export const FOUR_FIFTHS = 1.2815515655446004;
