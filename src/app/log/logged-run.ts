import {
  ChangeDetectionStrategy,
  Component,
  Injector,
  ViewEncapsulation,
  computed,
  inject,
  input,
} from '@angular/core';
import { toObservable, toSignal } from '@angular/core/rxjs-interop';
import { RouterLink } from '@angular/router';
import { NzButtonComponent } from 'ng-zorro-antd/button';
import { NzTableComponent, NzTbodyComponent, NzTheadComponent, NzTrDirective } from 'ng-zorro-antd/table';
import { catchError, combineLatest, map, of, switchMap } from 'rxjs';
import { asPlanned, outcomeOf, type Outcome } from '../../core/run/outcome';
import { standing, VERDICTS, type Mark, type Verdict } from '../../core/run/mark';
import { runState, type RunState } from '../../core/run/run-state';
import type { Run } from '../../core/run/run-record';
import type { Casting } from '../../core/record/casting';
import { castingKitchen } from '../../core/record/copies';
import { CastingStore } from '../state/casting-store';
import { CastingsActions } from '../state/castings-actions';
import { Lessons } from '../state/lessons';
import { OutcomeStorage } from '../state/logbook';
import { newId } from '../state/new-id';
import { Notices } from '../state/notices';
import { MarkStorage } from '../state/run-storage';
import { Runs } from '../state/runs';
import { Units } from '../state/units';
import { Gone } from '../ui/gone';
import { PageHeader } from '../ui/page-header';
import { Pick } from '../ui/pick';
import { outcomeWords } from '../wording/log';
import { VERDICT_NAMES, cameOfIt, lateText, markSaid, taskName, toldOf } from '../wording/marks';
import { timeText } from '../wording/times';

/** A run as it is stored, with what its marks come to; no run where there is none. */
interface Read {
  readonly run: Run;
  readonly marks: readonly Mark[];
  /** Those that were not taken back. */
  readonly standing: readonly Mark[];
  readonly state: RunState;
  readonly outcome: Outcome;
}

const readOf = (run: Run, marks: readonly Mark[]): Read => ({
  run,
  marks,
  standing: standing(marks),
  state: runState(marks),
  outcome: outcomeOf(run, marks),
});

/** A finished run: what was planned beside what was done, all that was noted, and what is thought of it. */
@Component({
  selector: 'ks-logged-run',
  changeDetection: ChangeDetectionStrategy.OnPush,
  encapsulation: ViewEncapsulation.None,
  imports: [
    Gone,
    NzButtonComponent,
    NzTableComponent,
    NzTbodyComponent,
    NzTheadComponent,
    NzTrDirective,
    PageHeader,
    Pick,
    RouterLink,
  ],
  templateUrl: './logged-run.html',
  styleUrl: './logged-run.less',
})
export class LoggedRun {
  private readonly stored = inject(OutcomeStorage);
  private readonly marks = inject(MarkStorage);
  private readonly injector = inject(Injector);
  private readonly units = inject(Units);
  private readonly notices = inject(Notices);
  private readonly castings = inject(CastingStore);
  protected readonly actions = inject(CastingsActions);
  readonly id = input.required<string>();

  /** Undefined until it has been looked for, null where there is none. */
  private readonly read = toSignal(
    toObservable(this.id).pipe(
      switchMap((id) => combineLatest([this.stored.watchRun(id), this.marks.watch(id, () => 0)])),
      map(([run, { marks }]) => (run ? readOf(run, marks) : null)),
      catchError(() => of(null)),
    ),
  );
  protected readonly gone = computed(() => this.read() === null);
  protected readonly run = computed(() => this.read()?.run);
  private readonly told = computed(() => toldOf(this.run(), this.units.system()));
  private readonly outcome = computed(() => this.read()?.outcome);
  protected readonly words = computed(() => {
    const outcome = this.outcome();
    return outcome && outcomeWords(outcome, this.units.system());
  });

  protected readonly over = computed(() => this.outcome()?.endedS !== undefined);
  protected readonly verdicts = VERDICTS.map((value) => ({ value, name: VERDICT_NAMES[value] }));
  protected readonly verdict = computed<Verdict | ''>(() => this.outcome()?.verdict ?? '');

  protected readonly came = computed(() => {
    const read = this.read();
    return read ? cameOfIt(read.run, read.state, read.standing, this.told()) : [];
  });

  /** All that was done by hand, by its planned time: when it was to end, when it did, and by how much it was later. */
  protected readonly work = computed(() => {
    const read = this.read();
    if (!read) return [];
    const { run, state } = read;
    const { endS } = asPlanned(run);
    return run.tasks.flatMap(({ key, handsOn }, i) => {
      if (!handsOn) return [];
      const at = state.doneS.get(key);
      return [
        {
          key,
          what: taskName(run, key, this.told()),
          planned: timeText(endS[i], run.zone),
          done: at === undefined ? 'not done' : timeText(at, run.zone),
          late: at === undefined ? '' : lateText(at - endS[i], this.told().system),
        },
      ];
    });
  });

  /** Whatever was noted besides. */
  protected readonly noted = computed(() => {
    const read = this.read();
    if (!read) return [];
    const { run } = read;
    return read.standing.flatMap((mark) => {
      const said = mark.kind === 'done' || mark.kind === 'verdict' ? undefined : markSaid(run, mark, this.told());
      return said ? [{ photo: '', id: mark.id, at: timeText(mark.atS, run.zone), ...said }] : [];
    });
  });

  /** Its castings as they were cast; where one is still there, the clinic knows its plan. */
  protected readonly cast = computed(() => {
    const there = new Set(this.castings.castings().map(({ id }) => id));
    return (this.run()?.castings ?? []).map((casting) => ({
      casting,
      clinic: there.has(casting.id) ? ['/casting', casting.id, 'clinic'] : ['/clinic'],
    }));
  });

  protected async judge(verdict: Verdict | ''): Promise<void> {
    const run = this.run();
    if (!run || verdict === '') return;
    try {
      await this.marks.append(run.id, [{ id: newId(), atS: Date.now() / 1000, kind: 'verdict', verdict }]);
    } catch {
      this.notices.say({ text: 'The browser did not store it. Free some space, then choose it again.' });
    }
  }

  protected async again(casting: Casting): Promise<void> {
    const learned = await this.injector.get(Lessons).learnedByAll();
    this.actions.copy({ ...casting, kitchen: castingKitchen({ ...casting.kitchen, learned }) });
  }

  protected export(): void {
    const read = this.read();
    // All runs are read for it: not before one asks for it.
    if (read) this.injector.get(Runs).save([{ ...read.run, marks: read.marks }]);
  }
}
