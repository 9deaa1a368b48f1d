import { isOutlined, outlinePoints, outlineThrough } from './free-outline';
import { meridianOf, sphereRadius, type Meridian } from './meridian';
import {
  circleOutline,
  ellipseOutline,
  polygonOutline,
  roundedRectangleOutline,
  type PlanOutline,
} from './plan-outline';
import { enclosedVolume, floorShare, profileOf, type Profile } from './profile';
import type { CavityShape } from './shape';

/** What everything downstream takes from a cavity's geometry, SI. */
export interface Cavity {
  readonly volumeM3: number;
  readonly wallAreaM2: number;
  readonly rimLengthM: number;
  readonly depthM: number;
  /** Diameter of the circle that has the rim's area. */
  readonly rimDiameterM: number;
  /** The widest it is, along and across. */
  readonly lengthM: number;
  readonly widthM: number;
  /** The widest part of the body, as a circle of the same area, m: what a shell has to span. */
  readonly spanM: number;
  /** Mean and Gauss curvature of the wall, averaged over its area, 1/m and 1/m². */
  readonly meanCurvature: number;
  readonly gaussCurvature: number;
  /** Share of the wall that is flat floor; what is coated outside lies on none. */
  readonly floorShare: number;
  /** Edges of its outline that stand into it; a coat runs thin over them. */
  readonly inwardEdges: number;
  readonly profile: Profile;
  /** The cavity is not turned, and the profile is that of the turned one with the same area at every height. */
  readonly equivalent: boolean;
  /** A former: coated on its outside, and nothing of it is filled with chocolate. */
  readonly outward: boolean;
}

/** What is cast, drawn and named asks for the same shape again and again; it is kept as long as the shape's record is. */
const inward = new WeakMap<CavityShape, Cavity>();
const outward = new WeakMap<CavityShape, Cavity>();

/**
 * Geometry of a cavity by formula, for every shape. The same object for the same record.
 *
 * A cavity is its rim's outline, scaled at each height by its meridian. Volume: outline area times the integral of the
 * squared share; wall: for each stretch of outline and meridian the strip between them, exact for turned and for faceted
 * bodies; spheres, ellipsoids and domes by their closed forms (handbook mensuration).
 * @param shape lengths 0.010 to 0.400 m, as the record's limits hold them
 * @param former coated outside
 */
export function cavityOf(shape: CavityShape, former = false): Cavity {
  const kept = former ? outward : inward;
  const cavity = kept.get(shape) ?? workedOut(shape, former);
  kept.set(shape, cavity);
  return cavity;
}

function workedOut(shape: CavityShape, outward: boolean): Cavity {
  const outline = outlineOf(shape);
  const meridian = meridianOf(shape);
  const radius = Math.sqrt(outline.areaM2 / Math.PI);
  const pleats = shape.kind === 'liner' ? shape.pleatFactor : 1;
  const factor = areaFactors(outline, radius, pleats);
  const profile = profileOf(meridian, radius, factor, outward);
  const widest = meridian.share.reduce((most, share) => Math.max(most, share), 0);
  return {
    volumeM3: volumeOf(shape, outline, meridian),
    wallAreaM2: areaOf(shape, outline, meridian, pleats),
    rimLengthM: outline.perimeterM * pleats,
    depthM: meridian.depthM,
    rimDiameterM: 2 * radius,
    lengthM: outline.lengthM * widest,
    widthM: outline.widthM * widest,
    spanM: 2 * radius * widest,
    ...meanCurvatures(profile),
    floorShare: outward ? 0 : floorShare(profile),
    inwardEdges: outline.inwardEdges ?? 0,
    profile,
    equivalent: isEquivalent(shape),
    outward,
  };
}

/** Whether a shape is not turned about an upright axis. */
function isEquivalent(shape: CavityShape): boolean {
  if (isOutlined(shape)) return true;
  switch (shape.kind) {
    case 'egg':
      return shape.lengthM !== shape.widthM;
    case 'tile':
    case 'pillow':
      return shape.lengthM !== shape.widthM || shape.cornerM < shape.widthM / 2;
    case 'faceted':
    case 'liner':
    case 'measured':
      return true;
    default:
      return false;
  }
}

function outlineOf(shape: CavityShape): PlanOutline {
  if (isOutlined(shape)) return outlineThrough(outlinePoints(shape));
  switch (shape.kind) {
    case 'egg':
      return ellipseOutline(shape.lengthM, shape.widthM);
    case 'tile':
    case 'pillow':
      return roundedRectangleOutline(shape.lengthM, shape.widthM, shape.cornerM);
    case 'faceted':
      return polygonOutline(shape.diameterM, shape.facets);
    case 'turned':
      return circleOutline(shape.points[shape.points.length - 1].radiusM);
    case 'ball':
      return circleOutline(shape.openingM / 2);
    default:
      return circleOutline(shape.diameterM / 2);
  }
}

/** How much more wall a place has than the turned body, by the direction its meridian runs in; pleats count where it rises. */
function areaFactors(
  outline: PlanOutline,
  radiusM: number,
  pleats: number,
): (dShare: number, dHeightM: number) => number {
  if (outline.stretches.length === 1 && Math.abs(outline.stretches[0].supportM - radiusM) < 1e-12)
    return (_, dHeightM) => (Math.abs(dHeightM) > 0.004 ? pleats : 1);
  return (dShare, dHeightM) => {
    const strip = outline.stretches.reduce((sum, s) => sum + s.lengthM * Math.hypot(dHeightM, s.supportM * dShare), 0);
    return strip / (2 * Math.PI * radiusM * Math.hypot(dHeightM, radiusM * dShare));
  };
}

function volumeOf(shape: CavityShape, outline: PlanOutline, meridian: Meridian): number {
  if (isOutlined(shape) && shape.form === 'domed') return domeVolume(outline, shape.depthM);
  switch (shape.kind) {
    case 'hemisphere':
      return (Math.PI / 12) * shape.diameterM ** 3;
    case 'egg':
    case 'pillow':
      return domeVolume(outline, shape.depthM);
    case 'measured':
      return shape.volumeM3;
    case 'cap':
    case 'ball': {
      const h = meridian.depthM;
      return (Math.PI * h * h * (3 * sphereRadiusOf(shape) - h)) / 3;
    }
    default:
      return (enclosedVolume({ radiusM: meridian.share, heightM: meridian.heightM }) / Math.PI) * outline.areaM2;
  }
}

function domeVolume({ areaM2 }: PlanOutline, depthM: number): number {
  return (2 / 3) * areaM2 * depthM;
}

function sphereRadiusOf(shape: Extract<CavityShape, { kind: 'cap' | 'ball' }>): number {
  return shape.kind === 'ball' ? shape.diameterM / 2 : sphereRadius(shape.diameterM, shape.depthM);
}

function areaOf(shape: CavityShape, outline: PlanOutline, meridian: Meridian, pleats: number): number {
  if (isOutlined(shape) && shape.form === 'domed') return domeArea(outline, shape.depthM);
  switch (shape.kind) {
    case 'hemisphere':
      return (Math.PI / 2) * shape.diameterM ** 2;
    case 'cap':
    case 'ball':
      return 2 * Math.PI * sphereRadiusOf(shape) * meridian.depthM;
    case 'egg':
    case 'pillow':
      return domeArea(outline, shape.depthM);
    default:
      return stripArea(outline, meridian, pleats);
  }
}

function domeArea({ stretches }: PlanOutline, depthM: number): number {
  return stretches.reduce((sum, s) => sum + s.lengthM * domeStrip(s.supportM, depthM), 0);
}

/** ∫₀¹ √(d² + (h² - d²)u²) du: a dome's wall over a stretch of outline, per length of it, for support h and depth d. */
function domeStrip(supportM: number, depthM: number): number {
  const squares = (supportM - depthM) * (supportM + depthM);
  const root = Math.sqrt(Math.abs(squares));
  if (root < 1e-9) return supportM;
  return (supportM + (depthM ** 2 / root) * (squares > 0 ? Math.asinh(root / depthM) : Math.asin(root / depthM))) / 2;
}

/** Floor and strips of wall between straight stretches of outline and of meridian; pleats where it rises. */
function stripArea(outline: PlanOutline, { share, heightM }: Meridian, pleats: number): number {
  let area = 0;
  for (let i = 1; i < share.length; i++) {
    const rise = heightM[i] - heightM[i - 1];
    const grow = share[i] - share[i - 1];
    if (rise === 0) {
      area += outline.areaM2 * Math.abs(share[i] ** 2 - share[i - 1] ** 2);
      continue;
    }
    const strip = outline.stretches.reduce((sum, s) => sum + s.lengthM * Math.hypot(rise, s.supportM * grow), 0);
    area += ((share[i] + share[i - 1]) / 2) * strip * pleats;
  }
  return area;
}

function meanCurvatures({
  radiusM,
  arcM,
  areaFactor,
  meanCurvature,
  gaussCurvature,
}: Profile): Pick<Cavity, 'meanCurvature' | 'gaussCurvature'> {
  let area = 0;
  let mean = 0;
  let gauss = 0;
  for (let i = 1; i < arcM.length; i++) {
    const band = ((arcM[i] - arcM[i - 1]) * (radiusM[i] * areaFactor[i] + radiusM[i - 1] * areaFactor[i - 1])) / 2;
    area += band;
    mean += (band * (meanCurvature[i] + meanCurvature[i - 1])) / 2;
    gauss += (band * (gaussCurvature[i] + gaussCurvature[i - 1])) / 2;
  }
  return { meanCurvature: mean / area, gaussCurvature: gauss / area };
}
