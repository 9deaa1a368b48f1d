import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { NzButtonComponent } from 'ng-zorro-antd/button';
import { restFirst, setIn, stayFor } from '../../../core/edit/sets';
import { UNITS } from '../../../core/quantity/units';
import { PLACES, type Place } from '../../../core/record/choices';
import { placeOf, RESTS_S, restsOf } from '../../../core/record/sets';
import { OpenPart } from '../../state/open-part';
import { PlanService } from '../../state/plan-service';
import { AmountField } from '../../ui/amount-field';
import { Pick } from '../../ui/pick';
import { coatNameIn } from '../../wording/coats';
import { PLACE_NAMES } from '../../wording/names';

/** Where each coat sets: what it rests in first, and for how long where the cook knows better. */
@Component({
  selector: 'ks-chill-places',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [AmountField, NzButtonComponent, Pick],
  templateUrl: './chill-places.html',
  styleUrl: '../station.less',
  styles: ':host { display: grid; gap: 10px; }',
})
export class ChillPlaces {
  private readonly open = inject(OpenPart);
  private readonly plan = inject(PlanService).plan;
  protected readonly minute = UNITS.minute;
  protected readonly usualRestS = RESTS_S;
  protected readonly places = PLACES.map((value) => ({ value, name: PLACE_NAMES[value] }));
  /** Coats of the record; further ones that a wanted thickness asks for follow the last. */
  protected readonly rows = computed(() => {
    const plan = this.plan();
    if (!plan) return [];
    return plan.chill.coats.slice(0, plan.part.coats.length).map(({ stay, overruled }, index) => ({
      index,
      field: plan.casting.id + plan.part.id,
      name: coatNameIn(plan.coatsMade, index),
      place: placeOf(plan.coatsMade[index]),
      restSeconds: restsOf(plan.coatsMade[index]).reduce((sum, { seconds }) => sum + seconds, 0),
      staySeconds: stay.value,
      overruled,
    }));
  });

  protected setPlace(index: number, place: Place): void {
    this.open.edit('where it sets', ({ coats }) => setIn(coats[index], place));
  }

  protected setOwn(index: number, seconds: number): void {
    this.open.edit('own interval', ({ coats }) => stayFor(coats[index], seconds), `own ${index}`);
  }

  protected dropOwn(index: number): void {
    this.open.edit('own interval', ({ coats }) => stayFor(coats[index], undefined));
  }

  /** Rests in the room before its place, or not for 0 s. */
  protected setRest(index: number, seconds: number): void {
    this.open.edit('rest first', ({ coats }) => restFirst(coats[index], seconds), `rest ${index}`);
  }
}
