import type { OccasionPlan, PlannedTask } from './occasion-plan';

/** One stay as a calendar has it: when somebody is there, what is done, and when the hands are wanted again. Moments are s since 1970 UTC. */
export interface StayEvent {
  readonly from: number;
  readonly to: number;
  /** By their time. */
  readonly tasks: readonly PlannedTask[];
  /** Tasks that begin after the hands were free for a while: what one has to be called for. */
  readonly calls: readonly PlannedTask[];
}

/** Shorter than this nobody goes away, s. */
const AWAY_S = 120;

/** The stays of a plan as a calendar has them. */
export function stayEvents({ there, tasks }: Pick<OccasionPlan, 'there' | 'tasks'>): readonly StayEvent[] {
  return there.map(({ from, to }) => {
    const own = tasks.filter(({ handsOn, startS }) => handsOn && startS >= from && startS < to);
    let until = -Infinity;
    const calls = own.filter(({ startS, seconds }) => {
      const called = startS - until >= AWAY_S;
      until = Math.max(until, startS + seconds);
      return called;
    });
    return { from, to, tasks: own, calls };
  });
}
