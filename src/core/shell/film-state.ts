import { NO_FLOW_FROM } from '../flow/setting-rheology';
import { WORKING_RULES } from '../matter/working-rules';

/** How far chocolate has come: it runs, it thickens, it runs no more, it is set to the touch. */
export const FILM_STATES = ['runs', 'thickens', 'holds', 'set'] as const;
export type FilmState = (typeof FILM_STATES)[number];

/** Where each state but the first begins. */
const FROM: readonly number[] = [WORKING_RULES.skinSetFraction, NO_FLOW_FROM, WORKING_RULES.touchSet];

/** The state of chocolate at a set fraction, 0 to 1. */
export function filmState(setFraction: number): FilmState {
  return FILM_STATES[FROM.filter((from) => setFraction >= from).length];
}
