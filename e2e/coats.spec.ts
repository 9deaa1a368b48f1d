import AxeBuilder from '@axe-core/playwright';
import { choose, expect, openBombs, saved, tab, test, worked } from './kitchen';

test('a coat is poured and the next brushed on the sides: each told by itself, by weight or spoon, on the sheet, kept and taken back', async ({
  page,
}) => {
  await openBombs(page);
  await worked(page);
  await page.getByRole('button', { name: 'each its own way' }).press('Enter');
  await page.getByRole('radio', { name: 'coat 2' }).press('Space');
  await choose(page.getByLabel('How it is made'), { label: 'brush' });
  await page.getByRole('radio', { name: 'sides' }).press('Space');
  const dose = page.getByRole('textbox', { name: 'In each cavity' });
  await dose.fill('a knob');
  await dose.press('Enter');
  // What cannot be read stays as it was typed, by its own coat.
  await page.getByRole('radio', { name: 'coat 1' }).press('Space');
  await expect(dose).toHaveCount(0);
  await page.getByRole('radio', { name: 'coat 2' }).press('Space');
  await expect(dose).toHaveValue('a knob');
  await dose.fill('6 g');
  await dose.press('Enter');
  await expect(dose).toHaveValue(/0\.966 tsp|0\.97 tsp/);
  await page.getByRole('button', { name: 'let it thicken upright first' }).click();
  await page.getByRole('textbox', { name: 'Upright first' }).fill('2');
  await page.getByRole('textbox', { name: 'Upright first' }).press('Enter');
  await worked(page);
  await expect(tab(page, 'Coat')).toContainText('fill and dump, then brush');
  await expect(tab(page, 'Coat')).toContainText(/[\d.]+ \+ [\d.]+ mm/);
  await expect(page.locator('ks-coat-station')).toContainText(/Coat 2\s*6\.0 g/);
  await page.getByText('By hand', { exact: true }).click();
  await expect(page.getByText('Hold it against the light', { exact: false })).toBeVisible();
  expect((await new AxeBuilder({ page }).analyze()).violations.map(({ id }) => id)).toEqual([]);
  await saved(page);
  await page.reload();
  await expect(tab(page, 'Coat')).toContainText('fill and dump, then brush');
  await page.goto('/casting/demo-bombs/weigh-out');
  await expect(page.locator('article')).toContainText(
    'on the sides alone, up from the middle. Leave it upright for 2 min to thicken, then turn it over.',
  );
  await page.goto('/casting/demo-bombs/coat');
  await page.getByRole('radio', { name: 'alike' }).press('Space');
  await expect(tab(page, 'Coat')).toContainText(/2 × \d\.\d mm/);
  await page.getByRole('button', { name: 'Undo coats made alike' }).click();
  await expect(tab(page, 'Coat')).toContainText('fill and dump, then brush');
});

test('a mold from the fridge sweats and is told so; after the cold it stands on the bench, on the ribbon and on the sheet', async ({
  page,
}) => {
  await openBombs(page);
  await page.getByRole('button', { name: 'mold from the fridge' }).click();
  await expect(page.getByText('An empty mold of 5 °C is wet: the dew point here is 9.4 °C.')).toBeVisible();
  await page.getByRole('textbox', { name: 'The mold starts at' }).fill('12 °C');
  await page.getByRole('textbox', { name: 'The mold starts at' }).press('Enter');
  await expect(page.getByText('An empty mold of', { exact: false })).toHaveCount(0);
  await tab(page, 'Chill').click();
  await page.getByRole('button', { name: 'stand it on the bench after' }).click();
  await worked(page);
  await expect(page.locator('ks-ribbon')).toContainText('room 5 min');
  expect((await new AxeBuilder({ page }).analyze()).violations.map(({ id }) => id)).toEqual([]);
  await page.goto('/casting/demo-bombs/weigh-out');
  await expect(page.locator('article')).toContainText('starts at 12 °C, dry.');
  await expect(page.locator('article')).toContainText(/then 5 min in the room, then unmold/);
});
