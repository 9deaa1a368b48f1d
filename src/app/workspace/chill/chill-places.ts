import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { NzButtonComponent } from 'ng-zorro-antd/button';
import { UNITS } from '../../../core/quantity/units';
import { restFirst, setIn, stayFor, stayOn } from '../../../core/edit/sets';
import type { Place } from '../../../core/record/choices';
import { placeOf, restsOf } from '../../../core/record/sets';
import { OpenPart } from '../../state/open-part';
import { PlanService } from '../../state/plan-service';
import { coatNameIn } from '../../wording/coats';
import { SetFields } from '../setting/set-fields';
import { AmountField } from '../../ui/amount-field';
import { FieldScope } from '../../ui/field-scope';

/** Out of the cold it stands on the bench for so long before it is turned out, s. Common practice, no source: 5 to 10 min. */
const STANDS_AFTER_S = 5 * 60;

/** Where each coat sets: what it rests in first, and for how long where the cook knows better. */
@Component({
  selector: 'ks-chill-places',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [AmountField, FieldScope, NzButtonComponent, SetFields],
  templateUrl: './chill-places.html',
  styleUrl: '../station.less',
  styles: ':host { display: grid; gap: 10px; }',
})
export class ChillPlaces {
  private readonly open = inject(OpenPart);
  private readonly plan = inject(PlanService).plan;
  protected readonly minute = UNITS.minute;
  protected readonly usualThenS = STANDS_AFTER_S;
  /** Coats of the record; further ones that a wanted thickness asks for follow the last. */
  protected readonly rows = computed(() => {
    const plan = this.plan();
    if (!plan) return [];
    return plan.chill.coats.slice(0, plan.part.coats.length).map(({ stay, overruled }, index) => ({
      index,
      field: `${plan.part.id} coat ${index}`,
      name: coatNameIn(plan.coatsMade, index),
      place: placeOf(plan.coatsMade[index]),
      restSeconds: restsOf(plan.coatsMade[index]).reduce((sum, { seconds }) => sum + seconds, 0),
      staySeconds: stay.value,
      overruled,
      last: index === Math.min(plan.chill.coats.length, plan.part.coats.length) - 1,
      thenSeconds: plan.coatsMade[index].then.reduce((sum, { seconds }) => sum + seconds, 0),
    }));
  });

  protected setPlace(index: number, place: Place): void {
    this.open.edit('where it sets', ({ coats }) => setIn(coats[index], place));
  }

  /** Undefined for the computed time. */
  protected setOwn(index: number, seconds: number | undefined): void {
    this.open.edit(
      'own interval',
      ({ coats }) => stayFor(coats[index], seconds),
      seconds === undefined ? undefined : `own ${index}`,
    );
  }

  /** Stays on in the room once it has set, or not for 0 s. */
  protected setThen(index: number, seconds: number): void {
    this.open.edit('stays on', ({ coats }) => stayOn(coats[index], { place: 'room', seconds }), `then ${index}`);
  }

  /** Rests in the room before its place, or not for 0 s. */
  protected setRest(index: number, seconds: number): void {
    this.open.edit('rest first', ({ coats }) => restFirst(coats[index], seconds), `rest ${index}`);
  }
}
