import { line } from 'd3-shape';
import { coatLine } from '../../core/cavity/inset';
import type { Line } from '../../core/cavity/profile';
import type { CloseResult } from '../../core/close/close';
import type { PartDraft } from '../../core/plan/plan-types';

/** A place on the drawing, px. */
export interface Spot {
  readonly x: number;
  readonly y: number;
}

/** Where a point of the cut, at a radius and a height in metres, comes to lie. */
export type Place = (r: number, z: number) => Spot;

/** One layer of the fill as drawn. */
export interface DrawnLayer {
  readonly path: string;
  readonly kind: string;
  readonly topY: number;
  /** Where its other end lies: below, or above in a part that is turned over. */
  readonly baseY: number;
  readonly halfWidth: number;
}

/** The cut through one part, px. */
export interface Cut {
  readonly coatPaths: readonly string[];
  readonly layers: readonly DrawnLayer[];
  /** What of the topmost layer stands above the rim, and the cap on the filling. */
  readonly heapPath: string | undefined;
  readonly capPath: string | undefined;
  /** Thickness of all coats along the wall as drawn, m. */
  readonly thicknessM: Float64Array;
}

/** How thick a cap is, and how far it stays below the rim, m. */
export interface CutCap {
  readonly thicknessM: number;
  readonly belowM: number;
}

/** What of a part is cut. */
export type CutPart = Pick<PartDraft, 'cavity' | 'coat' | 'fill'> & { readonly cap?: CutCap | undefined };

/** A cap as it is drawn; nothing where none closes it. */
export function cutCap(close: CloseResult | undefined): CutCap | undefined {
  return close?.cap && { thicknessM: close.cap.thickness.value, belowM: close.cap.below.value };
}

/** Points of an outline closer than this are not told apart, px. */
const FINEST_PX = 8;
/** A line that turns by more than this has a corner there. */
const CORNER_RADIANS = 0.25;

/**
 * Cuts a part through its middle: its coats, and what is in it.
 * @param exaggeration factor on the thickness of coats
 */
export function cutThrough(
  { cavity, coat, fill, cap }: CutPart,
  pxPerM: number,
  exaggeration: number,
  place: Place,
): Cut {
  const drawn = coat.coats.map((one) => one.thicknessM.map((t) => t * exaggeration));
  const totals = drawn.map((_, i) =>
    drawn.slice(0, i + 1).reduce((sum, one) => sum.map((t, k) => t + one[k]), new Float64Array(drawn[0].length)),
  );
  const bounds: Line[] = [cavity.profile, ...totals.map((total) => coatLine(cavity, total))];
  const seen = bounds.map((bound) => thinned(bound, FINEST_PX / pxPerM));
  const inside = cavity.outward ? cavity.profile : bounds[bounds.length - 1];
  const levelScale = fill.depthM > 0 ? (cavity.depthM - inside.heightM[0]) / fill.depthM : 0;
  return {
    coatPaths: coat.coats.map(({ levels }, i) =>
      levels
        ? drawnLayer(cavity.profile, levels.fromM, levels.toM, '', place).path
        : between(seen[i], seen[i + 1], place),
    ),
    layers: fill.layers.map((layer) =>
      drawnLayer(inside, layer.fromM * levelScale, layer.toM * levelScale, layer.choice.filling.kind, place),
    ),
    heapPath: fill.heapM > 0 ? heapPath(inside, fill.heapM, place) : undefined,
    capPath: cap && capPath(inside, cap, place),
    thicknessM: totals[totals.length - 1],
  };
}

/** A cap that lies on what is inside, up to the rim or as far below as it stays. */
function capPath(inside: Line, { thicknessM, belowM }: CutCap, place: Place): string {
  const top = inside.heightM[inside.heightM.length - 1] - inside.heightM[0] - belowM;
  return drawnLayer(inside, Math.max(0, top - thicknessM), top, '', place).path;
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

/** A hundredth of a pixel is finer than any screen, and short to parse. */
export const outline = line<Spot>(
  (spot) => spot.x,
  (spot) => spot.y,
).digits(2);

/** Both halves of a curve: left rim, pole, right rim. */
export function bothHalves(radius: ArrayLike<number>, height: ArrayLike<number>, place: Place): Spot[] {
  const right = Array.from({ length: radius.length }, (_, i) => place(radius[i], height[i]));
  const left = Array.from({ length: radius.length }, (_, i) => place(-radius[i], height[i])).reverse();
  return [...left, ...right];
}

export function closed(spots: readonly Spot[]): string {
  return `${outline([...spots]) ?? ''}Z`;
}

export function between(outer: Line, inner: Line, place: Place): string {
  return closed([
    ...bothHalves(outer.radiusM, outer.heightM, place),
    ...bothHalves(inner.radiusM, inner.heightM, place).reverse(),
  ]);
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
    const share = Math.min(
      1,
      Math.max(0, (z - inside.heightM[i - 1]) / Math.max(1e-12, inside.heightM[i] - inside.heightM[i - 1])),
    );
    return inside.radiusM[i - 1] + share * (inside.radiusM[i] - inside.radiusM[i - 1]);
  };
  const low = floor + fromM;
  const high = floor + toM;
  const between = Array.from(inside.heightM.keys()).filter((i) => inside.heightM[i] > low && inside.heightM[i] < high);
  // From the lowest point up a level floor comes first, then what rises from it.
  const flat = fromM > 0 ? -1 : inside.heightM.reduce((last, z, i) => (z <= floor ? i : last), 0);
  const radii = [
    flat < 0 ? radiusAt(low) : inside.radiusM[flat],
    ...between.map((i) => inside.radiusM[i]),
    radiusAt(high),
  ];
  const heights = [low, ...between.map((i) => inside.heightM[i]), high];
  return {
    path: closed(bothHalves(radii, heights, place)),
    kind,
    topY: place(0, high).y,
    baseY: place(0, low).y,
    halfWidth: place(radii[radii.length - 1], 0).x - place(0, 0).x,
  };
}
