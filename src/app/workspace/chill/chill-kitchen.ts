import { ChangeDetectionStrategy, Component, inject } from '@angular/core';
import { CastingStore } from '../../state/casting-store';
import { AmountField } from '../../ui/amount-field';
import { KITCHEN_NAMES } from '../../wording/names';
import { KitchenOffer } from '../offers/kitchen-offer';

/** The kitchen that a casting was planned in, as far as the cold is concerned. */
@Component({
  selector: 'ks-chill-kitchen',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [AmountField, KitchenOffer],
  templateUrl: './chill-kitchen.html',
  styleUrl: '../station.less',
  styles: ':host { display: grid; gap: 10px; }',
})
export class ChillKitchen {
  private readonly store = inject(CastingStore);
  protected readonly casting = this.store.current;

  protected set(which: 'roomC' | 'humidity' | 'fridgeC' | 'freezerC', value: number): void {
    const label = KITCHEN_NAMES[which];
    this.store.edit(label, ({ kitchen }) => (kitchen[which] = value), label);
  }
}
