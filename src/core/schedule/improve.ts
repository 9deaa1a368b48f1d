import { boundS } from './bound';
import type { Network } from './network';
import { keepOrder, networkOf, spansOf, type Spans } from './orders';
import { randoms } from './randoms';
import { Removal } from './removal';
import { Sequence } from './sequence';
import type { Starts, Workload } from './workload';

/** A timetable that was found: when each operation starts, and when the last one ends, s. */
export interface Found {
  readonly starts: Starts;
  readonly endS: number;
}

/** How often one round may turn back. */
const TURNS = 60;
/** How often it is tried to build a timetable, and how much longer than it is a job may count as at each further try. */
const BUILDS = 6;
const SHUFFLED = 0.4;
/** A job that is built in may make the whole longer, up to so many times the bound; where it finds no place so, it comes after all the others. */
const BUILD_WITHIN = [1, 1.1, 1.3, 1.7, 2.5, 4] as const;
/**
 * The search for a first timetable: that it ends within so many times the bound, or whenever, and how often it may turn back for it. What is to end
 * soon has little room, and so is told early what cannot be; each try goes another way.
 */
const FIRST_TRIES = [
  [1.1, 60],
  [1.3, 200],
  [1.6, 200],
  [2.5, 200],
  [Infinity, 1000],
  [1.3, 1000],
  [2.5, 1000],
  [Infinity, 20_000],
] as const;
/** Shares of the rounds that must end earlier than the one in hand, and that may end as early; the rest may end later by as much as this share. */
const EARLIER = 0.3;
const AS_EARLY = 0.5;
const LATER_BY = 0.05;
/** After so many rounds in vain it goes on from the best again. */
const PATIENCE = 500;

/**
 * Finds a timetable that ends early, and betters it: some of it is taken out and put back by a small exact search, while the order of the
 * rest is kept; now and then one that ends a little later is gone on from. Deterministic: the same workload and seed give the same in the same
 * rounds. The workload must be possible, see `impossible`.
 */
export class Improver {
  /** No timetable ends before this, s: by `boundS`, and later where everything below has been tried. */
  leastS: number;
  best: Found | undefined;

  private inHand: Found | undefined;
  private inVain = 0;
  private readonly spans: Spans;
  private readonly network: Network;
  private readonly end: number;
  private readonly sequence: Sequence;
  private readonly random: () => number;
  private readonly removal: Removal;
  private readonly base: ReturnType<Network['mark']>;

  constructor(
    private readonly workload: Workload,
    seed: number,
  ) {
    const { network, end } = networkOf(workload);
    this.network = network;
    this.end = end;
    this.spans = spansOf(workload);
    this.random = randoms(seed);
    this.removal = new Removal(workload, this.spans, this.random);
    this.sequence = new Sequence(network, this.spans, this.random);
    network.settle();
    this.base = network.mark();
    this.leastS = boundS(workload);
  }

  /** Whether no timetable ends earlier than the best. */
  get proven(): boolean {
    return this.best !== undefined && this.best.endS <= this.leastS;
  }

  /** Whether there is a first timetable: 'unknown' where it was not found in the time that is given to it. */
  first(tries: number = FIRST_TRIES.length): 'found' | 'none' | 'unknown' {
    const horizon = horizonS(this.workload);
    for (let k = 0; k < BUILDS; k++) if (this.built(k)) return 'found';
    for (const [times, turns] of FIRST_TRIES.slice(0, tries)) {
      const most = Math.min(horizon, times * this.leastS);
      if (this.tryBelow(most, all, turns)) return 'found';
      if (most === horizon && this.sequence.exhausted) return 'none';
    }
    return 'unknown';
  }

  /** Tries everything for one that ends earlier, until there is none or it has turned back so often. */
  prove(turns: number): void {
    while (this.best && !this.proven) {
      if (this.tryBelow(this.best.endS - 1, all, turns)) continue;
      if (!this.sequence.exhausted) return;
      this.leastS = this.best.endS;
    }
  }

  /** One round of bettering. */
  round(): void {
    if (!this.best || this.proven) return;
    if (++this.inVain > PATIENCE) {
      this.inHand = this.best;
      this.inVain = 0;
    }
    const { starts, endS } = this.inHand ?? this.best;
    const loose = this.removal.some(starts);
    const kind = this.random();
    const later = kind < EARLIER ? -1 : kind < EARLIER + AS_EARLY ? 0 : endS * LATER_BY * this.random();
    this.tryBelow(Math.floor(endS + later), loose, TURNS, starts);
  }

  /** Builds a timetable of one job after another, the longest first: each finds its place among those that are there. After a failure in another order. */
  private built(failures: number): boolean {
    const { jobs = [] } = this.workload;
    const { takenBy, freedBy } = this.spans;
    this.network.backTo(this.base);
    const { early } = this.network;
    const ends = new Map<number, number>();
    for (const [i, job] of jobs.entries())
      ends.set(job, Math.max(ends.get(job) ?? 0, early[i] + this.workload.operations[i].seconds));
    if (ends.size < 2) return false;
    const placed = new Set<number>();
    const there = (k: number): boolean => placed.has(jobs[takenBy[k]]) && placed.has(jobs[freedBy[k]]);
    const order = [...ends].map(([job, end]) => ({ job, end: end * (1 + failures * SHUFFLED * this.random()) }));
    for (const { job } of order.sort((a, b) => b.end - a.end)) {
      const before = placed.size > 0 ? this.inHand?.starts : undefined;
      placed.add(job);
      const loose = (k: number): boolean => jobs[takenBy[k]] === job || jobs[freedBy[k]] === job;
      const found =
        BUILD_WITHIN.some((times) => this.tryBelow(times * this.leastS, loose, TURNS, before, there)) ||
        this.tryBelow(horizonS(this.workload), loose, TURNS, before, there, (i) => jobs[i] === job);
      if (!found) {
        this.best = undefined;
        return false;
      }
      // What is not whole is no timetable yet.
      if (placed.size < ends.size) this.best = undefined;
    }
    return true;
  }

  /** Some operations come after all others that take anything. */
  private afterAll(kept: Starts, last: (operation: number) => boolean, there: (k: number) => boolean = all): void {
    const { takenBy, freedBy, count } = this.spans;
    const { operations } = this.workload;
    const until = Array.from({ length: count }, (_, k) => k)
      .filter((k) => there(k) && !last(takenBy[k]) && !last(freedBy[k]))
      .map((k) => kept[freedBy[k]] + operations[freedBy[k]].seconds);
    const from = Math.max(0, ...until);
    operations.forEach((_, i) => last(i) && this.network.notBefore(i, from));
  }

  private tryBelow(
    most: number,
    loose: (k: number) => boolean,
    turns: number,
    kept?: Starts,
    there?: (k: number) => boolean,
    last?: (operation: number) => boolean,
  ): boolean {
    this.network.backTo(this.base);
    this.network.notAfter(this.end, most);
    if (kept && last) this.afterAll(kept, last, there);
    if (kept) keepOrder(this.network, this.spans, kept, (k) => loose(k) || there?.(k) === false);
    if (!this.network.settle()) {
      this.sequence.exhausted = true;
      return false;
    }
    if (!this.sequence.search(loose, turns, there)) return false;
    const { early } = this.network;
    this.inHand = { starts: Array.from(early.subarray(0, this.end)), endS: early[this.end] };
    if (!this.best || this.inHand.endS < this.best.endS) {
      this.best = this.inHand;
      this.inVain = 0;
    }
    return true;
  }
}

const all = (): boolean => true;

/** Later than any sensible timetable ends, s: everything one after the other, once the last stay is over. */
function horizonS({ operations, lags, stays }: Workload): number {
  const work = operations.reduce((sum, { seconds }) => sum + seconds, 0);
  const waits = lags.reduce((sum, { least }) => sum + Math.max(0, least), 0);
  return 1 + work + waits + Math.max(0, ...stays.map(({ to }) => to));
}
