import { afterTasks, roundLines, type Bare } from '../batch/timeline';
import { workOrder } from '../plan/batch-input';
import type { CastingPlan } from '../plan/plan-types';
import type { Lag, Operation, Workload } from '../schedule/workload';

/** A casting's work as operations with lags, and what each of them is. */
export interface JobWorkload {
  readonly workload: Workload;
  /** By operation; with the round it belongs to, from 0, and none for what is melted. */
  readonly stretches: readonly Bare[];
}

/** More operations than this are not fitted: nobody keeps so long a list. */
const MOST_OPERATIONS = 240;
/** What has to follow by hand, as turning, or a topping on what is wet, follows within this, s. Working rule. */
const AT_ONCE_S = 60;
/** What stands chilled before it is tipped out is tipped out within this share of the time it stands. Working rule. */
const TIMED_SHARE = 0.1;
/** A melt is ready no longer than this before its first coat, s. Working rule. */
const MELT_STANDS_S = 600;

/**
 * What a casting's rounds are made of, so that they can be fitted into each other's waits: the coats of each round with their minutes to the
 * earliest and the latest next step, a mold that is used again once it is empty, and filling, closing and finishing of the
 * pieces that each round gives. For one pair of hands. Undefined where something never sets, or the list would be too long.
 */
export function jobWorkload(plan: CastingPlan): JobWorkload | undefined {
  const job = new Job(plan);
  const { rounds } = plan.batch.timeline;
  if (rounds * plan.parts.length > MOST_OPERATIONS || !Number.isFinite(plan.batch.total.value)) return undefined;
  for (const { from, count, cast } of plan.batch.runs)
    for (let round = from; round < from + count; round++) job.round(round, cast, round === rounds - 1);
  return job.stretches.length > MOST_OPERATIONS ? undefined : job.told();
}

class Job {
  readonly stretches: Bare[] = [];
  private readonly lags: Lag[] = [];
  private readonly parts;
  /** The operation that makes each melt. */
  private readonly melts = new Map<string, number>();
  /** By mold: what empties it in the round before. */
  private emptied = new Map<string, number[]>();
  /** By part: so many are cast, and what got the last of them out. */
  private readonly cast: { count: number; out: number | undefined }[];
  private pieces = 0;

  constructor(private readonly plan: CastingPlan) {
    this.parts = workOrder(plan.parts);
    this.cast = this.parts.map(() => ({ count: 0, out: undefined }));
  }

  /** Adds a round, and what is done to the pieces that it makes whole. */
  round(round: number, cast: readonly number[], last: boolean): void {
    const { work } = this.plan.batch;
    const emptied = new Map<string, number[]>();
    for (const line of roundLines(work, cast)) {
      const part = line[0].part ?? 0;
      const { moldId } = work.parts[part];
      const [first, out] = this.line(line, round, this.emptied.get(moldId) ?? []);
      if (first === undefined) continue;
      emptied.set(moldId, [...(emptied.get(moldId) ?? []), out]);
      this.cast[part] = { count: this.cast[part].count + cast[part], out };
    }
    this.emptied = new Map([...this.emptied, ...emptied]);
    const whole = last ? work.pieces : this.whole();
    if (whole > this.pieces) {
      const outs = this.cast.flatMap(({ out }) => out ?? []);
      this.line(afterTasks(work, whole - this.pieces), round, outs);
      this.pieces = whole;
    }
  }

  told(): JobWorkload {
    const operations = this.stretches.map(({ seconds }, i): Operation => ({ id: String(i), seconds, hands: 1 }));
    const workload = { operations, lags: this.lags, resources: [], occupations: [], people: 1, stays: [] };
    return { workload, stretches: this.stretches };
  }

  /** Pieces that can be put together of what is cast so far. */
  private whole(): number {
    const { work } = this.plan.batch;
    const each = this.parts.map(({ part }, i) => Math.floor(this.cast[i].count / part.perPiece));
    return Math.min(work.pieces, ...each);
  }

  /**
   * Adds tasks that follow each other. @param after operations that must be over before the first
   * @returns the first and the last operation; undefined where all of it only waits
   */
  private line(tasks: readonly Bare[], round: number, after: readonly number[]): readonly [number | undefined, number] {
    let first: number | undefined;
    let before = after;
    let waits: Bare[] = [];
    for (const task of tasks) {
      if (!task.handsOn) {
        waits.push(task);
        continue;
      }
      const made = this.operation({ ...task, round });
      for (const from of before)
        this.lags.push({ from, to: made, ...this.lag(from, waits, task, first !== undefined) });
      this.meltFor(task, made);
      first ??= made;
      before = [made];
      waits = [];
    }
    return [first, before[0] ?? -1];
  }

  private operation(stretch: Bare): number {
    // Whole seconds add up without rounding.
    return this.stretches.push({ ...stretch, seconds: Math.max(1, Math.round(stretch.seconds)) }) - 1;
  }

  /** How long it waits at least, and at most where it must not wait longer. */
  private lag(from: number, waits: readonly Bare[], next: Bare, inLine: boolean): Pick<Lag, 'least' | 'most'> {
    const least = Math.ceil(waits.reduce((sum, { seconds }) => sum + seconds, 0));
    if (!inLine) return { least };
    const laid = this.stretches[from];
    const wait = waits[waits.length - 1];
    if (!wait) return laid.kind === 'coat' ? { least, most: AT_ONCE_S } : { least };
    // Tipped out after it stood full in the cold.
    if (next.kind === 'coat' && next.coat === laid.coat && laid.kind === 'coat')
      return { least, most: Math.floor(least * (1 + TIMED_SHARE)) };
    const chill = wait.coat === undefined ? undefined : this.parts[wait.part ?? 0].chill.coats[wait.coat];
    if (!chill || !Number.isFinite(chill.chosen.latest.value)) return { least };
    return { least, most: least + Math.floor(Math.max(AT_ONCE_S, chill.chosen.latest.value - chill.stay.value)) };
  }

  /** The melts that a task works from are made before it, and not long before the first. */
  private meltFor({ meltIds = [] }: Bare, operation: number): void {
    for (const meltId of meltIds) {
      const made = this.melts.get(meltId);
      if (made !== undefined) {
        this.lags.push({ from: made, to: operation, least: 0 });
        continue;
      }
      const seconds = this.plan.batch.work.meltSeconds.get(meltId) ?? 0;
      const melt = this.operation({ kind: 'melt', handsOn: true, seconds, meltIds: [meltId] });
      this.melts.set(meltId, melt);
      this.lags.push({ from: melt, to: operation, least: 0, most: MELT_STANDS_S });
    }
  }
}
