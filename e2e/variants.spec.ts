import AxeBuilder from '@axe-core/playwright';
import { choose, expect, openBombs, quiet, saved, stored, tab, test } from './kitchen';

test('six of the bombs are white: melted, weighed, tagged, kept over a reload, and taken back', async ({ page }) => {
  await openBombs(page, 'batch');
  await page.getByRole('button', { name: 'Variants' }).press('Enter');
  await page.getByRole('button', { name: 'Make some otherwise' }).press('Enter');
  const name = page.getByLabel('Variant', { exact: true });
  await name.fill('White ones');
  await name.press('Tab');
  const pieces = page.getByLabel('Pieces of White ones');
  await pieces.fill('999');
  await expect(page.getByText('There is room for 18 of them: the casting is of 18.')).toBeVisible();
  await pieces.fill('1/2 cup');
  await expect(page.locator('ks-variant-list .ant-form-item-has-error')).toHaveCount(1);
  await pieces.fill('6');
  await choose(page.getByRole('combobox', { name: 'White ones: in place of Quarry 64' }), { label: 'Linen' });
  await quiet(page);
  const melts = page.locator('ks-batch-view');
  await expect(melts).toContainText('Linen');
  await expect(melts).toContainText(/Half: \d+ as chosen and \d+ White ones\./);
  await expect(page.locator('ks-fitted-work')).toContainText('Each round in the waits of the others', {
    timeout: 30_000,
  });
  const axe = await new AxeBuilder({ page }).withTags(['wcag2a', 'wcag2aa']).analyze();
  expect(axe.violations.map(({ id, nodes }) => `${id}: ${nodes[0].html.slice(0, 120)}`)).toEqual([]);
  await saved(page);
  await page.reload();
  await expect(page.getByRole('button', { name: 'Variants: White ones' })).toBeVisible();
  await page.getByRole('link', { name: 'Weigh-out sheet' }).click();
  await expect(page.getByRole('heading', { name: /White ones$/ })).toBeVisible();
  await expect(page.locator('ks-guest-tags')).toContainText('Contains milk, soy and gelatine.');
  await page.goBack();
  await page.getByRole('button', { name: 'Variants: White ones' }).click();
  await page.getByRole('button', { name: 'Take White ones out' }).click();
  await expect(melts).not.toContainText('Linen');
  await page.getByRole('button', { name: /^Undo/ }).first().click();
  await expect(melts).toContainText('Linen');
});

test('halves cast the day before are not cast again: fewer rounds, and the timetable of the job too', async ({
  page,
}) => {
  await openBombs(page, 'batch');
  await page.getByRole('button', { name: 'Cast before' }).click();
  await page.getByRole('button', { name: 'Some of Half was cast before?' }).click();
  await expect(page.getByLabel('Half there already')).toHaveValue('36');
  await tab(page, 'Melt').click();
  await expect(page.getByText('Nothing is melted: all that the pieces take was cast before.')).toBeVisible();
  await tab(page, 'Batch').click();
  await page.getByRole('button', { name: 'Cast before: 36' }).click();
  await page.getByLabel('Half there already').fill('24');
  await quiet(page);
  await saved(page);
  expect(await stored(page)).toMatchObject({ parts: [{ there: { parts: 24 } }] });
  await expect(page.locator('ks-fitted-work')).toContainText('Each round in the waits of the others', {
    timeout: 30_000,
  });
});
