import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { applyRemedy } from '../../../core/plan/remedy';
import type { Problem } from '../../../core/plan/problems';
import { CastingStore } from '../../state/casting-store';
import { PlanService } from '../../state/plan-service';
import { Units } from '../../state/units';
import { effectText, noteWording } from '../../wording/problems';

/** What a colleague would say about this plan, each with a button that does it. */
@Component({
  selector: 'ks-notes',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div aria-live="polite">
      @for (note of notes(); track note.key) {
        <section [class.cold]="note.station === 'chill'">
          <h3>{{ note.head }}</h3>
          <p>{{ note.body }}
            @if (note.problem.remedy && note.action) { <button type="button" class="link" (click)="take(note.problem)">{{ note.action }}</button>@if (note.effect) { <span class="effect">{{ note.effect }}</span> } }
          </p>
        </section>
      } @empty {
        <p class="fine">Nothing to mend: the rim holds, the fill closes, and it is ready in time.</p>
      }
    </div>
  `,
  styleUrl: './notes.less',
})
export class Notes {
  private readonly store = inject(CastingStore);
  private readonly plans = inject(PlanService);
  private readonly units = inject(Units);

  protected readonly notes = computed(() => {
    const system = this.units.system();
    const effects = this.plans.effects();
    return (this.plans.plan()?.problems ?? []).map((problem) => {
      const effect = effects.get(problem.key);
      return { key: problem.key, station: problem.station, problem, effect: effect ? effectText(effect, system) : '', ...noteWording(problem, system) };
    });
  });

  protected take({ remedy }: Problem): void {
    const plan = this.plans.plan();
    if (plan && remedy) this.store.edit('advice taken', (casting) => applyRemedy(casting, remedy, plan));
  }
}
