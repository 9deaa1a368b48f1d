import type { Page } from '@playwright/test';
import { MONDAY, expect, openBombs, saved, stored, test } from './kitchen';

const pieces = (page: Page) => page.getByLabel('Pieces', { exact: true });

/** Numbers from 0 to 1 that come the same every time (Park and Miller, 1988). */
function* chances(seed: number): Generator<number, never> {
  for (let n = seed; ;) yield (n = (n * 16807) % 2147483647) / 2147483647;
}

/** How often the page is loaded anew while something is typed. */
const RELOADS = Number(process.env['RELOADS'] ?? 25);

test('reloads at random moments of typing lose nothing', async ({ page }) => {
  test.setTimeout(900_000);
  const chance = chances(2026);
  await openBombs(page, 'batch');
  for (let k = 0; k < RELOADS; k++) {
    const wanted = String(2 + ((k * 7) % 900));
    await pieces(page).fill(wanted);
    // Within the quarter second after which it is saved, before it, in the middle of it, or just after.
    await page.evaluate((ms) => new Promise((resolve) => setTimeout(resolve, ms)), 320 * chance.next().value);
    await page.reload({ waitUntil: 'commit' });
    await expect(pieces(page)).toHaveValue(wanted);
  }
});

test('two tabs that change different fields of one casting at once both keep theirs, fifty times', async ({
  page,
  context,
}) => {
  test.setTimeout(600_000);
  const other = await context.newPage();
  await other.clock.setFixedTime(MONDAY);
  await openBombs(page, 'batch');
  await openBombs(other, 'chill');
  const fridge = other.getByLabel('Fridge', { exact: true });
  for (let k = 0; k < 50; k++) {
    const [count, degrees] = [30 + k, (k % 12) + 0.5];
    await Promise.all([pieces(page).fill(String(count)), fridge.fill(String(Math.min(12, degrees)))]);
    await expect
      .poll(async () => {
        const casting = await stored(page);
        return [casting?.pieces, casting?.kitchen.fridgeC];
      })
      .toEqual([count, Math.min(12, degrees)]);
  }
  await expect(other.getByText(/^79 pieces/)).toBeVisible();
  await page.reload();
  await expect(page.getByText(/^79 pieces/)).toBeVisible();
});

test('an undo in one tab leaves what another has changed since', async ({ page, context }) => {
  const other = await context.newPage();
  await other.clock.setFixedTime(MONDAY);
  await openBombs(page, 'batch');
  await openBombs(other, 'batch');
  await pieces(page).fill('30');
  await expect(other.getByText(/^30 pieces/)).toBeVisible();
  await pieces(other).fill('40');
  await expect(page.getByText(/^40 pieces/)).toBeVisible();
  await page.getByRole('button', { name: 'Undo pieces' }).click();
  await expect(page.getByText('it was changed elsewhere since')).toBeVisible();
  await expect(page.getByText(/^40 pieces/)).toBeVisible();
});

test('site data that are cleared while the page is open are written back, and said', async ({ page }) => {
  await openBombs(page, 'batch');
  await saved(page);
  const session = await page.context().newCDPSession(page);
  await session.send('Storage.clearDataForOrigin', { origin: new URL(page.url()).origin, storageTypes: 'all' });
  await pieces(page).fill('33');
  await expect(page.getByText('has been saved again')).toBeVisible();
  await saved(page);
  await page.goto('/castings');
  await expect(page.getByRole('listitem').filter({ has: page.locator('ks-small-section') })).toHaveCount(9);
  await expect(page.getByText(/^33 pieces/)).toBeVisible();
});

test('a database that does not answer opens the page all the same, says so, and offers to try again', async ({
  page,
}) => {
  await page.addInitScript(() => {
    if (sessionStorage.getItem('answers')) return;
    // An opening that another page holds up: it neither succeeds nor fails.
    IDBFactory.prototype.open = () => new EventTarget() as IDBOpenDBRequest;
  });
  await page.goto('/casting/demo-bombs/coat');
  await expect(page.getByRole('alert')).toContainText('does not answer');
  await expect(page.getByLabel('Name of the casting')).toHaveValue('Cider-spice bombs');
  await expect(page.getByText('Not saved here')).toBeVisible();
  await page.evaluate(() => sessionStorage.setItem('answers', 'yes'));
  await page.getByRole('button', { name: 'Try again' }).click();
  await expect(page.getByText('Saved', { exact: true })).toBeVisible();
});

test('stored records that cannot be read are counted, saved as a file, taken out, and put back', async ({ page }) => {
  await openBombs(page);
  await saved(page);
  await page.evaluate(
    () =>
      new Promise<void>((resolve) => {
        const open = indexedDB.open('kilnstone');
        open.onsuccess = () => {
          const write = open.result.transaction('castings', 'readwrite');
          for (const id of ['bad-1', 'bad-2'])
            write.objectStore('castings').put({
              id,
              casting: { schemaVersion: 6, id, name: id, due: { local: 'soon', zone: 'Z' } },
              stamp: 1,
              tab: 'then',
            });
          write.oncomplete = () => {
            open.result.close();
            resolve();
          };
        };
      }),
  );
  await page.reload();
  await expect(page.getByRole('alert')).toContainText('2 stored castings could not be read and are left as they are');
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Save as a file' }).click(),
  ]);
  expect(download.suggestedFilename()).toContain('unreadable');
  await page.getByRole('button', { name: 'Take out' }).click();
  await expect(page.getByRole('alert')).toHaveCount(0);
  await page.getByText('Undo', { exact: true }).click();
  await expect(page.getByRole('alert')).toContainText('2 stored castings');
});

test('one wish is done once, however often it is pressed', async ({ page }) => {
  await page.goto('/castings');
  const cards = page.getByRole('listitem').filter({ has: page.locator('ks-small-section') });
  await expect(cards).toHaveCount(9);
  await page.getByRole('button', { name: 'Copy Cider-spice bombs' }).dblclick();
  await expect(page.getByLabel('Name of the casting')).toHaveValue('Cider-spice bombs 2');
  await page.goto('/castings');
  await expect(cards).toHaveCount(10);
  await page.getByRole('link', { name: 'New casting' }).click();
  await page.getByText('Cocoa bomb', { exact: true }).click();
  await page.getByRole('button', { name: 'Plan it' }).dblclick();
  await expect(page.getByLabel('Name of the casting')).toHaveValue('Cocoa bombs');
  await page.goto('/castings');
  await expect(cards).toHaveCount(11);
  await openBombs(page, 'batch');
  const book = page.getByRole('button', { name: 'Job done: book it into the pantry' });
  await book.dblclick();
  await expect(page.getByText(/^Booked into the pantry on/)).toBeVisible();
  await saved(page);
  await page.reload();
  await expect(page.getByText(/^Booked into the pantry on/)).toBeVisible();
  await expect(book).toHaveCount(0);
});

test('words typed into a field are kept when the browser’s Back takes the page away', async ({ page }) => {
  await page.goto('/castings');
  const rail = page.getByRole('navigation', { name: 'Kilnstone' });
  await rail.getByRole('link', { name: 'Kitchen' }).click();
  await page.getByLabel('Prices in').fill('CHF');
  await page.goBack();
  await expect(page.getByRole('heading', { name: 'Castings' })).toBeVisible();
  await rail.getByRole('link', { name: 'Kitchen' }).click();
  await expect(page.getByLabel('Prices in')).toHaveValue('CHF');
});
