import { enclosed, outlinePoints } from './free-outline';
import { bowlFits } from './measured-bowl';
import type { CavityShape, TurnedPoint } from './shape';

/** Why a shape cannot be a cavity, though each of its lengths is within its limits. `point` counts from 0. */
export interface ShapeProblem {
  readonly key:
    | 'cornerTooRound'
    | 'capTooDeep'
    | 'openingTooWide'
    | 'baseTooWide'
    | 'bowlTooFull'
    | 'bowlTooLean'
    | 'tooFewPoints'
    | 'tooManyPoints'
    | 'pointCrosses'
    | 'pointGoesBack'
    | 'pointBehindAxis'
    | 'pointTooFar'
    | 'pointRepeats'
    | 'rimTooNarrow'
    | 'notDeep'
    | 'pointHidden'
    | 'outlineTooSmall';
  readonly point?: number;
}

/** Limits of a turned profile: widest radius and depth, m; narrowest opening; points. */
export const TURNED_LIMITS = {
  radiusM: 0.2,
  depthM: 0.4,
  leastDepthM: 0.003,
  leastRimRadiusM: 0.0025,
  points: 300,
} as const;

/** Looks for what a shape's numbers, each by itself allowed, make impossible together; undefined when it is whole. */
export function checkShape(shape: CavityShape): ShapeProblem | undefined {
  switch (shape.kind) {
    case 'cap':
      return shape.depthM > shape.diameterM / 2 + 1e-9 ? { key: 'capTooDeep' } : undefined;
    case 'ball':
      return shape.openingM > 0.95 * shape.diameterM ? { key: 'openingTooWide' } : undefined;
    case 'cup':
    case 'liner':
      return shape.baseDiameterM > shape.diameterM + 1e-9 ? { key: 'baseTooWide' } : undefined;
    case 'measured': {
      const fits = bowlFits(shape.volumeM3, shape.diameterM, shape.depthM);
      return fits === 'full' ? { key: 'bowlTooFull' } : fits === 'lean' ? { key: 'bowlTooLean' } : undefined;
    }
    case 'tile':
    case 'pillow':
      return shape.cornerM > Math.min(shape.lengthM, shape.widthM) / 2 + 1e-9 ? { key: 'cornerTooRound' } : undefined;
    case 'turned':
      return checkPoints(shape.points);
    case 'drawn':
      return checkOutline(shape.points);
    default:
      return undefined;
  }
}

/**
 * Checks the points of a turned profile, from the lowest to the rim: each at least as high as the one before, none
 * behind the axis or beyond reach, no stretch across another.
 */
export function checkPoints(points: readonly TurnedPoint[]): ShapeProblem | undefined {
  const apart = checkEach(points);
  if (apart) return apart;
  const floor = points[0].heightM;
  const back = points.findIndex((point, i) => i > 0 && point.heightM < points[i - 1].heightM - 1e-9);
  if (back > 0) return { key: 'pointGoesBack', point: back };
  const rim = points[points.length - 1];
  if (rim.heightM - floor < TURNED_LIMITS.leastDepthM) return { key: 'notDeep', point: points.length - 1 };
  if (rim.radiusM < TURNED_LIMITS.leastRimRadiusM) return { key: 'rimTooNarrow', point: points.length - 1 };
  return undefined;
}

/** An outline is nowhere less across than this, m. */
const LEAST_ACROSS_M = 0.01;

/**
 * Checks the points of half an outline, from the lower end of its middle line: none behind that line or beyond reach, no stretch across
 * another, and each in sight of the middle, about which the cavity narrows downward.
 */
export function checkOutline(points: readonly TurnedPoint[]): ShapeProblem | undefined {
  const apart = checkEach(points);
  if (apart) return apart;
  const along = points.map(({ heightM }) => heightM);
  const widest = 2 * Math.max(...points.map(({ radiusM }) => radiusM));
  if (Math.min(widest, Math.max(...along) - Math.min(...along)) < LEAST_ACROSS_M) return { key: 'outlineTooSmall' };
  const whole = outlinePoints({ kind: 'drawn', form: 'flat', points, depthM: 0 });
  const { areaM2, middle } = enclosed(whole);
  if (areaM2 <= 0) return { key: 'pointHidden', point: 0 };
  const hidden = whole.findIndex(([x0, y0], i) => {
    const [x1, y1] = whole[(i + 1) % whole.length];
    return (x0 - middle[0]) * (y1 - y0) - (y0 - middle[1]) * (x1 - x0) <= 0;
  });
  return hidden < 0 ? undefined : { key: 'pointHidden', point: Math.min(hidden, points.length - 1) };
}

/** What is wrong with points whatever they are the points of. */
function checkEach(points: readonly TurnedPoint[]): ShapeProblem | undefined {
  if (points.length < 2) return { key: 'tooFewPoints', ...(points.length === 1 ? { point: 0 } : {}) };
  if (points.length > TURNED_LIMITS.points) return { key: 'tooManyPoints' };
  const floor = points[0].heightM;
  for (const [i, { radiusM, heightM }] of points.entries()) {
    if (!Number.isFinite(radiusM) || radiusM < 0) return { key: 'pointBehindAxis', point: i };
    if (
      !Number.isFinite(heightM) ||
      radiusM > TURNED_LIMITS.radiusM ||
      Math.abs(heightM - floor) > TURNED_LIMITS.depthM
    )
      return { key: 'pointTooFar', point: i };
    if (i > 0 && Math.hypot(radiusM - points[i - 1].radiusM, heightM - points[i - 1].heightM) < 1e-6)
      return { key: 'pointRepeats', point: i };
  }
  const crossing = firstCrossing(points);
  return crossing === undefined ? undefined : { key: 'pointCrosses', point: crossing };
}

/** The end of the first stretch that crosses an earlier one. */
function firstCrossing(points: readonly TurnedPoint[]): number | undefined {
  for (let i = 2; i < points.length; i++) {
    for (let k = 1; k < i - 1; k++) {
      if (cross(points[i - 1], points[i], points[k - 1], points[k])) return i;
    }
  }
  return undefined;
}

function cross(a: TurnedPoint, b: TurnedPoint, c: TurnedPoint, d: TurnedPoint): boolean {
  return side(a, b, c) * side(a, b, d) < 0 && side(c, d, a) * side(c, d, b) < 0;
}

function side(a: TurnedPoint, b: TurnedPoint, p: TurnedPoint): number {
  return (b.radiusM - a.radiusM) * (p.heightM - a.heightM) - (b.heightM - a.heightM) * (p.radiusM - a.radiusM);
}
