import type { ChocolateKind } from '../matter/chocolate';
import type { MoldMaterial } from '../matter/mold-material';
import { WORKING_RULES } from '../matter/working-rules';
import type { Kitchen } from '../record/kitchen';
import type { Place, WayUp } from '../record/choices';

/** One coat as the chill sees it; plain data, so that it can be sent to a worker. */
export interface ChillCoat {
  readonly kind: ChocolateKind;
  readonly fatShare: number;
  readonly workingC: number;
  /** Mean thickness of the coat over the wall with its likely range, m. */
  readonly thicknessM: { readonly value: number; readonly low: number; readonly high: number };
  /** Mean temperature of the mold's wall when the coat is on, °C (first coat only). */
  readonly wallC: number;
  readonly wayUp: WayUp;
  /** Time at room temperature between coating and the cold place, s. */
  readonly handlingSeconds: number;
  readonly place: Place;
  /** The user's own interval, s, where they overrule the computed one. */
  readonly overruledSeconds?: number;
}

export interface ChillInput {
  readonly material: MoldMaterial;
  readonly wallM: number;
  readonly meanCurvature: number;
  readonly gaussCurvature: number;
  /** Wall of the insert that stands in a pressed shell, m; undefined where the inside is open to the air. */
  readonly insertM?: number | undefined;
  readonly kitchen: Pick<Kitchen, 'roomC' | 'fridgeC' | 'freezerC' | 'fridgeFan' | 'freezerFan'>;
  readonly coats: readonly ChillCoat[];
}

/** Heat transfer to the air around the mold in a place, W/(m² K); more where a fan drives it. */
export function airOutsideH(kitchen: ChillInput['kitchen'], place: Place): number {
  const fan = (place === 'fridge' && kitchen.fridgeFan) || (place === 'freezer' && kitchen.freezerFan);
  return WORKING_RULES.airOutside[place] * (fan ? WORKING_RULES.fanFactor : 1);
}

/** Temperature of a place, °C. */
export function placeC(kitchen: ChillInput['kitchen'], place: Place): number {
  return place === 'fridge' ? kitchen.fridgeC : place === 'freezer' ? kitchen.freezerC : kitchen.roomC;
}
