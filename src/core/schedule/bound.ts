import { networkOf, spansOf, type Spans } from './orders';
import type { Network } from './network';
import type { Workload } from './workload';

/**
 * No timetable ends before this, s: the longest path through the lags, and for each resource what takes it up (its amount times how long it is held
 * at the least), which the capacity has to carry between the earliest that comes before and the least that comes after. Where a resource carries
 * one thing at a time it is as one machine with heads and tails whose work may be broken off (Jackson's preemptive schedule, after
 * Carlier 1982). Infinity where the lags contradict each other.
 */
export function boundS(workload: Workload): number {
  const { network, end } = networkOf(workload);
  if (!network.settle()) return Infinity;
  const path = network.early[end];
  network.notAfter(end, path);
  // With the end at the longest path, what is left after each is its tail; an end that the windows forbid leaves the path alone.
  if (!network.settle()) return path;
  const spans = spansOf(workload);
  const loads = spans.of.map((users, r) => loadS(users, r, spans, network, path));
  return Math.max(path, ...loads);
}

interface Work {
  readonly head: number;
  readonly length: number;
  readonly tail: number;
}

function loadS(users: readonly number[], r: number, spans: Spans, { early, late }: Network, path: number): number {
  if (users.length === 0) return 0;
  const capacity = spans.capacity[r];
  const works = users.map((k): Work => {
    const head = early[spans.takenBy[k]] + spans.takenAfter[k];
    const freed = early[spans.freedBy[k]] + spans.freedAfter[k];
    // What is held from one operation to another is held at least as long as they lie apart, as far as is known without asking for each.
    const length = spans.takenBy[k] === spans.freedBy[k] ? freed - head : 0;
    return { head, length, tail: path - (late[spans.takenBy[k]] + spans.takenAfter[k]) - length };
  });
  if (users.every((k) => 2 * spans.amount[k] > capacity)) return preemptiveS(works);
  const work = works.reduce((sum, { length }, i) => sum + length * spans.amount[users[i]], 0);
  return Math.min(...works.map(({ head }) => head)) + work / capacity + Math.min(...works.map(({ tail }) => tail));
}

/** When one machine is through at the earliest, where work may be broken off: the longest tail that is there goes first. */
function preemptiveS(works: readonly Work[]): number {
  const left = works.map(({ length }) => length);
  const byHead = works.map((_, i) => i).sort((a, b) => works[a].head - works[b].head);
  let now = 0;
  let end = 0;
  let next = 0;
  const there: number[] = [];
  while (next < byHead.length || there.length > 0) {
    if (there.length === 0) now = Math.max(now, works[byHead[next]].head);
    while (next < byHead.length && works[byHead[next]].head <= now) there.push(byHead[next++]);
    there.sort((a, b) => works[b].tail - works[a].tail);
    const [i] = there;
    const until = next < byHead.length ? works[byHead[next]].head : Infinity;
    const worked = Math.min(left[i], until - now);
    now += worked;
    left[i] -= worked;
    if (left[i] > 0) continue;
    end = Math.max(end, now + works[i].tail);
    there.shift();
  }
  return end;
}
