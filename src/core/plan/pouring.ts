import { pouredShare } from '../shell/coat-choice';
import type { PartPlan } from './plan-types';

/** What a cavity would hold if it were cast solid, kg. Poured over a former, about as much runs off as stays: common practice, no source. */
export function solidKg({ cavity, coat, mold }: PartPlan): number {
  return cavity.outward ? 4 * coat.mass.value : mold.solid.value + (coat.narrow?.value ?? 0);
}

/** What is poured for one of a part's coats that is tipped out again, kg. */
export function pouredKg(part: PartPlan, coat: number): number {
  const { choice, mass } = part.coat.coats[coat];
  return Math.max(mass.value, pouredShare(choice, part.cavity) * solidKg(part));
}
