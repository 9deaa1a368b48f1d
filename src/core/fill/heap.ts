import type { Line } from '../cavity/profile';

/** How steep loose pieces and powder lie, as rise over run: 35°. From memory, handbook range 30 to 40. */
const REPOSE = Math.tan((35 * Math.PI) / 180);

/**
 * What can be heaped above a filled cavity's rim and still goes under the other half, m³: a cone on the mouth, no steeper than loose
 * pieces lie, that touches the other half's inside nowhere.
 * @param own the filled half's inside; @param other the other half's, both with their opening up
 */
export function heapRoomM3(own: Line, other: Line): number {
  const mouthM = own.radiusM[own.radiusM.length - 1];
  const rimM = other.heightM[other.heightM.length - 1];
  let rise = REPOSE;
  // The other half turned over: at each of its points the cone must stay below it.
  for (let i = 0; i < other.radiusM.length; i++) {
    const run = mouthM - other.radiusM[i];
    if (run > 1e-6) rise = Math.min(rise, (rimM - other.heightM[i]) / run);
  }
  return coneM3(mouthM, Math.max(0, rise));
}

/** Height of a heap of so much on a mouth, m. */
export function heapM(own: Line, m3: number): number {
  const mouthM = own.radiusM[own.radiusM.length - 1];
  return mouthM > 0 ? (3 * m3) / (Math.PI * mouthM ** 2) : 0;
}

function coneM3(mouthM: number, rise: number): number {
  return (Math.PI * mouthM ** 3 * rise) / 3;
}
