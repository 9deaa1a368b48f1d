import type { Cavity } from './cavity';
import type { Line, Profile } from './profile';

/** The free side of a coat on a cavity's wall, or of one on the outside of a former. */
export function coatLine({ profile, outward }: Pick<Cavity, 'profile' | 'outward'>, thicknessM: ArrayLike<number>): Line {
  if (!outward) return insetLine(profile, thicknessM);
  const { radiusM, heightM, slope } = profile;
  return { radiusM: radiusM.map((r, i) => (i === 0 ? 0 : r + thicknessM[i] * Math.sin(slope[i]))), heightM: heightM.map((z, i) => z - thicknessM[i] * Math.cos(slope[i])) };
}

/**
 * The inside of a coat laid on a profile: each point moved along its normal, by more where the true wall is longer than
 * the turned one, and at every height the narrowest of what the moved stretches leave. Parts of a coat that would lie
 * beyond another part, as in a corner, are thereby left out. Heights rise from the coat's lowest point to the rim.
 * @param thicknessM coat thickness at each point of `outer`, m
 */
export function insetLine(outer: Profile, thicknessM: ArrayLike<number>): Line {
  const { radiusM, heightM, slope, areaFactor } = outer;
  const n = radiusM.length;
  const rimM = heightM[n - 1];
  // Where the wall leans in at the rim, the coat goes on along it up to the rim's height, where it is scraped level.
  const leans = slope[n - 1] > Math.PI / 2;
  const r = new Float64Array(leans ? n + 1 : n);
  const z = new Float64Array(leans ? n + 1 : n);
  for (let i = 0; i < n; i++) {
    const t = thicknessM[i] * areaFactor[i];
    r[i] = i === 0 ? 0 : radiusM[i] - t * Math.sin(slope[i]);
    z[i] = i === 0 ? t : heightM[i] + t * Math.cos(slope[i]);
  }
  if (leans) {
    z[n] = rimM;
    r[n] = radiusM[n - 1] - (thicknessM[n - 1] * areaFactor[n - 1]) / Math.max(0.02, Math.sin(slope[n - 1]));
  }
  const floor = z[0];
  if (floor >= rimM) return ended([0], [rimM], 0, rimM);
  return rises(r, z) ? asMoved(r, z, rimM) : narrowest(r, z, floor, rimM);
}

function rises(r: Float64Array, z: Float64Array): boolean {
  for (let i = 1; i < z.length; i++) if (z[i] < z[i - 1] || r[i] < r[i - 1]) return false;
  return true;
}

/** A moved line that nowhere folds back, cut off at the rim's height. */
function asMoved(r: Float64Array, z: Float64Array, rimM: number): Line {
  const radius: number[] = [];
  const height: number[] = [];
  for (let i = 0; i < z.length && z[i] <= rimM; i++) {
    radius.push(Math.max(0, r[i]));
    height.push(z[i]);
  }
  const k = radius.length;
  const last = z.length - 1;
  const rim = k <= last && z[k] > z[k - 1] ? radius[k - 1] + ((rimM - z[k - 1]) / (z[k] - z[k - 1])) * (Math.max(0, r[k]) - radius[k - 1]) : Math.max(0, r[last]);
  return ended(radius, height, rim, rimM);
}

/** Levels this close are one, m; a line is read so far above and below each, as it may step from one width to another there. */
const HAIR_M = 1e-8;

/** At every height of a moved line that folds back, the narrowest of the stretches that pass it. */
function narrowest(r: Float64Array, z: Float64Array, floor: number, rimM: number): Line {
  const levels = Array.from(z).filter((level) => level > floor + HAIR_M && level < rimM - HAIR_M).sort((a, b) => a - b);
  const radius: number[] = [0];
  const height: number[] = [floor];
  const add = (level: number): void => {
    if (level <= height[height.length - 1]) return;
    radius.push(widthAt(r, z, level, radius[radius.length - 1]));
    height.push(level);
  };
  add(floor + HAIR_M);
  for (const level of levels) {
    add(level - HAIR_M);
    add(level + HAIR_M);
  }
  return ended(radius, height, widthAt(r, z, rimM, radius[radius.length - 1]), rimM);
}

/** The narrowest stretch that passes a level; as wide as `before` where none does, as over a level floor. */
function widthAt(r: Float64Array, z: Float64Array, level: number, before: number): number {
  let least = Infinity;
  for (let i = 1; i < z.length; i++) {
    const [a, b] = [z[i - 1], z[i]];
    if ((a < level && b < level) || (a > level && b > level) || a === b) continue;
    const here = r[i - 1] + ((level - a) / (b - a)) * (r[i] - r[i - 1]);
    if (here < least) least = here;
  }
  return Math.max(0, Number.isFinite(least) ? least : Math.min(before, r[r.length - 1]));
}

function ended(radius: number[], height: number[], rimRadius: number, rimM: number): Line {
  if (height[height.length - 1] < rimM || radius.length === 1) {
    radius.push(rimRadius);
    height.push(rimM);
  }
  return { radiusM: Float64Array.from(radius), heightM: Float64Array.from(height) };
}
