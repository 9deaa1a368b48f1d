import { keepOrder } from './orders';
import type { Trial } from './trial';
import type { Starts } from './workload';

/** How often the search for the place of one job may turn back. */
const TURNS = 40;
/** How much longer than it is a job may count as at each further try. */
const SHUFFLED = 0.4;
/** A job that is built in may make its group longer, up to so many times the least; where it finds no place so, it comes after all the others. */
const WITHIN = [1, 1.1, 1.3, 1.7, 2.5, 4] as const;
/** Jobs of about so many operations are fitted into each other; what is more comes after them. */
const AT_ONCE = 150;

/** A job, with the least it takes and what of that is done by hand, s, and how many operations it has. */
interface Job {
  readonly job: number;
  readonly lengthS: number;
  readonly handsS: number;
  readonly operations: number;
}

/**
 * Builds a timetable of one job after another, the longest first: each finds its place among those that are there. Many jobs are built a group at
 * a time, those in one that have to do with each other, and each group after all before it.
 * @param horizonS no timetable is looked for that ends after this, s
 * @param failures so many tries have failed: it is tried in another order
 * @returns undefined where some job finds no place
 */
export function built(trial: Trial, horizonS: number, failures: number): Starts | undefined {
  const jobs = jobsOf(trial, failures);
  if (jobs.length < 2) return undefined;
  // Reckoned by the clock, what is placed first fills its stay best; by the stays, more finds a place.
  const builder = new Builder(trial, horizonS, failures % 2 === 1);
  return groupsOf(trial, jobs).every((group) => builder.add(group)) ? builder.starts : undefined;
}

class Builder {
  starts: Starts | undefined;
  private readonly jobs: readonly number[];
  private readonly placed = new Set<number>();

  constructor(
    private readonly trial: Trial,
    private readonly horizonS: number,
    /** What a job may make its group longer by is reckoned in hours that somebody is there, not by the clock: then nights are no obstacle. */
    private readonly byStays: boolean,
  ) {
    this.jobs = trial.workload.jobs ?? [];
  }

  /** Adds a group of jobs after all that are there. */
  add(group: readonly Job[]): boolean {
    const from = this.over();
    const hands = total(group, ({ handsS }) => handsS) / this.trial.workload.people;
    const leastS = Math.max(hands, ...group.map(({ lengthS }) => lengthS));
    const here = new Set<number>();
    return group.every(({ job }) => {
      here.add(job);
      const found =
        WITHIN.some((times) => this.place(job, here, from, this.after(from, times * leastS))) ||
        this.place(job, here, this.over(), this.horizonS);
      this.placed.add(job);
      return found;
    });
  }

  /** So long after a moment, s. */
  private after(from: number, seconds: number): number {
    const { stays } = this.trial.workload;
    if (stays.length === 0 || !this.byStays) return from + seconds;
    let left = seconds;
    for (const stay of stays) {
      const here = Math.max(0, stay.to - Math.max(from, stay.from));
      if (left <= here) return stay.to - here + left;
      left -= here;
    }
    return this.horizonS;
  }

  /** When the last thing that anything is taken for is over, s. */
  private over(): number {
    const { starts } = this;
    if (!starts) return 0;
    const { freedBy, count } = this.trial.spans;
    const { operations } = this.trial.workload;
    const until = Array.from({ length: count }, (_, k) => k)
      .filter((k) => this.isOf(this.placed, k))
      .map((k) => starts[freedBy[k]] + operations[freedBy[k]].seconds);
    return Math.max(0, ...until);
  }

  /** Whether what is taken is taken and freed by some jobs. */
  private isOf(some: ReadonlySet<number>, k: number): boolean {
    const { takenBy, freedBy } = this.trial.spans;
    return some.has(this.jobs[takenBy[k]]) && some.has(this.jobs[freedBy[k]]);
  }

  /** Finds a job's place among those of its group, between two moments. */
  private place(job: number, here: ReadonlySet<number>, from: number, most: number): boolean {
    const { trial, jobs, starts } = this;
    const { spans, sequence, end } = trial;
    const network = trial.anew();
    network.notAfter(end, most);
    if (from > 0) jobs.forEach((own, i) => own === job && network.notBefore(i, from));
    if (starts) keepOrder(network, spans, starts, (k) => !this.isOf(this.placed, k));
    const own = (k: number): boolean => jobs[spans.takenBy[k]] === job || jobs[spans.freedBy[k]] === job;
    if (!network.settle() || !sequence.search(own, TURNS, (k) => this.isOf(here, k))) return false;
    this.starts = trial.starts;
    return true;
  }
}

/** The jobs in the order in which they are built: the longest first, after failures in another order. */
function jobsOf(trial: Trial, failures: number): readonly Job[] {
  const { operations, jobs = [] } = trial.workload;
  const { early } = trial.anew();
  const all = new Map<number, Job>();
  for (const [i, job] of jobs.entries()) {
    const { hands, seconds } = operations[i];
    const before = all.get(job);
    all.set(job, {
      job,
      lengthS: Math.max(before?.lengthS ?? 0, early[i] + seconds),
      handsS: (before?.handsS ?? 0) + hands * seconds,
      operations: (before?.operations ?? 0) + 1,
    });
  }
  return [...all.values()]
    .map((job) => ({ job, as: job.lengthS * (1 + failures * SHUFFLED * trial.random()) }))
    .sort((a, b) => b.as - a.as)
    .map(({ job }) => job);
}

/** Jobs in groups about as large as each other, those that have to do with each other in one. */
function groupsOf(trial: Trial, jobs: readonly Job[]): readonly (readonly Job[])[] {
  const count = Math.ceil(trial.workload.operations.length / AT_ONCE);
  const groups = Array.from({ length: count }, (): Job[] => []);
  const handsS = (some: readonly Job[]): number => total(some, (job) => job.handsS);
  for (const one of [...bound(trial, jobs)].sort((a, b) => handsS(b) - handsS(a)))
    groups.reduce((least, group) => (handsS(group) < handsS(least) ? group : least)).push(...one);
  return groups.map((group) => jobs.filter((job) => group.includes(job))).filter(({ length }) => length > 0);
}

/** Jobs that have to do with each other. */
function bound({ workload: { lags, jobs = [] } }: Trial, all: readonly Job[]): ReadonlySet<readonly Job[]> {
  const groups = new Map(all.map((job) => [job.job, [job]]));
  for (const { from, to } of lags) {
    const [into, other] = [groups.get(jobs[from]) ?? [], groups.get(jobs[to]) ?? []];
    if (into === other) continue;
    into.push(...other);
    for (const { job } of other) groups.set(job, into);
  }
  return new Set(groups.values());
}

const total = (jobs: readonly Job[], of: (job: Job) => number): number => jobs.reduce((sum, job) => sum + of(job), 0);
