import { Injectable, Injector, computed, effect, inject, signal, untracked } from '@angular/core';
import { takeUntilDestroyed, toObservable } from '@angular/core/rxjs-interop';
import { EMPTY, fromEvent, merge, startWith, switchMap, timer } from 'rxjs';
import { CastingStore } from './casting-store';
import { Occasions } from './occasions';
import { Timetables } from './timetables';

/** Occasions are read when the first view stands: before that they would only take the processor from it. */
const OCCASIONS_AFTER_MS = 1000;
/** When nobody has touched anything for so long, a timetable that is not known yet is looked for. */
const LOOKED_FOR_AFTER_MS = 5000;
const TOUCHED = ['pointerdown', 'pointermove', 'keydown', 'wheel', 'scroll'];

/** The open casting in its occasion: when it is worked on among the others, where that has been found and nothing has changed since. */
@Injectable({ providedIn: 'root' })
export class InOccasion {
  private readonly store = inject(CastingStore);
  private readonly injector = inject(Injector);
  private readonly occasions = signal<Occasions | undefined>(undefined);
  private readonly timetables = signal<Timetables | undefined>(undefined);
  private readonly id = computed(() => this.store.current()?.id ?? '');
  /** The occasion it belongs to. */
  readonly occasion = computed(() => this.occasions()?.of(this.id()));
  private readonly occasionId = computed(() => this.occasion()?.id);
  /** What is done for it, by its time. */
  readonly tasks = computed(() => this.timetables()?.tasksOf(this.id()) ?? []);
  /** From the first to the last of it, s since 1970 UTC. */
  readonly part = computed(() => this.timetables()?.partOf(this.id()));
  /** Where it is not known when that is. */
  private readonly unknown = computed(() =>
    this.timetables() && this.timetables()?.tasksOf(this.id()) === undefined ? this.occasion() : undefined,
  );

  constructor() {
    timer(OCCASIONS_AFTER_MS)
      .pipe(takeUntilDestroyed())
      .subscribe(() => {
        this.occasions.set(this.injector.get(Occasions));
        this.timetables.set(this.injector.get(Timetables));
      });
    // What was found when the occasion was looked at before need not be looked for again.
    effect(() => {
      const [timetables, occasionId] = [this.timetables(), this.occasionId()];
      const occasion = untracked(() => this.occasion());
      if (timetables && occasion && occasionId) void untracked(() => timetables.recall(occasion));
    });
    const touched = merge(...TOUCHED.map((event) => fromEvent(document, event, { passive: true, capture: true })));
    toObservable(this.unknown)
      .pipe(
        switchMap((occasion) =>
          occasion
            ? touched.pipe(
                startWith(undefined),
                // Touched again, it is broken off.
                switchMap(() =>
                  timer(LOOKED_FOR_AFTER_MS).pipe(switchMap(() => this.timetables()?.behind(occasion) ?? EMPTY)),
                ),
              )
            : EMPTY,
        ),
        takeUntilDestroyed(),
      )
      .subscribe();
  }
}
