import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { inWholeMinutes, SOFT_BELOW, type PlaceAnswers } from '../../../core/chill/chill-answers';
import { WORKING_RULES } from '../../../core/matter/working-rules';
import type { Answer } from '../../../core/quantity/answer';
import { PlanService } from '../../state/plan-service';
import { Figure } from '../../ui/figure';
import { Pick } from '../../ui/pick';
import { coatNameIn } from '../../wording/coats';
import { PLACE_NAMES } from '../../wording/names';

interface Column {
  readonly name: string;
  readonly of: (place: PlaceAnswers) => Answer;
}

/** Minutes as the plan keeps them, so that both say the same. */
const TOUCH: Column = { name: 'touch-set', of: ({ touch }) => inWholeMinutes(touch) };
const UNTIL_OUT: readonly Column[] = [
  TOUCH,
  { name: 'unmold', of: ({ unmold }) => inWholeMinutes(unmold) },
  { name: 'latest', of: ({ latest }) => latest },
];
const UNTIL_FILLED: readonly Column[] = [{ name: 'holds', of: ({ holds }) => inWholeMinutes(holds) }, TOUCH];

/** Fridge, freezer and room at a glance for any coat: minutes and what to mind. */
@Component({
  selector: 'ks-place-comparison',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [Figure, Pick],
  template: `
    @if (options().length > 1) {
      <ks-pick
        label="Which coat is compared"
        [showLabel]="false"
        [options]="options()"
        [value]="shown()"
        (chosen)="wanted.set($event)"
      />
    }
    <table>
      <caption class="unseen">
        Fridge, freezer and room for this coat
      </caption>
      <thead>
        <tr>
          <th scope="col">Place</th>
          @for (column of columns(); track column.name) {
            <th scope="col">{{ column.name }}</th>
          }
          <th scope="col">mind</th>
        </tr>
      </thead>
      <tbody>
        @for (place of places(); track place.place) {
          <tr [class.chosen]="place.place === chosen()">
            <th scope="row">{{ names[place.place] }}{{ place.place === chosen() ? ', chosen' : '' }}</th>
            @for (column of columns(); track column.name) {
              <td><ks-figure [answer]="column.of(place)" /></td>
            }
            <td>{{ risk(place) }}</td>
          </tr>
        }
      </tbody>
    </table>
  `,
  styleUrls: ['../station.less', './place-comparison.less'],
})
export class PlaceComparison {
  private readonly plan = inject(PlanService).plan;
  protected readonly names = PLACE_NAMES;
  protected readonly wanted = signal('');
  protected readonly options = computed(() =>
    (this.plan()?.chill.coats ?? []).map((_, i) => ({
      value: String(i + 1),
      name: coatNameIn(this.plan()?.coatsMade, i).toLowerCase(),
    })),
  );
  /** The coat asked for, or the last where it has gone. */
  protected readonly shown = computed(
    () => this.options().find((option) => option.value === this.wanted())?.value ?? String(this.options().length),
  );
  private readonly coat = computed(() => this.plan()?.chill.coats[Number(this.shown()) - 1]);
  /** What is filled in its mold has only to hold for that. */
  protected readonly columns = computed(() => (this.coat()?.until === 'holds' ? UNTIL_FILLED : UNTIL_OUT));
  protected readonly places = computed(() => this.coat()?.places ?? []);
  protected readonly chosen = computed(() => this.coat()?.chosen.place);

  protected risk({ place, equilibrium, holds, unmold }: PlaceAnswers): string {
    if (this.coat()?.until === 'holds') {
      if (!Number.isFinite(holds.value)) return 'too warm to hold';
    } else {
      if (equilibrium < WORKING_RULES.unmoldSet) return 'too warm to set';
      if (!Number.isFinite(unmold.value)) return 'will not let go';
      if (equilibrium < SOFT_BELOW) return 'sets softly';
    }
    return place === 'freezer'
      ? 'damp, if left too long'
      : place === 'fridge'
        ? 'damp, if left until cold'
        : 'slow, never damp';
  }
}
