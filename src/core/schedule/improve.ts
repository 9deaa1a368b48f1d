import { boundS } from './bound';
import type { Network } from './network';
import { networkOf, spansOf, type Spans } from './orders';
import { Sequence } from './sequence';
import type { Starts, Workload } from './workload';

/** A timetable that was found: when each operation starts, and when the last one ends, s. */
export interface Found {
  readonly starts: Starts;
  readonly endS: number;
}

/** Taken out at once, at least and at most: of more, the small search finds nothing in its time. */
const FEWEST_OUT = 10;
const MOST_OUT = 40;
/** How often one round may turn back, and how often the search for a first timetable. */
const TURNS = 60;
const FIRST_TURNS = 20_000;
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
  first(): 'found' | 'none' | 'unknown' {
    if (this.tryBelow(horizonS(this.workload), all, FIRST_TURNS)) return 'found';
    return this.sequence.exhausted ? 'none' : 'unknown';
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
    const out = this.takenOut(starts);
    const { takenBy, freedBy } = this.spans;
    const loose = (k: number): boolean => out[takenBy[k]] === 1 || out[freedBy[k]] === 1;
    const kind = this.random();
    const later = kind < EARLIER ? -1 : kind < EARLIER + AS_EARLY ? 0 : endS * LATER_BY * this.random();
    this.tryBelow(Math.floor(endS + later), loose, TURNS, starts);
  }

  private tryBelow(most: number, loose: (k: number) => boolean, turns: number, kept?: Starts): boolean {
    this.network.backTo(this.base);
    this.network.notAfter(this.end, most);
    if (kept) this.keepOrder(kept, loose);
    if (!this.network.settle()) {
      this.sequence.exhausted = true;
      return false;
    }
    if (!this.sequence.search(loose, turns)) return false;
    const { early } = this.network;
    this.inHand = { starts: Array.from(early.subarray(0, this.end)), endS: early[this.end] };
    if (!this.best || this.inHand.endS < this.best.endS) {
      this.best = this.inHand;
      this.inVain = 0;
    }
    return true;
  }

  /** Which operations are taken out: those of a stretch of time, those of some resources, or any. */
  private takenOut(starts: Starts): Uint8Array {
    const { random } = this;
    const out = new Uint8Array(starts.length);
    const count = FEWEST_OUT + Math.floor(random() * (MOST_OUT - FEWEST_OUT + 1));
    const kind = random();
    const chosen = kind < 0.6 ? this.around(starts) : kind < 0.9 ? this.ofResources() : this.any();
    for (let i = 0, taken = 0; i < chosen.length && taken < count; i++) {
      if (!out[chosen[i]]) taken++;
      out[chosen[i]] = 1;
    }
    return out;
  }

  /** All operations, by how near they are to one of them in time. */
  private around(starts: Starts): readonly number[] {
    const { operations } = this.workload;
    const middle = starts[Math.floor(this.random() * starts.length)];
    const away = operations.map(({ seconds }, i) => Math.abs(starts[i] + seconds / 2 - middle));
    return operations.map((_, i) => i).sort((a, b) => away[a] - away[b]);
  }

  /** Those that take up the one and the other resource. */
  private ofResources(): readonly number[] {
    const { of, takenBy, freedBy } = this.spans;
    const used = of.filter(({ length }) => length > 1);
    if (used.length === 0) return this.any();
    return [1, 2, 3, 4].flatMap(() =>
      used[Math.floor(this.random() * used.length)].flatMap((k) => [takenBy[k], freedBy[k]]),
    );
  }

  private any(): readonly number[] {
    const n = this.workload.operations.length;
    return Array.from({ length: MOST_OUT }, () => Math.floor(this.random() * n));
  }

  /** The order of what stays, as it is in a timetable: each takes over from those that were freed last before it. */
  private keepOrder(starts: Starts, loose: (k: number) => boolean): void {
    const { of, capacity, amount, takenBy, takenAfter, freedBy, freedAfter } = this.spans;
    const taken = (k: number): number => starts[takenBy[k]] + takenAfter[k];
    const freed = (k: number): number => starts[freedBy[k]] + freedAfter[k];
    of.forEach((users, r) => {
      let free: { readonly k: number; amount: number; readonly at: number }[] = [
        { k: -1, amount: capacity[r], at: -Infinity },
      ];
      for (const b of users.filter((k) => !loose(k)).sort((x, y) => taken(x) - taken(y) || freed(x) - freed(y))) {
        let need = amount[b];
        free.sort((x, y) => y.at - x.at);
        for (const from of free) {
          if (from.at > taken(b) || need <= 0) continue;
          const part = Math.min(need, from.amount);
          from.amount -= part;
          need -= part;
          if (from.k >= 0) this.network.arc(freedBy[from.k], takenBy[b], freedAfter[from.k] - takenAfter[b]);
        }
        free = free.filter((one) => one.amount > 0);
        free.push({ k: b, amount: amount[b], at: freed(b) });
      }
    });
  }
}

const all = (): boolean => true;

/** Later than any sensible timetable ends, s: everything one after the other, once the last stay is over. */
function horizonS({ operations, lags, stays }: Workload): number {
  const work = operations.reduce((sum, { seconds }) => sum + seconds, 0);
  const waits = lags.reduce((sum, { least }) => sum + Math.max(0, least), 0);
  return 1 + work + waits + Math.max(0, ...stays.map(({ to }) => to));
}

/** Numbers from 0 to 1, the same for the same seed (mulberry32, in the public domain). */
function randoms(seed: number): () => number {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let t = Math.imul(state ^ (state >>> 15), 1 | state);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
}
