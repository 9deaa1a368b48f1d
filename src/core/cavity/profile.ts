/**
 * A turned cavity as its cut through the middle: radius and height against arc length, pole first.
 * The pole is the deepest point (height 0); the rim is last.
 */
export interface Profile {
  /** Distance from the axis, m, at each point. */
  readonly radiusM: Float64Array;
  /** Height above the pole, m. */
  readonly heightM: Float64Array;
  /** Arc length from the pole, m. */
  readonly arcM: Float64Array;
  /** Wall slope, radians: 0 at a flat pole, π/2 where the wall is vertical. */
  readonly slope: Float64Array;
}

/**
 * Volume enclosed below each point of a profile, m³, summed over exact frusta.
 * @returns cumulative volumes, one a point, the last being the whole cavity
 */
export function cumulativeVolume(profile: Profile): Float64Array {
  const { radiusM: r, heightM: z } = profile;
  const volumes = new Float64Array(r.length);
  for (let i = 1; i < r.length; i++) {
    volumes[i] = volumes[i - 1] + (Math.PI / 3) * (z[i] - z[i - 1]) * (r[i] ** 2 + r[i] * r[i - 1] + r[i - 1] ** 2);
  }
  return volumes;
}

/** Wetted wall area of a profile, m²: the sum of the frusta's mantles (Pappus-Guldin). */
export function wallArea(profile: Profile): number {
  const { radiusM: r, arcM: s } = profile;
  let area = 0;
  for (let i = 1; i < r.length; i++) area += Math.PI * (r[i] + r[i - 1]) * (s[i] - s[i - 1]);
  return area;
}

/**
 * The profile of the space left inside a coat laid on `outer`, each point moved inward along the normal.
 * Points that would cross the axis, or stand above the rim, are left out; the rim is brought to the rim's height.
 * @param thicknessM coat thickness at each point of `outer`, m
 */
export function insetProfile(outer: Profile, thicknessM: ArrayLike<number>): Profile {
  const last = outer.radiusM.length - 1;
  const rimHeight = outer.heightM[last];
  const radius: number[] = [0];
  const height: number[] = [Math.min(thicknessM[0], rimHeight)];
  for (let i = 1; i <= last; i++) {
    const r = outer.radiusM[i] - thicknessM[i] * Math.sin(outer.slope[i]);
    const z = outer.heightM[i] + thicknessM[i] * Math.cos(outer.slope[i]);
    if (r <= radius[radius.length - 1] || z < height[height.length - 1] || z > rimHeight) continue;
    radius.push(r);
    height.push(z);
  }
  radius.push(radius.length > 1 ? Math.max(radius[radius.length - 1], outer.radiusM[last] - thicknessM[last]) : 0);
  height.push(rimHeight);
  return profileThrough(radius, height);
}

/** Builds a profile through points given from the pole to the rim; slopes are those of the chords. */
export function profileThrough(radius: readonly number[], height: readonly number[]): Profile {
  const n = radius.length;
  const arc = new Float64Array(n);
  const slope = new Float64Array(n);
  for (let i = 1; i < n; i++) {
    const dr = radius[i] - radius[i - 1];
    const dz = height[i] - height[i - 1];
    arc[i] = arc[i - 1] + Math.hypot(dr, dz);
    slope[i] = Math.atan2(dz, dr);
  }
  slope[0] = n > 1 ? slope[1] : 0;
  return { radiusM: Float64Array.from(radius), heightM: Float64Array.from(height), arcM: arc, slope };
}
