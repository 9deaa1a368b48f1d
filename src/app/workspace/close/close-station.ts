import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { isOnPlate, joinsOf } from '../../../core/record/closing';
import { PlanService } from '../../state/plan-service';
import { Answers } from '../../ui/answers';
import { Fold } from '../../ui/fold';
import { REPAIRS, closingSteps } from '../../wording/closing';
import { closeAnswers } from './close-answers';
import { CloseFields } from './close-fields';

/** How the pieces are closed, what that takes, and how it goes. */
@Component({
  selector: 'ks-close-station',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [Answers, CloseFields, Fold],
  templateUrl: './close-station.html',
  styleUrls: ['../station.less', './close-station.less'],
})
export class CloseStation {
  private readonly plans = inject(PlanService);
  protected readonly plan = this.plans.draft;
  protected readonly repairs = REPAIRS;
  /** Rims go together as they came out of their molds. */
  protected readonly unlevelled = computed(() => {
    const closure = this.plan()?.closure ?? null;
    return isOnPlate(closure) && closure.levelS === 0;
  });
  /** A pressed figure stands open behind. */
  protected readonly openBehind = computed(() =>
    (this.plan()?.parts ?? []).some(
      ({ moldRecord: { composition } }) => composition.kind === 'press' && !composition.joined,
    ),
  );
  protected readonly groups = computed(() => {
    const plan = this.plan();
    const parts = this.plans.plan()?.parts;
    return plan ? closeAnswers(plan, (partId) => parts?.find(({ part }) => part.id === partId)?.chill.cap) : [];
  });
  protected readonly steps = computed(() => {
    const plan = this.plan();
    return plan?.close
      ? closingSteps(plan.close.closure, plan.close.plate?.perWarming.value ?? 1, joinsOf(plan.casting.parts))
      : [];
  });
}
