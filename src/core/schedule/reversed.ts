import type { Moment, Starts, Workload } from './workload';

/**
 * The same work told backward from a moment: what ends last starts first, what is taken is freed. A timetable of it that ends early is one of
 * the work that begins late, see `forward`.
 * @param atS the moment, s: nothing of the work is after it
 */
export function reversed(workload: Workload, atS: number): Workload {
  const flipped = ({ operation, at }: Moment): Moment => ({ operation, at: at === 'end' ? 'start' : 'end' });
  return {
    ...workload,
    operations: workload.operations.map((operation) => {
      const { seconds, heldAt, stay, within } = operation;
      return {
        ...operation,
        heldAt: heldAt === undefined ? undefined : atS - heldAt - seconds,
        stay: stay === undefined ? undefined : workload.stays.length - 1 - stay,
        within: within && { from: atS - within.to, to: atS - within.from },
      };
    }),
    lags: workload.lags.map((lag) => ({ ...lag, from: lag.to, to: lag.from })),
    occupations: workload.occupations.map((one) => ({ ...one, from: flipped(one.to), to: flipped(one.from) })),
    // What of a stay lies after the moment is of no use.
    stays: workload.stays
      .map(({ from, to }) => ({ from: Math.max(0, atS - to), to: Math.max(0, atS - from) }))
      .reverse(),
  };
}

/** The starts of a reversed workload as those of the work itself. */
export function forward({ operations }: Workload, starts: Starts, atS: number): Starts {
  return starts.map((start, i) => atS - start - operations[i].seconds);
}
