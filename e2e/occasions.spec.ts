import { readFile } from 'node:fs/promises';
import type { Page } from '@playwright/test';
import AxeBuilder from '@axe-core/playwright';
import { choose, expect, quiet, tab, test } from './kitchen';

/** Opens an occasion, and waits until its timetable stands. */
async function opened(page: Page, name = 'Hedgerow supper'): Promise<void> {
  await page.goto('/occasions');
  await page.getByRole('link', { name: new RegExp(name) }).click();
  await standing(page);
}

async function standing(page: Page): Promise<void> {
  await expect(page.getByRole('heading', { name: 'Timetable' })).toBeVisible({ timeout: 60_000 });
  await expect(page.getByText(/^Looking for/)).toHaveCount(0, { timeout: 120_000 });
}

test('the supper is made on two days: what is on at a time, what is bought, when to be called', async ({ page }) => {
  test.slow();
  await opened(page);
  await expect(page.getByText('Fri 16 Oct', { exact: true }).first()).toBeVisible();
  await expect(page.locator('ks-occasion-answers')).toContainText('In the kitchen');
  const list = page.locator('ks-task-list');
  await expect(list.getByRole('button', { name: /Melt \d+ g of Quarry 64/ })).toHaveCount(1);
  await expect(list.getByRole('button', { name: /again/ }).first()).toBeVisible();
  await expect(page.locator('ks-occasion-shopping')).toContainText('4 × 250 g');
  const axe = await new AxeBuilder({ page }).withTags(['wcag2a', 'wcag2aa']).analyze();
  expect(axe.violations.map(({ id, nodes }) => `${id}: ${nodes[0].html.slice(0, 120)}`)).toEqual([]);
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save for a calendar' }).click();
  const file = await download;
  expect(file.suggestedFilename()).toBe('Kilnstone Hedgerow supper.ics');
  const text = await readFile(await file.path(), 'utf8');
  expect(text.match(/BEGIN:VEVENT/g)).toHaveLength(2);
  await page.getByRole('link', { name: 'Run sheet' }).click();
  await expect(page.getByRole('heading', { name: 'Hedgerow supper', level: 1 }).last()).toBeVisible();
  await expect(page.locator('ks-task-list li')).not.toHaveCount(0);
  const saved = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save as PDF' }).click();
  const pdf = await saved;
  expect(pdf.suggestedFilename()).toBe('Kilnstone run sheet Hedgerow supper.pdf');
  const pages = (await readFile(await pdf.path(), 'latin1')).match(/\/Type\s*\/Page\b/g) ?? [];
  expect(pages.length).toBeGreaterThan(2);
});

test('one’s own occasion by keyboard: castings taken in, a task held, kept over a reload', async ({ page }) => {
  test.slow();
  await page.goto('/occasions');
  await page.getByRole('button', { name: 'New occasion' }).press('Enter');
  await expect(page.getByText('There is nothing to do yet')).toBeVisible();
  await page.getByLabel('Name of the occasion').fill('Tea at four');
  await choose(page.getByLabel('Take in', { exact: true }), { label: 'Seed-and-petal tiles' });
  await choose(page.getByLabel('Take in', { exact: true }), { label: 'Pressed acorns' });
  await standing(page);
  const unmold = page
    .locator('ks-task-list')
    .getByRole('button', { name: /Unmold/ })
    .first();
  await unmold.press('Enter');
  await page.getByRole('textbox', { name: 'Hold it at' }).fill('Wed 14 Oct 2026, 16:00');
  await page.getByRole('textbox', { name: 'Hold it at' }).press('Enter');
  await expect(page.getByText('You hold it at this time')).toBeVisible({ timeout: 30_000 });
  await standing(page);
  await quiet(page);
  // What is saved is saved within a moment.
  await page.waitForTimeout(600);
  const tasks = page.locator('ks-task-list li button:not(ks-task-panel button)');
  const before = await tasks.allInnerTexts();
  await page.reload();
  await standing(page);
  await expect(page.getByLabel('Name of the occasion')).toHaveValue('Tea at four');
  // It is the timetable that was found, and not another one as good.
  expect(await tasks.allInnerTexts()).toEqual(before);
  await page
    .locator('ks-task-list')
    .getByRole('button', { name: /^16:00 .*Unmold/ })
    .click();
  await page.getByRole('button', { name: 'Let go', exact: true }).click();
  await expect(page.getByRole('button', { name: 'Let go', exact: true })).toHaveCount(0);
  // The casting says where it belongs.
  await page.getByRole('link', { name: /Pressed acorns/ }).click();
  await page.getByRole('link', { name: 'Tea at four' }).click();
  await expect(page.getByLabel('Name of the occasion')).toHaveValue('Tea at four');
});

test('a task is dragged in the lanes, and undone', async ({ page }) => {
  test.slow();
  await page.goto('/occasions');
  await page.getByRole('button', { name: 'New occasion' }).click();
  await choose(page.getByLabel('Take in', { exact: true }), { label: 'Seed-and-petal tiles' });
  await standing(page);
  await quiet(page);
  const bar = page.locator('ks-lanes button.hands').first();
  const box = await bar.boundingBox();
  if (!box) throw new Error('no bar');
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await page.mouse.down();
  await page.mouse.move(box.x + box.width / 2 + 30, box.y + box.height / 2, { steps: 4 });
  await page.mouse.up();
  const impossible = page.getByText('No timetable was found').or(page.getByText('cannot be held there'));
  await expect(page.getByText('You hold it at this time').or(impossible)).toBeVisible({ timeout: 60_000 });
  await page
    .getByRole('button', { name: 'Undo', exact: true })
    .or(page.getByRole('button', { name: /^Undo/ }))
    .first()
    .click();
  await expect(page.locator('ks-lanes button.held')).toHaveCount(0, { timeout: 30_000 });
  await expect(impossible).toHaveCount(0);
});

test('castings chosen from the list become an occasion, and are packed', async ({ page }) => {
  test.slow();
  await page.goto('/castings');
  await page.getByRole('button', { name: 'Choose several' }).press('Enter');
  await page.getByRole('checkbox', { name: 'Choose Seed-and-petal tiles' }).check();
  await page.getByRole('checkbox', { name: 'Choose Pressed acorns' }).check();
  await expect(page.getByText('2 chosen')).toBeVisible();
  const axe = await new AxeBuilder({ page }).withTags(['wcag2a', 'wcag2aa']).analyze();
  expect(axe.violations.map(({ id, nodes }) => `${id}: ${nodes[0].html.slice(0, 120)}`)).toEqual([]);
  await page.getByLabel('Put into', { exact: true }).and(page.getByRole('combobox')).press('Enter');
  await page.getByRole('option', { name: 'a new one' }).click();
  await standing(page);
  await page.getByRole('button', { name: 'Add a set' }).press('Enter');
  const packing = page.locator('ks-occasion-packing');
  await packing.getByLabel('How many').fill('8');
  await packing.getByLabel('How many').press('Enter');
  await expect(packing).toContainText('Pressed acorns: 8 of 6 packed, 2 short');
  await packing.getByRole('button', { name: 'Cast 8' }).click();
  await expect(packing).toContainText('Pressed acorns: 8 of 8 packed, none left over');
  await expect(page.locator('ks-occasion-shopping')).toContainText(/Boxes\s*8/, { timeout: 60_000 });
  await expect(page.locator('ks-task-list li').last()).toContainText('Pack 8 × Set 1');
  const saved = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Shopping list as CSV' }).click();
  const csv = await readFile(await (await saved).path(), 'utf8');
  expect(csv.split('\r\n')[0]).toContain('what,unit,wanted');
  expect(csv).toContain('Pebble coating');
  await page.reload();
  await standing(page);
  await expect(packing).toContainText('8 of 8 packed');
});

test('on a phone nothing is wider than the page', async ({ page }) => {
  test.slow();
  await page.setViewportSize({ width: 390, height: 844 });
  await opened(page);
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
  await page.goto('/occasions');
  await expect(page.getByRole('button', { name: 'New occasion' })).toBeVisible();
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
});

test('a stay is dragged longer, and undone; its castings tell when they begin in it', async ({ page }) => {
  test.slow();
  await opened(page);
  const ends = page.getByRole('slider', { name: 'Stay 1 ends' });
  await expect(ends).toHaveAttribute('aria-valuetext', 'Fri 16 Oct, 21:00');
  await page.getByRole('link', { name: 'Cider-spice bombs' }).first().click();
  await expect(tab(page, 'Batch')).toContainText(/from (Fri 16|Sat 17) Oct, \d\d:\d\d/);
  // It is known without its occasion being opened again.
  await page.waitForTimeout(600);
  await page.reload();
  await expect(tab(page, 'Batch')).toContainText(/from (Fri 16|Sat 17) Oct, \d\d:\d\d/, { timeout: 15_000 });
  await page.getByText('its occasion', { exact: true }).click();
  await expect(page.getByRole('heading', { name: 'In Hedgerow supper' })).toBeVisible();
  const axe = await new AxeBuilder({ page }).withTags(['wcag2a', 'wcag2aa']).analyze();
  expect(axe.violations.map(({ id, nodes }) => `${id}: ${nodes[0].html.slice(0, 120)}`)).toEqual([]);
  await opened(page);
  const box = await ends.boundingBox();
  if (!box) throw new Error('no end to drag');
  await page.mouse.move(box.x + box.width - 2, box.y + 8);
  await page.mouse.down();
  await page.mouse.move(box.x + box.width + 38, box.y + 8, { steps: 4 });
  await expect(ends).toContainText(/Fri 16 Oct, 21:[1-5]/);
  await page.mouse.up();
  await expect(ends).toHaveAttribute('aria-valuetext', /Fri 16 Oct, 21:[1-5]/);
  await page.getByRole('button', { name: /^Undo/ }).first().click();
  await expect(ends).toHaveAttribute('aria-valuetext', 'Fri 16 Oct, 21:00');
  await ends.press('ArrowLeft');
  await expect(ends).toHaveAttribute('aria-valuetext', 'Fri 16 Oct, 20:45');
});

test('a casting tells when it begins in an occasion that nobody has opened, once nothing is touched for a while', async ({
  page,
}) => {
  test.slow();
  await page.goto('/casting/demo-bombs');
  await expect(tab(page, 'Batch')).toContainText(/by itself, start by \d\d:\d\d/);
  await expect(tab(page, 'Batch')).toContainText(/from (Fri 16|Sat 17) Oct, \d\d:\d\d/, { timeout: 90_000 });
});

test('a second tab takes a casting away and comes back with more hands: the first follows, and loses nothing', async ({
  page,
  context,
}) => {
  test.slow();
  await page.goto('/occasions');
  await page.getByRole('button', { name: 'New occasion' }).click();
  await expect(page.getByText('There is nothing to do yet')).toBeVisible();
  await page.getByLabel('Name of the occasion').fill('Tea at four');
  await choose(page.getByLabel('Take in', { exact: true }), { label: 'Seed-and-petal tiles' });
  await choose(page.getByLabel('Take in', { exact: true }), { label: 'Pressed acorns' });
  await standing(page);
  const other = await context.newPage();
  await other.goto(page.url());
  await standing(other);
  await other.getByRole('textbox', { name: 'People' }).fill('2');
  await other.getByRole('textbox', { name: 'People' }).press('Enter');
  await expect(page.getByRole('textbox', { name: 'People' })).toHaveValue('2', { timeout: 15_000 });
  await standing(page);
  await other.goto('/castings');
  await other.getByRole('button', { name: 'Delete Pressed acorns' }).click();
  await expect(page.locator('ks-task-list')).not.toContainText('Pressed acorns', { timeout: 30_000 });
  await standing(page);
  await expect(page.locator('ks-task-list')).toContainText('Seed-and-petal tiles');
  await other.getByRole('button', { name: /^Undo/ }).first().click();
  await expect(page.locator('ks-task-list')).toContainText('Pressed acorns', { timeout: 30_000 });
  await standing(page);
  await expect(page.getByLabel('Name of the occasion')).toHaveValue('Tea at four');
});

test('what a job takes besides is kept in the pantry from its shopping list, and has its price', async ({ page }) => {
  await page.goto('/casting/demo-bombs/batch');
  await page.getByRole('button', { name: 'Keep Cocoa in the pantry' }).press('Enter');
  await expect(page.getByLabel('Name of the ingredient')).toHaveValue('Cocoa');
  await page.getByLabel('A pack costs, €').fill('3.20');
  await page.getByLabel('A pack costs, €').press('Enter');
  await page.getByLabel('In stock').fill('50 g');
  await page.getByLabel('In stock').press('Enter');
  const axe = await new AxeBuilder({ page }).withTags(['wcag2a', 'wcag2aa']).analyze();
  expect(axe.violations.map(({ id, nodes }) => `${id}: ${nodes[0].html.slice(0, 120)}`)).toEqual([]);
  await page.getByRole('link', { name: 'The whole pantry' }).click();
  await expect(page.locator('ks-goods-list li')).toContainText('50 g here; 100 g a pack, € 3.20');
  await page.goto('/casting/demo-bombs/batch');
  await expect(page.locator('ks-shopping-table tr', { hasText: 'Cocoa' })).toContainText(
    /73 g\s*50 g\s*1 × 100 g\s*€ 3\.20/,
  );
});
