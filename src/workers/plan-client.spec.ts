import { expose } from 'comlink';
import { filter, firstValueFrom, skip, take, toArray } from 'rxjs';
import type { Making } from '../core/plan/making';
import type { Worked } from '../core/plan/worked';
import { PlanClient, type PlanAnswered, type WorkerState } from './plan-client';

const input = [{ coats: [] } as unknown as Making];
const wait = (ms: number): Promise<void> => new Promise((resolve) => setTimeout(resolve, ms));

const open: MessagePort[] = [];
const clients: PlanClient[] = [];
const clientOf = (start: () => Worker): PlanClient => {
  const client = new PlanClient(start);
  clients.push(client);
  return client;
};

/** A worker's two ends over a message channel, with an answer of the test's making on the far one. */
function workerThat(
  answers: () => Promise<Worked[]>,
  range: () => Promise<Worked[] | undefined> = () => Promise.resolve(undefined),
  stop = (): void => undefined,
): Worker {
  const { port1, port2 } = new MessageChannel();
  open.push(port1, port2);
  expose({ work: answers, range, stop }, port2 as never);
  port1.start();
  return Object.assign(port1, { terminate: () => port1.close() }) as unknown as Worker;
}

describe('PlanClient', () => {
  const done: Worked[] = [{ simulated: { structure: '', byCount: {} }, chill: { coats: [] } }];

  afterEach(() => {
    clients.splice(0).forEach((client) => client.close());
    open.splice(0).forEach((port) => port.close());
  });

  it('answers, and of those that wait only the newest', async () => {
    const asked: number[] = [];
    const client = clientOf(() =>
      workerThat(async () => {
        asked.push(1);
        await wait(20);
        return done;
      }),
    );
    const keys: string[] = [];
    client.answers.subscribe(({ key }: PlanAnswered) => keys.push(key));
    for (const key of ['a', 'b', 'c', 'd']) client.request(key, input);
    await wait(150);
    expect(keys).toEqual(['a', 'd']);
    expect(asked).toHaveLength(2);
  });

  it('answers again with the likely range, and stops it for something newer', async () => {
    const ranged: Worked[] = [{ ...done[0], simulated: { structure: 'ranged', byCount: {} } }];
    let stop: (() => void) | undefined;
    const client = clientOf(() =>
      workerThat(
        () => Promise.resolve(done),
        () =>
          new Promise((resolve) => {
            const late = setTimeout(() => resolve(ranged), 120);
            stop = () => {
              clearTimeout(late);
              resolve(undefined);
            };
          }),
        () => stop?.(),
      ),
    );
    const heard: string[] = [];
    client.answers.subscribe(({ key, worked }: PlanAnswered) =>
      heard.push(`${key}${worked[0].simulated.structure ? ' ranged' : ''}`),
    );
    client.request('a', input);
    await wait(160);
    client.request('b', input);
    await wait(40);
    // Asked for before a range was begun.
    client.request('c', input);
    await wait(500);
    expect(heard).toEqual(['a', 'b', 'c', 'c ranged']);
  });

  it('replaces a worker that fails, and asks the newest request again', async () => {
    let made = 0;
    const client = clientOf(() => {
      made++;
      return workerThat(() => (made === 1 ? Promise.reject(new Error('broken')) : Promise.resolve(done)));
    });
    const states = firstValueFrom(client.state.pipe(skip(1), take(4), toArray()));
    const answer = firstValueFrom(client.answers);
    client.request('a', input);
    expect((await answer).key).toBe('a');
    expect(await states).toEqual<WorkerState[]>(['working', 'restarting', 'working', 'idle']);
    expect(made).toBe(2);
  });

  it('rests after three failures in a row, and tries again when asked', async () => {
    let broken = true;
    const client = clientOf(() =>
      workerThat(() => (broken ? Promise.reject(new Error('broken')) : Promise.resolve(done))),
    );
    client.request('a', input);
    await wait(1400);
    expect(await firstValueFrom(client.state)).toBe('failed');
    client.request('b', input);
    broken = false;
    const answer = firstValueFrom(client.answers);
    client.retry();
    expect((await answer).key).toBe('b');
  });

  it('gives up a worker that cannot even be made, and makes it once it can', async () => {
    let forbidden = true;
    let tries = 0;
    const client = clientOf(() => {
      tries++;
      if (forbidden) throw new DOMException('workers are forbidden here', 'SecurityError');
      return workerThat(() => Promise.resolve(done));
    });
    const states: WorkerState[] = [];
    client.state.subscribe((state) => states.push(state));
    expect(() => client.request('a', input)).not.toThrow();
    await firstValueFrom(client.state.pipe(filter((state) => state === 'failed')));
    expect(tries).toBe(3);
    expect(states.at(-1)).toBe('failed');
    forbidden = false;
    const answer = firstValueFrom(client.answers);
    client.retry();
    expect((await answer).key).toBe('a');
  });
});
