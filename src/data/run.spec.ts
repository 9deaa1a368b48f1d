import 'fake-indexeddb/auto';
import { IDBFactory } from 'fake-indexeddb';
import { Dexie } from 'dexie';
import { BEGINS_S, madeRun } from '../testing/made-run';
import { readWhole } from '../testing/read-whole';
import { readRun } from '../core/run/run-record';
import type { Mark } from '../core/run/mark';
import { KilnstoneDatabase } from './database';
import { MarkRepository } from './mark-repository';
import { readRunFile, writeRunFile } from './run-file';
import { RunRepository } from './run-repository';

// A fresh browser for every test.
beforeEach(() => {
  Dexie.dependencies.indexedDB = new IDBFactory();
});

const MONDAY = new Date('2026-10-12T08:00:00Z');
const run = madeRun();
const mark = (n: number): Mark => ({ id: `m${n}`, atS: BEGINS_S + n, kind: 'done', task: run.tasks[n].key });

describe('runs in the browser', () => {
  it('are kept beside castings of a database that had none', async () => {
    const old = new Dexie('kilnstone');
    old.version(5).stores({
      castings: 'id',
      molds: 'id',
      pantry: 'id',
      kitchens: 'id',
      occasions: 'id',
      timetables: 'id',
      facts: 'key',
    });
    await old.table('castings').put({ id: 'c', casting: { kept: true }, stamp: 1, tab: 'a' });
    old.close();
    const runs = new RunRepository('a');
    await runs.open();
    await runs.write([{ record: run }], []);
    expect((await runs.all()).records.map(({ record }) => record)).toEqual([run]);
    expect(await new KilnstoneDatabase().castings.get('c')).toMatchObject({ casting: { kept: true } });
  });

  it('have marks in the order in which they were noted, by two tabs at once, none of them twice', async () => {
    const [one, other] = [new MarkRepository(), new MarkRepository()];
    await Promise.all([0, 1, 2, 3, 4, 5].map((n) => (n % 2 ? one : other).append(run.id, [mark(n)])));
    await one.append('another run', [mark(6)]);
    const { marks, last } = await other.of(run.id);
    expect(last).toBe(6);
    expect(new Set(marks.map(({ id }) => id)).size).toBe(6);
    expect((await other.of(run.id, 4)).marks).toEqual(marks.slice(4));
  });

  it('leave a mark that cannot be read where it is, and say so', async () => {
    const repository = new MarkRepository();
    await repository.append(run.id, [mark(0), { ...mark(1), kind: 'nonsense' } as never, mark(2)]);
    expect(await repository.of(run.id)).toMatchObject({ marks: [mark(0), mark(2)], unreadable: 1, last: 3 });
    expect(await new KilnstoneDatabase().marks.count()).toBe(3);
  });
});

describe('a run from outside', () => {
  it('is read as it was written, with its marks', () => {
    const packed = { ...run, marks: [mark(0), mark(1)] };
    expect(readWhole(readRunFile(writeRunFile([packed], MONDAY)))).toEqual({ ok: true, records: [packed], bad: [] });
  });

  it('takes castings of an older version along', () => {
    const [casting] = run.castings;
    // Before version 11 there were no variants.
    const read = readRun({ ...run, castings: [{ ...casting, variants: undefined, schemaVersion: 10 }] });
    expect(read).toMatchObject({ ok: true, record: { castings: [casting] } });
  });

  it.each([
    ['a lag of a task that is not there', { lags: [{ from: 0, to: 99, least: 0 }] }, ''],
    ['a bowl that is not there', { bowls: [] }, ''],
    ['no task', { tasks: [] }, 'tasks'],
    ['a casting that cannot be read', { castings: [{ ...run.castings[0], pieces: 0 }] }, 'castings.0.pieces'],
    ['a newer version', { schemaVersion: 2 }, 'schemaVersion'],
    ['a rehearsal of another speed', { rehearsal: 7 }, 'rehearsal'],
  ])('is refused with %s', (_, change, path) => {
    expect(readRun({ ...run, ...change })).toMatchObject({ ok: false, path });
  });

  it('is refused with a mark that cannot be read, by its place', () => {
    const text = writeRunFile([{ ...run, marks: [mark(0), { ...mark(1), atS: 'late' } as never] }], MONDAY);
    expect(readWhole(readRunFile(text))).toMatchObject({ ok: false, bad: [{ problem: { path: 'marks.1.atS' } }] });
  });
});
