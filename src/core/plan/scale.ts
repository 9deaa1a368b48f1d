import { isTempered } from '../record/school';
import { LIMITS } from '../record/limits';
import { LONG_JOB_S } from './problems';
import type { CastingPlan } from './plan-types';

/** What becomes different in kind, and not only more or less, when a casting is scaled or made otherwise. */
export type KindChange =
  | { readonly key: 'moreBowlfuls'; readonly name: string; readonly from: number; readonly to: number }
  | { readonly key: 'melts'; readonly from: number; readonly to: number }
  | { readonly key: 'rounds'; readonly from: number; readonly to: number; readonly moldsForAsMany: number | undefined }
  | { readonly key: 'anotherEvening'; readonly fromSeconds: number; readonly toSeconds: number }
  | { readonly key: 'oneEvening'; readonly fromSeconds: number; readonly toSeconds: number }
  | { readonly key: 'tempering'; readonly needed: boolean }
  | { readonly key: 'problem'; readonly problem: CastingPlan['problems'][number] };

/** Compares two plans of a casting, before and after it was scaled, for what changes in kind. */
export function changesInKind(before: CastingPlan, after: CastingPlan): KindChange[] {
  const changes: KindChange[] = [];
  const melts = [before, after].map((plan) => plan.melts.length);
  if (melts[0] !== melts[1]) changes.push({ key: 'melts', from: melts[0], to: melts[1] });
  for (const melt of after.melts) {
    const was = before.melts.find(({ input }) => input.meltId === melt.input.meltId)?.lots ?? 1;
    if (melt.lots > was) changes.push({ key: 'moreBowlfuls', name: melt.input.meltId, from: was, to: melt.lots });
  }
  const [fromRounds, toRounds] = [before, after].map((plan) => plan.batch.rounds.value);
  if (fromRounds !== toRounds)
    changes.push({
      key: 'rounds',
      from: fromRounds,
      to: toRounds,
      moldsForAsMany: toRounds > fromRounds ? moldsFor(after, fromRounds) : undefined,
    });
  const [fromSeconds, toSeconds] = [before, after].map((plan) => plan.batch.total.value);
  if (fromSeconds <= LONG_JOB_S && toSeconds > LONG_JOB_S)
    changes.push({ key: 'anotherEvening', fromSeconds, toSeconds });
  if (fromSeconds > LONG_JOB_S && toSeconds <= LONG_JOB_S) changes.push({ key: 'oneEvening', fromSeconds, toSeconds });
  const tempers = ({ melts: made }: CastingPlan): boolean =>
    made.some(({ input: { kind, school } }) => isTempered(kind, school));
  if (tempers(before) !== tempers(after)) changes.push({ key: 'tempering', needed: tempers(after) });
  const known = new Set(before.problems.map(({ key }) => key));
  for (const problem of after.problems)
    if (!known.has(problem.key) && problem.key !== 'longJob') changes.push({ key: 'problem', problem });
  return changes;
}

/** Molds at hand with which no part takes more rounds than before; undefined where so many cannot be. */
function moldsFor({ batch, parts }: CastingPlan, rounds: number): number | undefined {
  const molds = Math.max(
    ...batch.byPart.map(({ partId, parts: cast }) => {
      const cavities = parts.find(({ part }) => part.id === partId)?.cavities ?? 1;
      return Math.ceil(Math.ceil(cast.value / cavities) / rounds);
    }),
  );
  return molds <= LIMITS.moldsAtHand.high ? molds : undefined;
}
