import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { toObservable, toSignal } from '@angular/core/rxjs-interop';
import { from, of, switchMap } from 'rxjs';
import { workNames } from '../../../core/plan/work-names';
import { PlanService } from '../../state/plan-service';
import { Study } from '../../state/study';
import { Units } from '../../state/units';
import { Fold } from '../../ui/fold';
import { fittedText, NOT_FITTED } from '../../wording/fitted';
import { text } from '../../wording/format';
import { stretchName } from '../../wording/stretches';
import { startText } from '../../wording/times';

/** The rounds fitted into each other's waits: what that saves, and what is done when. */
@Component({
  selector: 'ks-fitted-work',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [Fold],
  template: `
    @if (fitted()) {
      <h2>
        Each round in the waits of the others: <strong>{{ whole() }}</strong>
      </h2>
      <p class="plain">{{ said() }}</p>
      <ks-fold name="What to do when">
        <ol aria-label="What to do when">
          @for (line of lines(); track $index) {
            <li>
              <time>{{ line.at }}</time> {{ line.name }} <span>{{ line.takes }}</span>
            </li>
          }
        </ol>
      </ks-fold>
    } @else if (notFitted()) {
      <p class="plain">{{ notFitted() }}</p>
    }
  `,
  styleUrl: './fitted-work.less',
})
export class FittedWork {
  private readonly plans = inject(PlanService);
  private readonly study = inject(Study);
  private readonly units = inject(Units);
  protected readonly fitted = computed(() => {
    const plan = this.plans.plan();
    return plan?.batch.order === 'found' ? plan : undefined;
  });
  /** The casting once its rounds are fitted: what is dragged is not asked about. */
  private readonly rests = computed(() => this.fitted()?.casting);
  private readonly withMoreS = toSignal(
    toObservable(this.rests).pipe(
      switchMap((casting) => (casting ? from(this.study.withMoreMoldsS()) : of(undefined))),
    ),
  );
  protected readonly notFitted = computed(() => {
    const why = this.plans.notFitted();
    return why ? NOT_FITTED[why] : '';
  });
  protected readonly whole = computed(() =>
    text(this.fitted()?.batch.total.value ?? 0, 'duration', this.units.system()),
  );
  protected readonly said = computed(() => {
    const plan = this.fitted();
    return plan ? fittedText(plan.batch, this.withMoreS(), this.units.system()) : '';
  });
  protected readonly lines = computed(() => {
    const plan = this.fitted();
    if (!plan) return [];
    const { due } = plan.casting;
    const names = workNames(plan);
    const { wholeJob } = plan.batch.timeline;
    // What is waited for between is no line of its own; what dries at last is.
    const told = wholeJob.filter(({ handsOn }, i) => handsOn || i === wholeJob.length - 1);
    return told.map((stretch) => ({
      at: startText(plan.start.value + stretch.startSeconds, due),
      name: stretchName(stretch, names).long + (stretch.round === undefined ? '' : `, round ${stretch.round + 1}`),
      takes: text(stretch.seconds, 'duration', this.units.system()),
    }));
  });
}
