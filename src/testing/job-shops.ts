import type { Workload } from '../core/schedule/workload';

/** A job shop as it is published: for each job its machines and times in turn. */
type JobShop = readonly (readonly (readonly [machine: number, time: number])[])[];

const pairs = (row: string): (readonly [number, number])[] => {
  const numbers = row.trim().split(/\s+/).map(Number);
  return numbers.flatMap((machine, i) => (i % 2 === 0 ? [[machine, numbers[i + 1]] as const] : []));
};

/** Fisher and Thompson (1963), 6 jobs on 6 machines: the best ends after 55. From memory. */
export const FISHER_THOMPSON_6: JobShop = `
2 1 0 3 1 6 3 7 5 3 4 6
1 8 2 5 4 10 5 10 0 10 3 4
2 5 3 4 5 8 0 9 1 1 4 7
1 5 0 5 2 5 3 3 4 8 5 9
2 9 1 3 4 5 5 4 0 3 3 1
1 3 3 3 5 9 0 10 4 4 2 1`
  .trim()
  .split('\n')
  .map(pairs);

/** Fisher and Thompson (1963), 10 jobs on 10 machines: the best ends after 930. From memory. */
export const FISHER_THOMPSON_10: JobShop = `
0 29 1 78 2 9 3 36 4 49 5 11 6 62 7 56 8 44 9 21
0 43 2 90 4 75 9 11 3 69 1 28 6 46 5 46 7 72 8 30
1 91 0 85 3 39 2 74 8 90 5 10 7 12 6 89 9 45 4 33
1 81 2 95 0 71 4 99 6 9 8 52 7 85 3 98 9 22 5 43
2 14 0 6 1 22 5 61 3 26 4 69 8 21 7 49 9 72 6 53
2 84 1 2 5 52 3 95 8 48 9 72 0 47 6 65 4 6 7 25
1 46 0 37 3 61 2 13 6 32 5 21 9 32 8 89 7 30 4 55
2 31 0 86 1 46 5 74 4 32 6 88 8 19 9 48 7 36 3 79
0 76 1 69 3 76 5 51 2 85 9 11 6 40 7 89 4 26 8 74
1 85 0 13 2 61 6 7 8 64 9 76 5 47 3 52 4 90 7 45`
  .trim()
  .split('\n')
  .map(pairs);

/** A job shop as a workload: a machine is a resource of one, and nobody has to be there. */
export function jobShop(jobs: JobShop): Workload {
  const operations = jobs.flatMap((job, j) => job.map(([, seconds], k) => ({ id: `${j}.${k}`, seconds, hands: 0 })));
  const steps = jobs[0].length;
  return {
    operations,
    lags: operations.flatMap((_, i) => (i % steps > 0 ? [{ from: i - 1, to: i, least: 0 }] : [])),
    resources: jobs[0].map((_, m) => ({ name: `machine ${m}`, capacity: 1 })),
    occupations: jobs.flatMap((job, j) =>
      job.map(([resource], k) => ({
        resource,
        amount: 1,
        from: { operation: j * steps + k, at: 'start' as const },
        to: { operation: j * steps + k, at: 'end' as const },
      })),
    ),
    people: 1,
    stays: [],
  };
}
