import { chocolateLayer, moldLayer } from '../heat/chocolate-layer';
import type { SlabLayer } from '../heat/heat-slab';
import type { ChillCap, ChillCoat, ChillInput } from './chill-input';

/** How far from nominal one run is. */
export interface ChillVariation {
  /** -1, 0 or 1: thin end, nominal or thick end of the coats' likely range. */
  readonly thickness: -1 | 0 | 1;
  /** Added to the temperature of every place, K. */
  readonly placeK: number;
  /** -1, 0 or 1: air that takes as little heat as is likely, nominal, or as much. */
  readonly cooling: -1 | 0 | 1;
  /** Added to the working temperature, K. */
  readonly workingK: number;
}

const MOLD_CELLS = 3;
/** A layer is divided into so many cells at least, a thick one into more of about this width, m. */
const LEAST_CELLS = 3;
const MOST_CELLS = 8;
const CELL_M = 0.002;
/** A coat that found no room left still needs some body to be computed on; less of a filling is none. */
const THINNEST_M = 2e-5;
/** A filling, which does not set: pastes and creams, from memory. */
const FILLING_LAYER = { conductivity: 0.25, latentHeat: 0, setFromC: 1, setToC: 0, lagS: 0 };

/** The mold and the coats up to one. */
export function coatLayers(input: ChillInput, index: number, variation: ChillVariation): SlabLayer[] {
  const coats = input.coats.slice(0, index + 1).map((coat) => {
    const { value, low, high } = coat.thicknessM;
    const thicknessM = variation.thickness === 0 ? value : variation.thickness < 0 ? low : high;
    return { ...chocolateSlab(coat, thicknessM, variation), cells: cellsOf(value) };
  });
  return [moldLayer(input.material, input.wallM, input.coats[0].wallC, MOLD_CELLS), ...coats];
}

function chocolateSlab(
  chocolate: Pick<ChillCoat, 'kind' | 'fatShare' | 'unseeded' | 'workingC'>,
  thicknessM: number,
  variation: ChillVariation,
): SlabLayer {
  return {
    ...chocolateLayer(chocolate),
    thicknessM: Math.max(THINNEST_M, thicknessM),
    cells: cellsOf(thicknessM),
    startC: chocolate.workingC + variation.workingK,
  };
}

function cellsOf(thicknessM: number): number {
  return Math.min(MOST_CELLS, Math.max(LEAST_CELLS, Math.ceil(thicknessM / CELL_M)));
}

/** The mold with all its coats, what is filled into them, and its cap. */
export function cappedLayers(input: ChillInput, cap: ChillCap, variation: ChillVariation): SlabLayer[] {
  const { thicknessM } = cap.filling;
  const filling = { ...FILLING_LAYER, ...cap.filling, cells: cellsOf(thicknessM), startC: input.kitchen.roomC };
  return [
    ...coatLayers(input, input.coats.length - 1, variation),
    ...(thicknessM > THINNEST_M ? [filling] : []),
    chocolateSlab(cap, cap.thicknessM, variation),
  ];
}
