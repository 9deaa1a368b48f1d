import type { Page } from '@playwright/test';
import { MONDAY, expect } from './kitchen';

/** A clock that runs, and can be put forward as if the computer had slept. */
export async function withClock(page: Page): Promise<void> {
  await page.clock.install({ time: MONDAY });
  await page.clock.resume();
}

/** Lays a casting out, the small bites where no other is said, and begins it. */
export async function begun(page: Page, how = 'Begin now', casting = 'demo-bites'): Promise<void> {
  await page.goto(`/bench/casting/${casting}`);
  await page.getByRole('button', { name: how }).click({ timeout: 120_000 });
  await expect(done(page)).toBeVisible();
}

export const done = (page: Page) => page.getByRole('button', { name: 'Done', exact: true });
export const now = (page: Page) => page.locator('ks-bench-now h2');
export const counts = (page: Page) => page.locator('ks-bench-clocks .count');

/** The melt, and the first coat. */
export async function cast(page: Page): Promise<void> {
  await expect(now(page)).toContainText('Melt');
  await page.clock.fastForward('05:00');
  await done(page).click();
  await expect(now(page)).toHaveText('Coat 1');
  await page.clock.fastForward('04:00');
  await done(page).click();
  await expect(counts(page)).toHaveCount(1);
}
