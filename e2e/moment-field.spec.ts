import AxeBuilder from '@axe-core/playwright';
import { expect, openBombs, test } from './kitchen';

test('a due time is typed as people write it, stepped, and taken back', async ({ page }) => {
  await openBombs(page, 'batch');
  const due = page.getByLabel('Ready by', { exact: true });
  await expect(due).toHaveValue('Sat 17 Oct 2026, 18:00');
  await due.fill('18.10. 7pm');
  await due.press('Enter');
  await expect(due).toHaveValue('Sun 18 Oct 2026, 19:00');
  await expect(page.locator('ks-casting-header')).toContainText('ready by Sun 18 Oct, 19:00');
  await due.press('ArrowUp');
  await expect(due).toHaveValue('Sun 18 Oct 2026, 19:15');
  await due.press('Home');
  await due.press('ArrowDown');
  await expect(due).toHaveValue('Sat 17 Oct 2026, 19:15');
  await due.blur();
  await page.getByRole('button', { name: /^Undo/ }).click();
  await expect(due).toHaveValue('Sat 17 Oct 2026, 18:00');
});

test('what is no time stays as typed, over leaving and reloading, and the last good one in the plan', async ({
  page,
}) => {
  await openBombs(page, 'batch');
  const due = page.getByLabel('Ready by', { exact: true });
  await due.fill('the day after the fair');
  await due.blur();
  const problem = page.getByRole('alert').filter({ hasText: 'the last one stays' });
  await expect(problem).toBeVisible();
  await expect(page.locator('ks-casting-header')).toContainText('ready by Sat 17 Oct, 18:00');
  await page.reload();
  await expect(due).toHaveValue('the day after the fair');
  await expect(problem).toBeVisible();
  await due.fill('20 Oct 2026, 9:30');
  await due.blur();
  await expect(problem).toBeHidden();
  await expect(page.locator('ks-casting-header')).toContainText('ready by Tue 20 Oct, 09:30');
});

test('a day and a time are picked from the calendar, which keeps the keys and gives them back', async ({ page }) => {
  await openBombs(page, 'batch');
  const due = page.getByLabel('Ready by', { exact: true });
  await due.press('Alt+ArrowDown');
  const calendar = page.getByRole('dialog', { name: 'Ready by' });
  await expect(calendar.locator('thead')).toContainText(/^\s*Mo\s*Tu/);
  const { violations } = await new AxeBuilder({ page }).include('.cdk-overlay-container').analyze();
  expect(violations.map(({ id, nodes }) => `${id}: ${nodes[0].html}`)).toEqual([]);
  await page.keyboard.press('Escape');
  await expect(calendar).toBeHidden();
  await expect(due).toBeFocused();
  await page.getByRole('button', { name: 'Calendar: Ready by' }).click();
  await expect(calendar.getByRole('button', { name: '17 Oct 2026' })).toBeFocused();
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('Enter');
  await calendar.getByRole('button', { name: 'Ok' }).click();
  await expect(due).toHaveValue('Sat 24 Oct 2026, 18:00');
  await expect(due).toBeFocused();
});

test('a best-before day can be picked, and emptied', async ({ page }) => {
  await page.goto('/pantry');
  await page
    .getByRole('link', { name: /Quarry 64/ })
    .first()
    .click();
  const best = page.getByLabel('Best before', { exact: true });
  await best.fill('30/6/27');
  await best.blur();
  await expect(best).toHaveValue('30 Jun 2027');
  await best.fill('');
  await best.blur();
  await expect(best).toHaveValue('');
  await expect(page.getByRole('alert')).toBeHidden();
});

test.describe('in a land that writes the month first', () => {
  test.use({ locale: 'en-US' });

  test('time is told by twelve hours everywhere on the page, and weeks begin on Sunday', async ({ page }) => {
    await openBombs(page, 'batch');
    const due = page.getByLabel('Ready by', { exact: true });
    await expect(due).toHaveValue('Sat 17 Oct 2026, 6:00 pm');
    await expect(page.locator('ks-casting-header')).toContainText('ready by Sat 17 Oct, 6:00 pm');
    await due.fill('10/18/2026 07:30 PM');
    await due.press('Enter');
    await expect(page.locator('ks-casting-header')).toContainText('ready by Sun 18 Oct, 7:30 pm');
    await due.press('Alt+ArrowDown');
    await expect(page.getByRole('dialog', { name: 'Ready by' }).locator('thead')).toContainText(/^\s*Su\s*Mo/);
  });
});
