/** Median of `runs` timed calls after `warm` untimed ones, ms. */
export function medianMs(work: () => unknown, runs: number, warm: number): number {
  for (let k = 0; k < warm; k++) work();
  const times = Array.from({ length: runs }, () => {
    const start = performance.now();
    work();
    return performance.now() - start;
  });
  return percentile(times, 50);
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
