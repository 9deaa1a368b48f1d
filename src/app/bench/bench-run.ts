import { ApplicationRef, DestroyRef, Injectable, computed, effect, inject, signal, untracked } from '@angular/core';
import { takeUntilDestroyed, toObservable } from '@angular/core/rxjs-interop';
import { EMPTY, catchError, switchMap } from 'rxjs';
import { atHand } from '../../core/run/at-hand';
import { follow } from '../../core/run/following';
import type { Mark, NewMark } from '../../core/run/mark';
import { SteadyClock, rehearsedS } from '../../core/run/run-clock';
import { asPlanned } from '../../core/run/outcome';
import { runState } from '../../core/run/run-state';
import type { Run } from '../../core/run/run-record';
import { RunLog } from '../../data/run-log';
import { newId } from '../state/new-id';
import { MarkStorage } from '../state/run-storage';
import { Runs } from '../state/runs';
import { Lead } from './lead';
import { TICKS } from './ticks';

/** So much that passed unseen is worth a word, s: less is a page that was held up. */
const SLEPT_S = 90;

/** The run that is open: its marks, its clock, and all that follows from them. A mark is in the database before it is shown. */
@Injectable()
export class BenchRun {
  private readonly app = inject(ApplicationRef);
  private readonly runs = inject(Runs);
  private readonly stored = inject(MarkStorage);
  readonly lead = inject(Lead);
  readonly id = signal('');
  readonly run = computed<Run | undefined>(() => this.runs.byId().get(this.id()));
  readonly marks = signal<readonly Mark[]>([]);
  readonly loaded = signal(false);
  /** Marks that the browser would not take: they are in this tab alone. */
  readonly unsaved = signal<readonly Mark[]>([]);
  readonly unreadable = signal(0);
  /** The computer’s clock was set back by so much, or is ahead of what passed, s; 0 once it has been answered. */
  readonly jumpS = signal(0);
  private log = new RunLog('', this.stored);
  private clock = new SteadyClock(Date.now(), performance.now());

  readonly nowS = signal(Date.now() / 1000);
  readonly state = computed(() => runState(this.marks()));
  readonly followed = computed(() => {
    const run = this.run();
    return run && follow(run, this.state(), this.nowS());
  });
  readonly atHand = computed(() => {
    const [run, followed] = [this.run(), this.followed()];
    return run && followed && atHand(run, this.state(), followed, this.nowS());
  });
  /** When each task was to end, as it stood when the run was begun; and when all was to be ready, s since 1970 UTC. */
  readonly asBegun = computed(() => {
    const run = this.run();
    return run && asPlanned(run);
  });
  readonly isOver = computed(() => this.state().endedS !== undefined);

  constructor() {
    const destroyed = inject(DestroyRef);
    inject(TICKS)
      .pipe(takeUntilDestroyed(destroyed))
      .subscribe(() => {
        this.tick();
        // What follows from the time, the calls as well, waits for a timer of the page: where nobody looks at it, the browser holds that back for up to a minute.
        if (document.hidden) this.app.tick();
      });
    // Its clock is that of the run: nothing is read before that is there.
    toObservable(computed(() => this.run()?.id))
      .pipe(
        switchMap((id) => {
          if (!id) return EMPTY;
          this.lead.ask(id);
          this.open(id);
          return this.log.watch().pipe(
            catchError(() => {
              this.opened();
              return EMPTY;
            }),
          );
        }),
        takeUntilDestroyed(destroyed),
      )
      .subscribe(() => this.opened());
    // Another tab that leads may have set the run's clock.
    effect(() => {
      const { aheadS } = this.state();
      if (untracked(() => this.lead.leads())) return;
      this.clock.aheadS = aheadS;
    });
  }

  /** Notes something, now; it is shown once it is stored, or where it cannot be stored. Gives its name. */
  async note(mark: NewMark): Promise<string> {
    const id = newId();
    await this.log.note({ ...mark, id, atS: this.look() } as Mark);
    return id;
  }

  /** Takes the last mark back that was made by hand. */
  takeBack(): void {
    const { last } = this.state();
    if (last) void this.note({ kind: 'takenBack', mark: last.id });
  }

  /** The clock had been put forward: no time had passed. */
  clockWasPutForward(): void {
    this.clock.putBack(this.jumpS());
    this.jumpS.set(0);
    void this.note({ kind: 'clock', aheadS: this.clock.aheadS });
    this.tick();
  }

  private open(run: string): void {
    const log = new RunLog(run, this.stored, () => {
      if (log !== this.log) return;
      this.marks.set(log.marks);
      this.unsaved.set(log.unsaved);
      this.unreadable.set(log.unreadable);
    });
    this.log = log;
    this.marks.set([]);
    this.loaded.set(false);
  }

  private opened(): void {
    if (this.loaded()) return;
    const [state, known] = [this.state(), this.marks().at(-1)?.atS];
    const rehearsal = this.run()?.rehearsal !== undefined;
    this.clock = new SteadyClock(Date.now(), performance.now(), state.aheadS, rehearsal ? undefined : known);
    // A clock that had been put back may be right by now: then so much has passed by it alone, and whoever is there can say so.
    const mayBeRight = known !== undefined && Date.now() / 1000 >= known;
    if (!rehearsal && state.aheadS > SLEPT_S && mayBeRight) this.jumpS.set(state.aheadS);
    this.loaded.set(true);
    this.tick();
  }

  private tick(): void {
    // What is shown is told by the second.
    this.nowS.set(Math.floor(this.look()));
  }

  /** The run's own time, s since 1970 UTC. A clock that was set is noticed, and noted. */
  private look(): number {
    const { nowS, jumpS } = this.clock.read(Date.now(), performance.now());
    if (jumpS !== 0 && this.loaded() && this.lead.leads()) {
      if (jumpS < 0 || jumpS > SLEPT_S) this.jumpS.set(jumpS);
      if (jumpS < 0) void this.note({ kind: 'clock', aheadS: this.clock.aheadS });
    }
    const run = untracked(() => this.run());
    if (!run?.rehearsal) return nowS;
    return rehearsedS(Date.parse(run.createdAt) / 1000, run.tasks[0].startS, run.rehearsal, nowS);
  }
}
