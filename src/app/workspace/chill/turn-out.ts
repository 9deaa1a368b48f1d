import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { PlanService } from '../../state/plan-service';
import { Fold } from '../../ui/fold';
import { Cautions } from '../cautions/cautions';
import {
  OTHERS_LEAVE_IT,
  resistsText,
  touchedText,
  trimmedText,
  turningOut,
  waitingText,
} from '../../wording/turning-out';

/** How the open part comes out of its mold: told by touch when, and with the hands how. */
@Component({
  selector: 'ks-turn-out',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [Cautions, Fold],
  template: `
    @if (out(); as way) {
      <p class="plain"><strong>Ready by touch.</strong> {{ way.ready }}</p>
      <ks-cautions station="chill" />
      <ks-fold name="How it comes out">
        <ol class="hands">
          @for (step of way.how; track step) {
            <li>{{ step }}</li>
          }
        </ol>
        @if (way.brief) {
          <p class="plain">{{ way.resists }}</p>
        }
        @for (line of way.more; track line) {
          <p class="plain">{{ line }}</p>
        }
      </ks-fold>
    }
  `,
  styleUrl: '../station.less',
  styles: `
    :host {
      margin-top: 14px;
    }
    strong {
      color: var(--ink);
      font-weight: 600;
    }
    .hands {
      margin-bottom: 8px;
    }
    .plain + .plain {
      margin-top: 6px;
    }
  `,
})
export class TurnOut {
  private readonly plan = inject(PlanService).plan;
  protected readonly out = computed(() => {
    const plan = this.plan();
    const place = plan?.chill.coats.at(-1)?.chosen.place;
    return (
      plan &&
      place && {
        ...turningOut(plan),
        resists: resistsText(place),
        more: [touchedText(plan), trimmedText(plan), waitingText(plan.batch.rounds.value), OTHERS_LEAVE_IT].filter(
          Boolean,
        ),
      }
    );
  });
}
