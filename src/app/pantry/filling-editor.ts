import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { allergensOf } from '../../core/fill/recipe';
import { pieceWidthM } from '../../core/fill/packing';
import { FILLING_KINDS, FILLING_MATTER, type FillingKind } from '../../core/matter/filling';
import { UNITS } from '../../core/quantity/units';
import { ALLERGENS, type Allergen } from '../../core/record/choices';
import type { PantryFilling } from '../../core/record/filling';
import { Pantry } from '../state/pantry';
import { Units } from '../state/units';
import { AmountField } from '../ui/amount-field';
import { ChoiceList } from '../ui/choice-list';
import { Ticks } from '../ui/ticks';
import { KEEPING_TEXTS } from '../wording/closing';
import { text } from '../wording/format';
import { ALLERGEN_NAMES, FILLING_NAMES, listed } from '../wording/names';
import { RecipeEditor } from './recipe-editor';
import { StockFields } from './stock-fields';
import { FieldScope } from '../ui/field-scope';

/** A filling of the pantry: what kind it is, how it takes up space, what it is mixed of, what is there of it. */
@Component({
  selector: 'ks-filling-editor',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [AmountField, ChoiceList, FieldScope, RecipeEditor, StockFields, Ticks],
  templateUrl: './filling-editor.html',
  styleUrls: ['./chocolate-editor.less', './tint-editor.less'],
})
export class FillingEditor {
  private readonly pantry = inject(Pantry);
  private readonly units = inject(Units);

  readonly filling = input.required<PantryFilling>();

  protected readonly gram = UNITS.gram;
  protected readonly kinds = FILLING_KINDS.map((value) => ({ value, name: FILLING_NAMES[value] }));
  protected readonly allergens = ALLERGENS.map((value) => ({ value, name: ALLERGEN_NAMES[value] }));
  protected readonly inPieces = computed(() => FILLING_MATTER[this.filling().kind].pieceKg !== undefined);
  protected readonly pieceText = computed(() => {
    const width = pieceWidthM(this.filling());
    return width === undefined
      ? ''
      : `about ${text(width, 'length', this.units.system())} across; larger ones lie looser in a small shell`;
  });
  protected readonly keeping = computed(() => KEEPING_TEXTS[FILLING_MATTER[this.filling().kind].keeping]);
  protected readonly inedible = computed(() => FILLING_MATTER[this.filling().kind].inedible ?? false);
  protected readonly carried = computed(() => {
    const all = allergensOf(this.pantry.fillings(), this.pantry.chocolates(), this.filling());
    const inner = all.filter((allergen) => !this.filling().allergens.includes(allergen));
    return inner.length
      ? `From the recipe it also contains ${listed(inner.map((allergen) => ALLERGEN_NAMES[allergen]))}.`
      : '';
  });

  protected setKind(kind: FillingKind): void {
    this.edit('kind of filling', (filling) => {
      filling.kind = kind;
      const { bulkDensity, pieceKg } = FILLING_MATTER[kind];
      filling.bulkDensity = bulkDensity;
      if (pieceKg === undefined) delete filling.pieceKg;
      else filling.pieceKg = pieceKg;
    });
  }

  protected setNumber(key: 'bulkDensity' | 'pieceKg', value: number): void {
    this.edit(key === 'pieceKg' ? 'weight of one' : 'density', (filling) => (filling[key] = value), key);
  }

  protected setAllergens(allergens: Allergen[]): void {
    this.edit('allergens', (filling) => (filling.allergens = allergens));
  }

  private edit(label: string, change: (filling: PantryFilling) => void, gesture?: string): void {
    const { id } = this.filling();
    this.pantry.edit(
      id,
      label,
      (entry) => {
        if (entry.entry === 'filling') change(entry);
      },
      gesture && `${id} ${gesture}`,
    );
  }
}
