import { Observable, Subject, startWith } from 'rxjs';
import type { Mark } from '../core/run/mark';
import { SteadyClock } from '../core/run/run-clock';
import { runState } from '../core/run/run-state';
import type { MarkRepository, StoredMarks } from '../data/mark-repository';
import { RunLog } from '../data/run-log';
import { madeRun } from './made-run';

/** The run that is gone through. */
export const run = madeRun();

/** The browser's store, without a disk: it can be full, and the answer to a writing can be lost, with what was written or without. */
export class Store implements Pick<MarkRepository, 'append' | 'watch'> {
  readonly rows: Mark[] = [];
  full = false;
  private readonly heard = new Subject<void>();

  append(_: string, marks: readonly Mark[]): Promise<number> {
    if (this.full) return Promise.reject(new Error('full'));
    this.rows.push(...marks.map((mark) => structuredClone(mark)));
    const last = this.rows.length;
    this.heard.next();
    return Promise.resolve(last);
  }

  watch(_: string, after: () => number): Observable<StoredMarks> {
    return new Observable((heard) =>
      this.heard.pipe(startWith(undefined)).subscribe(() => {
        const from = after();
        const marks = this.rows.slice(from);
        heard.next({ marks, places: marks.map((__, i) => from + 1 + i), last: this.rows.length, unreadable: 0 });
      }),
    );
  }
}

/** A tab with the run open in it. */
export class Tab {
  readonly log: RunLog;
  /** What was noted in it. */
  readonly noted: string[] = [];
  readonly clock: SteadyClock;
  private readonly listening;

  constructor(store: Pick<MarkRepository, 'append' | 'watch'>, time: Time) {
    this.log = new RunLog(run.id, store);
    this.listening = this.log.watch().subscribe();
    const { aheadS } = runState(this.log.marks);
    this.clock = new SteadyClock(time.wallMs, time.countMs, aheadS, this.log.marks.at(-1)?.atS);
  }

  close(): void {
    this.listening.unsubscribe();
  }
}

/** The true time, and what the computer's clocks say of it. */
export interface Time {
  trueS: number;
  wallMs: number;
  countMs: number;
}
