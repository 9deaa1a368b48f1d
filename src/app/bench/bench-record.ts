import { ChangeDetectionStrategy, Component, computed, inject, output } from '@angular/core';
import { NzButtonComponent } from 'ng-zorro-antd/button';
import { usedUp } from '../../core/run/bowl-left';
import { standing, type Mark } from '../../core/run/mark';
import { Notices } from '../state/notices';
import { Pantry } from '../state/pantry';
import { taskText, whoseText } from '../wording/occasion';
import { WRONG_NAMES, byText, cameOfIt, doneText } from '../wording/bench';
import { text } from '../wording/format';
import { listed } from '../wording/names';
import { timeText } from '../wording/times';
import { BenchRun } from './bench-run';
import { BenchView } from './bench-view';

/** A mark in words, and with its picture. */
interface Said {
  readonly what: string;
  readonly more: string;
  readonly photo?: string;
}

/** What happened, line by line: what was planned beside what was done when, and all that was noted. */
@Component({
  selector: 'ks-bench-record',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [NzButtonComponent],
  template: `
    @if (over()) {
      <h2>What came of it</h2>
      <ul>
        @for (line of came(); track line) {
          <li>{{ line }}</li>
        }
      </ul>
      @if (!rehearsed()) {
        <p class="book">
          @if (bookedAt(); as at) {
            Taken out of the pantry at {{ at }}. Undo on the pantry’s page puts it back.
          } @else {
            <button nz-button type="button" [disabled]="!leads() || !pantry.loaded()" (click)="book()">
              Take what was used out of the pantry
            </button>
          }
        </p>
      }
    }
    <h2>What happened</h2>
    <ol>
      @for (line of lines(); track line.id) {
        <li>
          <time>{{ line.at }}</time>
          <span
            >{{ line.what }}
            @if (line.more) {
              <small>{{ line.more }}</small>
            }
            @if (line.photo) {
              <img [src]="line.photo" [alt]="'Photo of ' + line.at" />
            }
          </span>
          @if (!over() && leads()) {
            <button
              nz-button
              nzType="text"
              type="button"
              [attr.aria-label]="'Take back: ' + line.what + ', ' + line.at"
              (click)="takenBack.emit(line.id)"
            >
              Take back
            </button>
          }
        </li>
      } @empty {
        <li>Nothing has been noted yet.</li>
      }
    </ol>
  `,
  styles: `
    h2 {
      font: 650 20px/1.2 var(--answer);
      margin-bottom: 6px;
    }
    ul {
      margin: 0 0 20px;
      padding-left: 20px;
      font-size: 17px;
    }
    ul li {
      display: list-item;
      padding: 2px 0;
      border: 0;
    }
    .book {
      min-height: 44px;
      margin-bottom: 20px;
    }
    ol {
      list-style: none;
      margin: 0;
      padding: 0;
      max-width: 760px;
    }
    li {
      display: flex;
      gap: 14px;
      padding: 6px 0;
      border-bottom: 1px solid var(--rule);
    }
    time {
      min-width: 54px;
      font-variant-numeric: tabular-nums;
      font-weight: 650;
    }
    li button {
      align-self: center;
      margin-left: auto;
      min-height: 44px;
    }
    img {
      display: block;
      max-width: min(100%, 320px);
      margin-top: 6px;
      border-radius: 4px;
    }
    small {
      display: block;
      color: var(--soft);
      font-size: 14px;
    }
  `,
})
export class BenchRecord {
  private readonly bench = inject(BenchRun);
  private readonly view = inject(BenchView);

  readonly takenBack = output<string>();
  protected readonly over = this.bench.isOver;
  protected readonly leads = this.bench.lead.leads;
  protected readonly pantry = inject(Pantry);
  private readonly notices = inject(Notices);
  protected readonly rehearsed = computed(() => this.bench.run()?.rehearsal !== undefined);
  protected readonly bookedAt = computed(() => {
    const [run, at] = [this.bench.run(), this.bench.state().bookedS];
    return run && at !== undefined ? timeText(at, run.zone) : '';
  });
  /** What was made, what is left in the bowls, and what is to be cleaned. */
  protected readonly came = computed(() => {
    const run = this.bench.run();
    return run ? cameOfIt(run, this.bench.state(), standing(this.bench.marks()), this.view.told()) : [];
  });

  /** Takes what was melted, less what is left over, out of the pantry. */
  protected book(): void {
    const run = this.bench.run();
    if (!run) return;
    const names = this.pantry.bookRun(usedUp(run, this.bench.state()));
    void this.bench.note({ kind: 'booked' });
    this.notices.say({
      text: names.length > 0 ? `Taken out of the pantry: ${listed(names)}.` : 'The pantry keeps none of what was used.',
    });
  }

  protected readonly lines = computed(() => {
    const run = this.bench.run();
    if (!run) return [];
    return standing(this.bench.marks()).flatMap((mark) => {
      const said = this.said(mark);
      return said ? [{ photo: '', id: mark.id, at: timeText(mark.atS, run.zone), ...said }] : [];
    });
  });

  /** A mark in words; nothing for what the run notes by itself. */
  private said(mark: Mark): Said | undefined {
    const run = this.bench.run();
    const told = this.view.told();
    if (!run) return undefined;
    const taskOf = (key: string) => run.tasks.find((task) => task.key === key);
    const nameOf = (key: string): string => {
      const task = taskOf(key);
      return task
        ? [taskText(task, told), run.castings.length > 1 ? whoseText(task, told) : ''].filter(Boolean).join(', ')
        : '';
    };
    const bowl = (i: number): string => run.bowls[i]?.name ?? 'a bowl';
    switch (mark.kind) {
      case 'done': {
        const task = taskOf(mark.task);
        const plannedS = task && this.bench.asBegun()?.endS[run.tasks.indexOf(task)];
        const more = plannedS === undefined ? '' : doneText(plannedS, mark.atS, run.zone, told.system);
        return { what: nameOf(mark.task), more };
      }
      case 'temperature':
        return { what: `${bowl(mark.bowl)} at ${text(mark.c, 'temperature', told.system)}`, more: byText(mark) };
      case 'weight':
        return { what: `${text(mark.kg, 'mass', told.system)} of ${bowl(mark.bowl)} in the bowl`, more: byText(mark) };
      case 'temper':
        return { what: `${bowl(mark.bowl)}: test ${mark.set ? 'set and even' : 'streaked or soft'}`, more: '' };
      case 'count':
        return { what: `${mark.out} came out whole, ${mark.broke} broke`, more: nameOf(mark.task) };
      case 'thickness':
        return {
          what: `Rim ${text(mark.rimM, 'length', told.system)}`,
          more: [nameOf(mark.task), byText(mark)].filter(Boolean).join(', '),
        };
      case 'photo':
        return { what: 'Photo', more: '', photo: mark.data };
      case 'remark':
        return { what: mark.text, more: '' };
      case 'wrong':
        return {
          what: WRONG_NAMES[mark.what],
          more: mark.forS === undefined ? '' : `for ${text(mark.forS, 'duration', told.system)}`,
        };
      case 'longer':
        return { what: `A wait made ${text(mark.byS, 'duration', told.system)} longer`, more: '' };
      case 'paused':
        return { what: 'Paused', more: '' };
      case 'goesOn':
        return { what: 'Went on', more: '' };
      case 'order':
        return { what: 'What was left was put into another order', more: '' };
      case 'ended':
        return { what: 'Finished', more: '' };
      default:
        return undefined;
    }
  }
}
