import { DestroyRef, Injectable, computed, effect, inject, linkedSignal, signal, untracked } from '@angular/core';
import { takeUntilDestroyed, toObservable, toSignal } from '@angular/core/rxjs-interop';
import { EMPTY, map, switchMap, timer } from 'rxjs';
import type { ChillResult } from '../../core/chill/chill';
import { draftPlan, seenFrom } from '../../core/plan/draft';
import type { Making } from '../../core/plan/making';
import { chillsOf, makingsOf } from '../../core/plan/makings';
import { finishPlan } from '../../core/plan/plan';
import type { RemedyEffects } from '../../core/study/remedy-effect';
import type { Worked } from '../../core/plan/worked';
import type { Casting } from '../../core/record/casting';
import type { Simulated } from '../../core/shell/simulated';
import { PlanClient, type PlanAnswered } from '../../workers/plan-client';
import { CastingStore } from './casting-store';
import { OpenPart } from './open-part';
import { Orders } from './orders';
import { START_PLAN_WORKER } from './plan-worker';
import { Turns } from './turns';
import { applyRemedy } from '../../core/edit/remedy';
import type { CastingPlan, PlanDraft, Problem } from '../../core/plan/plan-types';

/** Where the figures on screen come from. */
export type ChillSource = 'worker' | 'last' | 'first';

/** A draft with the chill it is finished with; undefined: whatever there is by then. */
interface Standing {
  readonly draft: PlanDraft;
  readonly result: readonly ChillResult[] | undefined;
}

/** What a draft comes from. */
interface DraftSource {
  readonly casting: Casting | undefined;
  readonly answered: Answered | undefined;
  readonly simulated: readonly Simulated[] | undefined;
}

interface Answered extends Standing {
  readonly key: string;
  readonly result: readonly ChillResult[];
}

/** The worker starts when the first view stands: before that it would only take the processor from it. */
const WORKER_AFTER_MS = 700;
const EFFECTS_AFTER_MS = 150;
/** Longest that batch and chill wait for the worker before they follow a change with the chill at hand. */
const PATIENCE_MS = 80;
/** While something is dragged, batch and chill follow the worker no more often than this; what is drawn follows every answer. */
const FOLLOWS_MS = 100;

/**
 * The plan of the open casting, seen from the open part. Mold, coat and fill follow a change at once (`draft`): by the closed form, corrected by the newest
 * simulation of coats made alike. Chill and batch follow together, with the worker's answer, or without it when it takes longer than a
 * moment: then the last chill of the same casting stands, marked, and the first time the nominal run without ranges. During a
 * drag the worker answers for states that have passed already; each is shown whole, so that chill and batch always belong together.
 */
@Injectable({ providedIn: 'root' })
export class PlanService {
  private readonly store = inject(CastingStore);
  private readonly turns = inject(Turns);
  private readonly openPart = inject(OpenPart);
  private readonly orders = inject(Orders);
  private readonly client = new PlanClient(inject(START_PLAN_WORKER));
  private readonly answered = signal<Answered | undefined>(undefined);
  private readonly shown = signal<Standing | undefined>(undefined);
  private readonly mayAsk = toSignal(timer(WORKER_AFTER_MS).pipe(map(() => true)), { initialValue: false });
  private readonly asked = new WeakMap<readonly Making[], Casting>();
  private followedAt = -Infinity;

  private readonly newest = signal<readonly Worked[] | undefined>(undefined);
  /** The newest simulation's corrections, one for each making, which hold for whatever is made alike; undefined before the first answer. */
  readonly allSimulated = computed(() => this.newest()?.map(({ simulated }) => simulated));
  /** That of the open part. */
  readonly simulated = computed(
    () => this.allSimulated()?.[this.store.current()?.parts.findIndex(({ id }) => id === this.openPart.id()) ?? 0],
  );

  private readonly whole = linkedSignal<DraftSource, PlanDraft | undefined>({
    source: () => ({ casting: this.store.current(), answered: this.answered(), simulated: this.allSimulated() }),
    computation: ({ casting, answered, simulated }, before) =>
      answered?.draft.casting === casting
        ? answered?.draft
        : casting && draftPlan(casting, simulated, undefined, before?.value),
  });
  /** Mold, coat and fill of the open part: what does not wait for the chill, and is not drawn again for it. */
  readonly draft = computed<PlanDraft | undefined>(() => this.seen(this.whole()));
  private readonly makings = computed(() => {
    const casting = this.store.current();
    return casting && makingsOf(casting).makings;
  });
  private readonly key = computed(() => JSON.stringify(this.makings()));
  readonly workerState = toSignal(this.client.state, { requireSync: true });

  private readonly standing = computed<Standing | undefined>(
    () => {
      const draft = this.whole();
      const answered = this.answered();
      const shown = this.shown();
      if (!draft) return undefined;
      if (answered?.key === this.key()) return { draft, result: answered.result };
      if (this.workerState() === 'failed' || shown?.draft.casting.id !== draft.casting.id)
        return { draft, result: undefined };
      return shown;
    },
    { equal: (a, b) => a?.draft === b?.draft && a?.result === b?.result },
  );
  private readonly lastResult = computed(() => {
    const standing = this.standing();
    const answered = this.answered();
    const fits =
      answered?.draft.casting.id === standing?.draft.casting.id &&
      standing !== undefined &&
      sameCoats(answered?.result, standing.draft);
    return standing?.result ?? (fits ? answered?.result : undefined);
  });

  readonly chillSource = computed<ChillSource>(() =>
    this.answered()?.key === this.key() ? 'worker' : this.lastResult() ? 'last' : 'first',
  );
  private readonly inTurn = computed<CastingPlan | undefined>(() => {
    const draft = this.standing()?.draft;
    return draft && finishPlan(draft, this.lastResult() ?? chillsOf(draft));
  });
  private readonly atRest = computed(() => (this.chillSource() === 'worker' ? this.store.current() : undefined));
  private readonly wholePlan = this.orders.ordering(
    this.inTurn,
    computed(() => (this.atRest() ? this.inTurn() : undefined)),
  );
  /** Every answer, its rounds in each other's waits, seen from the open part. */
  readonly plan = computed<CastingPlan | undefined>(() => this.seen(this.wholePlan()));
  /** Why its rounds are in no order that was found. */
  readonly notFitted = computed(() => {
    const plan = this.inTurn();
    return plan && this.orders.whyNone(plan);
  });

  /** What the plan has been waiting on since it last changed; undefined where it is up to date. */
  private readonly waitingSince = computed(() => (this.standing()?.draft === this.whole() ? undefined : this.shown()));

  /** What each note's remedy would change, a moment after the plan has come to rest. */
  readonly effects = toSignal(
    toObservable(this.atRest).pipe(
      switchMap((casting) =>
        casting ? timer(EFFECTS_AFTER_MS).pipe(switchMap(() => this.client.effects(casting))) : EMPTY,
      ),
    ),
    { initialValue: new Map() as RemedyEffects },
  );

  constructor() {
    inject(DestroyRef).onDestroy(() => this.client.close());
    effect(() => {
      const makings = this.makings();
      if (!makings || !this.mayAsk() || untracked(this.answered)?.key === this.key()) return;
      const casting = untracked(this.store.current);
      if (!casting) return;
      this.asked.set(makings, casting);
      this.client.request(this.key(), makings, untracked(this.newest));
    });
    this.client.answers.pipe(takeUntilDestroyed()).subscribe((answer) => {
      // What is drawn follows at once, and what is more work to show with its turn.
      this.newest.set(answer.worked);
      this.turns.next(() => this.take(answer));
    });
    toObservable(this.waitingSince)
      .pipe(
        switchMap((since) => (since ? timer(PATIENCE_MS) : EMPTY)),
        takeUntilDestroyed(),
      )
      .subscribe(() => {
        const draft = this.whole();
        if (draft) this.shown.set({ draft, result: undefined });
      });
  }

  /** Changes the casting as a note of its plan advises. */
  adopt({ remedy, partId }: Problem): void {
    const plan = this.plan();
    if (plan && remedy)
      this.store.edit('advice taken', (casting) =>
        applyRemedy(casting, remedy, seenFrom(plan, partId ?? plan.part.id)),
      );
  }

  /** The draft of the newest simulation, once for each. */
  readonly simulatedDraft = computed(() => this.answered()?.draft);

  /** The fine computation does not run for what is on screen, and will not by itself. */
  readonly estimated = computed(() => this.workerState() === 'failed' && this.chillSource() !== 'worker');

  retryWorker(): void {
    this.client.retry();
  }

  private take({ key, makings, worked }: PlanAnswered): void {
    const asked = this.asked.get(makings);
    // An answer to something older must not push out the one to what is on screen.
    if (!asked || (key !== this.key() && this.answered()?.key === this.key())) return;
    // What has changed since without being asked about, such as the pieces, is taken as it is now.
    const now = this.store.current();
    const casting = now && key === this.key() ? now : asked;
    // What is on screen by the closed form may be of now already; and a drag need not be followed by every answer.
    const late =
      key !== this.key() &&
      (this.shown()?.draft.casting === this.store.current() || performance.now() - this.followedAt < FOLLOWS_MS);
    if (late) return;
    this.followedAt = performance.now();
    const draft = draftPlan(
      casting,
      worked.map(({ simulated }) => simulated),
      undefined,
      this.whole(),
    );
    const result = worked.map(({ chill }) => chill);
    this.answered.set({ draft, key, result });
    this.shown.set({ draft, result });
  }

  private seen<P extends PlanDraft>(plan: P | undefined): P | undefined {
    return plan && (plan.part.id === this.openPart.id() ? plan : seenFrom(plan, this.openPart.id()));
  }
}

/** Whether chills are of as many makings and coats as a draft. */
function sameCoats(chills: readonly ChillResult[] | undefined, draft: PlanDraft): boolean {
  return [draft, ...draft.variants.map((variant) => variant.draft)].every(({ parts }) =>
    parts.every(({ makingAt, coatsMade }) => chills?.[makingAt]?.coats.length === coatsMade.length),
  );
}
