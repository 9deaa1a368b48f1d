import * as z from 'zod/mini';
import { FILLING_KINDS } from '../matter/filling';
import { KITCHEN_THINGS } from '../matter/kitchen-thing';
import { ALLERGENS } from './choices';
import { id, name, numberOf } from './fields';

/** Something a filling is mixed of: a chocolate, another filling, or anything else by its name. */
const IngredientSchema = z.object({
  name,
  parts: numberOf('tintParts'),
  /** By weight, spoon or cup, or by the piece, instead of by parts. */
  measure: z.optional(
    z.discriminatedUnion('by', [
      z.object({ by: z.literal('mass'), kg: numberOf('measureKg') }),
      z.object({ by: z.literal('volume'), m3: numberOf('measureM3') }),
      z.object({ by: z.literal('count'), count: numberOf('measureCount') }),
    ]),
  ),
  /** What of the larder it is, where it is one of the things whose measures are known. */
  thing: z.optional(z.enum(KITCHEN_THINGS)),
  chocolateId: z.optional(id),
  fillingId: z.optional(id),
  allergens: z.array(z.enum(ALLERGENS)),
});

const fillingFields = {
  id,
  name,
  kind: z.enum(FILLING_KINDS),
  /** Mass over the space it takes in a wide vessel, kg/m³. */
  bulkDensity: numberOf('bulkDensity'),
  pieceKg: z.optional(numberOf('fillingPieceKg')),
  allergens: z.array(z.enum(ALLERGENS)),
  /** What it is mixed of, by parts of weight or by measures; empty for what is bought as it is. */
  recipe: z.array(IngredientSchema).check(z.maxLength(12)),
  /** Share of what goes in that boils away. */
  boilsAway: z.optional(numberOf('boilsAway')),
};

/** A filling as a casting holds it. */
export const FillingSchema = z.object(fillingFields);

/** A filling of the pantry, with what is there of it. */
export const PantryFillingSchema = z.object({
  ...fillingFields,
  entry: z.literal('filling'),
  schemaVersion: z.literal(1),
  createdAt: z.iso.datetime(),
  stockKg: numberOf('stockKg'),
  packKg: numberOf('packKg'),
  packPrice: z.optional(numberOf('packPrice')),
  bestBefore: z.optional(z.iso.date()),
});

export type Filling = z.infer<typeof FillingSchema>;
export type Ingredient = Filling['recipe'][number];
export type PantryFilling = z.infer<typeof PantryFillingSchema>;

/** Names of fillings that contain each other in a circle, in its order, or undefined where none do. */
export function circularRecipe(
  fillings: readonly Pick<Filling, 'id' | 'name' | 'recipe'>[],
): readonly string[] | undefined {
  const byId = new Map(fillings.map((filling) => [filling.id, filling]));
  const fine = new Set<string>();
  const follow = (id: string, path: readonly string[]): readonly string[] | undefined => {
    const filling = byId.get(id);
    if (!filling || fine.has(id)) return undefined;
    if (path.includes(id)) return [...path.slice(path.indexOf(id)), id].map((step) => byId.get(step)?.name ?? step);
    for (const { fillingId } of filling.recipe) {
      const circle = fillingId === undefined ? undefined : follow(fillingId, [...path, id]);
      if (circle) return circle;
    }
    fine.add(id);
    return undefined;
  };
  for (const { id } of fillings) {
    const circle = follow(id, []);
    if (circle) return circle;
  }
  return undefined;
}
