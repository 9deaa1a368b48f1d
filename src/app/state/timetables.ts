import { DestroyRef, Injectable, computed, effect, inject, signal, untracked } from '@angular/core';
import { Observable } from 'rxjs';
import type { SavedTimetable } from '../../core/occasion/kept-timetable';
import type { OccasionPlan, PlannedTask } from '../../core/occasion/occasion-plan';
import type { NoTimetable, OccasionAnswer, OccasionProgress, Unfit } from '../../core/occasion/occasion-answer';
import type { Casting } from '../../core/record/casting';
import type { Stay } from '../../core/schedule/workload';
import type { Occasion, PackedSet } from '../../core/record/occasion';
import { StudyClient } from '../../workers/study-client';
import { FoundTimetableStorage } from './found-timetable-storage';
import { Occasions } from './occasions';
import { START_STUDY_WORKER } from './study-worker';

/** How it stands with an occasion's timetable. */
export interface Timetable {
  readonly occasionId: string;
  /** The best that was found; of the occasion as it was before, where it is `outdated`. */
  readonly plan?: OccasionPlan | undefined;
  readonly outdated: boolean;
  /** How far the search is, 0 to 1; undefined where there is none. */
  readonly share?: number | undefined;
  readonly why?: NoTimetable | undefined;
  /** What is held does not go with the rest as it was. */
  readonly unfit?: Unfit | undefined;
  /** The search did not answer, or was stopped before it had found any. */
  readonly failed?: true;
  readonly stopped?: true;
}

/** What the search is asked: all that a timetable depends on. */
interface Asked {
  readonly occasion: Occasion;
  readonly castings: readonly Casting[];
}

/** A timetable that was found, and what it was asked for. */
interface Known {
  readonly asked: Asked;
  readonly plan: OccasionPlan;
  readonly saves?: SavedTimetable | undefined;
}

/** A change is waited out for so long, ms: the next often follows it. */
const ASKS_AFTER_MS = 300;

/** The open occasion's timetable, searched anew when anything that it depends on changes. The last good one stays until there is a new one. */
@Injectable({ providedIn: 'root' })
export class Timetables {
  private readonly occasions = inject(Occasions);
  private readonly found = inject(FoundTimetableStorage);
  private readonly client = new StudyClient(inject(START_STUDY_WORKER));
  private readonly openId = signal<string | undefined>(undefined);
  private readonly asked = computed<Asked | undefined>(
    () => {
      const occasion = this.occasions.byId().get(this.openId() ?? '');
      return occasion && { occasion, castings: this.occasions.castingsOf(occasion) };
    },
    { equal: (a, b) => alike(a, b) },
  );
  private readonly state = signal<Timetable | undefined>(undefined);
  private asks = 0;
  private last: Asked | undefined;
  /** What was looked for behind, and has no timetable. */
  private inVain: Asked | undefined;
  /** The last timetable of each occasion that has been looked at, and what it was asked for. */
  private readonly known = signal<ReadonlyMap<string, Known>>(new Map());

  readonly timetable = computed(() => (this.state()?.occasionId === this.openId() ? this.state() : undefined));

  constructor() {
    inject(DestroyRef).onDestroy(() => this.client.close());
    effect((clean) => {
      const asked = this.asked();
      if (!asked) return;
      const before = untracked(this.state);
      const occasionId = asked.occasion.id;
      const plan = before?.occasionId === occasionId ? before.plan : undefined;
      const outdated = plan !== undefined;
      if (asked.castings.length === 0) {
        this.state.set({ occasionId, plan, outdated, why: { key: 'empty' } });
        return;
      }
      this.state.set({ occasionId, plan, outdated, share: 0 });
      // What is dragged to another time is worked out around at once.
      const atOnce = !plan || alike(this.last, asked, { holds: [] });
      this.last = asked;
      const later = setTimeout(() => void this.search(asked), atOnce ? 0 : ASKS_AFTER_MS);
      clean(() => {
        clearTimeout(later);
        this.asks++;
        this.client.stopOccasion();
      });
    });
  }

  /** What is done for a casting, by its time, where its occasion's timetable is known as it is now. */
  tasksOf(castingId: string): readonly PlannedTask[] | undefined {
    const occasion = this.occasions.of(castingId);
    const known = this.known().get(occasion?.id ?? '');
    if (!occasion || !known || !alike(known.asked, { occasion, castings: this.occasions.castingsOf(occasion) }))
      return undefined;
    return known.plan.tasks.filter((task) => task.castingId === castingId);
  }

  /** From the first to the last of that, s since 1970 UTC. */
  partOf(castingId: string): Stay | undefined {
    const own = this.tasksOf(castingId) ?? [];
    if (own.length === 0) return undefined;
    return { from: own[0].startS, to: Math.max(...own.map(({ startS, seconds }) => startS + seconds)) };
  }

  open(occasionId: string | undefined): void {
    this.openId.set(occasionId);
  }

  /** Keeps what has been found so far. */
  stop(): void {
    this.asks++;
    this.client.stopOccasion();
    this.state.update(
      (state) => state && { ...state, share: undefined, ...(state.plan && !state.outdated ? {} : { stopped: true }) },
    );
  }

  /** Looks once more, where it was stopped or did not answer. */
  again(): void {
    const asked = this.asked();
    if (!asked) return;
    this.state.update(
      (state) => state && { occasionId: state.occasionId, plan: state.plan, outdated: state.outdated, share: 0 },
    );
    void this.search(asked);
  }

  /** What was found of an occasion as it is: now, or else at another time that the program was open. */
  async recall(occasion: Occasion): Promise<Known | undefined> {
    const asked = { occasion, castings: this.occasions.castingsOf(occasion) };
    const known = this.known().get(occasion.id);
    if (known) return alike(known.asked, asked) ? known : undefined;
    const found = await this.found.of(occasion.id, written(asked));
    if (!found) return undefined;
    const recalled = { asked, plan: found.plan, saves: found.saves };
    this.known.update((all) => new Map(all).set(occasion.id, recalled));
    return recalled;
  }

  /** Looks for it behind, until it is unsubscribed from; nothing where an occasion is open, which has its own search. */
  behind(occasion: Occasion): Observable<never> {
    return new Observable(() => {
      if (this.openId() !== undefined) return undefined;
      const mine = ++this.asks;
      void this.lookBehind(occasion, mine);
      return () => {
        if (mine !== this.asks) return;
        this.asks++;
        this.client.stopOccasion();
      };
    });
  }

  private async lookBehind(occasion: Occasion, mine: number): Promise<void> {
    const asked = { occasion, castings: this.occasions.castingsOf(occasion) };
    if (alike(this.inVain, asked) || (await this.recall(occasion)) || mine !== this.asks) return;
    const answer = await this.client.occasion(occasion, asked.castings, () => undefined);
    if (mine !== this.asks || !answer) return;
    if (answer.ok) this.remember(asked, answer);
    else this.inVain = asked;
  }

  private remember(asked: Asked, { plan, saves }: OccasionAnswer & { readonly ok: true }): void {
    const { id } = asked.occasion;
    this.known.update((known) => new Map(known).set(id, { asked, plan, saves }));
    const ids = this.occasions.records().map((one) => one.id);
    void this.found.keep({ id, asked: written(asked), plan, saves }, ids);
  }

  private async search(asked: Asked): Promise<void> {
    const { occasion, castings } = asked;
    const mine = ++this.asks;
    const tell = ({ share, plan, unfit }: OccasionProgress): void => {
      if (mine !== this.asks) return;
      this.state.update(
        (state) =>
          state && {
            ...state,
            share,
            ...(unfit ? { unfit } : {}),
            ...(plan ? { plan, outdated: false, unfit: undefined } : {}),
          },
      );
    };
    const recalled = await this.recall(occasion);
    if (mine !== this.asks) return;
    if (recalled) tell({ share: 0, plan: recalled.plan });
    const answer = await this.client.occasion(occasion, castings, tell, recalled?.saves);
    if (mine !== this.asks) return;
    if (answer?.ok) this.remember(asked, answer);
    this.state.update((state) => {
      if (!state) return state;
      if (!answer) return { ...state, share: undefined, failed: true };
      return answer.ok
        ? { occasionId: state.occasionId, plan: answer.plan, outdated: false }
        : { ...state, share: undefined, why: answer.why };
    });
  }
}

const unnamed = ({ id, count, wrap, contents }: PackedSet) => [id, count, wrap, contents];

/** What it is called does not change its timetable. @param but what it may differ in besides */
function alike(a: Asked | undefined, b: Asked | undefined, but: Partial<Occasion> = {}): boolean {
  if (!a || !b) return a === b;
  if (a.castings.length !== b.castings.length || a.castings.some((casting, i) => casting !== b.castings[i]))
    return false;
  return ofOccasion({ ...a.occasion, ...but }) === ofOccasion({ ...b.occasion, ...but });
}

const ofOccasion = (occasion: Occasion): string =>
  JSON.stringify({ ...occasion, name: '', createdAt: '', sets: occasion.sets.map(unnamed) });

/** All that a timetable depends on, to be told from any other by its text. */
const written = ({ occasion, castings }: Asked): string => ofOccasion(occasion) + JSON.stringify(castings);
