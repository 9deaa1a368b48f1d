import AxeBuilder from '@axe-core/playwright';
import { readFileSync } from 'node:fs';
import { inflateSync } from 'node:zlib';
import type { Page } from '@playwright/test';
import { choose, expect, openBombs, quiet, saved, tab, test, visit, worked } from './kitchen';

/** Opens a station of one of the demo's castings. */
async function open(page: Page, casting: string, station: string): Promise<void> {
  await page.goto(`/casting/${casting}/${station}`);
  await expect(page.locator('ks-ribbon li').first()).toBeVisible();
}

/** Grams in a text, one after another. */
const grams = (text: string): number[] => [...text.matchAll(/([\d.]+) g/g)].map(([, number]) => Number(number));

/** What the streams of a PDF hold, unpacked. */
function streamsOf(pdf: Buffer): Buffer[] {
  return [...pdf.toString('latin1').matchAll(/stream\r?\n([\s\S]*?)endstream/g)].flatMap(([, body]) => {
    try {
      return [inflateSync(Buffer.from(body, 'latin1'))];
    } catch {
      return [];
    }
  });
}

/** Bytes of outlines in a typeface that a PDF carries; undefined for what is none. */
function outlinesIn(stream: Buffer): number | undefined {
  if (!['\0\x01\0\0', 'true'].includes(stream.toString('latin1', 0, 4))) return undefined;
  const tables = Array.from({ length: stream.readUInt16BE(4) }, (_, i) => 12 + 16 * i);
  const outlines = tables.find((at) => stream.toString('latin1', at, at + 4) === 'glyf');
  return outlines === undefined ? 0 : stream.readUInt32BE(outlines + 12);
}

/** Makes the bombs of two halves of two colours, the lower one white. */
async function twoColours(page: Page): Promise<void> {
  await openBombs(page, 'mold');
  await page.getByRole('button', { name: 'More parts or colours' }).click();
  await page.getByRole('button', { name: 'Two halves of two colours' }).click();
  await page.keyboard.press('3');
  await choose(page.getByLabel('Chocolate', { exact: true }), 'linen');
  await expect(tab(page, 'Melt')).toContainText('Linen, Quarry 64');
}

test('two halves of two colours: a melt for each, light before dark, all of it adding up, kept after a reload', async ({
  page,
}) => {
  await twoColours(page);
  await expect(page.getByRole('table').filter({ hasText: 'Lower half, first coat' })).toBeVisible();
  await page.keyboard.press('8');
  await expect(page.getByText('Rounds 1 to 3, each: 6 × Lower half')).toBeVisible();
  await worked(page);
  const bars = page.locator('ks-batch-view .shares');
  const heads = page.getByRole('region', { name: 'What is melted' }).locator('h2');
  await expect(heads).toHaveCount(2);
  for (let i = 0; i < 2; i++) {
    const [melted] = grams((await heads.nth(i).textContent()) ?? '');
    const parts = grams((await bars.nth(i).textContent()) ?? '');
    expect(Math.abs(parts.reduce((sum, g) => sum + g, 0) - melted)).toBeLessThanOrEqual(2);
  }
  // The weigh-out adds up to the gram.
  for (const table of await page.locator('ks-weigh-out table').filter({ hasText: 'Melt' }).all()) {
    const job = await table.locator('tbody tr td:last-child').allTextContents();
    const all = job.map((cell) => grams(cell)[0]);
    expect(all.slice(0, -1).reduce((sum, g) => sum + g, 0)).toBeCloseTo(all[all.length - 1], 6);
  }
  await saved(page);
  await page.reload();
  await expect(tab(page, 'Melt')).toContainText('Linen, Quarry 64');
  await page.keyboard.press('3');
  await page.getByRole('radiogroup', { name: 'Part' }).getByText('Upper half').click();
  await expect(page.getByLabel('Chocolate', { exact: true })).toHaveAccessibleDescription('Quarry 64');
});

test('a name in Chinese, Japanese or Korean, and a sign in it, stand in the PDF', async ({ page }) => {
  await openBombs(page, 'mold');
  await page.getByRole('textbox', { name: 'Name of the casting' }).fill('日本の夜 서울 🍫');
  await page.keyboard.press('Tab');
  await page.getByRole('link', { name: 'Weigh-out sheet' }).click();
  await expect(page.getByRole('heading', { name: '日本の夜 서울 🍫', level: 1 })).toBeVisible();
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Save as PDF' }).click(),
  ]);
  const pdf = readFileSync(await download.path());
  const fonts = [...pdf.toString('latin1').matchAll(/\/FontName \/[A-Z]+\+(\w+)/g)].map(([, name]) => name);
  expect(fonts.some((name) => name.startsWith('NotoSansSC'))).toBe(true);
  const streams = streamsOf(pdf);
  const codes = streams.map((stream) => stream.toString('latin1')).join('\n');
  for (const letter of ['日', '本', 'の', '夜', '서', '울']) {
    const code = letter.charCodeAt(0).toString(16).padStart(4, '0');
    expect([letter, codes.includes(`<${code}>`)]).toEqual([letter, true]);
  }
  expect(codes).toContain('<d83c df6b>');
  // They are drawn, too: each typeface carries the outlines of its letters, not of the empty box alone.
  for (const bytes of streams.map(outlinesIn)) if (bytes !== undefined) expect(bytes).toBeGreaterThan(150);
});

test('the sheet of two colours prints on one page, and is saved as a PDF of one page and as CSV', async ({ page }) => {
  await twoColours(page);
  await page.getByRole('link', { name: 'Weigh-out sheet' }).click();
  await expect(page.getByRole('heading', { name: 'Lower half', exact: true })).toBeVisible();
  await expect(page.getByRole('button', { name: 'Print', exact: true })).toBeVisible();
  await expect(page.getByText('These figures are a first estimate')).toHaveCount(0);
  // Found behind, once nothing is touched: it takes no line more.
  await expect(page.getByText('In Hedgerow supper from')).toBeVisible({ timeout: 120_000 });
  await page.emulateMedia({ media: 'print' });
  for (const format of ['A4', 'Letter'] as const)
    expect((await page.pdf({ format })).toString('latin1').match(/\/Type\s*\/Page\b/g)).toHaveLength(1);
  await page.emulateMedia({ media: 'screen' });
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Save as PDF' }).click(),
  ]);
  expect(download.suggestedFilename()).toBe('Kilnstone weigh-out Cider-spice bombs.pdf');
  const pdf = readFileSync(await download.path(), 'latin1');
  expect(pdf.startsWith('%PDF-')).toBe(true);
  expect(pdf.match(/\/Type\s*\/Page\b/g)).toHaveLength(1);
  const [csv] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Save as CSV' }).click(),
  ]);
  const rows = readFileSync(await csv.path(), 'utf8')
    .split('\r\n')
    .map((row) => row.split(','));
  expect(rows[0].join()).toContain('what');
  expect(rows.some(([what, ...rest]) => what === 'Linen' && rest.includes('Melt'))).toBe(true);
});

test('each coat from its own chocolate, and one marbled: drawn so, and melted in its share', async ({ page }) => {
  await openBombs(page, 'coat');
  await page.getByRole('button', { name: 'Another for each coat' }).click();
  await choose(page.getByLabel('Chocolate of coat 2'), 'fallow');
  await page.getByRole('button', { name: 'Marble it' }).nth(1).click();
  await choose(page.getByLabel('Streaked with'), 'linen');
  await page.getByLabel('Of the coat').fill('a third');
  await expect(page.getByText('No amount in that.')).toBeVisible();
  await page.getByLabel('Of the coat').fill('130 %');
  await expect(page.getByText(/Out of range/)).toBeVisible();
  await page.getByLabel('Of the coat').fill('1/3');
  await expect(tab(page, 'Melt')).toContainText('Quarry 64, Fallow, Linen');
  await expect(page.locator('pattern[id^="streak-"]')).toHaveCount(1);
  await page.keyboard.press('Control+z');
});

test('layers are dragged into order, or moved by their buttons; the section and what fits follow', async ({ page }) => {
  await openBombs(page, 'fill');
  const layers = page.locator('.layers > li');
  await expect(layers.nth(0)).toContainText('Cocoa');
  const grips = page.locator('.layers .grip');
  const from = await grips.nth(0).boundingBox();
  const to = await layers.nth(1).boundingBox();
  if (!from || !to) throw new Error('no layers');
  await page.mouse.move(from.x + 8, from.y + 18);
  await page.mouse.down();
  await page.mouse.move(from.x + 8, from.y + 60, { steps: 5 });
  await page.mouse.move(from.x + 8, to.y + to.height / 2, { steps: 12 });
  await page.mouse.up();
  await expect(layers.nth(1)).toContainText('Cocoa');
  await page.keyboard.press('Control+z');
  await expect(layers.nth(0)).toContainText('Cocoa');
  await page.getByRole('button', { name: 'Put Small marshmallows one layer lower' }).click();
  await expect(layers.nth(1)).toContainText('Cocoa');
});

test('a cap that has no room is said so, and the fill is lowered for it', async ({ page }) => {
  await open(page, 'demo-bonbons', 'fill');
  await page.getByLabel('Below the rim').fill('0.3 mm');
  const note = page.getByRole('heading', { name: /Only 0\.30 mm is left for the cap/ });
  await expect(note).toBeVisible();
  await expect(tab(page, 'Close')).toContainText('no cap');
  await page.getByRole('button', { name: 'Fill lower' }).click();
  await expect(note).toBeHidden();
  await page.locator('nav a[href$="/close"]').click();
  await expect(page.locator('dt', { hasText: 'Cap, thick' }).locator('+ dd')).toContainText('2.0 mm');
  const rest = page.getByLabel('Rests in the room first');
  await rest.fill('half a thumb');
  await expect(page.getByText('No amount in that.')).toBeVisible();
  await page.locator('nav a[href$="/finish"]').click();
  await page.getByRole('button', { name: 'drizzle' }).click();
  await expect(page.getByText(/A piece takes/)).toBeVisible();
  await page.locator('nav a[href$="/close"]').click();
  await expect(rest).toHaveValue('half a thumb');
});

test('a cap by the spoon stays below the rim or runs over it, and is out when it is set', async ({ page }) => {
  await open(page, 'demo-bonbons', 'close');
  await choose(page.getByLabel('How it is closed'), 'dosedCap');
  await page.getByLabel('Chocolate on each').fill('0.2 tsp');
  await expect(page.getByText('Stays below the rim')).toBeVisible();
  await page.getByLabel('Chocolate on each').fill('1 tsp');
  await expect(page.getByRole('heading', { name: /of each cap runs over the rim/ })).toBeVisible();
  await page.getByRole('button', { name: 'set my own time' }).click();
  await page.getByLabel('Your own time for cap').fill('2 min');
  await expect(page.getByRole('heading', { name: /Your 2 min for the cap is short of/ })).toBeVisible();
  await page.getByRole('button', { name: 'Use the computed time' }).first().click();
  await expect(page.getByRole('heading', { name: /for the cap is short of/ })).toHaveCount(0);
});

test('the piece is drawn as it is served; its cap grows by its edge, dragged or by keys, and the rest follows', async ({
  page,
}) => {
  await open(page, 'demo-bonbons', 'close');
  await expect(page.getByText(/15 mm tall/)).toBeVisible();
  const edge = page.getByRole('slider', { name: 'Thickness of the cap' });
  await expect(edge).toHaveAttribute('aria-valuetext', '2.5 mm');
  const at = await edge.boundingBox();
  if (!at) throw new Error('no edge to drag');
  await page.mouse.move(at.x + at.width / 2, at.y + at.height / 2);
  await page.mouse.down();
  await page.mouse.move(at.x + at.width / 2, at.y + at.height / 2 - 8, { steps: 6 });
  await page.mouse.up();
  await expect(edge).not.toHaveAttribute('aria-valuetext', '2.5 mm');
  await page.keyboard.press('Control+z');
  await expect(edge).toHaveAttribute('aria-valuetext', '2.5 mm');
  await edge.focus();
  await page.keyboard.press('ArrowUp');
  await expect(edge).toHaveAttribute('aria-valuetext', '2.6 mm');
  await expect(page.locator('dt', { hasText: 'Cap, thick' }).locator('+ dd')).toContainText('2.6 mm');
});

test('a shell on its base is joined to it with a seam, and put together in that order', async ({ page }) => {
  await open(page, 'demo-pears', 'close');
  await expect(page.getByLabel('How it is closed')).toHaveAccessibleDescription('piped seam');
  await expect(page.getByText('Set the base on, and count to five.')).toBeVisible();
  const drawing = page.getByRole('img', { name: /^The piece cut through, 70 mm wide and 78 mm tall/ });
  await expect(drawing).toBeVisible();
  await choose(page.getByLabel('How it is closed'), 'warmPlate');
  await expect(page.getByText(/Lift straight off and set it on the base/)).toBeVisible();
  await expect(page.getByText('Plates, one a colour')).toBeVisible();
  await page.keyboard.press('2');
  await page.keyboard.press('6');
  await expect(page.getByLabel('How it is closed')).toHaveAccessibleDescription('on a warm plate');
});

test('a recipe in the pantry is scaled; one that would go in a circle is refused, and the ingredient stays', async ({
  page,
}) => {
  await page.goto('/pantry/ganache');
  await page.getByLabel('Amount wanted').fill('1 lb');
  await expect(page.getByRole('row', { name: /Quarry 64/ })).toContainText('227 g');
  await choose(page.getByLabel('Ingredient 2'), 'f:hazelnut');
  await expect(page.getByRole('alert')).toContainText(
    'That would go round in a circle: Dark ganache → Hazelnut ganache → Dark ganache',
  );
  await expect(page.locator('ks-recipe-editor .part').nth(1)).toContainText('Cream');
  await page.getByRole('button', { name: 'Add an ingredient' }).click();
  await page.getByLabel('Density as it lies in a jug').fill('');
  await expect(page.getByText('Empty: the last amount stays.')).toBeVisible();
  await page.getByLabel('Density as it lies in a jug').fill('1050 g/L');
  await expect(page.getByRole('alert')).toHaveCount(1);
  await page.goto('/casting/demo-bonbons/fill');
  // The casting keeps its own copy.
  await expect(page.getByText(/(\d\d) g Quarry 64, \1 g Cream/)).toBeVisible();
});

test('the job is scaled beforehand, made so, undone; booked into the pantry, and out again', async ({ page }) => {
  await openBombs(page, 'batch');
  await page.getByText('Scale it, or make it otherwise').click();
  await page.getByRole('button', { name: 'double' }).click();
  await expect(page.getByText(/13 rounds instead of 7; 2 molds would keep it at 7/)).toBeVisible();
  await page.getByRole('button', { name: 'Make it so' }).click();
  await expect(tab(page, 'Batch')).toContainText('13 rounds');
  await page.keyboard.press('Control+z');
  await expect(tab(page, 'Batch')).toContainText('7 rounds');
  await worked(page);
  const chocolate = page
    .getByRole('row', { name: /^Quarry 64/ })
    .filter({ hasText: 'g' })
    .last();
  await expect(chocolate).toContainText('500 g');
  await page.getByRole('button', { name: 'Job done: book it into the pantry' }).click();
  await expect(page.getByText('Booked: packs bought in')).toBeVisible();
  await expect(chocolate).not.toContainText('500 g');
  await page.getByRole('button', { name: 'Undo' }).last().click();
  await expect(chocolate).toContainText('500 g');
  const [csv] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Shopping list as CSV' }).click(),
  ]);
  expect(readFileSync(await csv.path(), 'utf8')).toContain('Quarry 64');
});

test('a file whose fillings contain each other is refused with the circle, and the rest is kept', async ({ page }) => {
  await page.goto('/castings');
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Export everything' }).click(),
  ]);
  const file = JSON.parse(readFileSync(await download.path(), 'utf8')) as {
    castings: { fillings: { id: string; recipe: object[] }[] }[];
  };
  file.castings[0].fillings
    .find(({ id }) => id === 'ganache')
    ?.recipe.push({ name: 'Hazelnut ganache', parts: 1, fillingId: 'hazelnut', allergens: [] });
  await page.getByRole('button', { name: 'Import' }).click();
  await page
    .getByLabel(/A file exported from Kilnstone/)
    .setInputFiles({ name: 'circle.json', mimeType: 'application/json', buffer: Buffer.from(JSON.stringify(file)) });
  await expect(
    page.getByText(
      /fillings contain each other in a circle \((Hazelnut ganache → Dark ganache → Hazelnut ganache|Dark ganache → Hazelnut ganache → Dark ganache)\)/,
    ),
  ).toBeVisible();
});

test('the new stations go by keyboard alone', async ({ page }) => {
  await openBombs(page);
  for (const [key, station] of [
    ['5', 'fill'],
    ['6', 'close'],
    ['7', 'finish'],
    ['8', 'batch'],
  ]) {
    await page.keyboard.press(key);
    await expect(page).toHaveURL(new RegExp(`${station}$`));
  }
  await page.keyboard.press('7');
  await page.getByRole('button', { name: 'drizzle' }).focus();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: '1. drizzle' })).toBeVisible();
  await page.getByRole('button', { name: 'Take drizzle off' }).focus();
  await page.keyboard.press('Space');
  await expect(page.getByText('Plain so far.')).toBeVisible();
});

for (const path of [
  '/casting/demo-bonbons/fill',
  '/casting/demo-bonbons/close',
  '/casting/demo-bombs/close',
  '/casting/demo-tiles/finish',
  '/casting/demo-pears/close',
  '/casting/demo-bombs/finish',
  '/casting/demo-pears/batch',
  '/casting/demo-owls/mold',
  '/pantry',
  '/pantry/hazelnut',
  '/casting/demo-pears/weigh-out',
]) {
  test(`axe finds nothing on ${path}, and nothing is wider than a phone`, async ({ page }) => {
    await visit(page, path);
    const found = await new AxeBuilder({ page }).analyze();
    expect(found.violations.map((v) => `${v.id}: ${v.nodes.map((n) => n.target).join(' ')}`)).toEqual([]);
    await page.setViewportSize({ width: 390, height: 844 });
    await quiet(page);
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
  });
}
