import { expose } from 'comlink';
import { demoCastings } from '../data/demo';
import { StudyClient } from './study-client';
import { studyWork, type StudyWork } from './study-work';

const [bombs] = demoCastings(new Date('2026-10-12T08:00:00Z'));
const open: MessagePort[] = [];
const clients: StudyClient[] = [];

/** A client of the worker's own work, or of other work, over message channels. */
function clientOf(work: () => Partial<StudyWork> = studyWork): StudyClient {
  const client = new StudyClient(() => {
    const { port1, port2 } = new MessageChannel();
    open.push(port1, port2);
    expose(work(), port2 as never);
    port1.start();
    return Object.assign(port1, { terminate: () => port1.close() }) as unknown as Worker;
  });
  clients.push(client);
  return client;
}

describe('StudyClient', () => {
  afterEach(() => {
    clients.splice(0).forEach((client) => client.close());
    open.splice(0).forEach((port) => port.close());
  });

  it('compares, searches with progress, and reads a weight', async () => {
    const client = clientOf();
    const compared = await client.compare(bombs, ['oneThick', 'twoThin'], 'half');
    expect(compared?.verdict.better).toBe(1);
    const told: number[] = [];
    const found = await client.search(bombs, { by: 'smash', blow: 'spoon' }, 'half', (share) => void told.push(share));
    expect(found?.length).toBeGreaterThan(0);
    expect(told.length).toBeGreaterThan(3);
  });

  it('stops a search between two ways', async () => {
    const client = clientOf();
    const found = client.search(bombs, { by: 'survive' }, 'half', () => client.stopSearch());
    expect(await found).toBeUndefined();
  });

  it('hears no progress that comes after the answer', async () => {
    let late: () => unknown = () => undefined;
    const client = clientOf(() => ({
      search: (_casting, _goal, _partId, progress) => {
        progress(0.5);
        late = () => progress(0.9);
        return Promise.resolve([]);
      },
    }));
    const told: number[] = [];
    expect(await client.search(bombs, { by: 'survive' }, 'half', (share) => void told.push(share))).toEqual([]);
    const before = [...told];
    await late();
    expect(told).toEqual(before);
    expect(told).not.toContain(0.9);
  });

  it('gives nothing where the work fails, and asks a fresh worker the next time', async () => {
    let started = 0;
    const client = clientOf(() =>
      ++started === 1
        ? {
            compare: () => {
              throw new Error('broken');
            },
          }
        : studyWork(),
    );
    expect(await client.compare(bombs, ['fridge', 'freezer'], 'half')).toBeUndefined();
    expect((await client.compare(bombs, ['fridge', 'freezer'], 'half'))?.verdict.better).toBe(1);
  });
});
