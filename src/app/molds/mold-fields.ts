import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { NzButtonComponent } from 'ng-zorro-antd/button';
import { MOLD_MATERIALS, MOLD_MATTER, type MoldMaterial } from '../../core/matter/mold-material';
import type { LibraryMold } from '../../core/record/mold';
import { careOf } from '../../core/record/mold-care';
import { MoldLibrary } from '../state/mold-library';
import { AmountField } from '../ui/amount-field';
import { ChoiceList } from '../ui/choice-list';
import { MATERIAL_NAMES, MATERIAL_SUITS } from '../wording/names';
import { CompositionFields } from './composition-fields';

/** What its numbers are called where a change of them is undone. */
const NUMBER_NAMES = { wallM: 'mold wall', atHand: 'molds at hand', emptyKg: 'weight of the empty mold' } as const;
/** Where noting a weight begins, kg. */
const USUAL_KG = 0.1;

/** The mold itself: what it is of, how many there are, and how its cavities come together. */
@Component({
  selector: 'ks-mold-fields',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [AmountField, ChoiceList, CompositionFields, NzButtonComponent],
  templateUrl: './mold-fields.html',
  styleUrl: './mold-part.less',
})
export class MoldFields {
  private readonly library = inject(MoldLibrary);

  readonly mold = input.required<LibraryMold>();

  protected readonly suits = computed(() => MATERIAL_SUITS[this.mold().material]);
  protected readonly usualKg = USUAL_KG;
  protected readonly materials = MOLD_MATERIALS.map((value) => ({ value, name: MATERIAL_NAMES[value] }));

  protected setMaterial(material: MoldMaterial): void {
    this.edit('material', (mold) => {
      mold.care = careOf(mold.material, mold.care, material);
      mold.material = material;
      mold.wallM = MOLD_MATTER[material].usualWallM;
    });
  }

  protected setNumber(key: keyof typeof NUMBER_NAMES, value: number): void {
    this.edit(NUMBER_NAMES[key], (mold) => (mold[key] = value), key);
  }

  protected setComposition(composition: LibraryMold['composition']): void {
    this.edit('how it comes together', (mold) => (mold.composition = composition), 'composition');
  }

  private edit(label: string, change: (mold: LibraryMold) => void, gesture?: string): void {
    const { id } = this.mold();
    this.library.edit(id, label, change, gesture && `${id} ${gesture}`);
  }
}
