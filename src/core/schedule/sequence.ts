import type { Network } from './network';
import type { Spans } from './orders';

/** Two occupations that cannot have their resource at once. */
interface Pairs {
  readonly first: Int32Array;
  readonly second: Int32Array;
}

/** Where there is about as much room, by so much, any may be parted first: so a search of the same does not end the same. */
const BLUR = 0.2;

/** One way to part two occupations: the first is freed before the second is taken. */
type Order = readonly [number, number];

/** Orders to try, and whether it is the last of the open pairs that they part. */
interface Ways {
  readonly orders: readonly Order[];
  readonly ofPair: boolean;
}

const NO_WAY: Ways = { orders: [], ofPair: false };

/** Where a search can go on in several ways: how the network stood before what was forced there, and after it. */
interface Fork extends Ways {
  readonly mark: ReturnType<Network['mark']>;
  readonly open: number;
  readonly here: ReturnType<Network['mark']>;
  readonly openHere: number;
  /** So many of its ways have been tried. */
  tried: number;
}

/**
 * Finds an order of all that shares a resource, by trying: of the occupations that meet where everything starts as early as it can, the two
 * with the least room are parted first, the way that leaves more of it (Smith and Cheng's slack), after all that is forced has
 * been. Where nothing meets any more, the earliest times are a timetable. Complete: given the patience it finds one where there is one.
 */
export class Sequence {
  readonly pairs: Pairs;
  /** Whether the last search has tried everything in vain. */
  exhausted = false;
  /** Pairs that are not parted yet come first, so many; behind them those that are, the last one parted first. */
  private readonly open: Int32Array;
  private openCount = 0;
  private turnsLeft = 0;
  private readonly shared: readonly number[];
  /** Of those resources, the occupations that are there in this search. */
  private together: readonly { readonly r: number; readonly users: readonly number[] }[] = [];

  constructor(
    private readonly network: Network,
    private readonly spans: Spans,
    private readonly random: () => number,
  ) {
    this.pairs = pairsOf(spans);
    this.open = new Int32Array(this.pairs.first.length);
    // Resources that some may have at once: there it can be too much for three that two could have.
    this.shared = spans.of.flatMap((all, r) =>
      all.length > 2 && all.some((k) => 2 * spans.amount[k] <= spans.capacity[r]) ? [r] : [],
    );
  }

  /**
   * Searches among the orders of all that is `loose`; the order of the rest is in the network already. Leaves the network at the timetable.
   * @param turns how often it may turn back
   * @param there occupations that are there at all; all, where it is left out
   * @returns whether there is one; else the network is as it was
   */
  search(loose: (occupation: number) => boolean, turns: number, there: (k: number) => boolean = () => true): boolean {
    this.turnsLeft = turns;
    this.openCount = 0;
    const { first, second } = this.pairs;
    for (let p = 0; p < first.length; p++) {
      const [a, b] = [first[p], second[p]];
      if ((loose(a) || loose(b)) && there(a) && there(b)) this.open[this.openCount++] = p;
    }
    this.together = this.shared.map((r) => ({ r, users: this.spans.of[r].filter(there) }));
    const found = this.dive();
    this.exhausted = !found && this.turnsLeft > 0;
    return found;
  }

  /** As deep as there are pairs to part, and so without a call for each. */
  private dive(): boolean {
    const forks: Fork[] = [];
    for (let deeper = true; ;) {
      if (deeper) {
        const fork = this.fork();
        if (!fork) return true;
        forks.push(fork);
      }
      const fork = forks[forks.length - 1];
      const order = this.turnsLeft > 0 || !fork.tried ? fork.orders[fork.tried] : undefined;
      deeper = order !== undefined && this.tried(fork, order);
      if (deeper) continue;
      if (order === undefined) {
        this.takeBack(fork.mark, fork.open);
        forks.pop();
      }
      const back = forks.length > 0 ? forks[forks.length - 1] : undefined;
      if (!back) return false;
      this.takeBack(back.here, back.openHere);
      this.turnsLeft--;
    }
  }

  /** Parts all that is forced, and tells the ways that are left to go on; undefined where nothing meets any more. */
  private fork(): Fork | undefined {
    const mark = this.network.mark();
    const open = this.openCount;
    const ways = this.force() ? this.next() : NO_WAY;
    return ways && { ...ways, mark, open, here: this.network.mark(), openHere: this.openCount, tried: 0 };
  }

  private tried(fork: Fork, order: Order): boolean {
    fork.tried++;
    if (fork.ofPair) this.openCount--;
    return this.decide(order);
  }

  /** Parts all pairs for which one way alone is left. @returns false where there is none for some */
  private force(): boolean {
    for (let again = true; again;) {
      again = false;
      // From the last to the first: what is parted changes places with the last, which has been looked at.
      for (let at = this.openCount - 1; at >= 0; at--) {
        const a = this.pairs.first[this.open[at]];
        const b = this.pairs.second[this.open[at]];
        const ab = this.room(a, b);
        const ba = this.room(b, a);
        if (ab >= 0 && ba >= 0) continue;
        if (ab < 0 && ba < 0) return false;
        this.toLast(at);
        this.openCount--;
        if (!this.decide(ab >= 0 ? [a, b] : [b, a])) return false;
        again = true;
      }
    }
    return true;
  }

  /** What is left between freeing one and taking the other, at the most, s. */
  private room(a: number, b: number): number {
    const { early, late } = this.network;
    const { takenBy, takenAfter, freedBy, freedAfter } = this.spans;
    return late[takenBy[b]] + takenAfter[b] - early[freedBy[a]] - freedAfter[a];
  }

  /** Makes a pair the last of those that are open. */
  private toLast(at: number): void {
    const last = this.openCount - 1;
    const pair = this.open[at];
    this.open[at] = this.open[last];
    this.open[last] = pair;
  }

  private decide([a, b]: Order): boolean {
    const { takenBy, takenAfter, freedBy, freedAfter } = this.spans;
    this.network.arc(freedBy[a], takenBy[b], freedAfter[a] - takenAfter[b]);
    return this.network.settle();
  }

  private takeBack(mark: ReturnType<Network['mark']>, open: number): void {
    this.network.backTo(mark);
    this.openCount = open;
  }

  /** Ways to part what has the least room; undefined where nothing meets. */
  private next(): Ways | undefined {
    const { first, second } = this.pairs;
    let chosen = -1;
    let least = Infinity;
    for (let i = 0; i < this.openCount; i++) {
      const p = this.open[i];
      if (!this.meet(first[p], second[p])) continue;
      const ab = this.room(first[p], second[p]);
      const ba = this.room(second[p], first[p]);
      const small = Math.min(ab, ba);
      // The nearer both ways are to each other, the less it says that one of them has little room.
      const tight = (small / Math.sqrt((small + 1) / (Math.max(ab, ba) + 1))) * (1 + BLUR * this.random());
      if (tight < least) {
        least = tight;
        chosen = i;
      }
    }
    if (chosen < 0) return this.tooMuch();
    const [a, b] = [first[this.open[chosen]], second[this.open[chosen]]];
    this.toLast(chosen);
    const orders: readonly Order[] =
      this.room(a, b) >= this.room(b, a)
        ? [
            [a, b],
            [b, a],
          ]
        : [
            [b, a],
            [a, b],
          ];
    return { orders, ofPair: true };
  }

  private takenAt(k: number): number {
    return this.network.early[this.spans.takenBy[k]] + this.spans.takenAfter[k];
  }

  private freedAt(k: number): number {
    return this.network.early[this.spans.freedBy[k]] + this.spans.freedAfter[k];
  }

  private meet(a: number, b: number): boolean {
    return this.takenAt(a) < this.freedAt(b) && this.takenAt(b) < this.freedAt(a);
  }

  /** Ways to part the first that are too much together, though any two of them are not; undefined where none are. */
  private tooMuch(): Ways | undefined {
    for (const { r, users } of this.together) {
      const capacity = this.spans.capacity[r];
      const byStart = [...users].sort((a, b) => this.takenAt(a) - this.takenAt(b));
      let there: number[] = [];
      let sum = 0;
      for (const k of byStart) {
        const at = this.takenAt(k);
        if (this.freedAt(k) <= at) continue;
        there = there.filter((other) => this.freedAt(other) > at);
        there.push(k);
        sum = there.reduce((all, other) => all + this.spans.amount[other], 0);
        if (sum > capacity)
          return { orders: this.parted(leastTooMuch(there, this.spans.amount, capacity)), ofPair: false };
      }
    }
    return undefined;
  }

  private parted(together: readonly number[]): readonly Order[] {
    return together
      .flatMap((a) => together.flatMap((b): Order[] => (a !== b && this.room(a, b) >= 0 ? [[a, b]] : [])))
      .sort((one, other) => this.room(...other) - this.room(...one));
  }
}

/** As few of some as are still too much: the largest first. */
function leastTooMuch(there: readonly number[], amount: Float64Array, capacity: number): number[] {
  const chosen: number[] = [];
  let sum = 0;
  for (const k of [...there].sort((a, b) => amount[b] - amount[a])) {
    chosen.push(k);
    sum += amount[k];
    if (sum > capacity) break;
  }
  return chosen;
}

function pairsOf({ of, amount, capacity }: Spans): Pairs {
  const first: number[] = [];
  const second: number[] = [];
  of.forEach((all, r) =>
    all.forEach((a, i) => {
      for (const b of all.slice(i + 1)) {
        if (amount[a] + amount[b] <= capacity[r]) continue;
        first.push(a);
        second.push(b);
      }
    }),
  );
  return { first: Int32Array.from(first), second: Int32Array.from(second) };
}
