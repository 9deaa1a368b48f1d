import AxeBuilder from '@axe-core/playwright';
import type { Page } from '@playwright/test';
import { expect, openBombs, tab, test } from './kitchen';

/** What axe finds on the page as it stands; an open list lies over the page, in none of its regions. */
async function found(page: Page): Promise<readonly string[]> {
  return (await new AxeBuilder({ page }).disableRules(['region']).analyze()).violations.map(({ id }) => id);
}

test('a short list by keyboard alone: opened, walked, left and chosen, and told to those who hear it', async ({
  page,
}) => {
  await openBombs(page);
  const list = page.getByRole('combobox', { name: 'Chocolate', exact: true });
  await expect(list).toHaveAccessibleDescription('Quarry 64');
  await list.press('ArrowDown');
  await expect(list).toHaveAttribute('aria-expanded', 'true');
  const options = page.getByRole('listbox', { name: 'Chocolate' }).getByRole('option');
  await expect(options).toHaveCount(6);
  await expect(options.and(page.locator('[aria-selected=true]'))).toHaveText(/Quarry 64\s*dark/);
  expect(await found(page)).toEqual([]);
  // A letter goes to the next name that begins with it; Escape leaves all as it was.
  await list.press('l');
  await expect(page.locator(`#${await list.getAttribute('aria-activedescendant')}`)).toHaveText(/Linen/);
  await list.press('Escape');
  await expect(list).toHaveAttribute('aria-expanded', 'false');
  await expect(list).toHaveAccessibleDescription('Quarry 64');
  // A letter opens it there, too; a shortcut does not.
  await list.press('Shift');
  await list.press('Control+a');
  await expect(list).toHaveAttribute('aria-expanded', 'false');
  await list.press('f');
  await list.press('Enter');
  await expect(list).toHaveAccessibleDescription('Fallow');
  await expect(tab(page, 'Melt')).toContainText('Fallow');
  // Up from the first is the last.
  await list.press('Enter');
  await list.press('ArrowUp');
  await list.press('Enter');
  await expect(list).toHaveAccessibleDescription('Rosehip');
});

test('a long list is grouped by kind and searched by typing; what is not there is said', async ({ page }) => {
  await openBombs(page, 'mold');
  const list = page.getByRole('combobox', { name: 'From your molds' });
  // The library has come, and with it more than are in sight.
  await expect(list).toHaveAttribute('aria-autocomplete', 'list');
  await list.press('Enter');
  // At once, before the list is drawn: no letter is lost.
  await list.pressSequentially('gem');
  await expect(list).toHaveValue('gem');
  const options = page.getByRole('listbox').getByRole('option');
  await expect(options).toHaveCount(1);
  expect(await found(page)).toEqual([]);
  await list.fill('no such mold');
  await expect(page.getByText('Nothing is called so.')).toBeVisible();
  await list.fill('');
  await expect(page.getByText('Two alike, joined', { exact: false }).first()).toBeVisible();
  await list.fill('gem');
  await list.press('Enter');
  await expect(list).toHaveAccessibleDescription('Faceted gems');
});
