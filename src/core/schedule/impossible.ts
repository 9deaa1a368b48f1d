import { networkOf } from './orders';
import type { Moment, Workload } from './workload';

/** Why there is no timetable, whatever the order: by indices of the workload. */
export type Impossible =
  /** It wants more of a resource than there is. */
  | { readonly key: 'tooMuch'; readonly occupation: number }
  /** It takes more hands than there are. */
  | { readonly key: 'tooFewHands'; readonly operation: number }
  /** It is longer than every stay. */
  | { readonly key: 'tooLong'; readonly operation: number }
  /** All that is to be done by hand is more than the stays have hours. */
  | { readonly key: 'tooFewHours'; readonly wantedS: number; readonly givenS: number }
  /** The lags, or they and the stays and what is held, contradict each other. */
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
  const wantedS = operations.reduce((sum, { hands, seconds }) => sum + hands * seconds, 0);
  const givenS = people * stays.reduce((sum, { from, to }) => sum + to - from, 0);
  if (stays.length > 0 && wantedS > givenS) return { key: 'tooFewHours', wantedS, givenS };
  return networkOf(workload).network.settle() ? undefined : { key: 'lags' };
}

/** Whether what is taken is freed at the same moment. */
function passing({ operations }: Workload, from: Moment, to: Moment): boolean {
  return from.operation === to.operation && (from.at === to.at || operations[from.operation].seconds === 0);
}
