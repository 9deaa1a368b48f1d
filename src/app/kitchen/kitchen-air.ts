import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { dewPointC } from '../../core/chill/dew-point';
import { Kitchens } from '../state/kitchens';
import { Units } from '../state/units';
import { AmountField } from '../ui/amount-field';
import { Pick } from '../ui/pick';
import { TextField } from '../ui/text-field';
import { text } from '../wording/format';
import { KITCHEN_NAMES } from '../wording/names';

const LONGEST_CURRENCY = 5;

/** The room and its cold places as they are, and what figures are written in. */
@Component({
  selector: 'ks-kitchen-air',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [AmountField, Pick, TextField],
  templateUrl: './kitchen-air.html',
  styleUrl: './kitchen-section.less',
})
export class KitchenAir {
  private readonly kitchens = inject(Kitchens);
  protected readonly units = inject(Units);
  protected readonly kitchen = this.kitchens.kitchen;
  protected readonly longest = LONGEST_CURRENCY;
  protected readonly airs = [
    { value: 'still' as const, name: 'still air' },
    { value: 'fan' as const, name: 'a fan in it' },
  ];
  protected readonly systems = [
    { value: 'metric' as const, name: 'g, mm, °C' },
    { value: 'us' as const, name: 'oz, in, °F' },
  ];
  protected readonly dew = computed(() => {
    const { roomC, humidity } = this.kitchen();
    return `A piece colder than ${text(dewPointC(roomC, humidity), 'temperature', this.units.system())} sweats in this room.`;
  });

  protected set(key: 'roomC' | 'humidity' | 'fridgeC' | 'freezerC', value: number): void {
    this.kitchens.change(KITCHEN_NAMES[key], (kitchen) => (kitchen[key] = value));
  }

  protected setFan(key: 'fridgeFan' | 'freezerFan', air: 'still' | 'fan'): void {
    this.kitchens.change(KITCHEN_NAMES[key], (kitchen) => (kitchen[key] = air === 'fan'));
  }

  protected setCurrency(currency: string): void {
    const tidy = currency.trim().slice(0, LONGEST_CURRENCY);
    if (tidy) this.kitchens.change('currency', (kitchen) => (kitchen.currency = tidy));
  }
}
