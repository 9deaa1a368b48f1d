import { searchWays, type AimGoal, type FoundWay } from '../core/plan/aim-search';
import type { PlanDraft } from '../core/plan/draft';
import { make, type Making } from '../core/plan/making';
import { remedyEffects, type RemedyEffects } from '../core/plan/remedy-effect';
import { shellInputOf } from '../core/plan/simulate';
import { compareWays, type Comparison, type Way } from '../core/plan/ways';
import { weighedShell, type WeighedOutcome } from '../core/plan/weighed-shell';
import { workOut, workOutRange, type Worked } from '../core/plan/worked';
import type { Casting } from '../core/record/casting';
import { recordShell, type ShellFrame } from '../core/shell/recording';
import type { Simulated } from '../core/shell/simulated';

/** What the plan worker does, one thing at a time. */
export interface PlanWork {
  /** The shell as planned and its chill; some tens of milliseconds. */
  work(making: Making, from: Simulated | undefined): Worked;
  /** The same with the likely range from fifteen runs; undefined where it was stopped. */
  range(making: Making, simulated: Simulated): Promise<Worked | undefined>;
  /** Stops a range that is under way: something newer waits. */
  stop(): void;
  /** What each note's remedy would change. */
  effects(casting: Casting): RemedyEffects;
  /** The casting made two ways. */
  compare(casting: Casting, ways: readonly [Way, Way]): Comparison;
  /** Ways that reach a goal, telling the share that is done; undefined where it was stopped. */
  search(casting: Casting, goal: AimGoal, progress: (share: number) => void): Promise<readonly FoundWay[] | undefined>;
  stopSearch(): void;
  /** What the weight of a finished shell says. */
  weigh(casting: Casting, plan: Pick<PlanDraft, 'coatsMade'>, shellKg: number): WeighedOutcome;
  /** Pictures of the shell in the making. */
  record(making: Making, simulated: Simulated | undefined): ShellFrame[];
}

/** The worker's work, apart from the worker, so that it can be tried without one. */
export function planWork(): PlanWork {
  let run = 0;
  let search = 0;
  return {
    work: (making, from) => workOut(making, from),
    async range(making, simulated) {
      const mine = ++run;
      const steps = workOutRange(making, simulated);
      for (;;) {
        const { done, value } = steps.next();
        if (done) return value;
        // A turn for messages between two runs.
        await new Promise((resolve) => setTimeout(resolve));
        if (mine !== run) return undefined;
      }
    },
    stop: () => void run++,
    async search(casting, goal, progress) {
      const mine = ++search;
      const steps = searchWays(casting, goal);
      for (;;) {
        const { done, value } = steps.next();
        if (done) return value;
        progress(value);
        await new Promise((resolve) => setTimeout(resolve));
        if (mine !== search) return undefined;
      }
    },
    stopSearch: () => void search++,
    effects: (casting) => remedyEffects(casting),
    compare: (casting, ways) => compareWays(casting, ways),
    weigh: (casting, plan, shellKg) => weighedShell(casting, plan, shellKg),
    record: (making, simulated) => recordShell(shellInputOf(making, make(making, simulated))),
  };
}
