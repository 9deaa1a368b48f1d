// Apart from the schemas, so that what computes need not carry them.
import type { Coat } from '../record/casting';
import type { Place } from '../record/choices';
import { restsOf } from '../record/sets';

/** Sets elsewhere in the end; rests stay, unless it is the room it then sets in anyway. */
export function setIn(coat: Pick<Coat, 'sets'>, place: Place): void {
  coat.sets = place === 'room' ? [{ place }] : [...restsOf(coat), { place }];
}

/** Rests in the room for so long first, in place of any rest it had; not at all for 0. */
export function restFirst(coat: Pick<Coat, 'sets'>, seconds: number): void {
  const last = coat.sets[coat.sets.length - 1];
  coat.sets = seconds > 0 ? [{ place: 'room', seconds }, last] : [last];
}

/** Stays in its last place for so long, or as long as is computed. */
export function stayFor(coat: Pick<Coat, 'sets'>, seconds: number | undefined): void {
  const last = coat.sets[coat.sets.length - 1];
  coat.sets = [
    ...coat.sets.slice(0, -1),
    seconds === undefined ? { place: last.place } : { place: last.place, seconds },
  ];
}
