import { expose } from 'comlink';
import { firstValueFrom } from 'rxjs';
import { askedOnce } from './asked-once';

interface Work {
  double(value: number): number;
}

/** A worker that does this work over a message channel, and how often it was ended. */
function worker(work: Work) {
  const { port1, port2 } = new MessageChannel();
  expose(work, port2 as never);
  port1.start();
  const ended: true[] = [];
  const terminate = () => {
    ended.push(true);
    port1.close();
    port2.close();
  };
  return { start: () => Object.assign(port1, { terminate }) as unknown as Worker, ended };
}

describe('a worker that is asked once', () => {
  it('answers and is ended', async () => {
    const { start, ended } = worker({ double: (value) => 2 * value });
    const answer = askedOnce<Work, number>(start, async (remote) => remote.double(21));
    expect(await firstValueFrom(answer)).toBe(42);
    expect(ended).toHaveLength(1);
  });

  it('is ended when nobody waits any more', () => {
    const { start, ended } = worker({ double: (value) => value });
    askedOnce<Work, number>(start, async (remote) => remote.double(1))
      .subscribe()
      .unsubscribe();
    expect(ended).toHaveLength(1);
  });

  it('errs with what went wrong in it, and where it does not start', async () => {
    const { start } = worker({
      double: () => {
        throw new Error('too large');
      },
    });
    await expect(firstValueFrom(askedOnce<Work, number>(start, async (remote) => remote.double(1)))).rejects.toThrow(
      'too large',
    );
    const broken = askedOnce<Work, number>(
      () => {
        throw new Error('no workers');
      },
      async (remote) => remote.double(1),
    );
    await expect(firstValueFrom(broken)).rejects.toThrow('no workers');
  });
});
