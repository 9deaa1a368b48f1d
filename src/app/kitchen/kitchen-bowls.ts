import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { LucideX } from '@lucide/angular';
import { NzButtonComponent } from 'ng-zorro-antd/button';
import { BOWL_MATERIALS, BOWL_MATTER, type BowlMaterial } from '../../core/matter/bowl-material';
import { CHOCOLATE_MATTER } from '../../core/matter/chocolate';
import { mostInBowlKg } from '../../core/melt/bowl';
import { UNITS } from '../../core/quantity/units';
import { MOST } from '../../core/record/limits';
import { Kitchens } from '../state/kitchens';
import { newId } from '../state/new-id';
import { Units } from '../state/units';
import { AmountField } from '../ui/amount-field';
import { ChoiceList } from '../ui/choice-list';
import { TextField } from '../ui/text-field';
import { Tool } from '../ui/tool';
import { text } from '../wording/format';
import { BOWL_NAMES } from '../wording/names';
import { LONGEST_NAME, tidyName } from '../wording/naming';
import { FieldScope } from '../ui/field-scope';

/** The bowls at hand: what they are of, and how much they hold. */
@Component({
  selector: 'ks-kitchen-bowls',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [AmountField, ChoiceList, FieldScope, LucideX, NzButtonComponent, TextField, Tool],
  templateUrl: './kitchen-bowls.html',
  styleUrls: ['./kitchen-section.less', './kitchen-bowls.less'],
})
export class KitchenBowls {
  private readonly kitchens = inject(Kitchens);
  private readonly units = inject(Units);
  protected readonly most = MOST.bowls;
  protected readonly gram = UNITS.gram;
  protected readonly materials = BOWL_MATERIALS.map((value) => ({ value, name: BOWL_NAMES[value] }));
  protected readonly bowls = computed(() =>
    this.kitchens.kitchen().bowls.map((bowl) => ({
      bowl,
      holds: `up to ${text(mostInBowlKg(bowl, CHOCOLATE_MATTER.dark.meltedDensity), 'mass', this.units.system())} of chocolate${BOWL_MATTER[bowl.material].microwave ? '' : ', not for the microwave'}`,
    })),
  );

  protected setName(index: number, name: string): void {
    const tidy = tidyName(name).slice(0, LONGEST_NAME);
    if (tidy) this.kitchens.change('name of a bowl', (kitchen) => (kitchen.bowls[index].name = tidy));
  }

  protected setMaterial(index: number, material: BowlMaterial): void {
    this.kitchens.change('bowl', (kitchen) => (kitchen.bowls[index].material = material));
  }

  protected set(index: number, key: 'kg' | 'diameterM', value: number): void {
    this.kitchens.change(
      key === 'kg' ? 'weight of a bowl' : 'width of a bowl',
      (kitchen) => (kitchen.bowls[index][key] = value),
      `bowl ${index} ${key}`,
    );
  }

  protected add(): void {
    this.kitchens.change('bowl', (kitchen) => {
      const n = kitchen.bowls.length + 1;
      kitchen.bowls.push({ id: newId().slice(0, 8), name: `Bowl ${n}`, material: 'glass', kg: 0.5, diameterM: 0.2 });
    });
  }

  protected drop(index: number): void {
    this.kitchens.change('bowl taken out', (kitchen) => {
      if (kitchen.bowls.length > 1) kitchen.bowls.splice(index, 1);
    });
  }
}
