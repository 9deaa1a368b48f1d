import { Injectable, computed, inject, signal } from '@angular/core';
import { takeUntilDestroyed, toObservable } from '@angular/core/rxjs-interop';
import { EMPTY, filter, interval, pairwise, switchMap } from 'rxjs';
import type { ShellFrame } from '../../../core/shell/recording';
import { PlanService } from '../../state/plan-service';
import { Study } from '../../state/study';
import type { PlanDraft } from '../../../core/plan/plan-types';

/** Pictures a second while it plays; with reduced motion one a second, so many further on. */
export const PICTURES_A_SECOND = 15;
const STILL_STEP = 20;

/** The film of the open casting's shell: its pictures, which of them is shown, and whether it plays. */
@Injectable({ providedIn: 'root' })
export class ShellFilm {
  private readonly plans = inject(PlanService);
  private readonly study = inject(Study);
  readonly frames = signal<readonly ShellFrame[]>([]);
  private readonly place = signal(0);
  readonly playing = signal(false);
  /** Asked for, and not there yet. */
  readonly waiting = signal(false);
  readonly failed = signal(false);
  /** What is filled from below has no film. */
  readonly solid = computed(() => this.plans.draft()?.coat.body !== undefined);
  readonly index = computed(() => Math.min(this.place(), this.frames().length - 1));
  /** The picture shown; none while it is of another casting or of a cavity with other points. */
  readonly frame = computed<ShellFrame | undefined>(() => {
    const frame: ShellFrame | undefined = this.frames()[this.index()];
    const draft = this.plans.draft();
    return frame &&
      draft &&
      filmOf(draft) === this.of &&
      !draft.coat.body &&
      draft.cavity.profile.arcM.length === frame.belowM.length
      ? frame
      : undefined;
  });
  private newest = 0;
  /** Whose film it is. */
  private of = '';

  constructor() {
    const still = typeof matchMedia === 'function' && matchMedia('(prefers-reduced-motion: reduce)').matches;
    toObservable(this.playing)
      .pipe(
        switchMap((playing) => (playing ? interval(still ? 1000 : 1000 / PICTURES_A_SECOND) : EMPTY)),
        takeUntilDestroyed(),
      )
      .subscribe(() => this.advance(still ? STILL_STEP : 1));
    // Another shell has another film: shown from the same place, or closed with its casting.
    toObservable(this.plans.simulatedDraft)
      .pipe(
        pairwise(),
        filter(() => this.frames().length > 0),
        takeUntilDestroyed(),
      )
      .subscribe(([before, now]) =>
        before && now && filmOf(before) === filmOf(now) && !now.coat.body ? void this.load() : this.close(),
      );
  }

  /** Takes the pictures and plays them from the beginning. */
  async open(): Promise<void> {
    this.place.set(0);
    await this.load();
    this.playing.set(this.frames().length > 0);
  }

  close(): void {
    this.newest++;
    this.playing.set(false);
    this.waiting.set(false);
    this.frames.set([]);
  }

  /** Shows one picture and stops there. */
  show(index: number): void {
    this.playing.set(false);
    this.place.set(Math.max(0, index));
  }

  /** Plays on, from the beginning where it had ended. */
  toggle(): void {
    if (!this.playing() && this.index() >= this.frames().length - 1) this.place.set(0);
    this.playing.update((playing) => !playing);
  }

  private async load(): Promise<void> {
    const mine = ++this.newest;
    this.waiting.set(true);
    this.failed.set(false);
    const draft = this.plans.draft();
    const of = draft ? filmOf(draft) : '';
    const frames = (await this.study.record()) ?? [];
    if (mine !== this.newest) return;
    this.waiting.set(false);
    this.failed.set(frames.length === 0);
    this.of = of;
    this.frames.set(frames);
  }

  private advance(by: number): void {
    // Stopped since the clock was last asked.
    if (!this.playing()) return;
    const next = this.index() + by;
    if (next >= this.frames().length - 1) this.playing.set(false);
    this.place.set(Math.min(next, this.frames().length - 1));
  }
}

/** What tells one part's film from another's. */
function filmOf({ casting, part }: PlanDraft): string {
  return `${casting.id} ${part.id}`;
}
