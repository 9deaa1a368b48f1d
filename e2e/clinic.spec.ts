import type { Page } from '@playwright/test';
import { choose, expect, openBombs, quiet, test } from './kitchen';
import { seemlyAtRest } from './seemly';

const first = (page: Page) => page.locator('ks-cause-card h3').first();
const answers = (page: Page) => page.getByRole('region', { name: 'Question' });

test('what is seen is picked from drawings, asked about, and leads to a cause, without any casting', async ({
  page,
}) => {
  await page.goto('/castings');
  await page.getByRole('link', { name: 'Clinic' }).click();
  await expect(page.getByText('What do you see?')).toBeVisible();
  await seemlyAtRest(page);
  await page.getByRole('link', { name: /^Rim cracked/ }).press('Enter');
  await expect(page.getByRole('heading', { name: 'Rim cracked' })).toBeVisible();
  await expect(page.locator('ks-cause-card')).toHaveCount(3);
  await seemlyAtRest(page);
  // One question after the other; what was answered can be asked again.
  const asked = await answers(page).locator('p').innerText();
  const likeliest = await first(page).innerText();
  await answers(page).getByRole('button', { name: 'Yes' }).click();
  await expect(answers(page).locator('p')).not.toHaveText(asked);
  await expect(first(page)).not.toHaveText(likeliest);
  await page.getByRole('button', { name: 'Ask again' }).click();
  await expect(answers(page).locator('p')).toHaveText(asked);
  await expect(first(page)).toHaveText(likeliest);
  await answers(page).getByRole('button', { name: 'I do not know' }).click();
  await expect(answers(page).locator('p')).not.toHaveText(asked);
  await expect(first(page)).toHaveText(likeliest);
  // The address says what is seen: a reload keeps it, the way back leads to all that may be.
  await page.reload();
  await expect(page.getByRole('heading', { name: 'Rim cracked' })).toBeVisible();
  await page.goBack();
  await expect(page.getByText('What do you see?')).toBeVisible();
  await page.goto('/clinic?seen=nonsense');
  await expect(page.getByText('What do you see?')).toBeVisible();
});

test('a casting answers by its plan, and its advice is taken from there and taken back', async ({ page }) => {
  await openBombs(page);
  await page
    .locator('label[nz-radio-button]')
    .filter({ hasText: /^\s*1\s*$/ })
    .first()
    .click();
  await expect(page.getByText(/The rim comes out at/)).toBeVisible();
  await page.getByRole('link', { name: /To the clinic/ }).click();
  await page.getByRole('link', { name: /^Rim cracked/ }).click();
  await expect(first(page)).toContainText('The rim is too thin');
  const card = page.locator('ks-cause-card').first();
  await expect(card).toContainText('the plan warns of it');
  await expect(card).toContainText('one coat');
  await expect(card).toContainText(/The rim comes out at .* mm/);
  await seemlyAtRest(page);
  const before = await first(page).innerText();
  await page.getByRole('button', { name: 'Make it thicker' }).click();
  await expect(first(page)).not.toHaveText(before);
  await expect(page.getByRole('button', { name: 'Make it thicker' })).toHaveCount(0);
  await page.getByRole('button', { name: /^Undo/ }).click();
  await expect(first(page)).toHaveText(before);
  // Of none of mine the plan says nothing.
  await choose(page.getByLabel('Of which casting'), { label: 'None of mine' });
  await expect(page).toHaveURL(/\/clinic\?seen=crackedRim$/);
  await expect(page.getByText('the plan warns of it')).toHaveCount(0);
  await page.goto('/casting/gone/clinic');
  await expect(page.getByRole('link', { name: /castings/i }).first()).toBeVisible();
});

test('on a phone all of it fits', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  for (const path of ['/clinic', '/clinic?seen=seamGap', '/casting/demo-bombs/clinic?seen=dull']) {
    await page.goto(path);
    await page.locator('ks-finding-drawing').first().waitFor();
    await quiet(page);
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
  }
});
