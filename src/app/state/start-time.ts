import { Injectable, computed, inject } from '@angular/core';
import { lateness, type Lateness } from '../../core/batch/start';
import { localTime } from '../../core/record/due';
import { CastingStore } from './casting-store';
import { Clock } from './clock';
import { InOccasion } from './in-occasion';
import { PlanService } from './plan-service';

/** How the open casting's plan stands against the clock, and what mends it. */
@Injectable({ providedIn: 'root' })
export class StartTime {
  private readonly plans = inject(PlanService);
  private readonly clock = inject(Clock);
  private readonly store = inject(CastingStore);
  private readonly inOccasion = inject(InOccasion);

  readonly lateness = computed<Lateness | undefined>(
    () => {
      const plan = this.plans.plan();
      const part = this.inOccasion.part();
      // In an occasion it is late only once that should have begun with it.
      if (part && part.from > this.clock.seconds()) return undefined;
      return plan && lateness(plan.casting.due, plan.start, plan.batch.total, this.clock.seconds());
    },
    { equal: (a, b) => JSON.stringify(a) === JSON.stringify(b) },
  );

  /** Puts the due time off until when it can be ready. */
  putOff(): void {
    const late = this.lateness();
    if (late && 'readyS' in late)
      this.store.edit(
        'due time',
        (casting) => (casting.due = { local: localTime(late.readyS, casting.due.zone), zone: casting.due.zone }),
      );
  }
}
