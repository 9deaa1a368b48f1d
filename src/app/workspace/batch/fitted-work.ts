import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { toObservable, toSignal } from '@angular/core/rxjs-interop';
import { from, of, switchMap } from 'rxjs';
import { startBy } from '../../../core/batch/start';
import { workNames } from '../../../core/plan/work-names';
import { answer } from '../../../core/quantity/answer';
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
    @if (job(); as fitted) {
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
  /** The plan once it has come to rest: what is dragged is not fitted. */
  private readonly rests = computed(() =>
    this.plans.chillSource() === 'worker' ? this.plans.plan()?.casting : undefined,
  );
  private readonly answer = toSignal(
    toObservable(this.rests).pipe(switchMap((casting) => (casting ? from(this.study.fitted()) : of(undefined)))),
  );
  protected readonly job = computed(() => {
    const answer = this.answer();
    return typeof answer === 'string' ? undefined : answer;
  });
  protected readonly notFitted = computed(() => {
    const answer = this.answer();
    return typeof answer === 'string' ? NOT_FITTED[answer] : '';
  });
  protected readonly whole = computed(() => text(this.job()?.endS ?? 0, 'duration', this.units.system()));
  protected readonly said = computed(() => {
    const job = this.job();
    return job ? fittedText(job, this.units.system()) : '';
  });
  protected readonly lines = computed(() => {
    const plan = this.plans.plan();
    const job = this.job();
    if (!plan || !job) return [];
    const { due } = plan.casting;
    const names = workNames(plan);
    const start = startBy(due, answer(job.endS, 'duration', 'batch.total', []));
    return job.stretches.map((stretch) => ({
      at: startText(start.value + stretch.startSeconds, due),
      name: stretchName(stretch, names).long + (stretch.round === undefined ? '' : `, round ${stretch.round + 1}`),
      takes: text(stretch.seconds, 'duration', this.units.system()),
    }));
  });
}
