import { FILLING_MATTER } from '../matter/filling';
import type { Filling } from '../record/filling';

/** Mass of one countable piece of a filling, kg; its kind's usual one where the filling does not say. */
export function pieceKg(filling: Pick<Filling, 'kind' | 'pieceKg'>): number {
  return filling.pieceKg ?? FILLING_MATTER[filling.kind].pieceKg ?? 0.001;
}

/**
 * Share of space lost along a wall, in units of piece size times wall over volume: pieces cannot lie half in the wall. In a cylinder of
 * width D, whose wall over volume is 4/D, spheres of size d leave 0.34 d/D more void than in the open (Jeschar 1964, from memory).
 */
const LOST_AT_WALL = 0.34 / 4;
/** However large the pieces, this much of the bulk is reached: one always goes in somehow. Working rule. */
const LEAST = 0.4;

/** Width of the ball that has a piece's volume, m; undefined for what is no pieces. */
export function pieceWidthM(filling: Pick<Filling, 'kind' | 'pieceKg' | 'bulkDensity'>): number | undefined {
  const { packed } = FILLING_MATTER[filling.kind];
  if (packed === undefined) return undefined;
  return Math.cbrt((6 * pieceKg(filling) * packed) / (Math.PI * filling.bulkDensity));
}

/**
 * Share of the space that pieces fill in a vessel of so much wall for its volume.
 * @param packed share they fill in the open, 0 to 1
 * @param widthM size of a piece, m
 * @param wallPerVolume wall area over volume of the vessel, 1/m
 */
export function packedShare(packed: number, widthM: number, wallPerVolume: number): number {
  return Math.max(LEAST * packed, packed - LOST_AT_WALL * widthM * wallPerVolume);
}

/** Mass over space of a filling in a vessel of so much wall for its volume, kg/m³: less than in the open for pieces, a little more for those that give. */
export function densityIn(filling: Pick<Filling, 'kind' | 'pieceKg' | 'bulkDensity'>, wallPerVolume: number): number {
  const { packed, gives = 1 } = FILLING_MATTER[filling.kind];
  const widthM = pieceWidthM(filling);
  if (packed === undefined || widthM === undefined) return filling.bulkDensity;
  return (gives * filling.bulkDensity * packedShare(packed, widthM, wallPerVolume)) / packed;
}
