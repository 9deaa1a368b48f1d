import { heldOutside } from '../schedule/held';
import { impossible } from '../schedule/impossible';
import type { Workload } from '../schedule/workload';
import type { NoTimetable } from './occasion-answer';
import type { OccasionWork } from './occasion-work';

/**
 * What forbids every timetable of an occasion, as far as it is seen without an order; undefined where nothing does.
 * @param zeroS the workload's first moment, s since 1970 UTC
 * @param backS when all of it is to be ready, s from that
 */
export function impossibleOf(
  workload: Workload,
  { work }: OccasionWork,
  zeroS: number,
  backS: number,
): NoTimetable | undefined {
  const held = heldOutside(workload, backS);
  if (held) {
    const task = work.tasks[held.operation];
    const beside = held.beside === undefined ? undefined : work.tasks[held.beside];
    return { key: 'held', task, earliestS: zeroS + held.earliest, latestS: zeroS + held.latest, beside };
  }
  const why = impossible(workload);
  switch (why?.key) {
    case undefined:
      return undefined;
    case 'lags':
      return { key: 'contradiction', help: {} };
    case 'tooFewHours':
      return why;
    case 'tooLong':
    case 'tooFewHands':
      return { key: 'tooLong', task: work.tasks[why.operation] };
    case 'tooMuch': {
      const { resource, amount } = workload.occupations[why.occupation];
      const place = workload.resources[resource].name === 'fridge' ? 'fridge' : 'freezer';
      const use = work.shelfUses.find((one) => one.place === place && one.m2 === amount);
      return { key: 'shelf', place, castingId: use?.castingId ?? '', m2: amount };
    }
  }
}
