import { readWhole } from '../../testing/read-whole';
import { TestBed } from '@angular/core/testing';
import { Router } from '@angular/router';
import { Bench, closeWorkers, openDemo, until } from '../../testing/bench';
import type { PantryFilling } from '../../core/record/filling';
import { readPantryFile, writePantryFile } from '../../data/pantry-file';
import { Pantry } from '../state/pantry';
import { EntryPage } from './entry-page';
import { PantryPage } from './pantry-page';

let pantry: Pantry;
const filling = (id: string): PantryFilling => {
  const entry = pantry.byId().get(id);
  if (entry?.entry !== 'filling') throw new Error(`no filling ${id}`);
  return entry;
};

beforeEach(async () => {
  await openDemo();
  pantry = TestBed.inject(Pantry);
  await until(() => pantry.loaded());
  jest.spyOn(TestBed.inject(Router), 'navigate').mockResolvedValue(true);
});
afterEach(() => {
  document.body.replaceChildren();
  closeWorkers();
});

describe('a filling of the pantry', () => {
  it('says its density, pieces and stock in any unit, and keeps the last good one', async () => {
    const bench = await Bench.of(EntryPage, { id: 'lentils' });
    await bench.type('Density as it lies in a jug', '900 g/L');
    expect(filling('lentils').bulkDensity).toBe(900);
    await bench.type('Density as it lies in a jug', '');
    expect(bench.text).toContain('Empty: the last amount stays');
    expect(filling('lentils').bulkDensity).toBe(900);
    await bench.type('One of them weighs', '1.2 g');
    await bench.type('In stock', '4 oz');
    await bench.type('A pack costs, €', 'a lot');
    expect(bench.text).toContain('No amount in that');
    await bench.type('A pack costs, €', '0');
    expect(filling('lentils')).toMatchObject({
      pieceKg: 0.0012,
      stockKg: expect.closeTo(0.1134, 4) as number,
      packPrice: 0,
    });
    expect(bench.text).toContain('larger ones lie looser');
  });

  it('takes the usual density and pieces of its kind, and says how long it keeps', async () => {
    const bench = await Bench.of(EntryPage, { id: 'lentils' });
    await bench.choose('Kind', 'custard');
    expect(filling('lentils')).toMatchObject({ kind: 'custard', bulkDensity: 1050 });
    expect(filling('lentils')).not.toHaveProperty('pieceKg');
    expect(bench.text).toContain('keeps some days');
  });

  it('is mixed by parts of chocolates, fillings and other things, and carries their allergens', async () => {
    const bench = await Bench.of(EntryPage, { id: 'caramel' });
    await bench.press('Add an ingredient');
    await bench.press('Add an ingredient');
    await bench.choose('Ingredient 1', 'c:fallow');
    await bench.choose('Ingredient 2', 'f:ganache');
    await bench.type('How much', '3');
    expect(
      filling('caramel').recipe.map(({ name, parts, chocolateId, fillingId }) => [
        name,
        parts,
        chocolateId ?? fillingId,
      ]),
    ).toEqual([
      ['Fallow', 3, 'fallow'],
      ['Dark ganache', 1, 'ganache'],
    ]);
    expect(bench.text).toContain('From the recipe it also contains soy');
    await bench.press('Take Fallow out');
    expect(filling('caramel').recipe).toHaveLength(1);
  });

  it('is measured by cups, spoons and eggs: what that makes, how many pieces, and in what pan', async () => {
    const bench = await Bench.of(EntryPage, { id: 'custard' });
    // ¼ cup is 61 g of milk and 60 g of cream; 2 yolks 36 g; 1½ tbsp sugar 19 g: 176 g, less what boils away. From memory.
    expect(bench.text).toMatch(/As written it makes 16\d g, 15\d mL: 10 pieces of 1 tbsp/);
    expect(bench.text).toContain('Take a pan of');
    expect(bench.text).toContain('82 to 84 °C');
    await bench.type('Boils away', '0 %');
    expect(bench.text).toMatch(/As written it makes 17\d g/);
    await bench.type('Into each piece', '1 tsp');
    expect(bench.text).toMatch(/: 3\d pieces of 1 tsp/);
    await bench.choose('Ingredient 3', 'k:egg');
    expect(filling('custard').recipe[2]).toMatchObject({ thing: 'egg', measure: { by: 'count', count: 2 } });
    await bench.choose('Ingredient 3', 'other');
    expect(filling('custard').recipe[2]).not.toHaveProperty('measure');
    expect(bench.text).not.toContain('it pipes');
  });

  it('is told by its measures alone: a knob is none, a cup of something unknown is refused, and what was typed stays', async () => {
    const bench = await Bench.of(EntryPage, { id: 'nut-butter' });
    expect(bench.text).toMatch(/At 19.5 °C it is firm|At 19.5 °C it holds/);
    await bench.type('How much', 'a knob');
    expect(bench.field('How much').value).toBe('a knob');
    expect(bench.text).toContain('No amount in that');
    await bench.type('How much', '2 tbsp');
    expect(filling('nut-butter').recipe[0].measure).toEqual({
      by: 'volume',
      m3: expect.closeTo(29.57e-6, 8) as number,
    });
    await bench.choose('Ingredient 1', 'other');
    await bench.type('How much', '1/4 cup');
    expect(bench.text).toContain('choose it from the list, or weigh it');
    expect(filling('nut-butter').recipe[0]).not.toHaveProperty('measure');
    await bench.type('How much', '60 g');
    expect(filling('nut-butter').recipe[0].measure).toEqual({ by: 'mass', kg: 0.06 });
  });

  it('is made without an allergen by a swap, and the check runs again', async () => {
    const bench = await Bench.of(EntryPage, { id: 'nut-butter' });
    await bench.choose('Ingredient 1', 'k:peanutButter');
    expect(bench.text).toContain('From the recipe it also contains peanuts');
    await bench.press('for an allergy: sunflower seed butter');
    expect(filling('nut-butter').recipe[0]).toMatchObject({ thing: 'sunflowerButter', allergens: [] });
    expect(bench.text).not.toContain('it also contains');
  });

  it('that would contain itself is refused with the circle', async () => {
    const bench = await Bench.of(EntryPage, { id: 'ganache' });
    await bench.choose('Ingredient 1', 'f:hazelnut');
    expect(bench.text).toContain('Dark ganache → Hazelnut ganache → Dark ganache');
    expect(filling('ganache').recipe[0].chocolateId).toBe('quarry');
  });

  it('is listed, made new, deleted with what names it, and comes back from a file', async () => {
    const bench = await Bench.of(PantryPage);
    expect(bench.text).toContain('Fillings and toppings');
    expect(bench.text).toContain('1 Quarry 64 : 1 Cream');
    await bench.press('New filling');
    expect(pantry.fillings().some(({ name }) => name === 'New filling')).toBe(true);
    expect(readWhole(readPantryFile(writePantryFile(pantry.fillings(), new Date())))).toMatchObject({
      ok: true,
      records: pantry.fillings(),
    });
    for (const one of pantry.fillings()) pantry.remove(one);
    await bench.settle();
    await bench.press('Bring them back');
    expect(filling('ganache').recipe).toHaveLength(2);
  });
});
