import { networkOf } from './orders';
import { momentAt, type Workload } from './workload';

/** Why there is no timetable, whatever the order: by indices of the workload. */
export type Impossible =
  /** It wants more of a resource than there is. */
  | { readonly key: 'tooMuch'; readonly occupation: number }
  /** It takes more hands than there are. */
  | { readonly key: 'tooFewHands'; readonly operation: number }
  /** It is longer than every stay. */
  | { readonly key: 'tooLong'; readonly operation: number }
  /** The lags, or they and the stays, contradict each other. */
  | { readonly key: 'lags' };

/** What forbids every timetable of a workload, as far as it is seen without an order; undefined where nothing does. */
export function impossible(workload: Workload): Impossible | undefined {
  const { operations, occupations, resources, people, stays } = workload;
  const occupation = occupations.findIndex(
    ({ resource, amount, from, to }) => amount > resources[resource].capacity && !passing(workload, from, to),
  );
  if (occupation >= 0) return { key: 'tooMuch', occupation };
  const many = operations.findIndex(({ hands }) => hands > people);
  if (many >= 0) return { key: 'tooFewHands', operation: many };
  const long = operations.findIndex(
    ({ hands, seconds }) => hands > 0 && stays.length > 0 && stays.every(({ from, to }) => to - from < seconds),
  );
  if (long >= 0) return { key: 'tooLong', operation: long };
  return networkOf(workload).network.settle() ? undefined : { key: 'lags' };
}

/** Whether what is taken is freed at the same moment. */
function passing(
  workload: Workload,
  from: Parameters<typeof momentAt>[2],
  to: Parameters<typeof momentAt>[2],
): boolean {
  const zeros = workload.operations.map(() => 0);
  return from.operation === to.operation && momentAt(workload, zeros, from) === momentAt(workload, zeros, to);
}
