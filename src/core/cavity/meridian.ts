import { isOutlined } from './free-outline';
import type { CavityShape, FacetedForm, OutlineForm } from './shape';
import { bowlExponent } from './measured-bowl';

/**
 * How wide a cavity is at each height: the share of its rim's width against the height, from the lowest point to the rim.
 * A share of the rim's outline, so that one meridian serves round, oval, square and faceted cavities alike.
 */
export interface Meridian {
  readonly share: Float64Array;
  readonly heightM: Float64Array;
  /** True where the points lie on a smooth curve, false where they are the corners of straight stretches. */
  readonly smooth: boolean;
  readonly depthM: number;
}

const CURVE_CELLS = 48;

// Width shares against depth shares, from the point up.
type Corners = readonly (readonly [share: number, depth: number])[];
const FACETED: Readonly<Record<FacetedForm, Corners>> = {
  pyramid: [
    [0, 0],
    [1, 1],
  ],
  gem: [
    [0, 0],
    [0.62, 0.3],
    [1, 0.8],
    [1, 1],
  ],
  pear: [
    [0.18, 0],
    [0.28, 0.1],
    [0.38, 0.36],
    [0.78, 0.66],
    [1, 0.86],
    [1, 1],
  ],
};

/** The meridian of a shape. Points of a turned profile are taken as they are, its rim being the last. */
export function meridianOf(shape: CavityShape): Meridian {
  if (isOutlined(shape)) return outlined(shape.form, shape.depthM);
  switch (shape.kind) {
    case 'hemisphere':
      return arc(shape.diameterM / 2, shape.diameterM / 2, Math.PI / 2, shape.diameterM / 2);
    case 'cap': {
      const radius = sphereRadius(shape.diameterM, shape.depthM);
      return arc(radius, shape.diameterM / 2, Math.acos(Math.max(-1, 1 - shape.depthM / radius)), shape.depthM);
    }
    case 'ball': {
      const radius = shape.diameterM / 2;
      const open = Math.asin(Math.min(1, shape.openingM / shape.diameterM));
      return arc(radius, shape.openingM / 2, Math.PI - open, radius * (1 + Math.cos(open)));
    }
    case 'egg':
    case 'pillow':
      return dome(shape.depthM, 2);
    case 'measured':
      return dome(shape.depthM, bowlExponent(shape.volumeM3, shape.diameterM, shape.depthM));
    case 'cylinder':
    case 'tile':
      return straight([
        [0, 0],
        [1, 0],
        [1, shape.depthM],
      ]);
    case 'cup':
    case 'liner':
      return straight([
        [0, 0],
        [shape.baseDiameterM / shape.diameterM, 0],
        [1, shape.depthM],
      ]);
    case 'faceted': {
      const corners = FACETED[shape.form].map(([share, depth]) => [share, depth * shape.depthM] as const);
      return straight(corners[0][0] > 0 ? [[0, 0], ...corners] : corners);
    }
    case 'turned':
      return turned(shape.points);
  }
}

function outlined(form: OutlineForm, depthM: number): Meridian {
  if (form === 'domed') return dome(depthM, 2);
  const corners: Corners =
    form === 'flat'
      ? [
          [0, 0],
          [1, 0],
          [1, 1],
        ]
      : FACETED.gem;
  return straight(corners.map(([share, depth]) => [share, depth * depthM]));
}

/** Radius of the sphere that a cap of this width and depth is cut from, m. */
export function sphereRadius(diameterM: number, depthM: number): number {
  return (diameterM ** 2 / 4 + depthM ** 2) / (2 * depthM);
}

function arc(radiusM: number, rimRadiusM: number, toAngle: number, depthM: number): Meridian {
  const at = (of: (angle: number) => number): Float64Array =>
    Float64Array.from({ length: CURVE_CELLS + 1 }, (_, i) => of((toAngle * i) / CURVE_CELLS));
  const heightM = at((angle) => radiusM * (1 - Math.cos(angle)));
  const share = at((angle) => (radiusM * Math.sin(angle)) / rimRadiusM);
  // The rim is where it is said to be, to the last digit.
  share[CURVE_CELLS] = 1;
  heightM[CURVE_CELLS] = depthM;
  return { share, heightM, smooth: true, depthM };
}

/** A bowl whose share s at height z follows sⁿ + (1 - z/d)ⁿ = 1: an ellipse at 2, fuller above, leaner below. */
function dome(depthM: number, exponent: number): Meridian {
  const share = new Float64Array(CURVE_CELLS + 1);
  const heightM = new Float64Array(CURVE_CELLS + 1);
  for (let i = 0; i <= CURVE_CELLS; i++) {
    const angle = ((Math.PI / 2) * i) / CURVE_CELLS;
    share[i] = Math.sin(angle) ** (2 / exponent);
    heightM[i] = depthM * (1 - Math.max(0, Math.cos(angle)) ** (2 / exponent));
  }
  share[CURVE_CELLS] = 1;
  heightM[CURVE_CELLS] = depthM;
  return { share, heightM, smooth: true, depthM };
}

/** Corners closer than this, as shares or metres, are one. */
const APART = 1e-7;

function straight(corners: readonly (readonly [share: number, heightM: number])[]): Meridian {
  const apart = corners.filter(
    (corner, i) =>
      i === 0 || Math.abs(corner[0] - corners[i - 1][0]) > APART || Math.abs(corner[1] - corners[i - 1][1]) > APART,
  );
  return {
    share: Float64Array.from(apart, (c) => c[0]),
    heightM: Float64Array.from(apart, (c) => c[1]),
    smooth: false,
    depthM: apart[apart.length - 1][1],
  };
}

function turned(points: Extract<CavityShape, { kind: 'turned' }>['points']): Meridian {
  const rim = points[points.length - 1].radiusM;
  const floor = points[0].heightM;
  const corners = points.map(({ radiusM, heightM }) => [radiusM / rim, heightM - floor] as const);
  return straight(corners[0][0] > 0 ? [[0, 0], ...corners] : corners);
}
