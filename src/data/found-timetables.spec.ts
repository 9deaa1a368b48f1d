import 'fake-indexeddb/auto';
import { IDBFactory } from 'fake-indexeddb';
import { Dexie } from 'dexie';
import type { OccasionPlan } from '../core/occasion/occasion-plan';
import { FoundTimetables } from './found-timetables';

// A fresh browser for every test.
beforeEach(() => {
  Dexie.dependencies.indexedDB = new IDBFactory();
});

const plan = { startS: 1, readyS: 2 } as OccasionPlan;

describe('timetables that were found', () => {
  it('come back for just what they were asked for, to the program that found them', async () => {
    const found = new FoundTimetables('one');
    await found.keep({ id: 'supper', asked: 'so', plan }, ['supper']);
    expect(await found.of('supper', 'so')).toMatchObject({ plan });
    expect(await found.of('supper', 'otherwise')).toBeUndefined();
    expect(await found.of('lunch', 'so')).toBeUndefined();
    expect(await new FoundTimetables('one').of('supper', 'so')).toMatchObject({ plan });
    expect(await new FoundTimetables('two').of('supper', 'so')).toBeUndefined();
  });

  it('go with their occasions', async () => {
    const found = new FoundTimetables('one');
    await found.keep({ id: 'supper', asked: 'so', plan }, ['supper']);
    await found.keep({ id: 'lunch', asked: 'so', plan }, ['lunch']);
    expect(await found.of('supper', 'so')).toBeUndefined();
    expect(await found.of('lunch', 'so')).toBeDefined();
  });

  it('are not there where the browser refuses its database, and nothing fails', async () => {
    Dexie.dependencies.indexedDB = {
      open: () => {
        throw new Error('refused');
      },
    } as unknown as IDBFactory;
    const found = new FoundTimetables('one');
    await expect(found.keep({ id: 'supper', asked: 'so', plan }, ['supper'])).resolves.toBeUndefined();
    expect(await found.of('supper', 'so')).toBeUndefined();
  });
});
