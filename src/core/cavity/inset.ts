import type { Cavity } from './cavity';
import type { Line, Profile } from './profile';

/** The free side of a coat on a cavity's wall, or of one on the outside of a former. */
export function coatLine(
  { profile, outward }: Pick<Cavity, 'profile' | 'outward'>,
  thicknessM: ArrayLike<number>,
): Line {
  if (!outward) return insetLine(profile, thicknessM);
  const { radiusM, heightM, sine, cosine } = profile;
  return {
    radiusM: radiusM.map((r, i) => (i === 0 ? 0 : r + thicknessM[i] * sine[i])),
    heightM: heightM.map((z, i) => z - thicknessM[i] * cosine[i]),
  };
}

/**
 * The inside of a coat laid on a profile: each point moved along its normal, by more where the true wall is longer than
 * the turned one, and at every height the narrowest of what the moved stretches leave. Parts of a coat that would lie
 * beyond another part, as in a corner, are thereby left out. Heights rise from the coat's lowest point to the rim.
 * @param thicknessM coat thickness at each point of `outer`, m
 */
export function insetLine(outer: Profile, thicknessM: ArrayLike<number>): Line {
  const { radiusM, heightM, slope, sine, cosine, areaFactor } = outer;
  const n = radiusM.length;
  const rimM = heightM[n - 1];
  // Where the wall leans in at the rim, the coat goes on along it up to the rim's height, where it is scraped level.
  const leans = slope[n - 1] > Math.PI / 2;
  const moved = leans ? n + 1 : n;
  // With room for the point at which the rim's height cuts it off.
  const r = new Float64Array(moved + 1);
  const z = new Float64Array(moved + 1);
  for (let i = 0; i < n; i++) {
    const t = thicknessM[i] * areaFactor[i];
    r[i] = i === 0 ? 0 : radiusM[i] - t * sine[i];
    z[i] = i === 0 ? t : heightM[i] + t * cosine[i];
  }
  if (leans) {
    z[n] = rimM;
    r[n] = radiusM[n - 1] - (thicknessM[n - 1] * areaFactor[n - 1]) / Math.max(0.02, sine[n - 1]);
  }
  const floor = z[0];
  if (floor >= rimM) return { radiusM: new Float64Array(2), heightM: new Float64Array([rimM, rimM]) };
  return rises(r, z, moved)
    ? cutOff(r, z, moved, rimM)
    : narrowest(r.subarray(0, moved), z.subarray(0, moved), floor, rimM);
}

function rises(r: Float64Array, z: Float64Array, count: number): boolean {
  for (let i = 1; i < count; i++) if (z[i] < z[i - 1] || r[i] < r[i - 1]) return false;
  return true;
}

/** A moved line of so many points that nowhere folds back, cut off at the rim's height; written over. */
function cutOff(r: Float64Array, z: Float64Array, count: number, rimM: number): Line {
  let k = 0;
  for (; k < count && z[k] <= rimM; k++) r[k] = Math.max(0, r[k]);
  if (z[k - 1] < rimM) {
    const share = k < count ? (rimM - z[k - 1]) / (z[k] - z[k - 1]) : 0;
    r[k] = r[k - 1] + share * (Math.max(0, r[k]) - r[k - 1]);
    z[k++] = rimM;
  }
  return { radiusM: r.subarray(0, k), heightM: z.subarray(0, k) };
}

/** Levels this close are one, m; a line is read so far above and below each, as it may step from one width to another there. */
const HAIR_M = 1e-8;

/** At every height of a moved line that folds back, the narrowest of the stretches that pass it. */
function narrowest(r: Float64Array, z: Float64Array, floor: number, rimM: number): Line {
  const levels = z.filter((level) => level > floor + HAIR_M && level < rimM - HAIR_M).sort();
  const widthAt = widthsUpward(r, z);
  const line = new RisingLine(2 * levels.length + 3);
  line.add(0, floor);
  const add = (level: number): void => {
    if (level > line.height) line.add(widthAt(level, line.radius), level);
  };
  add(floor + HAIR_M);
  for (const level of levels) {
    add(level - HAIR_M);
    add(level + HAIR_M);
  }
  return line.ended(widthAt(rimM, line.radius), rimM);
}

/**
 * The narrowest stretch that passes a level, for levels asked for from below upward; as wide as `before` where none does, as over a level
 * floor. Each stretch is looked at only at the levels that it passes.
 */
function widthsUpward(r: Float64Array, z: Float64Array): (level: number, before: number) => number {
  const foot = z.map((height, i) => (i === 0 ? height : Math.min(z[i - 1], height)));
  const coming: number[] = [];
  for (let i = 1; i < z.length; i++) if (z[i - 1] !== z[i]) coming.push(i);
  coming.sort((i, j) => foot[i] - foot[j]);
  let next = 0;
  const passing = new Int32Array(coming.length);
  let passed = 0;
  return (level, before) => {
    while (next < coming.length && foot[coming[next]] <= level) passing[passed++] = coming[next++];
    let least = Infinity;
    let left = 0;
    for (let k = 0; k < passed; k++) {
      const i = passing[k];
      const a = z[i - 1];
      const b = z[i];
      if (a < level && b < level) continue;
      passing[left++] = i;
      const here = r[i - 1] + ((level - a) / (b - a)) * (r[i] - r[i - 1]);
      if (here < least) least = here;
    }
    passed = left;
    return Math.max(0, Number.isFinite(least) ? least : Math.min(before, r[r.length - 1]));
  };
}

/** A line as it is built from below, point by point. */
class RisingLine {
  private count = 0;
  private readonly radiusM: Float64Array;
  private readonly heightM: Float64Array;

  constructor(most: number) {
    this.radiusM = new Float64Array(most);
    this.heightM = new Float64Array(most);
  }

  /** Of the point added last. */
  get radius(): number {
    return this.radiusM[this.count - 1];
  }
  get height(): number {
    return this.heightM[this.count - 1];
  }

  add(radius: number, height: number): void {
    this.radiusM[this.count] = radius;
    this.heightM[this.count++] = height;
  }

  /** The line up to the rim. */
  ended(rimRadius: number, rimM: number): Line {
    if (this.height < rimM || this.count === 1) this.add(rimRadius, rimM);
    return { radiusM: this.radiusM.slice(0, this.count), heightM: this.heightM.slice(0, this.count) };
  }
}
