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

/**
 * Finds an order of all that shares a resource, by trying: of the occupations that meet where everything starts as early as it can, the two
 * with the least room are parted first, the way that leaves more of it (Smith and Cheng's slack), after all that is forced has
 * been. Where nothing meets any more, the earliest times are a timetable. Complete: given the patience it finds one where there is one.
 */
export class Sequence {
  readonly pairs: Pairs;
  /** Whether the last search has tried everything in vain. */
  exhausted = false;
  private open: Int32Array;
  private openCount = 0;
  private decided: Uint8Array;
  private readonly decisions: number[] = [];
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
    this.decided = new Uint8Array(this.pairs.first.length);
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
      this.decided[p] = 0;
      const [a, b] = [first[p], second[p]];
      if ((loose(a) || loose(b)) && there(a) && there(b)) this.open[this.openCount++] = p;
    }
    this.together = this.shared.map((r) => ({ r, users: this.spans.of[r].filter(there) }));
    this.decisions.length = 0;
    const found = this.dive();
    this.exhausted = !found && this.turnsLeft > 0;
    return found;
  }

  private dive(): boolean {
    const mark = this.network.mark();
    const decided = this.decisions.length;
    if (this.force()) {
      const ways = this.next();
      if (!ways) return true;
      const here = this.network.mark();
      const decidedHere = this.decisions.length;
      for (const { order, pair } of ways) {
        if (this.decide(order, pair) && this.dive()) return true;
        this.takeBack(here, decidedHere);
        if (--this.turnsLeft <= 0) break;
      }
    }
    this.takeBack(mark, decided);
    return false;
  }

  /** Parts all pairs for which one way alone is left. @returns false where there is none for some */
  private force(): boolean {
    for (let again = true; again;) {
      again = false;
      for (let i = 0; i < this.openCount; i++) {
        const p = this.open[i];
        if (this.decided[p]) continue;
        const a = this.pairs.first[p];
        const b = this.pairs.second[p];
        const ab = this.room(a, b);
        const ba = this.room(b, a);
        if (ab >= 0 && ba >= 0) continue;
        if (ab < 0 && ba < 0) return false;
        if (!this.decide(ab >= 0 ? [a, b] : [b, a], p)) return false;
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

  private decide([a, b]: Order, pair: number): boolean {
    if (pair >= 0) {
      this.decided[pair] = 1;
      this.decisions.push(pair);
    }
    const { takenBy, takenAfter, freedBy, freedAfter } = this.spans;
    this.network.arc(freedBy[a], takenBy[b], freedAfter[a] - takenAfter[b]);
    return this.network.settle();
  }

  private takeBack(mark: ReturnType<Network['mark']>, decided: number): void {
    this.network.backTo(mark);
    while (this.decisions.length > decided) this.decided[this.decisions.pop() as number] = 0;
  }

  /** Ways to part what has the least room; undefined where nothing meets. */
  private next(): readonly { readonly order: Order; readonly pair: number }[] | undefined {
    const { first, second } = this.pairs;
    let chosen = -1;
    let least = Infinity;
    for (let i = 0; i < this.openCount; i++) {
      const p = this.open[i];
      if (this.decided[p] || !this.meet(first[p], second[p])) continue;
      const ab = this.room(first[p], second[p]);
      const ba = this.room(second[p], first[p]);
      const small = Math.min(ab, ba);
      // The nearer both ways are to each other, the less it says that one of them has little room.
      const tight = (small / Math.sqrt((small + 1) / (Math.max(ab, ba) + 1))) * (1 + BLUR * this.random());
      if (tight < least) {
        least = tight;
        chosen = p;
      }
    }
    if (chosen < 0) return this.tooMuch();
    const [a, b] = [first[chosen], second[chosen]];
    const ways: readonly Order[] =
      this.room(a, b) >= this.room(b, a)
        ? [
            [a, b],
            [b, a],
          ]
        : [
            [b, a],
            [a, b],
          ];
    return ways.map((order) => ({ order, pair: chosen }));
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
  private tooMuch(): readonly { readonly order: Order; readonly pair: number }[] | undefined {
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
        if (sum > capacity) return this.parted(leastTooMuch(there, this.spans.amount, capacity));
      }
    }
    return undefined;
  }

  private parted(together: readonly number[]): readonly { readonly order: Order; readonly pair: number }[] {
    return together
      .flatMap((a) => together.flatMap((b): Order[] => (a !== b && this.room(a, b) >= 0 ? [[a, b]] : [])))
      .sort((one, other) => this.room(...other) - this.room(...one))
      .map((order) => ({ order, pair: -1 }));
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
