import type { OccasionPlan } from '../occasion/occasion-plan';
import type { Casting } from '../record/casting';
import { dueSeconds, type Due } from '../record/due';
import { OCCASION_SCHEMA_VERSION, type Occasion, type PackedSet } from '../record/occasion';
import { RUN_SCHEMA_VERSION, type Run } from './run-record';

/** What a run is begun from. */
export interface RunBeginning {
  readonly id: string;
  readonly name: string;
  readonly createdAt: string;
  readonly of: Run['of'];
  readonly due: Due;
  readonly people: number;
  readonly sets: readonly PackedSet[];
  readonly roomCounted?: true | undefined;
  readonly castings: readonly Casting[];
  readonly plan: OccasionPlan;
  readonly rehearsal?: Run['rehearsal'];
}

/** A run of a timetable as it is now. */
export function beginRun({ due, plan, rehearsal, roomCounted, ...given }: RunBeginning): Run {
  const { tasks, lags, waits, bowls, names, there } = plan;
  return {
    ...given,
    schemaVersion: RUN_SCHEMA_VERSION,
    zone: due.zone,
    dueS: dueSeconds(due),
    ...(rehearsal ? { rehearsal } : {}),
    ...(roomCounted ? { roomCounted } : {}),
    tasks,
    lags,
    waits,
    bowls,
    names,
    there,
  };
}

/** A casting by itself as an occasion of one: one pair of hands, at one stretch. */
export function occasionOfOne({ id, name, createdAt, due }: Casting): Occasion {
  return {
    schemaVersion: OCCASION_SCHEMA_VERSION,
    id,
    name,
    createdAt,
    due,
    castingIds: [id],
    people: 1,
    stays: [],
    breakS: 0,
    holds: [],
    inTurn: false,
    fromLeft: [],
    sets: [],
  };
}
