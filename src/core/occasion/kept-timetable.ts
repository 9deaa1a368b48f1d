import type { CastingPlan } from '../plan/plan-types';
import type { Occasion } from '../record/occasion';
import type { Starts } from '../schedule/workload';
import type { Begun } from './occasion-rounds';

/** The timetable that was told last, so that one for the same work with something held at another time goes on from it and stays like it. */
export class KeptTimetable {
  private last:
    | { readonly key: string; readonly plans: readonly CastingPlan[]; readonly begun: Begun; readonly starts: Starts }
    | undefined;
  private settled = false;

  /** @param starts told backward, as the search has them @param settled it goes on from one that was searched for to the end */
  keep(occasion: Occasion, plans: readonly CastingPlan[], begun: Begun, starts: Starts, settled: boolean): void {
    this.last = { key: keyOf(occasion), plans, begun, starts };
    this.settled = settled;
  }

  /** The search came to its end: what was broken off is nothing to go on from. */
  settle(): void {
    this.settled = true;
  }

  /** What was found for an occasion, but for what is held in it. */
  of(
    occasion: Occasion,
    plans: readonly CastingPlan[],
  ): { readonly begun: Begun; readonly starts: Starts } | undefined {
    const { last } = this;
    const same = this.settled && last?.key === keyOf(occasion) && last.plans.length === plans.length;
    return same && plans.every((plan, i) => plan === last.plans[i]) ? last : undefined;
  }
}

const keyOf = (occasion: Occasion): string => JSON.stringify({ ...occasion, holds: [], name: '', createdAt: '' });
