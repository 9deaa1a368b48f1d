import type { PreparationPlace } from '../../core/melt/preparations';
import { kitchenCalibration } from '../../core/plan/melts';
import type { Kitchen } from '../../core/record/kitchen';

/** Where preparations are made: in the kitchen's first bowl. */
export function preparationPlace(kitchen: Kitchen): PreparationPlace {
  const { bowls, microwaveTest: test, microwaveW, roomC, fridgeC } = kitchen;
  const microwaveFactor = test ? kitchenCalibration(kitchen, test).factor : 1;
  return { bowl: bowls[0], roomC, fridgeC, microwaveW, microwaveFactor };
}
