import type { Improver } from '../schedule/improve';
import type { Stay, Workload } from '../schedule/workload';
import type { OccasionWork } from './occasion-work';

/** Work to be searched for a timetable: in which stay some of it is done, and between which moments, s, where that is said. */
export interface Asked {
  readonly made: OccasionWork;
  readonly stayOf?: ((task: number) => number | undefined) | undefined;
  readonly within?: ReadonlyMap<number, Stay> | undefined;
}

/** A search that has a first timetable of that; the work as it is, and told backward. */
export interface Begun extends Asked {
  readonly workload: Workload;
  readonly backward: Workload;
  readonly improver: Improver;
}
