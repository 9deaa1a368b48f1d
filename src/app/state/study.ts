import { Injectable, inject } from '@angular/core';
import type { AimGoal, FoundWay } from '../../core/study/aim-search';
import { makingOf } from '../../core/plan/making';
import type { Comparison, Way } from '../../core/study/ways';
import type { WeighedOutcome } from '../../core/study/weighed-shell';
import type { ShellFrame } from '../../core/shell/recording';
import { PlanService } from './plan-service';
import { StudyAccess } from './study-access';

/** What is asked about the open part of a casting beside its plan. Every question is answered by undefined where the worker does not answer. */
@Injectable({ providedIn: 'root' })
export class Study {
  private readonly plans = inject(PlanService);
  private readonly client = inject(StudyAccess).client;

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

  /** What the whole job takes with one more of each mold, s; undefined where its rounds are not fitted into each other's waits. */
  async withMoreMoldsS(): Promise<number | undefined> {
    const draft = this.plans.draft();
    return draft && this.client.withMoreMoldsS(draft.casting);
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
