import AxeBuilder from '@axe-core/playwright';
import type { Page } from '@playwright/test';
import { choose, expect, namesIn, openBombs, quiet, saved, tab, test, visit, worked } from './kitchen';

/** Every mold of the library, the last of which come when one has scrolled to them. */
async function allThere(page: Page, count: number): Promise<void> {
  const items = page.getByRole('listitem');
  await expect(async () => {
    await items.last().scrollIntoViewIfNeeded();
    expect(await items.count()).toBe(count);
  }).toPass();
}

test('a mold is found, copied, changed, deleted, brought back, exported and imported', async ({ page }) => {
  await page.goto('/molds');
  await allThere(page, 24);
  await choose(page.getByLabel('Kind', { exact: true }), 'faceted');
  await expect(page.getByRole('listitem')).toHaveCount(2);
  await page.getByLabel('Search the molds by name').fill('gem');
  await expect(page.getByRole('listitem')).toHaveCount(1);
  await page.getByRole('button', { name: 'Copy Faceted gems' }).click();
  await expect(page.getByLabel('Name of the mold')).toHaveValue('Faceted gems 2');
  await page.getByLabel('Facets around').fill('12');
  await page.getByRole('textbox', { name: 'Depth' }).fill('1 in');
  await quiet(page);
  const holds = await page.getByLabel('What it comes to').locator('dd').first().innerText();
  await page.reload();
  await expect(page.getByLabel('Facets around')).toHaveValue('12');
  await expect(page.getByLabel('What it comes to').locator('dd').first()).toHaveText(holds);
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Export this mold' }).click(),
  ]);
  const file = await download.path();
  await page.getByRole('button', { name: 'Delete this mold' }).click();
  await allThere(page, 24);
  await page.getByRole('button', { name: 'Undo' }).click();
  await allThere(page, 25);
  await page.getByRole('button', { name: 'Import' }).click();
  await page.getByLabel(/A file exported from Kilnstone/).setInputFiles(file);
  await page.getByRole('button', { name: 'Take them' }).click();
  await choose(page.getByLabel('Kind', { exact: true }), 'faceted');
  await expect(page.getByRole('listitem')).toHaveCount(4);
});

test('a tool says its name when it is pointed at and when it is come to by Tab, and no longer than that', async ({
  page,
}) => {
  await page.goto('/molds');
  const [copy, take] = [/^Copy Faceted gems$/, /^Export Faceted gems$/].map((name) =>
    page.getByRole('button', { name }),
  );
  const tip = (text: string) => page.locator('.cdk-overlay-container').getByText(text, { exact: true });
  await copy.hover();
  await expect(tip('Copy Faceted gems')).toBeVisible();
  await page.mouse.move(0, 0);
  await expect(tip('Copy Faceted gems')).toHaveCount(0);
  await copy.focus();
  await page.keyboard.press('Tab');
  await expect(take).toBeFocused();
  await expect(tip('Export Faceted gems')).toBeVisible();
  await page.keyboard.press('Shift+Tab');
  await expect(tip('Export Faceted gems')).toHaveCount(0);
  await expect(tip('Copy Faceted gems')).toBeVisible();
});

test('a new mold begins as others of its kind: a corner that fits, care by material, one cavity, and it is cast in', async ({
  page,
}) => {
  await page.goto('/molds');
  await page.getByRole('button', { name: 'New mold' }).click();
  await expect(page.locator('ks-composition-fields')).toContainText('each by itself');
  const care = (): Promise<string[]> =>
    page
      .getByRole('checkbox', { checked: true })
      .evaluateAll((boxes) => boxes.map((box) => box.closest('label')?.innerText.trim() ?? ''));
  await expect.poll(care).toEqual(['carry on a tray', 'flex when new']);
  await choose(page.getByLabel('Material', { exact: true }), 'polycarbonate');
  await expect.poll(care).toEqual(['buff before use', 'wash in cool water']);
  await choose(page.getByLabel('Shape', { exact: true }), 'pillow');
  const corner = page.getByLabel('Corner radius');
  await corner.fill('200 mm');
  await corner.press('Enter');
  await expect(page.locator('ks-amount-field').filter({ has: corner })).toContainText(/Out of range/);
  await page.getByRole('link', { name: 'Cast in it' }).click();
  await page.getByRole('button', { name: 'Plan it' }).click();
  await worked(page);
  await tab(page, 'Fill').click();
  await page.getByRole('button', { name: 'Add a layer' }).click();
  await expect(page.getByText(/No room|over the rim/)).toHaveCount(0);
});

test('a profile is drawn: points dragged, added and removed, and a broken one is marked', async ({ page }) => {
  await page.goto('/molds/bells');
  const rim = page.getByRole('slider', { name: 'Point 7 of 7' });
  const box = await rim.boundingBox();
  if (!box) throw new Error('no point');
  const holds = page.getByLabel('What it comes to').locator('dd').first();
  await expect(holds).toHaveText('38 mL');
  await page.mouse.move(box.x + 22, box.y + 22);
  await page.mouse.down();
  await page.mouse.move(box.x + 42, box.y + 12, { steps: 4 });
  await page.mouse.up();
  await expect(holds).not.toHaveText('38 mL');
  await expect(page.getByLabel('Point 7, from the axis')).not.toHaveValue('27');
  // Dragged below the point before it, the profile goes back: marked, and the last good shape stays.
  const now = await rim.boundingBox();
  if (!now) throw new Error('no point');
  await page.mouse.move(now.x + 22, now.y + 22);
  await page.mouse.down();
  await page.mouse.move(now.x + 10, now.y + 160, { steps: 5 });
  await page.mouse.up();
  await expect(page.getByText(/lies lower than the one before|crosses itself/)).toBeVisible();
  await expect(page.locator('ks-drag-handle.wrong')).toHaveCount(1);
  await page.keyboard.press('Control+z');
  await page.keyboard.press('Control+z');
  await expect(holds).toHaveText('38 mL');
  await page.getByRole('button', { name: 'Add a point' }).click();
  await expect(page.getByRole('slider')).toHaveCount(8);
  await page.getByRole('slider', { name: 'Point 3 of 8' }).focus();
  await page.keyboard.press('Delete');
  await expect(page.getByRole('slider')).toHaveCount(7);
});

test('a cavity is measured with water, and the casting takes it', async ({ page }) => {
  await page.goto('/molds');
  await page.getByRole('button', { name: 'Measure one' }).click();
  await page.getByLabel('Empty, dry').fill('200 g');
  await page.getByLabel('Full').fill('318 g');
  await page.getByRole('button', { name: 'Note this reading' }).click();
  // Half a cup of water is 118 mL (common practice, no source).
  await expect(page.locator('.answer')).toHaveText(/118 mL/);
  await expect(page.getByText(/No bowl of that width and depth holds so much/)).toBeVisible();
  await page.getByLabel('Depth').fill('50 mm');
  await page.getByLabel('Width at the rim').fill('76 mm');
  await page.getByLabel('Full').fill('4 1/4 oz');
  await page.getByRole('button', { name: 'Note this reading' }).click();
  await expect(page.getByText('the wrong way round')).toBeVisible();
  await expect(page.locator('.answer')).toHaveText(/118 mL/);
  await page.getByRole('button', { name: 'Use it for this mold' }).click();
  await page.getByLabel('Name of the mold').fill('Grandmother’s bowl');
  await openBombs(page, 'mold');
  await choose(page.getByLabel('From your molds'), { label: 'Grandmother’s bowl' });
  await expect(page.getByText('A cavity holds').locator('+ dd')).toHaveText('118 mL');
  await expect(page.getByText(/Only its volume, width and depth are known/)).toBeVisible();
  await expect(page.getByRole('img', { name: /Cut through a 76 mm cavity/ })).toBeVisible();
  await worked(page);
  await saved(page);
  // Deleted from the library, it stays in the casting.
  await page.goto('/molds');
  await page.getByRole('button', { name: 'Delete Grandmother’s bowl' }).click();
  await expect(page.getByText('“Cider-spice bombs” keeps its own copy')).toBeVisible();
  await openBombs(page, 'mold');
  await expect(page.getByText('A cavity holds').locator('+ dd')).toHaveText('118 mL');
  await expect(page.getByLabel('From your molds')).toHaveAccessibleDescription(
    'Grandmother’s bowl (this casting’s own)',
  );
});

test('what a coarse scale leaves open is told from nothing upward, never as less than nothing', async ({ page }) => {
  await page.goto('/molds/bombs/measure');
  await page.getByLabel('Scale shows steps of').fill('50 g');
  await page.getByLabel('Scale shows steps of').blur();
  await page.getByLabel('Empty, dry').fill('200 g');
  await page.getByLabel('Full').fill('206 g');
  await page.getByRole('button', { name: 'Note this reading' }).click();
  await expect(page.locator('.answer')).toContainText(/6(\.\d+)? mL/);
  await expect(page.locator('.sure')).toContainText(/likely 0(\.0+)? to \d/);
});

test('every mold of the library is cast in, and every station answers', async ({ page }) => {
  await openBombs(page, 'mold');
  const molds = page.getByLabel('From your molds');
  const names = await namesIn(molds);
  expect(names).toHaveLength(24);
  for (const name of names) {
    await choose(molds, { label: name });
    await worked(page);
    const strip = await page.getByRole('navigation', { name: 'Stations' }).innerText();
    expect(strip, name).toMatch(/\d(\.\d)? mm/);
    expect(strip, name).not.toMatch(/NaN|Infinity|undefined/);
    await expect(page.getByRole('img', { name: /Cut through a .* cavity: \d coats?/ })).toBeVisible();
  }
  await choose(molds, { label: 'Pressed acorns' });
  await expect(tab(page, 'Coat')).toContainText('pressed to the gap');
  await expect(tab(page, 'Coat')).toContainText('3.0 mm');
});

for (const path of [
  '/molds',
  '/molds/bells',
  '/molds/petal-cup',
  '/molds/acorns',
  '/molds/bombs/measure',
  '/casting/demo-bombs/mold',
]) {
  test(`axe finds nothing on ${path}`, async ({ page }) => {
    await visit(page, path);
    const found = await new AxeBuilder({ page }).analyze();
    expect(found.violations.map((v) => `${v.id}: ${v.nodes.map((n) => n.target).join(' ')}`)).toEqual([]);
  });

  test(`at 390 px nothing is cut off on ${path}`, async ({ page }) => {
    await page.setViewportSize({ width: 390, height: 844 });
    await visit(page, path);
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
  });
}

test('a heart is cast: its notch is told as thin on Coat and on the sheet; larger by its size, it is a mold of its own', async ({
  page,
}) => {
  await page.goto('/molds');
  await page.getByLabel('Search the molds by name').fill('Faceted heart');
  await page.getByRole('link', { name: /Faceted heart/ }).click();
  await expect(page.getByLabel('What it comes to')).toContainText('196 mL');
  await page.getByRole('button', { name: 'Larger or smaller' }).click();
  await page.getByRole('textbox', { name: 'Size' }).fill('125 %');
  await page.getByRole('button', { name: 'Copy it at 125 %' }).click();
  await expect(page.getByLabel('Name of the mold')).toHaveValue('Faceted heart, 125 %');
  await expect(page.getByLabel('What it comes to')).toContainText('383 mL');
  expect((await new AxeBuilder({ page }).analyze()).violations.map(({ id }) => id)).toEqual([]);
  await page.getByRole('link', { name: 'Cast in it' }).click();
  await page.getByRole('button', { name: 'Plan it' }).click();
  await tab(page, 'Coat').click();
  await worked(page);
  await expect(page.getByText('Over its inner edges')).toBeVisible();
  await page.getByRole('link', { name: 'Weigh-out sheet' }).click();
  await expect(page.locator('article')).toContainText('brush once more over the inner edges');
});
