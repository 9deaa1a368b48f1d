import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { inWholeMinutes, SOFT_BELOW, type PlaceAnswers } from '../../../core/chill/chill-answers';
import { WORKING_RULES } from '../../../core/matter/working-rules';
import { PlanService } from '../../state/plan-service';
import { Figure } from '../../ui/figure';
import { Pick } from '../../ui/pick';
import { coatNameIn } from '../../wording/coats';
import { PLACE_NAMES } from '../../wording/names';

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
          <th scope="col">touch-set</th>
          <th scope="col">unmold</th>
          <th scope="col">latest</th>
          <th scope="col">mind</th>
        </tr>
      </thead>
      <tbody>
        @for (place of places(); track place.place) {
          <tr [class.chosen]="place.place === chosen()">
            <th scope="row">{{ names[place.place] }}{{ place.place === chosen() ? ', chosen' : '' }}</th>
            <td><ks-figure [answer]="kept(place.touch)" /></td>
            <td><ks-figure [answer]="kept(place.unmold)" /></td>
            <td><ks-figure [answer]="place.latest" /></td>
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
  /** As the plan keeps them, so that both say the same minutes. */
  protected readonly kept = inWholeMinutes;
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
  protected readonly places = computed(() => this.coat()?.places ?? []);
  protected readonly chosen = computed(() => this.coat()?.chosen.place);

  protected risk({ place, equilibrium, unmold }: PlaceAnswers): string {
    if (equilibrium < WORKING_RULES.unmoldSet) return 'too warm to set';
    if (!Number.isFinite(unmold.value)) return 'will not let go';
    if (equilibrium < SOFT_BELOW) return 'sets softly';
    return place === 'freezer'
      ? 'damp, if left too long'
      : place === 'fridge'
        ? 'damp, if left until cold'
        : 'slow, never damp';
  }
}
