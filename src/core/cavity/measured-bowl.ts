import { logGamma } from '../quantity/gamma';
import { byHalving } from '../quantity/root';

/** Exponents of the bowl that is fitted: from a funnel with hollow sides to all but a cylinder. */
const LEANEST = 0.35;
const FULLEST = 60;
/** Within the ends by this share, so that rounding does not put it beyond them. */
const HAIR = 1e-9;

/**
 * The exponent n of the bowl sⁿ + (1 - z/d)ⁿ = 1 that holds a measured volume: 2 is half an ellipsoid, 1 a cone.
 *
 * Its share of the surrounding cylinder is ∫₀¹ (1 - uⁿ)^(2/n) du = Γ(1 + 1/n) Γ(1 + 2/n) / Γ(1 + 3/n), which grows with n.
 * @returns the exponent, taken to its nearest end where the volume is out of a bowl's reach (see `bowlFits`)
 */
export function bowlExponent(volumeM3: number, diameterM: number, depthM: number): number {
  const wanted = shareOfCylinder(volumeM3, diameterM, depthM);
  return byHalving((n) => bowlShare(n) < wanted, LEANEST, FULLEST, 60);
}

/** Whether a bowl of this width and depth can hold that volume: 'lean' or 'full' where it holds more or less than any. */
export function bowlFits(volumeM3: number, diameterM: number, depthM: number): 'fits' | 'lean' | 'full' {
  const share = shareOfCylinder(volumeM3, diameterM, depthM);
  if (share < bowlShare(LEANEST)) return 'lean';
  return share > bowlShare(FULLEST) ? 'full' : 'fits';
}

/** The volume nearest to one, m³, that a bowl of this width and depth can hold. */
export function nearestBowlM3(volumeM3: number, diameterM: number, depthM: number): number {
  const share = shareOfCylinder(volumeM3, diameterM, depthM);
  const [lean, full] = [bowlShare(LEANEST) * (1 + HAIR), bowlShare(FULLEST) * (1 - HAIR)];
  return (volumeM3 * Math.min(full, Math.max(lean, share))) / share;
}

function shareOfCylinder(volumeM3: number, diameterM: number, depthM: number): number {
  return volumeM3 / ((Math.PI / 4) * diameterM ** 2 * depthM);
}

function bowlShare(n: number): number {
  return Math.exp(logGamma(1 + 1 / n) + logGamma(1 + 2 / n) - logGamma(1 + 3 / n));
}
