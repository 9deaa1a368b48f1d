import { boundS } from './bound';
import { built } from './build';
import { keepOrder } from './orders';
import { Trial } from './trial';
import type { Starts, Workload } from './workload';

/** A timetable that was found: when each operation starts, and when the last one ends, s. */
export interface Found {
  readonly starts: Starts;
  readonly endS: number;
}

/** How often one round may turn back. */
const TURNS = 60;
/** How often it is tried to build a timetable. */
const BUILDS = 6;
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
  best: Found | undefined;

  private bound: number | undefined;
  private inHand: Found | undefined;
  private inVain = 0;
  private readonly trial: Trial;

  constructor(workload: Workload, seed: number) {
    this.trial = new Trial(workload, seed);
  }

  /** No timetable ends before this, s: by `boundS`, and later where everything below has been tried. */
  get leastS(): number {
    return (this.bound ??= boundS(this.trial.workload));
  }

  /** Whether no timetable ends earlier than the best. */
  get proven(): boolean {
    return this.best !== undefined && this.best.endS <= this.leastS;
  }

  /**
   * Whether there is a first timetable: 'unknown' where it was not found in the time that is given to it.
   * @param tries of the search; @param builds how often it is tried to build one before that
   */
  first(tries: number = FIRST_TRIES.length, builds: number = BUILDS): 'found' | 'none' | 'unknown' {
    const horizon = horizonS(this.trial.workload);
    for (let k = 0; k < builds; k++) {
      const starts = built(this.trial, horizon, k);
      if (!starts) continue;
      this.found({ starts, endS: this.trial.endS });
      return 'found';
    }
    for (const [times, turns] of FIRST_TRIES.slice(0, tries)) {
      const most = Math.min(horizon, times * this.leastS);
      if (this.tryBelow(most, all, turns)) return 'found';
      if (most === horizon && this.trial.sequence.exhausted) return 'none';
    }
    return 'unknown';
  }

  /**
   * Goes on from a timetable's order, whether its times are right or not. @returns whether there is one in that order
   * @param anew operations that may come in any order @param near so many of those near them may as well
   */
  takeOver(starts: Starts, anew: readonly number[] = [], near?: number): boolean {
    const horizon = horizonS(this.trial.workload);
    return anew.length === 0
      ? this.tryBelow(horizon, none, 1, starts)
      : this.tryBelow(horizon, this.trial.removal.some(starts, anew, near), TURNS, starts);
  }

  /** Tries everything for one that ends earlier, until there is none or it has turned back so often. */
  prove(turns: number): void {
    while (this.best && !this.proven) {
      if (this.tryBelow(this.best.endS - 1, all, turns)) continue;
      if (!this.trial.sequence.exhausted) return;
      this.bound = this.best.endS;
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
    const { random, removal } = this.trial;
    const loose = removal.some(starts);
    const kind = random();
    const later = kind < EARLIER ? -1 : kind < EARLIER + AS_EARLY ? 0 : endS * LATER_BY * random();
    this.tryBelow(Math.floor(endS + later), loose, TURNS, starts);
  }

  private tryBelow(most: number, loose: (k: number) => boolean, turns: number, kept?: Starts): boolean {
    const { trial } = this;
    const network = trial.anew();
    network.notAfter(trial.end, most);
    if (kept) keepOrder(network, trial.spans, kept, loose);
    if (!network.settle()) {
      trial.sequence.exhausted = true;
      return false;
    }
    if (!trial.sequence.search(loose, turns)) return false;
    this.found({ starts: trial.starts, endS: trial.endS });
    return true;
  }

  private found(found: Found): void {
    this.inHand = found;
    if (this.best && found.endS >= this.best.endS) return;
    this.best = found;
    this.inVain = 0;
  }
}

const all = (): boolean => true;
const none = (): boolean => false;

/** Later than any sensible timetable ends, s: everything one after the other, once the last stay is over and nothing is held any later. */
function horizonS({ operations, lags, stays }: Workload): number {
  const work = operations.reduce((sum, { seconds }) => sum + seconds, 0);
  const waits = lags.reduce((sum, { least }) => sum + Math.max(0, least), 0);
  const held = operations.map(({ heldAt = 0, within }) => Math.max(heldAt, within?.from ?? 0));
  return 1 + work + waits + Math.max(0, ...stays.map(({ to }) => to), ...held);
}
