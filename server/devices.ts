import { Router, json, type Request, type RequestHandler, type Response } from 'express';
import { DeskCommandSchema } from '../src/core/devices/desk-command';
import { StandIns } from '../src/core/devices/stand-ins';

export interface DeviceLimits {
  /** Lines that may be open at once. */
  readonly streams: number;
  /** Commands that are taken in a second, of all together. */
  readonly commandsPerS: number;
  /** A listener that takes nothing for so long is let go, ms. */
  readonly patienceMs: number;
}

const USUAL: DeviceLimits = { streams: 64, commandsPerS: 40, patienceMs: 10_000 };
const LARGEST_BODY = '4kb';
/** A browser whose line broke asks again after so long, ms. */
const RETRY_MS = 1000;

/**
 * A simulated probe and scale: what they say as server-sent events (`GET stream`), what drives them as messages (`POST desk`). For this
 * server's own pages alone; nothing is kept when it ends.
 */
export function devicesRouter(limits: Partial<DeviceLimits> = {}): Router {
  const { streams, commandsPerS, patienceMs } = { ...USUAL, ...limits };
  const standIns = new StandIns(Date.now(), Date.now());
  const listeners = new Set<Listener>();
  let timer: ReturnType<typeof setTimeout> | undefined;

  const send = (): void => {
    const nowMs = Date.now();
    const said = standIns.messages(nowMs).map(event).join('');
    for (const listener of listeners) listener.hear(said, nowMs);
    timer = listeners.size > 0 ? setTimeout(send, standIns.everyMs) : undefined;
  };

  const router = Router();
  router.use(ownPagesOnly);
  router.get('/stream', (request, response) => {
    if (listeners.size >= streams) return void response.status(503).type('text').send('Too many are listening');
    const listener = new Listener(response, patienceMs, () => listeners.delete(listener));
    listeners.add(listener);
    request.on('close', () => listener.end());
    response.set({ 'Content-Type': 'text/event-stream', 'Cache-Control': 'no-store', 'X-Accel-Buffering': 'no' });
    response.flushHeaders();
    listener.hear(`retry: ${RETRY_MS}\n${event(standIns.desk())}`, Date.now());
    if (timer === undefined) send();
  });
  router.post(
    '/desk',
    notMoreThan(commandsPerS),
    jsonOnly,
    json({ limit: LARGEST_BODY, strict: true }),
    (request, response) => {
      const command = DeskCommandSchema.safeParse(request.body);
      if (!command.success) return void response.status(400).type('text').send('This is no command of the desk');
      standIns.command(command.data, Date.now());
      const desk = event(standIns.desk());
      for (const listener of listeners) listener.hear(desk, Date.now());
      response.status(204).end();
    },
  );
  router.use((_, response) => void response.status(404).type('text').send('Not found'));
  return router;
}

/** One open line. What is said while it does not take anything is left out: a reading is soon followed by the next. */
class Listener {
  private fullSinceMs: number | undefined;

  constructor(
    private readonly response: Response,
    private readonly patienceMs: number,
    private readonly gone: () => void,
  ) {
    response.on('drain', () => (this.fullSinceMs = undefined));
  }

  hear(text: string, nowMs: number): void {
    if (this.fullSinceMs === undefined) {
      if (!this.response.write(text)) this.fullSinceMs = nowMs;
    } else if (nowMs - this.fullSinceMs > this.patienceMs) this.end();
  }

  end(): void {
    this.gone();
    this.response.destroy();
  }
}

const event = (data: { readonly kind: string }): string => `data: ${JSON.stringify(data)}\n\n`;

/** What another site's page asks for is refused: a browser says where a request comes from. */
const ownPagesOnly: RequestHandler = (request, response, next) => {
  const site = request.get('sec-fetch-site');
  const origin = request.get('origin');
  const foreign = origin !== undefined && !isOwn(request, origin);
  if (foreign || (site !== undefined && site !== 'same-origin' && site !== 'none'))
    return void response.status(403).type('text').send('For this server’s own pages alone');
  next();
};

function isOwn(request: Request, origin: string): boolean {
  return URL.canParse(origin) && new URL(origin).host === request.get('host');
}

const jsonOnly: RequestHandler = (request, response, next) => {
  if (!request.is('application/json')) return void response.status(415).type('text').send('Only JSON is taken');
  next();
};

/** Refuses what comes faster than so many in a second. */
function notMoreThan(perS: number): RequestHandler {
  let [sinceMs, count] = [0, 0];
  return (_, response, next) => {
    const nowMs = Date.now();
    if (nowMs - sinceMs >= 1000) [sinceMs, count] = [nowMs, 0];
    count++;
    if (count > perS) return void response.status(429).type('text').send('Too many at once; wait a second');
    next();
  };
}
