import AxeBuilder from '@axe-core/playwright';
import { choose, expect, openBombs, quiet, saved, tab, test, worked } from './kitchen';

test('a bottle is turned: an even wall, a pool where it is turned too seldom, and the note brings it back', async ({
  page,
}) => {
  await openBombs(page, 'mold');
  await choose(page.getByLabel('From your molds'), { label: 'A found bottle' });
  await tab(page, 'Coat').click();
  await choose(page.getByLabel('How it is made'), { label: 'tilt and turn' });
  await page.getByText('1', { exact: true }).first().click();
  await worked(page);
  await expect(tab(page, 'Coat')).toContainText('tilt and turn');
  await page.getByLabel('Dose per coat').fill('60 mL');
  await page.getByLabel('Turned every').fill('5 min');
  const note = page.getByText(
    /Turned every 5 min, it pools on one side: [\d.]+ mm along the other, of [\d.]+ mm on the whole\./,
  );
  await expect(note).toBeVisible();
  await expect(tab(page, 'Coat')).toContainText('pools');
  const often = page.getByRole('button', { name: /Turn it twice as often/ });
  for (let k = 0; k < 4; k++) {
    await worked(page);
    await quiet(page);
    if (!(await often.isVisible())) break;
    await often.click();
  }
  await expect(page.getByText(/it pools/)).toHaveCount(0);
  await expect(page.getByText('Thinnest along its side')).toBeVisible();
  await expect(page.getByText('sets turned, on its side.')).toBeVisible();
  await expect(page.locator('ks-ribbon')).toContainText('Turn');
  await saved(page);
  await page.reload();
  await expect(tab(page, 'Coat')).toContainText('tilt and turn');
});

test('tiles are filled in layers: told by depth, no film, room for no filling, compared by place alone', async ({
  page,
}) => {
  await page.goto('/casting/demo-tiles/coat');
  await expect(tab(page, 'Coat')).toContainText('2 × 4.0 mm');
  await expect(page.getByText('Deep in the middle')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Watch it run and set' })).toHaveCount(0);
  await expect(page.getByRole('slider', { name: 'Wanted thickness at the rim' })).toHaveCount(0);
  await page.getByText('3', { exact: true }).first().click();
  await expect(tab(page, 'Coat')).toContainText('3 × 3.0 mm');
  await worked(page);
  await tab(page, 'Chill').click();
  await expect(page.getByText('Keep level for')).toBeVisible();
  await expect(page.getByRole('radio', { name: 'layer 3' })).toBeChecked();
  await page.getByRole('link', { name: 'Compare two ways' }).click();
  await expect(page.getByRole('option', { name: 'set upside down' })).toHaveCount(0);
  await expect(page.locator('ks-compare-side')).toHaveCount(2);
  await expect(page.locator('.verdict')).toContainText(/sooner|lets go|No difference/);
});

test('a layer of a tile is filled by share, by grams or by spoons, and says all three', async ({ page }) => {
  await page.goto('/casting/demo-tiles/coat');
  await worked(page);
  const layer = page.getByLabel('Layer 1', { exact: true });
  const said = page.locator('ks-amount-field').filter({ has: layer });
  await expect(said).toContainText(/36 g, .* tbsp; a share, grams or spoons/);
  await layer.fill('24 g');
  await layer.press('Enter');
  await expect(layer).toHaveValue(/^29\.\d+ %$/);
  await expect(said).toContainText(/24 g, /);
  await layer.fill('2 tbsp');
  await layer.press('Enter');
  await expect(said).toContainText('2 tbsp;');
  await layer.fill('900 g');
  await layer.press('Enter');
  await expect(said).toContainText(/Out of range/);
  await expect(layer).toHaveValue('900 g');
});

test('owls are clamped, capped bonbons rest before the fridge, painted details keep out of the freezer', async ({
  page,
}) => {
  await page.goto('/casting/demo-owls/coat');
  await expect(tab(page, 'Coat')).toContainText('two halves, clamped');
  await page.getByRole('link', { name: 'Weigh-out sheet' }).click();
  await expect(page.getByText('close on the marks with the other half, clamp')).toHaveCount(2);
  await expect(page.getByRole('row', { name: /Back, top-up/ })).toBeVisible();

  await page.goto('/casting/demo-bonbons/close');
  await expect(page.locator('ks-ribbon')).toContainText('room 20 min');
  await page.getByRole('button', { name: 'Straight into its place' }).click();
  await expect(page.getByText('Tempered chocolate in a rigid mold likes to rest before the cold.')).toBeVisible();
  await page.getByRole('button', { name: /Rest it 20 min first/ }).click();
  await expect(page.locator('ks-ribbon')).toContainText('room 20 min');

  await tab(page, 'Mold').click();
  await page.getByRole('button', { name: 'brushed colour' }).click();
  const paint = page.locator('ks-prep-list');
  await expect(paint).toContainText(/A cavity holds\s+0.20\s+g\s+of it/);
  await paint
    .getByRole('radiogroup', { name: /It sets in/ })
    .getByText('freezer')
    .click();
  await expect(page.getByText('cracks in the freezer by itself')).toBeVisible();
  await page.getByRole('button', { name: /Set it in the fridge/ }).click();
  await expect(page.getByText('cracks in the freezer by itself')).toHaveCount(0);
  // The filled mold may go there.
  await tab(page, 'Chill').click();
  await page
    .getByRole('radiogroup', { name: /Coat 1 sets in/ })
    .getByText('freezer')
    .click();
  await expect(page.getByText('cracks in the freezer by itself')).toHaveCount(0);
});

test('a sprayed mold moves the start by its rest, stands in the shopping and on the sheet, and survives a reload', async ({
  page,
}) => {
  await page.goto('/casting/demo-bonbons/mold');
  await expect(tab(page, 'Batch')).not.toContainText('7:');
  await page.getByRole('button', { name: 'sprayed colour' }).press('Enter');
  await page.getByRole('radiogroup', { name: 'Where' }).getByText('half').click();
  await expect(page.locator('ks-ribbon')).toContainText('room 4 h');
  await expect(page.getByText('Sprayed cocoa butter harms the lungs')).toBeVisible();
  await saved(page);
  await page.reload();
  const step = page.getByRole('button', { name: /1\. Red cocoa butter/ });
  await step.press('Enter');
  await expect(step).toHaveAttribute('aria-expanded', 'true');
  await expect(page.getByLabel('Colour', { exact: true })).toHaveValue('Red cocoa butter');
  const { violations } = await new AxeBuilder({ page }).analyze();
  expect(violations.map(({ id, nodes }) => `${id}: ${nodes[0].html}`)).toEqual([]);
  await page.setViewportSize({ width: 390, height: 844 });
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
  await page.goto('/casting/demo-bonbons/batch');
  await expect(page.getByText('Red cocoa butter').first()).toBeVisible();
  await page.goto('/casting/demo-bonbons/batch');
  await expect(page.getByText('Make Hazelnut ganache by')).toBeVisible();
  await page.goto('/casting/demo-bonbons/weigh-out');
  await expect(page.locator('article')).toContainText(/Make Hazelnut ganache by\s*\d+:\d\d/);
  await expect(page.getByText(/Red cocoa butter, one half, .* rests 4 to 8 h at 18 to 22 °C/)).toBeVisible();
});

for (const path of [
  '/casting/demo-tiles/coat',
  '/casting/demo-owls/coat',
  '/casting/demo-oat-cups/coat',
  '/casting/demo-bonbons/chill',
  '/casting/demo-tiles/chill',
  '/casting/demo-acorns/coat',
]) {
  test(`${path} can be used without seeing it, and fits a phone`, async ({ page }) => {
    await page.goto(path);
    await expect(page.locator('ks-ribbon li').first()).toBeVisible();
    await worked(page);
    const { violations } = await new AxeBuilder({ page }).analyze();
    expect(violations.map(({ id, nodes }) => `${id}: ${nodes[0].html}`)).toEqual([]);
    await page.setViewportSize({ width: 390, height: 844 });
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
  });
}

test('Chill tells when a part is ready by touch and how it comes out, by keyboard too; the sheet says it in a line', async ({
  page,
}) => {
  await page.goto('/casting/demo-bombs/chill');
  await expect(page.getByText('Its back feels cold and hard')).toBeVisible();
  await page.getByRole('button', { name: 'How it comes out' }).focus();
  await page.keyboard.press('Enter');
  await expect(page.getByText('Push up from below')).toBeVisible();
  await expect(page.getByText('5 min more in the fridge')).toBeVisible();
  const { violations } = await new AxeBuilder({ page }).analyze();
  expect(violations.map(({ id }) => id)).toEqual([]);
  await page.goto('/casting/demo-bonbons/weigh-out');
  await expect(page.getByText('turn the mold over close above paper')).toBeVisible();
});

test('a tile on a stick, speckled and topped while it is wet, is told on its stations and on the sheet', async ({
  page,
}) => {
  await page.goto('/casting/demo-tiles/coat');
  await worked(page);
  await page.getByRole('button', { name: 'Put a stick in' }).click();
  await page.getByRole('button', { name: 'Stir something in' }).click();
  await page.getByLabel('Of its weight').fill('10 %');
  await page.getByLabel('Of its weight').press('Enter');
  await expect(page.getByText('Stirred into it')).toBeVisible();
  await expect(page.locator('ks-ribbon')).toContainText('Stick');
  expect((await new AxeBuilder({ page }).analyze()).violations.map(({ id }) => id)).toEqual([]);
  await tab(page, 'Finish').click();
  await expect(page.getByText('Its face stays wet in the room')).toBeVisible();
  await expect(page.getByLabel('Of the open face')).toBeVisible();
  await tab(page, 'Batch').click();
  await page.getByRole('button', { name: 'Lay out first' }).click();
  await expect(page.getByText(/^\d+ sticks$/)).toBeVisible();
  await saved(page);
  await page.getByRole('link', { name: 'Weigh-out sheet' }).click();
  await expect(page.getByText('Stir into layer 1:')).toBeVisible();
  await expect(page.getByText('a stick in each, turned until it is coated')).toBeVisible();
  await expect(page.getByRole('heading', { name: 'For the guest' })).toBeVisible();
  // A tag for every piece, and nothing else, goes to the printer; the page stays as it is.
  await page.evaluate(() => (window.print = () => undefined));
  await page.getByRole('button', { name: 'Print 12 tags' }).click();
  await page.emulateMedia({ media: 'print' });
  await expect(page.locator('ks-guest-tags.alone section')).toHaveCount(12);
  await expect(page.locator('ks-guest-tags.alone section').first()).toBeVisible();
  await expect(page.locator('article')).toBeHidden();
  await page.evaluate(() => window.dispatchEvent(new Event('afterprint')));
  await expect(page.locator('article')).toBeVisible();
  await expect(page.locator('ks-guest-tags.alone')).toHaveCount(0);
  await page.emulateMedia({ media: 'screen' });
  expect((await new AxeBuilder({ page }).analyze()).violations.map(({ id }) => id)).toEqual([]);
});

test('balls of two sizes are closed each by itself, and what goes into them is dipped', async ({ page }) => {
  await openBombs(page, 'mold');
  await page.getByRole('button', { name: 'More parts or colours' }).click();
  await page.getByRole('button', { name: 'Add another size' }).click();
  await expect(page.getByLabel('Name', { exact: true })).toHaveValue('Half 2');
  await page.getByLabel('Name', { exact: true }).fill('Small half');
  await choose(page.getByLabel('From your molds'), { label: 'Small halves, 38 mm' });
  await worked(page);
  await tab(page, 'Close').click();
  await expect(page.getByText('Rim lost on the plate')).toHaveCount(3);
  await expect(page.getByRole('heading', { name: 'Small half', exact: true })).toBeVisible();
  await expect(page.getByText('Beside it, closed by itself: 1 × Small half.')).toBeVisible();
  await tab(page, 'Fill').click();
  // The powder leaves no room for them in the small one.
  await page.getByText('2 × Half', { exact: true }).first().click();
  await page.getByRole('button', { name: 'Dip them first' }).click();
  await expect(page.getByText(/Each takes/)).toBeVisible();
  await expect(page.locator('ks-weigh-out')).toContainText('Dipping');
  expect((await new AxeBuilder({ page }).analyze()).violations.map(({ id }) => id)).toEqual([]);
  await saved(page);
  await page.reload();
  await expect(page.locator('ks-weigh-out')).toContainText('Dipping');
});
