import type { MoldMaterial } from '../matter/mold-material';
import type { MoldCare } from './choices';
import { isTurned, type Method } from './method';

/** What molds of a material usually want. Common practice, no source. */
export const USUAL_CARE: Readonly<Record<MoldMaterial, readonly MoldCare[]>> = {
  silicone: ['tray', 'flex'],
  polycarbonate: ['buff', 'coolWater'],
  thinPlastic: ['buff'],
  paper: [],
  glass: ['dryWell', 'buff'],
  tin: ['dryWell'],
  film: ['dryWell'],
};

/** What of a mold's care it wants for the way it is cast in: the inside of a vessel that is turned cannot be buffed. */
export function careWanted(care: readonly MoldCare[], methods: readonly Method[]): readonly MoldCare[] {
  return methods.some(isTurned) ? care.filter((one) => one !== 'buff' && one !== 'hotWater') : care;
}

/** The care of a mold that becomes one of another material: the usual one of that, unless its own had been changed. */
export function careOf(before: MoldMaterial, care: readonly MoldCare[], material: MoldMaterial): MoldCare[] {
  const usual = [...USUAL_CARE[before]].sort().join();
  return [...care].sort().join() === usual ? [...USUAL_CARE[material]] : [...care];
}
