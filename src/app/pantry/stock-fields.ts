import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import type { PantryChocolate } from '../../core/record/chocolate';
import type { PantryFilling } from '../../core/record/filling';
import type { PantryGoods } from '../../core/record/goods';
import { Kitchens } from '../state/kitchens';
import { Pantry } from '../state/pantry';
import { AmountField } from '../ui/amount-field';
import { MomentField } from '../ui/moment-field';
import { TextField } from '../ui/text-field';
import { UNPRICED_TEXT } from '../wording/pantry';

type Stocked = PantryChocolate | PantryFilling | PantryGoods;
const LONGEST_LOT = 60;

/** What is there of something in the pantry, in what packs it comes, and how long it keeps. */
@Component({
  selector: 'ks-stock-fields',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [AmountField, MomentField, TextField],
  template: `
    @let e = entry();
    <h2>What is there of it</h2>
    <div class="pair">
      <ks-amount-field
        label="In stock"
        [value]="e.stockKg"
        limit="stockKg"
        (amount)="setNumber('stockKg', $event.value)"
      />
      <ks-amount-field
        label="Size of a pack"
        [value]="e.packKg"
        limit="packKg"
        (amount)="setNumber('packKg', $event.value)"
      />
      <ks-amount-field
        [label]="'A pack costs, ' + currency()"
        [value]="e.packPrice ?? 0"
        [hint]="e.packPrice === undefined ? unpriced : ''"
        limit="packPrice"
        (amount)="setNumber('packPrice', $event.value)"
      />
      <ks-moment-field
        label="Best before"
        [value]="e.bestBefore ?? ''"
        [withTime]="false"
        (moment)="setBestBefore($event)"
      />
      @if (e.entry === 'chocolate') {
        <ks-text-field label="Lot" [value]="e.lot" [longest]="longestLot" (entered)="setLot($event)" />
      }
    </div>
  `,
  styleUrl: './stock-fields.less',
})
export class StockFields {
  private readonly pantry = inject(Pantry);
  private readonly kitchens = inject(Kitchens);

  readonly entry = input.required<Stocked>();
  protected readonly longestLot = LONGEST_LOT;
  protected readonly unpriced = UNPRICED_TEXT;
  protected readonly currency = computed(() => this.kitchens.kitchen().currency);

  protected setNumber(key: 'stockKg' | 'packKg' | 'packPrice', value: number): void {
    this.edit(key === 'stockKg' ? 'stock' : 'pack', (entry) => (entry[key] = value), key);
  }

  protected setBestBefore(day: string): void {
    this.edit('best before', (entry) => {
      if (day) entry.bestBefore = day;
      else delete entry.bestBefore;
    });
  }

  protected setLot(lot: string): void {
    this.edit('lot', (entry) => {
      if (entry.entry === 'chocolate') entry.lot = lot.slice(0, LONGEST_LOT);
    });
  }

  private edit(label: string, change: (entry: Stocked) => void, gesture?: string): void {
    const { id } = this.entry();
    this.pantry.edit(
      id,
      label,
      (entry) => {
        if (entry.entry !== 'tint' && entry.entry !== 'supply') change(entry);
      },
      gesture && `${id} ${gesture}`,
    );
  }
}
