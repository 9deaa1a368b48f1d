import { usedStays } from '../schedule/attend';
import type { Starts, Stay, Workload } from '../schedule/workload';

/** A stay that would have to begin earlier, or end later: which of them, s since 1970 UTC. */
export type Wider = { readonly stay: number } & ({ readonly fromS: number } | { readonly toS: number });

/** An end of a stay that is moved, by so much. */
export interface Widened {
  readonly stay: number;
  readonly end: 'from' | 'to';
  readonly byS: number;
}

/** It is tried to begin a stay an hour earlier, and to end it half an hour later: each by itself. */
const BEGINS_S = 3600;
const ENDS_S = 1800;

/** What is tried, the likeliest first: somebody who is there anyway comes earlier rather than stays longer. */
export function tried(stays: readonly Stay[]): readonly Widened[] {
  return [
    ...stays.map((_, stay) => ({ stay, end: 'from' as const, byS: BEGINS_S })),
    ...stays.map((_, stay) => ({ stay, end: 'to' as const, byS: ENDS_S })),
  ];
}

/** Stays of which one is longer; it reaches neither into another nor past the end of the work. @param endS by when all is ready */
export function widened(stays: readonly Stay[], { stay, end, byS }: Widened, endS: number): readonly Stay[] {
  const earliest = stays[stay - 1]?.to ?? 0;
  const latest = stays[stay + 1]?.from ?? endS;
  return stays.map((one, k) => {
    if (k !== stay) return one;
    return end === 'from'
      ? { ...one, from: Math.min(one.from, Math.max(earliest, one.from - byS)) }
      : { ...one, to: Math.max(one.to, Math.min(latest, one.to + byS)) };
  });
}

/** How far a timetable goes beyond the stay that was made longer for it; undefined where it does not. @param zeroS the workload's first moment, s since 1970 UTC */
export function beyond(
  stays: readonly Stay[],
  { stay, end }: Widened,
  workload: Workload,
  starts: Starts,
  zeroS: number,
): Wider | undefined {
  const used = usedStays(workload, starts)[stay];
  if (!used) return undefined;
  const [fromS, toS] = [used.from + zeroS, used.to + zeroS];
  if (end === 'from') return fromS < stays[stay].from ? { stay, fromS } : undefined;
  return toS > stays[stay].to ? { stay, toS } : undefined;
}
