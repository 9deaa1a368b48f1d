import { expose } from 'comlink';
import { firstValueFrom, skip, take, toArray } from 'rxjs';
import type { ChillResult } from '../core/chill/chill';
import type { ChillInput } from '../core/chill/chill-input';
import { PlanClient, type ChillAnswered, type WorkerState } from './plan-client';

const input = { coats: [] } as unknown as ChillInput;
const wait = (ms: number): Promise<void> => new Promise((resolve) => setTimeout(resolve, ms));

const open: MessagePort[] = [];

/** A worker's two ends over a message channel, with an answer of the test's making on the far one. */
function workerThat(answers: (input: ChillInput) => Promise<ChillResult>): Worker {
  const { port1, port2 } = new MessageChannel();
  open.push(port1, port2);
  expose({ chill: answers }, port2 as never);
  port1.start();
  return Object.assign(port1, { terminate: () => port1.close() }) as unknown as Worker;
}

describe('PlanClient', () => {
  const done: ChillResult = { coats: [] };

  afterEach(() => open.splice(0).forEach((port) => port.close()));

  it('answers, and of those that wait only the newest', async () => {
    const asked: number[] = [];
    const client = new PlanClient(() => workerThat(async () => { asked.push(1); await wait(20); return done; }));
    const keys: string[] = [];
    client.answers.subscribe(({ key }: ChillAnswered) => keys.push(key));
    for (const key of ['a', 'b', 'c', 'd']) client.request(key, input);
    await wait(150);
    expect(keys).toEqual(['a', 'd']);
    expect(asked).toHaveLength(2);
  });

  it('replaces a worker that fails, and asks the newest request again', async () => {
    let made = 0;
    const client = new PlanClient(() => {
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
    const client = new PlanClient(() => workerThat(() => (broken ? Promise.reject(new Error('broken')) : Promise.resolve(done))));
    client.request('a', input);
    await wait(1400);
    expect(await firstValueFrom(client.state)).toBe('failed');
    client.request('b', input);
    broken = false;
    const answer = firstValueFrom(client.answers);
    client.retry();
    expect((await answer).key).toBe('b');
  });
});
