import { roomM } from '../cavity/layer';
import type { Profile } from '../cavity/profile';
import { rockedSines, sinesAlong } from '../flow/pull';

/** Cells along the wall from the lowest point to the rim unless asked otherwise: halving them moves the rim by less than 1 %. */
export const WALL_CELLS = 120;
/** Beyond this share of the smaller radius of curvature a layer is taken to grow with straight sides. Working rule. */
export const ROOM_SHARE = 0.85;

/** A profile divided evenly along its arc, for the film that runs on it. SI; faces have one more than cells. */
export interface WallCells {
  readonly count: number;
  /** Arc length of a cell, m. */
  readonly widthM: number;
  /** Arc length from the lowest point to the middle of each cell, m. */
  readonly middleM: Float64Array;
  /** Wall area of each cell, m². */
  readonly areaM2: Float64Array;
  /** Mean and Gauss curvature at each cell, 1/m and 1/m². */
  readonly mean: Float64Array;
  readonly gauss: Float64Array;
  /** Thickness from which a layer grows with straight sides, m; see `ROOM_SHARE`. */
  readonly roomM: Float64Array;
  /** Length of wall across which a film runs from one cell to the next, m. */
  readonly faceM: Float64Array;
  /** Sine and cosine of the slope at each face; the cosine never below 0, as a film under an overhang does not level. */
  readonly sine: Float64Array;
  readonly cosine: Float64Array;
  /** Sine along which a face drains while the hand rocks the mold. */
  readonly rocked: Float64Array;
}

/** Divides a profile into cells. @param count 8 and more */
export function wallCells(profile: Profile, count = WALL_CELLS): WallCells {
  const { arcM, radiusM, slope, areaFactor, meanCurvature, gaussCurvature } = profile;
  const widthM = arcM[arcM.length - 1] / count;
  const place = new Between(arcM);
  const middleM = Float64Array.from({ length: count }, (_, i) => (i + 0.5) * widthM);
  const faces = Float64Array.from({ length: count + 1 }, (_, i) => i * widthM);
  const atFaces = (values: ArrayLike<number>): Float64Array => faces.map((s) => place.read(values, s));
  const atCells = (values: ArrayLike<number>): Float64Array => middleM.map((s) => place.read(values, s));
  const faceM = atFaces(radiusM).map((r, i) => 2 * Math.PI * r * place.read(areaFactor, faces[i]));
  const mean = atCells(meanCurvature);
  const gauss = atCells(gaussCurvature);
  const sines = sinesAlong(slope);
  const angles = atFaces(slope);
  return {
    count,
    widthM,
    middleM,
    mean,
    gauss,
    faceM,
    areaM2: middleM.map((s) => 2 * Math.PI * place.read(radiusM, s) * place.read(areaFactor, s) * widthM),
    roomM: mean.map((H, i) => ROOM_SHARE * roomM({ mean: H, gauss: gauss[i] })),
    sine: atFaces(sines),
    cosine: angles.map((angle) => Math.max(0, Math.cos(angle))),
    rocked: atFaces(rockedSines(profile)),
  };
}

/**
 * Volume per wall area under a layer of thickness t at a cell, m: Steiner's formula up to the room there, straight on beyond it, so that
 * it always grows with the layer.
 */
export function layerOn({ mean, gauss, roomM }: WallCells, i: number, t: number): number {
  const room = roomM[i];
  const at = t < room ? t : room;
  return at * (1 - at * (mean[i] - (gauss[i] * at) / 3)) + (t - at) * (1 - at * (2 * mean[i] - gauss[i] * at));
}

/** How that volume grows with the layer: the area of the layer's surface over that of the wall. */
export function layerSlopeOn({ mean, gauss, roomM }: WallCells, i: number, t: number): number {
  const at = t < roomM[i] ? t : roomM[i];
  return 1 - at * (2 * mean[i] - gauss[i] * at);
}

const NEWTON_MOST = 40;
/** A Newton step this short leaves an error far below a nanometre. */
const NEAR_M = 2e-8;

/** Thickness of a layer of so many m³ per m² of wall on one of thickness `belowM`, m, from a first guess. */
export function layerThicknessOn(cells: WallCells, i: number, perArea: number, belowM: number, guessM: number): number {
  if (perArea <= 0) return 0;
  const wanted = perArea + layerOn(cells, i, belowM);
  let h = guessM;
  for (let k = 0; k < NEWTON_MOST; k++) {
    const step = (layerOn(cells, i, belowM + h) - wanted) / layerSlopeOn(cells, i, belowM + h);
    h = Math.max(0, h - step);
    if (Math.abs(step) < NEAR_M) break;
  }
  return h;
}

/** Values given at the cells, read at any arc lengths in rising order, beyond the outermost middles straight on. */
export function fromCells({ count, widthM }: WallCells, values: ArrayLike<number>, arcsM: Float64Array): Float64Array {
  return arcsM.map((s) => {
    const at = s / widthM - 0.5;
    // Over the pole the other half lies mirrored, so the value there is level.
    if (at <= 0) return values[0];
    const i = Math.min(count - 2, Math.floor(at));
    return Math.max(0, values[i] + (at - i) * (values[i + 1] - values[i]));
  });
}

/** Values given at a profile's points, read at the middles of the cells. */
export function toCells({ middleM }: WallCells, values: ArrayLike<number>, arcsM: Float64Array): Float64Array {
  const place = new Between(arcsM);
  return middleM.map((s) => place.read(values, s));
}

/** Straight reading between given arc lengths. */
class Between {
  constructor(private readonly arcM: Float64Array) {}

  read(values: ArrayLike<number>, s: number): number {
    const { arcM } = this;
    let low = 1;
    let high = arcM.length - 1;
    while (low < high) {
      const middle = (low + high) >> 1;
      if (arcM[middle] < s) low = middle + 1;
      else high = middle;
    }
    const share = (s - arcM[low - 1]) / (arcM[low] - arcM[low - 1]);
    return values[low - 1] + share * (values[low] - values[low - 1]);
  }
}
