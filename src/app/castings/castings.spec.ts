import { Router } from '@angular/router';
import { TestBed } from '@angular/core/testing';
import { writeCastingFile } from '../../data/casting-file';
import { Bench, MONDAY, clockAt, closeWorkers, openDemo, until, wait } from '../../testing/bench';
import { Keys } from '../frame/keys';
import type { CastingStore } from '../state/casting-store';
import { Notices } from '../state/notices';
import { Occasions } from '../state/occasions';
import { Castings } from './castings';

let store: CastingStore;
let bench: Bench<Castings>;
const names = (): string[] => store.castings().map((casting) => casting.name);

beforeEach(async () => {
  clockAt(MONDAY);
  store = await openDemo();
  jest.spyOn(TestBed.inject(Router), 'navigateByUrl').mockResolvedValue(true);
  jest.spyOn(TestBed.inject(Router), 'navigate').mockResolvedValue(true);
  bench = await Bench.of(Castings);
});
afterEach(() => {
  jest.useRealTimers();
  document.body.replaceChildren();
  closeWorkers();
});

describe('Castings', () => {
  it('shows each with its section, pieces and due time', () => {
    expect(bench.all('li')).toHaveLength(2);
    expect(bench.all('ks-small-section svg path').length).toBeGreaterThan(4);
    expect(bench.text).toContain('18 pieces, ready by Sat 17 Oct, 18:00');
    expect(bench.text).toContain('24 pieces');
  });

  it('finds by any part of a name, and says when there is none', async () => {
    const search = bench.all<HTMLInputElement>('input[type=search]')[0];
    const find = async (text: string): Promise<void> => {
      search.value = text;
      search.dispatchEvent(new Event('input'));
      await bench.settle();
    };
    await find(' CIDER');
    expect(bench.all('li')).toHaveLength(1);
    await find('no such thing');
    expect(bench.text).toContain('No casting is called “no such thing”');
    await bench.press('Show all');
    expect(bench.all('li')).toHaveLength(2);
  });

  it('copies under a free name, and gives the copy a life of its own', async () => {
    await bench.press('Copy Cider-spice bombs');
    await bench.press('Copy Cider-spice bombs');
    expect(names()).toEqual(
      expect.arrayContaining(['Cider-spice bombs', 'Cider-spice bombs 2', 'Cider-spice bombs 3']),
    );
    const copy = store.castings().find((casting) => casting.name === 'Cider-spice bombs 2');
    store.open(copy?.id);
    store.edit('pieces', (casting) => (casting.pieces = 99));
    expect(store.castings().filter((casting) => casting.pieces === 99)).toHaveLength(1);
  });

  it('deletes at once, and offers the way back', async () => {
    await bench.press('Delete Cider-spice bombs');
    expect(names()).not.toContain('Cider-spice bombs');
    TestBed.inject(Notices).notice()?.action?.run();
    expect(names()).toContain('Cider-spice bombs');
  });

  it('offers the demo to an empty list', async () => {
    for (const casting of [...store.castings()]) store.remove(casting.id);
    await bench.settle();
    expect(bench.text).toContain('No castings yet');
    await bench.press('Bring the demo back');
    expect(store.castings()).toHaveLength(9);
  });

  describe('import', () => {
    const choose = async (text: string, name = 'supper.json', size = text.length): Promise<void> => {
      await bench.press('Import');
      const input = bench.all<HTMLInputElement>('#import-file')[0];
      const file = { name, size, text: () => Promise.resolve(text) };
      Object.defineProperty(input, 'files', { value: [file] });
      input.dispatchEvent(new Event('change'));
      await wait(20);
      await bench.settle();
    };

    it('takes castings beside those of the same id', async () => {
      await choose(writeCastingFile(store.castings(), MONDAY));
      expect(bench.text).toContain('2 castings can be taken from “supper.json”');
      await bench.press('Take them');
      expect(store.castings()).toHaveLength(4);
      expect(new Set(store.castings().map((casting) => casting.id)).size).toBe(4);
      store.undo();
      expect(store.castings()).toHaveLength(2);
    });

    it('names the place of a bad record, and offers the good ones', async () => {
      const file = JSON.parse(writeCastingFile(store.castings(), MONDAY)) as { castings: { pieces: number }[] };
      file.castings[1].pieces = -4;
      await choose(JSON.stringify(file));
      expect(bench.text).toContain('1 casting can be taken');
      expect(bench.text).toMatch(/Casting 2 .*pieces/);
      await bench.press('Take the good ones');
      expect(store.castings()).toHaveLength(3);
    });

    it.each([
      ['hello', 'is not a Kilnstone file'],
      ['', 'is empty'],
      ['{"some":"thing"}', 'was not made by Kilnstone'],
    ])('says what is wrong with %j, and changes nothing', async (text, says) => {
      await choose(text);
      expect(bench.text).toContain(says);
      expect(bench.text).toContain('Nothing was changed');
      expect(store.castings()).toHaveLength(2);
    });

    it('does not even read a file far too large', async () => {
      await choose('', 'big.json', 50e6);
      expect(bench.text).toContain('50 MB');
    });
  });
});

describe('Keys', () => {
  const press = (key: string, more: Partial<KeyboardEventInit> = {}, target: EventTarget = document.body): boolean => {
    const event = new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true, ...more });
    Object.defineProperty(event, 'target', { value: target });
    TestBed.inject(Keys).press(event);
    return event.defaultPrevented;
  };

  it('begin a new casting, search, and list themselves, but not while something is typed', () => {
    const keys = TestBed.inject(Keys);
    const opened = TestBed.inject(Router).navigateByUrl as jest.Mock;
    expect(press('n')).toBe(true);
    expect(opened).toHaveBeenLastCalledWith('/castings/new');
    expect(press('/')).toBe(true);
    expect(keys.searchWanted()).toBe(1);
    const box = document.createElement('input');
    opened.mockClear();
    expect(press('n', {}, box)).toBe(false);
    expect(opened).not.toHaveBeenCalled();
    expect(press('?')).toBe(true);
    expect(keys.listOpen()).toBe(true);
    expect(press('n')).toBe(false);
  });

  it('undo and redo from anywhere, from a field too', () => {
    store.edit('pieces', (casting) => (casting.pieces = 40));
    press('z', { ctrlKey: true }, document.createElement('input'));
    expect(store.current()?.pieces).toBe(18);
    press('Z', { ctrlKey: true, shiftKey: true });
    expect(store.current()?.pieces).toBe(40);
    press('z', { metaKey: true });
    press('y', { ctrlKey: true });
    expect(store.current()?.pieces).toBe(40);
  });

  it('leave coats and stations alone outside the workspace', () => {
    expect(press('+')).toBe(false);
    expect(press('2')).toBe(false);
    expect(store.current()?.parts[0].coats).toHaveLength(2);
  });

  it('puts several that are chosen into an occasion, in one step', async () => {
    await bench.press('Choose several');
    expect(bench.text).toContain('Choose castings that are made for the same event.');
    for (const box of bench.all<HTMLInputElement>('li input[type=checkbox]')) box.click();
    await bench.settle();
    expect(bench.text).toContain('2 chosen');
    const occasions = TestBed.inject(Occasions);
    await until(() => occasions.loaded());
    await bench.settle();
    await bench.choose('Put into', 'new');
    const made = occasions.records().find(({ name }) => name === 'New occasion');
    expect(made?.castingIds).toEqual(['demo-bombs', 'demo-bites']);
    expect(occasions.of('demo-bombs')?.id).toBe(made?.id);
    expect(bench.all('input[type=checkbox]')).toHaveLength(0);
    store.undo();
    expect(occasions.of('demo-bombs')?.name).toBe('Hedgerow supper');
  });
});
