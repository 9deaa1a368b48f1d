import { ChangeDetectionStrategy, Component, inject } from '@angular/core';
import { NzButtonComponent } from 'ng-zorro-antd/button';
import { PlanService } from '../state/plan-service';

/** Says, wherever figures stand, that they are an estimate, for as long as the fine computation does not run. */
@Component({
  selector: 'ks-estimate',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [NzButtonComponent],
  template: `
    @if (plans.estimated()) {
      <p role="status">
        <strong>Estimate.</strong> The fine computation does not start here; these are the figures it last gave, or a
        first estimate.
        <button nz-button nzType="link" type="button" class="small" (click)="plans.retryWorker()">Try again</button>
      </p>
    }
  `,
  styles: `
    p {
      margin-bottom: 10px;
      padding-left: 10px;
      border-left: 3px solid var(--honey);
      color: var(--honey-ink);
      font-size: 13.5px;
      line-height: 1.4;
    }
  `,
})
export class Estimate {
  protected readonly plans = inject(PlanService);
}
