import { TestBed } from '@angular/core/testing';
import { Bench, closeWorkers, openDemo, until } from '../../testing/bench';
import type { CastingStore } from '../state/casting-store';
import { PlanService } from '../state/plan-service';
import { START_STUDY_WORKER } from '../state/study-worker';
import { WeighedShellPanel } from '../workspace/coat/weighed-shell-panel';
import { ComparePage } from './compare-page';
import { FindPage } from './find-page';

let store: CastingStore;

const begin = async (): Promise<void> => {
  store = await openDemo();
  await until(() => TestBed.inject(PlanService).chillSource() === 'worker');
};
afterEach(() => {
  document.body.replaceChildren();
  closeWorkers();
});

/** Waits until something stands on the page. */
async function seen<T>(bench: Bench<T>, what: RegExp): Promise<void> {
  await until(() => what.test(bench.text));
  await bench.settle();
  expect(bench.text).toMatch(what);
}

describe('comparison', () => {
  let bench: Bench<ComparePage>;

  beforeEach(async () => {
    await begin();
    bench = await Bench.of(ComparePage);
  });

  it('shows two ways with thickness, minutes, grams and breaking, and names the better with the reason', async () => {
    await bench.press('as one thick coat or as two thin coats');
    await seen(bench, /As two thin coats it breaks less often .* drips off the rim/);
    const sides = bench.all('ks-compare-side');
    expect(sides).toHaveLength(2);
    for (const side of sides)
      expect(side.textContent).toMatch(/Rim.*mm.*Base.*mm.*Breaks when unmolded.*%.*min.*Chocolate in a part.* g/s);
    expect(bench.all('section.better')).toHaveLength(1);
  });

  it('lets either side be chosen, and follows the casting', async () => {
    await bench.choose('One way', 'room');
    await bench.choose('The other way', 'freezer');
    await seen(bench, /In the freezer it is through sooner/);
    const before = bench.all('ks-compare-side')[0].textContent;
    store.edit('chocolate', (casting) => (casting.chocolates[0].fluidity = 'veryThick'));
    await until(() => bench.all('ks-compare-side')[0]?.textContent !== before);
    expect(bench.all('ks-compare-side')[0].textContent).not.toBe(before);
  });

  it('makes the casting the chosen way, in one step that is undone', async () => {
    await bench.choose('The other way', 'freezer');
    await until(() =>
      bench
        .all<HTMLButtonElement>('button')
        .some((button) => button.textContent?.trim() === 'Make it this way' && !button.disabled),
    );
    await bench.press('Make it this way', 1);
    expect(store.current()?.parts[0].coats.map((coat) => coat.sets[0].place)).toEqual(['freezer', 'freezer']);
    store.undo();
    expect(store.current()?.parts[0].coats.map((coat) => coat.sets[0].place)).toEqual(['fridge', 'fridge']);
  });
});

describe('search for a way', () => {
  it('finds the quickest and the next best, and makes the casting that way', async () => {
    await begin();
    const bench = await Bench.of(FindPage);
    await bench.press('smash with a spoon');
    await bench.press('Find ways');
    await seen(bench, /ways lead to 1\.6 mm to 3\.0 mm at the rim, the quickest first/);
    const found = bench.all('section');
    expect(found.length).toBeGreaterThan(1);
    const title = found[0].querySelector('h2')?.textContent ?? '';
    await bench.press('Make it this way');
    const coats = store.current()?.parts[0].coats ?? [];
    expect(title).toContain(`${coats.length} ×`);
    expect(coats[0].method === 'spoon').toBe(/spoon/.test(title));
  });

  it('takes a rim that is typed, and keeps what cannot be read', async () => {
    await begin();
    const bench = await Bench.of(FindPage);
    await bench.press('have a rim of …');
    await bench.type('At the rim', 'thick');
    expect(bench.text).toMatch(/Wanted: about 2\.4 mm/);
    await bench.type('At the rim', '3.6 mm');
    expect(bench.text).toMatch(/Wanted: about 3\.6 mm/);
    await bench.press('Find ways');
    await seen(bench, /(ways lead|One way leads) to about 3\.6 mm/);
  });

  it('says so plainly when the worker cannot start, and the casting is as it was', async () => {
    TestBed.overrideProvider(START_STUDY_WORKER, {
      useValue: () => {
        throw new Error('blocked');
      },
    });
    await begin();
    const before = store.current();
    const bench = await Bench.of(FindPage);
    await bench.press('Find ways');
    await seen(bench, /The computation gave no answer; nothing has changed/);
    expect(store.current()).toBe(before);
  });
});

describe('a weighed shell', () => {
  it('is told before and after, taken over, and forgotten when the coats change', async () => {
    await begin();
    const bench = await Bench.of(WeighedShellPanel);
    const computed = parseFloat(bench.field('One part, all its coats').value);
    await bench.type('One part, all its coats', `${(computed * 1.15).toFixed(1)} g`);
    await seen(
      bench,
      /It runs 1\.\d\d times stiffer than told, give or take a factor of 1\.\d\d: the likely ranges narrow with it\. Rim .* before, .* after/,
    );
    await bench.press('Take it over');
    expect(typeof store.current()?.chocolates[0].fluidity).toBe('object');
    expect(bench.text).toContain('Its weight tells how this chocolate runs in your hands.');
    await bench.type('One part, all its coats', '900 g');
    await seen(bench, /No chocolate makes a shell of 900 g this way/);
    store.edit('coats', (casting) => casting.parts[0].coats.pop());
    await seen(bench, /Its weight tells how this chocolate runs/);
  });
});
