import { TestBed } from '@angular/core/testing';
import { Bench, closeWorkers, openDemo, until, wait } from '../../testing/bench';
import type { Casting } from '../../core/record/casting';
import { readCasting } from '../../core/record/read-casting';
import type { CastingStore } from '../state/casting-store';
import { OpenPart } from '../state/open-part';
import { Pantry } from '../state/pantry';
import { PlanService } from '../state/plan-service';
import { BatchView } from './batch/batch-view';
import { ScalePanel } from './batch/scale-panel';
import { shoppingCsv } from './batch/shopping-csv';
import { ShoppingList } from '../state/shopping-list';
import { CloseStation } from './close/close-station';
import { CoatStation } from './coat/coat-station';
import { FillStation } from './fill/fill-station';
import { FinishStation } from './finish/finish-station';
import { MeltStation } from './melt/melt-station';
import { PartList } from './parts/part-list';
import { PartPicker } from './parts/part-picker';
import { StationList } from './station-list';

let store: CastingStore;
const casting = (): Casting => {
  const current = store.current();
  if (!current) throw new Error('nothing open');
  return current;
};
const whole = (): void => expect(readCasting(structuredClone(casting()))).toMatchObject({ ok: true });

afterEach(() => {
  document.body.replaceChildren();
  closeWorkers();
});

describe('parts and colours', () => {
  beforeEach(async () => {
    store = await openDemo();
  });

  it('makes two halves of two colours, shows either, and takes one out again', async () => {
    const list = await Bench.of(PartList);
    expect(list.text).toContain('two halves alike');
    await list.press('More parts or colours');
    await list.press('Two halves of two colours');
    expect(casting().parts.map(({ name }) => name)).toEqual(['Upper half', 'Lower half']);
    expect(TestBed.inject(OpenPart).id()).toBe('part-2');
    const coat = await Bench.of(CoatStation);
    await coat.choose('Chocolate', 'linen');
    expect(casting().melts.map(({ source }) => source)).toEqual([
      { kind: 'chocolate', chocolateId: 'quarry' },
      { kind: 'chocolate', chocolateId: 'linen' },
    ]);
    whole();
    const picker = await Bench.of(PartPicker);
    await picker.press('Upper half');
    expect(TestBed.inject(PlanService).draft()?.part.name).toBe('Upper half');
    await list.settle();
    await list.press('Take Lower half out');
    expect(casting().parts).toHaveLength(1);
    whole();
  });

  it('changes the shown part alone, and undoes it as one', async () => {
    const list = await Bench.of(PartList);
    await list.press('More parts or colours');
    await list.press('Add a lid');
    await list.enter('Name', 'Flat lid');
    const coat = await Bench.of(CoatStation);
    await coat.press('1', 0);
    expect(casting().parts.map(({ name, coats }) => [name, coats.length])).toEqual([
      ['Half', 2],
      ['Flat lid', 1],
    ]);
    store.undo();
    expect(casting().parts[1].coats).toHaveLength(2);
    whole();
  });

  it('pours each coat from another chocolate, marbles one, and shows each melt', async () => {
    const coat = await Bench.of(CoatStation);
    await coat.press('Another for each coat');
    await coat.choose('Chocolate of coat 2', 'fallow');
    expect(casting().parts[0].coats.map(({ shares }) => shares[0].meltId)).toEqual(['melt-1', 'melt-2']);
    await coat.press('Marble it', 1);
    await coat.choose('Streaked with', 'linen');
    await coat.type('Of the coat', '30 %');
    expect(casting().parts[0].coats[1].shares).toEqual([
      { meltId: 'melt-2', share: 0.7 },
      { meltId: expect.any(String) as string, share: 0.3 },
    ]);
    whole();
    const melt = await Bench.of(MeltStation);
    await until(() => (TestBed.inject(PlanService).plan()?.melts.length ?? 0) === 3);
    await melt.settle();
    await melt.choose('Which melt', 'melt-2');
    await melt.type('Worked at', '29 °C');
    expect(casting().melts.find(({ id }) => id === 'melt-2')?.workingC).toBe(29);
    await coat.press('No streaks');
    expect(casting().melts).toHaveLength(2);
  });
});

describe('Fill station', () => {
  beforeEach(async () => {
    store = await openDemo();
  });

  it('takes a filling from the pantry as a copy, with what it is mixed of, and keeps it when the pantry loses it', async () => {
    const bench = await Bench.of(FillStation);
    casting();
    await bench.choose('Layer 1, at the bottom', 'nut-butter');
    expect(
      casting()
        .fillings.find(({ id }) => id === 'nut-butter')
        ?.recipe.map(({ name }) => name),
    ).toEqual(['Hazelnut butter', 'Powdered sugar']);
    const pantry = TestBed.inject(Pantry);
    const entry = pantry.byId().get('nut-butter');
    if (entry) pantry.remove(entry);
    whole();
    await bench.settle();
    expect(bench.text).toContain('Hazelnut butter filling');
    expect(bench.text).toMatch(/Contains .*nuts/);
    expect(bench.text).toContain('weeks');
  });

  it('fills every half, or heaps into the other, and says how warm it may be and how long it keeps', async () => {
    const bench = await Bench.of(FillStation);
    await bench.press('every one');
    expect(casting().parts[0].filled).toBe('all');
    await bench.press('one of them');
    await bench.press('heaped');
    expect(casting().parts[0].heaped).toBe(true);
    expect(bench.text).toContain('Room for a heap on it');
    await bench.choose('Layer 1, at the bottom', 'ganache');
    expect(bench.text).toMatch(/Goes in no warmer than2\d(\.\d)? °C/);
    expect(bench.text).toContain('keeps some days');
  });

  it('warns of small things that are not to be eaten, of eggs and of hot sugar', async () => {
    const bench = await Bench.of(FillStation);
    for (const [id, said] of [
      ['charm', 'choking hazard'],
      ['custard', 'Cook egg custard through'],
      ['caramel', 'Hot sugar burns'],
    ]) {
      await bench.choose('Layer 1, at the bottom', id);
      expect(bench.text).toContain(said);
    }
  });

  it('refuses three kilograms of filling where they cannot be, and keeps what was typed', async () => {
    const bench = await Bench.of(FillStation);
    await bench.type('In each piece', '3.5 kg');
    expect(bench.text).toContain('Out of range');
    expect(bench.field('In each piece').value).toBe('3.5 kg');
    await bench.type('In each piece', '3 kg');
    expect(casting().fill[0].amount).toEqual({ by: 'mass', kg: 3 });
    expect(bench.text).toContain('does not fit');
  });
});

describe('Close station', () => {
  beforeEach(async () => {
    store = await openDemo('demo-bonbons');
    store.open('demo-bonbons');
  });

  it('weighs a cap, says what is left below it, and gives way to a plug or to nothing', async () => {
    const bench = await Bench.of(CloseStation);
    expect(bench.text).toMatch(/Chocolate for a piece1\.\d g/);
    await bench.type('Cap, thick', '2.5 mm');
    expect(casting().closure).toMatchObject({ kind: 'cap', thicknessM: 0.0025 });
    await bench.choose('Closed with', 'linen');
    expect(casting().melts.map(({ source }) => source)).toContainEqual({ kind: 'chocolate', chocolateId: 'linen' });
    await bench.type('For', '20 min');
    await bench.choose('Then sets in', 'room');
    expect(casting().closure?.sets).toEqual([{ place: 'room', seconds: 1200 }]);
    await bench.choose('How it is closed', 'plug');
    expect(bench.text).toContain('Hole, across');
    await bench.choose('How it is closed', 'open');
    expect(casting().closure).toBeNull();
    expect(casting().melts).toHaveLength(1);
    whole();
  });

  it('says that a cap has no room, and the note makes some', async () => {
    const bench = await Bench.of(CloseStation);
    await bench.type('Cap, thick', '6 mm');
    const plans = TestBed.inject(PlanService);
    await until(() => plans.plan()?.problems.some(({ key }) => key === 'noRoomForCap') ?? false);
    expect(
      TestBed.inject(StationList)
        .tabs()
        .find(({ key }) => key === 'close')?.mark,
    ).toBe('no cap');
  });
});

describe('Close station, of two halves', () => {
  beforeEach(async () => {
    store = await openDemo();
  });

  it('tells what a plate takes of a rim, and serves; pipes a seam instead', async () => {
    const bench = await Bench.of(CloseStation);
    expect(bench.text).toMatch(/Rim lost on the plate0\.\d+ mm/);
    expect(bench.text).toMatch(/One warming serves\d+ pieces/);
    expect(bench.text).toContain('Hot plates and pans burn');
    await bench.type('Rim on it', '8');
    expect(casting().closure).toMatchObject({ seconds: 8 });
    await bench.choose('How it is closed', 'pipedSeam');
    expect(bench.text).toMatch(/Chocolate for a piece1\.8 g/);
    expect(bench.text).toContain('count to five');
    expect(bench.text).toContain('A hairline gap');
  });

  it('glues a lid on, tells the room under it, and opens again when the lid is taken out', async () => {
    const list = await Bench.of(PartList);
    await list.press('More parts or colours');
    await list.press('Add a lid');
    const close = await Bench.of(CloseStation);
    await close.choose('How it is closed', 'lid');
    expect(close.text).toMatch(/Headspace under it ?[\d.]+ mm/);
    whole();
    await list.press(/^Take .* out$/, 1);
    expect(casting().closure).toBeNull();
    whole();
  });
});

describe('Finish station', () => {
  beforeEach(async () => {
    store = await openDemo();
  });

  it('adds each finish with its amounts, changes it, and takes it off', async () => {
    const bench = await Bench.of(FinishStation);
    for (const kind of ['drizzle', 'sprinkles', 'dust', 'paint', 'stuck on']) await bench.press(kind);
    expect(casting().finishes.map(({ kind }) => kind)).toEqual(['drizzle', 'sprinkle', 'dust', 'paint', 'stickOn']);
    expect(bench.text).toContain('Spirits catch fire');
    expect(bench.text).toContain('each held 18 s');
    whole();
    await bench.choose('With', 'linen');
    expect(casting().melts).toHaveLength(2);
    await bench.type('Of the outside', '40 %');
    expect(casting().finishes[0]).toMatchObject({ share: 0.4 });
    await bench.type('On a piece', '3');
    expect(casting().finishes[4]).toMatchObject({ count: 3 });
    await bench.type('Dries for', '30 min');
    expect(casting().finishes[0].sets).toEqual([{ place: 'room', seconds: 1800 }]);
    for (let k = 0; k < 5; k++) await bench.press(/^Take .* off$/, 0);
    expect(casting().finishes).toEqual([]);
    expect(casting().melts).toHaveLength(1);
  });

  it('sticks on a part that is cast here', async () => {
    const list = await Bench.of(PartList);
    await list.press('More parts or colours');
    await list.press('Add an ornament');
    const bench = await Bench.of(FinishStation);
    await bench.press('stuck on');
    expect(casting().finishes[0]).toMatchObject({ kind: 'stickOn', partId: 'part-2', name: 'Ornament' });
    await bench.choose('What', 'f:lentils');
    expect(casting().finishes[0]).toMatchObject({ fillingId: 'lentils', name: 'Sugar lentils' });
    expect(casting().finishes[0]).not.toHaveProperty('partId');
    whole();
  });
});

describe('the whole job', () => {
  beforeEach(async () => {
    store = await openDemo();
  });

  it('adds up, buys against the pantry, and is booked into it and out again', async () => {
    const bench = await Bench.of(BatchView);
    await until(() => TestBed.inject(PlanService).chillSource() === 'worker');
    await wait(50);
    await bench.settle();
    expect(bench.text).toMatch(/Quarry 64: 10\d\d g to melt/);
    expect(bench.text).toContain('comes back');
    expect(bench.text).toMatch(/A piece costs € 0\.\d\d|A piece costs € 1\.\d\d/);
    const pantry = TestBed.inject(Pantry);
    const stock = (): number => {
      const entry = pantry.byId().get('quarry');
      return entry?.entry === 'chocolate' ? entry.stockKg : NaN;
    };
    expect(stock()).toBe(0.5);
    await bench.press('Job done: book it into the pantry');
    const plan = TestBed.inject(PlanService).plan();
    const [melt] = plan?.batch.melts ?? [];
    // Half a kilogram was there and three packs came; what was melted went, and what comes back is kept.
    expect(stock()).toBeCloseTo(0.5 + 0.75 - (melt.melted.value - melt.comesBack.value), 5);
    store.undo();
    expect(stock()).toBe(0.5);
    const csv = await shoppingCsv(TestBed.inject(ShoppingList).lines(), '€');
    expect(csv.split('\r\n')[0]).toBe('what,"wanted, g","in the pantry, g","missing, g",packs,"a pack, g","price, €"');
    expect(csv).toMatch(/Quarry 64,10\d\d\.\d,500\.0,5\d\d\.\d,3,250\.0,14\.70/);
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
    store.undo();
    expect(casting().pieces).toBe(18);
  });
});
