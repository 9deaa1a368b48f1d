import { ChangeDetectionStrategy, Component, computed, inject, output } from '@angular/core';
import { NzButtonComponent } from 'ng-zorro-antd/button';
import { BenchRun } from './bench-run';
import { BenchView } from './bench-view';

/** What to do now, to be read from two metres, and the one big button that says that it is done. */
@Component({
  selector: 'ks-bench-now',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [NzButtonComponent],
  template: `
    @for (one of view.now(); track one.key; let first = $first) {
      <section [class.other]="!first" [attr.aria-label]="first ? 'Now' : 'The other hands, now'">
        @if (one.whose) {
          <p class="whose">{{ one.whose }}</p>
        }
        <h2>{{ one.what }}</h2>
        @if (one.amounts) {
          <p class="amounts">{{ one.amounts }}{{ one.how ? ': ' + one.how : '' }}</p>
        }
        @if (one.melt; as melt) {
          <p [hidden]="!melt.lots">{{ melt.lots }}</p>
          <ol>
            @for (step of melt.steps; track $index) {
              <li>
                {{ step.what }}{{ step.how ? ': ' + step.how : '' }} <span class="after">{{ step.after }}</span>
              </li>
            }
          </ol>
        }
        <p class="why">{{ one.why }} Takes about {{ one.takes }}.</p>
        @if (one.ready; as ready) {
          <p class="sign"><b>Ready?</b> {{ ready.sign }} {{ ready.otherwise }}</p>
        }
        <button
          nz-button
          nzType="primary"
          class="done"
          type="button"
          [disabled]="!leads()"
          (click)="done.emit(one.key)"
        >
          Done
        </button>
      </section>
    } @empty {
      <section aria-label="Now">
        @if (allDone()) {
          <h2>All is done</h2>
          <p class="amounts">{{ runsOn() ? 'What dries or sets still has its clock.' : 'Nothing runs any more.' }}</p>
          <button nz-button nzType="primary" class="done" type="button" [disabled]="!leads()" (click)="finished.emit()">
            Finish the run
          </button>
        } @else {
          <h2>Nothing by hand until {{ view.next()[0]?.at }}</h2>
          <p class="amounts">Then: {{ view.next()[0]?.what }}, in {{ view.untilNext() }}.</p>
          <button nz-button class="done" type="button" [disabled]="!leads()" (click)="done.emit(view.next()[0]?.key)">
            Done already: {{ view.next()[0]?.what }}
          </button>
        }
      </section>
    }
  `,
  styleUrl: './bench-now.less',
})
export class BenchNow {
  protected readonly view = inject(BenchView);
  private readonly bench = inject(BenchRun);
  readonly done = output<string | undefined>();
  readonly finished = output<void>();
  protected readonly leads = this.bench.lead.leads;
  protected readonly allDone = computed(() => this.view.next().length === 0);
  protected readonly runsOn = computed(() => this.view.clocks().length > 0);
}
