import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import { LucideX } from '@lucide/angular';
import { NzButtonComponent } from 'ng-zorro-antd/button';
import { allergensOf, components, gathered } from '../../core/fill/recipe';
import { pieceWidthM } from '../../core/fill/packing';
import { FILLING_KINDS, FILLING_MATTER, type FillingKind } from '../../core/matter/filling';
import { UNITS } from '../../core/quantity/units';
import { ALLERGENS, type Allergen } from '../../core/record/choices';
import { circularRecipe, type Ingredient, type PantryFilling } from '../../core/record/filling';
import { Pantry } from '../state/pantry';
import { Units } from '../state/units';
import { AmountField } from '../ui/amount-field';
import { ChoiceList } from '../ui/choice-list';
import { Ticks } from '../ui/ticks';
import { KEEPING_TEXTS } from '../wording/closing';
import { text } from '../wording/format';
import { ALLERGEN_NAMES, FILLING_NAMES, listed } from '../wording/names';
import { Tool } from '../ui/tool';
import { TextField } from '../ui/text-field';
import { StockFields } from './stock-fields';
import { FieldScope } from '../ui/field-scope';

const MOST_INGREDIENTS = 12;
const OTHER = 'other';

/** A filling of the pantry: what kind it is, how it takes up space, what it is mixed of, what is there of it. */
@Component({
  selector: 'ks-filling-editor',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [AmountField, ChoiceList, FieldScope, LucideX, NzButtonComponent, StockFields, TextField, Ticks, Tool],
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
  protected readonly wantedKg = signal(0.3);
  /** Names of the circle that the last choice would have made. */
  protected readonly circle = signal('');
  protected readonly inPieces = computed(() => FILLING_MATTER[this.filling().kind].pieceKg !== undefined);
  protected readonly pieceText = computed(() => {
    const width = pieceWidthM(this.filling());
    return width === undefined
      ? ''
      : `about ${text(width, 'length', this.units.system())} across; larger ones lie looser in a small shell`;
  });
  protected readonly keeping = computed(() => KEEPING_TEXTS[FILLING_MATTER[this.filling().kind].keeping]);
  protected readonly inedible = computed(() => FILLING_MATTER[this.filling().kind].inedible ?? false);
  /** What an ingredient can be: a chocolate, another filling, or something else by its name. */
  protected readonly things = computed(() => [
    { value: OTHER, name: 'something else' },
    ...this.pantry.chocolates().map(({ id, name }) => ({ value: `c:${id}`, name })),
    ...this.pantry
      .fillings()
      .filter(({ id }) => id !== this.filling().id)
      .map(({ id, name }) => ({ value: `f:${id}`, name })),
  ]);
  protected readonly carried = computed(() => {
    const all = allergensOf(this.pantry.fillings(), this.pantry.chocolates(), this.filling());
    const inner = all.filter((allergen) => !this.filling().allergens.includes(allergen));
    return inner.length
      ? `From the recipe it also contains ${listed(inner.map((allergen) => ALLERGEN_NAMES[allergen]))}.`
      : '';
  });
  protected readonly scaled = computed(() =>
    gathered(components(this.pantry.fillings(), this.filling(), this.wantedKg())).map(({ name, kg }) => ({
      name,
      share: `${(100 * kg) / this.wantedKg()}%`,
      amount: text(kg, 'mass', this.units.system()),
    })),
  );
  protected readonly full = computed(() => this.filling().recipe.length >= MOST_INGREDIENTS);

  protected thingOf({ chocolateId, fillingId }: Ingredient): string {
    return chocolateId !== undefined ? `c:${chocolateId}` : fillingId !== undefined ? `f:${fillingId}` : OTHER;
  }

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

  /** A filling that would contain itself is refused; the ingredient stays what it was. */
  protected setThing(index: number, thing: string): void {
    const id = thing.slice(2);
    const [before] = [this.filling().recipe[index]];
    const named =
      thing.startsWith('c:') || thing.startsWith('f:')
        ? (this.pantry.byId().get(id)?.name ?? before.name)
        : before.name;
    const { parts, allergens } = before;
    const next: Ingredient = {
      name: named,
      parts,
      allergens: thing === OTHER ? allergens : [],
      ...(thing.startsWith('c:') ? { chocolateId: id } : thing.startsWith('f:') ? { fillingId: id } : {}),
    };
    const changed = { ...this.filling(), recipe: this.filling().recipe.map((part, i) => (i === index ? next : part)) };
    const circle = circularRecipe([changed, ...this.pantry.fillings().filter((one) => one.id !== changed.id)]);
    this.circle.set(circle ? circle.join(' → ') : '');
    if (!circle) this.edit('recipe', (filling) => (filling.recipe[index] = next));
  }

  protected setName(index: number, name: string): void {
    if (name.trim())
      this.edit('recipe', (filling) => (filling.recipe[index].name = name.trim().slice(0, 120)), `name ${index}`);
  }

  protected setParts(index: number, parts: number): void {
    this.edit('parts', (filling) => (filling.recipe[index].parts = parts), `parts ${index}`);
  }

  protected addIngredient(): void {
    this.edit('recipe', (filling) => void filling.recipe.push({ name: 'Cream', parts: 1, allergens: ['milk'] }));
  }

  protected drop(index: number): void {
    this.circle.set('');
    this.edit('recipe', (filling) => void filling.recipe.splice(index, 1));
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
