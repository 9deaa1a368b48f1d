import { Router } from '@angular/router';
import { TestBed } from '@angular/core/testing';
import { PIECE_KINDS } from '../../core/edit/piece-kinds';
import { readCasting } from '../../core/record/read-casting';
import { Bench, closeWorkers, openDemo, until } from '../../testing/bench';
import type { CastingStore } from '../state/casting-store';
import { Kitchens } from '../state/kitchens';
import { MoldLibrary } from '../state/mold-library';
import { Pantry } from '../state/pantry';
import { PIECE_NAMES } from '../wording/piece-kinds';
import { NewCasting } from './new-casting';

let store: CastingStore;
let bench: Bench<NewCasting>;

async function open(inputs: Readonly<Record<string, unknown>> = {}): Promise<void> {
  store = await openDemo();
  jest.spyOn(TestBed.inject(Router), 'navigate').mockResolvedValue(true);
  const libraries = [TestBed.inject(Kitchens), TestBed.inject(MoldLibrary), TestBed.inject(Pantry)];
  await until(() => libraries.every((library) => library.loaded()));
  bench = await Bench.of(NewCasting, inputs);
}

afterEach(() => {
  document.body.replaceChildren();
  closeWorkers();
});

const newest = () => store.castings().find(({ id }) => !id.startsWith('demo-'));

describe('a new casting', () => {
  it('asks what it is to be before anything else', async () => {
    await open();
    expect(bench.all('ks-amount-field, ks-choice-list')).toHaveLength(0);
    expect(bench.all('label[nz-radio-button]').map((label) => label.textContent?.trim())).toEqual(
      PIECE_KINDS.map((kind) => PIECE_NAMES[kind].name),
    );
  });

  it('is planned from one choice, in one’s own mold, of what the pantry has most of', async () => {
    await open();
    await bench.press('Cocoa bomb');
    expect(bench.chosen('Mold')).toMatch(/^Half spheres/);
    expect(bench.text).toContain('fill and dump, 2 coats');
    await bench.type('Pieces', '9');
    await bench.press('Plan it');
    const casting = newest();
    expect(casting).toMatchObject({ name: 'Cocoa bombs', pieces: 9, closure: { kind: 'warmPlate' } });
    const stocked = [...TestBed.inject(Pantry).chocolates()].sort((a, b) => b.stockKg - a.stockKg)[0];
    expect(casting?.melts.map(({ source }) => source)).toEqual([{ kind: 'chocolate', chocolateId: stocked.id }]);
    expect(readCasting(structuredClone(casting)).ok).toBe(true);
  });

  it('puts a mold told by two measures into the library', async () => {
    await open();
    await bench.press('Bonbon');
    await bench.choose('Mold', 'new');
    await bench.type('Width of a cavity', '30 mm');
    await bench.type('Depth of a cavity', '1/2 in');
    await bench.press('Plan it');
    const casting = newest();
    const [mold] = casting?.molds ?? [];
    expect(mold.cavities[0].shape).toMatchObject({
      kind: 'pillow',
      lengthM: 0.03,
      depthM: expect.closeTo(0.0127, 6) as number,
    });
    expect(TestBed.inject(MoldLibrary).byId().get(mold.id)?.name).toBe('New mold for bonbons');
    expect(casting?.closure?.kind).toBe('cap');
  });

  it('tells why two measures make no cavity, and plans nothing then', async () => {
    await open();
    await bench.press('Over a former');
    await bench.choose('Mold', 'new');
    await bench.type('Width of its opening', '159 mm');
    expect(bench.all('.problem').map((one) => one.textContent)).toEqual([
      expect.stringContaining('Change one of the two.'),
    ]);
    expect(bench.all<HTMLButtonElement>('button[type=submit]')[0].disabled).toBe(true);
    await bench.type('Width of its opening', '80 mm');
    expect(bench.all<HTMLButtonElement>('button[type=submit]')[0].disabled).toBe(false);
  });

  it('offers to copy one of that kind first', async () => {
    await open();
    await bench.press('Cocoa bomb');
    await bench.press('Copy Cider-spice bombs');
    expect(newest()?.name).toBe('Cider-spice bombs 2');
  });

  it('begins with a mold that was come from', async () => {
    await open({ mold: 'acorns' });
    expect(bench.chosen('Mold')).toMatch(/acorns/);
    expect(bench.text).toContain('pressed to the gap');
  });

  it.each(PIECE_KINDS)('plans a %s with nothing but that said', async (kind) => {
    await open();
    await bench.press(PIECE_NAMES[kind].name);
    await bench.press('Plan it');
    expect(readCasting(structuredClone(newest())).ok).toBe(true);
    expect(bench.text).not.toMatch(/NaN|undefined|no end/);
  });
});
