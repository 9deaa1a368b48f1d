import type { Page } from '@playwright/test';
import { readFile } from 'node:fs/promises';
import { finishedRuns } from '../src/testing/made-log';
import { teachingRuns } from '../src/testing/teaching-runs';
import { writeRunFile, type PackedRun } from '../src/data/run-file';
import { begin, choose, expect, test } from './kitchen';
import { seemlyAtRest } from './seemly';

const rows = (page: Page) => page.locator('ks-log-page tbody th.what a');

/** Finished runs come in as a file, as from another device. */
async function imported(page: Page, runs: readonly PackedRun[]): Promise<void> {
  await page.goto('/bench');
  await page.getByRole('button', { name: 'Import' }).click();
  await page.getByLabel(/A file exported/).setInputFiles({
    name: 'runs.json',
    mimeType: 'application/json',
    buffer: Buffer.from(writeRunFile(runs, new Date())),
  });
  await page.getByRole('button', { name: 'Take them' }).click();
  await expect(page.getByText(/^Added \d+ runs/)).toBeVisible();
}

test('finished runs are listed, found by a word, filtered and sorted, and saved as a table', async ({ page }) => {
  await imported(page, finishedRuns(9));
  await expect(page.getByText('Added 9 runs.')).toBeVisible();
  await page.getByRole('link', { name: 'Log', exact: true }).click();
  await expect(rows(page).first()).toHaveText('Cider-spice bombs');
  await expect(page.locator('ks-log-page tbody tr').nth(1)).toContainText('22 whole, 2 broke');
  await expect(page.locator('ks-run-drawing svg').first()).toBeVisible();
  await seemlyAtRest(page);
  await page.getByRole('button', { name: 'out of the mold' }).click();
  await page.getByRole('button', { name: 'out of the mold' }).click();
  await expect(
    page
      .locator('ks-log-page tbody tr')
      .filter({ has: page.locator('a') })
      .first(),
  ).toContainText('4 broke');
  // A letter may be wrong, and a remark is searched as well as a name.
  await page.getByRole('searchbox').fill('windw rims');
  await expect(rows(page)).toHaveCount(3);
  await page.getByRole('searchbox').fill('nothing of the kind');
  await page.getByRole('button', { name: 'Show all' }).click();
  await choose(page.getByLabel('Mold'), 'Half spheres, 64 mm');
  await expect(rows(page)).toHaveText(['Cider-spice bombs']);
  const saving = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save as CSV' }).click();
  const csv = await readFile(await (await saving).path(), 'utf8');
  expect(csv.split('\r\n')[1]).toContain('2026-10-16T18:00+02:00,Cider-spice bombs');
});

test('a run tells what was planned beside what was done, takes a verdict that stays, and is cast again', async ({
  page,
}) => {
  await imported(page, finishedRuns(2));
  await page.getByRole('link', { name: 'Log', exact: true }).click();
  await rows(page).nth(1).press('Enter');
  await expect(page.getByRole('heading', { name: 'Pebble bites' })).toBeVisible();
  await expect(page.getByRole('row', { name: /^Coat 1 18:12/ })).toContainText('2 min later');
  await expect(page.getByText('The bowl is too thick')).toBeVisible();
  await seemlyAtRest(page);
  await page.getByRole('radiogroup', { name: 'Verdict' }).getByText('Change first').click();
  await expect(page.getByRole('radio', { name: 'Change first' })).toBeChecked();
  await page.reload();
  await expect(page.getByRole('radio', { name: 'Change first' })).toBeChecked();
  await page.getByRole('link', { name: 'The log' }).click();
  await expect(page.locator('ks-log-page tbody tr').filter({ hasText: 'Pebble bites' })).toContainText('Change first');
  await rows(page).nth(1).click();
  await page.getByRole('button', { name: 'Cast Pebble bites again, as it was' }).click();
  await expect(page).toHaveURL(/\/casting\/.*\/mold$/);
  await expect(page.getByRole('textbox', { name: 'Name of the casting' })).toHaveValue('Pebble bites 2');
});

test('the same file taken twice leaves each run once, and a run that is gone is told so', async ({ page }) => {
  await imported(page, finishedRuns(2));
  await expect(page.getByText('Added 2 runs.')).toBeVisible();
  await imported(page, finishedRuns(2));
  await expect(page.getByText('Added 0 runs. 2 runs were here as in the file.')).toBeVisible();
  await expect(page.locator('ks-runs-page li')).toHaveCount(2);
  await page.goto('/log');
  await expect(rows(page)).toHaveCount(2);
  await page.goto('/log/never-was');
  await expect(page.getByRole('heading', { name: 'This run is not here any more' })).toBeVisible();
});

test('an empty log says how it fills; on a phone all of it fits', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await page.goto('/log');
  await expect(page.getByText('Nothing has been finished yet')).toBeVisible();
  await seemlyAtRest(page);
  await imported(page, finishedRuns(5));
  await page.goto('/log');
  for (const width of [320, 390]) {
    await page.setViewportSize({ width, height: 844 });
    await expect(rows(page).first()).toBeVisible();
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBe(width);
  }
  await seemlyAtRest(page);
  await rows(page).first().click();
  await page.getByRole('heading', { name: 'Planned, and done' }).waitFor();
  await page.setViewportSize({ width: 320, height: 844 });
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBe(320);
  await seemlyAtRest(page);
});

test('where the browser stores nothing the log says so', async ({ page }) => {
  await page.addInitScript(() => {
    IDBFactory.prototype.open = () => {
      throw new DOMException('blocked', 'SecurityError');
    };
  });
  await page.goto('/log');
  await expect(page.getByText('The log cannot be read')).toBeVisible();
  await expect(page.getByText('Nothing has been finished yet')).toHaveCount(0);
  await page.goto('/log/finished-0');
  await expect(page.getByRole('heading', { name: 'This run is not here any more' })).toBeVisible();
});

test('lessons are told with what they change, left aside, looked at and forgotten; a new casting is planned with them', async ({
  page,
}) => {
  await imported(page, teachingRuns(6, { hands: 1.4, sets: 1.3 }));
  await page.getByRole('link', { name: 'Log', exact: true }).click();
  await page.getByRole('link', { name: 'Lessons' }).click();
  const fridge = page.locator('ks-lessons-page > ol > li').filter({ hasText: 'Your fridge takes heat away slower' });
  await expect(fridge).toContainText('24 readings');
  await expect(fridge).toContainText('Where the working rules wait 9.3 min, new plans wait 13 min');
  await seemlyAtRest(page);
  await page.getByRole('button', { name: '24 readings of Fridge' }).press('Enter');
  await expect(fridge.locator('ks-lesson-readings li')).toHaveCount(6);
  await expect(fridge.locator('ks-lesson-readings')).toContainText(/still soft after 10 min/i);
  const use = page.getByRole('checkbox', { name: 'Plan with it How firm you want it' });
  await use.uncheck();
  // Without it more is the fridge's doing.
  await expect(fridge).toContainText('likely 0.6');
  await page.reload();
  await expect(use).not.toBeChecked();
  await use.check();
  await page.getByRole('button', { name: 'Forget Coating' }).click();
  await expect(page.getByText('You take longer to coat')).toHaveCount(0);
  await page.setViewportSize({ width: 320, height: 700 });
  await seemlyAtRest(page);
  await page.setViewportSize({ width: 1280, height: 800 });
  await page.goto('/castings/new');
  await begin(page, 'Cocoa bomb');
  await expect(page).toHaveURL(/coat$/);
  await page.goto(page.url().replace(/coat$/, 'chill'));
  await page
    .getByRole('button', { name: /^Minutes until the next coat can go on/ })
    .first()
    .click();
  await expect(page.getByRole('row', { name: /Readings in your runs 24/ })).toBeVisible();
  await expect(page.getByRole('row', { name: /Its air takes so many times the heat, by your runs 0.8/ })).toBeVisible();
});
