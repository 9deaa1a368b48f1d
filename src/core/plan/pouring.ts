import { pouredShare } from '../shell/coat-choice';
import type { PartPlan } from './plan-types';

/** Poured over a former, about as much runs off as stays. Common practice, no source. */
const OVER_A_FORMER = 2;

/**
 * What is poured for one of a part's coats that is tipped out again, kg: the share of its cavity that is filled, of what the coats before it have left
 * of that.
 * @param coat from 0
 */
export function pouredKg(
  { cavity, coat: { coats, narrow }, mold }: Pick<PartPlan, 'cavity' | 'coat' | 'mold'>,
  coat: number,
): number {
  const { choice, mass } = coats[coat];
  if (cavity.outward) return OVER_A_FORMER * mass.value;
  const solidKg = mold.solid.value + (narrow?.value ?? 0);
  const takenKg = coats.slice(0, coat).reduce((sum, before) => sum + before.mass.value, 0);
  return Math.max(mass.value, pouredShare(choice, cavity) * Math.max(0, solidKg - takenKg));
}
