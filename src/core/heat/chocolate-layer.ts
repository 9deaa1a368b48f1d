import {
  CHOCOLATE_CONDUCTIVITY,
  CHOCOLATE_MATTER,
  CHOCOLATE_SPECIFIC_HEAT,
  SET_DENSITY_FACTOR,
  latentHeat,
  type SettingChocolate,
} from '../matter/chocolate';
import { MOLD_MATTER, type MoldMaterial } from '../matter/mold-material';
import type { SlabLayer } from './heat-slab';
import { settingLaw } from './setting';

/**
 * Thermal properties of a chocolate as a slab layer, without thickness or start.
 * @param densityFactor over the melted chocolate's; set chocolate's where it is left out
 */
export function chocolateLayer(
  chocolate: SettingChocolate,
  densityFactor = SET_DENSITY_FACTOR,
): Omit<SlabLayer, 'thicknessM' | 'cells' | 'startC'> {
  const density = CHOCOLATE_MATTER[chocolate.kind].meltedDensity * densityFactor;
  return {
    conductivity: CHOCOLATE_CONDUCTIVITY,
    volumetricHeat: density * CHOCOLATE_SPECIFIC_HEAT,
    latentHeat: density * latentHeat(chocolate.fatShare),
    ...settingLaw(chocolate),
  };
}

/** A mold's wall as a slab layer; it does not set. */
export function moldLayer(material: MoldMaterial, wallM: number, startC: number, cells: number): SlabLayer {
  const matter = MOLD_MATTER[material];
  return {
    thicknessM: wallM,
    cells,
    conductivity: matter.conductivity,
    volumetricHeat: matter.density * matter.specificHeat,
    latentHeat: 0,
    setFromC: 1,
    setToC: 0,
    lagS: 0,
    startC,
  };
}
