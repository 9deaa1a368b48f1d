import AxeBuilder from '@axe-core/playwright';
import type { Page } from '@playwright/test';
import { expect, quiet } from './kitchen';

/** Everything on the page can be used by everybody, as far as that can be looked up. @param tags the rules asked for; all of them where none are named */
export async function seemly(page: Page, tags: readonly string[] = []): Promise<void> {
  // What is still fading in is paler than it will be.
  await page.evaluate(() =>
    Promise.allSettled(
      document
        .getAnimations()
        .filter(({ effect }) => Number.isFinite(effect?.getComputedTiming().endTime))
        .map(({ finished }) => finished),
    ),
  );
  const axe = new AxeBuilder({ page });
  const { violations } = await (tags.length > 0 ? axe.withTags([...tags]) : axe).analyze();
  expect(violations.map(({ id, nodes }) => `${id}: ${nodes[0].html.slice(0, 160)}`)).toEqual([]);
}

/** The same once the page stands still, by every rule. */
export async function seemlyAtRest(page: Page): Promise<void> {
  await quiet(page);
  await seemly(page);
}
