import type { Line } from './profile';

/** A place on a line, and which way it looks: outward, away from the axis and the body below. */
export interface LinePlace {
  readonly radiusM: number;
  readonly heightM: number;
  /** Angle of the outward normal from straight down, radians: 0 at the lowest point of a bowl, π/2 on an upright wall. */
  readonly looks: number;
}

/** Area that the stretch of a line up to its point `i` sweeps turned about the axis, m²: the side of a frustum. */
function frustumM2({ radiusM: r, heightM: z }: Line, i: number): number {
  return Math.PI * (r[i] + r[i - 1]) * Math.hypot(r[i] - r[i - 1], z[i] - z[i - 1]);
}

/** Area that a line sweeps turned about the axis, m². */
export function sweptM2(line: Line): number {
  let area = 0;
  for (let i = 1; i < line.radiusM.length; i++) area += frustumM2(line, i);
  return area;
}

/**
 * The stretch of a line from its beginning that sweeps so much area when it is turned about the axis; the whole line where it sweeps less.
 * @param areaM2 0 and more
 */
export function stretchOfArea(line: Line, areaM2: number): Line {
  const { radiusM, heightM } = line;
  let left = areaM2;
  for (let i = 1; i < radiusM.length; i++) {
    const area = frustumM2(line, i);
    if (area >= left) {
      const share = area > 0 ? left / area : 0;
      const [r, z] = [radiusM, heightM].map((of) => of[i - 1] + share * (of[i] - of[i - 1]));
      return {
        radiusM: Float64Array.of(...radiusM.subarray(0, i), r),
        heightM: Float64Array.of(...heightM.subarray(0, i), z),
      };
    }
    left -= area;
  }
  return { radiusM, heightM };
}

/**
 * Places along a line at equal steps.
 * @param everyM step along the line, m; more than 0
 * @param fromM way of the first from the axis, m; half a step where it is left out
 */
export function placesAlong({ radiusM, heightM }: Line, everyM: number, fromM = everyM / 2): LinePlace[] {
  const places: LinePlace[] = [];
  let gone = 0;
  for (let i = 1; i < radiusM.length; i++) {
    const [dr, dz] = [radiusM[i] - radiusM[i - 1], heightM[i] - heightM[i - 1]];
    const piece = Math.hypot(dr, dz);
    for (let at = fromM + places.length * everyM; at <= gone + piece && piece > 0; at += everyM) {
      const share = (at - gone) / piece;
      places.push({
        radiusM: radiusM[i - 1] + share * dr,
        heightM: heightM[i - 1] + share * dz,
        looks: Math.atan2(dz, dr),
      });
    }
    gone += piece;
  }
  return places;
}
