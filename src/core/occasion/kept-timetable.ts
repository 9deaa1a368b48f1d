import type { CastingPlan } from '../plan/plan-types';
import type { Occasion } from '../record/occasion';
import type { Starts } from '../schedule/workload';
import type { Begun } from './occasion-rounds';

/** What was found for an occasion, with what is held in it. */
interface Kept {
  readonly holds: string;
  readonly begun: Begun;
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

  keep(occasion: Occasion, plans: readonly CastingPlan[], found: Pick<Kept, 'begun' | 'starts' | 'leastS'>): void {
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

  private isOf(occasion: Occasion, plans: readonly CastingPlan[]): boolean {
    const same = this.key === keyOf(occasion) && this.plans.length === plans.length;
    return same && plans.every((plan, i) => plan === this.plans[i]);
  }
}

const holdsOf = ({ holds }: Occasion): string => JSON.stringify(holds);
const keyOf = (occasion: Occasion): string => JSON.stringify({ ...occasion, holds: [], name: '', createdAt: '' });
