import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import { expect, test } from './kitchen';

/** Holds a file over the page, and lets it go there. */
async function drop(page: Page, name: string, text: string): Promise<void> {
  const transfer = await page.evaluateHandle(
    ([fileName, content]) => {
      const data = new DataTransfer();
      data.items.add(new File([content], fileName));
      return data;
    },
    [name, text],
  );
  await page.dispatchEvent('main', 'dragover', { dataTransfer: transfer });
  await expect(page.getByText('Let go to see what is in it')).toBeVisible();
  await page.dispatchEvent('main', 'drop', { dataTransfer: transfer });
  await expect(page.getByText('Let go to see what is in it')).toBeHidden();
}

test('a file dropped anywhere on the page is looked into, and taken only when one says so', async ({ page }) => {
  await page.goto('/castings');
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Export Faceted pears' }).click();
  const text = readFileSync(await (await download).path(), 'utf8');
  await drop(page, 'pears.json', text);
  await expect(page.getByText('can be taken from “pears.json”')).toBeVisible();
  await expect(page.getByRole('link', { name: /Faceted pears/ })).toHaveCount(1);
  await page.getByRole('button', { name: 'Take them' }).click();
  await expect(page.getByRole('link', { name: /Faceted pears/ })).toHaveCount(2);
});

test('what is dropped and is none of ours changes nothing, and says so', async ({ page }) => {
  await page.goto('/molds');
  await expect(page.getByRole('heading', { name: 'Molds', exact: true })).toBeVisible();
  await drop(page, 'letter.txt', 'Dear guests');
  await expect(page.getByRole('alert')).toContainText('Nothing was changed');
  await page.getByRole('button', { name: 'Close' }).click();
  await expect(page.getByRole('region', { name: 'Import' })).toBeHidden();
});

test('a file is chosen by keyboard alone', async ({ page }) => {
  await page.goto('/castings');
  await page.getByRole('button', { name: 'Import', exact: true }).press('Enter');
  const chooser = page.waitForEvent('filechooser');
  await page.getByRole('button', { name: /Choose a file/ }).press('Enter');
  await (await chooser).setFiles({ name: 'x.json', mimeType: 'application/json', buffer: Buffer.from('{}') });
  await expect(page.getByRole('alert')).toContainText('Nothing was changed');
});
