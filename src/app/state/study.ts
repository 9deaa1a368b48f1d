import { DestroyRef, Injectable, inject } from '@angular/core';
import type { FittedJob, NotFitted } from '../../core/occasion/fitted-job';
import type { AimGoal, FoundWay } from '../../core/study/aim-search';
import { makingOf } from '../../core/plan/making';
import type { Comparison, Way } from '../../core/study/ways';
import type { WeighedOutcome } from '../../core/study/weighed-shell';
import type { ShellFrame } from '../../core/shell/recording';
import { StudyClient } from '../../workers/study-client';
import { PlanService } from './plan-service';
import { START_STUDY_WORKER } from './study-worker';

/** What is asked about the open part of a casting beside its plan. Every question is answered by undefined where the worker does not answer. */
@Injectable({ providedIn: 'root' })
export class Study {
  private readonly plans = inject(PlanService);
  private readonly client = new StudyClient(inject(START_STUDY_WORKER));

  constructor() {
    inject(DestroyRef).onDestroy(() => this.client.close());
  }

  /** Pictures of its shell in the making. */
  async record(): Promise<readonly ShellFrame[] | undefined> {
    const draft = this.plans.draft();
    return draft && this.client.record(makingOf(draft.casting, draft.part), this.plans.simulated());
  }

  /** The same casting made two ways. */
  async compare(ways: readonly [Way, Way]): Promise<Comparison | undefined> {
    const draft = this.plans.draft();
    return draft && this.client.compare(draft.casting, ways, draft.part.id);
  }

  /** What the weight of one finished shell says. */
  async weigh(shellKg: number): Promise<WeighedOutcome | undefined> {
    const draft = this.plans.draft();
    return draft && this.client.weigh(draft.casting, { part: draft.part, coatsMade: draft.coatsMade }, shellKg);
  }

  /** The casting's rounds fitted into each other's waits. */
  async fitted(): Promise<FittedJob | NotFitted | undefined> {
    const draft = this.plans.draft();
    return draft && this.client.fitted(draft.casting);
  }

  /** Ways of making it that reach a goal; undefined where the search was stopped too. */
  async search(goal: AimGoal, progress: (share: number) => void): Promise<readonly FoundWay[] | undefined> {
    const draft = this.plans.draft();
    return draft && this.client.search(draft.casting, goal, draft.part.id, progress);
  }

  stopSearch(): void {
    this.client.stopSearch();
  }
}
