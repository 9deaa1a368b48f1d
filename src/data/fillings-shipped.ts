import { FILLING_MATTER, type FillingKind } from '../core/matter/filling';
import type { Allergen } from '../core/record/choices';
import type { Filling, Ingredient, PantryFilling } from '../core/record/filling';

function filling(
  id: string,
  name: string,
  kind: FillingKind,
  allergens: readonly Allergen[] = [],
  recipe: readonly Ingredient[] = [],
  more: Partial<Pick<Filling, 'bulkDensity' | 'pieceKg'>> = {},
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

const of = (name: string, parts: number, allergens: readonly Allergen[] = []): Ingredient => ({
  name,
  parts,
  allergens: [...allergens],
});
const chocolate = (chocolateId: string, name: string, parts: number): Ingredient => ({
  ...of(name, parts),
  chocolateId,
});
const inner = (fillingId: string, name: string, parts: number): Ingredient => ({ ...of(name, parts), fillingId });

/** The fillings of the made-up hedgerow supper: one of each kind. Recipes by parts of weight. Common practice, no source. */
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
  filling('ganache', 'Dark ganache', 'ganache', [], [chocolate('quarry', 'Quarry 64', 1), of('Cream', 1, ['milk'])]),
  filling(
    'hazelnut',
    'Hazelnut ganache',
    'ganache',
    [],
    [inner('ganache', 'Dark ganache', 3), of('Hazelnut paste', 1, ['nuts'])],
  ),
  filling('lentils', 'Sugar lentils', 'sweets', ['milk', 'soy', 'wheat']),
  filling('caramel', 'Soft caramel', 'caramel', ['milk']),
  filling(
    'nut-butter',
    'Hazelnut butter filling',
    'nutButter',
    [],
    [of('Hazelnut butter', 5, ['nuts']), of('Powdered sugar', 1)],
  ),
  filling('custard', 'Vanilla custard', 'custard', ['milk', 'egg']),
  filling('hips', 'Rosehip purée', 'fruit'),
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
