import { TestBed } from '@angular/core/testing';
import { Router } from '@angular/router';
import type { PantryChocolate, PantryTint } from '../../core/record/chocolate';
import { writePantryFile } from '../../data/pantry-file';
import { shippedPantry } from '../../data/pantry-shipped';
import { Bench, MONDAY, closeWorkers, openDemo, until } from '../../testing/bench';
import type { CastingStore } from '../state/casting-store';
import { Notices } from '../state/notices';
import { Pantry } from '../state/pantry';
import { DripPage } from './drip-page';
import { EntryPage } from './entry-page';
import { PantryPage } from './pantry-page';
import { PreparationsPage } from './preparations-page';

let store: CastingStore;
let pantry: Pantry;

beforeEach(async () => {
  store = await openDemo();
  pantry = TestBed.inject(Pantry);
  await until(() => pantry.loaded());
  jest.spyOn(TestBed.inject(Router), 'navigateByUrl').mockResolvedValue(true);
  jest.spyOn(TestBed.inject(Router), 'navigate').mockResolvedValue(true);
});
afterEach(() => {
  document.body.replaceChildren();
  closeWorkers();
});

const SHIPPED = shippedPantry(MONDAY).length;
const chocolate = (id: string): PantryChocolate => {
  const entry = pantry.byId().get(id);
  if (entry?.entry !== 'chocolate') throw new Error(`no chocolate ${id}`);
  return entry;
};
const tint = (id: string): PantryTint => {
  const entry = pantry.byId().get(id);
  if (entry?.entry !== 'tint') throw new Error(`no tint ${id}`);
  return entry;
};

describe('Pantry', () => {
  it('shows what is there: chocolates with band, stock, price and best before, tints with their recipe', async () => {
    const bench = await Bench.of(PantryPage);
    expect(bench.all('li, tbody tr')).toHaveLength(SHIPPED);
    expect(bench.text).toMatch(
      /Quarry 64dark, runs fluidWork 31 to 32 °C500 g here; 250 g a pack, € 4\.90Best before 30 Jun 2027/,
    );
    expect(bench.text).toContain('12 Linen : 1 Quarry 64');
    const search = bench.all<HTMLInputElement>('input[type=search]')[0];
    search.value = 'lin';
    search.dispatchEvent(new Event('input'));
    await bench.settle();
    expect(bench.all('li strong, tbody a').map((name) => name.textContent)).toEqual([
      'Linen',
      'Hazelnut butter filling',
    ]);
    search.value = 'no such thing';
    search.dispatchEvent(new Event('input'));
    await bench.settle();
    await bench.press('Show all');
    expect(bench.all('li, tbody tr')).toHaveLength(SHIPPED);
  });

  it('keeps ingredients and supplies: what is there of them, in packs, with a price', async () => {
    const bench = await Bench.of(PantryPage);
    expect(bench.text).toContain('What recipes and molds take besides');
    await bench.press('New ingredient');
    await bench.press('New supply');
    const [goods, supply] = pantry.goods();
    const page = await Bench.of(EntryPage, { id: goods.id });
    await page.type('Size of a pack', '250 g');
    await page.type('In stock', '80 g');
    await page.type('A pack costs, €', '3.50');
    expect(pantry.byId().get(goods.id)).toMatchObject({ packKg: 0.25, stockKg: 0.08, packPrice: 3.5 });
    const other = await Bench.of(EntryPage, { id: supply.id });
    await other.choose('Counted as', 'stick');
    await other.type('How thick', '6 mm');
    await other.type('In a pack', '100');
    expect(pantry.byId().get(supply.id)).toMatchObject({ kind: 'stick', thickM: 0.006, pack: 100 });
    await other.choose('Counted as', 'box');
    expect(pantry.byId().get(supply.id)).not.toHaveProperty('thickM');
    const list = await Bench.of(PantryPage);
    expect(list.text).toContain('80 g here; 250 g a pack, € 3.50');
    expect(list.text).toContain('none here; 100 a pack');
  });

  it('sorts the fillings by name, by what is there and by date, either way, what has none last', async () => {
    const bench = await Bench.of(PantryPage);
    const names = (): (string | null)[] => bench.all('tbody a').map((name) => name.textContent);
    const byName = names();
    expect(byName).toEqual([...byName].sort((a, b) => a!.localeCompare(b!)));
    await bench.press('filling');
    expect(names()).toEqual([...byName].reverse());
    expect(bench.all('th[aria-sort=descending]').map((head) => head.textContent?.trim())).toEqual(['filling']);
    await bench.press('best before');
    expect(names().slice(0, 2)).toEqual(['Soft caramel', 'Small marshmallows']);
    await bench.press('best before');
    expect(names().slice(0, 2)).toEqual(['Small marshmallows', 'Soft caramel']);
    // What is mixed here is not in stock, and stands last: by the alphabet, where all else is alike.
    await bench.press('in stock');
    expect(names().slice(-5)).toEqual([
      'Cider-spice powder',
      'Dark ganache',
      'Hazelnut butter filling',
      'Hazelnut ganache',
      'Vanilla custard',
    ]);
  });

  it('deletes with the way back, and says which tint lacks it', async () => {
    const bench = await Bench.of(PantryPage);
    await bench.press('Delete Quarry 64');
    expect(TestBed.inject(Notices).notice()?.text).toMatch(
      /One casting keeps its own copy.*“Moth” cannot be mixed without it/,
    );
    await bench.settle();
    expect(bench.text).toContain('something not here any more');
    TestBed.inject(Notices).notice()?.action?.run();
    expect(chocolate('quarry').name).toBe('Quarry 64');
  });

  it('makes new ones that can be melted at once, and takes from a file beside what is there', async () => {
    const bench = await Bench.of(PantryPage);
    await bench.press('New chocolate');
    await bench.press('New tint');
    expect(pantry.records()).toHaveLength(SHIPPED + 2);
    await bench.press('Import');
    const input = bench.all<HTMLInputElement>('#import-file')[0];
    const text = writePantryFile(shippedPantry(MONDAY), MONDAY);
    Object.defineProperty(input, 'files', {
      value: [{ name: 'pantry.json', size: text.length, text: () => Promise.resolve(text) }],
    });
    input.dispatchEvent(new Event('change'));
    await until(() => bench.text.includes('Take them'));
    await bench.press('Take them');
    expect(pantry.records()).toHaveLength(2 * SHIPPED + 2);
    expect(new Set(pantry.records().map(({ id }) => id)).size).toBe(2 * SHIPPED + 2);
    store.undo();
    expect(pantry.records()).toHaveLength(SHIPPED + 2);
  });

  it('brings back what came with the program to an empty pantry', async () => {
    const bench = await Bench.of(PantryPage);
    for (const entry of [...pantry.records()]) pantry.remove(entry);
    await bench.settle();
    await bench.press('Bring them back');
    expect(pantry.records()).toHaveLength(SHIPPED);
  });
});

describe('a chocolate', () => {
  it('refuses bands out of order with a sentence, keeps what was typed and the last good value', async () => {
    const bench = await Bench.of(EntryPage, { id: 'quarry' });
    await bench.type('Work to', '34 °C');
    expect(bench.field('Work to').value).toBe('34 °C');
    expect(bench.text).toContain('“Work to” must not be above “Ceiling”');
    expect(chocolate('quarry').workToC).toBe(32);
    await bench.type('Ceiling', '35');
    await bench.type('Work to', '34');
    expect(chocolate('quarry')).toMatchObject({ workToC: 34, ceilingC: 35 });
    await bench.type('Seed to', '46');
    expect(bench.text).toContain('“Seed to” must not be above “Melt to”');
  });

  it('takes temperatures in °F, and brings the usual bands with another kind', async () => {
    const bench = await Bench.of(EntryPage, { id: 'quarry' });
    await bench.type('Work from', '88 F');
    expect(chocolate('quarry').workFromC).toBeCloseTo(31.111, 3);
    await bench.choose('Kind', 'compound');
    expect(chocolate('quarry')).toMatchObject({ kind: 'compound', workFromC: 34, ceilingC: 40 });
    expect(bench.all('label').some((label) => label.textContent === 'Seed to')).toBe(false);
    store.undo();
    expect(chocolate('quarry').kind).toBe('dark');
  });

  it('runs by a class or by its own values, with what an upright wall holds of it', async () => {
    const bench = await Bench.of(EntryPage, { id: 'quarry' });
    await bench.choose('At 40 °C', 'own');
    await bench.type('Yield stress', '9');
    await bench.type('Viscosity', '2.8 Pa·s');
    expect(chocolate('quarry').fluidity).toEqual({ yieldPa: 9, viscosityPas: 2.8 });
    expect(bench.text).toContain('Nearest class: thick');
    expect(bench.text).toMatch(/An upright wall holds \d\.\d+ mm of it, and \d\.\d+ mm at 29\.5 °C/);
    expect(bench.text).toMatch(/Too thick\?A sliver of cocoa butter.*Never water/);
  });

  it('notes stock, pack, price, lot, best before, colour and allergens; undo takes each back', async () => {
    const bench = await Bench.of(EntryPage, { id: 'quarry' });
    await bench.type('In stock', '1 lb');
    await bench.type('A pack costs, €', '5,25');
    await bench.enter('Lot', 'Q-200');
    await bench.enter('Best before', '31 Jan 2027');
    bench.all<HTMLInputElement>('fieldset input')[0].click();
    expect(chocolate('quarry')).toMatchObject({
      packPrice: 5.25,
      lot: 'Q-200',
      bestBefore: '2027-01-31',
      allergens: ['milk', 'soy'],
    });
    expect(chocolate('quarry').stockKg).toBeCloseTo(0.45359, 5);
    for (let k = 0; k < 5; k++) store.undo();
    expect(chocolate('quarry')).toMatchObject({
      packPrice: 4.9,
      lot: 'Q-114',
      bestBefore: '2027-06-30',
      allergens: ['soy'],
      stockKg: 0.5,
    });
  });
});

describe('a tint', () => {
  it('is begun from a shade, told in grams and drops for 100 g; black by the bottle, on a dark base', async () => {
    const bench = await Bench.of(EntryPage, { id: 'rosehip' });
    await bench.press('pale');
    // Pale pink takes next to none: 0.1 g, some drops. Common practice, no source; working rule.
    expect(bench.text).toMatch(/Of 100 g, 0\.10 g, about [23] drops/);
    await bench.press('deep');
    expect(bench.text).toMatch(/Of 100 g, 2\.0 g, about 50 drops/);
    await bench.press('black');
    expect(bench.text).toMatch(/a bottle of 57 g does 9\d\d g\. So deep a colour wants a dark base/);
  });

  it('is scaled to the amount that is wanted', async () => {
    const bench = await Bench.of(EntryPage, { id: 'moth' });
    await bench.type('Amount wanted', '650 g');
    expect(bench.text).toMatch(/Linen600 gQuarry 6450 g/);
    await bench.type('Amount wanted', '0');
    expect(bench.field('Amount wanted').getAttribute('aria-invalid')).toBe('true');
    expect(bench.text).toMatch(/Linen600 g/);
  });

  it('refuses water-based colour with the reason, and keeps the base that it had', async () => {
    const bench = await Bench.of(EntryPage, { id: 'rosehip' });
    await bench.choose('Base of colour 1', 'water');
    expect(bench.text).toContain('a drop of water seizes chocolate');
    expect(tint('rosehip').colours[0].base).toBe('oil');
    await bench.choose('Base of colour 1', 'cocoaButter');
    expect(tint('rosehip').colours[0].base).toBe('cocoaButter');
    expect(bench.text).not.toContain('seizes chocolate into');
  });

  it('takes more chocolates and colours, and warns where coating meets real chocolate', async () => {
    const bench = await Bench.of(EntryPage, { id: 'moth' });
    await bench.press('Add a colour');
    await bench.press('Add a chocolate');
    expect(tint('moth')).toMatchObject({ chocolates: [{}, {}, {}], colours: [{ base: 'oil' }] });
    await bench.choose('Chocolate 3', 'pebble');
    expect(bench.text).toContain('A little coating in real chocolate');
    pantry.edit('moth', 'parts', (entry) => {
      if (entry.entry === 'tint') entry.chocolates[2].parts = 20;
    });
    await bench.settle();
    expect(bench.text).toContain('do not mix');
    await bench.choose('Base of colour 1', 'gel');
    expect(bench.text).toContain('gel seizes chocolate');
    await bench.press('Take chocolate 3 out');
    expect(tint('moth').chocolates).toHaveLength(2);
  });
});

describe('the drip test', () => {
  it('picks a class by what is weighed, shows the arithmetic, and is kept with the chocolate', async () => {
    const bench = await Bench.of(DripPage, { id: 'fallow' });
    expect(bench.text).toContain('by the example weights');
    await bench.type('it weighed', '10 g');
    await bench.type('it weighed then', '6,7 g');
    expect(bench.text).toContain('by your weighings');
    expect(bench.text).toMatch(/10 g over 40\.0 cm² of card, both sides, at 1\.24 g\/mL is a film of 2\.0 mm/);
    await bench.press(/^Use “thick”/);
    expect(chocolate('fallow')).toMatchObject({
      fluidity: 'thick',
      drip: { first: { kg: 0.01 }, second: { kg: 0.0067 } },
    });
  });

  it('says what cannot be', async () => {
    const bench = await Bench.of(DripPage, { id: 'fallow' });
    await bench.type('it weighed then', '20 g');
    expect(bench.text).toContain('cannot hold more later than before');
    await bench.type('it weighed then', '4 g');
    await bench.type('Again, after', '5 s');
    expect(bench.text).toContain('has to come after the first');
  });
});

describe('preparations', () => {
  it('are computed for the amount that is wanted, each with its working and its caution', async () => {
    const bench = await Bench.of(PreparationsPage);
    const [ganache, colour, caramel] = bench.all('section');
    expect(ganache.textContent).toMatch(/Chocolate, chopped\s*\d+ g/);
    expect(ganache.textContent).toContain('days, not weeks');
    expect(colour.textContent).toContain('wear a mask');
    expect(caramel.textContent).toMatch(/\d+ × 30 s/);
    expect(caramel.textContent).toMatch(/Then cool to work it\s*\d+ min/);
    await bench.press('Keep it as a coating of the pantry');
    const kept = pantry.chocolates().at(-1);
    expect(kept).toMatchObject({ kind: 'compound', stockKg: 0.25 });
    expect(kept?.name).toContain(', caramelised');
    await bench.type('Chocolate for one part of cream', '2');
    expect(ganache.textContent).toMatch(/Chocolate, chopped\s*200 g\s*Cream, hot\s*100 g/);
    expect(ganache.textContent).toContain('rested in the pan');
    const amount = colour.querySelector<HTMLInputElement>('ks-amount-field input');
    if (!amount) throw new Error('no amount');
    amount.value = '110 g';
    amount.dispatchEvent(new Event('input'));
    await bench.settle();
    expect(colour.textContent).toMatch(/Cocoa butter\s*100 g\s*Colour\s*10 g/);
    await bench.choose('With', 'linen');
    expect(ganache.textContent).not.toMatch(/Chocolate, chopped\s*150 g/);
  });
});
