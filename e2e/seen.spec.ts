import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import { expect, openBombs, quiet, saved, tab, test } from './kitchen';

const STATIONS = ['mold', 'melt', 'coat', 'chill', 'fill', 'close', 'finish', 'batch'];
const PAGES = [
  '/castings',
  '/castings/new?mold=bombs',
  '/molds',
  '/molds/bombs',
  '/molds/bell',
  '/molds/bombs/measure',
  '/pantry',
  '/pantry/quarry',
  '/pantry/moth',
  '/pantry/spice',
  '/pantry/quarry/drip',
  '/pantry/preparations',
  '/kitchen',
  '/log',
  '/log/lessons',
  '/clinic',
  '/casting/demo-bombs/clinic?seen=crackedRim',
  '/casting/demo-bombs/thermometer',
  '/casting/demo-bombs/compare',
  '/casting/demo-bombs/find',
  '/casting/demo-bombs/weigh-out',
  ...STATIONS.map((station) => `/casting/demo-bombs/${station}`),
];

/** Texts among the found elements that are cut off, or that something of another element lies over. */
function covered(page: Page, text: string, over: string): Promise<string[]> {
  return page.evaluate(
    ([texts, others]) => {
      const boxOf = (element: Element): DOMRect[] => {
        const range = document.createRange();
        range.selectNodeContents(element);
        return [...range.getClientRects()];
      };
      const found: string[] = [];
      for (const element of document.querySelectorAll<HTMLElement>(texts)) {
        if (element.scrollWidth > element.clientWidth + 1 && getComputedStyle(element).display !== 'inline')
          found.push(`cut: ${element.textContent}`);
        const card = element.closest('li, a');
        for (const other of card?.parentElement?.querySelectorAll(others) ?? []) {
          const b = other.getBoundingClientRect();
          if (
            !element.contains(other) &&
            boxOf(element).some(
              (a) => a.left < b.right - 1 && a.right > b.left + 1 && a.top < b.bottom - 1 && a.bottom > b.top + 1,
            )
          )
            found.push(`covered: ${element.textContent}`);
        }
      }
      return found;
    },
    [text, over] as const,
  );
}

for (const width of [1280, 1024, 768, 390]) {
  test(`at ${width} px no words of cards and strip are cut or covered`, async ({ page }) => {
    await page.setViewportSize({ width, height: 844 });
    await openBombs(page);
    await page
      .getByLabel('Name of the casting')
      .fill('A rather long name for the bombs of the hedgerow supper, with cider and spice');
    await quiet(page);
    expect(await covered(page, 'ks-strip strong, ks-strip .detail, ks-strip .mark', 'none')).toEqual([]);
    for (const path of ['/castings', '/molds', '/pantry']) {
      await page.goto(path);
      await expect(page.getByRole('listitem').first()).toBeVisible();
      await quiet(page);
      expect([path, await covered(page, 'li a strong, li a > span', 'button')]).toEqual([path, []]);
    }
  });
}

test('nothing is wider than a page of 320 px, and what is pressed on a phone is 44 px', async ({ page }) => {
  test.setTimeout(300_000);
  for (const path of PAGES) {
    await page.setViewportSize({ width: 320, height: 700 });
    await page.goto(path);
    await page.locator('h1, h2').first().waitFor();
    await quiet(page);
    expect([path, await page.evaluate(() => document.documentElement.scrollWidth)]).toEqual([path, 320]);
    if (!path.startsWith('/casting/demo-bombs/') || path.endsWith('weigh-out')) continue;
    await page.setViewportSize({ width: 390, height: 844 });
    await quiet(page);
    const small = await page.locator('main ks-figure button:visible').evaluateAll((all) =>
      all.flatMap((button) => {
        const { width, height } = button.getBoundingClientRect();
        return width < 43.5 || height < 43.5 ? [`${button.textContent} ${width} × ${height}`] : [];
      }),
    );
    expect([path, small]).toEqual([path, []]);
  }
});

test('keyboard focus is seen on whatever has it: its picture changes', async ({ page }) => {
  test.setTimeout(300_000);
  for (const path of ['/castings', '/casting/demo-bombs/coat', '/pantry', '/kitchen']) {
    await page.goto(path);
    await page.locator('h1, h2').first().waitFor();
    await quiet(page);
    for (let k = 0; k < 24; k++) {
      await page.keyboard.press('Tab');
      const focused = page.locator(':focus');
      const box = await focused.boundingBox();
      if (!box || box.width < 1) continue;
      const view = page.viewportSize() ?? { width: 1280, height: 800 };
      const [x, y] = [Math.max(0, box.x - 5), Math.max(0, box.y - 5)];
      const clip = {
        x,
        y,
        width: Math.min(view.width - x, box.width + 10),
        height: Math.min(view.height - y, box.height + 10),
      };
      if (clip.width < 1 || clip.height < 1) continue;
      await quiet(page);
      const lit = await page.screenshot({ clip, caret: 'hide', animations: 'disabled' });
      const name = await focused.evaluate((element) => {
        const said = element.getAttribute('aria-label') ?? element.textContent ?? element.tagName;
        (element as HTMLElement).blur();
        return said;
      });
      await quiet(page);
      const plain = await page.screenshot({ clip, caret: 'hide', animations: 'disabled' });
      expect([path, name, lit.equals(plain)]).toEqual([path, name, false]);
      // The next key goes on from there.
      await page.mouse.move(0, 0);
      await page.evaluate(
        ([at]) => {
          const all = [
            ...document.querySelectorAll<HTMLElement>(
              'a[href], button:not([disabled]), input:not([disabled]), select, textarea, [tabindex]',
            ),
          ].filter(
            (element) =>
              element.tabIndex >= 0 &&
              element.getClientRects().length > 0 &&
              !(element instanceof HTMLInputElement && element.type === 'radio' && !element.checked),
          );
          all[at]?.focus();
        },
        [k],
      );
    }
  }
});

test('from the top two steps lead to the fields of the open station', async ({ page }) => {
  await openBombs(page, 'batch');
  await expect(page.getByLabel('Pieces', { exact: true })).toBeVisible();
  await page.keyboard.press('Tab');
  await page.keyboard.press('Enter');
  await page.keyboard.press('Tab');
  await expect(page.getByRole('link', { name: 'Skip to the open station' })).toBeFocused();
  await page.keyboard.press('Enter');
  await page.keyboard.press('Tab');
  await expect(page.getByLabel('Pieces', { exact: true })).toBeFocused();
});

test('an address of no station leads to one there is', async ({ page }) => {
  await page.goto('/casting/demo-bombs/toppings');
  await expect(page).toHaveURL(/demo-bombs\/coat$/);
  await expect(tab(page, 'Coat')).toHaveAttribute('aria-current', 'step');
});

test('late is said everywhere, by itself, with what to do', async ({ page }) => {
  await openBombs(page, 'batch');
  await saved(page);
  await page.clock.setFixedTime(new Date('2026-10-17T12:40:00Z'));
  await openBombs(page, 'batch');
  await expect(page.getByText('Nothing to mend')).toHaveCount(0);
  await expect(tab(page, 'Batch')).not.toContainText('late');
  await page.clock.setFixedTime(new Date('2026-10-17T15:30:00Z'));
  await page.evaluate(() => document.dispatchEvent(new Event('visibilitychange')));
  await expect(tab(page, 'Batch')).toContainText('late');
  await expect(page.getByRole('heading', { name: /It cannot be ready in time/ })).toBeVisible();
  await expect(page.getByText(/^18 pieces, late: wanted by Sat 17 Oct, 18:00, ready at/)).toBeVisible();
  await page.goto('/casting/demo-bombs/weigh-out');
  await expect(page.getByRole('listitem').filter({ hasText: 'It cannot be ready in time' })).toBeVisible();
  await page.goto('/casting/demo-bombs/batch');
  await page.getByRole('button', { name: /^Set it to/ }).click();
  await expect(tab(page, 'Batch')).not.toContainText('late');
  await page.clock.setFixedTime(new Date('2026-10-24T15:30:00Z'));
  await page.goto('/castings');
  await expect(page.getByText(/was due Sat 17 Oct/).first()).toBeVisible();
});

test('when to start opens its working, and another zone is named', async ({ page }) => {
  await openBombs(page, 'batch');
  await page.getByRole('button', { name: /^When to start/ }).click();
  await expect(page.getByRole('dialog')).toContainText('Wanted by');
  await expect(page.getByRole('dialog')).toContainText('Sat 17 Oct, 18:00');
});

const WITHOUT_WORKER: Readonly<Record<string, (page: Page) => Promise<unknown>>> = {
  'does not load': (page) => page.route(/worker-.*\.js/, (route) => route.abort()),
  'is forbidden': (page) =>
    page.addInitScript(() => {
      globalThis.Worker = class {
        constructor() {
          throw new DOMException('forbidden', 'SecurityError');
        }
      } as never;
    }),
};
for (const [how, without] of Object.entries(WITHOUT_WORKER))
  test(`where the worker ${how}, an estimate is marked wherever it stands, and on paper`, async ({ page }) => {
    await without(page);
    await openBombs(page, 'chill');
    await expect(page.getByText('The fine computation does not start here')).toBeVisible({ timeout: 15_000 });
    for (const station of ['Coat', 'Melt', 'Batch']) {
      await tab(page, station).click();
      await expect(page.getByRole('status').filter({ hasText: 'Estimate.' })).toBeVisible();
      await expect(tab(page, station)).toContainText('estimate');
    }
    await expect(page.getByRole('heading', { name: 'Weigh out, estimated' })).toBeVisible();
    await page.goto('/casting/demo-bombs/weigh-out');
    await expect(page.getByText('These figures are a first estimate')).toBeVisible();
  });

test.describe('of parts that do not come', () => {
  test.use({ provoked: 'Failed to fetch dynamically imported module' });

  /** As many parts as are refused in turn. */
  const PARTS = Number(process.env['PARTS'] ?? 20);

  test('a part that cannot be loaded is said, with the way on; nothing stays blank', async ({ page }) => {
    test.setTimeout(900_000);
    // Where each part that comes later is first asked for.
    const first = new Map<string, string>();
    let at = '';
    page.on('request', (request) => {
      const file = /\/(chunk-[\w-]+\.js)$/.exec(request.url())?.[1];
      if (file && !first.has(file)) first.set(file, at);
    });
    const head = readFileSync('dist/web/index.html', 'utf8');
    for (at of PAGES) {
      await page.goto(at);
      await page.locator('h1, h2').first().waitFor();
      await quiet(page);
    }
    const later = [...first].filter(([file]) => !head.includes(file));
    expect(later.length).toBeGreaterThan(20);
    // Some of them, taken evenly; all with PARTS=999.
    const every = Math.ceil(later.length / PARTS);
    for (const [file, path] of later.filter((_, k) => k % every === 0)) {
      let refused = 0;
      await page.route(`**/${file}`, (route) => (refused++ === 0 ? route.abort() : route.continue()));
      await page.goto(path);
      // Either all of it is there at the second asking, or it is said that something is not.
      const missing = page.getByText(/could not be loaded/).first();
      await expect(missing.or(page.locator('main :is(h1, h2)').first()).first()).toBeVisible();
      // What is asked for late, when the page has nothing else to do, is waited for; not all of it is asked for at every visit.
      for (let k = 0; k < 20 && refused === 0; k++) await quiet(page);
      await quiet(page);
      // However late it is looked for: loading the page again brings it.
      await expect(async () => {
        if ((await missing.count()) > 0) await page.reload();
        await expect(page.locator('main :is(h1, h2)').first()).toBeVisible();
        await expect(page.getByText(/could not be loaded/)).toHaveCount(0, { timeout: 2000 });
      }).toPass();
      await page.unroute(`**/${file}`);
    }
  });
});

/** What nobody should type, and somebody will. */
const HOSTILE = [
  '',
  ' ',
  '0',
  '-1',
  '999',
  '1e999',
  '1/0',
  '1/2 cup',
  '1,250',
  '1.250 g',
  '1 lb 2 oz',
  '²',
  '½',
  '🍫',
  '\u200b',
  '<b>x</b>',
  "'); DROP",
  '=1+1',
  'NaN',
  'Infinity',
  'x'.repeat(300),
  '日本語',
];

for (const path of PAGES.filter((one) => !/castings$|weigh-out$|compare$/.test(one))) {
  test(`whatever is typed on ${path}, nothing breaks and nothing is shown that is no number`, async ({ page }) => {
    test.setTimeout(600_000);
    await page.goto(path);
    await page.locator('h1, h2').first().waitFor();
    await quiet(page);
    const fields = page.getByRole('textbox').or(page.getByRole('spinbutton'));
    for (const field of await fields.all()) {
      if (!(await field.isVisible()) || !(await field.isEditable())) continue;
      const was = await field.inputValue();
      for (const value of HOSTILE) await field.fill(value);
      await field.blur();
      expect(await page.locator('body').innerText()).not.toMatch(/\bNaN\b|undefined|\[object/);
      await field.fill(was);
      await field.blur();
    }
    await expect(page.locator('main :is(h1, h2)').first()).toBeVisible();
    await page.goto('/castings');
    await expect(page.getByRole('listitem').filter({ has: page.locator('ks-small-section') })).toHaveCount(9);
  });
}

test('a file of a hundred thousand junk records does not hold the page up, and the newest file’s verdict stands', async ({
  page,
}) => {
  await page.goto('/castings');
  await page.getByRole('button', { name: 'Import' }).click();
  const junk = JSON.stringify({
    format: 'kilnstone castings',
    formatVersion: 1,
    castings: Array.from({ length: 100_000 }, (_, i) => ({ id: i })),
  });
  const box = page.getByLabel(/A file exported from Kilnstone/);
  await box.setInputFiles({ name: 'junk.json', mimeType: 'application/json', buffer: Buffer.from(junk) });
  await box.setInputFiles({ name: 'empty.json', mimeType: 'application/json', buffer: Buffer.from(' ') });
  await expect(page.getByRole('alert')).toContainText('“empty.json” is empty');
  await box.setInputFiles({ name: 'junk.json', mimeType: 'application/json', buffer: Buffer.from(junk) });
  await expect(page.getByRole('alert')).toContainText('“junk.json” holds no casting that can be read', {
    timeout: 60_000,
  });
});
