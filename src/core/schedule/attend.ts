import { keepOrder, windowsOf } from './orders';
import { Trial } from './trial';
import { byHandsS, type Starts, type Stay, type Workload } from './workload';

/** A timetable with what is looked at in it, s: how long somebody has to be there, and when it ends. */
export interface Attended {
  readonly starts: Starts;
  readonly attendedS: number;
  readonly endS: number;
}

/** How often one round may turn back. */
const TURNS = 60;
/** After so many rounds in vain it goes on from another spread of the work over the stays. */
const PATIENCE = 100;
/** Most of a stay that is cut off at once, a share. */
const MOST_CUT = 0.5;

/**
 * Of work that is spread over several stays, finds a timetable with the fewest minutes in which somebody has to be there, from the first
 * thing done by hand in a stay to the last; among those alike, the one that ends first. Goes on from a timetable: a stay is cut, or another made
 * longer by less, and what no longer fits is put back by a small exact search. Deterministic, as `Improver`.
 */
export class Attendance {
  best: Attended;
  private inHand: Attended;
  private inVain = 0;
  private readonly trial: Trial;

  constructor(
    private readonly workload: Workload,
    starts: Starts,
    seed: number,
    private readonly more: (starts: Starts) => number = () => 0,
  ) {
    this.trial = new Trial(workload, seed);
    this.best = this.attended(starts);
    this.inHand = this.best;
  }

  /** Nobody is there for less than this, s: all that is done by hand, by all hands at once. */
  get leastS(): number {
    return byHandsS(this.workload);
  }

  /** One round of bettering. */
  round(): void {
    const anew = ++this.inVain > PATIENCE;
    if (anew) this.inVain = 0;
    const { starts } = anew ? this.best : this.inHand;
    const used = usedStays(this.workload, starts);
    if (!this.tryWithin(anew ? this.spread(used) : this.cut(used), starts)) return;
    const found = this.attended(this.trial.starts);
    if (!anew && isBetter(this.inHand, found)) return;
    this.inHand = found;
    if (!isBetter(found, this.best)) return;
    this.best = found;
    this.inVain = 0;
  }

  private attended(starts: Starts): Attended {
    const used = usedStays(this.workload, starts);
    return {
      starts,
      attendedS: used.reduce((sum, stay) => sum + (stay ? stay.to - stay.from : 0), this.more(starts)),
      endS: Math.max(0, ...this.workload.operations.map(({ seconds }, i) => starts[i] + seconds)),
    };
  }

  /** All stays as they are but one, which is cut anywhere: what does not fit there goes into the others. */
  private spread(used: readonly (Stay | undefined)[]): readonly Stay[] {
    const { random } = this.trial;
    const there = used.flatMap((stay, i) => (stay ? [i] : []));
    const one = there[Math.floor(random() * there.length)];
    return this.workload.stays.map((stay, i) => {
      const own = used[i];
      if (!own || i !== one) return stay;
      const at = own.from + Math.round(random() * (own.to - own.from));
      return random() < 0.5 ? { from: stay.from, to: at } : { from: at, to: stay.to };
    });
  }

  private tryWithin(stays: readonly Stay[], kept: Starts): boolean {
    const { trial } = this;
    const { operations } = this.workload;
    const network = trial.anew();
    network.within(windowsOf(operations, stays));
    const outside = operations.flatMap(({ hands, seconds }, i) =>
      hands === 0 || stays.some(({ from, to }) => kept[i] >= from && kept[i] + seconds <= to) ? [] : [i],
    );
    const loose = trial.removal.some(kept, outside);
    keepOrder(network, trial.spans, kept, loose);
    return network.settle() && trial.sequence.search(loose, TURNS);
  }

  /** Shorter stays than those that are used, by little, or with one left out: the others may grow by less. */
  private cut(used: readonly (Stay | undefined)[]): readonly Stay[] {
    const { random } = this.trial;
    const there = used.flatMap((stay, i) => (stay ? [{ ...stay, i }] : []));
    const one = there[Math.floor(random() * there.length)];
    const whole = this.workload.stays;
    if (there.length > 1 && random() < 0.1) return whole.map((stay, i) => (i === one.i ? empty(stay) : stay));
    const by = Math.ceil((one.to - one.from) * MOST_CUT * random() ** 2);
    // Cut as much as is given elsewhere, the end alone moves.
    const given = random() < 0.5 ? 0 : Math.floor(by * random() * 1.2);
    const cutAtEnd = random() < 0.5;
    const other = random() < 0.4 ? Math.floor(random() * whole.length) : one.i;
    return whole.map((stay, i) => {
      let { from, to } = used[i] ?? empty(stay);
      if (i === one.i) [from, to] = cutAtEnd ? [from, to - by] : [from + by, to];
      if (i === other) [from, to] = cutAtEnd ? [from - given, to] : [from, to + given];
      return { from: Math.max(from, stay.from), to: Math.min(to, stay.to) };
    });
  }
}

const empty = ({ from }: Stay): Stay => ({ from, to: from });

/** From the first thing done by hand in each stay to the last, s; undefined for a stay in which nothing is. */
export function usedStays({ operations, stays }: Workload, starts: Starts): readonly (Stay | undefined)[] {
  return stays.map(({ from, to }) => {
    const own = operations.flatMap(({ hands, seconds }, i) =>
      hands > 0 && starts[i] >= from && starts[i] + seconds <= to ? [{ from: starts[i], to: starts[i] + seconds }] : [],
    );
    if (own.length === 0) return undefined;
    return { from: Math.min(...own.map((one) => one.from)), to: Math.max(...own.map((one) => one.to)) };
  });
}

function isBetter(one: Attended, other: Attended): boolean {
  return one.attendedS < other.attendedS || (one.attendedS === other.attendedS && one.endS < other.endS);
}
