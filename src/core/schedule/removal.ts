import type { Spans } from './orders';
import type { Starts, Workload } from './workload';

/** Taken out at once, at least and at most: of more, the small search finds nothing in its time. */
const FEWEST_OUT = 10;
const MOST_OUT = 40;

/** Chooses what of a timetable is taken out, to be put back in another order. */
export class Removal {
  constructor(
    private readonly workload: Workload,
    private readonly spans: Spans,
    private readonly random: () => number,
  ) {}

  /**
   * Operations of a stretch of time, those of some resources, or any.
   * @param first operations that are taken out in any case
   * @param count how many others; left out, as many as the small search is good for
   * @returns whether an occupation belongs to one of them
   */
  some(starts: Starts, first: readonly number[] = [], count = this.few()): (occupation: number) => boolean {
    const out = new Uint8Array(starts.length);
    const chosen = count > 0 ? this.chosen(starts, first) : [];
    for (const i of first) out[i] = 1;
    for (let i = 0, taken = 0; i < chosen.length && taken < count; i++) {
      if (!out[chosen[i]]) taken++;
      out[chosen[i]] = 1;
    }
    const { takenBy, freedBy } = this.spans;
    return (k) => out[takenBy[k]] === 1 || out[freedBy[k]] === 1;
  }

  private chosen(starts: Starts, first: readonly number[]): readonly number[] {
    const { random } = this;
    const kind = random();
    const middle = first.length > 0 ? first[Math.floor(random() * first.length)] : Math.floor(random() * starts.length);
    return kind < 0.6 ? this.around(starts, middle) : kind < 0.9 ? this.ofResources() : this.any();
  }

  private few(): number {
    return FEWEST_OUT + Math.floor(this.random() * (MOST_OUT - FEWEST_OUT + 1));
  }

  /** All operations, by how near they are to one of them in time. */
  private around(starts: Starts, one: number): readonly number[] {
    const { operations } = this.workload;
    const middle = starts[one];
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
}
