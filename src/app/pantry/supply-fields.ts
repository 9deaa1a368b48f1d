import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import type { PantrySupply } from '../../core/record/goods';
import { Kitchens } from '../state/kitchens';
import { Pantry } from '../state/pantry';
import { AmountField } from '../ui/amount-field';
import { ChoiceList } from '../ui/choice-list';
import { UNPRICED_TEXT } from '../wording/pantry';
import { SUPPLY_OPTIONS } from '../wording/supplies';

/** What is there of something that is counted, and how many are in a pack. */
@Component({
  selector: 'ks-supply-fields',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [AmountField, ChoiceList],
  template: `
    @let s = supply();
    <h2>What is there of it</h2>
    <div class="pair">
      <ks-choice-list label="Counted as" [options]="kinds" [value]="s.kind" (chosen)="setKind($event)" />
      @if (s.kind === 'stick') {
        <ks-amount-field
          label="How thick"
          [value]="s.thickM ?? usualM"
          limit="stickM"
          (amount)="setNumber('thickM', $event.value)"
        />
      }
      <ks-amount-field
        label="In stock"
        [whole]="true"
        [value]="s.stock"
        limit="supplyStock"
        (amount)="setNumber('stock', $event.value)"
      />
      <ks-amount-field
        label="In a pack"
        [whole]="true"
        [value]="s.pack"
        limit="supplyPack"
        (amount)="setNumber('pack', $event.value)"
      />
      <ks-amount-field
        [label]="'A pack costs, ' + currency()"
        [value]="s.packPrice ?? 0"
        [hint]="s.packPrice === undefined ? unpriced : ''"
        limit="packPrice"
        (amount)="setNumber('packPrice', $event.value)"
      />
    </div>
  `,
  styleUrl: './stock-fields.less',
})
export class SupplyFields {
  private readonly pantry = inject(Pantry);
  private readonly kitchens = inject(Kitchens);

  readonly supply = input.required<PantrySupply>();
  protected readonly kinds = SUPPLY_OPTIONS;
  protected readonly usualM = 0.004;
  protected readonly unpriced = UNPRICED_TEXT;
  protected readonly currency = computed(() => this.kitchens.kitchen().currency);

  protected setKind(kind: PantrySupply['kind']): void {
    this.edit('kind', (supply) => {
      supply.kind = kind;
      if (kind === 'stick') supply.thickM ??= this.usualM;
      else delete supply.thickM;
    });
  }

  protected setNumber(key: 'thickM' | 'stock' | 'pack' | 'packPrice', value: number): void {
    this.edit(key === 'stock' ? 'stock' : 'pack', (supply) => (supply[key] = value), key);
  }

  private edit(label: string, change: (supply: PantrySupply) => void, gesture?: string): void {
    const { id } = this.supply();
    this.pantry.edit(
      id,
      label,
      (entry) => {
        if (entry.entry === 'supply') change(entry);
      },
      gesture && `${id} ${gesture}`,
    );
  }
}
