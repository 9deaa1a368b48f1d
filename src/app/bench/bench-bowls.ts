import { ChangeDetectionStrategy, Component, inject } from '@angular/core';
import { nudgeText } from '../wording/bench';
import { BenchView } from './bench-view';

/** How the bowls stand: how warm, for how long yet, and what is left of what is wanted. */
@Component({
  selector: 'ks-bench-bowls',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (view.bowls().length > 0) {
      <section aria-labelledby="bench-bowls">
        <h2 id="bench-bowls">Bowls</h2>
        <ul>
          @for (bowl of view.bowls(); track bowl.bowl) {
            <li [class.cool]="bowl.cool">
              <i [style.background]="bowl.colour" aria-hidden="true"></i>
              <strong>{{ bowl.c }}</strong>
              <span
                ><b>{{ bowl.name }}</b> {{ bowl.keeps }}
                @if (view.bowlNudges().get(bowl.bowl); as nudge) {
                  <small>{{ nudgeText(nudge) }}</small>
                }
                <small>{{ bowl.by }}</small>
                <small [class.short]="bowl.short">{{ bowl.left }}</small>
              </span>
            </li>
          }
        </ul>
      </section>
    }
  `,
  styleUrl: './bench-lists.less',
})
export class BenchBowls {
  protected readonly nudgeText = nudgeText;
  protected readonly view = inject(BenchView);
}
