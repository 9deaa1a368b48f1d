import type { Bare } from '../batch/timeline';
import type { CastingPlan } from '../plan/plan-types';
import type { Casting } from '../record/casting';
import { simulatedPlan } from '../study/remedy-effect';
import { fit } from './fit';
import { jobWorkload, whyNotFitted } from './job-workload';

/** One thing to do, and when from the start, s. */
export interface FittedStretch extends Bare {
  readonly startSeconds: number;
}

/** A casting's work in the order that fits its rounds into each other's waits. */
export interface FittedJob {
  /** By their time. */
  readonly stretches: readonly FittedStretch[];
  /** What it takes in all, s: so, at the least with the rounds in their order, and one round after the other. */
  readonly endS: number;
  readonly leastS: number;
  readonly inTurnS: number;
  /** What it would take with one more of each mold, s; undefined where more would not help. */
  readonly withMoreS: number | undefined;
}

/** Why a casting's rounds are not fitted: it never ends, they are more than anybody keeps a list of, or no order of them was found. */
export type NotFitted = 'endless' | 'tooMany' | 'notFound';

/** Fits a casting's rounds into each other's waits, or says why not. Some tenths of a second, so for a worker. */
export function fittedJob(casting: Casting): FittedJob | NotFitted {
  const plan = simulatedPlan(casting);
  const job = jobWorkload(plan);
  if (!job) return whyNotFitted(plan) ?? 'tooMany';
  const fitted = fit(job.workload);
  if (!fitted) return 'notFound';
  const more = plan.batch.timeline.rounds > 1 ? endOf(simulatedPlan(withMore(casting))) : undefined;
  return {
    stretches: job.stretches
      .map((stretch, i): FittedStretch => ({ ...stretch, startSeconds: fitted.starts[i] }))
      .sort((a, b) => a.startSeconds - b.startSeconds),
    endS: fitted.endS,
    leastS: fitted.leastS,
    inTurnS: plan.batch.total.value,
    withMoreS: more !== undefined && more < fitted.endS ? more : undefined,
  };
}

function withMore(casting: Casting): Casting {
  return { ...casting, molds: casting.molds.map((mold) => ({ ...mold, atHand: mold.atHand + 1 })) };
}

function endOf(plan: CastingPlan): number | undefined {
  const job = jobWorkload(plan);
  return job && fit(job.workload)?.endS;
}
