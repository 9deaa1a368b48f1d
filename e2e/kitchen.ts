import { test as base, expect, type Locator, type Page } from '@playwright/test';

/** Monday 12 October 2026, 10:00 in Berlin: the supper is on Saturday the 17th. */
export const MONDAY = new Date('2026-10-12T08:00:00Z');

/** A page with the clock standing at the demo's Monday, that fails the test on any error of the page but those it is there to make. */
export const test = base.extend<{ page: Page; provoked: string }>({
  provoked: ['Failed to load resource', { option: true }],
  page: async ({ page, provoked }, use) => {
    const errors: string[] = [];
    page.on('pageerror', (error) => errors.push(error.message));
    page.on('console', (message) => {
      if (
        message.type() === 'error' &&
        !message.text().includes('Failed to load resource') &&
        !message.text().includes(provoked)
      )
        errors.push(message.text());
    });
    await page.clock.setFixedTime(MONDAY);
    await use(page);
    expect(errors).toEqual([]);
  },
});

export { expect };

/** Opens a station of the demo's bombs, and waits until the last part of the page is there. */
export async function openBombs(page: Page, station = 'coat'): Promise<void> {
  await page.goto(`/casting/demo-bombs/${station}`);
  await expect(page.getByLabel('Name of the casting')).toHaveValue('Cider-spice bombs');
  await expect(page.locator('ks-ribbon li').first()).toBeVisible();
}

/** Opens a page, and waits until all of it is there: a station's ribbon is what comes last. */
export async function visit(page: Page, path: string): Promise<void> {
  await page.goto(path);
  await page.locator('main :is(h1, h2)').first().waitFor();
  if (/^\/casting\/[\w-]+\/(mold|melt|coat|chill|fill|close|finish|batch)$/.test(path))
    await expect(page.locator('ks-ribbon li').first()).toBeVisible();
  await quiet(page);
}

/** Begins a casting of a kind on the page of new castings, as it is offered. */
export async function begin(page: Page, kind: string): Promise<void> {
  await page.getByText(kind, { exact: true }).click();
  await page.getByRole('button', { name: 'Plan it' }).click();
}

/** Two pictures later: what was done last is on screen. */
async function drawn(page: Page): Promise<void> {
  await page.evaluate(() => new Promise((resolve) => requestAnimationFrame(() => requestAnimationFrame(resolve))));
}

/** Chooses one of a list, by what it stands for or by its name, and leaves the list. */
export async function choose(field: Locator, wanted: string | { readonly label: string }): Promise<void> {
  const box = field.and(field.page().getByRole('combobox'));
  await box.press('Enter');
  await expect(box).toHaveAttribute('aria-controls', /./);
  const list = field.page().locator(`#${await box.getAttribute('aria-controls')}`);
  const option =
    typeof wanted === 'string'
      ? list.locator(`[data-value="${wanted}"]`)
      : list.getByRole('option', { name: new RegExp(`^${wanted.label}`) });
  // Of a long list only what is in sight is there: step by step, each drawn before the next. A choice made just before may still move it.
  await expect(async () => {
    for (let k = 0; k < 60 && (await option.count()) === 0; k++) {
      await box.press('ArrowDown');
      await drawn(field.page());
    }
    await option.click({ timeout: 5000 });
  }).toPass();
  await expect(list).toHaveCount(0);
  await box.blur();
}

/** The names of a list, from the first to the last. */
export async function namesIn(field: Locator): Promise<string[]> {
  const names: string[] = [];
  const box = field.and(field.page().getByRole('combobox'));
  await box.press('Enter');
  await expect(box).toHaveAttribute('aria-activedescendant', /./);
  // What the list holds may still be on its way from the store; when it comes, it begins again at its first.
  await expect(
    field
      .page()
      .locator(`#${await box.getAttribute('aria-controls')}`)
      .getByRole('option'),
  ).not.toHaveCount(1);
  await drawn(field.page());
  for (let first = ''; ;) {
    const at = (await box.getAttribute('aria-activedescendant')) ?? '';
    if (at === first) break;
    first ||= at;
    names.push((await field.page().locator(`#${at}`).innerText()).trim());
    await box.press('ArrowDown');
    await expect(box).not.toHaveAttribute('aria-activedescendant', at);
  }
  await box.press('Escape');
  await expect(field).toHaveCount(1);
  return names;
}

/** A station's tab: its whole text. */
export function tab(page: Page, name: string) {
  return page.getByRole('navigation', { name: 'Stations' }).getByRole('link', { name: new RegExp(`^${name}`) });
}

/** Waits until what was changed is stored. */
export async function saved(page: Page): Promise<void> {
  await drawn(page);
  await expect(page.getByText('Saved', { exact: true })).toBeVisible();
}

/** What a test looks at of a stored casting. */
interface StoredCasting {
  readonly pieces: number;
  readonly kitchen: { readonly fridgeC: number };
  readonly chocolates: readonly { readonly id: string; readonly fluidityWithin?: number }[];
}

/** What the browser has stored of a casting. */
export function stored(page: Page, id = 'demo-bombs'): Promise<StoredCasting | undefined> {
  return page.evaluate(
    (key) =>
      new Promise((resolve, reject) => {
        const open = indexedDB.open('kilnstone');
        open.onerror = () => reject(new Error('no database'));
        open.onsuccess = () => {
          const get = open.result.transaction('castings').objectStore('castings').get(key);
          get.onsuccess = () => {
            open.result.close();
            resolve((get.result as { casting: never } | undefined)?.casting);
          };
        };
      }),
    id,
  );
}

/** Waits until the chill on screen is the worker's for what is on screen. */
export async function worked(page: Page): Promise<void> {
  await expect(tab(page, 'Chill').locator('strong')).toHaveAttribute('aria-busy', 'false');
}

/** Waits until the page stands still: nothing on it has changed for ten pictures. */
export async function quiet(page: Page): Promise<void> {
  await page.evaluate(
    () =>
      new Promise<void>((resolve) => {
        let still = 0;
        const observer = new MutationObserver(() => (still = 0));
        observer.observe(document.body, { subtree: true, childList: true, attributes: true, characterData: true });
        const look = (): void => {
          if (++still < 10) return void requestAnimationFrame(look);
          observer.disconnect();
          resolve();
        };
        requestAnimationFrame(look);
      }),
  );
}
