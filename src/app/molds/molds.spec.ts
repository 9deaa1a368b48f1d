import { TestBed } from '@angular/core/testing';
import { Router } from '@angular/router';
import { writeMoldFile } from '../../data/mold-file';
import { SHIPPED_MOLDS, shippedMolds } from '../../data/mold-library';
import { Bench, MONDAY, closeWorkers, openDemo, until, wait } from '../../testing/bench';
import type { CastingStore } from '../state/casting-store';
import { MoldLibrary } from '../state/mold-library';
import { Notices } from '../state/notices';
import { MeasurePage } from './measure-page';
import { MoldPage } from './mold-page';
import { Molds } from './molds';
import { cutPath, sheetDrawing } from './sheet-drawing';

let store: CastingStore;
let library: MoldLibrary;

beforeEach(async () => {
  store = await openDemo();
  library = TestBed.inject(MoldLibrary);
  await until(() => library.loaded());
  jest.spyOn(TestBed.inject(Router), 'navigateByUrl').mockResolvedValue(true);
  jest.spyOn(TestBed.inject(Router), 'navigate').mockResolvedValue(true);
});
afterEach(() => {
  document.body.replaceChildren();
  closeWorkers();
});

/** Cards that are drawn without being asked for, where nothing is scrolled into sight: a first screenful and what follows it. */
const DRAWN_SOON = 21;

const moldOf = (id: string) => {
  const mold = library.byId().get(id);
  if (!mold) throw new Error(`no mold ${id}`);
  return mold;
};

describe('Molds', () => {
  it('shows each drawn, and finds by kind and by name', async () => {
    const bench = await Bench.of(Molds);
    await until(() => bench.all('li').length === DRAWN_SOON);
    await bench.press(`Show more, ${SHIPPED_MOLDS.length - DRAWN_SOON} are left`);
    expect(bench.all('li')).toHaveLength(SHIPPED_MOLDS.length);
    expect(bench.all('ks-mold-card-drawing svg .cut')).toHaveLength(SHIPPED_MOLDS.length);
    await bench.choose('Kind', 'faceted');
    expect(bench.all('li strong').map((name) => name.textContent)).toEqual(['Faceted pears', 'Faceted gems']);
    await bench.choose('Kind', 'liner');
    expect(bench.text).toContain('50 mm pleated liner');
    const search = bench.all<HTMLInputElement>('input[type=search]')[0];
    search.value = 'no such thing';
    search.dispatchEvent(new Event('input'));
    await bench.settle();
    expect(bench.text).toContain('No mold of that kind or name');
    await bench.press('Show all');
    await until(() => bench.all('li').length === DRAWN_SOON);
    await bench.press(`Show more, ${SHIPPED_MOLDS.length - DRAWN_SOON} are left`);
    expect(bench.all('li')).toHaveLength(SHIPPED_MOLDS.length);
  });

  it('deletes one with the way back, and says which castings keep their own copies', async () => {
    const bench = await Bench.of(Molds);
    await until(() => bench.all('ks-record-tools').length > 0);
    await bench.press('Delete Half spheres, 64 mm');
    expect(library.byId().has('bombs')).toBe(false);
    expect(TestBed.inject(Notices).notice()?.text).toContain('“Cider-spice bombs” keeps its own copy');
    expect(store.castings()[0].molds[0].cavities[0].shape).toEqual({ kind: 'hemisphere', diameterM: 0.064 });
    TestBed.inject(Notices).notice()?.action?.run();
    expect(library.byId().has('bombs')).toBe(true);
  });

  it('copies under a free name, and a copy goes its own way', async () => {
    const bench = await Bench.of(Molds);
    await until(() => bench.all('li').length === DRAWN_SOON);
    await bench.press('Copy Bells');
    const copy = library.molds().at(-1);
    expect(copy?.name).toBe('Bells 2');
    library.edit(copy?.id ?? '', 'wall', (mold) => (mold.wallM = 0.005));
    expect(moldOf('bells').wallM).toBe(0.0025);
    store.undo();
    store.undo();
    expect(library.molds()).toHaveLength(SHIPPED_MOLDS.length);
  });

  it('takes molds from a file beside those of the same id', async () => {
    const bench = await Bench.of(Molds);
    await bench.press('Import');
    const input = bench.all<HTMLInputElement>('#import-file')[0];
    const content = writeMoldFile(shippedMolds(MONDAY).slice(0, 2), MONDAY);
    Object.defineProperty(input, 'files', {
      value: [{ name: 'molds.json', size: content.length, text: () => Promise.resolve(content) }],
    });
    input.dispatchEvent(new Event('change'));
    await wait(20);
    await bench.settle();
    expect(bench.text).toContain('2 molds can be taken from “molds.json”');
    await bench.press('Take them');
    expect(library.molds()).toHaveLength(SHIPPED_MOLDS.length + 2);
  });

  it('brings back what came with the program when all are gone', async () => {
    const bench = await Bench.of(Molds);
    for (const mold of [...library.molds()]) library.remove(mold);
    await bench.settle();
    expect(bench.text).toContain('No molds yet');
    await bench.press('Bring them back');
    expect(library.molds()).toHaveLength(SHIPPED_MOLDS.length);
  });

  it('draws no more than it shows, of five hundred', async () => {
    const many = shippedMolds(MONDAY);
    library.take(Array.from({ length: 480 }, (_, i) => ({ ...many[i % many.length], name: `Mold ${i}` })));
    const bench = await Bench.of(Molds);
    expect(bench.all('li')).toHaveLength(9);
    await until(() => bench.all('li').length === DRAWN_SOON);
    await bench.press(/Show more, 483 are left/);
    expect(bench.all('li')).toHaveLength(33);
  });
});

async function unfold(bench: Bench<unknown>, name: string): Promise<void> {
  bench
    .all('.ant-collapse-header')
    .find((head) => head.textContent?.trim() === name)
    ?.click();
  await bench.settle();
}

describe('Mold page', () => {
  it('changes a cavity’s shape from any kind to any other, and all figures follow', async () => {
    const bench = await Bench.of(MoldPage, { id: 'bombs' });
    expect(bench.text).toContain('Holds69 mL');
    for (const kind of [
      'cap',
      'egg',
      'cylinder',
      'cup',
      'liner',
      'tile',
      'pillow',
      'faceted',
      'heart',
      'star',
      'drawn',
      'measured',
      'ball',
      'turned',
      'hemisphere',
    ]) {
      await bench.choose('Shape', kind);
      expect(moldOf('bombs').cavities[0].shape.kind).toBe(kind);
      expect(bench.text).toMatch(/Holds[\d.]+ mL/);
    }
    for (let k = 0; k < 15; k++) store.undo();
    expect(moldOf('bombs').cavities[0].shape).toEqual({ kind: 'hemisphere', diameterM: 0.064 });
  });

  it('copies a whole design larger, and says so where no mold is of that size', async () => {
    const bench = await Bench.of(MoldPage, { id: 'petal-cup' });
    await unfold(bench, 'Larger or smaller');
    await bench.type('Size', '150 %');
    await bench.press('Copy it at 150 %');
    const copy = library.molds().at(-1);
    expect(copy?.name).toBe('Cup of a base and leaves, 150 %');
    expect(copy?.cavities[1].shape).toMatchObject({ kind: 'pillow', depthM: expect.closeTo(0.0075, 9) });
    expect(copy?.composition).toEqual(moldOf('petal-cup').composition);
    const small = await Bench.of(MoldPage, { id: 'stars' });
    await unfold(small, 'Larger or smaller');
    await small.type('Size', '25 %');
    expect(small.text).toContain('larger or smaller than any mold. Take a size');
    // Those of the library stay.
    expect(library.molds()).toHaveLength(SHIPPED_MOLDS.length + 1);
  });

  it('draws an outline by its points, and a star and a heart by their measures', async () => {
    const bench = await Bench.of(MoldPage, { id: 'catkins' });
    await bench.type('Point 3, from the middle line', '14 mm');
    expect(moldOf('catkins').cavities[0].shape).toMatchObject({ kind: 'drawn', points: { 2: { radiusM: 0.014 } } });
    // Folded behind itself: said, and the last good one stays.
    await bench.type('Point 3, along it', '69 mm');
    expect(bench.text).toContain('The last good shape stays.');
    expect(moldOf('catkins').cavities[0].shape).toMatchObject({ points: { 2: { radiusM: 0.014, heightM: 0.02 } } });
    await bench.press('faceted');
    expect(moldOf('catkins').cavities[0].shape).toMatchObject({ kind: 'drawn', form: 'faceted' });
    await bench.choose('Shape', 'star');
    await bench.type('Tips', '3');
    expect(moldOf('catkins').cavities[0].shape).toMatchObject({ kind: 'star', tips: 5 });
    await bench.type('Tips', '7');
    expect(moldOf('catkins').cavities[0].shape).toMatchObject({ kind: 'star', tips: 7 });
  });

  it('holds what a heel, a handle or a neck takes, told by spoons, and forgets it again', async () => {
    const bench = await Bench.of(MoldPage, { id: 'bombs' });
    await bench.press('It has a heel, a handle or a neck');
    expect(moldOf('bombs').cavities[0].narrowM3).toBeCloseTo(5e-6, 12);
    await bench.type('Narrow places, filled solid', '12 mL');
    expect(moldOf('bombs').cavities[0].narrowM3).toBeCloseTo(12e-6, 12);
    await bench.type('Narrow places, filled solid', '2 L');
    expect(moldOf('bombs').cavities[0].narrowM3).toBeCloseTo(12e-6, 12);
    await bench.press('No narrow places');
    expect(moldOf('bombs').cavities[0]).not.toHaveProperty('narrowM3');
  });

  it('holds sheets of several kinds, and puts them together', async () => {
    const bench = await Bench.of(MoldPage, { id: 'bombs' });
    await bench.press('Add another kind of cavity');
    expect(moldOf('bombs').cavities).toHaveLength(2);
    await bench.choose('A piece is', 'figure');
    expect(moldOf('bombs').composition).toMatchObject({ kind: 'figure', frontId: 'cavity-1' });
    await bench.choose('A piece is', 'assembly');
    await bench.type('Cavity 2 in a piece', '3');
    expect(moldOf('bombs').composition).toMatchObject({ parts: [{ perPiece: 1 }, { perPiece: 3 }] });
    await bench.press('Take this one off');
    expect(moldOf('bombs')).toMatchObject({ composition: { kind: 'single' }, cavities: [{ id: 'cavity-1' }] });
  });

  it('takes an insert’s gap by width or by the water it holds', async () => {
    const bench = await Bench.of(MoldPage, { id: 'acorns' });
    await bench.type('The insert leaves', '2.5 mm');
    expect(moldOf('acorns').composition).toEqual({ kind: 'press', gap: { by: 'width', gapM: 0.0025 } });
    await bench.type('The insert leaves', '14 g');
    expect(moldOf('acorns').composition).toEqual({
      kind: 'press',
      gap: { by: 'water', m3: expect.closeTo(14e-6, 12) as number },
    });
    await bench.press('two halves, joined');
    expect(moldOf('acorns').composition).toMatchObject({ kind: 'press', joined: true, gap: { by: 'water' } });
    await bench.press('one, open behind');
    expect(moldOf('acorns').composition).not.toHaveProperty('joined');
  });

  it('leaves the copies of castings alone', async () => {
    const bench = await Bench.of(MoldPage, { id: 'bombs' });
    expect(bench.text).toContain('Copied into Cider-spice bombs');
    await bench.type('Width of a cavity', '76 mm');
    expect(moldOf('bombs').cavities[0].shape).toMatchObject({ diameterM: 0.076 });
    expect(store.castings()[0].molds[0].cavities[0].shape).toMatchObject({ diameterM: 0.064 });
  });

  it('says so when the mold is gone', async () => {
    const bench = await Bench.of(MoldPage, { id: 'nothing' });
    await until(() => bench.text !== '');
    expect(bench.text).toContain('This mold is not here any more');
  });
});

describe('profile editor', () => {
  const shape = () => moldOf('bells').cavities[0].shape;

  it('takes typed points, adds and removes them', async () => {
    const bench = await Bench.of(MoldPage, { id: 'bells' });
    await bench.type('Point 7, from the axis', '30');
    expect(shape()).toMatchObject({ points: expect.arrayContaining([{ radiusM: 0.03, heightM: 0.044 }]) as unknown });
    await bench.press('Add a point');
    expect(shape()).toMatchObject({ points: { length: 8 } });
    await bench.press('Remove');
    await bench.press('Remove');
    expect(shape()).toMatchObject({ points: { length: 6 } });
  });

  it.each([
    ['Point 4, height', '2', 'Point 4 lies lower than the one before'],
    ['Point 7, from the axis', '0', 'Point 7 is the rim, and it is all but closed'],
  ])(
    'marks the point that makes no cavity when %s is %j, and keeps the last good shape',
    async (label, value, says) => {
      const bench = await Bench.of(MoldPage, { id: 'bells' });
      const before = shape();
      await bench.type(label, value);
      expect(bench.text).toContain(says);
      expect(bench.all('ks-drag-handle.wrong')).toHaveLength(1);
      expect(shape()).toBe(before);
    },
  );

  it.each([
    ['Point 3, from the axis', '-4'],
    ['Point 7, height', '1000'],
    ['Point 5, height', ''],
    ['Point 5, height', 'tall'],
  ])('marks the field when %s is %j, and keeps the last good shape', async (label, value) => {
    const bench = await Bench.of(MoldPage, { id: 'bells' });
    const before = shape();
    await bench.type(label, value);
    const box = bench.field(label);
    expect(box.getAttribute('aria-invalid')).toBe('true');
    expect(document.getElementById(box.getAttribute('aria-describedby') ?? '')?.textContent?.trim()).toMatch(/\w+ \w+/);
    expect(shape()).toBe(before);
  });

  it('takes a whole table, and names the line it cannot read', async () => {
    const bench = await Bench.of(MoldPage, { id: 'bells' });
    const table = bench.all<HTMLTextAreaElement>('#profile-table')[0];
    const type = async (text: string): Promise<void> => {
      table.value = text;
      table.dispatchEvent(new Event('input'));
      await bench.settle();
      await bench.press('Use these points');
    };
    await type('0; 0\n20 something\n30; 40');
    expect(bench.text).toContain('Line 2 is not two lengths');
    await type('0; 0\n20,5; 12\n30\t40');
    expect(shape()).toEqual({
      kind: 'turned',
      points: [
        { radiusM: 0, heightM: 0 },
        { radiusM: 0.0205, heightM: 0.012 },
        { radiusM: 0.03, heightM: 0.04 },
      ],
    });
  });

  it('moves a point by keys, both ways', async () => {
    const bench = await Bench.of(MoldPage, { id: 'bells' });
    const handle = bench.all('ks-drag-handle')[6];
    for (const key of ['ArrowRight', 'ArrowUp'])
      handle.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true }));
    await bench.settle();
    expect(shape()).toMatchObject({
      points: expect.arrayContaining([
        { radiusM: expect.closeTo(0.0275, 9) as number, heightM: expect.closeTo(0.0445, 9) as number },
      ]) as unknown,
    });
  });
});

describe('measuring', () => {
  const note = async (bench: Bench<MeasurePage>, empty: string, full: string): Promise<void> => {
    for (const [id, text] of [
      ['water-empty', empty],
      ['water-full', full],
    ]) {
      const input = bench.all<HTMLInputElement>(`#${id}`)[0];
      input.value = text;
      input.dispatchEvent(new Event('input'));
    }
    await bench.press('Note this reading');
  };

  it('averages what was weighed, and makes it the mold’s own', async () => {
    const bench = await Bench.of(MeasurePage, { id: 'bombs' });
    await bench.type('Cavities filled', '6');
    await note(bench, '92 g', '500 g');
    await note(bench, '92', '504');
    expect(bench.text).toContain('69 mL a cavity');
    expect(bench.text).toMatch(/likely 67 to 70 mL/);
    await bench.press('Use it for this mold');
    expect(moldOf('bombs').cavities[0]).toMatchObject({
      shape: { kind: 'measured', volumeM3: expect.closeTo(68.5e-6, 6) as number, diameterM: 0.064, depthM: 0.032 },
      water: { readings: { length: 2 } },
    });
  });

  it('keeps every reading, says what is wrong with one, and asks for more when they disagree', async () => {
    const bench = await Bench.of(MeasurePage, { id: 'bombs' });
    await note(bench, '160 g', '92 g');
    expect(bench.text).toContain('the wrong way round');
    expect(bench.text).toContain('Nothing weighed yet');
    await note(bench, '92 g', '160 g');
    await note(bench, '92 g', '168 g');
    expect(bench.text).toMatch(/The readings are 11 % apart\. Weigh once more/);
    await note(bench, '96 g', '164 g');
    expect(bench.text).toContain('it or the scale is wet');
    expect(bench.all('tbody tr:not(.why)')).toHaveLength(4);
    await bench.press('Take reading 1 out');
    expect(bench.all('tbody tr:not(.why)')).toHaveLength(3);
  });

  it('leaves what it cannot read as it was typed', async () => {
    const bench = await Bench.of(MeasurePage, { id: 'bombs' });
    await note(bench, 'heavy', '160 g');
    expect(bench.text).toContain('No amount in that');
    expect(bench.all<HTMLInputElement>('#water-empty')[0].value).toBe('heavy');
    expect(moldOf('bombs').cavities[0].water).toBeUndefined();
  });

  it('measures with a ruler, and says when no bowl is like that', async () => {
    const bench = await Bench.of(MeasurePage, { id: 'bombs' });
    await bench.press('with a ruler');
    await bench.type('Width halfway down', '55.4 mm');
    expect(bench.text).toContain('69 mL a cavity');
    await bench.type('Width halfway down', '90 mm');
    expect(bench.text).toContain('No bowl of that width and depth holds so much');
    expect(bench.text).not.toContain('Use it for this mold');
  });
});

describe('drawings', () => {
  it('lay every cavity of a sheet apart from the others, inside its edge', () => {
    for (const mold of SHIPPED_MOLDS) {
      const sheet = sheetDrawing(mold);
      expect(sheet.cavities).toHaveLength(mold.cavities.length);
      mold.cavities.forEach((cavity, i) =>
        expect(sheet.cavities[i].match(/M/g)).toHaveLength(cavity.rows * cavity.columns),
      );
      for (const path of sheet.cavities) expect(path).not.toMatch(/NaN|Infinity/);
    }
  });

  it('cut a cavity as wide and as deep as it is', () => {
    const { widthMm, depthMm, path } = cutPath({ kind: 'egg', lengthM: 0.092, widthM: 0.062, depthM: 0.031 });
    expect([widthMm, depthMm]).toEqual([92, 31]);
    const xs = [...path.matchAll(/(-?[\d.]+) (-?[\d.]+)/g)].map((match) => Number(match[1]));
    expect(Math.max(...xs) - Math.min(...xs)).toBeCloseTo(92, 1);
  });
});
