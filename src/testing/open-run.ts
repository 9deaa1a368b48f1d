import { signal } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { Dexie } from 'dexie';
import { IDBFactory } from 'fake-indexeddb';
import { Subject } from 'rxjs';
import { Bell } from '../app/bench/bell';
import { BenchPage } from '../app/bench/bench-page';
import { TICKS } from '../app/bench/ticks';
import { DEVICE_LINKS } from '../app/devices/device-link';
import type { OutsideChange } from '../app/state/record-storage';
import { RunStorage } from '../app/state/run-storage';
import type { Mark } from '../core/run/mark';
import type { Run } from '../core/run/run-record';
import { MarkRepository } from '../data/mark-repository';
import { Bench, clockAt, closeWorkers, openDemo, until, wait } from './bench';
import { BEGINS_S } from './made-run';
import { StandInLink } from './stand-in-link';

/** Each test has a browser with nothing stored in it, whose clock stands at the beginning of the made run. */
export function withFreshBrowser(): void {
  beforeEach(() => {
    Dexie.dependencies.indexedDB = new IDBFactory();
    clockAt(new Date(BEGINS_S * 1000));
  });
  afterEach(() => {
    document.body.replaceChildren();
    closeWorkers();
    jest.useRealTimers();
  });
}

/** A run on its bench, whose clock goes only when a test lets it; with the devices that answer for it. */
export class OpenRun {
  private readonly ticks = new Subject<void>();
  readonly link = new StandInLink();

  private constructor(
    readonly run: Run,
    private opened: Bench<BenchPage> | undefined = undefined,
  ) {}

  static async of(run: Run): Promise<OpenRun> {
    const open = new OpenRun(run);
    TestBed.overrideProvider(TICKS, { useValue: open.ticks });
    TestBed.overrideProvider(DEVICE_LINKS, { useValue: [open.link] });
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
    open.opened = await Bench.of(BenchPage, { id: run.id });
    await until(() => open.bench.text.includes('Melt 120 g'));
    return open;
  }

  get bench(): Bench<BenchPage> {
    if (!this.opened) throw new Error('not opened');
    return this.opened;
  }

  /** So many seconds after the run was begun, by the clock on the wall. */
  async at(seconds: number): Promise<void> {
    jest.setSystemTime((BEGINS_S + seconds) * 1000);
    this.ticks.next();
    await this.bench.settle();
  }

  async stored(): Promise<readonly Mark[]> {
    return (await new MarkRepository().of(this.run.id)).marks;
  }

  /** Does something that is noted, and waits until it is on the disk; what the run notes by itself meanwhile does not count. */
  async noted(does: () => unknown): Promise<void> {
    const byHand = async (): Promise<number> => (await this.stored()).filter(({ kind }) => kind !== 'rung').length;
    const before = await byHand();
    await does();
    for (let k = 0; k < 100 && (await byHand()) === before; k++) await wait(20);
    await this.bench.settle();
  }
}
