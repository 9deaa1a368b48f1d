/** Exponents of the bowl that is fitted: from a funnel with hollow sides to all but a cylinder. */
const LEANEST = 0.35;
const FULLEST = 60;

/**
 * The exponent n of the bowl sⁿ + (1 - z/d)ⁿ = 1 that holds a measured volume: 2 is half an ellipsoid, 1 a cone.
 *
 * Its share of the surrounding cylinder is ∫₀¹ (1 - uⁿ)^(2/n) du = Γ(1 + 1/n) Γ(1 + 2/n) / Γ(1 + 3/n), which grows with n.
 * @returns the exponent, taken to its nearest end where the volume is out of a bowl's reach (see `bowlFits`)
 */
export function bowlExponent(volumeM3: number, diameterM: number, depthM: number): number {
  const wanted = shareOfCylinder(volumeM3, diameterM, depthM);
  let low = LEANEST;
  let high = FULLEST;
  for (let k = 0; k < 60; k++) {
    const middle = (low + high) / 2;
    if (bowlShare(middle) < wanted) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}

/** Whether a bowl of this width and depth can hold that volume: 'lean' or 'full' where it holds more or less than any. */
export function bowlFits(volumeM3: number, diameterM: number, depthM: number): 'fits' | 'lean' | 'full' {
  const share = shareOfCylinder(volumeM3, diameterM, depthM);
  if (share < bowlShare(LEANEST)) return 'lean';
  return share > bowlShare(FULLEST) ? 'full' : 'fits';
}

function shareOfCylinder(volumeM3: number, diameterM: number, depthM: number): number {
  return volumeM3 / ((Math.PI / 4) * diameterM ** 2 * depthM);
}

function bowlShare(n: number): number {
  return Math.exp(logGamma(1 + 1 / n) + logGamma(1 + 2 / n) - logGamma(1 + 3 / n));
}

// Lanczos' approximation (1964) with g = 7 and nine terms, to about 1e-13.
const LANCZOS = [
  0.99999999999980993, 676.5203681218851, -1259.1392167224028, 771.32342877765313, -176.61502916214059,
  12.507343278686905, -0.13857109526572012, 9.9843695780195716e-6, 1.5056327351493116e-7,
];

/** Natural logarithm of the gamma function, for x of 1 and more. */
function logGamma(x: number): number {
  const t = x + 6.5;
  const series = LANCZOS.reduce((sum, coefficient, i) => sum + (i === 0 ? coefficient : coefficient / (x - 1 + i)), 0);
  return 0.5 * Math.log(2 * Math.PI) + (x - 0.5) * Math.log(t) - t + Math.log(series);
}
