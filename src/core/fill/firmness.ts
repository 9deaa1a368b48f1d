import { kitchenThing, solidFat, type KitchenFat } from '../matter/kitchen-thing';
import type { Chocolate } from '../record/chocolate';
import type { Filling, Ingredient } from '../record/filling';
import { ingredientKg } from './recipe';

/** How a filling stands, from the softest. */
export const FIRMNESSES = ['runs', 'oozes', 'pipes', 'firm'] as const;
export type Firmness = (typeof FIRMNESSES)[number];

/** What holds a filling, as a share of its weight, from which it is no longer the softer. Working rules. */
const FROM_HELD: Readonly<Record<Exclude<Firmness, 'runs'>, number>> = { oozes: 0.17, pipes: 0.26, firm: 0.33 };
/** Fat that has set makes a network; dry bits that lie in it hold less than it does. Working rule. */
const DRY_HOLDS = 0.6;
/** Fillings that stand by their fat: a custard stands by its egg, a caramel by what has boiled away. */
const BY_FAT: readonly Filling['kind'][] = ['ganache', 'nutButter'];
/** Water dissolves up to twice its weight of sugar at room temperature. From memory. */
const DISSOLVES = 2;
/** Dry matter of a chocolate that is sugar. From memory. */
const CHOCOLATE_SUGAR: Readonly<Record<Chocolate['kind'], number>> = {
  dark: 0.36,
  milk: 0.5,
  white: 0.55,
  compound: 0.5,
};

/** What a filling is made of, kg, or as shares. */
interface Composition {
  readonly kg: number;
  readonly water: number;
  readonly sugar: number;
  readonly fats: Readonly<Record<KitchenFat, number>>;
}

const NOTHING: Composition = { kg: 0, water: 0, sugar: 0, fats: { oil: 0, butter: 0, coconut: 0, cocoa: 0 } };

function plus(a: Composition, b: Composition, share = 1): Composition {
  const fat = (of: KitchenFat): number => a.fats[of] + share * b.fats[of];
  return {
    kg: a.kg + share * b.kg,
    water: a.water + share * b.water,
    sugar: a.sugar + share * b.sugar,
    fats: { oil: fat('oil'), butter: fat('butter'), coconut: fat('coconut'), cocoa: fat('cocoa') },
  };
}

type Chocolates = readonly Pick<Chocolate, 'id' | 'kind' | 'fatShare'>[];

/** What a kilogram of a filling is made of; undefined where something in it is known by its name alone. */
function compositionOf(
  fillings: readonly Filling[],
  chocolates: Chocolates,
  filling: Filling,
  within: readonly string[] = [],
): Composition | undefined {
  if (filling.recipe.length === 0 || within.includes(filling.id)) return undefined;
  let sum = NOTHING;
  for (const ingredient of filling.recipe) {
    const kg = ingredientKg(fillings, ingredient);
    const one = ofIngredient(fillings, chocolates, ingredient, [...within, filling.id]);
    if (!one) return undefined;
    sum = plus(sum, one, kg / one.kg);
  }
  // What boils away is water.
  const lost = Math.min(sum.water, (filling.boilsAway ?? 0) * sum.kg);
  return { ...sum, kg: sum.kg - lost, water: sum.water - lost };
}

function ofIngredient(
  fillings: readonly Filling[],
  chocolates: Chocolates,
  { thing, chocolateId, fillingId }: Ingredient,
  within: readonly string[],
): Composition | undefined {
  const chocolate = chocolates.find(({ id }) => id === chocolateId);
  if (chocolate) {
    const { kind, fatShare } = chocolate;
    return { kg: 1, water: 0, sugar: CHOCOLATE_SUGAR[kind], fats: { ...NOTHING.fats, cocoa: fatShare } };
  }
  const inner = fillings.find(({ id }) => id === fillingId);
  if (inner) return compositionOf(fillings, chocolates, inner, within);
  if (thing === undefined) return undefined;
  const { water, fat, fatOf, sugar } = kitchenThing(thing);
  return { kg: 1, water, sugar, fats: { ...NOTHING.fats, [fatOf]: fat } };
}

/**
 * What holds a filling at a temperature, as a share of its weight: fat that has set, and for less what is dry and not dissolved in its water.
 * Undefined for one that does not stand by its fat, and where what it is mixed of is not known. A working rule: stirring and resting shift it
 * by a class.
 */
export function heldShare(
  fillings: readonly Filling[],
  chocolates: Chocolates,
  filling: Filling,
  celsius: number,
): number | undefined {
  const made = BY_FAT.includes(filling.kind) ? compositionOf(fillings, chocolates, filling) : undefined;
  if (!made || made.kg <= 0) return undefined;
  const kinds = Object.keys(made.fats) as KitchenFat[];
  const fat = kinds.reduce((sum, of) => sum + made.fats[of], 0);
  const set = kinds.reduce((sum, of) => sum + made.fats[of] * solidFat(of, celsius), 0);
  const dissolved = Math.min(made.sugar, DISSOLVES * made.water);
  const dry = Math.max(0, made.kg - made.water - fat - dissolved);
  return (set + DRY_HOLDS * dry) / made.kg;
}

/** How something stands that so much holds. */
export function firmnessOf(held: number): Firmness {
  const reached = FIRMNESSES.filter((one) => one === 'runs' || held >= FROM_HELD[one]);
  return reached[reached.length - 1];
}
