import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { RouterLink } from '@angular/router';
import { NzButtonComponent } from 'ng-zorro-antd/button';
import { OpenPart } from '../../state/open-part';
import { PlanService } from '../../state/plan-service';
import { Answers } from '../../ui/answers';
import { Estimate } from '../../ui/estimate';
import { Pick } from '../../ui/pick';
import { chillAnswers } from './chill-answers';
import { ChillKitchen } from './chill-kitchen';
import { ChillPlaces } from './chill-places';
import { TurnOut } from './turn-out';

/** Where each coat sets, for how long, and whether it sweats when it comes out. */
@Component({
  selector: 'ks-chill-station',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [Answers, ChillKitchen, ChillPlaces, Estimate, NzButtonComponent, Pick, RouterLink, TurnOut],
  templateUrl: './chill-station.html',
  styleUrl: '../station.less',
})
export class ChillStation {
  private readonly open = inject(OpenPart);
  private readonly plans = inject(PlanService);
  protected readonly plan = this.plans.plan;
  protected readonly covered = [
    { value: 'no' as const, name: 'in the open' },
    { value: 'yes' as const, name: 'covered' },
  ];
  protected readonly answers = computed(() => {
    const plan = this.plan();
    return plan ? chillAnswers(plan) : [];
  });
  protected readonly stateText = computed(() => {
    const state = this.plans.workerState();
    if (state === 'failed' || this.plans.chillSource() === 'worker') return '';
    return state === 'restarting'
      ? 'Starting the computation again; the last figures stay meanwhile.'
      : 'Working out the new minutes…';
  });

  protected setCovered(choice: 'yes' | 'no'): void {
    this.open.edit('covered rest', (part) => (part.coveredRest = choice === 'yes'));
  }
}
