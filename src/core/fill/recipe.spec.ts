import { SHIPPED_FILLINGS } from '../../data/fillings-shipped';
import { SHIPPED_CHOCOLATES } from '../../data/pantry-shipped';
import { circularRecipe, type Filling } from '../record/filling';
import { allergensOf, components, gathered } from './recipe';

const by = (id: string): Filling => SHIPPED_FILLINGS.find((filling) => filling.id === id) as Filling;
/** Densities of what a recipe is made of, kg/m³. From memory. */
const DENSITY: Readonly<Record<string, number>> = { 'Quarry 64': 1260, Cream: 1000, 'Hazelnut paste': 1060 };

describe('a recipe', () => {
  it('is scaled by parts of weight (worked by hand): 300 g of dark ganache are 150 g of each', () => {
    expect(components(SHIPPED_FILLINGS, by('ganache'), 0.3)).toEqual([
      { name: 'Quarry 64', chocolateId: 'quarry', kg: 0.15 },
      { name: 'Cream', kg: 0.15 },
    ]);
  });

  it('goes down into the fillings it is mixed of: 400 g of hazelnut ganache hold 300 g of dark ganache', () => {
    const all = components(SHIPPED_FILLINGS, by('hazelnut'), 0.4);
    expect(all.map(({ name, kg }) => [name, Math.round(kg * 1e6) / 1e6])).toEqual([
      ['Quarry 64', 0.15],
      ['Cream', 0.15],
      ['Hazelnut paste', 0.1],
    ]);
  });

  it('adds what is the same, from wherever it comes', () => {
    const both = gathered([
      ...components(SHIPPED_FILLINGS, by('ganache'), 0.2),
      ...components(SHIPPED_FILLINGS, by('hazelnut'), 0.4),
    ]);
    expect(both.find(({ chocolateId }) => chocolateId === 'quarry')?.kg).toBeCloseTo(0.25, 12);
    expect(both.find(({ name }) => name === 'Cream')?.kg).toBeCloseTo(0.25, 12);
  });

  it('carries every allergen through, and names each once', () => {
    expect(allergensOf(SHIPPED_FILLINGS, SHIPPED_CHOCOLATES, by('hazelnut'))).toEqual(
      expect.arrayContaining(['milk', 'soy', 'nuts']),
    );
    expect(allergensOf(SHIPPED_FILLINGS, SHIPPED_CHOCOLATES, by('hazelnut'))).toHaveLength(3);
    expect(allergensOf(SHIPPED_FILLINGS, SHIPPED_CHOCOLATES, by('spice'))).toEqual([]);
  });

  it.each(['ganache', 'hazelnut'])('gives %s about the density that its parts have together', (id) => {
    const all = components(SHIPPED_FILLINGS, by(id), 1);
    const volume = all.reduce((sum, { name, kg }) => sum + kg / DENSITY[name], 0);
    expect(by(id).bulkDensity * volume).toBeGreaterThan(0.97);
    expect(by(id).bulkDensity * volume).toBeLessThan(1.03);
  });

  it('that goes in a circle is named, and does not run for ever', () => {
    const of = (id: string, inner: string): Filling => ({
      id,
      name: id.toUpperCase(),
      kind: 'ganache',
      bulkDensity: 1100,
      allergens: ['egg'],
      recipe: [{ name: inner, parts: 1, fillingId: inner, allergens: [] }],
    });
    const round = [of('a', 'b'), of('b', 'a')];
    expect(circularRecipe(round)).toEqual(['A', 'B', 'A']);
    expect(circularRecipe(SHIPPED_FILLINGS)).toBeUndefined();
    expect(components(round, round[0], 1).reduce((sum, { kg }) => sum + kg, 0)).toBeCloseTo(1, 12);
    expect(allergensOf(round, [], round[0])).toEqual(['egg']);
  });
});
