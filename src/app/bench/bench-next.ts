import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { BenchView } from './bench-view';

/** What comes next, and when. */
@Component({
  selector: 'ks-bench-next',
  changeDetection: ChangeDetectionStrategy.OnPush,
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
  /** Where nothing is at hand, the first of it is told there. */
  protected readonly lines = computed(() => this.view.next().slice(this.view.now().length > 0 ? 0 : 1));
}
