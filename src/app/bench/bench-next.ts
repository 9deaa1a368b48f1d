import { ChangeDetectionStrategy, Component, inject } from '@angular/core';
import { BenchView } from './bench-view';

/** What comes next, and when. */
@Component({
  selector: 'ks-bench-next',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (view.now().length > 0 && view.next().length > 0) {
      <section aria-labelledby="bench-next">
        <h2 id="bench-next">Next</h2>
        <ol>
          @for (one of view.next(); track one.key) {
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
  protected readonly view = inject(BenchView);
}
