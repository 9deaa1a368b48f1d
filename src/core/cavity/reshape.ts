import type { Cavity } from './cavity';
import { nearestBowlM3 } from './measured-bowl';
import type { CavityShape, ShapeKind, TurnedPoint } from './shape';

const SHALLOWEST_M = 0.003;
const TURNED_POINTS = 8;
const GRID_M = 0.0005;
const onGrid = (m: number): number => Math.round(m / GRID_M) * GRID_M;

/** A shape of another kind that comes as near as it can in width, depth and content: where editing goes on from. */
export function reshaped(kind: ShapeKind, from: Cavity): CavityShape {
  const diameterM = clamp(from.rimDiameterM);
  const lengthM = clamp(from.lengthM);
  const widthM = clamp(from.widthM);
  const depthM = Math.max(SHALLOWEST_M, from.depthM);
  const cornerM = Math.min(lengthM, widthM) / 4;
  switch (kind) {
    case 'hemisphere':
      return { kind, diameterM };
    case 'cap':
      return { kind, diameterM, depthM: Math.min(depthM, diameterM / 2) };
    case 'egg':
      return { kind, lengthM, widthM, depthM };
    case 'cylinder':
      return { kind, diameterM, depthM };
    case 'cup':
      return { kind, diameterM, baseDiameterM: diameterM * 0.7, depthM };
    case 'liner':
      return { kind, diameterM, baseDiameterM: diameterM * 0.75, depthM, pleatFactor: 1.35 };
    case 'tile':
      return { kind, lengthM, widthM, depthM, cornerM };
    case 'pillow':
      return { kind, lengthM, widthM, depthM, cornerM };
    case 'faceted':
      return { kind, form: 'gem', diameterM, facets: 8, depthM };
    case 'heart':
      return { kind, form: 'domed', widthM: lengthM, lengthM: widthM, depthM };
    case 'star':
      return { kind, form: 'flat', diameterM: Math.max(lengthM, widthM), tips: 5, waist: 0.5, depthM };
    case 'drawn':
      return { kind, form: 'flat', points: leaf(lengthM, widthM), depthM };
    case 'turned':
      return { kind, points: sampled(from) };
    case 'measured':
      return { kind, volumeM3: nearestBowlM3(from.volumeM3, diameterM, depthM), diameterM, depthM };
    case 'ball':
      return { kind, diameterM: Math.max(diameterM, 0.02), openingM: Math.max(diameterM, 0.02) / 2 };
  }
}

/** Shares of its length and half width that a leaf goes through. */
const LEAF = [
  [0, 0],
  [0.12, 0.62],
  [0.35, 1],
  [0.7, 0.72],
  [1, 0],
] as const;

/** Half a leaf to go on from where an outline is to be drawn. */
function leaf(widthM: number, lengthM: number): TurnedPoint[] {
  return LEAF.map(([along, out]) => ({ radiusM: (out * widthM) / 2, heightM: along * lengthM }));
}

function clamp(m: number): number {
  return Math.min(0.4, Math.max(0.01, m));
}

/** A few points along a profile, on a grid of half a millimetre where it is large enough for one. */
function sampled({ profile, depthM }: Cavity): TurnedPoint[] {
  const last = profile.arcM.length - 1;
  const tidy = depthM > 20 * GRID_M ? onGrid : (m: number): number => m;
  const points: TurnedPoint[] = [];
  for (let k = 0; k <= TURNED_POINTS; k++) {
    const i = Math.round((last * k) / TURNED_POINTS);
    const point = {
      radiusM: tidy(profile.radiusM[i]),
      heightM: k === TURNED_POINTS ? depthM : tidy(profile.heightM[i]),
    };
    const before = points[points.length - 1];
    if (!before || Math.hypot(point.radiusM - before.radiusM, point.heightM - before.heightM) > 1e-4)
      points.push(point);
  }
  return points;
}
