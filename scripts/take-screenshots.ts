import { spawn } from 'node:child_process';
import { mkdirSync } from 'node:fs';
import { chromium, type Page } from '@playwright/test';
import { choose, expect } from '../e2e/kitchen';
import { writeRunFile, type PackedRun } from '../src/data/run-file';
import { finishedRuns } from '../src/testing/made-log';
import { teachingRuns } from '../src/testing/teaching-runs';
import { CHROMIUM_FLAGS } from './chromium.mjs';

// Every picture of docs/screenshots, from the demo data with the clock standing still: the same each time.
const MONDAY = new Date('2026-10-12T08:00:00Z');
const port = 4296;
const address = `http://127.0.0.1:${port}`;
const folder = 'docs/screenshots';

interface Shot {
  readonly name: string;
  readonly path: string;
  readonly phone?: boolean;
  readonly first?: (page: Page) => Promise<unknown>;
}

/** A first casting of one's own. */
async function beginBonbons(page: Page): Promise<void> {
  await page.getByText('Bonbon', { exact: true }).click();
  await page.getByLabel('Pieces').fill('30');
  await page.mouse.move(0, 0);
}

/** One question answered. */
async function answerOne(page: Page): Promise<void> {
  await page.getByRole('region', { name: 'Question' }).getByRole('button', { name: 'Yes' }).click();
  await page.mouse.move(0, 0);
}

/** Two halves of two colours, and the whole job in minutes. */
async function twoColours(page: Page): Promise<void> {
  await page.keyboard.press('1');
  await page.getByRole('button', { name: 'More parts or colours' }).click();
  await page.getByRole('button', { name: 'Two halves of two colours' }).click();
  await page.keyboard.press('3');
  await choose(page.getByLabel('Chocolate', { exact: true }), 'linen');
  await page.keyboard.press('Escape');
  await page.locator('nav a[href$="/batch"]').first().click();
  await page.getByText('whole job').click();
  await page.waitForTimeout(1200);
}

/** Finished runs, taken from a file, and the log of them without the notice that they were added. */
async function logOf(page: Page, runs: readonly PackedRun[]): Promise<void> {
  await page.clock.setFixedTime(new Date('2026-10-18T08:00:00Z'));
  await page.getByRole('button', { name: 'Import' }).click();
  await page.getByLabel(/A file exported/).setInputFiles({
    name: 'runs.json',
    mimeType: 'application/json',
    buffer: Buffer.from(writeRunFile(runs, MONDAY)),
  });
  await page.getByRole('button', { name: 'Take them' }).click();
  await page.getByText(/^Added \d+ runs/).waitFor();
  await page.waitForTimeout(1000);
  await page.goto(`${address}/log`);
  await expect(page.locator('ks-run-drawing svg')).not.toHaveCount(0);
}

const logged = (page: Page) => logOf(page, finishedRuns(9));

/** What six runs of a slow cook in a kitchen with a slow fridge teach, with the readings of the fridge. */
async function taught(page: Page): Promise<void> {
  await logOf(page, teachingRuns(6, { hands: 1.4, sets: 1.3 }));
  await page.getByRole('link', { name: 'Lessons' }).click();
  await page.getByRole('button', { name: '24 readings of Fridge' }).click();
}

/** The supper's timetable, with a task of the second day opened. */
async function timetabled(page: Page): Promise<void> {
  await expect(page.getByRole('heading', { name: 'Timetable' })).toBeVisible({ timeout: 120_000 });
  await expect(page.getByText(/^Looking for/)).toHaveCount(0, { timeout: 120_000 });
}

/** The supper begun on its eve, and worked on until four clocks run. */
async function inFullSwing(page: Page): Promise<void> {
  const eve = Date.parse('2026-10-16T16:00:00Z');
  await page.clock.setFixedTime(eve);
  await page.getByRole('button', { name: 'Begin now' }).click({ timeout: 120_000 });
  const clocks = page.locator('ks-bench-clocks .count');
  for (let k = 0; k < 12 && (await clocks.count()) < 4; k++) {
    await page.clock.setFixedTime(eve + k * 110_000);
    await page.waitForTimeout(1200);
    await page.getByRole('button', { name: 'Done', exact: true }).click();
    await page.waitForTimeout(800);
  }
  await page.getByRole('button', { name: 'It is right so' }).click();
}

/** The blush that is brushed into the pears' mold. */
async function openPaint(page: Page): Promise<void> {
  const step = page.getByRole('button', { name: /1\. Blush/ });
  await step.click();
  await page.getByRole('region', { name: 'Open station' }).evaluate((panel) => panel.scrollTo(0, 480));
}

/** Every rim levelled, and both melted again. */
async function inTwoPasses(page: Page): Promise<void> {
  await page.getByLabel('Level first').fill('3 s');
  await page.getByLabel('Level first').press('Enter');
  await page.getByText('both rims', { exact: true }).click();
}

/** The figures on the page are the simulation's, not the first estimate. */
async function simulated(page: Page): Promise<void> {
  await expect(page.locator('[aria-busy="true"]')).toHaveCount(0, { timeout: 30_000 });
  await expect(page.getByText('These figures are a first estimate')).toHaveCount(0, { timeout: 30_000 });
}

const SHOTS: readonly Shot[] = [
  { name: 'castings', path: '/castings' },
  { name: 'new-casting', path: '/castings/new', first: beginBonbons },
  { name: 'mold', path: '/casting/demo-pears/mold', first: openPaint },
  { name: 'molds', path: '/molds' },
  { name: 'melt', path: '/casting/demo-bombs/melt' },
  { name: 'clinic', path: '/casting/demo-bombs/clinic?seen=crackedRim', first: answerOne },
  { name: 'pantry', path: '/pantry' },
  { name: 'kitchen', path: '/kitchen' },
  { name: 'coat', path: '/casting/demo-bombs/coat' },
  { name: 'chill', path: '/casting/demo-bombs/chill' },
  { name: 'fill', path: '/casting/demo-oat-cups/fill' },
  { name: 'close', path: '/casting/demo-bombs/close', first: inTwoPasses },
  { name: 'occasion', path: '/occasions/demo-supper', first: timetabled },
  { name: 'batch', path: '/casting/demo-bombs/batch', first: twoColours },
  { name: 'log', path: '/bench', first: logged },
  { name: 'lessons', path: '/bench', first: taught },
  { name: 'bench', path: '/bench/occasion/demo-supper', first: inFullSwing },
  { name: 'weigh-out', path: '/casting/demo-tiles/weigh-out' },
  { name: 'phone', path: '/casting/demo-bombs/coat', phone: true },
];

mkdirSync(folder, { recursive: true });
const server = spawn(process.execPath, ['dist/server/serve.js'], {
  env: { ...process.env, PORT: String(port) },
  stdio: 'ignore',
});
for (
  let k = 0;
  k < 50 &&
  !(await fetch(address).then(
    () => true,
    () => false,
  ));
  k++
)
  await new Promise((wait) => setTimeout(wait, 100));
const browser = await chromium.launch({
  executablePath: process.env['CHROME_PATH'] ?? '/usr/bin/chromium',
  args: CHROMIUM_FLAGS,
});
try {
  for (const shot of SHOTS) {
    const viewport = shot.phone ? { width: 390, height: 844 } : { width: 1280, height: 800 };
    const context = await browser.newContext({
      viewport,
      timezoneId: 'Europe/Berlin',
      locale: 'en-GB',
      reducedMotion: 'reduce',
    });
    const page = await context.newPage();
    await page.clock.setFixedTime(MONDAY);
    await page.goto(address + shot.path);
    await page.evaluate(() => document.fonts.ready);
    await page.waitForTimeout(1800);
    await shot.first?.(page);
    await page.waitForTimeout(500);
    await simulated(page);
    await page.mouse.move(0, 0);
    await page.screenshot({ path: `${folder}/${shot.name}.png` });
    await context.close();
  }
} finally {
  await browser.close();
  server.kill();
}
