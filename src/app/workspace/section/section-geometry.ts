import { line } from 'd3-shape';
import { coatLine } from '../../../core/cavity/inset';
import type { Line, Profile } from '../../../core/cavity/profile';
import type { PlanDraft } from '../../../core/plan/draft';

/** A place on the drawing, px. */
export interface Spot {
  readonly x: number;
  readonly y: number;
}

/** One layer of the fill as drawn. */
export interface DrawnLayer {
  readonly path: string;
  readonly kind: string;
  readonly topY: number;
  readonly halfWidth: number;
}

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
/** Points of an outline closer than this are not told apart, px. */
const FINEST_PX = 8;
/** A line that turns by more than this has a corner there. */
const CORNER_RADIANS = 0.25;
/** Room kept free for rule and callouts, px. */
export interface Margin {
  readonly top: number;
  readonly bottom: number;
  readonly left: number;
  readonly right: number;
}

const MARGIN: Margin = { top: 50, bottom: 34, left: 50, right: 92 };

/** What of a plan is drawn. */
type Drawn = Pick<PlanDraft, 'cavity' | 'coat' | 'fill' | 'moldRecord'> & { readonly capM?: number | undefined };

/** Lays the section of a plan out in a box of `width` by `height` px. Pure; knows nothing of the page. */
export function sectionGeometry(plan: Drawn, width: number, height: number, exaggerate: boolean, margin = MARGIN): SectionGeometry {
  const { cavity, moldRecord } = plan;
  const widestM = Math.max(...cavity.profile.radiusM);
  const outerWidth = 2 * (widestM + moldRecord.wallM + FLANGE_M);
  const pxPerM = Math.max(1, Math.min((width - margin.left - margin.right) / outerWidth, (height - margin.top - margin.bottom) / (cavity.depthM + moldRecord.wallM + plan.fill.heapM)));
  const axisX = (margin.left + width - margin.right) / 2;
  const above = plan.fill.heapM * pxPerM;
  const slack = height - margin.top - margin.bottom - above - (cavity.depthM + moldRecord.wallM) * pxPerM;
  const rimY = margin.top + above + Math.max(0, slack * 0.4);
  const solid = plan.coat.body !== undefined;
  const exaggeration = exaggerate && !solid ? thickened(plan) : 1;
  const place = (r: number, z: number): Spot => ({ x: axisX + r * pxPerM, y: rimY + (cavity.depthM - z) * pxPerM });
  const drawn = plan.coat.coats.map((coat) => coat.thicknessM.map((t) => t * exaggeration));
  const totals = drawn.map((_, i) => drawn.slice(0, i + 1).reduce((sum, coat) => sum.map((t, k) => t + coat[k]), new Float64Array(drawn[0].length)));
  const bounds: Line[] = [cavity.profile, ...totals.map((total) => coatLine(cavity, total))];
  const seen = bounds.map((bound) => thinned(bound, FINEST_PX / pxPerM));
  const inside = cavity.outward ? cavity.profile : bounds[bounds.length - 1];
  const levelScale = plan.fill.depthM > 0 ? (cavity.depthM - inside.heightM[0]) / plan.fill.depthM : 0;
  const last = cavity.profile.arcM.length - 1;
  const thickness = totals[totals.length - 1];
  const middle = cavity.profile.arcM.findIndex((s) => s >= cavity.profile.arcM[last] / 2);
  const side = cavity.outward ? -1 : 1;
  const onWall = (i: number): Spot => {
    const half = (side * thickness[i]) / 2;
    return place(cavity.profile.radiusM[i] - half * Math.sin(cavity.profile.slope[i]), cavity.profile.heightM[i] + half * Math.cos(cavity.profile.slope[i]));
  };
  return {
    pxPerM,
    exaggeration,
    axisX,
    rimY,
    topY: rimY - above,
    moldPath: cavity.outward ? formerPath(cavity.profile, moldRecord.wallM, place) : moldPath(cavity.profile, moldRecord.wallM, place),
    coatPaths: plan.coat.coats.map(({ levels }, i) => (levels ? drawnLayer(cavity.profile, levels.fromM, levels.toM, '', place).path : between(seen[i], seen[i + 1], place))),
    layers: plan.fill.layers.map((layer) => drawnLayer(inside, layer.fromM * levelScale, layer.toM * levelScale, layer.choice.filling.kind, place)),
    heapPath: plan.fill.heapM > 0 ? heapPath(inside, plan.fill.heapM, place) : undefined,
    capPath: plan.capM === undefined ? undefined : drawnLayer(inside, Math.max(0, cavity.depthM - inside.heightM[0] - plan.capM), cavity.depthM - inside.heightM[0], '', place).path,
    rim: onWall(last),
    wall: onWall(middle),
    base: solid ? place(0, cavity.profile.heightM[0]) : onWall(0),
    rimInner: place(cavity.profile.radiusM[last] - side * thickness[last], cavity.depthM),
    halfCavity: (cavity.rimDiameterM / 2) * pxPerM,
    depth: cavity.depthM * pxPerM,
    bottomY: rimY + (cavity.depthM + moldRecord.wallM) * pxPerM,
  };
}

/** Leaves out points closer than `apartM` along the line, but never a corner: on an arc of 200 px, 8 px apart stray by less than a twentieth of a pixel. */
function thinned({ radiusM: r, heightM: z }: Line, apartM: number): Line {
  const last = r.length - 1;
  const kept = [0];
  const turns = (i: number): boolean => {
    const turn = Math.atan2(z[i + 1] - z[i], r[i + 1] - r[i]) - Math.atan2(z[i] - z[i - 1], r[i] - r[i - 1]);
    return Math.abs(turn) > CORNER_RADIANS;
  };
  for (let i = 1; i < last; i++) {
    const before = kept[kept.length - 1];
    if (Math.hypot(r[i] - r[before], z[i] - z[before]) >= apartM || turns(i)) kept.push(i);
  }
  kept.push(last);
  return { radiusM: Float64Array.from(kept, (i) => r[i]), heightM: Float64Array.from(kept, (i) => z[i]) };
}

/** As much thicker as still leaves room inside, up to three times. */
function thickened({ cavity, coat }: Pick<PlanDraft, 'cavity' | 'coat'>): number {
  const thickest = Math.max(...coat.totalM);
  return Math.max(1, Math.min(3, (0.4 * cavity.depthM) / thickest));
}

type Place = (r: number, z: number) => Spot;

/** A hundredth of a pixel is finer than any screen, and short to parse. */
const outline = line<Spot>((spot) => spot.x, (spot) => spot.y).digits(2);

/** Both halves of a curve: left rim, pole, right rim. */
function bothHalves(radius: ArrayLike<number>, height: ArrayLike<number>, place: Place): Spot[] {
  const right = Array.from({ length: radius.length }, (_, i) => place(radius[i], height[i]));
  const left = Array.from({ length: radius.length }, (_, i) => place(-radius[i], height[i])).reverse();
  return [...left, ...right];
}

function closed(spots: readonly Spot[]): string {
  return `${outline([...spots]) ?? ''}Z`;
}

function between(outer: Line, inner: Line, place: Place): string {
  return closed([...bothHalves(outer.radiusM, outer.heightM, place), ...bothHalves(inner.radiusM, inner.heightM, place).reverse()]);
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
  const inner = { radiusM: radiusM.map((r, i) => (i === 0 ? 0 : r - wallM * Math.sin(slope[i]))), heightM: heightM.map((z, i) => z + wallM * Math.cos(slope[i])) };
  return between(profile, inner, place);
}

/** A heap on the mouth of an inside, as a cone. */
function heapPath({ radiusM, heightM }: Line, heapM: number, place: Place): string {
  const [mouth, rim] = [radiusM[radiusM.length - 1], heightM[heightM.length - 1]];
  return closed([place(-mouth, rim), place(0, rim + heapM), place(mouth, rim)]);
}

function drawnLayer(inside: Line, fromM: number, toM: number, kind: string, place: Place): DrawnLayer {
  const floor = inside.heightM[0];
  const radiusAt = (z: number): number => {
    let i = 1;
    while (i < inside.heightM.length - 1 && inside.heightM[i] < z) i++;
    const share = Math.min(1, Math.max(0, (z - inside.heightM[i - 1]) / Math.max(1e-12, inside.heightM[i] - inside.heightM[i - 1])));
    return inside.radiusM[i - 1] + share * (inside.radiusM[i] - inside.radiusM[i - 1]);
  };
  const low = floor + fromM;
  const high = floor + toM;
  const between = Array.from(inside.heightM.keys()).filter((i) => inside.heightM[i] > low && inside.heightM[i] < high);
  // From the lowest point up a level floor comes first, then what rises from it.
  const flat = fromM > 0 ? -1 : inside.heightM.reduce((last, z, i) => (z <= floor ? i : last), 0);
  const radii = [flat < 0 ? radiusAt(low) : inside.radiusM[flat], ...between.map((i) => inside.radiusM[i]), radiusAt(high)];
  const heights = [low, ...between.map((i) => inside.heightM[i]), high];
  return { path: closed(bothHalves(radii, heights, place)), kind, topY: place(0, high).y, halfWidth: place(radii[radii.length - 1], 0).x - place(0, 0).x };
}
