import { larderAllergens } from '../core/fill/larder-allergens';
import type { KitchenThingKey } from '../core/matter/kitchen-thing';
import { FILLING_MATTER, type FillingKind } from '../core/matter/filling';
import type { Allergen } from '../core/record/choices';
import type { Filling, Ingredient, PantryFilling } from '../core/record/filling';

function filling(
  id: string,
  name: string,
  kind: FillingKind,
  allergens: readonly Allergen[] = [],
  recipe: readonly Ingredient[] = [],
  more: Partial<Pick<Filling, 'bulkDensity' | 'pieceKg' | 'boilsAway'>> = {},
): Filling {
  const { bulkDensity, pieceKg } = FILLING_MATTER[kind];
  return {
    id,
    name,
    kind,
    bulkDensity,
    allergens: [...allergens],
    recipe: [...recipe],
    ...(pieceKg === undefined ? {} : { pieceKg }),
    ...more,
  };
}

/** US customary, m³. */
const TEASPOON_M3 = 4.92892159375e-6;

const of = (name: string, parts: number, allergens: readonly Allergen[] = []): Ingredient => ({
  name,
  parts,
  allergens: [...allergens],
});
/** A thing of the larder, by parts of weight or by a measure. */
const larder = (thing: KitchenThingKey, name: string, parts: number, measure?: Ingredient['measure']): Ingredient => ({
  ...of(name, parts, larderAllergens(thing)),
  thing,
  ...(measure ? { measure } : {}),
});
const spoonfuls = (thing: KitchenThingKey, name: string, teaspoons: number): Ingredient =>
  larder(thing, name, 1, { by: 'volume', m3: teaspoons * TEASPOON_M3 });
const chocolate = (chocolateId: string, name: string, parts: number): Ingredient => ({
  ...of(name, parts),
  chocolateId,
});
const inner = (fillingId: string, name: string, parts: number): Ingredient => ({ ...of(name, parts), fillingId });

/** The fillings of the made-up hedgerow supper: one of each kind. Recipes by parts of weight or by spoons. Common practice, no source. */
export const SHIPPED_FILLINGS: readonly Filling[] = [
  filling(
    'spice',
    'Cider-spice powder',
    'powder',
    [],
    [of('Cocoa', 10), of('Sugar', 10), of('Dried apple, ground', 9), of('Mixed spice', 1)],
  ),
  filling('mallows', 'Small marshmallows', 'marshmallow', ['gelatine']),
  // A little more chocolate than cream makes a ganache that is cut or bitten.
  filling('ganache', 'Dark ganache', 'ganache', [], [chocolate('quarry', 'Quarry 64', 1), larder('cream', 'Cream', 1)]),
  filling(
    'hazelnut',
    'Hazelnut ganache',
    'ganache',
    [],
    [inner('ganache', 'Dark ganache', 3), larder('hazelnutPaste', 'Hazelnut paste', 1)],
  ),
  filling('lentils', 'Sugar lentils', 'sweets', ['milk', 'soy', 'wheat']),
  filling('caramel', 'Soft caramel', 'caramel', ['milk']),
  filling(
    'nut-butter',
    'Hazelnut butter filling',
    'nutButter',
    [],
    [
      spoonfuls('hazelnutPaste', 'Hazelnut butter', 6),
      spoonfuls('coconutOil', 'Coconut oil', 2),
      spoonfuls('icingSugar', 'Icing sugar', 3.5),
    ],
  ),
  filling(
    'custard',
    'Vanilla custard',
    'custard',
    [],
    [
      spoonfuls('milk', 'Milk', 12),
      spoonfuls('cream', 'Cream', 12),
      larder('eggYolk', 'Egg yolk', 1, { by: 'count', count: 2 }),
      spoonfuls('sugar', 'Sugar', 4.5),
      spoonfuls('vanilla', 'Vanilla extract', 0.5),
    ],
    { boilsAway: 0.08 },
  ),
  filling('hips', 'Rosehip purée', 'fruit'),
  filling('berries', 'Fresh berries', 'wholeFruit'),
  filling('crumbs', 'Oat-cake crumbs', 'crumbs', ['wheat', 'milk', 'egg']),
  filling('seeds', 'Seeds and petals', 'sweets', ['sesame'], [], { bulkDensity: 600, pieceKg: 0.00002 }),
  filling('charm', 'Paper charms', 'surprise', [], [], { pieceKg: 0.002, bulkDensity: 300 }),
];

type Stock = Pick<PantryFilling, 'stockKg' | 'packKg'> & Partial<Pick<PantryFilling, 'packPrice' | 'bestBefore'>>;
const STOCK: Readonly<Partial<Record<string, Stock>>> = {
  mallows: { stockKg: 0.1, packKg: 0.15, packPrice: 1.9, bestBefore: '2027-03-31' },
  lentils: { stockKg: 0, packKg: 0.25, packPrice: 2.6 },
  caramel: { stockKg: 0.1, packKg: 0.2, packPrice: 3.4, bestBefore: '2026-12-31' },
  seeds: { stockKg: 0.05, packKg: 0.1, packPrice: 2.2 },
  charm: { stockKg: 0.02, packKg: 0.02, packPrice: 1.5 },
};

const NONE = { stockKg: 0, packKg: 0.25 };

/** The same as records of the pantry. */
export function shippedFillings(dated: Pick<PantryFilling, 'schemaVersion' | 'createdAt'>): PantryFilling[] {
  return SHIPPED_FILLINGS.map((one) => ({
    ...structuredClone(one),
    ...(STOCK[one.id] ?? NONE),
    ...dated,
    entry: 'filling',
  }));
}
