import 'fake-indexeddb/auto';
import { Dexie } from 'dexie';
import { IDBFactory } from 'fake-indexeddb';
import { filter, firstValueFrom } from 'rxjs';
import { finishedRuns } from '../testing/made-log';
import { KilnstoneDatabase } from './database';
import { MarkRepository } from './mark-repository';
import { OutcomeRepository } from './outcome-repository';
import { RunRepository } from './run-repository';

beforeEach(() => {
  Dexie.dependencies.indexedDB = new IDBFactory();
});

/** So many finished runs are stored. */
async function stored(count: number): Promise<void> {
  const runs = new RunRepository('one');
  const marks = new MarkRepository();
  const packed = finishedRuns(count);
  await runs.open();
  await runs.write(
    packed.map((record) => ({ record, from: undefined })),
    [],
    () => [],
  );
  for (const run of packed) await marks.append(run.id, run.marks);
}

/** Once nothing is left to be worked out. */
const whole = () => firstValueFrom(new OutcomeRepository().watch().pipe(filter(({ missing }) => missing === 0)));

describe('what runs have come to, kept', () => {
  it('is worked out once for each run, and read from then on', async () => {
    await stored(3);
    const { outcomes } = await whole();
    expect(outcomes.map(({ id, counted }) => [id, counted?.broke])).toEqual([
      ['finished-0', 0],
      ['finished-1', 2],
      ['finished-2', 4],
    ]);
    // What is kept is what is told, without the run being looked at again.
    const database = new KilnstoneDatabase();
    await database.marks.clear();
    expect((await whole()).outcomes).toEqual(outcomes);
  });

  it('is worked out anew once something more is noted', async () => {
    await stored(2);
    await whole();
    const note = { id: 'late', atS: 0, kind: 'verdict', verdict: 'change' } as const;
    await new MarkRepository().append('finished-1', [note]);
    const { outcomes } = await whole();
    expect(outcomes.map(({ verdict }) => verdict)).toEqual(['again', 'change']);
  });

  it('passes over a run that cannot be read, or that is gone, and comes to an end', async () => {
    await stored(2);
    const database = new KilnstoneDatabase();
    await database.runs.put({ id: 'broken', stamp: 1, tab: 'one', run: { id: 'broken', tasks: 'none' } });
    expect((await whole()).outcomes).toHaveLength(2);
    await database.runs.delete('finished-0');
    expect((await whole()).outcomes.map(({ id }) => id)).toEqual(['finished-1']);
    expect(await new OutcomeRepository().run('broken')).toBeUndefined();
  });

  it('is worked out anew where an older program kept it', async () => {
    await stored(1);
    await new KilnstoneDatabase().outcomes.put({ id: 'finished-0', version: 0, outcome: undefined });
    expect((await whole()).outcomes).toHaveLength(1);
  });
});
