// Apart from the schemas, so that what computes need not carry them.
import type { Coat } from '../record/casting';
import type { Place } from '../record/choices';
import { restsOf, type Rest } from '../record/sets';

/** A coat, or what closes a piece. */
type Setting = Pick<Coat, 'sets'>;

/** Stays on in its mold for so long once it has set; not at all for 0. */
export function stayOn(coat: Pick<Coat, 'then'>, { place, seconds }: Rest): void {
  coat.then = seconds > 0 ? [{ place, seconds }] : [];
}

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
