import type { JobOrder } from '../batch/job-order';
import { planInOrder } from '../plan/plan';
import type { CastingPlan } from '../plan/plan-types';
import { simulatedPlan } from '../plan/simulated-plan';
import type { Casting } from '../record/casting';
import { fit, type Fitted } from './fit';
import { jobWorkload, whyNotFitted, type JobWorkload } from './job-workload';

/** Why a casting's rounds are not fitted: it never ends, they are more than anybody keeps a list of, or no order of them was found. */
export type NotFitted = 'endless' | 'tooMany' | 'notFound';

/** A casting's work in the order that fits its rounds into each other's waits, or why it is not fitted. Some hundredths to tenths of a second. */
export function orderOf(plan: CastingPlan): JobOrder | NotFitted {
  const job = jobWorkload(plan);
  if (!job) return whyNotFitted(plan) ?? 'tooMany';
  return orderFrom(job, fit(job.workload));
}

/** The order that was found for a job's workload. */
export function orderFrom(
  { stretches }: Pick<JobWorkload, 'stretches'>,
  fitted: Fitted | undefined,
): JobOrder | NotFitted {
  if (!fitted) return 'notFound';
  const { starts, endS, leastS } = fitted;
  return {
    stretches: stretches
      .map((stretch, i) => ({ ...stretch, startSeconds: starts[i] }))
      .sort((a, b) => a.startSeconds - b.startSeconds),
    endS,
    leastS,
  };
}

/** A plan in the order that is found for it; as it is, where none is. */
export function fittedPlan(plan: CastingPlan): CastingPlan {
  const order = orderOf(plan);
  return typeof order === 'string' ? plan : planInOrder(plan, order);
}

/** What a casting takes with one more of each mold, s; undefined where it is not fitted. */
export function withMoreMoldsS(casting: Casting): number | undefined {
  const more = { ...casting, molds: casting.molds.map((mold) => ({ ...mold, atHand: mold.atHand + 1 })) };
  const order = orderOf(simulatedPlan(more));
  return typeof order === 'string' ? undefined : order.endS;
}
