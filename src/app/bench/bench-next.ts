import { ChangeDetectionStrategy, Component, computed, inject, output } from '@angular/core';
import { NzButtonComponent } from 'ng-zorro-antd/button';
import { BenchRun } from './bench-run';
import { BenchView } from './bench-view';

/** What comes next, and when. */
@Component({
  selector: 'ks-bench-next',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [NzButtonComponent],
  template: `
    @if (lines().length > 0) {
      <section aria-labelledby="bench-next">
        <h2 id="bench-next">Next</h2>
        <ol>
          @for (one of lines(); track one.key) {
            <li>
              <time>{{ one.at }}</time>
              <span
                >{{ one.what }}
                @if (one.whose) {
                  <small>{{ one.whose }}</small>
                }
              </span>
              <button
                nz-button
                type="button"
                [disabled]="!leads()"
                [attr.aria-label]="'Done already: ' + one.what + (one.whose ? ', ' + one.whose : '')"
                (click)="done.emit(one.key)"
              >
                Done
              </button>
            </li>
          }
        </ol>
      </section>
    }
  `,
  styleUrl: './bench-lists.less',
})
export class BenchNext {
  private readonly view = inject(BenchView);
  protected readonly leads = inject(BenchRun).lead.leads;
  /** What was done before its turn. */
  readonly done = output<string>();
  /** Where nothing is at hand, the first of it is told there. */
  protected readonly lines = computed(() => this.view.next().slice(this.view.now().length > 0 ? 0 : 1));
}
