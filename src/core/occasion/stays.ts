import { dueSeconds, type Due } from '../record/due';
import type { Occasion, StayRecord } from '../record/occasion';
import type { Stay } from '../schedule/workload';

/** What is to be said of an occasion's stays, by their place in its list. */
export type StayNote =
  /** It begins before another ends: the two are taken as one. */
  | { readonly key: 'overlap'; readonly stay: number; readonly other: number }
  /** It begins when everything is to be ready. */
  | { readonly key: 'afterDue'; readonly stay: number };

/** An occasion's stays in their order, s since 1970 UTC; those that overlap are one, and none is after the event. */
export function staysOf({ stays, due }: Pick<Occasion, 'stays' | 'due'>): {
  readonly stays: readonly Stay[];
  readonly notes: readonly StayNote[];
} {
  const dueS = dueSeconds(due);
  const notes: StayNote[] = [];
  const joined: { from: number; to: number; stay: number }[] = [];
  const told = stays
    .map((stay, i) => ({ ...secondsOf(stay, due), stay: i }))
    .sort((a, b) => a.from - b.from || a.stay - b.stay);
  for (const { from, to, stay } of told) {
    const last = joined[joined.length - 1];
    if (from >= dueS) notes.push({ key: 'afterDue', stay });
    else if (last && from < last.to) {
      notes.push({ key: 'overlap', stay, other: last.stay });
      last.to = Math.max(last.to, Math.min(to, dueS));
    } else joined.push({ from, to: Math.min(to, dueS), stay });
  }
  return { stays: joined.map(({ from, to }) => ({ from, to })), notes };
}

/** A stay by the clocks of the event's zone, s since 1970 UTC. */
function secondsOf({ from, to }: StayRecord, { zone }: Due): Stay {
  return { from: dueSeconds({ local: from, zone }), to: dueSeconds({ local: to, zone }) };
}
