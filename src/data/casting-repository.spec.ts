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
    await first.write([], demo.map((casting) => casting.id));
    await (await opened('b')).seedOnce(demo);
    expect((await first.all()).records).toHaveLength(0);
  });

  it('never lays the demo over castings that are there already', async () => {
    const repository = await opened('a');
    await repository.write([{ ...demo[0], pieces: 31 }], []);
    await repository.seedOnce(demo);
    expect((await repository.all()).records.map((stored) => stored.record.pieces)).toEqual([31]);
  });

  it('gives back what was written, with who wrote it and a growing stamp', async () => {
    const repository = await opened('a');
    const one = await repository.write([demo[0]], []);
    const two = await repository.write([{ ...demo[0], pieces: 30 }], []);
    expect(two).toBeGreaterThan(one);
    expect((await repository.all()).records).toEqual([{ record: { ...demo[0], pieces: 30 }, stamp: two, tab: 'a' }]);
  });

  it('lets another tab hear of a change', async () => {
    const [a, b] = [await opened('a'), await opened('b')];
    const heard = firstValueFrom(b.watch().pipe(skip(1), timeout(4000)));
    await new Promise((resolve) => setTimeout(resolve, 50));
    await a.write([demo[0]], []);
    expect((await heard).records.map((stored) => stored.tab)).toEqual(['a']);
  });

  it('keeps a record that it cannot read, and names its place', async () => {
    const repository = await opened('a');
    await repository.write([demo[0]], []);
    await new KilnstoneDatabase().castings.put({ id: 'bad', casting: { ...demo[0], id: 'bad', pieces: 0 }, stamp: 1, tab: 'x' });
    const stored = await repository.all();
    expect(stored.records).toHaveLength(1);
    expect(stored.unreadable).toMatchObject([{ id: 'bad', path: 'pieces' }]);
  });
});
