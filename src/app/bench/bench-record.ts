import { ChangeDetectionStrategy, Component, computed, inject, output } from '@angular/core';
import { RouterLink } from '@angular/router';
import { NzButtonComponent } from 'ng-zorro-antd/button';
import { usedUp } from '../../core/run/bowl-left';
import { standing } from '../../core/run/mark';
import { Notices } from '../state/notices';
import { Pantry } from '../state/pantry';
import { cameOfIt, markSaid } from '../wording/marks';
import { listed } from '../wording/names';
import { timeText } from '../wording/times';
import { BenchRun } from './bench-run';
import { BenchView } from './bench-view';

/** What happened, line by line: what was planned beside what was done when, and all that was noted. */
@Component({
  selector: 'ks-bench-record',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [NzButtonComponent, RouterLink],
  template: `
    @if (over()) {
      <h2>What came of it</h2>
      <ul>
        @for (line of came(); track line) {
          <li>{{ line }}</li>
        }
      </ul>
      <p class="book"><a [routerLink]="['/log', id()]">In the log: what was planned beside what was done</a></p>
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
  protected readonly id = this.bench.id;
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
      const said = markSaid(run, mark, this.view.told(), this.bench.asBegun()?.endS);
      return said ? [{ photo: '', id: mark.id, at: timeText(mark.atS, run.zone), ...said }] : [];
    });
  });
}
