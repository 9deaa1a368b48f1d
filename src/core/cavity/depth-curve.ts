import { byHalving } from '../quantity/root';
import { cumulativeVolume, type Line } from './profile';

/** How much a cavity holds against how deep it is filled. */
export interface DepthCurve {
  /** Depth from the lowest point to the rim, m. */
  readonly depthM: number;
  /** What it holds to the rim, m³. */
  readonly capacityM3: number;
  /** Volume below a level this far above the lowest point, m³. Levels outside are taken to the nearest end. */
  volumeAt(levelM: number): number;
  /** The level at which it holds this much, m; inverse of `volumeAt`. Volumes outside go to the nearest end. */
  levelAt(volumeM3: number): number;
}

/** The depth curve of a turned line whose heights rise, exact for its frusta; the inverse agrees to 1e-9 relative. */
export function depthCurve(line: Line): DepthCurve {
  const { radiusM: r, heightM: z } = line;
  const volumes = cumulativeVolume(line);
  const last = r.length - 1;
  const floor = z[0];

  const partOf = (i: number, level: number): number => {
    const rise = z[i] - z[i - 1];
    const share = (level - z[i - 1]) / rise;
    const top = r[i - 1] + share * (r[i] - r[i - 1]);
    return (Math.PI / 3) * (level - z[i - 1]) * (r[i - 1] ** 2 + r[i - 1] * top + top ** 2);
  };
  const volumeAt = (levelM: number): number => {
    const level = floor + levelM;
    if (levelM <= 0) return 0;
    if (level >= z[last]) return volumes[last];
    const i = firstAbove(z, level);
    return volumes[i - 1] + partOf(i, level);
  };
  const levelAt = (volumeM3: number): number => {
    if (volumeM3 <= 0) return 0;
    if (volumeM3 >= volumes[last]) return z[last] - floor;
    const i = firstAbove(volumes, volumeM3);
    return byHalving((level) => volumes[i - 1] + partOf(i, level) < volumeM3, z[i - 1], z[i], 46) - floor;
  };
  return { depthM: z[last] - floor, capacityM3: volumes[last], volumeAt, levelAt };
}

function firstAbove(rising: Float64Array, value: number): number {
  let low = 1;
  let high = rising.length - 1;
  while (low < high) {
    const middle = (low + high) >> 1;
    if (rising[middle] < value) low = middle + 1;
    else high = middle;
  }
  return low;
}
