import type { Profile } from '../../core/cavity/profile';
import { between, bothHalves, closed, cutThrough, type CutPart, type DrawnLayer, type Place, type Spot } from './cut';
import type { PlanDraft } from '../../core/plan/plan-types';

/** Everything the section draws, px; all of it at one scale. */
export interface SectionGeometry {
  readonly pxPerM: number;
  /** Factor on the thickness of coats only; 1 is true to scale. */
  readonly exaggeration: number;
  readonly axisX: number;
  readonly rimY: number;
  /** The highest that is drawn: the rim, or the top of a heap on it. */
  readonly topY: number;
  readonly moldPath: string;
  readonly coatPaths: readonly string[];
  readonly layers: readonly DrawnLayer[];
  /** What of the topmost layer stands above the rim, and the cap on the filling. */
  readonly heapPath: string | undefined;
  readonly capPath: string | undefined;
  readonly rim: Spot;
  readonly wall: Spot;
  readonly base: Spot;
  /** Inner edge of the shell at the rim, where the wanted thickness is dragged. */
  readonly rimInner: Spot;
  readonly halfCavity: number;
  readonly depth: number;
  /** Lowest point of the mold. */
  readonly bottomY: number;
}

const FLANGE_M = 0.005;
/** Room kept free for rule and callouts, px. */
export interface Margin {
  readonly top: number;
  readonly bottom: number;
  readonly left: number;
  readonly right: number;
}

const MARGIN: Margin = { top: 50, bottom: 34, left: 50, right: 92 };

/** What of a plan is drawn. */
type Drawn = Pick<PlanDraft, 'cavity' | 'coat' | 'fill' | 'moldRecord'> & Pick<CutPart, 'cap'>;

/** Lays the section of a plan out in a box of `width` by `height` px. Pure; knows nothing of the page. */
export function sectionGeometry(
  plan: Drawn,
  width: number,
  height: number,
  exaggerate: boolean,
  margin = MARGIN,
): SectionGeometry {
  const { cavity, moldRecord } = plan;
  const widestM = Math.max(...cavity.profile.radiusM);
  const outerWidth = 2 * (widestM + moldRecord.wallM + FLANGE_M);
  const pxPerM = Math.max(
    1,
    Math.min(
      (width - margin.left - margin.right) / outerWidth,
      (height - margin.top - margin.bottom) / (cavity.depthM + moldRecord.wallM + plan.fill.heapM),
    ),
  );
  const axisX = (margin.left + width - margin.right) / 2;
  const above = plan.fill.heapM * pxPerM;
  const slack = height - margin.top - margin.bottom - above - (cavity.depthM + moldRecord.wallM) * pxPerM;
  const rimY = margin.top + above + Math.max(0, slack * 0.4);
  const solid = plan.coat.body !== undefined;
  const exaggeration = exaggerate && !solid ? thickened(plan) : 1;
  const place = (r: number, z: number): Spot => ({ x: axisX + r * pxPerM, y: rimY + (cavity.depthM - z) * pxPerM });
  const cut = cutThrough(plan, pxPerM, exaggeration, place);
  const last = cavity.profile.arcM.length - 1;
  const thickness = cut.thicknessM;
  const middle = cavity.profile.arcM.findIndex((s) => s >= cavity.profile.arcM[last] / 2);
  const side = cavity.outward ? -1 : 1;
  const onWall = (i: number): Spot => {
    const half = (side * thickness[i]) / 2;
    return place(
      cavity.profile.radiusM[i] - half * Math.sin(cavity.profile.slope[i]),
      cavity.profile.heightM[i] + half * Math.cos(cavity.profile.slope[i]),
    );
  };
  return {
    pxPerM,
    exaggeration,
    axisX,
    rimY,
    topY: rimY - above,
    moldPath: cavity.outward
      ? formerPath(cavity.profile, moldRecord.wallM, place)
      : moldPath(cavity.profile, moldRecord.wallM, place),
    coatPaths: cut.coatPaths,
    layers: cut.layers,
    heapPath: cut.heapPath,
    capPath: cut.capPath,
    rim: onWall(last),
    wall: onWall(middle),
    base: solid ? place(0, cavity.profile.heightM[0]) : onWall(0),
    rimInner: place(cavity.profile.radiusM[last] - side * thickness[last], cavity.depthM),
    halfCavity: (cavity.rimDiameterM / 2) * pxPerM,
    depth: cavity.depthM * pxPerM,
    bottomY: rimY + (cavity.depthM + moldRecord.wallM) * pxPerM,
  };
}

/** As much thicker as still leaves room inside, up to three times. */
function thickened({ cavity, coat }: Pick<PlanDraft, 'cavity' | 'coat'>): number {
  const thickest = Math.max(...coat.totalM);
  return Math.max(1, Math.min(3, (0.4 * cavity.depthM) / thickest));
}

/** A mold's sheet around the cavity, with a piece of its flange. */
function moldPath({ radiusM, heightM, slope }: Profile, wallM: number, place: Place): string {
  const last = radiusM.length - 1;
  const rimZ = heightM[last];
  const outerRadius: number[] = [];
  const outerHeight: number[] = [];
  // The outside of the bowl ends below the flange.
  for (let i = 0; i <= last && heightM[i] - wallM * Math.cos(slope[i]) < rimZ - wallM; i++) {
    outerRadius.push(Math.max(0, radiusM[i] + wallM * Math.sin(slope[i])));
    outerHeight.push(heightM[i] - wallM * Math.cos(slope[i]));
  }
  const outside = bothHalves(outerRadius, outerHeight, place);
  const neck = outerRadius[outerRadius.length - 1];
  const flange = Math.max(neck, radiusM[last]) + wallM + FLANGE_M;
  const right = [place(neck, rimZ - wallM), place(flange, rimZ - wallM), place(flange, rimZ)];
  const left = [place(-flange, rimZ), place(-flange, rimZ - wallM), place(-neck, rimZ - wallM)];
  return closed([...outside, ...right, ...bothHalves(radiusM, heightM, place).reverse(), ...left]);
}

/** A former's skin, drawn inward from the surface that is coated. */
function formerPath(profile: Profile, wallM: number, place: Place): string {
  const { radiusM, heightM, slope } = profile;
  const inner = {
    radiusM: radiusM.map((r, i) => (i === 0 ? 0 : r - wallM * Math.sin(slope[i]))),
    heightM: heightM.map((z, i) => z + wallM * Math.cos(slope[i])),
  };
  return between(profile, inner, place);
}
