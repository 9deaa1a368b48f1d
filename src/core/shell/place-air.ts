import { MOLD_MATTER } from '../matter/mold-material';
import { WORKING_RULES } from '../matter/working-rules';
import type { Place } from '../record/choices';
import type { Kitchen } from '../record/kitchen';
import type { Inside } from './coat-choice';

/** What the setting of a shell needs to know of a kitchen. */
export type PlaceKitchen = Pick<Kitchen, 'roomC' | 'fridgeC' | 'freezerC' | 'fridgeFan' | 'freezerFan'>;

/** Heat transfer to the air around the mold in a place, W/(m² K); more where a fan drives it. */
export function airOutsideH(kitchen: PlaceKitchen, place: Place): number {
  const fan = (place === 'fridge' && kitchen.fridgeFan) || (place === 'freezer' && kitchen.freezerFan);
  return WORKING_RULES.airOutside[place] * (fan ? WORKING_RULES.fanFactor : 1);
}

/**
 * Heat transfer to the air inside, W/(m² K): of a bowl that stands open or one that is closed above; none between two joined halves;
 * under an insert it goes through its wall.
 * @param insertM wall of the insert, m; undefined where there is none
 */
export function airInsideH(inside: Inside, insertM: number | undefined): number {
  if (inside === 'joined') return 0;
  const toAir = inside === 'open' ? WORKING_RULES.airInOpenBowl : WORKING_RULES.airInUpturnedDome;
  return insertM === undefined ? toAir : 1 / (1 / toAir + insertM / MOLD_MATTER.silicone.conductivity);
}

/** Temperature of a place, °C. */
export function placeC(kitchen: PlaceKitchen, place: Place): number {
  return place === 'fridge' ? kitchen.fridgeC : place === 'freezer' ? kitchen.freezerC : kitchen.roomC;
}
