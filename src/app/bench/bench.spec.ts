import 'fake-indexeddb/auto';
import { signal } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { Router } from '@angular/router';
import { Subject } from 'rxjs';
import { Bench, openDemo, until } from '../../testing/bench';
import { BEGINS_S, madeRun } from '../../testing/made-run';
import { withFreshBrowser } from '../../testing/open-run';
import type { Mark } from '../../core/run/mark';
import { waitsOf } from '../../core/run/run-waits';
import { MarkRepository } from '../../data/mark-repository';
import type { OutsideChange } from '../state/record-storage';
import type { Run } from '../../core/run/run-record';
import { MarkStorage, RunStorage } from '../state/run-storage';
import { Runs } from '../state/runs';
import { Bell } from './bell';
import { BenchPage } from './bench-page';
import { LayOutPage } from './lay-out-page';
import { RunsPage } from './runs-page';
import { TICKS } from './ticks';

// In its order as it is: what the search would make of it is tried by itself.
const run = madeRun({ roomCounted: true });
let ticks: Subject<void>;
let rung: string[];

/** The state of the app with one run in it, that was begun when it was planned to. */
async function openRun(marks: Partial<MarkRepository> = {}): Promise<void> {
  ticks = new Subject();
  rung = [];
  TestBed.overrideProvider(TICKS, { useValue: ticks });
  TestBed.overrideProvider(RunStorage, {
    useValue: {
      changes: new Subject<OutsideChange<Run>>(),
      state: signal('saved'),
      open: () => Promise.resolve([run]),
      put: () => undefined,
      remove: () => undefined,
    },
  });
  if (Object.keys(marks).length > 0) {
    const real = new MarkRepository();
    const fake = { of: real.of.bind(real), watch: real.watch.bind(real), append: real.append.bind(real), ...marks };
    TestBed.overrideProvider(MarkStorage, { useValue: fake });
  }
  await openDemo('demo-bites');
  jest.spyOn(TestBed.inject(Bell), 'ring').mockImplementation((said) => void rung.push(said));
}

/** So many seconds after the run was begun. */
function at(seconds: number): void {
  jest.setSystemTime((BEGINS_S + seconds) * 1000);
  ticks.next();
}

const stored = async (): Promise<readonly Mark[]> => (await new MarkRepository().of(run.id)).marks;

async function openBench(): Promise<Bench<BenchPage>> {
  const bench = await Bench.of(BenchPage, { id: run.id });
  await until(() => bench.text.includes('Done') || bench.text.includes('What happened'));
  return bench;
}

/** Presses, and waits until it is on the disk. */
async function noted(bench: Bench<BenchPage>, name: string | RegExp): Promise<void> {
  const before = (await stored()).length;
  await bench.press(name);
  for (let k = 0; k < 100 && (await stored()).length === before; k++) await until(() => true);
  await bench.settle();
}

withFreshBrowser();

describe('the bench', () => {
  it('tells the one thing to do, and the next, and notes each before it goes on', async () => {
    await openRun();
    const bench = await openBench();
    expect(bench.text).toContain('Melt 120 g of Pebble');
    at(600);
    await noted(bench, 'Done');
    await until(() => bench.text.includes('12 × 2.0 g'));
    expect(await stored()).toMatchObject([{ kind: 'done', task: run.tasks[0].key, atS: BEGINS_S + 600 }]);
    expect(bench.text).toContain('as planned: ready');
    expect(bench.text).toContain('120 g left, 96 g wanted');
  });

  it('starts a clock with every Done that is waited for, and rings once at its end, also after a reload', async () => {
    await openRun();
    const bench = await openBench();
    for (const seconds of [600, 720, 840]) {
      at(seconds);
      await noted(bench, 'Done');
    }
    expect(bench.all('ks-bench-clocks .count').map((one) => one.textContent)).toEqual(['8:00', '10:00']);
    expect(bench.text).toContain('Nothing by hand until');
    at(1320);
    await until(() => rung.length > 0);
    expect(rung).toEqual(['Coat 1 sets: time is up. Next: Coat 2.']);
    await until(() => bench.text.includes('Ready?'));
    // The same run once more, as after a reload.
    bench.page.remove();
    const again = await openBench();
    await again.settle();
    ticks.next();
    expect(again.text).toContain('Ready?');
    expect(rung).toHaveLength(1);
    at(1620);
    await until(() => rung.length > 1);
    expect(rung[1]).toContain('must not wait any longer');
  });

  it('makes a wait five minutes longer, and takes back what was pressed too soon', async () => {
    await openRun();
    const bench = await openBench();
    for (const seconds of [600, 720]) {
      at(seconds);
      await noted(bench, 'Done');
    }
    await noted(bench, /^Five minutes more/);
    expect(bench.all('ks-bench-clocks .count')[0].textContent).toBe('15:00');
    await noted(bench, 'Take back');
    expect(bench.all('ks-bench-clocks .count')[0].textContent).toBe('10:00');
    await noted(bench, 'Take back');
    expect(bench.all('ks-bench-clocks .count')).toEqual([]);
    expect((await stored()).map(({ kind }) => kind)).toEqual(['done', 'done', 'longer', 'takenBack', 'takenBack']);
  });

  it('takes what is done before its turn, and anything back out of its order', async () => {
    await openRun();
    const bench = await openBench();
    at(600);
    await noted(bench, 'Done');
    // The other mold first.
    await noted(bench, 'Done already: Coat 1, round 2');
    expect(bench.all('ks-bench-clocks .count')).toHaveLength(1);
    expect(bench.all('ks-bench-now h2')[0].textContent).toBe('Coat 1');
    await bench.press('So far');
    await until(() => document.querySelector('ks-bench-record li button') !== null);
    const before = (await stored()).length;
    document.querySelectorAll<HTMLElement>('ks-bench-record li button')[0].click();
    await until(() => bench.text.includes('Melt 120 g'));
    expect((await stored()).length).toBe(before + 1);
    expect(bench.all('ks-bench-now h2')[0].textContent).toBe('Melt 120 g of Pebble');
    expect(bench.all('ks-bench-clocks .count')).toHaveLength(1);
  });

  it('keeps its clocks where the computer’s is put back, and says so', async () => {
    await openRun();
    const bench = await openBench();
    for (const seconds of [600, 720]) {
      at(seconds);
      await noted(bench, 'Done');
    }
    at(720 - 3600);
    await until(() => bench.text.includes('was put back'));
    expect(bench.all('ks-bench-clocks .count')[0].textContent).toMatch(/^(9:59|10:00)$/);
    at(720 - 3600 + 60);
    await bench.settle();
    expect(bench.all('ks-bench-clocks .count')[0].textContent).toMatch(/^(8:59|9:00)$/);
    // Opened again on that computer, it is no earlier than what was noted last.
    bench.page.remove();
    const again = await openBench();
    expect(again.all('ks-bench-clocks .count')[0].textContent).toMatch(/^(8:59|9:00|9:59|10:00)$/);
    // Set right while it was closed, the hour seems to have passed once more, until somebody says that it has not.
    again.page.remove();
    at(840);
    const right = await openBench();
    expect(right.text).toContain('have passed unseen');
    await noted(right, 'The clock was put forward');
    await until(() => /^[78]:/.test(right.all('ks-bench-clocks .count')[0].textContent ?? ''));
    expect(right.all('ks-bench-clocks .count')[0].textContent).toMatch(/^(7:59|8:00)$/);
    expect((await stored()).at(-1)).toMatchObject({ kind: 'clock', aheadS: expect.closeTo(0, 0) as number });
  });

  it('calls once for all that ended while the computer slept', async () => {
    await openRun();
    const bench = await openBench();
    for (const seconds of [600, 720, 840]) {
      at(seconds);
      await noted(bench, 'Done');
    }
    at(3600);
    await until(() => rung.length > 0);
    await bench.settle();
    ticks.next();
    await bench.settle();
    expect(rung).toHaveLength(1);
    expect(rung[0]).toContain('One more clock is over.');
    expect((await stored()).filter(({ kind }) => kind === 'rung').length).toBeGreaterThan(1);
  });

  it('goes on where nothing can be stored, says so, and stores it all once it can', async () => {
    let full = true;
    const real = new MarkRepository();
    await openRun({
      append: (id, marks) => (full ? Promise.reject(new Error('full')) : real.append(id, marks)),
    });
    const bench = await openBench();
    at(600);
    await bench.press('Done');
    await until(() => bench.text.includes('kept in this tab alone'));
    expect(bench.text).toContain('12 × 2.0 g');
    full = false;
    at(720);
    await bench.press('Done');
    await until(() => !bench.text.includes('kept in this tab alone'));
    expect((await stored()).map((mark) => mark.kind === 'done' && mark.task)).toEqual([
      run.tasks[0].key,
      run.tasks[1].key,
    ]);
  });

  it('follows what another tab notes', async () => {
    await openRun();
    const bench = await openBench();
    await new MarkRepository().append(run.id, [
      { id: 'other', atS: BEGINS_S + 1, kind: 'done', task: run.tasks[0].key },
    ]);
    await until(() => bench.text.includes('12 × 2.0 g'));
    expect(bench.text).toContain('12 × 2.0 g');
  });

  it('finishes with what happened beside what was planned, and can be opened again', async () => {
    await openRun();
    const bench = await openBench();
    at(900);
    await noted(bench, 'Done');
    await noted(bench, 'Finish now');
    await until(() => bench.text.includes('What happened'));
    expect(bench.text).toContain('Done 18:15, 5 min later than planned');
    await noted(bench, 'Open it again');
    expect(bench.text).toContain('12 × 2.0 g');
  });
});

describe('what is laid out', () => {
  it('is what the plan wants; begun, a run of that timetable is opened', async () => {
    await openRun();
    const go = jest.spyOn(TestBed.inject(Router), 'navigate').mockResolvedValue(true);
    const bench = await Bench.of(LayOutPage, { kind: 'casting', id: 'demo-bites' });
    await until(() => bench.text.includes('Begun now'));
    expect(bench.text).toMatch(/2 × Small halves, 38 mm, washed, dry/);
    expect(bench.text).toContain('244 g of Pebble coating');
    await bench.press('60 times as fast');
    await until(() => go.mock.calls.length > 0);
    const begun = TestBed.inject(Runs).records().at(-1);
    expect(begun).toMatchObject({ rehearsal: 60, of: { kind: 'casting', id: 'demo-bites' } });
    expect(waitsOf(begun as Run).length).toBeGreaterThan(2);
    expect(go.mock.calls[0][0]).toEqual(['/bench', begun?.id]);
  });
});

describe('the list of runs', () => {
  it('says how far each is, and what can be laid out', async () => {
    await openRun();
    await new MarkRepository().append(run.id, [{ id: 'a', atS: BEGINS_S, kind: 'done', task: run.tasks[0].key }]);
    const bench = await Bench.of(RunsPage);
    await until(() => bench.text.includes('1 of 7 done'));
    expect(bench.text).toContain('1 of 7 done');
    expect(bench.text).toContain('Hedgerow supper');
  });
});
