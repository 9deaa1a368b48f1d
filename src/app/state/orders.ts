import { Injectable, computed, inject, signal, type Signal } from '@angular/core';
import { takeUntilDestroyed, toObservable } from '@angular/core/rxjs-interop';
import { EMPTY, map, switchMap, timer } from 'rxjs';
import { waitsLeft, type JobOrder } from '../../core/batch/job-order';
import { orderFrom, type NotFitted } from '../../core/occasion/fitted-job';
import { jobWorkload, whyNotFitted } from '../../core/occasion/job-workload';
import { planAboutInOrder, planInOrder } from '../../core/plan/plan';
import type { CastingPlan } from '../../core/plan/plan-types';
import { StudyAccess } from './study-access';

/** The order that was found for a plan, or why there is none. */
interface Found {
  readonly plan: CastingPlan;
  /** All that the order depends on, as text. */
  readonly key: string;
  readonly order: JobOrder | NotFitted;
}

/** So many castings' orders are kept. */
const MOST_KEPT = 20;
/** What is dragged or typed is not put in order meanwhile, ms: everything that is told of minutes would be drawn anew between two steps of it. */
const FOUND_AFTER_MS = 250;

/** The orders in which castings' rounds lie in each other's waits: the one engine for one casting and for an occasion. */
@Injectable({ providedIn: 'root' })
export class Orders {
  private readonly client = inject(StudyAccess).client;
  /** The last that was found for each casting, by its id. */
  private readonly found = signal<ReadonlyMap<string, Found>>(new Map());
  /** The last plan of each casting that the worker was asked about. */
  private readonly asked = new Map<string, CastingPlan>();

  /**
   * Plans in their order, which is found for each that has stood for a moment; until then about as long as they are likely to be, by the order that
   * was last found for the same casting. Called where something can be injected.
   * @param plan one round after the other
   * @param asked those that the order is found for
   */
  ordering(plan: Signal<CastingPlan | undefined>, asked = plan): Signal<CastingPlan | undefined> {
    toObservable(asked)
      .pipe(
        switchMap((one) => (one ? timer(FOUND_AFTER_MS).pipe(map(() => one)) : EMPTY)),
        takeUntilDestroyed(),
      )
      .subscribe((one) => void this.find(one));
    return computed(() => {
      const one = plan();
      return one && this.ordered(one);
    });
  }

  private ordered(plan: CastingPlan): CastingPlan {
    const found = this.found().get(plan.casting.id);
    if (!found || typeof found.order === 'string') return plan;
    return isSameJob(found.plan, plan)
      ? planInOrder(plan, found.order)
      : planAboutInOrder(plan, waitsLeft(found.plan.batch, found.order));
  }

  /** Why a plan has no order; undefined where it has one, or where that is not known yet. */
  whyNone(plan: CastingPlan): NotFitted | undefined {
    const found = this.found().get(plan.casting.id);
    return found && typeof found.order === 'string' && found.plan.casting === plan.casting ? found.order : undefined;
  }

  private async find(plan: CastingPlan): Promise<void> {
    const job = jobWorkload(plan);
    this.asked.delete(plan.casting.id);
    if (!job) return this.keep({ plan, key: '', order: whyNotFitted(plan) ?? 'tooMany' });
    const key = JSON.stringify(job);
    const before = this.found().get(plan.casting.id);
    if (before?.key === key) {
      if (!isSameJob(before.plan, plan) || before.plan.casting !== plan.casting) this.keep({ ...before, plan });
      return;
    }
    this.asked.set(plan.casting.id, plan);
    const answer = await this.client.fit(job.workload);
    // Without an answer it stays one round after the other; what has been asked since is answered by itself.
    if (answer && this.asked.get(plan.casting.id) === plan)
      this.keep({ plan, key, order: orderFrom(job, answer.fitted) });
  }

  private keep(found: Found): void {
    this.found.update((all) => {
      const kept = [...all].filter(([id]) => id !== found.plan.casting.id).slice(1 - MOST_KEPT);
      return new Map([...kept, [found.plan.casting.id, found]]);
    });
  }
}

/** Whether the same is done in both, and takes as long: what chocolate it is of, and when it is due, makes no other order. */
function isSameJob(a: CastingPlan, b: CastingPlan): boolean {
  if (a === b || a.batch.timeline === b.batch.timeline) return true;
  const [one, other] = [a.batch.timeline.wholeJob, b.batch.timeline.wholeJob];
  return (
    one.length === other.length &&
    a.batch.rounds.value === b.batch.rounds.value &&
    one.every(({ kind, seconds, part, round }, i) => {
      const as = other[i];
      return kind === as.kind && seconds === as.seconds && part === as.part && round === as.round;
    })
  );
}
