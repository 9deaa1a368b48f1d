import { createServer, get as httpGet, type IncomingMessage, type Server } from 'node:http';
import { connect, type AddressInfo } from 'node:net';
import express from 'express';
import * as fc from 'fast-check';
import { DeskCommandSchema, DeskStateSchema, type DeskState } from '../src/core/devices/desk-command';
import { readDeviceMessage } from '../src/core/devices/device-message';
import { devicesRouter, type DeviceLimits } from './devices';

let server: Server | undefined;

async function started(limits: Partial<DeviceLimits> = {}): Promise<number> {
  const app = express().use('/devices', devicesRouter(limits));
  app.use(((error: { status?: number }, _request, response, next) => {
    if (response.headersSent) return next(error);
    response.status(error.status ?? 500).send('refused');
  }) satisfies express.ErrorRequestHandler);
  const made = createServer(app);
  server = made;
  await new Promise<void>((resolve) => made.listen(0, '127.0.0.1', resolve));
  return (made.address() as AddressInfo).port;
}

afterEach(async () => {
  server?.closeAllConnections();
  await new Promise((resolve) => server?.close(resolve));
  server = undefined;
});

/** An open line: what has come of it so far. */
interface Line {
  readonly said: unknown[];
  readonly response: IncomingMessage;
}

function listen(port: number, headers: Record<string, string> = {}): Promise<Line> {
  return new Promise((resolve, reject) => {
    httpGet({ host: '127.0.0.1', port, path: '/devices/stream', headers, agent: false }, (response) => {
      const said: unknown[] = [];
      let rest = '';
      response.on('data', (part: Buffer) => {
        const events = (rest + part.toString('utf8')).split('\n\n');
        rest = events.pop() ?? '';
        for (const one of events) {
          const data = /^data: (.*)$/m.exec(one)?.[1];
          if (data) said.push(JSON.parse(data));
        }
      });
      response.on('error', () => undefined);
      resolve({ said, response });
    }).on('error', reject);
  });
}

const post = (port: number, body: string, headers: Record<string, string> = {}): Promise<Response> =>
  fetch(`http://127.0.0.1:${port}/devices/desk`, {
    method: 'POST',
    headers: { 'content-type': 'application/json', ...headers },
    body,
  });

async function until(holds: () => boolean): Promise<void> {
  for (let k = 0; k < 400 && !holds(); k++) await new Promise((later) => setTimeout(later, 25));
  expect(holds()).toBe(true);
}

const deskOf = ({ said }: Line): DeskState | undefined =>
  said
    .map((one) => DeskStateSchema.safeParse(one))
    .flatMap(({ data }) => data ?? [])
    .pop();

describe('the devices that a server simulates', () => {
  it('say how the desk stands, then their readings, and what the desk is told is heard on every line', async () => {
    const port = await started();
    const [one, other] = [await listen(port), await listen(port)];
    expect(one.response.headers['content-type']).toContain('text/event-stream');
    await until(() => one.said.length > 4);
    expect(one.said[0]).toMatchObject({ kind: 'desk', scenario: 'calm', speed: 1, unplugged: [] });
    expect(one.said.slice(1).every((message) => readDeviceMessage(message) !== undefined)).toBe(true);
    expect((await post(port, JSON.stringify({ kind: 'plug', device: 'probe', plugged: false }))).status).toBe(204);
    await until(() => other.said.some((message) => readDeviceMessage(message)?.kind === 'unplugged'));
    expect(deskOf(one)?.unplugged).toEqual(['probe']);
  });

  it('take no harm of 2,000 hostile messages: each is refused, and nothing has changed', async () => {
    const port = await started({ commandsPerS: Infinity });
    const line = await listen(port);
    const sound = fc.constantFrom(
      ...[
        { kind: 'load', thing: { name: 'x', kg: 1, byHand: false } },
        { kind: 'scenario', scenario: 'calm' },
        { kind: 'bowl', bowl: { key: 'k', kg: 1, bowlHeat: 1, lossWK: 1, aroundC: 20, startC: 30 } },
      ].map((command) => JSON.stringify(command)),
    );
    const bodies = fc.sample(
      fc.oneof(
        fc.string(),
        fc.json(),
        fc.anything().map((value) => JSON.stringify(value) ?? ''),
        fc
          .record({
            kind: fc.constantFrom('scenario', 'speed', 'load', 'bowl', 'tare ', '__proto__'),
            scenario: fc.string(),
            speed: fc.double(),
            thing: fc.object(),
          })
          .map((one) => JSON.stringify(one)),
        // Cut, doubled, or with a letter changed.
        fc.tuple(sound, fc.nat(80)).map(([text, at]) => text.slice(0, Math.min(at, text.length - 1))),
        fc.tuple(sound, fc.nat(80)).map(([text, at]) => `${text.slice(0, at)}\u0000${text.slice(at)}`),
        sound.map((text) => text.repeat(2)),
      ),
      { numRuns: 2000, seed: 20261016 },
    );
    // What is sound after all is no hostile message.
    const hostile = bodies.filter((body) => {
      try {
        return !DeskCommandSchema.safeParse(JSON.parse(body)).success;
      } catch {
        return true;
      }
    });
    expect(hostile.length).toBeGreaterThan(1900);
    const statuses = new Map<number, number>();
    for (let k = 0; k < hostile.length; k += 50) {
      const answers = await Promise.all(hostile.slice(k, k + 50).map((body) => post(port, body)));
      for (const { status } of answers) statuses.set(status, (statuses.get(status) ?? 0) + 1);
      await Promise.all(answers.map((answer) => answer.text()));
    }
    expect([...statuses.keys()].every((status) => status === 400 || status === 413)).toBe(true);
    const before = line.said.length;
    await until(() => line.said.length > before + 4);
    expect(deskOf(line)).toMatchObject({ scenario: 'calm', speed: 1, load: '', things: [] });
  });

  it('refuse what is too large, no JSON, too much at once, of another site, or nowhere', async () => {
    const port = await started({ commandsPerS: 5 });
    const tare = JSON.stringify({ kind: 'tare' });
    expect((await post(port, JSON.stringify({ kind: 'tare', pad: 'x'.repeat(9000) }))).status).toBe(413);
    expect((await post(port, tare, { 'content-type': 'text/plain' })).status).toBe(415);
    expect((await post(port, tare, { origin: 'http://elsewhere.example' })).status).toBe(403);
    expect((await post(port, tare, { 'sec-fetch-site': 'cross-site' })).status).toBe(403);
    expect((await post(port, tare, { origin: 'null' })).status).toBe(403);
    expect((await post(port, tare, { origin: `http://127.0.0.1:${port}` })).status).toBe(204);
    const statuses = await Promise.all(Array.from({ length: 12 }, async () => (await post(port, tare)).status));
    expect(statuses).toContain(429);
    const foreign = await listen(port, { origin: 'http://elsewhere.example' });
    expect(foreign.response.statusCode).toBe(403);
    foreign.response.resume();
    expect((await fetch(`http://127.0.0.1:${port}/devices/other`)).status).toBe(404);
    expect((await fetch(`http://127.0.0.1:${port}/devices/desk`)).status).toBe(404);
  });

  it('serve 50 lines at once, and no more than they are to', async () => {
    const port = await started({ streams: 50 });
    const lines = await Promise.all(Array.from({ length: 50 }, () => listen(port)));
    await until(() => lines.every(({ said }) => said.length > 6));
    const more = await listen(port);
    expect(more.response.statusCode).toBe(503);
    more.response.resume();
    lines[0].response.destroy();
    let again: Line | undefined;
    for (let k = 0; k < 40 && again?.response.statusCode !== 200; k++) {
      again = await listen(port);
      if (again.response.statusCode !== 200) again.response.resume();
      await new Promise((later) => setTimeout(later, 25));
    }
    expect(again?.response.statusCode).toBe(200);
  });

  it('let a listener go that takes nothing, keep nothing for it, and serve the others meanwhile', async () => {
    const port = await started({ patienceMs: 300, commandsPerS: Infinity });
    const line = await listen(port);
    // It asks, and never reads what comes.
    const slow = connect({ port, host: '127.0.0.1' });
    slow.pause();
    slow.write('GET /devices/stream HTTP/1.1\r\nHost: 127.0.0.1\r\n\r\n');
    let closed = false;
    slow.on('close', () => (closed = true));
    slow.on('error', () => (closed = true));
    // Long names make every telling of the desk large, so that its buffers are soon full.
    const things = Array.from({ length: 12 }, () => ({ name: 'x'.repeat(120), kg: 1, byHand: false }));
    const before = process.memoryUsage().heapUsed;
    const gone = async (): Promise<boolean> => {
      slow.write('\r\n');
      await new Promise((later) => setTimeout(later, 5));
      return closed;
    };
    for (let k = 0; k < 6000 && !(await gone()); k++) {
      const answers = await Promise.all(
        Array.from({ length: 20 }, () => post(port, JSON.stringify({ kind: 'things', things }))),
      );
      await Promise.all(answers.map((answer) => answer.text()));
      line.said.length = 0;
    }
    expect(closed).toBe(true);
    expect(process.memoryUsage().heapUsed - before).toBeLessThan(150e6);
    const heardBefore = line.said.length;
    await until(() => line.said.length > heardBefore + 2);
  }, 120_000);

  it('begin anew with the server: nothing is kept, and a browser is told when to ask again', async () => {
    const port = await started();
    await post(port, JSON.stringify({ kind: 'scenario', scenario: 'warmRoom' }));
    const line = await listen(port);
    await until(() => deskOf(line)?.scenario === 'warmRoom');
    server?.closeAllConnections();
    await new Promise((resolve) => server?.close(resolve));
    const anew = await started();
    const again = await listen(anew);
    await until(() => deskOf(again) !== undefined);
    expect(deskOf(again)?.scenario).toBe('calm');
  });
});
