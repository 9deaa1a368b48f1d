import 'fake-indexeddb/auto';
import { signal } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { IDBFactory } from 'fake-indexeddb';
import { Dexie } from 'dexie';
import { Subject } from 'rxjs';
import { Bench, clockAt, closeWorkers, openDemo, until } from '../../testing/bench';
import { BEGINS_S, madeRun } from '../../testing/made-run';
import { StandInLink } from '../../testing/stand-in-link';
import type { Mark } from '../../core/run/mark';
import type { Run } from '../../core/run/run-record';
import { MarkRepository } from '../../data/mark-repository';
import { DEVICE_LINKS } from '../devices/device-link';
import type { OutsideChange } from '../state/record-storage';
import { RunStorage } from '../state/run-storage';
import { Bell } from './bell';
import { BenchPage } from './bench-page';
import { TICKS } from './ticks';

let ticks: Subject<void>;
let link: StandInLink;
let bench: Bench<BenchPage>;

/** A run that has begun, with the devices that answer for it. */
async function open(run: Run): Promise<void> {
  ticks = new Subject();
  link = new StandInLink();
  TestBed.overrideProvider(TICKS, { useValue: ticks });
  TestBed.overrideProvider(DEVICE_LINKS, { useValue: [link] });
  TestBed.overrideProvider(RunStorage, {
    useValue: {
      changes: new Subject<OutsideChange<Run>>(),
      state: signal('saved'),
      open: () => Promise.resolve([run]),
      put: () => undefined,
      remove: () => undefined,
    },
  });
  await openDemo('demo-bites');
  jest.spyOn(TestBed.inject(Bell), 'ring').mockImplementation(() => undefined);
  bench = await Bench.of(BenchPage, { id: run.id });
  await until(() => bench.text.includes('Melt 120 g'));
}

function at(seconds: number): void {
  jest.setSystemTime((BEGINS_S + seconds) * 1000);
  ticks.next();
}

const stored = async (run: Run): Promise<readonly Mark[]> => (await new MarkRepository().of(run.id)).marks;

/** Does something that is noted, and waits until it is on the disk. */
async function noted(run: Run, does: () => unknown): Promise<void> {
  const before = (await stored(run)).length;
  await does();
  for (let k = 0; k < 100 && (await stored(run)).length === before; k++) await until(() => true);
  await bench.settle();
}

const key = (name: string): boolean =>
  document.body.dispatchEvent(new KeyboardEvent('keydown', { key: name, bubbles: true, cancelable: true }));
const said = (): string => bench.all('ks-bench-devices [role=status]')[0]?.textContent?.trim() ?? '';

beforeEach(() => {
  Dexie.dependencies.indexedDB = new IDBFactory();
  clockAt(new Date(BEGINS_S * 1000));
});
afterEach(() => {
  document.body.replaceChildren();
  closeWorkers();
  jest.useRealTimers();
});

describe('measuring at the bench', () => {
  const run: Run = { ...madeRun(), rehearsal: 10, createdAt: new Date(BEGINS_S * 1000).toISOString() };

  it('is on in a rehearsal; what has settled is noted with who measured it, what has not is refused with a word', async () => {
    await open(run);
    await until(() => bench.all('ks-bench-devices section').length > 0);
    await noted(run, () => bench.press('Done'));
    await until(() => link.told.some((command) => command.kind === 'bowl' && command.bowl !== undefined));
    const bowl = link.told.flatMap((command) => (command.kind === 'bowl' ? (command.bowl ?? []) : [])).at(-1);
    // Of the job itself: what is melted, and where it is worked from.
    expect(bowl).toMatchObject({ kg: 0.12, startC: run.bowls[0].workingC });
    expect(link.told).toContainEqual({ kind: 'speed', speed: 10 });
    link.pass(1);
    await bench.settle();
    key('t');
    await bench.settle();
    expect(said()).toContain('has not settled');
    // Ten times as fast: forty seconds of a small bowl, in which it cools a little.
    link.pass(4);
    await bench.settle();
    await noted(run, () => key('t'));
    const mark = (await stored(run)).at(-1);
    if (mark?.kind !== 'temperature') throw new Error(mark?.kind);
    expect(mark).toMatchObject({ bowl: 0, by: 'probe', source: 'Simulated probe' });
    expect(Math.abs(mark.c - run.bowls[0].workingC)).toBeLessThan(0.8);
    expect(said()).toContain('Noted: Pebble at');
  });

  it('weighs what is left, each dose against what it is to be, and a shell, which says how thick it is', async () => {
    await open(run);
    await noted(run, () => bench.press('Done'));
    await until(() => bench.text.includes('12 × 2.0 g'));
    key('w');
    await bench.settle();
    expect(said()).toContain('has not settled');
    link.pass(3);
    await bench.settle();
    key('w');
    await bench.settle();
    expect(said()).toContain('shows nothing');
    link.tell({ kind: 'load', thing: { name: 'bowl', kg: 0.118, byHand: false } });
    link.pass(3);
    await bench.settle();
    await noted(run, () => key('w'));
    expect((await stored(run)).at(-1)).toMatchObject({
      kind: 'weight',
      kg: 0.118,
      by: 'scale',
      source: 'Simulated scale',
    });
    await bench.choose('On the scale is', 'dose');
    link.tell({ kind: 'step', step: 0.0001 });
    link.tell({ kind: 'load' });
    link.tell({ kind: 'load', thing: { name: 'dose', kg: 0.0016, byHand: false } });
    link.pass(3);
    await bench.settle();
    expect(bench.text).toMatch(/1\.6 g\s*of 2\.0 g/);
    key('w');
    link.pass(3);
    await bench.settle();
    expect(bench.text).toMatch(/0\.0 g\s*of 2\.0 g/);
    // Four coats, and the first mold turned out.
    for (let k = 0; k < 5; k++) {
      // Ten times as fast: fifteen minutes each.
      at(90 * (k + 1));
      await bench.settle();
      await noted(run, () => bench.press('Done'));
    }
    await bench.choose('On the scale is', 'shell');
    const shell = link.told
      .flatMap((command) => (command.kind === 'things' ? command.things : []))
      .filter(({ name }) => name.startsWith('A shell'))
      .at(-1);
    expect(shell?.kg).toBeGreaterThan(0.001);
    link.tell({ kind: 'load' });
    link.tell({ kind: 'tare' });
    link.tell({ kind: 'load', thing: { name: 'shell', kg: (shell?.kg ?? 0) * 1.15, byHand: false } });
    link.pass(3);
    await bench.settle();
    await noted(run, () => key('w'));
    await until(() => said().startsWith('Noted'));
    const mark = (await stored(run)).at(-1);
    expect(mark).toMatchObject({ kind: 'thickness', by: 'scale' });
    expect(said()).toMatch(/so a rim of [\d.]+ mm/);
  });

  it('goes on by hand when a device is unplugged, and says so', async () => {
    await open(run);
    await noted(run, () => bench.press('Done'));
    link.pass(30);
    link.tell({ kind: 'plug', device: 'probe', plugged: false });
    link.pass(1);
    await bench.settle();
    expect(bench.text).toContain('unplugged: measure by hand');
    const before = (await stored(run)).length;
    key('t');
    await bench.settle();
    expect(said()).toContain('has not settled');
    expect(await stored(run)).toHaveLength(before);
  });

  it('is asked for in a real run, where it is said that the devices are simulated', async () => {
    const real = madeRun();
    await open(real);
    expect(bench.all('ks-bench-devices section')).toHaveLength(0);
    key('t');
    await bench.settle();
    const panel = (): string => document.body.textContent ?? '';
    await until(() => panel().includes('Listen to them'));
    expect(panel()).toContain('In a real run, measure by hand');
  });

  it('moves from button to button by the arrows', async () => {
    await open(run);
    key('ArrowDown');
    const first = document.activeElement;
    expect(first?.tagName).toBe('BUTTON');
    key('ArrowDown');
    expect(document.activeElement).not.toBe(first);
    key('ArrowUp');
    expect(document.activeElement).toBe(first);
  });
});
