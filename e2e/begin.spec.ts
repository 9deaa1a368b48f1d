import { choose, expect, quiet, saved, tab, test } from './kitchen';

test('a first casting of one’s own by keyboard alone, in five choices', async ({ page }) => {
  await page.goto('/castings');
  await expect(page.getByRole('heading', { name: 'Castings' })).toBeVisible();
  await page.locator('body').press('n');
  await expect(page.getByRole('heading', { name: 'New casting' })).toBeVisible();
  await page.getByRole('radio', { name: 'Cocoa bomb' }).focus();
  // Along the kinds by arrows; each is planned as it is reached.
  await page.keyboard.press('Space');
  await page.keyboard.press('ArrowRight');
  await expect(page.getByRole('radio', { name: 'Bonbon' })).toBeChecked();
  await expect(page.getByRole('region', { name: 'What it comes to' })).toContainText('Start by');
  await page.getByLabel('Pieces').fill('30');
  await page.keyboard.press('Enter');
  await expect(page.getByLabel('Name of the casting')).toHaveValue('Bonbons');
  await expect(tab(page, 'Close')).toContainText('cap');
  await saved(page);
  await page.reload();
  await expect(page.getByText(/^30 pieces/)).toBeVisible();
});

test('on a phone, with a mold told by two measures that is kept', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await page.goto('/castings/new');
  await page.getByText('Egg', { exact: true }).click();
  await choose(page.getByLabel('Mold', { exact: true }), 'new');
  await page.getByLabel('Length of a half').fill('12 cm');
  await page.getByLabel('Width of a half').fill('3 in');
  await page.getByRole('button', { name: 'Plan it' }).dblclick();
  await expect(page.getByLabel('Name of the casting')).toHaveValue('Eggs');
  await saved(page);
  await page.goto('/castings');
  await expect(page.getByRole('listitem').filter({ has: page.locator('ks-small-section') })).toHaveCount(10);
  await page.goto('/molds');
  await expect(page.getByText('New mold for eggs')).toBeVisible();
});

test('from a mold to a casting in it', async ({ page }) => {
  await page.goto('/molds/gems');
  await page.getByRole('link', { name: 'Cast in it' }).click();
  await expect(page.getByRole('radio', { name: 'Bonbon' })).toBeChecked();
  await expect(page.getByLabel('Mold', { exact: true })).toHaveAccessibleDescription(/^Faceted gems/);
  await quiet(page);
});
