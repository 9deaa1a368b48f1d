import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { NzButtonComponent } from 'ng-zorro-antd/button';
import { CAUSES } from '../../core/clinic/causes';
import type { Suspect } from '../../core/clinic/reasoning';
import type { CastingPlan, Problem } from '../../core/plan/plan-types';
import { problemId } from '../../core/study/remedy-effect';
import { PlanService } from '../state/plan-service';
import { Units } from '../state/units';
import { evidenceText, likelyText } from '../wording/clinic';
import { CAUSE_TEXTS } from '../wording/clinic-causes';
import { effectText, noteWording } from '../wording/problems';

/** One cause: how likely, what speaks for it, what to do now and the next time; with the plan's own note and the change that mends it. */
@Component({
  selector: 'ks-cause-card',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [NzButtonComponent],
  template: `
    <h3>
      {{ texts().name }} <span>{{ likely() }}, {{ percent() }} %</span>
    </h3>
    <div class="bar" aria-hidden="true"><i [style.width.%]="percent()"></i></div>
    @if (speaksFor()) {
      <p class="soft">Speaks for it: {{ speaksFor() }}.</p>
    }
    @if (against()) {
      <p class="soft">Speaks against it: {{ against() }}.</p>
    }
    <dl>
      <dt>Now</dt>
      <dd>{{ texts().now }}</dd>
      <dt>Next time</dt>
      <dd>{{ texts().next }}</dd>
    </dl>
    @for (note of notes(); track note.id) {
      <p class="note">
        {{ note.head }}
        @if (note.problem.remedy && note.action) {
          <button nz-button type="button" (click)="take(note.problem)">{{ note.action }}</button>
          <span class="soft">{{ note.effect }}</span>
        }
      </p>
    }
  `,
  styleUrl: './cause-card.less',
})
export class CauseCard {
  private readonly plans = inject(PlanService);
  private readonly units = inject(Units);
  readonly suspect = input.required<Suspect>();
  /** The plan of the casting it is about, where it is about one. */
  readonly plan = input<CastingPlan>();

  protected readonly texts = computed(() => CAUSE_TEXTS[this.suspect().cause]);
  protected readonly likely = computed(() => likelyText(this.suspect().share));
  protected readonly percent = computed(() => Math.round(100 * this.suspect().share));
  protected readonly speaksFor = computed(() => this.evidence((times) => times > 1));
  protected readonly against = computed(() => this.evidence((times) => times < 1));
  protected readonly notes = computed(() => {
    const system = this.units.system();
    const effects = this.plans.effects();
    const { warned = [] } = CAUSES[this.suspect().cause];
    return (this.plan()?.problems ?? [])
      .filter(({ key }) => warned.includes(key))
      .map((problem) => {
        const effect = effects.get(problemId(problem));
        const { head, action } = noteWording(problem, system);
        return { id: problemId(problem), problem, head, action, effect: effect ? effectText(effect, system) : '' };
      });
  });

  private evidence(speaks: (times: number) => boolean): string {
    const { evidence } = this.suspect();
    return evidence
      .filter(({ times }) => speaks(times))
      .map((one) => evidenceText(one))
      .join(', ');
  }

  protected take(problem: Problem): void {
    this.plans.adopt(problem);
  }
}
