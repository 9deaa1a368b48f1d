import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { FOUND_FOR_THICKNESS, numbersOf, type CoatNumber } from '../../../core/record/method';
import { UNITS } from '../../../core/quantity/units';
import { OpenPart } from '../../state/open-part';
import { PlanService } from '../../state/plan-service';
import { AmountField } from '../../ui/amount-field';
import { COAT_NUMBER_WORDS, coatNumberName } from '../../wording/coats';

/** The numbers that the open part's coats are made by, as their method asks for them. */
@Component({
  selector: 'ks-coat-numbers',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [AmountField],
  template: `
    <div [class.pair]="numbers().length === 2" [class.trio]="numbers().length === 3">
      @for (number of numbers(); track number.key) {
        <ks-amount-field
          [label]="number.label"
          [value]="number.value"
          [unit]="number.unit"
          [limit]="number.key"
          (amount)="set(number.key, $event.value)"
        />
      }
    </div>
  `,
  styleUrl: '../station.less',
})
export class CoatNumbers {
  private readonly open = inject(OpenPart);
  private readonly plan = inject(PlanService).draft;

  protected readonly numbers = computed(() => {
    const plan = this.plan();
    if (!plan) return [];
    const { part, coatsMade } = plan;
    const aimed = part.coatsBy.by === 'thickness';
    const { method } = coatsMade[coatsMade.length - 1];
    return numbersOf(method)
      .filter((key) => !aimed || !FOUND_FOR_THICKNESS.includes(key))
      .map((key) => ({
        key,
        label: coatNumberName(key, method),
        unit: key === 'doseM3' ? UNITS.teaspoon : undefined,
        // The time to stand that was chosen, where a wanted thickness asks for another.
        value: (key === 'dwellSeconds' ? part.coats : coatsMade)[0][key],
      }));
  });

  protected set(key: CoatNumber, value: number): void {
    this.open.edit(COAT_NUMBER_WORDS[key].change, ({ coats }) => coats.forEach((coat) => (coat[key] = value)), key);
  }
}
