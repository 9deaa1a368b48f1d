import { spawnSync } from 'node:child_process';
import { chromium, type Browser, type CDPSession, type Locator, type Page } from '@playwright/test';
import { writeCastingFile } from '../src/data/casting-file';
import { demoCastings } from '../src/data/demo';
import { writeMoldFile } from '../src/data/mold-file';
import { shippedMolds } from '../src/data/mold-library';
import type { Casting } from '../src/core/record/casting';
import { CHROMIUM_FLAGS } from '../scripts/chromium.mjs';
import { benchResults } from './bench';
import { logbookResults } from './log';
import { percentile, type Result } from './measure';

const CHROME = process.env['CHROME_PATH'] ?? '/usr/bin/chromium';

/** What the app takes in a real browser: bytes, the work of a drag, and from a control to the repainted figure. */
export async function browserResults(address: string): Promise<Result[]> {
  const browser = await chromium.launch({ executablePath: CHROME, args: CHROMIUM_FLAGS });
  try {
    return [
      await wire(browser, address),
      ...(await drag(browser, THICKNESS(address))),
      ...(await drag(browser, FOUR_COATS(address))),
      ...(await drag(browser, POINT(address))),
      ...(await drag(browser, FILL_LINE(address))),
      ...(await drag(browser, LAYER(address))),
      ...(await drag(browser, TASK(address))),
      await pdf(browser, address),
      await reaction(browser, address),
      await log(browser, address),
      ...(await library(browser, address)),
      await occasion(browser, address),
      ...(await benchResults(browser, address)),
      ...(await logbookResults(browser, address)),
    ];
  } finally {
    await browser.close();
  }
}

async function opened(browser: Browser, address: string): Promise<{ page: Page; session: CDPSession }> {
  const page = await (
    await browser.newContext({ serviceWorkers: 'block', viewport: { width: 1280, height: 800 } })
  ).newPage();
  const session = await page.context().newCDPSession(page);
  await page.goto(address);
  await page.locator('ks-strip strong').first().waitFor();
  return { page, session };
}

async function wire(browser: Browser, address: string): Promise<Result> {
  const page = await (await browser.newContext({ serviceWorkers: 'block' })).newPage();
  const session = await page.context().newCDPSession(page);
  let bytes = 0;
  let files = 0;
  session.on('Network.loadingFinished', ({ encodedDataLength }) => {
    bytes += encodedDataLength;
    files++;
  });
  await session.send('Network.enable');
  await page.goto(address);
  await page.locator('ks-section path.coat').first().waitFor();
  await page.waitForLoadState('networkidle');
  await page.context().close();
  const kb = bytes / 1000;
  return {
    what: 'On the wire until the first plan is painted',
    value: `${kb.toFixed(0)} kB in ${files} files`,
    wanted: 'at most 600 kB',
    met: kb <= 600,
    against: 'fonts and worker included, first visit',
  };
}

/** From the click to the file, on a page that was opened a moment ago. */
async function pdf(browser: Browser, address: string): Promise<Result> {
  const times: number[] = [];
  for (let k = 0; k < 5; k++) {
    const page = await (await browser.newContext({ serviceWorkers: 'block' })).newPage();
    await page.goto(`${address}/casting/demo-pears/weigh-out`);
    const button = page.getByRole('button', { name: 'Save as PDF' });
    await button.waitFor();
    await page.waitForTimeout(800);
    const begin = performance.now();
    await Promise.all([page.waitForEvent('download'), button.click()]);
    times.push(performance.now() - begin);
    await page.context().close();
  }
  const ms = percentile(times, 50);
  return {
    what: 'The weigh-out as PDF',
    value: `${ms.toFixed(0)} ms`,
    wanted: 'under 1000 ms',
    met: ms < 1000,
    against: 'median of 5 first times, from the click to the file, asked for when the sheet has been open for 0.8 s',
  };
}

interface TraceEvent {
  readonly name: string;
  readonly ts: number;
  readonly dur?: number;
  /** Processor time, µs. */
  readonly tdur?: number;
  readonly tid: number;
  readonly pid: number;
  readonly args?: { readonly name?: string; readonly data?: { readonly message?: string } };
}

/** The mark from which a drag is counted. */
const BEGINS = 'the drag is counted from here';

/** Something that is dragged, and what its work is called. */
interface Dragged {
  readonly url: string;
  /** What it is dragged by. */
  readonly handle: (page: Page) => Locator;
  readonly what: string;
  /** Up and down instead of across. */
  readonly upright?: true;
  /** The drawing follows the simulation of a worker meanwhile. */
  readonly simulated: boolean;
  /** Imported before it is opened. */
  readonly casting?: Casting;
  /** What is waited for besides. */
  readonly ready?: (page: Page) => Promise<void>;
}

/** The supper's timetable stands, and nothing is looked for any more. */
async function standing(page: Page): Promise<void> {
  await page.locator('ks-lanes button.hands').first().waitFor({ timeout: 60_000 });
  await page.getByText(/^Looking for/).waitFor({ state: 'detached', timeout: 120_000 });
}

const slider =
  (name: string) =>
  (page: Page): Locator =>
    page.getByRole('slider', { name });
const THICKNESS = (address: string): Dragged => ({
  url: `${address}/casting/demo-bombs/coat`,
  handle: slider('Wanted thickness at the rim'),
  what: 'Main-thread work a frame while the thickness is dragged',
  simulated: true,
});
/** The demo's bombs in four coats, each made its own way. */
function fourCoats(): Casting {
  const [bombs] = demoCastings(new Date('2026-10-12T08:00:00Z'));
  const [half] = bombs.parts;
  const [coat] = half.coats;
  const ways = [
    { method: 'dump' as const },
    { method: 'brush' as const, where: 'sides' as const, doseM3: 3e-6 },
    { method: 'spoon' as const, doseM3: 5e-6, wayUp: 'upright' as const },
    { method: 'brush' as const, where: 'thin' as const, doseM3: 2e-6 },
  ];
  const coats = ways.map((way, i) => ({ ...coat, ...way, id: `coat-${i}` }));
  const coatsBy = { by: 'thickness' as const, rimM: 0.004 };
  return { ...bombs, id: 'four-coats', name: 'Four coats', parts: [{ ...half, coats, coatsBy }] };
}
const FOUR_COATS = (address: string): Dragged => ({
  url: `${address}/casting/four-coats/coat`,
  handle: slider('Wanted thickness at the rim'),
  what: 'Main-thread work a frame while the thickness of four different coats is dragged',
  simulated: false,
  casting: fourCoats(),
});
const POINT = (address: string): Dragged => ({
  url: `${address}/molds/bells`,
  handle: slider('Point 7 of 7'),
  what: 'Main-thread work a frame while a profile’s point is dragged',
  simulated: false,
});

const FILL_LINE = (address: string): Dragged => ({
  url: `${address}/casting/demo-bombs/fill`,
  handle: slider('Fill line of powder'),
  what: 'Main-thread work a frame while the fill line is dragged',
  simulated: false,
  upright: true,
});
/** Something of the supper in its lanes: it is held where it is let go. */
const TASK = (address: string): Dragged => ({
  url: `${address}/occasions/demo-supper`,
  handle: (page) => page.locator('ks-lanes button.hands').nth(20),
  what: 'Main-thread work a frame while a task of the supper is dragged',
  simulated: false,
  ready: standing,
});
const LAYER = (address: string): Dragged => ({
  url: `${address}/casting/demo-bombs/fill`,
  handle: (page) => page.locator('.layers .grip').first(),
  what: 'Main-thread work a frame while a layer is dragged',
  simulated: false,
  upright: true,
});

async function imported(page: Page, origin: string, casting: Casting): Promise<void> {
  await page.goto(`${origin}/castings`);
  await page.getByRole('button', { name: 'Import' }).click();
  await page.getByLabel(/A file exported/).setInputFiles({
    name: 'casting.json',
    mimeType: 'application/json',
    buffer: Buffer.from(writeCastingFile([casting], new Date())),
  });
  await page.getByRole('button', { name: 'Take them' }).click();
  await page.waitForTimeout(800);
}

async function drag(
  browser: Browser,
  { url, handle: find, what, simulated, upright, casting, ready }: Dragged,
): Promise<Result[]> {
  const page = await (
    await browser.newContext({ serviceWorkers: 'block', viewport: { width: 1280, height: 800 } })
  ).newPage();
  const session = await page.context().newCDPSession(page);
  if (simulated) await page.addInitScript(WATCH_AGE);
  if (casting) await imported(page, new URL(url).origin, casting);
  await page.goto(url);
  const handle = find(page);
  await ready?.(page);
  await handle.waitFor();
  await page.waitForTimeout(1000);
  const box = await handle.boundingBox();
  if (!box) throw new Error('no handle to drag');
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
  const move = async (from: number, to: number): Promise<void> => {
    for (let k = 0; k <= 60; k++) {
      const by = from + ((to - from) * k) / 60;
      await page.mouse.move(upright ? x : x + by, upright ? y + by : y);
      await page.waitForTimeout(8);
    }
  };
  await page.mouse.move(x, y);
  await page.mouse.down();
  await move(0, -12);
  const events: TraceEvent[] = [];
  session.on('Tracing.dataCollected', ({ value }) => events.push(...(value as unknown as TraceEvent[])));
  await session.send('Tracing.start', {
    traceConfig: {
      includedCategories: [
        'toplevel',
        'devtools.timeline',
        'devtools.timeline.frame',
        'disabled-by-default-devtools.timeline',
        'disabled-by-default-devtools.timeline.frame',
        '__metadata',
      ],
    },
    transferMode: 'ReportEvents',
  });
  // What was still under way when the trace began is not counted.
  await move(-12, -8);
  await page.evaluate(`window.counted = true; console.timeStamp('${BEGINS}')`);
  await move(-8, 8);
  await move(8, -8);
  const done = new Promise((resolve) => session.once('Tracing.tracingComplete', resolve));
  await session.send('Tracing.end');
  await done;
  const ages = simulated ? await page.evaluate<number[]>('window.ages') : [];
  await page.mouse.up();
  await page.context().close();
  const from = events.find((e) => e.name === 'TimeStamp' && e.args?.data?.message === BEGINS)?.ts ?? 0;
  const counted = events.filter((e) => e.ts >= from || e.name === 'thread_name');
  const { cpu, wall } = workPerFrame(counted);
  const p95 = percentile(cpu, 95);
  const work = {
    what,
    value: `${p95.toFixed(1)} ms`,
    wanted: 'at most 16 ms',
    met: p95 <= 16,
    against: `processor time, 95th percentile of ${cpu.length} frames, from a trace; by the clock, waits for other processes included, ${percentile(wall, 95).toFixed(1)} ms`,
  };
  return simulated ? [work, ageResult(ages)] : [work];
}

/**
 * Notes, at every frame of a drag, how long ago the wanted thickness was the one whose simulation is drawn: an answer that has come in is
 * drawn with the next frame. Listens to what passes between the page and its worker.
 */
const WATCH_AGE = `(() => {
  const asked = new Map(), seen = [];
  let drawn;
  window.ages = [];
  const post = Worker.prototype.postMessage;
  Worker.prototype.postMessage = function (message, ...rest) {
    if (message?.path?.[0] === 'work') {
      asked.set(message.id, message.argumentList[0].value[0].wantedRimM);
      if (!this.heard) this.addEventListener('message', ({ data }) => asked.has(data?.id) && requestAnimationFrame(() => (drawn = asked.get(data.id))));
      this.heard = true;
    }
    return post.call(this, message, ...rest);
  };
  const frame = () => {
    const handle = document.querySelector('ks-drag-handle.wanted');
    if (window.counted && handle) {
      seen.push({ at: performance.now(), rimM: Number(handle.getAttribute('aria-valuenow')) / 1000 });
      const last = seen.findLast(({ rimM }) => Math.abs(rimM - drawn) < 1e-7);
      if (last) window.ages.push(performance.now() - last.at);
    }
    requestAnimationFrame(frame);
  };
  requestAnimationFrame(frame);
})()`;

function ageResult(ages: readonly number[]): Result {
  const p95 = percentile(ages, 95);
  return {
    what: 'Age of the simulation that is drawn while the thickness is dragged',
    value: `${p95.toFixed(0)} ms`,
    wanted: 'at most 50 ms',
    met: p95 <= 50,
    against: `by the clock, 95th percentile of ${ages.length} frames, 0 where it is of the thickness that is wanted just then (${Math.round((100 * ages.filter((age) => age < 1).length) / ages.length)} % of them)`,
  };
}

/**
 * Sums the tasks of the page's main thread from one frame's task to the next, ms: processor time, and by the clock.
 * A frame begins with the task that its begin event lies in, not with that event.
 */
function workPerFrame(events: readonly TraceEvent[]): { readonly cpu: number[]; readonly wall: number[] } {
  const mains = events.filter((e) => e.name === 'thread_name' && e.args?.name === 'CrRendererMain');
  const begins = (main: TraceEvent): TraceEvent[] =>
    events.filter((e) => e.name === 'BeginMainThreadFrame' && e.pid === main.pid).sort((a, b) => a.ts - b.ts);
  const main = mains.sort((a, b) => begins(b).length - begins(a).length)[0];
  const tasks = events.filter(
    (e) => e.name === 'RunTask' && e.pid === main.pid && e.tid === main.tid && e.dur !== undefined,
  );
  const starts = [
    ...new Set(begins(main).map(({ ts }) => tasks.find((t) => t.ts <= ts && t.ts + (t.dur ?? 0) >= ts)?.ts ?? ts)),
  ];
  const perFrame = (time: (task: TraceEvent) => number): number[] =>
    starts
      .slice(1)
      .map(
        (end, i) => tasks.filter((t) => t.ts >= starts[i] && t.ts < end).reduce((sum, t) => sum + time(t), 0) / 1000,
      );
  return { cpu: perFrame((t) => t.tdur ?? t.dur ?? 0), wall: perFrame((t) => t.dur ?? 0) };
}

/** Milliseconds from a change to the frame in which its answer is painted. */
const UNTIL_PAINTED = `(change) => new Promise((resolve) => {
  const start = performance.now();
  change();
  requestAnimationFrame(() => { const channel = new MessageChannel(); channel.port1.onmessage = () => resolve(performance.now() - start); channel.port2.postMessage(undefined); });
})`;

/** From the list of occasions to the supper's page with its timetable, which has been found before. */
async function occasion(browser: Browser, address: string): Promise<Result> {
  const page = await (
    await browser.newContext({ serviceWorkers: 'block', viewport: { width: 1280, height: 800 } })
  ).newPage();
  await page.goto(`${address}/occasions/demo-supper`);
  await standing(page);
  const times: number[] = [];
  for (let k = 0; k < 10; k++) {
    await page.locator('.rail a[href="/occasions"]').click();
    await page.locator('a[href="/occasions/demo-supper"]').first().waitFor();
    await page.waitForTimeout(300);
    times.push(
      await page.evaluate<number>(`new Promise((resolve) => {
        const start = performance.now();
        const there = () => document.querySelector('ks-lanes button.hands')
          ? setTimeout(() => resolve(performance.now() - start))
          : requestAnimationFrame(there);
        document.querySelector('a[href="/occasions/demo-supper"]').click();
        requestAnimationFrame(there);
      })`),
    );
  }
  await page.context().close();
  const median = percentile(times, 50);
  return {
    what: 'The supper opened, with its timetable',
    value: `${median.toFixed(0)} ms`,
    wanted: 'under 300 ms',
    met: median < 300,
    against: `median of 10, from the click in the list to the painted lanes; the slowest ${Math.max(...times).toFixed(0)} ms`,
  };
}

/** Opening and filtering a library of 500 molds that was imported from a file. */
async function library(browser: Browser, address: string): Promise<Result[]> {
  const { page } = await opened(browser, address);
  await page.goto(`${address}/molds`);
  await page.getByRole('button', { name: 'Import' }).click();
  const shipped = shippedMolds(new Date());
  const many = Array.from({ length: 500 - shipped.length }, (_, i) => ({
    ...shipped[i % shipped.length],
    id: `many-${i}`,
    name: `Mold ${i}`,
  }));
  await page.getByLabel(/A file exported/).setInputFiles({
    name: 'many.json',
    mimeType: 'application/json',
    buffer: Buffer.from(writeMoldFile(many, new Date())),
  });
  await page.getByRole('button', { name: 'Take them' }).click();
  await page.waitForTimeout(1500);
  const opening: number[] = [];
  const filtering: number[] = [];
  for (let k = 0; k < 10; k++) {
    await page.locator('.rail a[href="/castings"]').click();
    await page.locator('ks-castings li').first().waitFor();
    await page.waitForTimeout(150);
    opening.push(
      await page.evaluate(`(${UNTIL_PAINTED})(() => document.querySelector('.rail a[href="/molds"]').click())`),
    );
    await page.locator('ks-molds li').first().waitFor();
    await page.waitForTimeout(150);
    const wanted = `[role=option][data-value="${k % 2 ? 'pillow' : 'egg'}"]`;
    await page.locator('.kind input').press('Enter');
    await page.locator(wanted).waitFor();
    filtering.push(await page.evaluate(`(${UNTIL_PAINTED})(() => document.querySelector('${wanted}').click())`));
  }
  await page.context().close();
  return [['opened', opening] as const, ['filtered', filtering] as const].map(([done, times]) => {
    const median = percentile(times, 50);
    return {
      what: `A library of 500 molds ${done}`,
      value: `${median.toFixed(0)} ms`,
      wanted: 'under 100 ms',
      met: median < 100,
      against: `median of ${times.length}, from the click to the painted frame`,
    };
  });
}

async function reaction(browser: Browser, address: string): Promise<Result> {
  const { page } = await opened(browser, `${address}/casting/demo-bombs/batch`);
  await page.waitForTimeout(800);
  const times: number[] = [];
  for (let k = 0; k < 20; k++) {
    times.push(
      await page.getByLabel('Pieces', { exact: true }).evaluate(
        (box, pieces) => {
          const figure = document.querySelector('ks-weigh-out .sum td:last-child');
          const start = performance.now();
          return new Promise<number>((resolve) => {
            const seen = new MutationObserver(() => {
              seen.disconnect();
              // The message after the frame's callbacks comes when the frame has been painted.
              requestAnimationFrame(() => {
                const channel = new MessageChannel();
                channel.port1.onmessage = () => resolve(performance.now() - start);
                channel.port2.postMessage(undefined);
              });
            });
            if (figure) seen.observe(figure, { characterData: true, subtree: true, childList: true });
            (box as HTMLInputElement).value = String(pieces);
            box.dispatchEvent(new Event('input', { bubbles: true }));
          });
        },
        20 + k * 3,
      ),
    );
    await page.waitForTimeout(60);
  }
  await page.context().close();
  const median = percentile(times, 50);
  return {
    what: 'From a control to the repainted figure',
    value: `${median.toFixed(0)} ms`,
    wanted: 'at most 100 ms',
    met: median <= 100,
    against: 'median of 20 changes of the pieces',
  };
}

/** A table of 200,000 readings, from the file's choice to what was found in it: read by the worker, its start included. */
async function log(browser: Browser, address: string): Promise<Result> {
  const { page } = await opened(browser, `${address}/casting/demo-bombs/melt`);
  await page.goto(`${address}/casting/demo-bombs/thermometer`);
  const rows = Array.from({ length: 200_000 }, (_, i) => `${i / 4},${(31 + Math.sin(i / 4000)).toFixed(2)}`);
  const buffer = Buffer.from(`seconds,celsius\n${rows.join('\n')}\n`);
  const times: number[] = [];
  for (let k = 0; k < 5; k++) {
    await page.locator('#log-file').evaluate((box) => {
      box.addEventListener(
        'change',
        () => {
          const start = performance.now();
          const seen = new MutationObserver(() => {
            if (!document.querySelector('.found')) return;
            seen.disconnect();
            document.body.dataset['took'] = String(performance.now() - start);
          });
          seen.observe(document.body, { childList: true, subtree: true });
        },
        { once: true, capture: true },
      );
    });
    await page.locator('#log-file').setInputFiles({ name: 'log.csv', mimeType: 'text/csv', buffer });
    await page.locator('body[data-took]').waitFor();
    times.push(Number(await page.evaluate(() => document.body.dataset['took'])));
    await page.getByRole('button', { name: 'Not these' }).click();
    await page.evaluate(() => delete document.body.dataset['took']);
  }
  await page.context().close();
  const median = percentile(times, 50);
  return {
    what: 'A table of 200,000 readings read',
    value: `${median.toFixed(0)} ms`,
    wanted: 'under 1000 ms',
    met: median < 1000,
    against: 'median of 5, from the choice of the file to what was found in it, in a worker started for it',
  };
}

interface LighthouseReport {
  readonly categories: { readonly performance: { readonly score: number } };
  readonly audits: { readonly 'cumulative-layout-shift': { readonly numericValue: number } };
  readonly environment: { readonly benchmarkIndex: number };
}

interface LighthouseRun {
  readonly score: number;
  /** How quick Lighthouse finds the processor: scores of machines that differ in it are no comparison. */
  readonly speed: number;
  readonly shift: number;
}

/** What Lighthouse asks of a page on a desk and in a hand. */
const LIGHTHOUSES = [
  { on: 'desktop', flags: ['--preset=desktop'], least: 95 },
  { on: 'mobile', flags: [], least: 80 },
] as const;

/** Lighthouse for a desktop and for a phone, three times each. It wants the machine to itself. */
export function lighthouseResults(address: string): Result[] {
  return LIGHTHOUSES.flatMap(({ on, flags, least }): Result[] => {
    const runs = Array.from({ length: 3 }, () => lighthouse(address, flags)).filter((run) => run !== undefined);
    if (runs.length === 0)
      return [
        {
          what: `Lighthouse ${on} performance`,
          value: 'not measured',
          wanted: `at least ${least}`,
          met: false,
          against: 'the browser recorded none of its visits',
        },
      ];
    const score = percentile(
      runs.map((run) => run.score),
      50,
    );
    const shift = percentile(
      runs.map((run) => run.shift),
      50,
    );
    return [
      {
        what: `Lighthouse ${on} performance`,
        value: score.toFixed(0),
        wanted: `at least ${least}`,
        met: score >= least,
        against: `median of ${runs.length}: ${runs.map((run) => `${run.score.toFixed(0)} on a processor it rates ${run.speed.toFixed(0)}`).join(', ')}`,
      },
      {
        what: `Layout shift, ${on}`,
        value: shift.toFixed(3),
        wanted: 'at most 0.02',
        met: shift <= 0.02,
        against: `median of ${runs.length}`,
      },
    ];
  });
}

/** One visit; undefined where the browser did not record it. @param again once more, where it did not */
function lighthouse(address: string, flags: readonly string[], again = true): LighthouseRun | undefined {
  const done = spawnSync(
    process.execPath,
    [
      'perf/lighthouse/node_modules/lighthouse/cli/index.js',
      address,
      ...flags,
      '--only-categories=performance',
      '--output=json',
      '--quiet',
      `--chrome-flags=--headless=new ${CHROMIUM_FLAGS.join(' ')}`,
    ],
    { env: { ...process.env, CHROME_PATH: CHROME }, maxBuffer: 1e8, encoding: 'utf8' },
  );
  if (done.status !== 0 && again) return lighthouse(address, flags, false);
  if (done.status !== 0) {
    console.error(`lighthouse failed: ${done.stderr.slice(-400)}`);
    return undefined;
  }
  const report = JSON.parse(done.stdout) as LighthouseReport;
  return {
    score: report.categories.performance.score * 100,
    speed: report.environment.benchmarkIndex,
    shift: report.audits['cumulative-layout-shift'].numericValue,
  };
}
