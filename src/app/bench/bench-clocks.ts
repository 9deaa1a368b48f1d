import { ChangeDetectionStrategy, Component, inject, output } from '@angular/core';
import { NzButtonComponent } from 'ng-zorro-antd/button';
import { nudgeText } from '../wording/bench';
import { BenchRun } from './bench-run';
import { BenchView } from './bench-view';

/** So much longer a wait is made at a press, s. */
const LONGER_S = 300;

/** The clocks that run: what each is for, how long it still has, and until when it may wait. */
@Component({
  selector: 'ks-bench-clocks',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [NzButtonComponent],
  template: `
    <h2 class="unseen">Clocks</h2>
    <ul>
      @for (clock of view.clocks(); track clock.key) {
        <li [class.over]="clock.over" [class.late]="clock.late">
          <div class="ran" [style.transform]="'scaleX(' + clock.share + ')'" aria-hidden="true"></div>
          <p class="name">
            @if (clock.letter) {
              <b aria-hidden="true">{{ clock.letter }}</b>
            }
            <span>{{ clock.name }}</span>
            @if (clock.whose) {
              <small>{{ clock.whose }}</small>
            }
          </p>
          <p class="count" role="timer" [style.width.ch]="clock.count.length">
            <span>{{ clock.count }}</span>
          </p>
          <p class="where">
            <span>{{ clock.places }}</span> {{ clock.until }}
            @if (clock.nudge; as nudge) {
              <b>{{ nudgeText(nudge) }}</b>
            }
          </p>
          <button
            nz-button
            type="button"
            class="longer"
            [disabled]="!leads()"
            [attr.aria-label]="'Five minutes more: ' + clock.name"
            (click)="longer.emit({ wait: clock.key, byS: longerS })"
          >
            +5 min
          </button>
        </li>
      } @empty {
        <li class="none">No clock runs. One starts with every Done that something has to wait for.</li>
      }
    </ul>
  `,
  styleUrl: './bench-clocks.less',
})
export class BenchClocks {
  protected readonly view = inject(BenchView);
  protected readonly leads = inject(BenchRun).lead.leads;
  protected readonly nudgeText = nudgeText;
  protected readonly longerS = LONGER_S;
  readonly longer = output<{ readonly wait: string; readonly byS: number }>();
}
