import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { RouterLink } from '@angular/router';
import { NzButtonComponent } from 'ng-zorro-antd/button';
import { problemId } from '../../../core/study/remedy-effect';
import { CastingStore } from '../../state/casting-store';
import { PlanService } from '../../state/plan-service';
import { StartTime } from '../../state/start-time';
import { Units } from '../../state/units';
import { effectText, aboutText, noteWording } from '../../wording/problems';
import { lateNote } from '../../wording/times';
import type { Problem } from '../../../core/plan/plan-types';

/** What a colleague would say about this plan, each with a button that does it. */
@Component({
  selector: 'ks-notes',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [NzButtonComponent, RouterLink],
  template: `
    <div aria-live="polite">
      @if (late(); as note) {
        <section>
          <h3>{{ note.head }}</h3>
          <p>
            {{ note.body }}
            <button nz-button nzType="link" type="button" (click)="time.putOff()">{{ note.action }}</button>
          </p>
        </section>
      }
      @for (note of notes(); track note.key) {
        <section [class.cold]="note.station === 'chill'">
          <h3>
            @if (note.part) {
              <span class="part">{{ note.part }}</span>
            }
            {{ note.head }}
          </h3>
          <p>
            {{ note.body }}
            @if (note.problem.remedy && note.action) {
              <button nz-button nzType="link" type="button" (click)="take(note.problem)">{{ note.action }}</button>
              @if (note.effect) {
                <span class="effect">{{ note.effect }}</span>
              }
            }
          </p>
        </section>
      } @empty {
        @if (!late()) {
          <p class="fine">Nothing to mend: the rim holds, the fill closes, and it is ready in time.</p>
        }
      }
    </div>
    @if (casting(); as c) {
      <a nz-button nzType="link" [routerLink]="['/casting', c.id, 'clinic']">Came out otherwise? To the clinic</a>
    }
  `,
  styleUrl: './notes.less',
})
export class Notes {
  private readonly plans = inject(PlanService);
  private readonly units = inject(Units);

  protected readonly casting = inject(CastingStore).current;
  protected readonly time = inject(StartTime);
  protected readonly late = computed(() => {
    const late = this.time.lateness();
    const plan = this.plans.plan();
    return plan && late && lateNote(late, plan.start.value, plan.casting.due);
  });

  protected readonly notes = computed(() => {
    const system = this.units.system();
    const effects = this.plans.effects();
    const plan = this.plans.plan();
    return (plan?.problems ?? []).map((problem) => {
      const effect = effects.get(problemId(problem));
      return {
        key: problemId(problem),
        station: problem.station,
        problem,
        part: plan && aboutText(plan, problem),
        effect: effect ? effectText(effect, system) : '',
        ...noteWording(problem, system),
      };
    });
  });

  protected take(problem: Problem): void {
    this.plans.adopt(problem);
  }
}
