// Apart from the schemas, so that what computes need not carry them.
import type { Coat } from '../record/casting';
import type { Place } from '../record/choices';
import { restsOf } from '../record/sets';

/** A coat, or what closes a piece. */
type Setting = Pick<Coat, 'sets'>;

/** Sets elsewhere in the end; rests stay, unless it is the room it then sets in anyway. */
export function setIn(it: Setting, place: Place): void {
  it.sets = place === 'room' ? [{ place }] : [...restsOf(it), { place }];
}

/** Rests in the room for so long first, in place of any rest it had; not at all for 0. */
export function restFirst(it: Setting, seconds: number): void {
  const last = it.sets[it.sets.length - 1];
  it.sets = seconds > 0 ? [{ place: 'room', seconds }, last] : [last];
}

/** Stays in its last place for so long, or as long as is computed. */
export function stayFor(it: Setting, seconds: number | undefined): void {
  const last = it.sets[it.sets.length - 1];
  it.sets = [...it.sets.slice(0, -1), seconds === undefined ? { place: last.place } : { place: last.place, seconds }];
}
