/** Curvature of a wall at one place, 1/m and 1/m². */
export interface Curvature {
  readonly mean: number;
  readonly gauss: number;
}

/** A wall that is flat, or taken to be. */
export const FLAT: Curvature = { mean: 0, gauss: 0 };

/** How thick a layer can grow before its own surface meets itself, m: the smaller radius of curvature; Infinity on a wall that bulges out. */
export function roomM({ mean, gauss }: Curvature): number {
  const sharpest = mean + Math.sqrt(Math.max(0, mean * mean - gauss));
  return sharpest > 0 ? 1 / sharpest : Infinity;
}

/**
 * Volume of chocolate per wall area under a layer of thickness h, m: v(h) = h - H h² + K h³/3 (Steiner's formula for
 * parallel surfaces). From where the layer's surface meets itself it holds no more.
 */
export function layerVolumePerArea(curvature: Curvature, thicknessM: number): number {
  const h = Math.min(thicknessM, roomM(curvature));
  return h * (1 - h * (curvature.mean - (curvature.gauss * h) / 3));
}
