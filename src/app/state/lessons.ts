import { Injectable, computed, inject } from '@angular/core';
import { toObservable, toSignal } from '@angular/core/rxjs-interop';
import { catchError, filter, firstValueFrom, map, merge, of, switchMap, timer } from 'rxjs';
import { learnedOf, rememberedOf, type Taught } from '../../core/learn/lessons';
import type { RunReadings } from '../../core/learn/run-readings';
import type { Learned, LessonKey } from '../../core/record/kitchen';
import { taughtIn } from '../../workers/lessons-client';
import { Kitchens } from './kitchens';
import { START_LESSONS_WORKER } from './lessons-worker';
import { Logbook } from './logbook';

/** Runs that come in one after another, as from a file, are learned from together, ms. */
const TOGETHER_MS = 50;

/** A run with what it has to teach. */
export interface TeachingRun {
  readonly id: string;
  readonly name: string;
  readonly beganS: number;
  readonly zone: string;
  readonly readings: RunReadings;
}

/** Nobody who begins a casting waits for lessons for longer, ms. */
const LONGEST_MS = 5000;

const NOTHING = { taught: [], failed: false } as const;

/** What the runs have taught: worked out anew in a worker with every run that is finished, switched off and forgotten by the kitchen's own choice. */
@Injectable({ providedIn: 'root' })
export class Lessons {
  private readonly log = inject(Logbook);
  private readonly kitchens = inject(Kitchens);
  private readonly start = inject(START_LESSONS_WORKER);

  private readonly choices = computed(() => this.kitchens.kitchen().lessons);
  readonly off = computed<ReadonlySet<LessonKey>>(() => new Set(this.choices()?.off));
  /** Runs that teach something, the latest first, without what was forgotten of them. */
  readonly runs = computed((): readonly TeachingRun[] => {
    const readings = this.log.readings();
    const fromS = this.choices()?.fromS ?? {};
    return this.log.finished().flatMap(({ id, name, beganS, zone }) => {
      const own = readings.get(id);
      const left = own && rememberedOf(own, beganS, fromS);
      return left && left.sets.length + left.hands.length > 0 ? [{ id, name, beganS, zone, readings: left }] : [];
    });
  });
  private readonly asked = computed(() => ({ runs: this.runs(), off: this.off() }));
  private readonly worked = toSignal(
    toObservable(this.asked).pipe(
      switchMap((asked) => timer(TOGETHER_MS).pipe(map(() => asked))),
      switchMap((asked) =>
        asked.runs.length === 0
          ? of({ asked, ...NOTHING })
          : taughtIn(
              this.start,
              asked.runs.map(({ readings }) => readings),
              asked.off,
            ).pipe(
              map((taught) => ({ asked, taught, failed: false })),
              catchError(() => of({ asked, taught: [], failed: true })),
            ),
      ),
    ),
  );

  readonly taught = computed((): readonly Taught[] => this.worked()?.taught ?? []);
  readonly failed = computed(() => this.worked()?.failed === true);
  /** All runs have been looked through, and what is told is what they teach. */
  readonly known = computed(
    () =>
      this.log.refused() ||
      (this.log.missing() === 0 &&
        this.kitchens.loaded() &&
        (this.runs().length === 0 || this.worked()?.asked === this.asked())),
  );
  /** What a new casting's kitchen takes of it. */
  readonly learned = computed(() => learnedOf(this.taught()));

  private readonly knownLater = toObservable(this.known);

  /** The same, once all runs have been looked through; as far as it is known, where that takes too long. */
  async learnedByAll(): Promise<Learned | undefined> {
    await firstValueFrom(merge(this.knownLater.pipe(filter(Boolean)), timer(LONGEST_MS)));
    return this.learned();
  }

  /** Whether new plans go by it. */
  use(key: LessonKey, on: boolean): void {
    this.kitchens.change(`lesson ${on ? 'used' : 'left aside'}`, (kitchen) => {
      const { off, fromS } = kitchen.lessons ?? { off: [], fromS: {} };
      kitchen.lessons = { off: on ? off.filter((one) => one !== key) : [...new Set([...off, key])], fromS };
    });
  }

  /** It is learned from later runs alone. */
  forget(key: LessonKey): void {
    // Runs that came in a file may be of another clock: those that there are, are forgotten.
    const nowS = Math.max(Date.now() / 1000, ...this.runs().map(({ beganS }) => beganS + 1));
    this.kitchens.change('lesson forgotten', (kitchen) => {
      const { off, fromS } = kitchen.lessons ?? { off: [], fromS: {} };
      kitchen.lessons = { off, fromS: { ...fromS, [key]: nowS } };
    });
  }
}
