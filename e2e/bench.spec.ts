import { readFile } from 'node:fs/promises';
import type { Page } from '@playwright/test';
import { begun, cast, counts, done, now, withClock } from './at-the-bench';
import { seemly } from './seemly';
import { MONDAY, expect, test } from './kitchen';

/** What a page that is not looked at has: a way to look away from it, and when it was called. */
interface Unseen {
  lookAway(away: boolean): void;
  readonly rung: readonly number[];
}

/**
 * Makes a page like one in a tab that lies behind others for long: once it is looked away from, nothing of it is drawn, and none of its own timers runs.
 * Debian's Chromium without windows takes every tab for seen.
 */
async function heldBackOnceUnseen(page: Page): Promise<void> {
  await page.addInitScript(() => {
    let away = false;
    const held: (() => void)[] = [];
    const rung: number[] = [];
    const orHeld =
      (run: (...given: unknown[]) => void) =>
      (...given: unknown[]): void => {
        if (away) held.push(() => run(...given));
        else run(...given);
      };
    const timers = window as unknown as Record<
      string,
      (run: (...given: unknown[]) => void, ...rest: unknown[]) => number
    >;
    for (const name of ['setTimeout', 'setInterval', 'requestAnimationFrame', 'requestIdleCallback']) {
      const own = timers[name].bind(window);
      timers[name] = (run, ...rest) => own(orHeld(run), ...rest);
    }
    Object.defineProperty(document, 'hidden', { get: () => away });
    Object.defineProperty(document, 'visibilityState', { get: () => (away ? 'hidden' : 'visible') });
    navigator.vibrate = () => rung.push(Date.now()) > 0;
    Object.assign(window, {
      rung,
      lookAway: (isAway: boolean) => {
        away = isAway;
        document.dispatchEvent(new Event('visibilitychange'));
        if (!away) for (const run of held.splice(0)) run();
      },
    });
  });
}

const rings = (page: Page) => page.evaluate(() => (window as unknown as Unseen).rung);

test('a run is laid out and begun, its clocks run and ring, and a reload in the middle loses nothing', async ({
  page,
}) => {
  test.slow();
  await withClock(page);
  await page.goto('/casting/demo-bites/coat');
  await page.getByRole('link', { name: 'Lay out' }).click();
  await expect(page.getByRole('heading', { name: 'Lay out Pebble bites' })).toBeVisible();
  await page.getByText('2 × Small halves, 38 mm, washed, dry').click();
  await expect(page.getByRole('button', { name: 'Begin now' })).toBeEnabled({ timeout: 120_000 });
  await seemly(page);
  await page.getByRole('button', { name: 'Begin now' }).click();
  await cast(page);
  await seemly(page);
  await expect(page.locator('ks-bench-bowls')).toContainText('Pebble coating');
  await expect(counts(page)).toHaveText(/^[23]:\d\d$/);
  await page.reload();
  await expect(counts(page)).toHaveText(/^[23]:\d\d$/);
  await page.clock.fastForward('04:00');
  await expect(page.getByText('Coat 1 sets: time is up. Next: Coat 2.')).toBeVisible();
  await expect(now(page)).toHaveText('Coat 2');
  await expect(page.locator('ks-bench-now')).toContainText('a light touch leaves no print');
  // By keyboard: taken back, and done again.
  await page.getByRole('button', { name: 'Heard' }).click();
  await page.keyboard.press('z');
  await expect(now(page)).toHaveText('Coat 1');
  await expect(counts(page)).toHaveCount(0);
  await page.keyboard.press(' ');
  await expect(counts(page)).toHaveCount(1);
  await page.keyboard.press('m');
  await page.getByLabel('It measures').fill('93 F');
  await page.getByRole('button', { name: 'Note it' }).first().click();
  await expect(page.getByText('Noted.')).toBeVisible();
  // A photo is made small, and what is none is said to be none.
  await page
    .getByLabel('Photo')
    .setInputFiles({ name: 'x.png', mimeType: 'image/png', buffer: Buffer.from('no picture') });
  await expect(page.getByText('“x.png” is no picture that this browser can read.')).toBeVisible();
  await page.getByLabel('Photo').setInputFiles('docs/screenshots/coat.png');
  await expect(page.getByText('Noted.')).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(page.locator('ks-bench-bowls')).toContainText('measured');
  await page.getByRole('button', { name: 'Not as it should be' }).click();
  await page.getByRole('button', { name: 'The bowl runs out' }).click();
  await expect(page.getByText(/g of Pebble coating are left, \d+ g are wanted/)).toBeVisible();
  await page.getByRole('button', { name: 'Note it, and go on' }).click();
  await page.getByRole('button', { name: 'Finish now' }).click();
  await expect(page.getByRole('heading', { name: 'What happened' })).toBeVisible();
  await expect(page.locator('ks-bench-record')).toContainText('Pebble coating at 33.9 °C');
  const photo = page.getByRole('img', { name: /^Photo of/ });
  expect(await photo.evaluate((img: HTMLImageElement) => [img.naturalWidth, img.src.length < 410_000])).toEqual([
    1280,
    true,
  ]);
  await page.getByRole('button', { name: 'Take what was used out of the pantry' }).click();
  await expect(page.getByText('Taken out of the pantry at')).toBeVisible();
  await seemly(page);
  await page.getByRole('link', { name: 'All runs' }).click();
  await expect(page.getByText(/^finished: 2 of \d+ done$/)).toBeVisible();
  await seemly(page);
});

test('on a page that nobody looks at, whose timers are held back, it is called on time to the second', async ({
  page,
}) => {
  test.slow();
  await withClock(page);
  await heldBackOnceUnseen(page);
  await begun(page);
  await cast(page);
  await expect(counts(page)).toHaveText(/^[23]:\d\d$/);
  const [leftS, nowMs] = await counts(page).evaluate((count) => {
    const [minutes, seconds] = (count.textContent ?? '').split(':').map(Number);
    return [minutes * 60 + seconds, Date.now()];
  });
  const dueMs = nowMs + leftS * 1000;
  await page.clock.fastForward((leftS - 60) * 1000);
  await page.evaluate(() => (window as unknown as Unseen).lookAway(true));
  await expect(async () => expect(await rings(page)).toHaveLength(1)).toPass({ timeout: 75_000, intervals: [1000] });
  // A clock is told by the second: the moment itself lies within the one that is told.
  const [lateMs] = (await rings(page)).map((at) => at - dueMs);
  expect(lateMs).toBeGreaterThan(-1000);
  expect(lateMs).toBeLessThan(2000);
  await page.evaluate(() => (window as unknown as Unseen).lookAway(false));
  await expect(page.getByText('Coat 1 sets: time is up. Next: Coat 2.')).toBeVisible();
  expect(await rings(page)).toHaveLength(1);
});

test('of two tabs one leads; the other follows, and takes over', async ({ page, context }) => {
  test.slow();
  await withClock(page);
  await begun(page);
  await cast(page);
  const other = await context.newPage();
  await other.clock.install({ time: new Date(MONDAY.getTime() + 10 * 60_000) });
  await other.clock.resume();
  await other.goto(page.url());
  await expect(other.getByText('Another tab leads this run')).toBeVisible();
  await expect(counts(other)).toHaveCount(1);
  await other.getByRole('button', { name: 'Take over here' }).click();
  await expect(page.getByText('Another tab leads this run')).toBeVisible();
  await other.getByRole('button', { name: 'Take back' }).click();
  await expect(now(other)).toHaveText('Coat 1');
  await expect(now(page)).toHaveText('Coat 1');
  // Closed, it lets go, and the first leads again.
  await other.close();
  await expect(page.getByText('Another tab leads this run')).toHaveCount(0);
  await done(page).click();
  await expect(counts(page)).toHaveCount(1);
});

test('a rehearsal goes through all of the bombs at sixty times the speed, and says what it is', async ({ page }) => {
  test.slow();
  await withClock(page);
  await begun(page, '60 times as fast', 'demo-bombs');
  await expect(page.getByRole('heading', { name: /rehearsal, 60 times as fast/ })).toBeVisible();
  const finish = page.getByRole('button', { name: 'Finish the run' });
  // The simulated probe and scale go along.
  const probe = page.locator('ks-bench-devices li').first();
  await done(page).click();
  await expect(probe).toContainText('in Quarry 64');
  await expect(async () => {
    await page.keyboard.press('t');
    await expect(page.locator('ks-bench-devices [role=status]')).toContainText('Noted', { timeout: 200 });
  }).toPass({ timeout: 60_000 });
  await seemly(page);
  await page.getByRole('button', { name: 'Probe and scale' }).click();
  await expect(page.locator('ks-device-desk')).toContainText('settled');
  await seemly(page);
  await page.getByRole('button', { name: 'Unplug: Probe' }).click();
  await expect(probe).toContainText('unplugged: measure by hand');
  await page.keyboard.press('Escape');
  await expect(async () => {
    if (await done(page).isVisible()) await done(page).click({ timeout: 2000 });
    else if (!(await finish.isVisible())) await page.clock.fastForward(2000);
    await expect(finish).toBeVisible({ timeout: 100 });
  }).toPass({ timeout: 120_000, intervals: [50] });
  await finish.click();
  await expect(page.getByRole('heading', { name: 'What happened' })).toBeVisible();
  await expect(page.locator('ks-bench-record')).toContainText('Unmold');
  await expect(page.locator('ks-bench-record')).toContainText('by simulated probe');
  // Nothing that was only rehearsed is taken out of the pantry.
  await expect(page.getByRole('button', { name: 'Take what was used out of the pantry' })).toHaveCount(0);
});

test('handed over as a file, it goes on in another browser with the same clocks', async ({ page, browser }) => {
  test.slow();
  await withClock(page);
  await begun(page);
  await cast(page);
  const saving = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Hand over as a file' }).click();
  const file = await saving;
  expect(file.suggestedFilename()).toBe('Kilnstone Pebble bites run.json');
  const text = await readFile(await file.path());
  const context = await browser.newContext({ timezoneId: 'Europe/Berlin', locale: 'en-GB' });
  const other = await context.newPage();
  await other.clock.install({ time: new Date(MONDAY.getTime() + 9.5 * 60_000) });
  await other.clock.resume();
  await other.goto('/bench');
  await expect(other.getByText('Nothing has been run yet')).toBeVisible();
  await other.getByRole('button', { name: 'Import' }).click();
  await other
    .getByLabel('A file exported from Kilnstone')
    .setInputFiles({ name: 'run.json', mimeType: 'application/json', buffer: text });
  await other.getByRole('button', { name: 'Take them' }).click();
  await other.getByRole('link', { name: /Pebble bites.*2 of/ }).click();
  await expect(counts(other)).toHaveText(/^[12]:\d\d$/);
  await context.close();
});
