import type { CastingPlan } from '../plan/plan-types';
import type { Occasion } from '../record/occasion';
import type { Starts, Stay } from '../schedule/workload';
import type { Bowl } from './bowls';
import type { Asked } from './occasion-begun';
import { Work, type PlainWork } from './work';

/** A timetable that was searched for to the end, as it can be written down and gone on from at another time. */
export interface SavedTimetable {
  readonly work: PlainWork;
  readonly bowls: readonly Bowl[];
  /** The stay of each task, and between which moments it lies, s, where that is said. */
  readonly stayOf: readonly (number | undefined)[];
  readonly within: readonly (readonly [number, Stay])[];
  /** Told backward, as the search has them. */
  readonly starts: Starts;
  readonly leastS: number;
}

/** What was found for an occasion, with what is held in it. */
interface Kept {
  readonly holds: string;
  readonly asked: Asked;
  /** Told backward, as the search has them. */
  readonly starts: Starts;
  readonly leastS: number;
  /** Searched for to the end. */
  readonly ended: boolean;
}

/** So many are kept: what is taken back is as it was. */
const MOST_KEPT = 20;

/**
 * The timetables that were found for the same work, what is held in it apart. One with something held at another time goes on from the last and stays
 * like it; one with the same held as before is the same again.
 */
export class KeptTimetable {
  private key = '';
  private plans: readonly CastingPlan[] = [];
  private found: readonly Kept[] = [];
  private told: Kept | undefined;

  keep(occasion: Occasion, plans: readonly CastingPlan[], found: Pick<Kept, 'asked' | 'starts' | 'leastS'>): void {
    if (!this.isOf(occasion, plans)) this.found = [];
    this.key = keyOf(occasion);
    this.plans = plans;
    this.told = { ...found, holds: holdsOf(occasion), ended: false };
  }

  /** What was told is good to go on from; what was broken off before that is not, and the one before it stays. @param ended it was searched for to the end */
  settle(ended: boolean): void {
    const { told } = this;
    if (!told) return;
    const others = this.found.filter(({ holds }) => holds !== told.holds);
    this.found = [{ ...told, ended }, ...others].slice(0, MOST_KEPT);
  }

  /** The last that was found for an occasion, whatever is held in it. */
  lastOf(occasion: Occasion, plans: readonly CastingPlan[]): Kept | undefined {
    return this.isOf(occasion, plans) ? this.found.at(0) : undefined;
  }

  /** What was found in the end with the same held. */
  sameOf(occasion: Occasion, plans: readonly CastingPlan[]): Kept | undefined {
    const holds = holdsOf(occasion);
    return this.isOf(occasion, plans) ? this.found.find((one) => one.ended && one.holds === holds) : undefined;
  }

  /** The last that was searched for to the end. */
  saved(): SavedTimetable | undefined {
    const last = this.found.find(({ ended }) => ended);
    if (!last) return undefined;
    const { asked, starts, leastS } = last;
    const { tasks, moldUses, shelfUses, lags, waits, earliest } = asked.made.work;
    return {
      work: { tasks, moldUses, shelfUses, lags, waits, earliest },
      bowls: asked.made.bowls,
      stayOf: tasks.map((_, i) => asked.stayOf?.(i)),
      within: [...(asked.within ?? [])],
      starts,
      leastS,
    };
  }

  /** Goes on from what was saved for just this occasion; nothing where there is something of it already. */
  restore(occasion: Occasion, plans: readonly CastingPlan[], saved: SavedTimetable): void {
    if (this.lastOf(occasion, plans)) return;
    const { work, bowls, stayOf, within, starts, leastS } = saved;
    const asked = { made: { work: Work.of(work), bowls }, stayOf: (i: number) => stayOf[i], within: new Map(within) };
    this.keep(occasion, plans, { asked, starts, leastS });
    this.settle(true);
  }

  private isOf(occasion: Occasion, plans: readonly CastingPlan[]): boolean {
    const same = this.key === keyOf(occasion) && this.plans.length === plans.length;
    return same && plans.every((plan, i) => plan === this.plans[i]);
  }
}

const holdsOf = ({ holds }: Occasion): string => JSON.stringify(holds);
const keyOf = (occasion: Occasion): string => JSON.stringify({ ...occasion, holds: [], name: '', createdAt: '' });
