import { readFileSync } from 'node:fs';
import AxeBuilder from '@axe-core/playwright';
import { begin, choose, expect, openBombs, saved, tab, test, visit, worked } from './kitchen';

const csv = (text: string, name = 'evening.csv') => ({ name, mimeType: 'text/csv', buffer: Buffer.from(text) });

test('from the pantry to a bowl that is right: chocolate, school, temperature, bowl; all of it stays after a reload', async ({
  page,
}) => {
  await openBombs(page, 'melt');
  const steps = page.locator('.steps li');
  await expect(steps.first()).toContainText('then stir');
  await expect(tab(page, 'Melt')).toContainText(/2\d\d g seed, Quarry 64/);
  await choose(page.getByLabel('Chocolate, from the pantry'), 'fallow');
  await expect(tab(page, 'Melt')).toContainText('Fallow');
  await expect(page.getByLabel('Worked at')).toHaveValue('29.5 °C');
  await choose(page.getByLabel('Beside'), 'threeQuarters');
  await expect(page.getByRole('region', { name: 'three quarters and a quarter' })).toContainText(
    'thermometer not needed',
  );
  await choose(page.getByLabel('School'), 'threeQuarters');
  // The one before stands beside the one that is taken.
  await expect(page.locator('.both section').nth(0)).toHaveAccessibleName('three quarters and a quarter');
  await expect(page.locator('.both section').nth(1)).toHaveAccessibleName('seeding');
  await choose(page.getByLabel('Bowl', { exact: true }), 'glass');
  await page.getByLabel('Worked at').fill('85 F');
  await saved(page);
  await page.reload();
  await expect(page.getByLabel('School')).toHaveAccessibleDescription('three quarters and a quarter');
  await expect(page.getByLabel('Bowl', { exact: true })).toHaveAccessibleDescription(/glass/i);
  await expect(page.getByLabel('Worked at')).toHaveValue('29.44 °C');
});

test('chocolate melted gently stays in temper, or is melted only and kept cold; a coating may have a low ceiling', async ({
  page,
}) => {
  await page.goto('/casting/demo-bombs/melt');
  await choose(page.getByLabel('School'), 'keepTemper');
  await expect(page.getByText(/Still in temper: no spot comes above 33\.\d °C/)).toBeVisible();
  await expect(page.locator('dt', { hasText: 'Seed that stays' }).locator('+ dd')).toContainText('%');
  await page.getByText('half, long', { exact: true }).click();
  await expect(page.getByRole('textbox', { name: 'Power' })).toHaveValue('50 %');
  await choose(page.getByLabel('School'), 'keptCold');
  await expect(page.getByText(/so it is no gift/)).toBeVisible();
  await expect(page.getByRole('heading', { name: /only melted, not tempered/ })).toHaveCount(0);

  await page.goto('/casting/demo-bites/melt');
  await page.getByLabel('Worked at').fill('31');
  await expect(page.getByRole('heading', { name: /31 °C is below the band of Pebble/ })).toBeVisible();
  await page.getByRole('button', { name: /Its packet says so: lower the band/ }).click();
  await expect(page.getByText('30 to 32 °C; the packet wins')).toBeVisible();
  await expect(page.getByRole('heading', { name: /below the band|above|needs no temper/ })).toHaveCount(0);
  await choose(page.getByLabel('School'), 'threeQuarters');
  await expect(page.getByText('Seed to chop')).toBeVisible();
  await expect(page.locator('ks-melt-plan').getByText(/stir in \d+ g of fine chopped/)).toBeVisible();
});

test('cooler chocolate is thicker: the coat follows the working temperature chosen for the melt', async ({ page }) => {
  await openBombs(page, 'melt');
  const before = await tab(page, 'Coat').textContent();
  await choose(page.getByLabel('School'), 'holdBelow');
  await expect(page.getByText(/Here the rim comes out 0\.\d+ mm thicker than at 31\.5 °C/)).toBeVisible();
  await expect(tab(page, 'Coat')).not.toHaveText(before ?? '');
  await choose(page.getByLabel('Thinned with'), 'shortening');
  await expect(page.getByText(/melted in with it.*Never water/)).toBeVisible();
});

test('a chocolate is added with its packet’s bands, drip-tested, tinted, and melted', async ({ page }) => {
  await page.goto('/pantry');
  await page.getByRole('button', { name: 'New chocolate' }).click();
  await page.getByLabel('Name of the chocolate').fill('Slate 55');
  await page.getByLabel('Work to').fill('34');
  await expect(page.getByText('“Work to” must not be above “Ceiling”')).toBeVisible();
  await expect(page.getByLabel('Work to')).toHaveValue('34');
  await page.getByLabel('Ceiling', { exact: true }).fill('95 F');
  await page.getByLabel('Work to').fill('93');
  await page.getByLabel('Work to').fill('34 °C');
  await page.getByRole('link', { name: 'Drip test' }).click();
  await page.getByLabel('it weighed', { exact: true }).fill('12.6 g');
  await page.getByLabel('it weighed then').fill('8.7 g');
  await page.getByRole('button', { name: 'Use “very thick” for Slate 55' }).click();
  await expect(page.getByLabel('At 40 °C')).toHaveAccessibleDescription('very thick');
  await page.getByRole('link', { name: 'The whole pantry' }).click();
  await page.getByRole('button', { name: 'New tint' }).click();
  await page.getByRole('button', { name: 'Add a colour' }).click();
  await choose(page.getByLabel('Base of colour 1'), 'water');
  await expect(page.getByRole('alert')).toContainText('seizes chocolate');
  await page.getByLabel('Amount wanted').fill('1/2 lb');
  await expect(page.getByRole('row', { name: /Oil-based colour/ })).toContainText('5.5 g');
  await page.goto('/casting/demo-bombs/melt');
  await choose(page.getByLabel('Chocolate, from the pantry'), { label: 'Slate 55' });
  await expect(tab(page, 'Melt')).toContainText('Slate 55');
  await choose(page.getByLabel('Chocolate, from the pantry'), { label: 'New tint' });
  await expect(page.getByText(/g Linen, \d+ g Oil-based colour\. Make it all at once/)).toBeVisible();
});

test('the thermometer says what to do, by hand and from a file, and is exported again', async ({ page }) => {
  await page.goto('/casting/demo-bombs/thermometer');
  await expect(page.getByRole('status').first()).toContainText('Melt first');
  await page.getByLabel('It reads').fill('45');
  await page.getByLabel('It reads').press('Enter');
  await expect(page.getByText('Seed now')).toBeVisible();
  await page.getByLabel('It reads').fill('900');
  await page.getByRole('button', { name: 'Note it' }).click();
  await expect(page.getByText(/Out of range/)).toBeVisible();
  await page
    .locator('#log-file')
    .setInputFiles(csv('Zeit;Temperatur\n0;20,0\n60;45,1\n50;44\n120;-300\n180;32,0\n240;29,1\n300;31,4\n'));
  await expect(page.getByText('5 readings over 5 min')).toBeHidden();
  await expect(
    page.getByText('6 readings over 5 min: time from “Zeit”, temperature from “Temperatur” in °C.'),
  ).toBeVisible();
  await expect(page.getByText('Line 4: the time goes back')).toBeVisible();
  await page.getByRole('button', { name: 'Keep them with this casting' }).click();
  await expect(page.getByText('Work now')).toBeVisible();
  await page.reload();
  await expect(page.getByText('Work now')).toBeVisible();
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Export as CSV' }).click(),
  ]);
  expect(readFileSync(await download.path(), 'utf8')).toBe(
    'seconds,celsius\n0,20\n60,45.1\n120,\n180,32\n240,29.1\n300,31.4\n',
  );
  await page.locator('#log-file').setInputFiles(csv('just a note', 'note.txt'));
  await expect(page.getByText('“note.txt” is no table')).toBeVisible();
  await expect(page.getByText('Work now')).toBeVisible();
});

test('two hundred thousand readings are taken in, drawn, kept and undone', async ({ page }) => {
  await page.goto('/casting/demo-bombs/thermometer');
  const rows = Array.from({ length: 200_000 }, (_, i) => `${i / 4},${(30 + 5 * Math.sin(i / 9000)).toFixed(2)}`);
  await page.locator('#log-file').setInputFiles(csv(`seconds,celsius\n${rows.join('\n')}\n`));
  await page.getByRole('button', { name: 'Keep them with this casting' }).click();
  await expect(page.getByText(/200000 readings over 13 h 53 min/)).toBeVisible();
  await page.getByRole('button', { name: /^Undo/ }).click();
  await expect(page.getByText(/200000 readings/)).toBeHidden();
});

test('the kitchen: a calibrated microwave and a fan are taken over by a casting, and its plan follows', async ({
  page,
}) => {
  await page.goto('/kitchen');
  await page.getByRole('button', { name: 'Calibrate it' }).click();
  await page.getByLabel('Bursts in all').fill('2 min');
  await expect(page.getByText(/\d+ % of its power reached the bowl/)).toBeVisible();
  await page.locator('label[nz-radio-button]').filter({ hasText: 'a fan in it' }).first().click();
  await page.getByLabel('Rated power').fill('not a power at all, whatever it may say there');
  await expect(page.getByText(/Too long for an amount/)).toBeVisible();
  await page.getByRole('button', { name: 'Plan Cider-spice bombs in this kitchen' }).click();
  await expect(page.getByRole('button', { name: 'Plan Cider-spice bombs in this kitchen' })).toBeHidden();
  await page.getByRole('link', { name: 'Castings' }).click();
  await page
    .getByRole('link', { name: /Cider-spice bombs/ })
    .first()
    .click();
  await tab(page, 'Melt').click();
  await worked(page);
  await expect(page.getByText('Planned in another kitchen')).toBeHidden();
  // Quicker with a fan: 5 and 9 min or less instead of 6 and 10.
  await expect(tab(page, 'Chill')).toContainText(/[345] \+ [5-9] min/);
});

test('a second tab’s change of the pantry is heard, and a fresh casting starts from the kitchen', async ({
  context,
  page,
}) => {
  await page.goto('/pantry');
  const entries = page.getByRole('listitem').filter({ has: page.locator('.slab') });
  await expect(entries).toHaveCount(6);
  const other = await context.newPage();
  await other.goto('/pantry');
  await other.getByRole('button', { name: 'Copy Linen' }).click();
  await expect(other.getByLabel('Name of the chocolate')).toHaveValue('Linen 2');
  await expect(entries).toHaveCount(7);
  await other.close();
  await page.goto('/kitchen');
  await page.getByLabel('Room', { exact: true }).fill('23');
  await page.getByLabel('Room', { exact: true }).blur();
  await page.keyboard.press('n');
  await begin(page, 'Cocoa bomb');
  await expect(page.getByLabel('Name of the casting')).toHaveValue('Cocoa bombs');
  await tab(page, 'Chill').click();
  await expect(page.getByLabel('Room', { exact: true })).toHaveValue('23 °C');
});

for (const path of [
  '/casting/demo-bombs/melt',
  '/casting/demo-bombs/thermometer',
  '/pantry',
  '/pantry/quarry',
  '/pantry/rosehip',
  '/pantry/quarry/drip',
  '/pantry/preparations',
  '/kitchen',
]) {
  for (const width of [1280, 390]) {
    test(`axe finds nothing on ${path} at ${width}, and nothing is wider than the page`, async ({ page }) => {
      await page.setViewportSize({ width, height: 800 });
      await visit(page, path);
      expect((await new AxeBuilder({ page }).analyze()).violations).toEqual([]);
      expect(
        await page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth),
      ).toBeLessThanOrEqual(0);
    });
  }
}
