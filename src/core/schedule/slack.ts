import { keepOrder, networkOf, spansOf } from './orders';
import type { Starts, Workload } from './workload';

/** When each operation starts, and how much later it could, s. */
export interface Slack {
  readonly starts: Starts;
  readonly mayWait: Starts;
}

/**
 * A timetable with its order kept and everything in it as early as it goes from when its first operation starts; but some operations as late as they
 * can without anything else having to wait. And how long each may be put off, the order kept, so that all is over in time.
 * @param endS when all is to be over, s
 * @param late whether an operation comes as late as it can
 */
export function slack(workload: Workload, starts: Starts, endS: number, late: (operation: number) => boolean): Slack {
  const { network, end } = networkOf(workload);
  const first = Math.min(...starts);
  keepOrder(network, spansOf(workload), starts, () => false);
  for (let i = 0; i < end; i++) network.notBefore(i, first);
  network.notAfter(end, endS);
  if (!network.settle()) return { starts, mayWait: starts.map(() => 0) };
  const latest = Array.from(network.late.subarray(0, end));
  const early = Array.from(network.early.subarray(0, end));
  for (let i = 0; i < end; i++) if (!late(i)) network.notAfter(i, early[i]);
  const kept = network.settle() ? early.map((start, i) => (late(i) ? network.late[i] : start)) : early;
  return { starts: kept, mayWait: kept.map((start, i) => latest[i] - start) };
}
