import AxeBuilder from '@axe-core/playwright';
import { expect, openBombs, saved, tab, test, visit, worked } from './kitchen';

test('a first visit opens on the planned bombs, with every station answered', async ({ page }) => {
  await page.goto('/');
  await expect(page).toHaveURL(/casting\/demo-bombs\/coat/);
  await expect(page.getByText('18 pieces, ready by Sat 17 Oct, 18:00')).toBeVisible();
  await expect(tab(page, 'Mold')).toContainText('64 mm');
  await expect(tab(page, 'Melt')).toContainText(/\d+ min/);
  await expect(tab(page, 'Coat')).toContainText(/2 × 1\.\d mm/);
  await expect(tab(page, 'Chill')).toContainText(/\d+ \+ \d+ min/);
  await expect(tab(page, 'Fill')).toContainText(/1\d g/);
  await expect(tab(page, 'Batch')).toContainText('7 rounds');
  await expect(tab(page, 'Batch')).toContainText(/start by 1\d:\d\d/);
  await expect(page.getByText(/With 500\sg Quarry 64 you can make/)).toBeVisible();
  await expect(page.getByRole('img', { name: /Cut through a 64 mm cavity: 2 coats/ })).toBeVisible();
});

test('18 pieces become 30: weigh-out, rounds, ribbon and start time follow, and stay after a reload', async ({
  page,
}) => {
  await openBombs(page, 'batch');
  const melt = page.getByRole('row', { name: /^Melt/ });
  const before = await melt.textContent();
  const start = await tab(page, 'Batch').textContent();
  const fitted = page.getByRole('heading', { name: /Each round in the waits of the others/ });
  await expect(fitted).toContainText('2 h');
  await page.getByLabel('Pieces', { exact: true }).fill('30');
  await expect(tab(page, 'Batch')).toContainText('11 rounds');
  await expect(melt).not.toHaveText(before ?? '');
  await expect(tab(page, 'Batch')).not.toHaveText(start ?? '');
  await expect(page.getByRole('heading', { name: /First of 11 rounds/ })).toBeVisible();
  await expect(fitted).toContainText('3 h 5');
  await page.getByText('What to do when').click();
  await expect(page.getByRole('listitem').filter({ hasText: /Coat 2, round 11/ })).toBeVisible();
  await page.getByText('whole job').click();
  await expect(page.getByRole('heading', { name: /Whole job, \d h/ })).toBeVisible();
  await saved(page);
  await page.reload();
  await expect(page.getByLabel('Pieces', { exact: true })).toHaveValue('30');
  await expect(tab(page, 'Batch')).toContainText('11 rounds');
});

test('the advice of a note is taken, and the note goes', async ({ page }) => {
  await openBombs(page);
  await page
    .locator('label[nz-radio-button]')
    .filter({ hasText: /^\s*1\s*$/ })
    .first()
    .click();
  await expect(page.getByRole('heading', { name: /The rim comes out at 1\.\d mm and wants 1\.5 mm/ })).toBeVisible();
  await expect(tab(page, 'Coat')).toContainText('thin');
  await page.getByRole('button', { name: 'Make it thicker' }).click();
  await expect(page.getByRole('heading', { name: /The rim comes out/ })).toBeHidden();
  await expect(tab(page, 'Coat')).toContainText('2 ×');
  await page.getByRole('button', { name: 'Count on one more mold' }).click();
  await expect(tab(page, 'Mold')).toContainText('2 molds');
});

test('spoons, cups and ounces are understood in any amount field', async ({ page }) => {
  await openBombs(page, 'fill');
  // What fits is told by the shell as it is simulated.
  await worked(page);
  const amount = page.getByLabel('In each piece');
  await amount.fill('2 tbsp');
  await amount.blur();
  await expect(amount).toHaveValue('29.57 mL');
  await expect(page.getByRole('row', { name: /Cider-spice powder/ })).toContainText('16 g');
  await amount.fill('1/4 cup');
  await expect(page.getByRole('heading', { name: /too much to close/ })).toBeVisible();
  await expect(page.getByText('It does not close')).toBeVisible();
  await page.getByRole('button', { name: 'Fill what fits' }).click();
  await expect(page.getByText('It closes flat')).toBeVisible();
  await amount.fill('0.5oz');
  await amount.blur();
  await expect(amount).toHaveValue('14.17 g');
});

test('US units and back leave every figure as it was', async ({ page }) => {
  test.setTimeout(150_000);
  await openBombs(page);
  await saved(page);
  const text = () => page.locator('ks-workspace').innerText();
  // The last things to come in are the ranges, what the notes' advice would change, and when it begins among the others of its occasion.
  await expect(page.locator('ks-notes .effect').first()).toBeVisible();
  await worked(page);
  await expect(page.locator('ks-workspace')).toContainText('there from', { timeout: 90_000 });
  let before = '';
  await expect.poll(async () => before === (before = await text()), { intervals: [800] }).toBe(true);
  await page.getByRole('button', { name: /^Units/ }).click();
  await expect(tab(page, 'Mold')).toContainText('2.5 in');
  await expect(page.getByLabel('Worked at')).toHaveValue('88.7 °F');
  await page.getByRole('button', { name: /^Units/ }).click();
  await expect(tab(page, 'Mold')).toContainText('64 mm');
  await expect.poll(text).toBe(before);
  await expect(page.getByRole('button', { name: /^Undo/ })).toBeDisabled();
});

test('the fill line and the wanted thickness are dragged, and all figures follow', async ({ page }) => {
  await openBombs(page, 'fill');
  const handle = page.getByRole('slider', { name: 'Fill line of powder' });
  const box = await handle.boundingBox();
  if (!box) throw new Error('no handle');
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
  const before = await tab(page, 'Fill').textContent();
  await page.mouse.move(x, y);
  await page.mouse.down();
  await page.mouse.move(x, y + 20, { steps: 4 });
  await expect(tab(page, 'Fill')).not.toHaveText(before ?? '');
  await page.mouse.up();
  const lower = await page.getByLabel('In each piece').inputValue();
  expect(parseFloat(lower)).toBeLessThan(20);
  await page.keyboard.press('Control+z');
  await expect(page.getByLabel('In each piece')).toHaveValue('22.18 mL');

  const rim = page.getByRole('slider', { name: 'Wanted thickness at the rim' });
  await worked(page);
  const wanted = (parseFloat((await rim.getAttribute('aria-valuetext')) ?? '') + 1).toFixed(1);
  await rim.focus();
  await page.keyboard.press('PageUp');
  await expect(rim).toHaveAttribute('aria-valuetext', `${wanted} mm`);
  await expect(page.locator('.callout').first()).toContainText(`${wanted} mm`);
});

test('castings are copied, exported, deleted, brought back, deleted and imported', async ({ page }) => {
  await page.goto('/castings');
  await page.getByRole('button', { name: 'Copy Cider-spice bombs' }).click();
  await expect(page.getByLabel('Name of the casting')).toHaveValue('Cider-spice bombs 2');
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Export this casting' }).click(),
  ]);
  const file = await download.path();
  expect(download.suggestedFilename()).toBe('Kilnstone Cider-spice bombs 2.json');
  await page.getByRole('button', { name: 'Delete this casting' }).click();
  await expect(page.getByText('Deleted “Cider-spice bombs 2”.')).toBeVisible();
  await expect(page.getByRole('listitem')).toHaveCount(9);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('listitem')).toHaveCount(10);
  await page.getByRole('button', { name: 'Delete Cider-spice bombs 2' }).click();
  await expect(page.getByRole('listitem')).toHaveCount(9);
  await page.getByRole('button', { name: 'Import' }).click();
  await page.getByLabel(/A file exported from Kilnstone/).setInputFiles(file);
  await page.getByRole('button', { name: 'Take them' }).click();
  await expect(page.getByRole('link', { name: /Cider-spice bombs 2/ })).toBeVisible();
});

test('every figure opens its working, with inputs, rule and source', async ({ page }) => {
  await openBombs(page);
  await page
    .getByRole('button', { name: /^Thickness of the shell/ })
    .first()
    .click();
  await expect(page.getByText('All coats at that place, added, and rounded only then.')).toBeVisible();
  await page
    .getByRole('button', { name: /^Thickness of a (tipped-out )?coat/ })
    .last()
    .click();
  await expect(page.getByText(/ICA method 46/)).toBeVisible();
  await expect(page.getByRole('row', { name: 'Tipped out for 20 s' })).toBeVisible();
  expect((await new AxeBuilder({ page }).analyze()).violations).toEqual([]);
  await page.keyboard.press('Escape');
  await expect(page.getByText(/ICA method 46/)).toBeHidden();
});

test('everything goes by keyboard alone', async ({ page }) => {
  await openBombs(page);
  await page.keyboard.press('2');
  await expect(page).toHaveURL(/melt$/);
  await page.keyboard.press('5');
  await expect(page).toHaveURL(/fill$/);
  await page.keyboard.press('+');
  await expect(tab(page, 'Coat')).toContainText('3 ×');
  await page.keyboard.press('-');
  await page.keyboard.press('Control+z');
  await expect(tab(page, 'Coat')).toContainText('3 ×');
  await page.keyboard.press('Control+Shift+z');
  await expect(tab(page, 'Coat')).toContainText('2 ×');
  await page.keyboard.press('?');
  await expect(page.getByText('One coat less')).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(page.getByText('One coat less')).toBeHidden();
  await page.getByRole('slider', { name: 'Fill line of marshmallows' }).focus();
  const before = await tab(page, 'Fill').textContent();
  for (let k = 0; k < 6; k++) await page.keyboard.press('ArrowDown');
  await expect(tab(page, 'Fill')).not.toHaveText(before ?? '');
  await page.keyboard.press('/');
  await expect(page.getByLabel('Search the castings by name')).toBeFocused();
  await page.keyboard.type('pebble');
  await expect(page.getByRole('listitem')).toHaveCount(1);
  await page.keyboard.press('Tab');
  await page.keyboard.press('Escape');
  await page.locator('body').press('n');
  await expect(page.getByRole('heading', { name: 'New casting' })).toBeVisible();
});

for (const path of [
  '/castings',
  '/castings/new?mold=bombs',
  '/casting/demo-bombs/mold',
  '/casting/demo-bombs/coat',
  '/casting/demo-bites/coat',
  '/casting/demo-bombs/chill',
  '/casting/demo-bombs/fill',
  '/casting/demo-bombs/batch',
  '/casting/demo-bombs/weigh-out',
]) {
  test(`axe finds nothing on ${path}`, async ({ page }) => {
    await visit(page, path);
    const found = await new AxeBuilder({ page }).analyze();
    expect(found.violations.map((v) => `${v.id}: ${v.nodes.map((n) => n.target).join(' ')}`)).toEqual([]);
  });
}

test('at 390 px nothing is cut off, and the section comes before the station', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  for (const station of ['mold', 'coat', 'chill', 'close', 'finish', 'batch', 'fill']) {
    await openBombs(page, station);
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
  }
  const section = await page.locator('ks-section').boundingBox();
  const panel = await page.locator('ks-fill-station').boundingBox();
  expect(section && panel && section.y < panel.y).toBe(true);
  for (const button of await page.locator(':is(.tools button, nav.rail a, nav.rail button):visible').all()) {
    expect((await button.boundingBox())?.height).toBeGreaterThanOrEqual(44);
  }
});

test('the weigh-out prints on one page, without the frame', async ({ page }) => {
  await openBombs(page);
  await page.getByRole('link', { name: 'Weigh-out sheet' }).click();
  // The heading stands on the page before, too.
  await expect(page.getByRole('button', { name: 'Print', exact: true })).toBeVisible();
  await expect(page.getByText('These figures are a first estimate')).toHaveCount(0);
  await page.emulateMedia({ media: 'print' });
  await expect(page.getByRole('navigation', { name: 'Kilnstone' })).toBeHidden();
  await expect(page.getByRole('button', { name: 'Print', exact: true })).toBeHidden();
  const pdf = (await page.pdf({ format: 'A4' })).toString('latin1');
  expect(pdf.match(/\/Type\s*\/Page\b/g)).toHaveLength(1);
  await page.emulateMedia({ media: 'screen' });
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Save as CSV' }).click(),
  ]);
  expect(download.suggestedFilename()).toMatch(/\.csv$/);
});
