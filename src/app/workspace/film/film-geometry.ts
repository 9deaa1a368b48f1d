import { line } from 'd3-shape';
import type { Cavity } from '../../../core/cavity/cavity';
import { filmState, type FilmState } from '../../../core/shell/film-state';
import type { ShellFrame } from '../../../core/shell/recording';
import type { Spot } from '../../drawing/cut';
import type { SectionGeometry } from '../../drawing/section-geometry';

/** What is drawn of one picture, px. */
export interface FilmGeometry {
  /** What had set when each coat began, outermost first. */
  readonly setPaths: readonly string[];
  readonly filmPaths: readonly { readonly state: FilmState; readonly path: string }[];
  /** The free surface at the thinnest place, on the right, and how thin it is. */
  readonly thin: Spot;
  readonly thinM: number;
}

/**
 * Lays out one picture of the film in a section: what has set, coat by coat, and the film in stretches of one state. Pure.
 * @param begins what had set when each coat so far began, m at each point of the profile
 */
export function filmGeometry(
  cavity: Cavity,
  base: SectionGeometry,
  frame: ShellFrame,
  begins: readonly Float32Array[],
): FilmGeometry {
  const { radiusM, heightM, slope, areaFactor } = cavity.profile;
  const side = cavity.outward ? -1 : 1;
  const spot = (i: number, t: number): Spot => {
    const along = side * t * base.exaggeration * (cavity.outward ? 1 : areaFactor[i]);
    const r = i === 0 ? 0 : Math.max(0, radiusM[i] - along * Math.sin(slope[i]));
    return {
      x: base.axisX + r * base.pxPerM,
      y: base.rimY + (cavity.depthM - heightM[i] - along * Math.cos(slope[i])) * base.pxPerM,
    };
  };
  const last = radiusM.length - 1;
  const stretch = (lower: ArrayLike<number>, upper: (i: number) => number, from: number, to: number): string => {
    const points = Array.from({ length: to - from + 1 }, (_, k) => from + k);
    const outline = [...points.map((i) => spot(i, lower[i])), ...points.reverse().map((i) => spot(i, upper(i)))];
    const mirrored = outline.map(({ x, y }) => ({ x: 2 * base.axisX - x, y }));
    return `${closed(outline)}${closed(mirrored)}`;
  };
  const bounds = [...begins, frame.belowM];
  const setPaths = bounds.slice(1).map((upper, k) => stretch(bounds[k], (i) => upper[i], 0, last));
  const total = (i: number): number => frame.belowM[i] + frame.filmM[i];
  const filmPaths: { state: FilmState; path: string }[] = [];
  for (let from = 0; from < last;) {
    const state = filmState(frame.filmSet[from]);
    let to = from + 1;
    while (to < last && filmState(frame.filmSet[to]) === state) to++;
    filmPaths.push({ state, path: stretch(frame.belowM, total, from, to) });
    from = to;
  }
  let thin = 0;
  for (let i = 1; i <= last; i++) if (total(i) < total(thin)) thin = i;
  return { setPaths, filmPaths, thin: spot(thin, total(thin)), thinM: total(thin) };
}

const outlineOf = line<Spot>(
  (spot) => spot.x,
  (spot) => spot.y,
).digits(2);

function closed(spots: readonly Spot[]): string {
  return `${outlineOf([...spots]) ?? ''}Z`;
}
