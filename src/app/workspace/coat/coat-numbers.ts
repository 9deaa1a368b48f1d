import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { CHOCOLATE_MATTER } from '../../../core/matter/chocolate';
import { FOUND_FOR_THICKNESS, numbersOf, type CoatNumber } from '../../../core/record/method';
import { LIMITS, type Limit } from '../../../core/record/limits';
import { UNITS } from '../../../core/quantity/units';
import { OpenPart } from '../../state/open-part';
import { PlanService } from '../../state/plan-service';
import { Units } from '../../state/units';
import { AmountField, type TypedAmount } from '../../ui/amount-field';
import { COAT_NUMBER_WORDS, coatNumberName } from '../../wording/coats';
import { text } from '../../wording/format';

/** The numbers that coats of the open part are made by, as their method asks for them. */
@Component({
  selector: 'ks-coat-numbers',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [AmountField],
  template: `
    <div [class.pair]="numbers().length === 2" [class.trio]="numbers().length === 3">
      @for (number of numbers(); track number.key) {
        <ks-amount-field
          [label]="number.label"
          [field]="number.key"
          [value]="number.value"
          [unit]="number.unit"
          [limits]="number.limits"
          [hint]="number.hint"
          (amount)="set(number.key, $event)"
        />
      }
    </div>
  `,
  styleUrl: '../station.less',
})
export class CoatNumbers {
  private readonly open = inject(OpenPart);
  private readonly units = inject(Units);
  private readonly plan = inject(PlanService).draft;
  /** Which of the record's coats, as their places among them; all where it is left out. */
  readonly coats = input<readonly number[]>();

  /** Density of what is dosed, kg/m³. */
  private readonly density = computed(() => {
    const plan = this.plan();
    const kind = plan?.chocolates[this.coats()?.[0] ?? 0]?.kind ?? plan?.chocolates[0].kind ?? 'dark';
    return CHOCOLATE_MATTER[kind].meltedDensity;
  });
  protected readonly numbers = computed(() => {
    const plan = this.plan();
    if (!plan) return [];
    const { part, coatsMade } = plan;
    const aimed = part.coatsBy.by === 'thickness';
    const one = this.coats()?.[0];
    const told = coatsMade[one ?? coatsMade.length - 1] ?? coatsMade[coatsMade.length - 1];
    return numbersOf(told.method)
      .filter((key) => !aimed || !FOUND_FOR_THICKNESS.includes(key))
      .map((key) => {
        // The time to stand that was chosen, where a wanted thickness asks for another.
        const value = (key === 'dwellSeconds' ? part.coats : coatsMade)[one ?? 0][key];
        return {
          key,
          label: coatNumberName(key, told.method, one !== undefined),
          unit: key === 'doseM3' ? UNITS.teaspoon : undefined,
          limits: key === 'doseM3' ? this.doses() : [LIMITS[key]],
          hint: key === 'doseM3' ? `${text(value * this.density(), 'mass', this.units.system())}; spoons or grams` : '',
          value,
        };
      });
  });
  /** By the spoon or by weight. */
  private readonly doses = computed<readonly Limit[]>(() => {
    const { low, high } = LIMITS.doseM3;
    return [LIMITS.doseM3, { dimension: 'mass', low: low * this.density(), high: high * this.density() }];
  });

  protected set(key: CoatNumber, { value, dimension }: TypedAmount): void {
    const some = this.coats();
    const taken = dimension === 'mass' ? value / this.density() : value;
    this.open.edit(
      COAT_NUMBER_WORDS[key].change,
      ({ coats }) => (some ? some.map((i) => coats[i]) : coats).forEach((coat) => (coat[key] = taken)),
      `${key} ${some?.[0] ?? 'all'}`,
    );
  }
}
