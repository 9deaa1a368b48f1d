import { releaseProxy, type ProxyMethods } from 'comlink';
import { fit, type Fitted } from '../core/occasion/fit';
import { fittedPlan, withMoreMoldsS } from '../core/occasion/fitted-job';
import { KeptTimetable, type SavedTimetable } from '../core/occasion/kept-timetable';
import type { OccasionAnswer, OccasionProgress } from '../core/occasion/occasion-answer';
import { occasionSteps } from '../core/occasion/occasion-steps';
import type { CastingPlan } from '../core/plan/plan-types';
import type { Occasion } from '../core/record/occasion';
import { simulatedPlan } from '../core/plan/simulated-plan';
import { searchWays, type AimGoal, type FoundWay } from '../core/study/aim-search';
import { make, type Making } from '../core/plan/making';
import { shellInputOf } from '../core/plan/simulate';
import type { Workload } from '../core/schedule/workload';
import { compareWays, type Comparison, type Way } from '../core/study/ways';
import { weighedShell, type WeighedOutcome } from '../core/study/weighed-shell';
import type { Casting } from '../core/record/casting';
import { recordShell, type ShellFrame } from '../core/shell/recording';
import type { Simulated } from '../core/shell/simulated';
import type { PartDraft } from '../core/plan/plan-types';

/** What is asked about one part of a casting beside its plan: now and then, and each for itself. */
export interface StudyWork {
  /** The casting made two ways. */
  compare(casting: Casting, ways: readonly [Way, Way], partId: string): Comparison;
  /** Ways that reach a goal, telling the share that is done; undefined where it was stopped. */
  search(
    casting: Casting,
    goal: AimGoal,
    partId: string,
    progress: (share: number) => void,
  ): Promise<readonly FoundWay[] | undefined>;
  stopSearch(): void;
  /** What the weight of a finished shell says. */
  weigh(casting: Casting, plan: Pick<PartDraft, 'part' | 'coatsMade'>, shellKg: number): WeighedOutcome;
  /** A workload's timetable, undefined in it where there is none. */
  fit(workload: Workload): { readonly fitted: Fitted | undefined };
  /** What a casting takes with one more of each mold, s; undefined where it is not fitted. */
  withMoreMoldsS(casting: Casting): number | undefined;
  /** An occasion's timetable, telling how far the search is and what it has found; undefined where it was stopped. @param saved what was found for just this before */
  occasion(
    occasion: Occasion,
    castings: readonly Casting[],
    progress: (now: OccasionProgress) => void,
    saved?: SavedTimetable,
  ): Promise<OccasionAnswer | undefined>;
  stopOccasion(): void;
  /** Pictures of the shell in the making. */
  record(making: Making, simulated: Simulated | undefined): ShellFrame[];
}

/** The worker's work, apart from the worker, so that it can be tried without one. */
export function studyWork(): StudyWork {
  let search = 0;
  let timetable = 0;
  const planned = plansKept();
  const kept = new KeptTimetable();
  return {
    compare: (casting, ways, partId) => compareWays(casting, ways, partId),
    async search(casting, goal, partId, progress) {
      const mine = ++search;
      return stepped(searchWays(casting, goal, partId), progress, () => mine === search);
    },
    stopSearch: () => void search++,
    async occasion(occasion, castings, progress, saved) {
      const mine = ++timetable;
      return stepped(occasionSteps(occasion, castings, planned, kept, saved), progress, () => mine === timetable);
    },
    stopOccasion: () => void timetable++,
    weigh: (casting, plan, shellKg) => weighedShell(casting, plan, shellKg),
    fit: (workload) => ({ fitted: fit(workload) }),
    withMoreMoldsS: (casting) => withMoreMoldsS(casting),
    record: (making, simulated) => recordShell(shellInputOf(making, make(making, simulated))),
  };
}

/** Goes through the steps of a search, with a turn for messages after each. @returns undefined where it is not wanted any more */
async function stepped<P, T>(
  steps: Generator<P, T>,
  progress: (now: P) => void,
  wanted: () => boolean,
): Promise<T | undefined> {
  try {
    for (;;) {
      const { done, value } = steps.next();
      if (done) return value;
      progress(value);
      await new Promise((resolve) => setTimeout(resolve));
      if (!wanted()) return undefined;
    }
  } finally {
    // Told through a channel of its own, which is closed with the search.
    (progress as Partial<ProxyMethods>)[releaseProxy]?.();
  }
}

/** As many plans are kept as an occasion has castings: it is asked again with every stay that is changed. */
const PLANS_KEPT = 60;

function plansKept(): (casting: Casting) => CastingPlan {
  const kept = new Map<string, CastingPlan>();
  return (casting) => {
    const key = JSON.stringify(casting);
    const plan = kept.get(key) ?? fittedPlan(simulatedPlan(casting));
    kept.delete(key);
    kept.set(key, plan);
    if (kept.size > PLANS_KEPT) kept.delete(kept.keys().next().value as string);
    return plan;
  };
}
