import type { Meridian } from './meridian';

/** A line from the axis to the rim, as cut through the middle of a turned body. */
export interface Line {
  /** Distance from the axis, m, at each point. */
  readonly radiusM: Float64Array;
  /** Height above the lowest point of the cavity, m. */
  readonly heightM: Float64Array;
}

/**
 * A turned cavity as its cut through the middle, lowest point first, rim last: what films and heat are computed on.
 * A cavity that is not turned is stood for by the turned one with the same area at every height; `areaFactor` then
 * says how much more wall it has there.
 */
export interface Profile extends Line {
  /** Arc length from the lowest point, m. */
  readonly arcM: Float64Array;
  /** Wall slope, radians: 0 where it is level, π/2 where it is upright, more where it leans over the cavity. */
  readonly slope: Float64Array;
  /** Sine and cosine of the slope. */
  readonly sine: Float64Array;
  readonly cosine: Float64Array;
  /** Mean and Gauss curvature of the wall, 1/m and 1/m²; positive where it is hollow as seen by the chocolate. */
  readonly meanCurvature: Float64Array;
  readonly gaussCurvature: Float64Array;
  /** Wall area over that of the turned body, 1 and more. */
  readonly areaFactor: Float64Array;
  /** Volume of the turned body, m³. */
  readonly turnedM3: number;
}

const STRAIGHT_CELLS = 56;
/** A corner is rounded by this much of arc either way, m, or this share of the whole arc: chocolate never lies in a sharp one. Working rule. */
const CORNER_M = 0.002;
const CORNER_SHARE = 0.06;

/**
 * The profile of a meridian.
 * @param radiusM radius of the circle with the rim's area, m
 * @param areaFactorAt how much more wall than the turned body a place has whose meridian runs along (share, height)
 * @param outward true for a former, whose outside is coated: its wall curves away from the chocolate
 */
export function profileOf(
  meridian: Meridian,
  radiusM: number,
  areaFactorAt: (dShare: number, dHeightM: number) => number,
  outward = false,
): Profile {
  const { share, heightM } = meridian.smooth ? meridian : divided(meridian, radiusM);
  const radius = share.map((s) => s * radiusM);
  const n = radius.length;
  const chords = new Float64Array(n);
  for (let i = 1; i < n; i++)
    chords[i] = chords[i - 1] + Math.hypot(radius[i] - radius[i - 1], heightM[i] - heightM[i - 1]);
  const slope = meridian.smooth ? smoothSlopes(radius, heightM) : roundedSlopes(radius, heightM, chords);
  const arc = meridian.smooth ? arcsOver(chords, slope) : chords;
  const [sine, cosine] = [slope.map(Math.sin), slope.map(Math.cos)];
  const sign = outward ? -1 : 1;
  const along = (i: number): number => {
    const a = Math.max(0, i - 1);
    const b = Math.min(n - 1, i + 1);
    // The other half lies mirrored beyond the axis.
    return i === 0 ? slope[1] / arc[1] : (slope[b] - slope[a]) / (arc[b] - arc[a]);
  };
  const mean = new Float64Array(n);
  const gauss = new Float64Array(n);
  const factor = new Float64Array(n);
  for (let i = 0; i < n; i++) {
    const first = along(i);
    const second = i === 0 || radius[i] < 1e-9 ? first : sine[i] / radius[i];
    mean[i] = (sign * (first + second)) / 2;
    gauss[i] = first * second;
    factor[i] = areaFactorAt(cosine[i] / radiusM, sine[i]);
  }
  return {
    radiusM: radius,
    heightM: Float64Array.from(heightM),
    arcM: arc,
    slope,
    sine,
    cosine,
    meanCurvature: mean,
    gaussCurvature: gauss,
    areaFactor: factor,
    turnedM3: enclosedVolume({ radiusM: radius, heightM }),
  };
}

/** Straight stretches divided into cells about alike, at least two each. */
function divided({ share, heightM }: Meridian, radiusM: number): Line & { readonly share: Float64Array } {
  const n = share.length;
  const lengths = Array.from({ length: n - 1 }, (_, i) =>
    Math.hypot((share[i + 1] - share[i]) * radiusM, heightM[i + 1] - heightM[i]),
  );
  const all = lengths.reduce((sum, length) => sum + length, 0);
  const shares = [share[0]];
  const heights = [heightM[0]];
  const least = n > 30 ? 1 : 2;
  lengths.forEach((length, i) => {
    const cells = Math.max(least, Math.round((STRAIGHT_CELLS * length) / all));
    for (let k = 1; k <= cells; k++) {
      shares.push(share[i] + ((share[i + 1] - share[i]) * k) / cells);
      heights.push(heightM[i] + ((heightM[i + 1] - heightM[i]) * k) / cells);
    }
  });
  return {
    share: Float64Array.from(shares),
    radiusM: Float64Array.from(shares, (s) => s * radiusM),
    heightM: Float64Array.from(heights),
  };
}

/** Slopes on a smooth curve, from the points either side; exact on an arc divided evenly. */
function smoothSlopes(radius: Float64Array, height: Float64Array): Float64Array {
  const last = radius.length - 1;
  const between = (a: number, b: number): number => Math.atan2(height[b] - height[a], radius[b] - radius[a]);
  const slope = radius.map((_, i) => (i === 0 || i === last ? 0 : between(i - 1, i + 1)));
  slope[last] = 2 * between(last - 1, last) - slope[last - 1];
  return slope;
}

/** Slopes along straight stretches, each corner rounded off: the direction between points a little before and after. */
function roundedSlopes(radius: Float64Array, height: Float64Array, arc: Float64Array): Float64Array {
  const last = radius.length - 1;
  const reach = Math.min(CORNER_M, CORNER_SHARE * arc[last]);
  const place = new Placing(radius, height, arc);
  return arc.map((s) => {
    const [r0, z0] = place.at(s - reach);
    const [r1, z1] = place.at(Math.min(arc[last], s + reach));
    return s === 0 ? 0 : Math.atan2(z1 - z0, r1 - r0);
  });
}

/** Points at any arc length along a polyline, asked for in rising order; before the axis lies its mirror image. */
class Placing {
  constructor(
    private readonly radius: Float64Array,
    private readonly height: Float64Array,
    private readonly arc: Float64Array,
  ) {}

  at(s: number): readonly [number, number] {
    const { radius, height, arc } = this;
    const where = Math.abs(s);
    let low = 1;
    let high = arc.length - 1;
    while (low < high) {
      const middle = (low + high) >> 1;
      if (arc[middle] < where) low = middle + 1;
      else high = middle;
    }
    const share = (where - arc[low - 1]) / (arc[low] - arc[low - 1]);
    const r = radius[low - 1] + share * (radius[low] - radius[low - 1]);
    return [s < 0 ? -r : r, height[low - 1] + share * (height[low] - height[low - 1])];
  }
}

/** Arc lengths from chords on a smooth curve: a chord that turns by δ spans an arc longer by (δ/2)/sin(δ/2). */
function arcsOver(chords: Float64Array, slope: Float64Array): Float64Array {
  const arc = new Float64Array(chords.length);
  for (let i = 1; i < chords.length; i++) {
    const half = Math.abs(slope[i] - slope[i - 1]) / 2;
    arc[i] = arc[i - 1] + (chords[i] - chords[i - 1]) * (half > 1e-6 ? half / Math.sin(half) : 1);
  }
  return arc;
}

/**
 * Volume enclosed below each point of a line, m³, summed over exact frusta.
 * @returns cumulative volumes, one a point, the last being the whole cavity
 */
export function cumulativeVolume({ radiusM: r, heightM: z }: Line): Float64Array {
  const volumes = new Float64Array(r.length);
  for (let i = 1; i < r.length; i++) {
    volumes[i] = volumes[i - 1] + (Math.PI / 3) * (z[i] - z[i - 1]) * (r[i] ** 2 + r[i] * r[i - 1] + r[i - 1] ** 2);
  }
  return volumes;
}

/** Volume that a line encloses, m³: the last of the cumulative ones. */
export function enclosedVolume({ radiusM: r, heightM: z }: Line): number {
  let volume = 0;
  for (let i = 1; i < r.length; i++)
    volume += (z[i] - z[i - 1]) * (r[i] * r[i] + r[i] * r[i - 1] + r[i - 1] * r[i - 1]);
  return (Math.PI / 3) * volume;
}

/** Wetted wall area of a profile, m²: the sum of the frusta's mantles (Pappus-Guldin), with what the true wall has more. */
export function wallArea({ radiusM: r, arcM: s, areaFactor: f }: Profile): number {
  let area = 0;
  for (let i = 1; i < r.length; i++) area += Math.PI * (r[i] * f[i] + r[i - 1] * f[i - 1]) * (s[i] - s[i - 1]);
  return area;
}

/** Flatter than this a wall is floor: sine of its slope. */
const FLAT_SINE = 0.05;

/** Share of the wall, by area, that is flat floor. */
export function floorShare(profile: Profile): number {
  const { radiusM: r, arcM: s, areaFactor: f, sine } = profile;
  let area = 0;
  for (let i = 1; i < r.length; i++) {
    if (Math.abs(sine[i]) > FLAT_SINE || Math.abs(sine[i - 1]) > FLAT_SINE) continue;
    area += Math.PI * (r[i] * f[i] + r[i - 1] * f[i - 1]) * (s[i] - s[i - 1]);
  }
  return area / wallArea(profile);
}
