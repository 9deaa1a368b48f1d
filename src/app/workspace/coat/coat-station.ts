import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { RouterLink } from '@angular/router';
import { NzButtonComponent } from 'ng-zorro-antd/button';
import { PlanService } from '../../state/plan-service';
import { Answers } from '../../ui/answers';
import { Estimate } from '../../ui/estimate';
import { MissingPart } from '../../ui/missing-part';
import { coatAnswers } from './coat-answers';
import { CoatChocolate } from './coat-chocolate';
import { CoatExtras } from './coat-extras';
import { CoatMaking } from './coat-making';
import { WeighedShellPanel } from './weighed-shell-panel';
import { FieldScope } from '../../ui/field-scope';
import { Fold } from '../../ui/fold';
import { handlingTexts } from '../../wording/coating';

/** Which chocolate, how a coat is made, how many; and what they come to. */
@Component({
  selector: 'ks-coat-station',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [
    Answers,
    CoatChocolate,
    CoatExtras,
    CoatMaking,
    Estimate,
    FieldScope,
    Fold,
    MissingPart,
    NzButtonComponent,
    RouterLink,
    WeighedShellPanel,
  ],
  templateUrl: './coat-station.html',
  styleUrl: '../station.less',
})
export class CoatStation {
  protected readonly plan = inject(PlanService).draft;
  protected readonly answers = computed(() => {
    const plan = this.plan();
    return plan ? coatAnswers(plan) : [];
  });
  /** What is pressed under an insert holds nothing else. */
  protected readonly extras = computed(() => this.plan()?.moldRecord.composition.kind !== 'press');
  /** What the hands look after meanwhile. */
  protected readonly byHand = computed(() => {
    const plan = this.plan();
    return plan ? handlingTexts(plan) : [];
  });
  /** A shell whose weight tells how the chocolate ran. */
  protected readonly weighable = computed(() => {
    const plan = this.plan();
    return !!plan && plan.moldRecord.composition.kind !== 'press' && !plan.coat.body;
  });
}
