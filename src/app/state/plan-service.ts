import { DestroyRef, Injectable, computed, effect, inject, signal } from '@angular/core';
import { takeUntilDestroyed, toObservable, toSignal } from '@angular/core/rxjs-interop';
import { map, switchMap, timer } from 'rxjs';
import { chillNominal, type ChillResult } from '../../core/chill/chill';
import { draftPlan } from '../../core/plan/draft';
import { finishPlan, type CastingPlan } from '../../core/plan/plan';
import { remedyEffect, type RemedyEffect } from '../../core/plan/remedy-effect';
import { ChillClient } from '../../workers/chill-client';
import { CastingStore } from './casting-store';

/** Where the chill's figures on screen come from. */
export type ChillSource = 'worker' | 'last' | 'first';

interface Answered {
  readonly castingId: string;
  readonly key: string;
  readonly result: ChillResult;
}

const EFFECTS_AFTER_MS = 150;

/**
 * The plan of the open casting: closed forms at once, the chill from the worker as soon as it is in.
 * Until then the last answer of the same casting stands, marked; the first time, the nominal run without ranges.
 */
@Injectable({ providedIn: 'root' })
export class PlanService {
  private readonly store = inject(CastingStore);
  private readonly client = new ChillClient(() => new Worker(new URL('../../workers/chill.worker', import.meta.url), { type: 'module' }));
  private readonly answered = signal<Answered | undefined>(undefined);

  private readonly draft = computed(() => {
    const casting = this.store.current();
    return casting && draftPlan(casting);
  });
  private readonly key = computed(() => JSON.stringify(this.draft()?.chillInput));

  readonly workerState = toSignal(this.client.state, { requireSync: true });
  readonly chillSource = computed<ChillSource>(() => {
    const answered = this.answered();
    if (answered?.key === this.key()) return 'worker';
    const draft = this.draft();
    const fits = answered?.castingId === draft?.casting.id && answered?.result.coats.length === draft?.coatsMade.length;
    return fits ? 'last' : 'first';
  });
  readonly plan = computed<CastingPlan | undefined>(() => {
    const draft = this.draft();
    if (!draft) return undefined;
    const answered = this.chillSource() === 'first' ? undefined : this.answered();
    return finishPlan(draft, answered?.result ?? chillNominal(draft.chillInput));
  });

  /** What each note's remedy would change, a moment after the plan has come to rest. */
  readonly effects = toSignal(
    toObservable(this.plan).pipe(
      switchMap((plan) => timer(EFFECTS_AFTER_MS).pipe(map(() => plan))),
      map((plan) => new Map<string, RemedyEffect>((plan?.problems ?? []).flatMap((p) => (plan && p.remedy ? [[p.key, remedyEffect(plan, p.remedy)] as const] : [])))),
    ),
    { initialValue: new Map<string, RemedyEffect>() },
  );

  constructor() {
    effect(() => {
      const draft = this.draft();
      if (draft) this.client.request(this.key(), draft.chillInput);
    });
    this.client.answers.pipe(takeUntilDestroyed(inject(DestroyRef))).subscribe(({ key, result }) => {
      const draft = this.draft();
      if (draft && key === this.key()) this.answered.set({ castingId: draft.casting.id, key, result });
    });
  }

  retryWorker(): void {
    this.client.retry();
  }
}
