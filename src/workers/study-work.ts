import { releaseProxy, type ProxyMethods } from 'comlink';
import { fittedJob, type FittedJob } from '../core/occasion/fitted-job';
import { searchWays, type AimGoal, type FoundWay } from '../core/study/aim-search';
import { make, type Making } from '../core/plan/making';
import { shellInputOf } from '../core/plan/simulate';
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
  /** Its rounds fitted into each other's waits; undefined where they cannot be. */
  fitted(casting: Casting): FittedJob | undefined;
  /** Pictures of the shell in the making. */
  record(making: Making, simulated: Simulated | undefined): ShellFrame[];
}

/** The worker's work, apart from the worker, so that it can be tried without one. */
export function studyWork(): StudyWork {
  let search = 0;
  return {
    compare: (casting, ways, partId) => compareWays(casting, ways, partId),
    async search(casting, goal, partId, progress) {
      const mine = ++search;
      const steps = searchWays(casting, goal, partId);
      try {
        for (;;) {
          const { done, value } = steps.next();
          if (done) return value;
          progress(value);
          // A turn for messages between two ways.
          await new Promise((resolve) => setTimeout(resolve));
          if (mine !== search) return undefined;
        }
      } finally {
        // Told through a channel of its own, which is closed with the search.
        (progress as Partial<ProxyMethods>)[releaseProxy]?.();
      }
    },
    stopSearch: () => void search++,
    weigh: (casting, plan, shellKg) => weighedShell(casting, plan, shellKg),
    fitted: (casting) => fittedJob(casting),
    record: (making, simulated) => recordShell(shellInputOf(making, make(making, simulated))),
  };
}
