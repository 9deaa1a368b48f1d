import { COCOA_BUTTER_COLOUR } from '../matter/cocoa-butter';
import type { PrepAnswer } from '../prep/prep';
import { ownSecondsOf, placeOf } from '../record/sets';
import { placeC, type PlaceKitchen } from '../shell/place-air';
import type { CastingPlan, Problem } from './plan-types';

/** What is painted into the mold of the part that a plan is seen from, and wants attention. */
export function paintProblems({ preps, casting }: Omit<CastingPlan, 'problems'>): Problem[] {
  return preps.flatMap((prep) => paintProblem(prep, casting.kitchen).slice(0, 1));
}

/** Painted by themselves, details go to the fridge: where it is very cold they crack. Common practice, no source. */
function paintProblem({ step, sets, restS, stay }: PrepAnswer, kitchen: PlaceKitchen): Problem[] {
  const { name, id: stepId } = step;
  const about = { station: 'mold' as const };
  const found: Problem[] = [];
  if (!sets) return found;
  if (step.sets.some(({ place }) => place === 'freezer'))
    found.push({ ...about, key: 'paintCracks', values: { name }, remedy: { key: 'paintToFridge', stepId } });
  const place = placeOf(step);
  if (sets.value === Infinity)
    found.push({
      ...about,
      key: 'paintNeverSets',
      values: { name, place },
      ...(place === 'fridge' ? {} : { remedy: { key: 'paintToFridge', stepId } }),
    });
  const rests = restS > 0;
  const needed = Math.max(restS, sets.value);
  if (ownSecondsOf(step) !== undefined && stay.value < needed)
    found.push({
      ...about,
      key: 'paintRests',
      values: { name, own: stay.value, needed, rests: rests ? 1 : 0 },
      remedy: { key: 'computedPaint', stepId },
    });
  const restsC = placeC(kitchen, place);
  const { restFromC, restToC } = COCOA_BUTTER_COLOUR;
  if (rests && (restsC < restFromC || restsC > restToC))
    found.push({ ...about, key: 'paintWarm', values: { name, restsC, restFromC, restToC } });
  return found;
}
