import AxeBuilder from '@axe-core/playwright';
import type { Page } from '@playwright/test';
import { choose, expect, openBombs, quiet, tab, test, worked } from './kitchen';

const press =
  (name: string, nth = 0) =>
  (page: Page) =>
    page
      .locator('label[nz-radio-button]')
      .filter({ hasText: new RegExp(`^\\s*${name}\\s*$`) })
      .nth(nth)
      .click();
const type = (label: string, text: string) => async (page: Page) => {
  await page.getByLabel(label, { exact: true }).fill(text);
  await page.getByLabel(label, { exact: true }).blur();
};

/** What brings a note about, on which stations, what it says, and the advice that has to make it go. */
const NOTES: readonly {
  readonly about: string;
  readonly steps: readonly (readonly [station: string, act: (page: Page) => Promise<unknown>])[];
  readonly head: RegExp;
  readonly advice: string;
}[] = [
  { about: 'a rim too thin', steps: [['coat', press('1')]], head: /The rim comes out at/, advice: 'Make it thicker' },
  {
    about: 'a coat too heavy',
    steps: [
      ['coat', (page) => choose(page.getByLabel('How it is made'), 'spoon')],
      ['coat', type('In each cavity, per coat', '14 mL')],
    ],
    head: /heavier than this chocolate will hold/,
    advice: 'Split it over one more coat',
  },
  {
    about: 'a thickness out of reach',
    // On a mold so warm no skin sets while it stands.
    steps: [
      ['chill', type('Room', '27')],
      ['coat', press('to thickness')],
      ['coat', type('Wanted at the rim', '10 mm')],
    ],
    head: /coats come to .* short of 10 mm/,
    advice: '^Want ',
  },
  {
    about: 'chocolate too hot',
    steps: [['coat', type('Worked at', '38')]],
    head: /38 °C is above the ceiling/,
    advice: 'Bring it back into its band',
  },
  {
    about: 'a place too warm',
    steps: [
      ['chill', type('Room', '24')],
      ['chill', press('room', 0)],
      ['chill', press('room', 1)],
    ],
    head: /In the room it (sets, but softly|will not set)|The room is too warm/,
    advice: 'Move it to the fridge',
  },
  {
    about: 'a rigid mold that will not let go',
    steps: [
      ['mold', (page) => choose(page.getByLabel('Material'), 'polycarbonate')],
      ['chill', type('Room', '18')],
      ['chill', press('room', 0)],
      ['chill', press('room', 1)],
    ],
    head: /a rigid mold will not let go/,
    advice: 'Move it to the fridge',
  },
  {
    about: 'an own time too short',
    steps: [
      ['chill', (page) => page.getByRole('button', { name: 'set my own time' }).first().click()],
      ['chill', type('Your own time for coat 1', '2 min')],
    ],
    head: /Your 2 min for coat 1 is short of/,
    advice: 'Use the computed time',
  },
  {
    about: 'a fill too high',
    steps: [['fill', type('In each piece', '80 mL')]],
    head: /too much to close/,
    advice: 'Fill what fits',
  },
  {
    about: 'sweat',
    steps: [
      ['chill', type('Humidity', '90 %')],
      ['chill', press('freezer', 1)],
    ],
    head: /below the dew point of/,
    advice: 'Plan the covered rest',
  },
  {
    about: 'a long job',
    steps: [['batch', type('Pieces', '30')]],
    head: /rounds take/,
    advice: 'Count on one more mold',
  },
];

for (const { about, steps, head, advice } of NOTES) {
  test(`the advice against ${about} is pressed, and the note goes; undo brings it back`, async ({ page }) => {
    let at = '';
    await openBombs(page, steps[0][0]);
    for (const [station, act] of steps) {
      if (at !== '' && station !== at) await page.locator(`nav a[href$="/${station}"]`).first().click();
      at = station;
      await act(page);
    }
    const note = page.getByRole('heading', { name: head });
    await expect(note).toBeVisible();
    await worked(page);
    // A long evening may want more than one more mold, a heavy coat more than one more coat: the plan is then another one.
    const said = async (): Promise<string> =>
      [
        ...(await note.allTextContents()),
        ...(await page.getByRole('navigation', { name: 'Stations' }).allTextContents()),
      ].join();
    for (let k = 0, before = await said(); k < 6 && (await note.count()) > 0; k++, before = await said()) {
      // An answer that is still on its way may take the note, and its button, away under the pointer.
      await page
        .locator('ks-notes section')
        .filter({ has: note })
        .getByRole('button', { name: new RegExp(advice) })
        .click({ timeout: 20_000 })
        .catch(async (error: unknown) => {
          if ((await note.count()) > 0) throw error;
        });
      await expect.poll(said).not.toBe(before);
      await worked(page);
    }
    await expect(note).toBeHidden();
    await page.keyboard.press('Control+z');
    await expect(note).toBeVisible();
  });
}

test('axe finds nothing on the list of keys and on the import panel', async ({ page }) => {
  await openBombs(page);
  await page.keyboard.press('?');
  await expect(page.getByText('One coat less')).toBeVisible();
  expect((await new AxeBuilder({ page }).analyze()).violations).toEqual([]);
  await page.keyboard.press('Escape');
  await page.goto('/castings');
  await page.getByRole('button', { name: 'Import' }).click();
  await page
    .getByLabel(/A file exported from Kilnstone/)
    .setInputFiles({ name: 'list.json', mimeType: 'application/json', buffer: Buffer.from('{"not": "ours"}') });
  await expect(page.getByRole('button', { name: /Choose a file/ })).toBeVisible();
  await quiet(page);
  expect((await new AxeBuilder({ page }).analyze()).violations).toEqual([]);
});

test('too much in a part is told by what comes on top of it: another half, a cap, or nothing', async ({ page }) => {
  const note = page.locator('ks-notes section').filter({ hasText: /too much/ });
  const fill = async (casting: string): Promise<void> => {
    await page.goto(`/casting/${casting}/fill`);
    await choose(page.getByLabel('By', { exact: true }).first(), { label: 'an amount' });
    await type('In each piece', '80 mL')(page);
  };
  await fill('demo-bombs');
  await expect(note).toContainText(/stay inside the edge so that the other half sits flat/);
  await fill('demo-bonbons');
  await expect(note).toContainText(/stay inside the edge so that the cap has room/);
  await tab(page, 'Close').click();
  await choose(page.getByLabel('How it is closed'), { label: 'left open' });
  await expect(note).toContainText(/stay inside the edge, or it runs over/);
  await expect(note).not.toContainText('half');
});
