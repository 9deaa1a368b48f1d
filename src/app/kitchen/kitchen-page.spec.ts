import { Router } from '@angular/router';
import { TestBed } from '@angular/core/testing';
import { Bench, closeWorkers, openDemo, until } from '../../testing/bench';
import type { CastingStore } from '../state/casting-store';
import { Beginning } from '../castings/beginning';
import { Kitchens } from '../state/kitchens';
import { filesText } from '../wording/storage';
import { KitchenPage } from './kitchen-page';

let store: CastingStore;
let bench: Bench<KitchenPage>;
let kitchens: Kitchens;

beforeEach(async () => {
  store = await openDemo();
  jest.spyOn(TestBed.inject(Router), 'navigate').mockResolvedValue(true);
  kitchens = TestBed.inject(Kitchens);
  await until(() => kitchens.loaded());
  bench = await Bench.of(KitchenPage);
});
afterEach(() => {
  document.body.replaceChildren();
  closeWorkers();
});

describe('Kitchen', () => {
  it('is what new castings start from, and what old ones may take over', async () => {
    await bench.type('Room', '72 F');
    await bench.press('a fan in it', 1);
    const begun = TestBed.runInInjectionContext(() => new Beginning());
    begun.kind.set('bomb');
    const fresh = begun.casting();
    expect(fresh?.kitchen.roomC).toBeCloseTo(22.22, 2);
    expect(fresh?.kitchen).toMatchObject({ fridgeFan: false, freezerFan: true });
    expect(bench.text).toContain('Planned in another kitchen');
    await bench.press('Plan Pebble bites in this kitchen');
    expect(store.castings().find((casting) => casting.id === 'demo-bites')?.kitchen.freezerFan).toBe(true);
    expect(store.castings().find((casting) => casting.id === 'demo-bombs')?.kitchen.freezerFan).toBe(false);
    store.undo();
    expect(store.castings().find((casting) => casting.id === 'demo-bites')?.kitchen.freezerFan).toBe(false);
  });

  it('calibrates the microwave by a weight that was melted, and shows how', async () => {
    await bench.press('Calibrate it');
    await bench.type('Chocolate', '200 g');
    await bench.type('Bursts in all', '1.5 min');
    await bench.type('Ended at', '38');
    // 0.2 kg × (1650 × 18.5 + 157 kJ × 0.4) and a little for the bowl, over 800 W × 90 s = 72 kJ: 27 %.
    expect(bench.text).toMatch(/2[678] % of its power reached the bowl/);
    expect(bench.text).toMatch(/took up [12][089]\.\d kJ .* is 72 kJ/);
    await bench.type('Bursts in all', '20 s');
    expect(bench.text).toContain('Check the seconds');
    await bench.press('Forget this test');
    expect(kitchens.kitchen().microwaveTest).toBeUndefined();
  });

  it('keeps a power of forty letters as typed, and the last good one in force', async () => {
    const long = '800 watts or so I think, it says on the back';
    await bench.type('Rated power', long);
    expect(bench.field('Rated power').value).toBe(long);
    expect(bench.text).toContain('Too long for an amount');
    expect(kitchens.kitchen().microwaveW).toBe(800);
    await bench.type('Rated power', '1.1 kW');
    expect(kitchens.kitchen().microwaveW).toBe(1100);
  });

  it('has bowls to add, weigh, measure and take out, but never none', async () => {
    await bench.press('Add a bowl');
    expect(kitchens.kitchen().bowls).toHaveLength(4);
    await bench.type('Weighs, bowl 4', '1 lb');
    expect(kitchens.kitchen().bowls[3].kg).toBeCloseTo(0.4536, 4);
    for (const bowl of ['Bowl 4', 'Steel bowl', 'Glass bowl']) await bench.press(`Take ${bowl} out`);
    expect(kitchens.kitchen().bowls.map((bowl) => bowl.name)).toEqual(['Plastic bowl']);
    expect(bench.all('button').some((button) => button.getAttribute('aria-label') === 'Take Plastic bowl out')).toBe(
      false,
    );
  });

  it('gives a casting whose bowl is gone the first one', async () => {
    store.edit('bowl', (casting) => (casting.melts[0].bowlId = 'steel'));
    await bench.press('Take Steel bowl out');
    await bench.press('Plan Cider-spice bombs in this kitchen');
    expect(store.current()?.melts[0].bowlId).toBe('plastic');
  });
});

describe('what is kept in this browser', () => {
  it('is said with what there is room for, and may be kept for good', async () => {
    const storage = {
      estimate: () => Promise.resolve({ usage: 12.4e6, quota: 58.3e9 }),
      persisted: jest.fn().mockResolvedValueOnce(false).mockResolvedValue(true),
      persist: () => Promise.resolve(true),
    };
    Object.defineProperty(navigator, 'storage', { value: storage, configurable: true });
    try {
      const page = await Bench.of(KitchenPage);
      await until(() => page.text.includes('12 MB of 58 GB'));
      expect(page.text).toContain('Kilnstone itself is not kept here yet');
      await page.press('Ask the browser not to clear it');
      await until(() => page.text.includes('has promised'));
      expect(page.text).toContain('The browser has promised not to clear it');
    } finally {
      Reflect.deleteProperty(navigator, 'storage');
    }
  });

  it('is counted by files of the app, of which all have to be here', () => {
    expect(filesText({ here: 12, all: 12 }, true)).toContain('All 12 files of Kilnstone are here: it works without');
    expect(filesText({ here: 3, all: 12 }, true)).toContain('3 of 12 files');
    expect(filesText(undefined, false)).toContain('There is no network now');
  });
});
