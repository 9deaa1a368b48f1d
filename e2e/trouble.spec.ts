import { writeCastingFile } from '../src/data/casting-file';
import { demoCastings } from '../src/data/demo';
import { MONDAY, expect, openBombs, quiet, saved, tab, test, worked } from './kitchen';

const WRONG: readonly (readonly [string, RegExp])[] = [
  ['', /Empty: the last amount stays\. Type 10 to 400 mm/],
  ['lots', /No amount in that\. Type 10 to 400 mm/],
  ['-5', /Out of range\. Type 10 to 400 mm/],
  ['0', /Out of range/],
  ['999', /Out of range/],
  ['1/2 cup', /cup does not fit here/],
  ['1/0 in', /over 0/],
  ['Once upon a time there was a mold so wide that nobody could measure it', /Too long/],
];

test('a field keeps what it cannot read, marks it, and the last good plan stays', async ({ page }) => {
  await openBombs(page, 'mold');
  const width = page.getByLabel('Width of a cavity');
  for (const [typed, message] of WRONG) {
    await width.fill(typed);
    await width.blur();
    await expect(width).toHaveValue(typed);
    await expect(width).toHaveAttribute('aria-invalid', 'true');
    await expect(page.getByRole('alert')).toHaveText(message);
    await expect(tab(page, 'Mold')).toContainText('64 mm');
  }
  await page.keyboard.press('Escape');
  await tab(page, 'Coat').click();
  await tab(page, 'Mold').click();
  await expect(width).toHaveValue(WRONG[WRONG.length - 1][0]);
  await page.reload();
  await expect(width).toHaveValue(WRONG[WRONG.length - 1][0]);
  await expect(width).toHaveAttribute('aria-invalid', 'true');
  await width.fill('2 1/2 in');
  await width.blur();
  await expect(width).toHaveValue('63.5 mm');
  await expect(page.getByRole('alert')).toHaveCount(0);
});

test('a comma before three digits offers both readings', async ({ page }) => {
  await openBombs(page, 'batch');
  await page.getByLabel('Quarry 64 on hand').fill('1,250 g');
  await expect(page.getByRole('alert')).toContainText('reads two ways');
  await page.getByRole('button', { name: '1250 g', exact: true }).click();
  await expect(page.getByText(/With 1250\sg Quarry 64 you can make/)).toBeVisible();
});

test('a name may be emptied or pasted over, and the last good one stays', async ({ page }) => {
  await openBombs(page);
  const name = page.getByLabel('Name of the casting');
  await name.fill('');
  await expect(page.getByText('It needs a name; the last one stays.')).toBeVisible();
  await name.fill('x'.repeat(500));
  await expect(page.getByText(/At most 120 letters/)).toBeVisible();
  await name.fill('A rather long name for the bombs of the hedgerow supper, with cider and spice and all else');
  await saved(page);
  await page.goto('/castings');
  await expect(page.getByRole('link', { name: /A rather long name/ })).toBeVisible();
});

test('an import that cannot be used says why and where, and changes nothing', async ({ page }) => {
  const good = writeCastingFile(demoCastings(MONDAY), MONDAY);
  const files: [string, string, RegExp][] = [
    ['text.json', 'not json at all', /not a Kilnstone file: it stops making sense at line 1/],
    ['other.json', '{"playlist": []}', /was not made by Kilnstone/],
    ['cut.json', good.slice(0, 700), /breaks off at line \d+, column \d+/],
    ['newer.json', good.replace('"formatVersion": 1', '"formatVersion": 9'), /made by a newer Kilnstone/],
    ['big.json', `"${'x'.repeat(50_000_000)}"`, /is 50 MB/],
  ];
  await page.goto('/castings');
  await page.getByRole('button', { name: 'Import' }).click();
  for (const [name, content, message] of files) {
    await page
      .getByLabel(/A file exported from Kilnstone/)
      .setInputFiles({ name, mimeType: 'application/json', buffer: Buffer.from(content) });
    await expect(page.getByRole('alert')).toContainText(message);
    await expect(page.getByRole('alert')).toContainText('Nothing was changed.');
  }
  await page.getByLabel(/A file exported from Kilnstone/).setInputFiles({
    name: 'mixed.json',
    mimeType: 'application/json',
    buffer: Buffer.from(good.replace('"pieces": 24', '"pieces": "lots"')),
  });
  await expect(page.getByRole('alert')).toContainText(
    'Casting 2 (“Pebble bites”): the value at pieces cannot be used.',
  );
  await expect(page.getByRole('listitem').filter({ has: page.locator('ks-small-section') })).toHaveCount(9);
  await page.getByRole('button', { name: 'Take the good ones' }).click();
  await expect(page.getByRole('listitem')).toHaveCount(17);
});

test('with storage blocked it works in memory, says so, and offers the export', async ({ page }) => {
  await page.addInitScript(() => {
    IDBFactory.prototype.open = () => {
      throw new DOMException('blocked', 'SecurityError');
    };
  });
  await openBombs(page);
  await expect(page.getByRole('alert')).toContainText('does not let Kilnstone store anything');
  await expect(page.getByText('Not saved here')).toBeVisible();
  await page.getByLabel('Worked at').fill('32');
  await expect(tab(page, 'Coat')).toContainText('mm');
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Export everything' }).click(),
  ]);
  expect(download.suggestedFilename()).toContain('all castings');
});

test('with storage full it works in memory, says so, offers the export, and saves once there is room', async ({
  page,
}) => {
  await page.goto('/favicon.svg');
  const session = await page.context().newCDPSession(page);
  const origin = new URL(page.url()).origin;
  await session.send('Storage.overrideQuotaForOrigin', { origin, quotaSize: 1 });
  await openBombs(page, 'batch');
  await expect(page.getByText('Not saved: storage full')).toBeVisible();
  await expect(page.getByRole('alert')).toContainText('storage is full');
  await page.getByLabel('Pieces', { exact: true }).fill('30');
  await expect(tab(page, 'Batch')).toContainText('11 rounds');
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Export everything' }).click(),
  ]);
  expect(download.suggestedFilename()).toContain('all castings');
  await session.send('Storage.overrideQuotaForOrigin', { origin });
  await page.getByLabel('Pieces', { exact: true }).fill('31');
  await expect(page.getByText(/^31 pieces/)).toBeVisible();
  await saved(page);
  await page.reload();
  await expect(page.getByLabel('Pieces', { exact: true })).toHaveValue('31');
});

test('a reload in mid-edit loses nothing', async ({ page }) => {
  await openBombs(page, 'batch');
  await page.getByLabel('Pieces', { exact: true }).fill('25');
  await page.getByLabel('Pieces', { exact: true }).pressSequentially('x');
  await page.reload();
  await expect(page.getByText(/^25 pieces/)).toBeVisible();
});

test('two tabs: the later change wins, the other shows it, and a focused field is left alone', async ({
  page,
  context,
}) => {
  await openBombs(page, 'batch');
  const other = await context.newPage();
  await other.clock.setFixedTime(MONDAY);
  await openBombs(other, 'batch');
  await page.getByLabel('Pieces', { exact: true }).fill('30');
  await expect(other.getByText(/^30 pieces/)).toBeVisible();
  await expect(other.getByLabel('Pieces', { exact: true })).toHaveValue('30');
  await page.getByLabel('Pieces', { exact: true }).focus();
  await other.clock.setFixedTime(new Date(MONDAY.getTime() + 60_000));
  await other.getByLabel('Pieces', { exact: true }).fill('40');
  await expect(page.getByText(/^40 pieces/)).toBeVisible();
  await expect(page.getByLabel('Pieces', { exact: true })).toHaveValue('30');
  await page.getByLabel('Pieces', { exact: true }).blur();
  await expect(page.getByLabel('Pieces', { exact: true })).toHaveValue('40');
  await other.getByRole('button', { name: 'Delete this casting' }).click();
  await expect(page.getByRole('heading', { name: 'This casting is not here any more' })).toBeVisible();
});

test('when the worker cannot start, figures are there, marked, and come right once it can', async ({ page }) => {
  let broken = true;
  await page.route(/worker-.*\.js/, (route) => (broken ? route.abort() : route.continue()));
  await openBombs(page, 'chill');
  await expect(tab(page, 'Chill')).toContainText(/\d+ \+ \d+ min/);
  await expect(page.getByText('The fine computation does not start here')).toBeVisible({ timeout: 15_000 });
  await page.getByLabel('Fridge', { exact: true }).fill('2');
  await expect(tab(page, 'Chill')).toContainText(/\d+ \+ \d+ min/);
  broken = false;
  await page.getByRole('button', { name: 'Try again' }).click();
  await expect(page.getByText('The fine computation does not start here')).toBeHidden();
  await expect(page.getByRole('row', { name: /^freezer/ })).toContainText('damp, if left too long');
});

test('fifty quick edits end on the last one’s figures', async ({ page }) => {
  await openBombs(page, 'chill');
  const fridge = page.getByLabel('Fridge', { exact: true });
  for (let k = 0; k < 50; k++) await fridge.fill(String(k % 2 ? 12 : 0));
  await fridge.fill('5');
  await worked(page);
  await quiet(page);
  const settled = (await tab(page, 'Chill').textContent()) ?? '';
  await page.reload();
  await expect(page.locator('ks-place-comparison tbody tr')).toHaveCount(3);
  await expect.poll(() => tab(page, 'Chill').textContent()).toBe(settled);
});

test('the largest allowed job is planned without a stumble', async ({ page }) => {
  await openBombs(page, 'batch');
  await page.getByLabel('Pieces', { exact: true }).fill('2000');
  await expect(tab(page, 'Batch')).toContainText(/\d{3} rounds/);
  await page.getByText('whole job').click();
  await expect(page.locator('ks-ribbon li')).toHaveCount(16);
  await page.getByLabel('Pieces', { exact: true }).fill('1');
  await expect(tab(page, 'Batch')).toContainText('1 round');
});

test('an address that leads nowhere comes back home', async ({ page }) => {
  await page.goto('/casting/none/coat');
  await expect(page.getByRole('heading', { name: 'This casting is not here any more' })).toBeVisible();
  await page.getByRole('link', { name: 'See all castings' }).click();
  await expect(page.getByRole('listitem')).toHaveCount(9);
  await page.goto('/nowhere/at/all');
  await expect(page).toHaveURL(/casting\/demo-bombs/);
});
