import type { Profile } from './profile';

/** The shape of one cavity, as the record keeps it. */
export interface HemisphereShape {
  readonly kind: 'hemisphere';
  readonly diameterM: number;
}
export type CavityShape = HemisphereShape;

/** What everything downstream takes from a cavity's geometry, SI. */
export interface Cavity {
  readonly volumeM3: number;
  readonly wallAreaM2: number;
  readonly rimLengthM: number;
  readonly depthM: number;
  readonly rimDiameterM: number;
  /** Mean and Gauss curvature of the wall, 1/m and 1/m²: volume per area of a layer h thick is h - H h² + K h³/3. */
  readonly meanCurvature: number;
  readonly gaussCurvature: number;
  readonly profile: Profile;
}

const PROFILE_CELLS = 48;

/**
 * Geometry of a cavity by formula.
 *
 * Hemisphere of radius R: volume 2πR³/3, wall 2πR², rim 2πR (handbook mensuration).
 * @param shape diameter 0.010 to 0.400 m
 */
export function cavityOf(shape: CavityShape): Cavity {
  const radius = shape.diameterM / 2;
  return {
    volumeM3: (2 / 3) * Math.PI * radius ** 3,
    wallAreaM2: 2 * Math.PI * radius ** 2,
    rimLengthM: 2 * Math.PI * radius,
    depthM: radius,
    rimDiameterM: shape.diameterM,
    meanCurvature: 1 / radius,
    gaussCurvature: 1 / radius ** 2,
    profile: hemisphereProfile(radius),
  };
}

function hemisphereProfile(radius: number): Profile {
  const n = PROFILE_CELLS + 1;
  const radiusM = new Float64Array(n);
  const heightM = new Float64Array(n);
  const arcM = new Float64Array(n);
  const slope = new Float64Array(n);
  for (let i = 0; i < n; i++) {
    const angle = ((Math.PI / 2) * i) / PROFILE_CELLS;
    radiusM[i] = radius * Math.sin(angle);
    heightM[i] = radius * (1 - Math.cos(angle));
    arcM[i] = radius * angle;
    slope[i] = angle;
  }
  return { radiusM, heightM, arcM, slope };
}

/**
 * Volume of chocolate per wall area under a layer of thickness h on a concave wall, m.
 * v(h) = h - H h² + K h³/3 (Steiner's formula for parallel surfaces). Valid up to the radius of curvature.
 */
export function layerVolumePerArea(cavity: Pick<Cavity, 'meanCurvature' | 'gaussCurvature'>, thicknessM: number): number {
  return thicknessM * (1 - thicknessM * (cavity.meanCurvature - (cavity.gaussCurvature * thicknessM) / 3));
}

/**
 * Thickness of an even layer that takes a given volume per wall area, m; inverse of `layerVolumePerArea`.
 * A volume that would more than fill the cavity gives the radius of curvature.
 */
export function layerThickness(cavity: Pick<Cavity, 'meanCurvature' | 'gaussCurvature'>, volumePerAreaM: number): number {
  let low = 0;
  let high = cavity.meanCurvature > 0 ? 1 / cavity.meanCurvature : volumePerAreaM;
  if (volumePerAreaM >= layerVolumePerArea(cavity, high)) return high;
  for (let k = 0; k < 52; k++) {
    const middle = (low + high) / 2;
    if (layerVolumePerArea(cavity, middle) < volumePerAreaM) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}
