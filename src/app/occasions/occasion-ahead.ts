import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import type { Ahead, AheadStep } from '../../core/occasion/ahead';
import type { Casting } from '../../core/record/casting';
import { letterOf } from '../wording/occasion';
import { dayText, timeText } from '../wording/times';
import { OccasionView } from './occasion-view';

const STEP_NAMES: Readonly<Record<AheadStep, string>> = {
  make: 'Make',
  cast: 'Cast',
  fill: 'Fill and close',
  finish: 'Finish',
};

/** What of each casting can be done ahead, from which day on, and until when it is begun at the latest. */
@Component({
  selector: 'ks-occasion-ahead',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2>What can be done ahead</h2>
    <ul>
      @for (row of rows(); track row.id) {
        <li>
          <span
            ><b>{{ row.letter }}</b> {{ row.name }}</span
          >
          <ul>
            @for (line of row.lines; track $index) {
              <li>
                {{ line.what }} <span>{{ line.when }}</span>
              </li>
            }
          </ul>
        </li>
      }
    </ul>
    <p class="plain">
      From the day on from which it is still at its best at the event. Begun by the end, it is ready just in time by one
      pair of hands that has nothing else to do. Empty shells wait dry and cool, what holds cream in the cold. Common
      practice; the maker’s date comes first.
    </p>
  `,
  styleUrl: './occasion-ahead.less',
})
export class OccasionAhead {
  private readonly view = inject(OccasionView);
  protected readonly rows = computed(() =>
    this.view.castings().map((casting, i) => ({
      id: casting.id,
      name: casting.name,
      letter: letterOf(i),
      lines: (this.view.plan()?.ahead ?? [])
        .filter(({ castingId }) => castingId === casting.id)
        .map((one) => this.line(one, casting)),
    })),
  );

  private line({ step, fillingId, fromS, untilS }: Ahead, { fillings }: Casting) {
    const zone = this.view.zone();
    const filling = fillings.find(({ id }) => id === fillingId);
    const until = `${dayText(untilS, zone)}, ${timeText(untilS, zone)}`;
    return {
      what: filling ? `${STEP_NAMES[step]} ${filling.name}` : STEP_NAMES[step],
      when: `${dayText(fromS, zone)} to ${until}`,
    };
  }
}
