import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { LucideX } from '@lucide/angular';
import { NzButtonComponent } from 'ng-zorro-antd/button';
import { dewPointC } from '../../core/chill/dew-point';
import { BOWL_MATERIALS, BOWL_MATTER, type BowlMaterial } from '../../core/matter/bowl-material';
import { CHOCOLATE_MATTER } from '../../core/matter/chocolate';
import { mostInBowlKg } from '../../core/melt/bowl';
import { usualShare } from '../../core/melt/microwave';
import { kitchenCalibration } from '../../core/plan/melts';
import { UNITS } from '../../core/quantity/units';
import type { Casting } from '../../core/record/casting';
import type { StoredKitchen } from '../../core/record/kitchen';
import { CastingStore } from '../state/casting-store';
import { Kitchens, kitchenDiffers, takeKitchen } from '../state/kitchens';
import { newId } from '../state/new-id';
import { Units } from '../state/units';
import { AmountField } from '../ui/amount-field';
import { ChoiceList } from '../ui/choice-list';
import { Pick } from '../ui/pick';
import { UndoRedo } from '../ui/undo-redo';
import { text } from '../wording/format';
import { BOWL_NAMES, KITCHEN_NAMES } from '../wording/names';
import { LONGEST_NAME, tidyName } from '../wording/naming';
import { Tool } from '../ui/tool';
import { TextField } from '../ui/text-field';

type Measure = 'roomC' | 'humidity' | 'fridgeC' | 'freezerC' | 'microwaveW';
type Test = NonNullable<StoredKitchen['microwaveTest']>;
const FIRST_TEST: Test = { kg: 0.2, seconds: 90, endC: 38 };

/** Where the work is done: air and cold places, the microwave and what it really gives, bowls, units and currency. */
@Component({
  selector: 'ks-kitchen-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [AmountField, ChoiceList, LucideX, NzButtonComponent, Pick, TextField, Tool, UndoRedo],
  templateUrl: './kitchen-page.html',
  styleUrl: './kitchen-page.less',
})
export class KitchenPage {
  protected readonly kitchens = inject(Kitchens);
  private readonly store = inject(CastingStore);
  protected readonly units = inject(Units);
  protected readonly second = UNITS.second;
  protected readonly gram = UNITS.gram;
  protected readonly kitchen = this.kitchens.kitchen;
  protected readonly airs = [
    { value: 'still' as const, name: 'still air' },
    { value: 'fan' as const, name: 'a fan in it' },
  ];
  protected readonly systems = [
    { value: 'metric' as const, name: 'g, mm, °C' },
    { value: 'us' as const, name: 'oz, in, °F' },
  ];
  protected readonly materials = BOWL_MATERIALS.map((value) => ({ value, name: BOWL_NAMES[value] }));

  protected readonly dew = computed(() => {
    const { roomC, humidity } = this.kitchen();
    return `A piece colder than ${text(dewPointC(roomC, humidity), 'temperature', this.units.system())} sweats in this room.`;
  });
  protected readonly calibration = computed(() => {
    const kitchen = this.kitchen();
    const test = kitchen.microwaveTest;
    if (!test) return undefined;
    const { share, factor, heatJ } = kitchenCalibration(kitchen, test);
    const percent = (x: number): string => `${Math.round(x * 100)} %`;
    const system = this.units.system();
    return {
      share: percent(share),
      how: `${text(test.kg, 'mass', system)} of dark chocolate and its bowl took up ${(heatJ / 1000).toFixed(1)} kJ on the way from ${text(kitchen.roomC, 'temperature', system)} to ${text(test.endC, 'temperature', system)}; ${Math.round(kitchen.microwaveW)} W for ${Math.round(test.seconds)} s is ${((kitchen.microwaveW * test.seconds) / 1000).toFixed(0)} kJ.`,
      compared:
        Math.abs(factor - 1) < 0.08
          ? 'That is what most give to so much.'
          : factor > 1
            ? `That is ${percent(factor - 1)} more than most give to so much (${percent(usualShare(test.kg))}).`
            : `That is ${percent(1 - factor)} less than most give to so much (${percent(usualShare(test.kg))}).`,
      odd: share > 0.75 || share < 0.06,
    };
  });
  protected readonly bowls = computed(() =>
    this.kitchen().bowls.map((bowl) => ({
      bowl,
      holds: `up to ${text(mostInBowlKg(bowl, CHOCOLATE_MATTER.dark.meltedDensity), 'mass', this.units.system())} of chocolate${BOWL_MATTER[bowl.material].microwave ? '' : ', not for the microwave'}`,
    })),
  );
  /** Castings that were planned in another kitchen than this one. */
  protected readonly others = computed(() =>
    this.kitchens.loaded() ? this.store.castings().filter((casting) => kitchenDiffers(casting, this.kitchen())) : [],
  );

  protected set(key: Measure, value: number): void {
    this.kitchens.change(KITCHEN_NAMES[key], (kitchen) => (kitchen[key] = value));
  }

  protected setFan(key: 'fridgeFan' | 'freezerFan', air: 'still' | 'fan'): void {
    this.kitchens.change(
      key === 'fridgeFan' ? 'air in the fridge' : 'air in the freezer',
      (kitchen) => (kitchen[key] = air === 'fan'),
    );
  }

  protected calibrate(): void {
    this.kitchens.change('microwave test', (kitchen) => (kitchen.microwaveTest = { ...FIRST_TEST }));
  }

  protected setTest(key: keyof Test, value: number): void {
    this.kitchens.change('microwave test', (kitchen) => {
      if (kitchen.microwaveTest) kitchen.microwaveTest[key] = value;
    });
  }

  protected dropTest(): void {
    this.kitchens.change('microwave test', (kitchen) => delete kitchen.microwaveTest);
  }

  protected setCurrency(currency: string): void {
    const tidy = currency.trim().slice(0, 5);
    if (tidy) this.kitchens.change('currency', (kitchen) => (kitchen.currency = tidy));
  }

  protected setBowlName(index: number, name: string): void {
    const tidy = tidyName(name).slice(0, LONGEST_NAME);
    if (tidy) this.kitchens.change('name of a bowl', (kitchen) => (kitchen.bowls[index].name = tidy));
  }

  protected setBowlMaterial(index: number, material: BowlMaterial): void {
    this.kitchens.change('bowl', (kitchen) => (kitchen.bowls[index].material = material));
  }

  protected setBowl(index: number, key: 'kg' | 'diameterM', value: number): void {
    this.kitchens.change(
      key === 'kg' ? 'weight of a bowl' : 'width of a bowl',
      (kitchen) => (kitchen.bowls[index][key] = value),
      `bowl ${index} ${key}`,
    );
  }

  protected addBowl(): void {
    this.kitchens.change('bowl', (kitchen) => {
      const n = kitchen.bowls.length + 1;
      kitchen.bowls.push({ id: newId().slice(0, 8), name: `Bowl ${n}`, material: 'glass', kg: 0.5, diameterM: 0.2 });
    });
  }

  protected dropBowl(index: number): void {
    this.kitchens.change('bowl taken out', (kitchen) => {
      if (kitchen.bowls.length > 1) kitchen.bowls.splice(index, 1);
    });
  }

  protected takeOver(casting: Casting): void {
    this.store.editOne(casting.id, 'kitchen', (draft) => takeKitchen(draft, this.kitchen()));
  }
}
