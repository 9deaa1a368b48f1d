import type { Lag, Starts, Stay } from '../schedule/workload';

/** Why an operation starts when it does and not before. */
export type Reason =
  | { readonly key: 'held' }
  /** A break belongs in the middle of a stretch. */
  | { readonly key: 'middle' }
  /** Another has to be over, and its wait, s. */
  | { readonly key: 'after'; readonly task: number; readonly waits: number }
  /** Until then the hands were at another. */
  | { readonly key: 'hands'; readonly task: number }
  /** Nobody was there before. */
  | { readonly key: 'stay' }
  /** It is done when it is wanted, for another. */
  | { readonly key: 'before'; readonly task: number }
  | { readonly key: 'first' };

/** Rounding of times, s. */
const NEAR_S = 1;

/** Of a timetable's tasks, why each starts when it does. */
export function reasonsOf(
  tasks: readonly { readonly seconds: number; readonly kind: string }[],
  lags: readonly Lag[],
  starts: Starts,
  used: readonly Stay[],
  held: (task: number) => boolean,
): readonly Reason[] {
  const end = (i: number): number => starts[i] + tasks[i].seconds;
  const [wantedBy, bindingFor] = [tasks.map((): Lag[] => []), tasks.map((): Lag[] => [])];
  for (const lag of lags) {
    wantedBy[lag.from].push(lag);
    if (Math.abs(end(lag.from) + lag.least - starts[lag.to]) <= NEAR_S) bindingFor[lag.to].push(lag);
  }
  const firstS = Math.min(...starts);
  return tasks.map(({ kind }, i): Reason => {
    if (held(i)) return { key: 'held' };
    if (kind === 'break') return { key: 'middle' };
    const wanted = wantedBy[i].sort((a, b) => starts[a.to] - starts[b.to]);
    if (kind === 'melt' && wanted.length > 0) return { key: 'before', task: wanted[0].to };
    const binding = bindingFor[i].sort((a, b) => b.least - a.least);
    if (binding.length > 0) return { key: 'after', task: binding[0].from, waits: binding[0].least };
    if (used.some(({ from }, k) => k > 0 && Math.abs(from - starts[i]) <= NEAR_S)) return { key: 'stay' };
    const busy = tasks.findIndex((_, k) => k !== i && Math.abs(end(k) - starts[i]) <= NEAR_S);
    if (busy >= 0) return { key: 'hands', task: busy };
    return wanted.length > 0 && starts[i] > firstS ? { key: 'before', task: wanted[0].to } : { key: 'first' };
  });
}
