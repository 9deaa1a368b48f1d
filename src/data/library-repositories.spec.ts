import { CASTING_SCHEMA_VERSION } from '../core/record/casting';
import 'fake-indexeddb/auto';
import { readFileSync } from 'node:fs';
import { IDBFactory } from 'fake-indexeddb';
import { Dexie } from 'dexie';
import { CastingRepository } from './casting-repository';
import { KilnstoneDatabase } from './database';
import { KitchenRepository } from './kitchen-repository';
import { usualKitchen } from './kitchen-usual';
import { PantryRepository } from './pantry-repository';
import { shippedPantry } from './pantry-shipped';

const MONDAY = new Date('2026-10-12T08:00:00Z');

// A fresh browser for every test.
beforeEach(() => {
  Dexie.dependencies.indexedDB = new IDBFactory();
});

describe('the pantry in the browser', () => {
  it('is laid down once, and gives back what was written, chocolates and tints alike', async () => {
    const pantry = new PantryRepository('a');
    await pantry.open();
    await pantry.seedOnce(shippedPantry(MONDAY));
    const stored = (await pantry.all()).records.map(({ record }) => record);
    expect(new Set(stored)).toEqual(new Set(shippedPantry(MONDAY)));
    await pantry.write(
      [],
      stored.map(({ id }) => id),
    );
    await pantry.seedOnce(shippedPantry(MONDAY));
    expect((await pantry.all()).records).toEqual([]);
  });

  it('keeps what it cannot read, by its place, and reads the rest', async () => {
    const pantry = new PantryRepository('a');
    await pantry.open();
    const [first, second] = shippedPantry(MONDAY);
    await pantry.write([{ record: { ...first, name: '' } }, { record: second }], []);
    const all = await pantry.all();
    expect(all.records.map(({ record }) => record.id)).toEqual([second.id]);
    expect(all.unreadable).toMatchObject([{ id: first.id, path: 'name' }]);
  });
});

describe('the kitchen in the browser', () => {
  it('keeps its bowls, its fans and what the microwave was calibrated by', async () => {
    const repository = new KitchenRepository('a');
    await repository.open();
    const kitchen = {
      ...usualKitchen(MONDAY),
      freezerFan: true,
      microwaveTest: { kg: 0.2, seconds: 88, endC: 39 },
      currency: 'kr',
    };
    await repository.write([{ record: kitchen }], []);
    expect((await repository.all()).records.map(({ record }) => record)).toEqual([kitchen]);
  });

  it.each([
    ['no bowl', { bowls: [] }],
    ['a room of 60 °C', { roomC: 60 }],
    ['a microwave of no power', { microwaveW: 0 }],
  ])('refuses one with %s', async (_, change) => {
    const repository = new KitchenRepository('a');
    await repository.open();
    await repository.write([{ record: { ...usualKitchen(MONDAY), ...change } }], []);
    const all = await repository.all();
    expect([all.records.length, all.unreadable.length]).toEqual([0, 1]);
  });
});

describe('a database of the version before the pantry', () => {
  it('is opened with everything that was in it, castings brought up to today', async () => {
    const old = JSON.parse(readFileSync('src/core/record/fixtures/castings-v2.json', 'utf8')) as {
      readonly id: string;
    }[];
    const before = new Dexie('kilnstone');
    before.version(2).stores({ castings: 'id', molds: 'id', facts: 'key' });
    await before.open();
    await before.table('castings').bulkPut(old.map((casting) => ({ id: casting.id, casting, stamp: 1, tab: 'then' })));
    await before.table('facts').put({ key: 'seeded', value: true });
    before.close();
    const castings = new CastingRepository('now');
    await castings.open();
    const { records, unreadable } = await castings.all();
    expect(unreadable).toEqual([]);
    expect(records.map(({ record }) => [record.id, record.schemaVersion])).toEqual(
      old.map(({ id }) => [id, CASTING_SCHEMA_VERSION]),
    );
    const database = new KilnstoneDatabase();
    await database.open();
    expect(await database.pantry.count()).toBe(0);
    expect(await database.facts.get('seeded')).toEqual({ key: 'seeded', value: true });
    database.close();
  });
});
