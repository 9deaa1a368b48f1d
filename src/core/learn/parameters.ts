import { WORKING_RULES } from '../matter/working-rules';
import type { Place } from '../record/choices';

/** What is learned from how things set: the air of each place, and how firm this cook wants it before going on. */
export type SetParameter = Place | 'goesOn';

/** What is learned, with how far from the working rule it is likely to be: a factor either way, as a standard deviation. */
export interface Parameter<K extends string> {
  readonly key: K;
  readonly spread: number;
}

/** How much later than computed one cook goes on than another: a factor either way. Working rule. */
const GOES_ON_SPREAD = 1.2;

/** In the order in which beliefs list them. */
export const SET_PARAMETERS: readonly Parameter<SetParameter>[] = [
  { key: 'room', spread: WORKING_RULES.coolingSpread },
  { key: 'fridge', spread: WORKING_RULES.coolingSpread },
  { key: 'freezer', spread: WORKING_RULES.coolingSpread },
  { key: 'goesOn', spread: GOES_ON_SPREAD },
];

/** How much faster or slower than common practice somebody works by hand: a factor either way, as a standard deviation. Working rule. */
export const HANDS_SPREAD = 1.3;
