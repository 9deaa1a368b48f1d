import fc from 'fast-check';
import { SHIPPED_CHOCOLATES } from '../../data/pantry-shipped';
import { KITCHEN_THINGS, kitchenDensity, kitchenThing, solidFat, type KitchenThingKey } from '../matter/kitchen-thing';
import { FillingSchema, type Filling, type Ingredient } from '../record/filling';
import { firmnessOf, heldShare } from './firmness';
import { components, ingredientKg, recipeKg } from './recipe';

const TSP = 4.92892159375e-6;
const CUP = 48 * TSP;

const of = (thing: KitchenThingKey, measure: Ingredient['measure']): Ingredient => ({
  name: thing,
  parts: 1,
  thing,
  allergens: [],
  ...(measure ? { measure } : {}),
});
const spoons = (thing: KitchenThingKey, tsp: number): Ingredient => of(thing, { by: 'volume', m3: tsp * TSP });
const each = (thing: KitchenThingKey, count: number): Ingredient => of(thing, { by: 'count', count });
const filling = (recipe: Ingredient[], more: Partial<Filling> = {}): Filling => ({
  id: 'f',
  name: 'Filling',
  kind: 'custard',
  bulkDensity: 1050,
  allergens: [],
  recipe,
  ...more,
});
const solid = (one: Filling, celsius: number): number => heldShare([one], SHIPPED_CHOCOLATES, one, celsius) ?? NaN;
const stands = (one: Filling, celsius: number): string => firmnessOf(solid(one, celsius));

describe('kitchen measures', () => {
  // Household tables, from memory, g a cup: within 5 %.
  it.each([
    ['sugar', 200],
    ['icingSugar', 120],
    ['brownSugar', 213],
    ['flour', 125],
    ['cocoa', 85],
    ['butter', 227],
    ['milk', 244],
    ['cream', 238],
    ['honey', 340],
    ['oats', 90],
    ['peanutButter', 258],
    ['coconutOil', 218],
  ] as const)('hold what a cup of %s weighs: %d g', (thing, grams) => {
    const kg = ingredientKg([], of(thing, { by: 'volume', m3: CUP }));
    expect(Math.abs(kg * 1000 - grams)).toBeLessThan(0.05 * grams);
  });

  it('count eggs without their shells and butter by the stick (from memory: 50, 18, 33, 113 g)', () => {
    expect(ingredientKg([], each('egg', 2))).toBeCloseTo(0.1, 12);
    expect(ingredientKg([], each('eggYolk', 1)) + ingredientKg([], each('eggWhite', 1))).toBeCloseTo(0.051, 3);
    expect(ingredientKg([], each('butter', 1))).toBeCloseTo(0.113, 12);
    // Half a cup of butter is a stick.
    expect(ingredientKg([], of('butter', { by: 'volume', m3: CUP / 2 }))).toBeCloseTo(0.1135, 4);
  });

  it('are of things that fit into themselves: water, fat and sugar are no more than all of it', () => {
    for (const key of KITCHEN_THINGS) {
      const { water, fat, sugar } = kitchenThing(key);
      expect(water + fat + sugar).toBeLessThanOrEqual(1);
      expect(kitchenDensity(key)).toBeGreaterThan(150);
      expect(kitchenDensity(key)).toBeLessThan(1500);
    }
  });

  // Common practice, no source: ¼ cup each of milk and cream, 2 yolks, 1½ tbsp sugar; a tablespoon a piece.
  it('make of a custard about nine pieces of a tablespoon', () => {
    const custard = filling([spoons('milk', 12), spoons('cream', 12), each('eggYolk', 2), spoons('sugar', 4.5)]);
    const pieces = recipeKg([custard], custard) / custard.bulkDensity / (3 * TSP);
    expect(pieces).toBeGreaterThan(8);
    expect(pieces).toBeLessThan(14);
  });

  it('balance what boils away: more goes in, and what is left is what was asked for', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 0.6, noNaN: true }),
        fc.double({ min: 0.01, max: 5, noNaN: true }),
        (boilsAway, kg) => {
          const caramel = filling([spoons('sugar', 48), spoons('cream', 24), spoons('butter', 6)], { boilsAway });
          const sum = components([caramel], caramel, kg).reduce((all, one) => all + one.kg, 0);
          expect(sum * (1 - boilsAway)).toBeCloseTo(kg, 9);
        },
      ),
    );
  });

  it('are kept by the record within their limits, and refused beyond', () => {
    const takes = (measure: unknown): boolean =>
      FillingSchema.safeParse(filling([{ ...spoons('milk', 1), measure } as Ingredient])).success;
    expect(takes({ by: 'count', count: 2 })).toBe(true);
    expect(takes({ by: 'count', count: 0 })).toBe(false);
    expect(takes({ by: 'volume', m3: -1 })).toBe(false);
    expect(takes({ by: 'knob', count: 1 })).toBe(false);
  });
});

describe('how a filling stands', () => {
  // Common practice, no source: 2 tbsp nut butter, 2 tsp coconut oil, a good tablespoon of icing sugar; without the sugar it oozes when warm.
  const nuts = { kind: 'nutButter' as const };
  const bound = filling([spoons('peanutButter', 6), spoons('coconutOil', 2), spoons('icingSugar', 3.5)], nuts);
  const loose = filling([spoons('peanutButter', 6), spoons('coconutOil', 2)], nuts);

  it('is bound by icing sugar where it is warm, and needs none from the fridge', () => {
    expect([stands(bound, 26), stands(loose, 26)]).toEqual(['pipes', 'oozes']);
    expect(['pipes', 'firm']).toContain(stands(loose, 5));
  });

  it('of a ganache is softer with more cream, and of one to one pipes when it is cool', () => {
    const ganache = (cream: number): Filling =>
      filling(
        [
          { name: 'Quarry 64', parts: 1, chocolateId: 'quarry', allergens: [] },
          { ...of('cream', undefined), parts: cream },
        ],
        { kind: 'ganache' },
      );
    for (let k = 1; k <= 200; k++)
      expect(solid(ganache(k / 50), 20)).toBeLessThan(solid(ganache((k - 1) / 50 + 1e-9), 20));
    // Common practice, no source: one to one is piped, two to one is rolled, a sauce of four times the cream is poured.
    expect([0.5, 1, 4].map((cream) => stands(ganache(cream), 20))).toEqual(['firm', 'pipes', 'runs']);
    expect(stands(ganache(1), 5)).toBe('firm');
  });

  it('never gets firmer as it gets warmer, without a jump', () => {
    for (const one of [bound, loose])
      for (let k = 1; k <= 200; k++) {
        const [cooler, warmer] = [solid(one, ((k - 1) * 40) / 200), solid(one, (k * 40) / 200)];
        expect(warmer).toBeLessThanOrEqual(cooler + 1e-12);
        expect(cooler - warmer).toBeLessThan(0.03);
      }
    expect([solidFat('cocoa', 0), solidFat('cocoa', 60), solidFat('oil', 5)]).toEqual([0.95, 0, 0]);
  });

  it('is not told of what is known by its name alone', () => {
    expect(heldShare([], [], filling([{ name: 'Something', parts: 1, allergens: [] }], nuts), 20)).toBeUndefined();
    expect(heldShare([], [], filling([], nuts), 20)).toBeUndefined();
    // A custard stands by its egg.
    expect(heldShare([], [], filling([spoons('milk', 4)]), 20)).toBeUndefined();
  });
});
