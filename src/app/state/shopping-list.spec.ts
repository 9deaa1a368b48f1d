import { TestBed } from '@angular/core/testing';
import type { LarderNeed } from '../../core/plan/larder';
import type { PantryEntry } from '../../core/record/chocolate';
import type { PantryGoods, PantrySupply } from '../../core/record/goods';
import { readPantryEntry } from '../../core/record/read-pantry';
import { closeWorkers, openDemo, until } from '../../testing/bench';
import { Pantry } from './pantry';
import { PlanService } from './plan-service';
import { ShoppingList, costOf, countedLine, weighedLine } from './shopping-list';

const dated = { schemaVersion: 1, createdAt: '2026-10-12T08:00:00.000Z' } as const;
const cocoa: PantryGoods = {
  ...dated,
  id: 'cocoa',
  name: 'Cocoa ',
  entry: 'goods',
  stockKg: 0.05,
  packKg: 0.1,
  packPrice: 3,
};
const sticks = (id: string, thickM: number, stock: number): PantrySupply => ({
  ...dated,
  id,
  name: id,
  entry: 'supply',
  kind: 'stick',
  thickM,
  stock,
  pack: 50,
  packPrice: 2,
});
const need = (name: string, kg: number): LarderNeed => ({
  name,
  entryId: undefined,
  kind: 'other',
  neededKg: kg,
  usedKg: kg,
});

describe('a line of the shopping list', () => {
  it('finds an ingredient by its name, however that is written, and buys whole packs of it', () => {
    const line = weighedLine(need('cocoa', 0.173), [sticks('thin', 0.004, 3), cocoa], []);
    // 173 g less 50 g that are there: two packs of 100 g; of them the job uses 173 g.
    expect(line).toMatchObject({ stock: 0.05, pack: 0.1, packPrice: 3, counted: false });
    expect(line.shopping).toMatchObject({ packs: 2, cost: 6 });
    expect(line.shopping?.usedCost).toBeCloseTo(1.73 * 3, 9);
    expect(line.shopping?.left).toBeCloseTo(0.25 - 0.173, 9);
    expect(weighedLine(need('Sugar', 0.1), [cocoa], [])).toMatchObject({ stock: undefined, shopping: undefined });
  });

  it('counts sticks of one thickness by themselves', () => {
    const pantry = [sticks('thin', 0.004, 10), sticks('thick', 0.006, 200)];
    const thin = countedLine({ kind: 'stick', count: 24, stick: { thickM: 0.004, insideM: 0.02 } }, pantry);
    expect(thin).toMatchObject({ counted: true, needed: 24, stock: 10 });
    expect(thin.shopping).toMatchObject({ missing: 14, packs: 1, cost: 2, left: 36 });
    const thick = countedLine({ kind: 'stick', count: 24, stick: { thickM: 0.006, insideM: 0.02 } }, pantry);
    expect(thick.shopping).toMatchObject({ packs: 0, left: 176 });
    expect(countedLine({ kind: 'bag', count: 6 }, pantry).entry).toBeUndefined();
    // 24 of 50 at € 2, twice.
    expect(costOf([thin, thick]).used).toBeCloseTo(2 * 0.96, 9);
    expect(costOf([thin, countedLine({ kind: 'bag', count: 6 }, pantry)]).unpriced).toHaveLength(1);
  });

  it.each([cocoa, sticks('thin', 0.004, 3)])('is of what the pantry can read: $entry', (entry: PantryEntry) => {
    expect(readPantryEntry(JSON.parse(JSON.stringify(entry)))).toEqual({ ok: true, record: entry });
    const wrong = 'stock' in entry ? { ...entry, stock: 1.5 } : { ...entry, stockKg: -1 };
    expect(readPantryEntry(wrong)).toMatchObject({ ok: false, problem: 'badValue' });
  });
});

describe('a job that is booked', () => {
  afterEach(() => closeWorkers());

  it('takes what it used of ingredients and supplies, in one step', async () => {
    const store = await openDemo();
    const pantry = TestBed.inject(Pantry);
    await until(() => pantry.loaded());
    store.open('demo-bombs');
    store.edit('stick', (casting) => {
      casting.parts[0].stick = { thickM: 0.004, insideM: 0.02 };
    });
    const [kept, thin] = [pantry.createGoods('cocoa'), pantry.createSupply('Sticks', 'stick', 0.004)];
    const list = TestBed.inject(ShoppingList);
    await until(() => TestBed.inject(PlanService).plan() !== undefined);
    const line = (id: string) => list.lines().find(({ entry }) => entry?.id === id);
    const [used, cast] = [line(kept.id)?.needed ?? 0, line(thin.id)?.needed ?? 0];
    expect([used > 0.01, cast > 36]).toEqual([true, true]);
    // Made alone, it takes a pair of gloves.
    expect(list.lines().flatMap(({ of, needed }) => (of.kind === 'gloves' ? [needed] : []))).toEqual([1]);
    expect(list.book()).toBeGreaterThanOrEqual(4);
    const stock = (id: string): unknown => {
      const entry = pantry.byId().get(id);
      return entry?.entry === 'supply' ? entry.stock : entry?.entry === 'goods' ? entry.stockKg : undefined;
    };
    // One pack of each is bought.
    expect(stock(kept.id)).toBeCloseTo(0.1 - used, 5);
    expect(stock(thin.id)).toBe(50 - cast);
    store.undo();
    expect([stock(kept.id), stock(thin.id)]).toEqual([0, 0]);
  });
});
