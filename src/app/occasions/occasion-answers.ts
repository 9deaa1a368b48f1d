import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { dueSeconds } from '../../core/record/due';
import { Units } from '../state/units';
import { text } from '../wording/format';
import { fromToText } from '../wording/occasion';
import { dayText, dueText, timeText, weekdayTimeText } from '../wording/times';
import { OccasionView } from './occasion-view';

/** Nearer than this to the best there can be, it is the best, s. */
const NEAR_S = 60;

/** The answers of an occasion, large: when to start, when all is ready, how long one has to be there, and when one is free. */
@Component({
  selector: 'ks-occasion-answers',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <dl>
      @for (answer of answers(); track answer.name) {
        <div>
          <dt>{{ answer.name }}</dt>
          <dd>{{ answer.figure }}</dd>
          <dd class="said">{{ answer.said }}</dd>
        </div>
      }
    </dl>
  `,
  styleUrl: './occasion-answers.less',
})
export class OccasionAnswers {
  private readonly view = inject(OccasionView);
  private readonly units = inject(Units);

  protected readonly answers = computed(() => {
    const [plan, occasion] = [this.view.plan(), this.view.occasion()];
    const system = this.units.system();
    if (!plan || !occasion) return [];
    const { due } = occasion;
    const time = (seconds: number): string => text(seconds, 'duration', system);
    const several = occasion.stays.length > 1;
    const over = several ? plan.attendedS - plan.leastS : dueSeconds(due) - plan.leastS - plan.startS;
    const bound = several
      ? `with these melts none can be shorter${over < NEAR_S ? '' : ` than ${time(plan.leastS)}`}`
      : `it cannot start later${over < NEAR_S ? '' : ` than ${timeText(plan.startS + over, due.zone)}`}`;
    const kg = plan.bowls.reduce((sum, bowl) => sum + bowl.kg, 0);
    const longest = [...plan.free].sort((a, b) => b.to - b.from - (a.to - a.from)).at(0);
    const late = plan.startS < this.view.clock.seconds();
    // Over several days a time by itself would be taken for one of the same day.
    const days = dayText(plan.startS, due.zone) !== dayText(plan.readyS, due.zone);
    return [
      {
        name: 'Start',
        figure: timeText(plan.startS, due.zone),
        said: `${dayText(plan.startS, due.zone)}${late ? ': that has passed' : ''}`,
      },
      {
        name: 'Ready',
        figure: (days ? weekdayTimeText : timeText)(plan.readyS, due.zone),
        said: `wanted by ${dueText(due)}`,
      },
      {
        name: several ? 'In the kitchen' : 'From start to end',
        figure: time(several ? plan.attendedS : plan.readyS - plan.startS),
        said: bound,
      },
      {
        name: 'By hand',
        figure: time(plan.handsOnS),
        said: `each by itself, one after the other: ${time(plan.apartS)}`,
      },
      {
        name: several ? 'Free in a stay' : 'Free',
        figure: longest ? time(longest.to - longest.from) : 'none',
        said: longest ? `the longest: ${fromToText(longest, due.zone)}` : 'no quarter of an hour',
      },
      {
        name: 'Melt',
        figure: text(kg, 'mass', system),
        said: `in ${plan.bowls.length} ${plan.bowls.length === 1 ? 'bowl' : 'bowls'}`,
      },
    ];
  });
}
