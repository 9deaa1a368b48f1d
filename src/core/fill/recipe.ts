import type { Allergen } from '../record/choices';
import type { Chocolate } from '../record/chocolate';
import { kitchenDensity, kitchenThing } from '../matter/kitchen-thing';
import type { Filling, Ingredient } from '../record/filling';

/** Something that a filling comes down to: bought as it is, or a chocolate. */
export interface Component {
  readonly name: string;
  readonly chocolateId?: string;
  readonly fillingId?: string;
  readonly kg: number;
}

/**
 * What an amount of a filling comes down to, its recipe scaled by weight and those of the fillings in it in turn. What has no recipe stands for
 * itself. The components sum to the amount, and to more by what boils away. A filling in itself, which reading a record rules out, is left as
 * it is.
 */
export function components(
  fillings: readonly Filling[],
  filling: Filling,
  kg: number,
  within: readonly string[] = [],
): Component[] {
  if (filling.recipe.length === 0 || within.includes(filling.id))
    return [{ name: filling.name, fillingId: filling.id, kg }];
  const made = recipeKg(fillings, filling);
  return filling.recipe.flatMap((ingredient): Component[] => {
    const { name, chocolateId, fillingId } = ingredient;
    const own = (kg * ingredientKg(fillings, ingredient)) / made;
    const inner = fillingId === undefined ? undefined : fillings.find(({ id }) => id === fillingId);
    if (inner) return components(fillings, inner, own, [...within, filling.id]);
    return [{ name, kg: own, ...(chocolateId === undefined ? {} : { chocolateId }) }];
  });
}

/** A part of a recipe told beside measures counts so much, kg; among parts alone any weight would do. */
const PART_KG = 0.001;
/** A spoon or a cup of something known by its name alone is taken as water, kg/m³. */
const AS_WATER = 1000;

/** What an ingredient weighs in a recipe as it is written, kg: by its measure, by its density and what one of it weighs; parts as grams. */
export function ingredientKg(fillings: readonly Filling[], { parts, measure, thing, fillingId }: Ingredient): number {
  if (!measure) return parts * PART_KG;
  const inner = fillings.find(({ id }) => id === fillingId);
  switch (measure.by) {
    case 'mass':
      return measure.kg;
    case 'volume':
      return measure.m3 * (thing ? kitchenDensity(thing) : (inner?.bulkDensity ?? AS_WATER));
    case 'count':
      return measure.count * (thing ? (kitchenThing(thing).eachG ?? 0) / 1000 || PART_KG : (inner?.pieceKg ?? PART_KG));
  }
}

/** What a recipe as it is written makes, kg: all that goes in, less what boils away. */
export function recipeKg(fillings: readonly Filling[], { recipe, boilsAway = 0 }: Filling): number {
  return (1 - boilsAway) * recipe.reduce((sum, one) => sum + ingredientKg(fillings, one), 0);
}

/** Adds components that are the same thing. */
export function gathered(parts: readonly Component[]): Component[] {
  const byThing = new Map<string, Component>();
  for (const part of parts) {
    const key = part.chocolateId ?? part.fillingId ?? part.name.trim().toLowerCase();
    const before = byThing.get(key);
    byThing.set(key, before ? { ...before, kg: before.kg + part.kg } : part);
  }
  return [...byThing.values()];
}

/** Allergens of a filling: its own, and those of everything it is mixed of. */
export function allergensOf(
  fillings: readonly Filling[],
  chocolates: readonly Pick<Chocolate, 'id' | 'allergens'>[],
  filling: Filling,
  within: readonly string[] = [],
): Allergen[] {
  if (within.includes(filling.id)) return [];
  const inner = filling.recipe.flatMap(({ allergens, chocolateId, fillingId }) => {
    const part = fillings.find(({ id }) => id === fillingId);
    return [
      ...allergens,
      ...(chocolates.find(({ id }) => id === chocolateId)?.allergens ?? []),
      ...(part ? allergensOf(fillings, chocolates, part, [...within, filling.id]) : []),
    ];
  });
  return [...new Set([...filling.allergens, ...inner])];
}
