import { Injectable, computed, inject, signal } from '@angular/core';
import { takeUntilDestroyed } from '@angular/core/rxjs-interop';
import { retry } from 'rxjs';
import type { RunReadings } from '../../core/learn/run-readings';
import type { Outcome } from '../../core/run/outcome';
import type { Run } from '../../core/run/run-record';
import { OutcomeRepository } from '../../data/outcome-repository';
import { Journal } from './journal';
import { Runs } from './runs';

/** A read that breaks, as when site data are cleared, is taken up again so often. */
const READS_AGAIN = { count: 3, delay: 1000 } as const;

/** Keeps what runs have come to. */
@Injectable({ providedIn: 'root' })
export class OutcomeStorage extends OutcomeRepository {
  constructor() {
    super();
    // Runs that a page had still to save when it went away are saved by whoever reads the runs next; else nothing here needs them all.
    if (new Journal<Run>('runs', '').read().keys.length > 0) inject(Runs);
  }
}

/** The log: what all runs that are finished have come to, the latest first; it hears of every tab. */
@Injectable({ providedIn: 'root' })
export class Logbook {
  private readonly all = signal<readonly Outcome[]>([]);
  /** What each run has to teach, by its id. */
  readonly readings = signal<ReadonlyMap<string, RunReadings>>(new Map());
  /** So many runs have still to be looked through; undefined before the first answer. */
  readonly missing = signal<number | undefined>(undefined);
  /** The browser keeps nothing that could be read. */
  readonly refused = signal(false);
  readonly finished = computed(() =>
    this.all()
      .filter(({ endedS }) => endedS !== undefined)
      .sort((a, b) => b.beganS - a.beganS),
  );

  constructor() {
    inject(OutcomeStorage)
      .watch()
      .pipe(retry(READS_AGAIN), takeUntilDestroyed())
      .subscribe({
        next: ({ outcomes, readings, missing }) => {
          this.all.set(outcomes);
          this.readings.set(readings);
          this.missing.set(missing);
        },
        error: () => this.refused.set(true),
      });
  }
}
