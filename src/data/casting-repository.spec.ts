import 'fake-indexeddb/auto';
import { IDBFactory } from 'fake-indexeddb';
import { Dexie } from 'dexie';
import { firstValueFrom, skip, timeout } from 'rxjs';
import { CastingRepository } from './casting-repository';
import { KilnstoneDatabase } from './database';
import { demoCastings } from './demo';

const demo = demoCastings(new Date('2026-10-12T08:00:00Z')).slice(0, 2);

async function opened(tab: string): Promise<CastingRepository> {
  const repository = new CastingRepository(tab);
  await repository.open();
  return repository;
}

describe('casting repository', () => {
  // A fresh browser for every test.
  beforeEach(() => {
    Dexie.dependencies.indexedDB = new IDBFactory();
  });

  it('lays the demo down once, and respects that it was deleted', async () => {
    const first = await opened('a');
    await first.seedOnce(demo);
    expect((await first.all()).records).toHaveLength(2);
    await first.write(
      [],
      demo.map((casting) => casting.id),
    );
    await (await opened('b')).seedOnce(demo);
    expect((await first.all()).records).toHaveLength(0);
  });

  it('never lays the demo over castings that are there already', async () => {
    const repository = await opened('a');
    await repository.write([{ record: { ...demo[0], pieces: 31 } }], []);
    await repository.seedOnce(demo);
    expect((await repository.all()).records.map((stored) => stored.record.pieces)).toEqual([31]);
  });

  it('gives back what was written, with who wrote it and a growing stamp', async () => {
    const repository = await opened('a');
    const { stamp: one } = await repository.write([{ record: demo[0] }], []);
    const { stamp: two } = await repository.write([{ record: { ...demo[0], pieces: 30 } }], []);
    expect(two).toBeGreaterThan(one);
    expect((await repository.all()).records).toEqual([{ record: { ...demo[0], pieces: 30 }, stamp: two, tab: 'a' }]);
  });

  it('lets another tab hear of a change', async () => {
    const [a, b] = [await opened('a'), await opened('b')];
    const heard = firstValueFrom(b.watch().pipe(skip(1), timeout(4000)));
    await new Promise((resolve) => setTimeout(resolve, 50));
    await a.write([{ record: demo[0] }], []);
    expect((await heard).records.map((stored) => stored.tab)).toEqual(['a']);
  });

  it('keeps a record that it cannot read, and names its place', async () => {
    const repository = await opened('a');
    await repository.write([{ record: demo[0] }], []);
    await new KilnstoneDatabase().castings.put({
      id: 'bad',
      casting: { ...demo[0], id: 'bad', pieces: 0 },
      stamp: 1,
      tab: 'x',
    });
    const stored = await repository.all();
    expect(stored.records).toHaveLength(1);
    expect(stored.unreadable).toMatchObject([{ id: 'bad', path: 'pieces' }]);
  });

  it('brings together what two tabs changed of one record since both read it, field by field', async () => {
    const [a, b] = [await opened('a'), await opened('b')];
    await a.seedOnce(demo);
    const from = (await b.all()).records.find(({ record }) => record.id === demo[0].id);
    await a.write([{ record: { ...demo[0], pieces: 31 }, from }], []);
    const { records } = await b.write([{ record: { ...demo[0], name: 'Renamed' }, from }], []);
    expect(records).toMatchObject([{ pieces: 31, name: 'Renamed' }]);
    expect((await a.all()).records.map(({ record }) => record)).toContainEqual({
      ...demo[0],
      pieces: 31,
      name: 'Renamed',
    });
  });

  it('notices that everything was cleared, and gets back all that the tab holds', async () => {
    const a = await opened('a');
    await a.seedOnce(demo);
    const database = new KilnstoneDatabase();
    await Promise.all([database.castings.clear(), database.facts.clear()]);
    expect((await a.all()).emptied).toBe(true);
    const { restored } = await a.write([{ record: { ...demo[0], pieces: 31 } }], [], () => demo);
    expect(restored).toBe(true);
    const now = await a.all();
    expect([now.emptied, now.records.map(({ record }) => record.pieces).sort()]).toEqual([false, [24, 31]]);
  });
});
