import { TestBed } from '@angular/core/testing';
import { Bench, MONDAY, clockAt, closeWorkers, openDemo, until, wait } from '../../testing/bench';
import type { CastingStore } from '../state/casting-store';
import { PlanService } from '../state/plan-service';
import { Units } from '../state/units';
import { Sheet } from '../sheet/sheet';
import { weighOutCsv } from '../sheet/weigh-out-csv';
import { PlaceComparison } from './chill/place-comparison';
import { Notes } from './notes/notes';
import { Ribbon } from './ribbon/ribbon';
import { Strip } from './strip';
import { weighOutTables } from './weigh-out/weigh-out-table';
import { WeighOut } from './weigh-out/weigh-out';

let store: CastingStore;

const plan = () => {
  const now = TestBed.inject(PlanService).plan();
  if (!now) throw new Error('no plan');
  return now;
};

beforeEach(async () => {
  store = await openDemo();
  clockAt(MONDAY);
});
afterEach(() => {
  jest.useRealTimers();
  document.body.replaceChildren();
  closeWorkers();
});

describe('weigh-out', () => {
  it('adds up: coats, pool, bowl and tools are what is melted, in a round and in the job', () => {
    for (const id of ['demo-bombs', 'demo-bites'] as const) {
      store.open(id);
      for (const { rows } of weighOutTables(plan(), 'metric')) {
        const sum = (of: 'perRoundKg' | 'jobKg'): number =>
          rows.filter((row) => row.use !== 'sum').reduce((all, row) => all + (row[of] ?? 0), 0);
        const total = rows.find((row) => row.use === 'sum');
        expect(sum('jobKg')).toBeCloseTo(total?.jobKg ?? NaN, 9);
        expect(sum('perRoundKg')).toBeCloseTo(total?.perRoundKg ?? NaN, 9);
        expect(rows.every((row) => row.jobKg >= 0 && (row.perRoundKg ?? 0) >= 0)).toBe(true);
      }
    }
  });

  it('shows the amounts in the reader’s units', async () => {
    const bench = await Bench.of(WeighOut);
    const grams = Number(
      /Melt[^M]*?(\d+) g$/.exec(bench.all('tr.sum')[0].textContent?.trim() ?? '')?.[1] ??
        /(\d+) g\s*$/.exec(bench.all('tr.sum')[0].textContent ?? '')?.[1],
    );
    expect(grams / 1000).toBeCloseTo(plan().batch.melts[0].melted.value, 2);
    TestBed.inject(Units).use('us');
    await bench.settle();
    expect(bench.text).toMatch(/ oz/);
    expect(bench.text).not.toMatch(/\d g\b/);
    TestBed.inject(Units).use('metric');
  });

  it('goes out as CSV that reads back to the same grams, a comma in a name and all', async () => {
    store.edit('name', (casting) => (casting.chocolates[0].name = 'Quarry, the "64"'));
    TestBed.tick();
    await wait(120);
    const { default: papaparse } = await import('papaparse');
    const rows = papaparse.parse<Record<string, string>>(await weighOutCsv(plan()), { header: true }).data;
    const melt = rows.find((row) => row['for'] === 'Melt');
    expect(melt?.['what']).toBe('Quarry, the "64"');
    expect(Number(melt?.['the job, g']) / 1000).toBeCloseTo(plan().batch.melts[0].melted.value, 3);
    const others = rows.filter((row) => row['what'] === melt?.['what'] && row !== melt);
    expect(others.reduce((sum, row) => sum + Number(row['the job, g']), 0)).toBeCloseTo(
      Number(melt?.['the job, g']),
      0,
    );
  });
});

describe('ribbon', () => {
  it('is as long as one round, or as the job, and tells hands-on from waiting in words', async () => {
    const bench = await Bench.of(Ribbon);
    const share = (): { hands: number; wait: number } => {
      const grow = (selector: string): number =>
        bench.all(selector).reduce((sum, bar) => sum + Number(bar.style.flexGrow), 0);
      return { hands: grow('li:not(.wait)'), wait: grow('li.wait') };
    };
    const { timeline } = plan().batch;
    expect(share().hands + share().wait).toBeCloseTo(
      timeline.oneRound.reduce((sum, stretch) => sum + stretch.seconds, 0),
      6,
    );
    expect(bench.all('li.wait').every((bar) => bar.textContent?.includes('waiting'))).toBe(true);
    expect(bench.all('li:not(.wait)').every((bar) => bar.textContent?.includes('hands on'))).toBe(true);
    await bench.press('whole job');
    expect(share().hands).toBeCloseTo(timeline.handsOnSeconds, 6);
    expect(share().wait).toBeCloseTo(timeline.waitingSeconds, 6);
    expect(bench.text).toContain('Whole job');
  });

  it('says so when it would have no end', async () => {
    store.edit('hot room', (casting) => {
      casting.kitchen.roomC = 35;
      casting.parts[0].coats.forEach((coat) => (coat.sets = [{ place: 'room' }]));
    });
    const bench = await Bench.of(Ribbon);
    await wait(120);
    await bench.settle();
    expect(bench.text).toContain('never sets there');
    expect(bench.text).not.toMatch(/NaN|Infinity|undefined/);
  });
});

describe('strip', () => {
  it('has every station’s own answer, and marks the one with something to mind', async () => {
    const bench = await Bench.of(Strip, { castingId: 'demo-bombs', station: 'coat' });
    const tabs = bench.all('a').map((tab) => (tab.textContent ?? '').replace(/\s+/g, ' ').trim());
    expect(tabs).toHaveLength(8);
    expect(tabs[0]).toMatch(/^Mold .*64 mm/);
    expect(tabs[1]).toMatch(/^Melt \d+ min \d+ g seed, Quarry 64/);
    expect(tabs[2]).toMatch(/^Coat .*2 × \d\.\d mm/);
    expect(tabs[3]).toMatch(/^Chill .*\d+ \+ \d+ min/);
    expect(tabs[4]).toMatch(/^Fill .*\d+ g/);
    expect(tabs[5]).toMatch(/^Close .*4 s.*on a warm plate/);
    expect(tabs[6]).toMatch(/^Finish .*plain/);
    expect(tabs[7]).toMatch(/^Batch \S.*7 rounds.*start by/);
    expect(bench.all('a[aria-current="step"]')[0].textContent).toContain('Coat');
  });

  it('says that the time to start has passed', async () => {
    jest.setSystemTime(new Date('2026-10-17T15:30:00Z'));
    const bench = await Bench.of(Strip, { castingId: 'demo-bombs', station: 'coat' });
    await wait(120);
    await bench.settle();
    expect(bench.all('.mark').map((mark) => mark.textContent)).toContain('late');
  });
});

describe('notes', () => {
  it('name what is wrong with a figure, and go when their advice is taken', async () => {
    store.edit('one coat', (casting) => casting.parts[0].coats.splice(1));
    const bench = await Bench.of(Notes);
    await wait(120);
    await bench.settle();
    const heads = (): (string | null)[] => bench.all('h3').map((head) => head.textContent?.trim() ?? null);
    expect(heads()).toContainEqual(expect.stringMatching(/^The rim comes out at 1.\d mm/));
    await bench.press('Make it thicker');
    await wait(120);
    await bench.settle();
    expect(heads()).not.toContainEqual(expect.stringMatching(/rim/i));
    store.undo();
    await wait(120);
    await bench.settle();
    expect(heads()).toContainEqual(expect.stringMatching(/rim/i));
  });

  it('say so when there is nothing to mend', async () => {
    store.edit('few', (casting) => (casting.pieces = 2));
    const bench = await Bench.of(Notes);
    await wait(120);
    await bench.settle();
    expect(bench.text).toContain('Nothing to mend');
  });
});

describe('comparison of places', () => {
  it('is quicker the colder the place, for each coat', async () => {
    const bench = await Bench.of(PlaceComparison);
    await until(() => TestBed.inject(PlanService).chillSource() === 'worker');
    await bench.settle();
    const minutes = (): number[] =>
      bench.all('tbody tr').map((row) => parseFloat(row.querySelectorAll('td')[1].textContent ?? ''));
    const names = bench.all('tbody th').map((head) => head.textContent?.split(',')[0].trim());
    const at = (name: string): number => minutes()[names.indexOf(name)];
    expect(at('freezer')).toBeLessThan(at('fridge'));
    expect(at('fridge')).toBeLessThan(at('room') || Infinity);
    await bench.press('coat 1');
    expect(bench.all('tr.chosen')).toHaveLength(1);
  });
});

describe('sheet', () => {
  it('has on one page what is cooked from: amounts, steps, time and allergens', async () => {
    const bench = await Bench.of(Sheet, { id: 'demo-bombs' });
    await until(() => TestBed.inject(PlanService).chillSource() === 'worker');
    await bench.settle();
    expect(bench.text).toContain('18 pieces');
    expect(bench.text).toMatch(/Set upside down in the fridge for \d+ min \(likely [\d.]+ to [\d.]+ min\)/);
    expect(bench.text).toMatch(/Sat 17 Oct, 18:00/);
    expect(bench.text).toMatch(
      /Melt Quarry 64, seeding\d+ g and 2\d\d g of seed, chopped fine\..*stir in 2\d\d g.*32 °C/,
    );
    expect(bench.text).toMatch(/10[2-6]\d g Quarry 64\. 500 g is in the pantry: buy 3 packs of 250 g, €\s14\.70\./);
    expect(bench.text).toContain('Contains soy and gelatine');
    expect(bench.text).not.toMatch(/NaN|undefined|Infinity/);
  });
});
