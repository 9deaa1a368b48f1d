import type { Cavity } from '../cavity/cavity';

/** A cavity as measured with a ruler, m. */
export interface RulerReading {
  readonly rimM: number;
  readonly halfwayM: number;
  readonly baseM: number;
  readonly depthM: number;
}

/** A ruler is read to about half a millimetre. Working rule. */
const READ_M = 0.0005;

/**
 * Volume of a round cavity from its widths at the rim, halfway down and at the base: V = d/6 · (A + 4M + B), the prismoidal
 * rule (Simpson's), exact for spheres, cones, cylinders and everything between of up to the third degree.
 * @returns volume and its standard uncertainty from reading each length to half a millimetre, m³
 */
export function rulerMethod({ rimM, halfwayM, baseM, depthM }: RulerReading): {
  readonly volumeM3: number;
  readonly uncertaintyM3: number;
} {
  const perDepth = (Math.PI / 24) * (rimM ** 2 + 4 * halfwayM ** 2 + baseM ** 2);
  const slopes = [
    perDepth,
    (Math.PI / 12) * depthM * rimM,
    (Math.PI / 3) * depthM * halfwayM,
    (Math.PI / 12) * depthM * baseM,
  ];
  return { volumeM3: depthM * perDepth, uncertaintyM3: Math.hypot(...slopes.map((slope) => slope * READ_M)) };
}

/** What a ruler would show of a cavity, to a millimetre halfway down: where measuring one goes on from. */
export function rulerReadingOf({ rimDiameterM, depthM, profile }: Cavity): RulerReading {
  const i = profile.heightM.findIndex((z) => z >= depthM / 2);
  return { rimM: rimDiameterM, depthM, halfwayM: Math.round(2000 * profile.radiusM[i]) / 1000, baseM: 0 };
}
