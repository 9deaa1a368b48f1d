import { TestBed } from '@angular/core/testing';
import { Bench, until, wait, withDemo } from '../../../testing/bench';
import { Pantry } from '../../state/pantry';
import { PlanService } from '../../state/plan-service';
import { ShoppingList } from '../../state/shopping-list';
import { BatchStation } from './batch-station';
import { BatchView } from './batch-view';
import { ScalePanel } from './scale-panel';
import { shoppingCsv } from './shopping-csv';

const { casting, store } = withDemo();

describe('Batch station', () => {
  it('follows the pieces', async () => {
    const bench = await Bench.of(BatchStation);
    expect(bench.text).toMatch(/Rounds7/);
    await bench.type('Pieces', '30');
    await wait(120);
    await bench.settle();
    expect(bench.text).toMatch(/Rounds11/);
  });

  it('spares by a flat share or by confidence', async () => {
    const bench = await Bench.of(BatchStation);
    await bench.press('flat share');
    expect(casting().spareRule).toEqual({ by: 'share', share: 0.2 });
    await wait(120);
    await bench.settle();
    // A fifth more than 36 halves are 44, in eight rounds of six (common practice, no source).
    expect(bench.text).toMatch(/Rounds8/);
    await bench.type('Spare share', '50 %');
    expect(casting().spareRule).toEqual({ by: 'share', share: 0.5 });
    await bench.press('by confidence');
    expect(casting().spareRule).toEqual({ by: 'confidence', confidence: 0.95 });
  });

  it('counts breakages that were seen, and refuses more broken than cast', async () => {
    const bench = await Bench.of(BatchStation);
    await bench.press('You know how many broke before?');
    await bench.type('Cast before', '40');
    await bench.type('Of them broke', '12');
    expect(casting().breakages).toEqual({ cast: 40, broken: 12 });
    await wait(120);
    await bench.settle();
    expect(bench.text).toMatch(/Rounds(9|1\d)/);
    await bench.type('Of them broke', '50');
    expect(bench.text).toContain('More than were cast');
    expect(casting().breakages).toEqual({ cast: 40, broken: 12 });
    await bench.press('Go by the computed chance alone');
    expect(casting().breakages).toBeUndefined();
  });

  it('leaves out of what is melted what comes to nothing on the scale', async () => {
    const drizzled = (lineM: number) =>
      store().edit('lines', (draft) => {
        draft.pieces = 1;
        draft.finishes = [{ id: 'f', name: 'lines', sets: [], kind: 'drizzle', meltId: 'melt-1', share: 0.05, lineM }];
      });
    drizzled(0.003);
    const bench = await Bench.of(BatchView);
    expect(bench.text).toMatch(/[1-9]\d* g ?finishing/);
    drizzled(0.0005);
    await wait(120);
    await bench.settle();
    expect(bench.text).toMatch(/[1-9]\d* g ?in the parts/);
    expect(bench.text).not.toContain('finishing');
  });

  it('keeps a half-typed due time out of the plan', async () => {
    const bench = await Bench.of(BatchStation);
    await bench.enter('Ready by', '18 Oct 12:');
    expect(bench.text).toContain('such as Sat 17 Oct 2026, 18:00; the last one stays');
    expect(casting().due.local).toBe('2026-10-17T18:00');
    await bench.enter('Ready by', '18 oct 12:30');
    expect(casting().due.local).toBe('2026-10-18T12:30');
    expect(bench.field('Ready by').value).toBe('Sun 18 Oct 2026, 12:30');
    await bench.enter('Ready by', '9pm');
    expect(casting().due.local).toBe('2026-10-18T21:00');
  });

  it('answers how many the chocolate on hand makes', async () => {
    const bench = await Bench.of(BatchStation);
    const makes = (): number => Number(/on hand makes(\d+)/.exec(bench.text)?.[1]);
    await bench.type('Quarry 64 on hand', '400 g');
    const few = makes();
    await bench.type('Quarry 64 on hand', '1.2 kg');
    await wait(120);
    await bench.settle();
    expect(few).toBeGreaterThan(0);
    expect(makes()).toBeGreaterThan(2 * few);
  });
});

describe('the whole job', () => {
  it('adds up, buys against the pantry, and is booked into it and out again', async () => {
    const bench = await Bench.of(BatchView);
    await until(() => TestBed.inject(PlanService).chillSource() === 'worker');
    await wait(50);
    await bench.settle();
    expect(bench.text).toMatch(/Quarry 64: 9\d\d g to melt/);
    expect(bench.text).toContain('comes back');
    expect(bench.text).toMatch(/A piece costs € 0\.\d\d|A piece costs € 1\.\d\d/);
    const pantry = TestBed.inject(Pantry);
    const stock = (): number => {
      const entry = pantry.byId().get('quarry');
      return entry?.entry === 'chocolate' ? entry.stockKg : NaN;
    };
    expect(stock()).toBe(0.5);
    // Nothing is booked into a pantry that has not been read yet.
    const book = bench.all<HTMLButtonElement>('button').find(({ textContent }) => textContent?.includes('Job done'));
    pantry.loaded.set(false);
    await bench.settle();
    expect(book?.disabled).toBe(true);
    pantry.loaded.set(true);
    await bench.settle();
    expect(book?.disabled).toBe(false);
    await bench.press('Job done: book it into the pantry');
    const plan = TestBed.inject(PlanService).plan();
    const [melt] = plan?.batch.melts ?? [];
    // Half a kilogram was there and two packs came; what was melted went, and what comes back is kept.
    expect(stock()).toBeCloseTo(0.5 + 0.5 - (melt.melted.value - melt.comesBack.value), 5);
    store().undo();
    expect(stock()).toBe(0.5);
    const csv = await shoppingCsv(TestBed.inject(ShoppingList).lines(), '€', 'metric');
    expect(csv.split('\r\n')[0]).toBe('what,unit,wanted,in the pantry,missing,packs,a pack,"price, €"');
    expect(csv).toMatch(/Quarry 64,g,9\d\d\.\d,500\.0,4\d\d\.\d,2,250\.0,9\.80/);
  });

  it('is scaled beforehand, and says what changes in kind', async () => {
    const bench = await Bench.of(ScalePanel);
    bench.all('.ant-collapse-header')[0].click();
    await bench.settle();
    await bench.press('three times');
    expect(bench.text).toMatch(/\d+ parts to cast instead of \d+/);
    expect(bench.text).toMatch(/19 rounds instead of 7; 3 molds would keep it at 7/);
    // What it is compared with is what is on screen.
    await until(() => TestBed.inject(PlanService).chillSource() === 'worker');
    await bench.settle();
    const now = TestBed.inject(PlanService).plan()?.batch.melts[0].melted.value ?? 0;
    expect(bench.text).toContain(`g to melt instead of ${Math.round(now * 1000)} g`);
    expect(bench.text).not.toContain('Estimated');
    await bench.choose('Of', 'pebble');
    expect(bench.text).toContain('Estimated, before and after');
    expect(bench.text).toContain('It then needs no tempering');
    expect(casting().pieces).toBe(18);
    await bench.press('Make it so');
    expect(casting()).toMatchObject({ pieces: 54, melts: [{ source: { chocolateId: 'pebble' } }] });
    store().undo();
    expect(casting().pieces).toBe(18);
  });
});
