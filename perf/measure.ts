/** How long a call takes. */
export interface Timing {
  readonly ms: number;
  /** What that is, and the median beside it. */
  readonly told: string;
}

/**
 * The quickest tenth of `runs` timed calls after `warm` untimed ones: other programs on a shared machine only ever make a call longer, some by
 * half and more, so that a median tells as much about them as about the call.
 * @param fresh what a call is given, made before it and not timed: another one each time, so that nothing is kept from the call before
 */
export function timed<T>(work: (on: T) => unknown, runs: number, warm: number, fresh: () => T): Timing;
export function timed(work: () => unknown, runs: number, warm: number): Timing;
export function timed<T>(work: (on?: T) => unknown, runs: number, warm: number, fresh?: () => T): Timing {
  for (let k = 0; k < warm; k++) work(fresh?.());
  const times = Array.from({ length: runs }, () => {
    const on = fresh?.();
    const start = performance.now();
    work(on);
    return performance.now() - start;
  });
  const digits = percentile(times, 50) < 5 ? 2 : percentile(times, 50) < 100 ? 1 : 0;
  return {
    ms: percentile(times, 10),
    told: `quickest tenth of ${runs}, warm; median ${percentile(times, 50).toFixed(digits)} ms`,
  };
}

/** The value below which `percent` of the values lie. */
export function percentile(values: readonly number[], percent: number): number {
  const sorted = [...values].sort((a, b) => a - b);
  return sorted[Math.min(sorted.length - 1, Math.floor((sorted.length * percent) / 100))];
}

/** One line of the results. */
export interface Result {
  readonly what: string;
  readonly value: string;
  readonly wanted: string;
  readonly met: boolean;
  readonly against: string;
}
