import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import type { PantryTint } from '../../core/record/chocolate';
import { tintAmounts } from '../../core/record/melted';
import { Pantry } from '../state/pantry';
import { Units } from '../state/units';
import { AmountField } from '../ui/amount-field';
import { text } from '../wording/format';
import { wafersText } from '../wording/pantry';

const USUAL_KG = 0.3;
/** A chocolate that is not in the pantry any more. */
const UNKNOWN_COLOUR = '#e0d8cc';

/** How much of each goes into the amount of a tint that is wanted. */
@Component({
  selector: 'ks-tint-amounts',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [AmountField],
  template: `
    <div class="wanted">
      <ks-amount-field
        label="Amount wanted"
        [value]="wantedKg()"
        limit="amountKg"
        (amount)="wantedKg.set($event.value)"
      />
    </div>
    <div class="bar" aria-hidden="true">
      @for (row of scaled(); track $index) {
        <i [style.flex-basis]="row.share" [style.background]="row.colour"></i>
      }
    </div>
    <table>
      <caption class="unseen">
        Amounts of the tint
      </caption>
      <tbody>
        @for (row of scaled(); track $index) {
          <tr>
            <th scope="row">{{ row.name }}</th>
            <td>{{ row.amount }}</td>
          </tr>
        }
      </tbody>
    </table>
  `,
  styleUrl: './tint-amounts.less',
})
export class TintAmounts {
  private readonly pantry = inject(Pantry);
  private readonly units = inject(Units);

  readonly tint = input.required<PantryTint>();
  /** What its chocolates are called. */
  readonly names = input.required<readonly { readonly value: string; readonly name: string }[]>();

  protected readonly wantedKg = signal(USUAL_KG);
  protected readonly scaled = computed(() => {
    const { chocolates, colours, colour } = this.tint();
    const { chocolatesKg, coloursKg } = tintAmounts(this.tint(), this.wantedKg());
    const rows = [
      ...chocolates.map(({ chocolateId }, i) => {
        const chocolate = this.pantry.chocolates().find(({ id }) => id === chocolateId);
        return {
          name: this.names().find(({ value }) => value === chocolateId)?.name ?? '',
          kg: chocolatesKg[i],
          colour: chocolate?.colour ?? UNKNOWN_COLOUR,
          counted: chocolate?.kind === 'compound' ? wafersText(chocolatesKg[i]) : '',
        };
      }),
      ...colours.map(({ name }, i) => ({ name, kg: coloursKg[i], colour, counted: '' })),
    ];
    return rows.map((row) => ({
      ...row,
      share: `${(100 * row.kg) / this.wantedKg()}%`,
      amount: text(row.kg, 'mass', this.units.system()) + row.counted,
    }));
  });
}
