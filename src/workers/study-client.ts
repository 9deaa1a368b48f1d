import { proxy, wrap, type Remote } from 'comlink';
import type { SavedTimetable } from '../core/occasion/kept-timetable';
import type { OccasionAnswer, OccasionProgress } from '../core/occasion/occasion-answer';
import type { Occasion } from '../core/record/occasion';
import type { Fitted } from '../core/occasion/fit';
import type { AimGoal, FoundWay } from '../core/study/aim-search';
import type { Making } from '../core/plan/making';
import type { Workload } from '../core/schedule/workload';
import type { Comparison, Way } from '../core/study/ways';
import type { WeighedOutcome } from '../core/study/weighed-shell';
import type { Casting } from '../core/record/casting';
import type { ShellFrame } from '../core/shell/recording';
import type { Simulated } from '../core/shell/simulated';
import type { StudyWork } from './study-work';
import type { PartDraft } from '../core/plan/plan-types';

/**
 * Asks a worker of its own, started with the first question, so that a long one does not hold up the plan. What it does not
 * answer, because it cannot start or fails, comes back as undefined, and the next question starts it anew.
 */
export class StudyClient {
  private worker: Worker | undefined;
  private remote: Remote<StudyWork> | undefined;
  /** Resolved when the worker at hand is lost: whatever was asked of it then has no answer. */
  private lost: Promise<undefined> | undefined;
  private lose: () => void = () => undefined;

  /** @param start makes a new worker; called again after a failure */
  constructor(private readonly start: () => Worker) {}

  /** The casting with one of its parts made two ways. */
  compare(casting: Casting, ways: readonly [Way, Way], partId: string): Promise<Comparison | undefined> {
    return this.ask((remote) => remote.compare(casting, ways, partId));
  }

  /** Ways that reach a goal, telling the share that is done; undefined where it was stopped too. */
  search(
    casting: Casting,
    goal: AimGoal,
    partId: string,
    progress: (share: number) => void,
  ): Promise<readonly FoundWay[] | undefined> {
    return this.told(progress, (heard) => this.ask((remote) => remote.search(casting, goal, partId, proxy(heard))));
  }

  stopSearch(): void {
    void this.remote?.stopSearch().catch(() => undefined);
  }

  /** What the weight of a finished shell says. */
  weigh(
    casting: Casting,
    plan: Pick<PartDraft, 'part' | 'coatsMade'>,
    shellKg: number,
  ): Promise<WeighedOutcome | undefined> {
    return this.ask<WeighedOutcome>(async (remote) => remote.weigh(casting, plan, shellKg));
  }

  /** A workload's timetable, undefined in it where there is none. */
  fit(workload: Workload): Promise<{ readonly fitted: Fitted | undefined } | undefined> {
    return this.ask<{ readonly fitted: Fitted | undefined }>(async (remote) => remote.fit(workload));
  }

  /** What a casting takes with one more of each mold, s; undefined where it is not fitted. */
  withMoreMoldsS(casting: Casting): Promise<number | undefined> {
    return this.ask<number | undefined>(async (remote) => remote.withMoreMoldsS(casting));
  }

  /** An occasion's timetable, telling how far the search is and what it has found; undefined where it was stopped too. @param saved what was found for just this before */
  occasion(
    occasion: Occasion,
    castings: readonly Casting[],
    progress: (now: OccasionProgress) => void,
    saved?: SavedTimetable,
  ): Promise<OccasionAnswer | undefined> {
    return this.told(progress, (heard) =>
      this.ask<OccasionAnswer | undefined>(async (remote) => remote.occasion(occasion, castings, proxy(heard), saved)),
    );
  }

  stopOccasion(): void {
    void this.remote?.stopOccasion().catch(() => undefined);
  }

  /** Pictures of the shell in the making. */
  record(making: Making, simulated: Simulated | undefined): Promise<readonly ShellFrame[] | undefined> {
    return this.ask((remote) => remote.record(making, simulated));
  }

  /** Ends the worker for good. */
  close(): void {
    this.worker?.terminate();
    this.worker = undefined;
    this.remote = undefined;
    this.lose();
  }

  /** Progress comes by a channel of its own, and so may come after the answer: then it is not heard any more. */
  private async told<P, T>(progress: (now: P) => void, question: (heard: (now: P) => void) => Promise<T>): Promise<T> {
    let answered = false;
    try {
      return await question((now) => {
        if (!answered) progress(now);
      });
    } finally {
      answered = true;
    }
  }

  private async ask<T>(question: (remote: Remote<StudyWork>) => Promise<T>): Promise<T | undefined> {
    try {
      return await Promise.race([question(this.connected()), this.lost]);
    } catch (error) {
      // Said where a developer looks; the page says what the user can do.
      console.error(error);
      this.close();
      return undefined;
    }
  }

  private connected(): Remote<StudyWork> {
    if (this.remote) return this.remote;
    this.worker = this.start();
    this.worker.addEventListener('error', (event) => {
      event.preventDefault();
      this.close();
    });
    this.lost = new Promise((resolve) => (this.lose = () => resolve(undefined)));
    this.remote = wrap<StudyWork>(this.worker);
    return this.remote;
  }
}
