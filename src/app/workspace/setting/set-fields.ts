import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';
import { NzButtonComponent } from 'ng-zorro-antd/button';
import { UNITS } from '../../../core/quantity/units';
import { PLACES, type Place } from '../../../core/record/choices';
import { RESTS_S } from '../../../core/record/sets';
import { AmountField } from '../../ui/amount-field';
import { Pick } from '../../ui/pick';
import { PLACE_NAMES } from '../../wording/names';

/** Where a coat or a cap sets: what it rests in first, and for how long where the cook knows better. */
@Component({
  selector: 'ks-set-fields',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [AmountField, NzButtonComponent, Pick],
  templateUrl: './set-fields.html',
  styleUrl: '../station.less',
})
export class SetFields {
  /** What sets, as "Coat 1". */
  readonly name = input.required<string>();
  readonly place = input.required<Place>();
  readonly restSeconds = input.required<number>();
  readonly staySeconds = input.required<number>();
  /** The stay is the cook's own. */
  readonly overruled = input.required<boolean>();
  readonly placed = output<Place>();
  /** 0 for no rest. */
  readonly rested = output<number>();
  /** Undefined for the computed time. */
  readonly own = output<number | undefined>();
  protected readonly minute = UNITS.minute;
  protected readonly usualRestS = RESTS_S;
  protected readonly places = PLACES.map((value) => ({ value, name: PLACE_NAMES[value] }));
}
