import AxeBuilder from '@axe-core/playwright';
import type { Locator, Page } from '@playwright/test';
import { choose, expect, openBombs, saved, stored, tab, test, worked } from './kitchen';

test('the figures become the simulation’s, and say so', async ({ page }) => {
  await openBombs(page);
  await worked(page);
  await page.locator('.callout').first().getByRole('button').click();
  const panel = page.getByRole('dialog');
  await expect(panel.getByText(/All coats at that place/)).toBeVisible();
  await panel.getByRole('button', { name: /mm/ }).first().click();
  await expect(panel.getByText(/Simulated, minute by minute/)).toBeVisible();
});

test('the film of a shell plays, is moved by keyboard, follows a change, and is closed again', async ({ page }) => {
  await openBombs(page);
  await worked(page);
  await page.getByRole('button', { name: 'Watch it run and set' }).click();
  const time = page.getByLabel('Time', { exact: true });
  await expect(time).toBeVisible();
  await expect.poll(async () => Number(await time.inputValue())).toBeGreaterThan(5);
  await page.getByRole('button', { name: 'Pause' }).click();
  await time.fill('30');
  await expect(page.locator('ks-film-bar')).toContainText('Coat 1: tipped out, rocked and tapped');
  await expect(page.locator('ks-film-bar')).toContainText(/Shown \d+ times faster than in life/);
  const before = (await time.getAttribute('aria-valuetext')) ?? '';
  for (let k = 0; k < 4; k++) await time.press('ArrowRight');
  await expect(time).not.toHaveAttribute('aria-valuetext', before);
  await expect(page.getByRole('list', { name: 'How far the chocolate has come' })).toContainText('runs no more');
  await expect(page.locator('ks-thickness-times')).toBeVisible();
  await time.press('End');
  await expect(page.locator('ks-film-bar')).toContainText('Coat 2: fridge, upside down');
  const rim = async (): Promise<string> =>
    (await page.locator('ks-film-bar').innerText()).match(/Rim ([\d.]+) mm/)?.[1] ?? '';
  const two = await rim();
  await page.getByRole('heading', { name: 'Weigh out' }).click();
  await page.keyboard.press('-');
  await worked(page);
  await time.press('End');
  await expect.poll(rim).not.toBe(two);
  await page.getByRole('button', { name: 'Back to the result' }).click();
  await expect(page.locator('ks-thickness-curve')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Watch it run and set' })).toBeVisible();
});

test('two ways stand side by side with a verdict; one is taken over, and undone', async ({ page }) => {
  await openBombs(page);
  await worked(page);
  await page.getByRole('link', { name: 'Compare two ways' }).click();
  await expect(page.getByRole('heading', { name: /Compare two ways/ })).toBeVisible();
  await page.getByRole('button', { name: 'as one thick coat or as two thin coats' }).click();
  await expect(page.getByRole('status').filter({ hasText: 'As two thin coats it breaks less often' })).toBeVisible();
  const sides = page.locator('ks-compare-side');
  await expect(sides).toHaveCount(2);
  await expect(sides.first()).toContainText('Breaks when unmolded');
  await choose(page.getByLabel('The other way'), { label: 'in the freezer' });
  await expect(page.getByRole('region', { name: 'in the freezer' })).toContainText('Coating and setting, a round');
  await page.getByRole('region', { name: 'in the freezer' }).getByRole('button', { name: 'Make it this way' }).click();
  await page.getByRole('link', { name: 'Back to Cider-spice bombs' }).click();
  await expect(tab(page, 'Chill')).toContainText('freezer');
  await page.keyboard.press('Control+z');
  await expect(tab(page, 'Chill')).toContainText('fridge');
});

test('ways are found for what the shell is wanted for; the first is taken over, and a search can be stopped', async ({
  page,
}) => {
  await openBombs(page);
  await worked(page);
  await page.getByRole('link', { name: 'Find a way' }).click();
  await page.getByText('smash with a spoon', { exact: true }).click();
  await page.getByRole('button', { name: 'Find ways' }).click();
  const said = page.locator('.said-big');
  await expect(said).toContainText(/lead to 1\.6 mm to 3\.0 mm at the rim, the quickest first/);
  const ways = page.locator('section', { has: page.locator('ks-compare-side') });
  await expect.poll(() => ways.count()).toBeGreaterThan(1);
  const title = await ways.first().getByRole('heading').innerText();
  await ways.first().getByRole('button', { name: 'Make it this way' }).click();
  await page.getByRole('button', { name: 'Find ways' }).click();
  // It may be over before a pointer has come to it.
  await page.getByRole('button', { name: 'Stop' }).dispatchEvent('click');
  await expect(said).toContainText('Stopped; nothing has changed.');
  await page.getByRole('link', { name: 'Back to Cider-spice bombs' }).click();
  await expect(tab(page, 'Coat')).toContainText(
    ['spoon and swirl', 'fill and dump', 'chill, then dump'].find((way) => title.includes(way)) ?? 'no way',
  );
});

/** Tells of the bombs that a shell weighed 15 % more than computed; gives the field and what was computed, g. */
async function weighMore(page: Page): Promise<{ readonly weight: Locator; readonly computed: number }> {
  await openBombs(page);
  await worked(page);
  // The panel is loaded when it comes in sight.
  await page.locator('ks-coat-station').getByText('Breaks when unmolded').scrollIntoViewIfNeeded();
  await page.locator('ks-coat-station').hover();
  await page.mouse.wheel(0, 600);
  const weight = page.getByLabel('One part, all its coats');
  const computed = parseFloat(await weight.inputValue());
  await weight.fill(`${(computed * 1.15).toFixed(1)} g`);
  await weight.press('Enter');
  return { weight, computed };
}

test('a weighed shell tells how the chocolate runs, before and after, and is taken over or refused', async ({
  page,
}) => {
  const { weight, computed } = await weighMore(page);
  const panel = page.locator('ks-weighed-shell');
  await expect(panel).toContainText(
    /It runs 1\.\d\d times stiffer than told, give or take a factor of 1\.\d\d: the likely ranges narrow with it\. Rim [\d.]+ mm before, [\d.]+ mm after/,
  );
  await panel.getByRole('button', { name: 'Take it over' }).click();
  await worked(page);
  await expect.poll(async () => parseFloat(await weight.inputValue())).toBeGreaterThan(computed * 1.05);
  await weight.fill('300 g');
  await weight.press('Enter');
  await expect(panel).toContainText('No chocolate makes a shell of 300 g this way');
  await expect(panel.getByRole('button', { name: 'Take it over' })).toBeHidden();
});

test('a chocolate that is chosen again keeps what a weighed shell taught it, until the pantry’s is asked for', async ({
  page,
}) => {
  await weighMore(page);
  await page.locator('ks-weighed-shell').getByRole('button', { name: 'Take it over' }).click();
  await saved(page);
  const kept = () => stored(page).then((casting) => casting?.chocolates.find(({ id }) => id === 'quarry'));
  await expect.poll(async () => (await kept())?.fluidityWithin ?? Infinity).toBeLessThan(1.3);
  const taught = await kept();
  await page.getByRole('button', { name: 'Another for each coat' }).click();
  for (const id of ['fallow', 'quarry', 'linen']) await choose(page.getByLabel('Chocolate of coat 2'), id);
  await page.getByRole('button', { name: 'Marble it' }).nth(1).click();
  await choose(page.getByLabel('Streaked with'), 'quarry');
  await saved(page);
  expect(await kept()).toEqual(taught);
  // Only where one asks for it does the casting take the pantry's again.
  await tab(page, 'Melt').click();
  await page.getByRole('button', { name: 'Take the pantry’s' }).click();
  await saved(page);
  await expect.poll(kept).not.toEqual(taught);
});

test('extremes give an answer or a plain sentence, never a figure that is none', async ({ page }) => {
  await openBombs(page, 'chill');
  await page.getByLabel('Room', { exact: true }).fill('35');
  await page.getByLabel('Room', { exact: true }).press('Enter');
  await page.getByRole('radiogroup', { name: 'Coat 1 sets in' }).getByText('room').click();
  await worked(page);
  await expect(page.getByRole('complementary', { name: 'Weigh-out and notes' })).toContainText(
    /will not set|does not set|never/i,
  );
  await tab(page, 'Coat').click();
  for (const [label, value] of [
    ['Stands', '300'],
    ['Tipped out', '2'],
    ['Tapped', '0'],
    ['Worked at', '45'],
  ] as const) {
    await page.getByLabel(label, { exact: true }).fill(value);
    await page.getByLabel(label, { exact: true }).press('Enter');
  }
  await worked(page);
  await expect(page.locator('main, body').first()).not.toContainText(/NaN|undefined|Infinity/);
  await page.getByRole('button', { name: 'Watch it run and set' }).click();
  await expect(page.getByLabel('Time', { exact: true })).toBeVisible();
});

for (const width of [1280, 390]) {
  test(`axe finds nothing on the comparison and on the film at ${width}, and nothing is wider than the page`, async ({
    page,
  }) => {
    await page.setViewportSize({ width, height: width === 390 ? 844 : 800 });
    const clean = async (): Promise<void> => {
      expect(
        (await new AxeBuilder({ page }).analyze()).violations.map(({ id, nodes }) => [
          id,
          nodes.map((node) => node.html),
        ]),
      ).toEqual([]);
      expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(width);
    };
    await openBombs(page);
    await worked(page);
    await page.getByRole('button', { name: 'Watch it run and set' }).click();
    await page.getByLabel('Time', { exact: true }).fill('60');
    await clean();
    await page.goto('/casting/demo-bombs/compare');
    await expect(page.locator('ks-compare-side')).toHaveCount(2);
    await clean();
  });
}
