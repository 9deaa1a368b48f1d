import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { NzButtonComponent } from 'ng-zorro-antd/button';
import { usualShare } from '../../core/melt/microwave';
import { kitchenCalibration } from '../../core/plan/melts';
import { UNITS } from '../../core/quantity/units';
import type { StoredKitchen } from '../../core/record/kitchen';
import { Kitchens } from '../state/kitchens';
import { Units } from '../state/units';
import { AmountField } from '../ui/amount-field';
import { text } from '../wording/format';
import { KITCHEN_NAMES } from '../wording/names';

type Test = NonNullable<StoredKitchen['microwaveTest']>;
const FIRST_TEST: Test = { kg: 0.2, seconds: 90, endC: 38 };

/** The microwave, and what it really gives by a weight that was melted in it. */
@Component({
  selector: 'ks-kitchen-microwave',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [AmountField, NzButtonComponent],
  templateUrl: './kitchen-microwave.html',
  styleUrls: ['./kitchen-section.less', './kitchen-microwave.less'],
})
export class KitchenMicrowave {
  private readonly kitchens = inject(Kitchens);
  private readonly units = inject(Units);
  protected readonly kitchen = this.kitchens.kitchen;
  protected readonly second = UNITS.second;
  protected readonly gram = UNITS.gram;
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
      odd: share > 0.75 ? 'much' : share < 0.06 ? 'little' : '',
    };
  });

  protected setPower(watts: number): void {
    this.kitchens.change(KITCHEN_NAMES.microwaveW, (kitchen) => (kitchen.microwaveW = watts));
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
}
