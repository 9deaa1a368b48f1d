import { dueSeconds } from '../record/due';
import type { Occasion, ShelfRoom } from '../record/occasion';
import type { Workload } from '../schedule/workload';
import { isMelted } from './bowls';
import type { OccasionWork } from './occasion-work';

/** The workload of an occasion's work, whenever it is. */
export function workloadOf({ people, fridge, freezer }: Occasion, { work, bowls }: OccasionWork): Workload {
  return work.workload(
    { people, stays: [], fridgeM2: areaOf(fridge), freezerM2: areaOf(freezer) },
    ({ bowl, again }) => bowl !== undefined && isMelted(bowls[bowl], again) && bowls[bowl].way === 'microwave',
  );
}

const areaOf = (room: ShelfRoom | undefined): number | undefined => room && room.widthM * room.depthM;

/** The workload with what is held; what is held of a task that is not there any more is left out. */
export function withHolds(
  { holds, due }: Occasion,
  { work }: OccasionWork,
  zeroS: number,
  workload: Workload,
): Workload {
  const at = new Map(
    holds.map(({ operation, at: local }) => [operation, dueSeconds({ local, zone: due.zone }) - zeroS]),
  );
  return {
    ...workload,
    operations: workload.operations.map((operation, i) => {
      const heldAt = at.get(work.keys[i]);
      return heldAt === undefined ? operation : { ...operation, heldAt };
    }),
  };
}
