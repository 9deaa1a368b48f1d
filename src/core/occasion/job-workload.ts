import type { Bare } from '../batch/stretch';
import { afterTasks, roundLines } from '../batch/timeline';
import { madeAhead } from '../fill/made-ahead';
import { workOrder } from '../plan/batch-input';
import type { CastingPlan } from '../plan/plan-types';
import { moldOf, fillingOf } from '../record/references';
import { sheetM2 } from '../mold/sheet-size';
import type { Lag, Workload } from '../schedule/workload';
import { bowlsOf, BowlTurns } from './bowls';
import { MoldTurns } from './mold-turns';
import { Work, type Wait } from './work';

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
/** What keeps for days is made no longer than this before it goes in, s. Working rule. */
const MADE_BEFORE_S = 2 * 24 * 3600;

/**
 * What a casting's rounds are made of, so that they can be fitted into each other's waits, for one pair of hands; see `addJob`. Undefined where
 * something never sets, or the list would be too long.
 */
export function jobWorkload(plan: CastingPlan): JobWorkload | undefined {
  if (whyNotFitted(plan)) return undefined;
  const work = new Work();
  addJob(plan, work, new BowlTurns(work, bowlsOf([plan], false)), new MoldTurns(work));
  if (work.tasks.length > MOST_OPERATIONS) return undefined;
  return { workload: work.workload({ people: 1, stays: [] }), stretches: work.tasks };
}

/** Why a casting's work cannot be fitted: it never ends, or has more rounds than anybody keeps a list of. */
export function whyNotFitted({ batch, parts }: CastingPlan): 'endless' | 'tooMany' | undefined {
  if (!Number.isFinite(batch.total.value)) return 'endless';
  return batch.timeline.rounds * parts.length > MOST_OPERATIONS ? 'tooMany' : undefined;
}

/**
 * Adds a casting's work: the coats of each round with their minutes to the earliest and the latest next step, a mold that is used again once
 * it is empty, and filling, closing and finishing of the pieces that each round gives.
 * @param making home-made fillings are made as well that have stood, when they go in, at most so long, s
 */
export function addJob(plan: CastingPlan, work: Work, bowls: BowlTurns, molds: MoldTurns, making = -1): void {
  const job = new Job(plan, work, bowls, molds);
  const { rounds } = plan.batch.timeline;
  for (const { from, count, cast } of plan.batch.runs)
    for (let round = from; round < from + count; round++) job.round(round, cast, round >= rounds - 1);
  job.fillings(making);
}

class Job {
  private readonly parts;
  private readonly castingId: string;
  /** By part: so many are cast, now or before, and what got the last of them out. */
  private readonly cast: { count: number; out: number | undefined }[];
  private pieces = 0;

  constructor(
    private readonly plan: CastingPlan,
    private readonly work: Work,
    private readonly bowls: BowlTurns,
    private readonly molds: MoldTurns,
  ) {
    this.castingId = plan.casting.id;
    this.parts = workOrder(plan.parts);
    this.cast = this.parts.map(({ part }) => ({ count: part.there?.parts ?? 0, out: undefined }));
  }

  /** Adds a round, and what is done to the pieces that it makes whole. */
  round(round: number, cast: readonly number[], last: boolean): void {
    const { work } = this.plan.batch;
    for (const line of roundLines(work, cast)) {
      const part = line[0].part ?? 0;
      const { moldId, perMold } = work.parts[part];
      const chocolateId = this.parts[part].chocolates[0].id;
      const molds = Math.ceil(cast[part] / perMold);
      const { after, waits } = this.molds.free(moldId, this.castingId, chocolateId, molds);
      const m2 = molds * sheetM2(moldOf(this.plan.casting, this.parts[part].part));
      const [first, out] = this.line([...waits, ...line], { round, count: cast[part] }, after, m2);
      if (first === undefined) continue;
      this.molds.use(moldId, this.castingId, chocolateId, first, out);
      this.cast[part] = { count: this.cast[part].count + cast[part], out };
    }
    this.molds.next();
    const whole = last ? work.pieces : this.whole();
    if (whole > this.pieces) {
      const outs = this.cast.flatMap(({ out }) => out ?? []);
      const count = whole - this.pieces;
      this.line(afterTasks(work, count), { round, count }, outs, 0);
      this.pieces = whole;
    }
  }

  /** Adds the making of what is mixed at home and has stood, when it goes in, at most so long, s. */
  fillings(most: number): void {
    const { casting, fillings } = this.plan;
    for (const { fillingId } of fillings) {
      const made = madeAhead(casting.fillings, fillingOf(casting, fillingId));
      if (!made || made.standsS > most) continue;
      const { castingId } = this;
      const make = this.work.add({ castingId, kind: 'make', handsOn: true, seconds: made.handsOnS, fillingId });
      const lag = { least: made.standsS, most: made.standsS + MADE_BEFORE_S };
      const fills = this.work.tasks.flatMap((task, i) =>
        task.castingId === castingId && task.kind === 'fill' ? [i] : [],
      );
      for (const fill of fills) this.work.lag(make, fill, lag);
      const stands = { kind: 'make', seconds: made.standsS } as const;
      if (fills.length > 0 && made.standsS > 0) this.work.waits.push({ from: make, to: fills[0], steps: [stands] });
    }
  }

  /** Pieces that can be put together of what is cast so far. */
  private whole(): number {
    const { work } = this.plan.batch;
    const each = this.parts.map(({ part }, i) => Math.floor(this.cast[i].count / part.perPiece));
    return Math.min(work.pieces, ...each);
  }

  /**
   * Adds tasks that follow each other. @param of which round, and to how many it is done @param after operations that must be over before the first
   * @param m2 what of a shelf they take while they wait there
   * @returns the first and the last operation; undefined for the first where all of it only waits
   */
  private line(
    tasks: readonly Bare[],
    of: { readonly round: number; readonly count: number },
    after: readonly number[],
    m2: number,
  ): readonly [number | undefined, number] {
    const { castingId, work } = this;
    let first: number | undefined;
    let before = after;
    let waits: Bare[] = [];
    for (const task of tasks) {
      if (!task.handsOn) {
        waits.push(task);
        continue;
      }
      const tipped = first !== undefined && this.isTippingOut(before[0], task);
      const made = work.add({ ...task, castingId, round: of.round, ...(tipped ? {} : { count: of.count }) });
      for (const from of before) work.lag(from, made, this.lag(from, waits, task, first !== undefined));
      if (before.length === 1 && waits.length > 0) {
        const sets = this.sets(waits[waits.length - 1]);
        work.waits.push({ from: before[0], to: made, steps: steps(waits), ...(sets ? { sets } : {}) });
      }
      this.bowls.use(castingId, task.meltIds ?? [], made);
      if (first !== undefined && m2 > 0)
        for (const place of new Set(waits.map((wait) => wait.place)))
          if (place === 'fridge' || place === 'freezer')
            work.shelfUses.push({ place, castingId, m2, from: before[0], to: made });
      first ??= made;
      before = [made];
      waits = [];
    }
    // What dries or sets at last has to be over as well.
    for (const wait of first === undefined ? [] : waits) {
      const made = work.add({ ...wait, castingId, round: of.round });
      work.lag(before[0], made, { least: 0, most: 0 });
      before = [made];
    }
    return [first, before[0] ?? -1];
  }

  /** Whether a coat that stood full in the cold is tipped out. */
  private isTippingOut(from: number, next: Bare): boolean {
    const laid = this.work.tasks[from];
    return next.kind === 'coat' && laid.kind === 'coat' && next.coat === laid.coat;
  }

  /** What sets in a wait's last stretch, where that is its stay in its place and no other's. */
  private sets({ part = 0, coat, place, seconds }: Bare): Wait['sets'] {
    const chill = coat === undefined ? undefined : this.parts[part].chill.coats[coat];
    if (coat === undefined || !chill || chill.longestFor !== undefined) return undefined;
    const { chosen, stay, until } = chill;
    return place === chosen.place && seconds === stay.value && Number.isFinite(chosen[until].value)
      ? { coat, until, readyS: chosen[until].value }
      : undefined;
  }

  /** How long it waits at least, and at most where it must not wait longer. */
  private lag(from: number, waits: readonly Bare[], next: Bare, inLine: boolean): Pick<Lag, 'least' | 'most'> {
    const least = Math.ceil(waits.reduce((sum, { seconds }) => sum + seconds, 0));
    if (!inLine) return { least };
    const laid = this.work.tasks[from];
    const wait = waits[waits.length - 1];
    if (!wait) return laid.kind === 'coat' ? { least, most: AT_ONCE_S } : { least };
    if (this.isTippingOut(from, next)) return { least, most: Math.floor(least * (1 + TIMED_SHARE)) };
    const chill = wait.coat === undefined ? undefined : this.parts[wait.part ?? 0].chill.coats[wait.coat];
    if (!chill || !Number.isFinite(chill.chosen.latest.value)) return { least };
    return { least, most: least + Math.floor(Math.max(AT_ONCE_S, chill.chosen.latest.value - chill.stay.value)) };
  }
}

/** A wait is told by where it is and how long. */
const steps = (waits: readonly Bare[]): Wait['steps'] =>
  waits.map(({ kind, place, seconds }) => ({ kind, ...(place ? { place } : {}), seconds }));
