import { dueSeconds } from '../record/due';
import type { Casting } from '../record/casting';
import type { Occasion } from '../record/occasion';
import type { CastingPlan } from '../plan/plan-types';
import { Improver } from '../schedule/improve';
import { reversed } from '../schedule/reversed';
import type { Help } from './occasion-answer';
import { AT_MOST_S, SEED, TRIES } from './occasion-rounds';
import { occasionWork, type OccasionWork, type Together } from './occasion-work';
import { workloadOf } from './occasion-workload';

/** One more mold is worth telling of where it saves so much, s. */
const WORTH_S = 300;

/** What would help where there is no timetable: to have it at one stretch, and one more of the mold that is in use for longest. */
export function helpOf(
  made: OccasionWork,
  occasion: Occasion,
  plans: readonly CastingPlan[],
  together: Together,
  planned: (casting: Casting) => CastingPlan,
): Help {
  const takesS = takes(made, occasion);
  if (takesS === undefined) return {};
  const stretch = { takesS, startS: dueSeconds(occasion.due) - takesS };
  const more = withOneMore(made, plans, planned);
  const withIt = occasionWork(more.plans, together);
  const moreS = 'key' in withIt ? undefined : takes(withIt, occasion);
  return moreS !== undefined && moreS < takesS - WORTH_S
    ? { stretch, mold: { name: more.name, takesS: moreS } }
    : { stretch };
}

/** What it takes at a stretch, whenever that is, s. */
function takes(made: OccasionWork, occasion: Occasion): number | undefined {
  const improver = new Improver(reversed(workloadOf(occasion, made), AT_MOST_S), SEED);
  return improver.first(TRIES) === 'found' ? improver.best?.endS : undefined;
}

/** The plans with one more of the mold that is in use for longest, and what that is called. */
function withOneMore(
  { work }: OccasionWork,
  plans: readonly CastingPlan[],
  planned: (casting: Casting) => CastingPlan,
): { readonly name: string; readonly plans: readonly CastingPlan[] } {
  const used = new Map<string, number>();
  for (const { moldId, from, to } of work.moldUses)
    used.set(moldId, (used.get(moldId) ?? 0) + work.earliest[to] - work.earliest[from]);
  const [moldId] = [...used].sort((a, b) => b[1] - a[1]).at(0) ?? [];
  let name = '';
  const more = plans.map((plan) => {
    const mold = plan.casting.molds.find(({ id }) => id === moldId);
    if (!mold) return plan;
    ({ name } = mold);
    const molds = plan.casting.molds.map((one) => (one === mold ? { ...one, atHand: one.atHand + 1 } : one));
    return planned({ ...plan.casting, molds });
  });
  return { name, plans: more };
}
