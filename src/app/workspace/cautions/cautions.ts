import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import type { StationKey } from '../../../core/plan/plan-types';
import { PlanService } from '../../state/plan-service';
import { cautionsAt } from '../../wording/cautions';

/** What to mind at a station, by what is really there; what is always said there goes before and after it. */
@Component({
  selector: 'ks-cautions',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (text(); as minded) {
      <p class="caution">{{ minded }}</p>
    }
  `,
  styleUrl: '../station.less',
})
export class Cautions {
  private readonly plan = inject(PlanService).draft;
  readonly station = input.required<StationKey>();
  readonly before = input('');
  readonly after = input('');
  protected readonly text = computed(() => {
    const plan = this.plan();
    return [this.before(), ...(plan ? cautionsAt(this.station(), plan) : []), this.after()].filter(Boolean).join(' ');
  });
}
