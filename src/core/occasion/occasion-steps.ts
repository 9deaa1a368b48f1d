import type { Casting } from '../record/casting';
import type { Occasion } from '../record/occasion';
import type { CastingPlan } from '../plan/plan-types';
import type { Steps } from './occasion-answer';
import { KeptTimetable, type SavedTimetable } from './kept-timetable';
import { helpOf } from './occasion-help';
import { Search } from './occasion-search';
import { occasionWork, type Together } from './occasion-work';
import { staysOf } from './stays';

/** What stands no longer than this is made between other work, s. */
const MADE_BETWEEN_S = 900;

/**
 * Finds an occasion's timetable: ready in time, within the stays, with the fewest minutes in which somebody has to be there, and that as late as
 * may be; one bowl for what is alike, or, where that cannot be, one for each melt. A generator, so that a worker can tell how far it is and be stopped.
 * @param castings those of the occasion that there are, in its order
 * @param planned plans a casting; the same plan for the same casting
 * @param kept what was told last: where nothing but what is held has changed, it is gone on from
 * @param saved what was found for just this before, by another worker
 */
export function* occasionSteps(
  occasion: Occasion,
  castings: readonly Casting[],
  planned: (casting: Casting) => CastingPlan,
  kept = new KeptTimetable(),
  saved?: SavedTimetable,
): Steps {
  const found = yield* foundSteps(occasion, castings, planned, kept, saved);
  if (!found.ok) return found;
  kept.settle(true);
  const saves = kept.saved();
  return saves ? { ...found, saves } : found;
}

function* foundSteps(
  occasion: Occasion,
  castings: readonly Casting[],
  planned: (casting: Casting) => CastingPlan,
  kept: KeptTimetable,
  saved: SavedTimetable | undefined,
): Steps {
  const plans: CastingPlan[] = [];
  for (const [i, casting] of castings.entries()) {
    yield { share: (0.3 * i) / castings.length };
    plans.push(planned(casting));
  }
  if (saved) kept.restore(occasion, plans, saved);
  const { stays } = staysOf(occasion);
  if (occasion.stays.length > 0 && stays.length === 0) return { ok: false, why: { key: 'noStay' } };
  // Where nobody has said when they are there, what has to stand for long is made before.
  const makingS = stays.length > 0 ? Infinity : MADE_BETWEEN_S;
  const { inTurn, sets, fromLeft } = occasion;
  const together: Together = { melting: inTurn ? 'inTurn' : 'shared', makingS, sets, fromLeft };
  const search = new Search(occasion, plans, stays, together, kept);
  const moved = yield* search.moved();
  if (moved) return moved;
  const made = occasionWork(plans, together);
  if ('key' in made) return { ok: false, why: made };
  const found = yield* search.steps(made);
  if (found.ok || !('help' in found.why)) return found;
  // It is a matter of time: bowls that are melted anew in a later stay, or one for each casting, may do.
  const other = stays.length > 1 ? yield* search.meltedAnew() : yield* search.apart(made);
  return other ?? { ok: false, why: { ...found.why, help: helpOf(made, occasion, plans, together, planned) } };
}
