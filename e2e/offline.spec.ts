import { spawn, type ChildProcess } from 'node:child_process';
import { createHash } from 'node:crypto';
import { cp, readFile, rm, writeFile } from 'node:fs/promises';
import { createServer, type AddressInfo } from 'node:net';
import { join } from 'node:path';
import { expect, test as base, type Page } from '@playwright/test';

/** A server of its own, that can be stopped and given a new version. */
class Kilnstone {
  private child: ChildProcess | undefined;

  private constructor(
    private readonly folder: string,
    readonly port: number,
  ) {}

  /** @param folder inside the project, so that the server finds its packages */
  static async at(folder: string): Promise<Kilnstone> {
    await cp('dist', folder, { recursive: true });
    const free = createServer();
    await new Promise<void>((resolve) => free.listen(0, '127.0.0.1', resolve));
    const { port } = free.address() as AddressInfo;
    await new Promise((resolve) => free.close(resolve));
    const made = new Kilnstone(folder, port);
    await made.start();
    return made;
  }

  get url(): string {
    return `http://127.0.0.1:${this.port}`;
  }

  async start(): Promise<void> {
    const child = spawn(process.execPath, [join(this.folder, 'server/serve.js')], {
      env: { ...process.env, PORT: String(this.port) },
      stdio: ['ignore', 'pipe', 'inherit'],
    });
    this.child = child;
    await new Promise<void>((resolve) => child.stdout.once('data', () => resolve()));
  }

  async stop(): Promise<void> {
    const { child } = this;
    if (!child || child.exitCode !== null || child.signalCode !== null) return;
    const ended = new Promise((resolve) => child.once('exit', resolve));
    child.kill('SIGKILL');
    await ended;
  }

  /** As if a new version had been put there: another page, and a list that says so. */
  async update(): Promise<void> {
    await this.stop();
    const web = join(this.folder, 'web');
    const page = await readFile(join(web, 'index.html'), 'utf8');
    await writeFile(
      join(web, 'index.html'),
      page.replace('<title>Kilnstone</title>', '<title>Kilnstone, newer</title>'),
    );
    for (const name of ['index.html', 'ngsw.json'])
      for (const packed of ['br', 'gz']) await rm(join(web, `${name}.${packed}`), { force: true });
    const list = JSON.parse(await readFile(join(web, 'ngsw.json'), 'utf8')) as {
      timestamp: number;
      hashTable: Record<string, string>;
    };
    list.hashTable['/index.html'] = createHash('sha1')
      .update(await readFile(join(web, 'index.html')))
      .digest('hex');
    list.timestamp++;
    await writeFile(join(web, 'ngsw.json'), JSON.stringify(list));
    await this.start();
  }

  async end(): Promise<void> {
    await this.stop();
    await rm(this.folder, { recursive: true, force: true });
  }
}

const test = base.extend<{ kilnstone: Kilnstone }>({
  // Playwright wants to see what a fixture takes, also where it is nothing.
  // eslint-disable-next-line no-empty-pattern
  kilnstone: async ({}, use, info) => {
    const kilnstone = await Kilnstone.at(join('test-results', `offline-${info.workerIndex}-${info.retry}`));
    await use(kilnstone);
    await kilnstone.end();
  },
});
test.use({ serviceWorkers: 'allow' });

/** Waits until all that the app is made of is kept. */
async function kept(page: Page, url: string): Promise<void> {
  // It is begun a while after a page was opened, and not before.
  await page.waitForFunction(() => navigator.serviceWorker.controller !== null, undefined, { timeout: 90_000 });
  await expect
    .poll(
      async () => {
        await page.goto(`${url}/kitchen`);
        await expect(page.getByRole('heading', { name: 'Kept in this browser' })).toBeVisible();
        await page.waitForTimeout(500);
        return page.locator('ks-stored-here').innerText();
      },
      { timeout: 120_000, intervals: [2000] },
    )
    .toContain('it works without a network');
}

const PAGES: readonly (readonly [string, string])[] = [
  ['/castings', 'Castings'],
  ['/occasions', 'Occasions'],
  ['/bench', 'Bench'],
  ['/molds', 'Molds'],
  ['/pantry', 'Pantry'],
  ['/kitchen', 'Kitchen'],
  ['/bench/devices', 'Device desk'],
];
const STATIONS = ['mold', 'melt', 'coat', 'chill', 'fill', 'close', 'finish', 'batch'];

test('after one visit everything works without the server: pages, stations, workers, paper, devices', async ({
  page,
  kilnstone,
}) => {
  const errors: string[] = [];
  page.on('pageerror', (error) => errors.push(error.message));
  await page.goto(`${kilnstone.url}/castings`);
  await kept(page, kilnstone.url);
  await kilnstone.stop();
  await expect(fetch(kilnstone.url)).rejects.toThrow();
  for (const [path, heading] of PAGES) {
    await page.goto(`${kilnstone.url}${path}`);
    await expect(page.getByRole('heading', { name: heading, exact: true })).toBeVisible();
  }
  // Without the server a worker answers for probe and scale.
  await page.goto(`${kilnstone.url}/bench/devices`);
  await expect(page.locator('ks-device-desk')).toContainText('settled', { timeout: 60_000 });
  for (const station of STATIONS) {
    await page.goto(`${kilnstone.url}/casting/demo-bombs/${station}`);
    await expect(page.getByLabel('Name of the casting')).toHaveValue('Cider-spice bombs');
    await expect(page.locator('ks-root')).not.toContainText('could not be loaded');
  }
  // The occasion’s timetable is searched by a worker.
  await page.goto(`${kilnstone.url}/occasions/demo-supper`);
  await expect(page.getByRole('heading', { name: 'Timetable' })).toBeVisible({ timeout: 120_000 });
  await page.goto(`${kilnstone.url}/casting/demo-bombs/weigh-out`);
  const saved = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save as PDF' }).click();
  const pdf = await readFile((await (await saved).path()) ?? '');
  expect(pdf.subarray(0, 5).toString()).toBe('%PDF-');
  expect(errors).toEqual([]);
});

test('a new version is not looked for while a run is open; it is offered after it, and taken when it is asked for', async ({
  page,
  kilnstone,
}) => {
  await page.goto(`${kilnstone.url}/castings`);
  await kept(page, kilnstone.url);
  await page.goto(`${kilnstone.url}/bench/casting/demo-bites`);
  await page.getByRole('button', { name: '10 times' }).click({ timeout: 120_000 });
  await expect(page.getByRole('button', { name: 'Done', exact: true })).toBeVisible();
  await kilnstone.update();
  const look = (): Promise<void> =>
    page.evaluate(async () => {
      const { active } = await navigator.serviceWorker.ready;
      active?.postMessage({ action: 'CHECK_FOR_UPDATES', nonce: Date.now() });
    });
  const offer = page.getByText('A new version of Kilnstone is here');
  await look();
  await page.waitForTimeout(4000);
  // Also a reload in the middle of it stays with the version that there is.
  await page.reload();
  await expect(page.getByRole('button', { name: 'Done', exact: true })).toBeVisible();
  await page.waitForTimeout(8000);
  await page.reload();
  await expect(page.getByRole('button', { name: 'Done', exact: true })).toBeVisible();
  expect(await page.evaluate(() => document.querySelector('title')?.textContent)).not.toContain('newer');
  await expect(offer).toBeHidden();
  await page.getByRole('link', { name: 'All runs' }).click();
  await expect(page.getByRole('heading', { name: 'Bench', exact: true })).toBeVisible();
  await look();
  await expect(offer).toBeVisible({ timeout: 60_000 });
  // What was open goes on as it was, with parts that the server has no more.
  await kilnstone.stop();
  await page.getByRole('link', { name: 'Pantry' }).click();
  await expect(page.getByRole('heading', { name: 'Pantry', exact: true })).toBeVisible();
  await kilnstone.start();
  const html = page.waitForResponse((response) => response.request().isNavigationRequest());
  await page.getByRole('button', { name: 'Load it now' }).click();
  expect(await (await html).text()).toContain('Kilnstone, newer');
  await expect(page.getByRole('heading', { name: 'Pantry', exact: true })).toBeVisible();
  await expect(offer).toBeHidden();
});
