import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import { LucideX } from '@lucide/angular';
import { NzButtonComponent } from 'ng-zorro-antd/button';
import { firmnessOf, heldShare } from '../../core/fill/firmness';
import { larderAllergens, swapsFor } from '../../core/fill/larder-allergens';
import { components, gathered, recipeKg } from '../../core/fill/recipe';
import { FILLING_MATTER } from '../../core/matter/filling';
import { KITCHEN_THINGS, kitchenThing, type KitchenThingKey } from '../../core/matter/kitchen-thing';
import type { Dimension } from '../../core/quantity/answer';
import { UNITS, type Unit } from '../../core/quantity/units';
import { circularRecipe, type Ingredient, type PantryFilling } from '../../core/record/filling';
import { LIMITS, type Limit } from '../../core/record/limits';
import { Kitchens } from '../state/kitchens';
import { Pantry } from '../state/pantry';
import { Units } from '../state/units';
import { AmountField, type TypedAmount } from '../ui/amount-field';
import { ChoiceList } from '../ui/choice-list';
import { TextField } from '../ui/text-field';
import { Tool } from '../ui/tool';
import { text } from '../wording/format';
import { FIRMNESS_TEXTS, makingOf, spoonsText, THING_NAMES } from '../wording/larder';
import type { Option } from '../wording/option';

const MOST_INGREDIENTS = 12;
const OTHER = 'other';
const TABLESPOON_M3 = 14.78676478125e-6;
/** A pan for what boils up holds so many times as much. Working rule. */
const HEADROOM = 3;
/** Measures that a recipe is written in, the largest first, and in what steps of each. */
const SPOONS = [
  { unit: UNITS.cup, step: 0.25 },
  { unit: UNITS.tablespoon, step: 0.5 },
  { unit: UNITS.teaspoon, step: 0.25 },
] as const;
/** What goes before the id of a chocolate, of a filling, and of a thing of the larder. */
const OF_CHOCOLATE = 'c:';
const OF_FILLING = 'f:';
const OF_LARDER = 'k:';

/** What a filling of the pantry is mixed of: by parts of weight, spoons, cups or pieces; what that makes, how it stands and how it is made. */
@Component({
  selector: 'ks-recipe-editor',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [AmountField, ChoiceList, LucideX, NzButtonComponent, TextField, Tool],
  templateUrl: './recipe-editor.html',
  styleUrls: ['./chocolate-editor.less', './tint-editor.less', './recipe-editor.less'],
})
export class RecipeEditor {
  private readonly pantry = inject(Pantry);
  private readonly kitchens = inject(Kitchens);
  private readonly units = inject(Units);

  readonly filling = input.required<PantryFilling>();

  protected readonly thingNames = THING_NAMES;
  protected readonly tablespoon = UNITS.tablespoon;
  protected readonly wantedKg = signal(0.3);
  protected readonly pieceM3 = signal(TABLESPOON_M3);
  /** Names of the circle that the last choice would have made. */
  protected readonly circle = signal('');
  /** What an ingredient can be: a chocolate, another filling, a thing of the larder, or something else by its name. */
  protected readonly things = computed<readonly Option<string>[]>(() => [
    { value: OTHER, name: 'something else' },
    ...KITCHEN_THINGS.map((key) => ({ value: OF_LARDER + key, name: THING_NAMES[key], group: 'larder' })),
    ...this.pantry.chocolates().map(({ id, name }) => ({ value: OF_CHOCOLATE + id, name, group: 'chocolates' })),
    ...this.pantry
      .fillings()
      .filter(({ id }) => id !== this.filling().id)
      .map(({ id, name }) => ({ value: OF_FILLING + id, name, group: 'fillings' })),
  ]);
  protected readonly full = computed(() => this.filling().recipe.length >= MOST_INGREDIENTS);
  /** Cooked in a pan, so that some of it boils away. */
  protected readonly cooked = computed(() => {
    const { kind, boilsAway = 0 } = this.filling();
    return boilsAway > 0 || (FILLING_MATTER[kind].warm === true && kind !== 'ganache' && kind !== 'nutButter');
  });
  protected readonly scaled = computed(() =>
    gathered(components(this.pantry.fillings(), this.filling(), this.wantedKg())).map(({ name, kg }) => ({
      name,
      amount: text(kg, 'mass', this.units.system()),
    })),
  );
  /** What the recipe makes as it is written, where it is written in measures; else what is wanted of it makes. */
  protected readonly makes = computed(() => {
    const filling = this.filling();
    const system = this.units.system();
    const written = filling.recipe.some(({ measure }) => measure !== undefined);
    const kg = written ? recipeKg(this.pantry.fillings(), filling) : this.wantedKg();
    const m3 = kg / filling.bulkDensity;
    const pieces = Math.floor(m3 / this.pieceM3() + 1e-9);
    const pan = this.cooked()
      ? ` Take a pan of ${text((HEADROOM * m3) / (1 - (filling.boilsAway ?? 0)), 'volume', system)} or more.`
      : '';
    return `${written ? 'As written it' : 'That'} makes ${text(kg, 'mass', system)}, ${text(m3, 'volume', system)}: ${pieces} pieces of ${spoonsText(this.pieceM3())}.${pan}`;
  });
  protected readonly stands = computed(() => {
    const { roomC, fridgeC } = this.kitchens.kitchen();
    const at = (celsius: number): string => {
      const held = heldShare(this.pantry.fillings(), this.pantry.chocolates(), this.filling(), celsius);
      return held === undefined ? '' : FIRMNESS_TEXTS[firmnessOf(held)];
    };
    return at(roomC)
      ? `At ${text(roomC, 'temperature', this.units.system())} it ${at(roomC)}; from the fridge it ${at(fridgeC)}. A working rule: stirring and resting shift it.`
      : '';
  });
  protected readonly making = computed(() => makingOf(this.filling().kind));

  protected thingOf({ chocolateId, fillingId, thing }: Ingredient): string {
    if (chocolateId !== undefined) return OF_CHOCOLATE + chocolateId;
    if (fillingId !== undefined) return OF_FILLING + fillingId;
    return thing === undefined ? OTHER : OF_LARDER + thing;
  }

  /** Spoons and cups stay what they were typed as. */
  protected unitOf({ measure }: Ingredient): Unit | undefined {
    if (measure?.by !== 'volume') return undefined;
    return SPOONS.find(({ unit, step }) => {
      const steps = measure.m3 / (unit.factor * step);
      return steps > 0.99 && Math.abs(steps - Math.round(steps)) < 0.01;
    })?.unit;
  }

  protected valueOf({ parts, measure }: Ingredient): number {
    if (!measure) return parts;
    return measure.by === 'mass' ? measure.kg : measure.by === 'volume' ? measure.m3 : measure.count;
  }

  protected limitsOf(part: Ingredient): readonly Limit[] {
    const counted = part.thing !== undefined && kitchenThing(part.thing).eachG !== undefined;
    const { tintParts, measureKg, measureM3, measureCount } = LIMITS;
    return [tintParts, measureKg, measureM3, ...(counted || part.measure?.by === 'count' ? [measureCount] : [])];
  }

  /** A cup of what is known by its name alone may weigh anything. */
  protected refusalOf({ thing, chocolateId, fillingId }: Ingredient): (value: number, dimension: Dimension) => string {
    return (_, dimension) =>
      dimension === 'volume' && thing === undefined && fillingId === undefined
        ? chocolateId === undefined
          ? 'What a cup of it weighs is not known here: choose it from the list, or weigh it.'
          : 'Chocolate is weighed. Chopped by the cup, take “Chocolate, chopped” from the list.'
        : '';
  }

  protected swapsOf({ thing }: Ingredient): readonly KitchenThingKey[] {
    return thing === undefined ? [] : swapsFor(thing);
  }

  /** A filling that would contain itself is refused; the ingredient stays what it was. */
  protected setThing(index: number, value: string): void {
    const next = this.ingredientOf(this.filling().recipe[index], value);
    const changed = { ...this.filling(), recipe: this.filling().recipe.map((part, i) => (i === index ? next : part)) };
    const circle = circularRecipe([changed, ...this.pantry.fillings().filter((one) => one.id !== changed.id)]);
    this.circle.set(circle ? circle.join(' → ') : '');
    if (!circle) this.edit('recipe', (filling) => (filling.recipe[index] = next));
  }

  protected setName(index: number, name: string): void {
    if (name.trim())
      this.edit('recipe', (filling) => (filling.recipe[index].name = name.trim().slice(0, 120)), `name ${index}`);
  }

  protected setMeasure(index: number, { value, dimension }: TypedAmount): void {
    const measures: Readonly<Partial<Record<Dimension, Ingredient['measure']>>> = {
      mass: { by: 'mass', kg: value },
      volume: { by: 'volume', m3: value },
      count: { by: 'count', count: value },
    };
    this.edit(
      'parts',
      (filling) => {
        const part = filling.recipe[index];
        const measure = measures[dimension];
        if (measure) part.measure = measure;
        else {
          delete part.measure;
          part.parts = value;
        }
      },
      `parts ${index}`,
    );
  }

  protected setBoilsAway(share: number): void {
    this.edit(
      'boils away',
      (filling) => {
        if (share > 0) filling.boilsAway = share;
        else delete filling.boilsAway;
      },
      'boils away',
    );
  }

  protected addIngredient(): void {
    this.edit(
      'recipe',
      (filling) => void filling.recipe.push({ name: THING_NAMES.cream, parts: 1, thing: 'cream', allergens: ['milk'] }),
    );
  }

  protected drop(index: number): void {
    this.circle.set('');
    this.edit('recipe', (filling) => void filling.recipe.splice(index, 1));
  }

  /** An ingredient made another thing: how much of it stays, unless that cannot be told of it. */
  private ingredientOf(before: Ingredient, value: string): Ingredient {
    const { parts, measure, name, allergens } = before;
    const id = value.slice(2);
    const kept = { parts, ...(measure && measure.by !== 'count' ? { measure } : {}) };
    if (value.startsWith(OF_LARDER)) {
      const thing = KITCHEN_THINGS.find((key) => key === id);
      if (!thing) return before;
      const counted = measure?.by === 'count' && kitchenThing(thing).eachG !== undefined ? { measure } : {};
      return { ...kept, ...counted, name: THING_NAMES[thing], thing, allergens: [...larderAllergens(thing)] };
    }
    const named = this.pantry.byId().get(id)?.name ?? name;
    const weighed = measure?.by === 'volume' ? { parts } : kept;
    if (value.startsWith(OF_CHOCOLATE)) return { ...weighed, name: named, allergens: [], chocolateId: id };
    if (value.startsWith(OF_FILLING)) return { ...kept, name: named, allergens: [], fillingId: id };
    return { ...weighed, name, allergens };
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
