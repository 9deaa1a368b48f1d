import { existsSync } from 'node:fs';
import { demoCastings } from '../../data/demo';
import { onScale } from '../../core/quantity/on-scale';
import { larderNeeds } from '../../core/plan/larder';
import type { Casting } from '../../core/record/casting';
import { planned } from '../../testing/planned';
import { weighedLine } from '../state/shopping-list';
import { sheetContent, type SheetContent } from './sheet-content';
import { fontsIn, stretches } from '../pdf/letters';
import { missingLetters } from '../pdf/pdf-document';
import { weighOutCsv } from './weigh-out-csv';

const supper = (id: string): Casting =>
  demoCastings(new Date('2026-10-12T08:00:00Z')).find((casting) => casting.id === id) as Casting;
const sheet = (casting: Casting, system: 'metric' | 'us' = 'metric'): SheetContent => {
  const plan = planned(casting);
  const lines = larderNeeds(plan).map((need) => weighedLine(need, [], []));
  return sheetContent(plan, lines, '€', system);
};

describe('the weigh-out sheet', () => {
  it('of bonbons goes in the order of the work: melt, coat, fill and cap, with the ganache scaled to the job', () => {
    const { parts, inside, after, buy, tables, rounds } = sheet(supper('demo-bonbons'));
    expect(parts[0].steps[0].how).toMatch(/in the room for \d+ min, then fill and cap\.$/);
    expect(inside[0].mixed).toMatch(/\d+ g Quarry 64, \d+ g Cream, \d+ g Hazelnut paste/);
    expect(after[0].head).toMatch(
      /^Close, cap, flush with the rim, 1\.\d g a piece, then 20 min in the room, then \d\d min in the fridge$/,
    );
    expect(tables[0].rows.map(({ name }) => name)).toContain('Caps');
    expect(buy.some((line) => line.endsWith('Cream.'))).toBe(true);
    expect(rounds).toEqual(['Round 1: 24 parts.', expect.stringMatching(/^Round 2: [2-6] parts\.$/)]);
  });

  it('tells what is dipped before it goes in, and what is stirred in, in the order of the work', () => {
    const casting = supper('demo-bombs');
    const [, mallows] = casting.fill;
    mallows.dip = { meltId: casting.melts[0].id };
    casting.parts[0].coats[0].mixIn = { fillingId: 'spice', share: 0.05 };
    const { after, parts, inside } = sheet(casting);
    expect(after.map(({ head }) => head.split(',')[0])).toEqual(['Dip', 'Close']);
    expect(after[0].steps[0].how).toMatch(
      /^\d+ Small marshmallows for each: .* About 1\.\d g stays on one, a film of 1\.\d mm, set after \d+ min in the room\.$/,
    );
    expect(inside[1].name).toBe('Small marshmallows, dipped');
    expect(parts[0].steps[0]).toEqual({
      what: 'Stir into coat 1:',
      how: expect.stringMatching(/^0\.\d+ g of Cider-spice powder for each, 5.0 % of its weight\.$/) as string,
    });
  });

  it('ends with a tag for the guest: what it is, how it keeps, and what to mind with it', () => {
    const [{ tag }] = sheet(supper('demo-bombs')).tags;
    expect(tag.title).toBe(supper('demo-bombs').name);
    expect(tag.lines[0]).toMatch(/^\d\d g\. Quarry 64; inside .*\.$/);
    expect(tag.lines[1]).toBe('Contains soy and gelatine.');
    expect(tag.lines[2]).toMatch(/^Made 17 Oct 2026\. It keeps as the chocolate itself does: closed, dry and cool\.$/);
    expect(tag.lines[3]).toContain('not to be bitten into');
    const bonbons = sheet(supper('demo-bonbons')).tags[0].tag;
    expect(bonbons.lines).toHaveLength(3);
    expect(bonbons.lines[2]).toContain('It keeps some days, closed and in the cold');
  });

  it('of two chocolates names them with their coats, and the seam with the one it is piped of', () => {
    const { tables, parts, lead } = sheet(supper('demo-pears'));
    expect(tables.map(({ chocolate }) => chocolate)).toEqual(['Linen', 'Quarry 64']);
    expect(tables[1].rows.map(({ name }) => name)).toEqual(expect.arrayContaining(['Base, the fill', 'Seams']));
    expect(parts[0].steps.map(({ what, how }) => [what, how.split(':')[0]])).toEqual([
      ['Brush in:', expect.stringContaining('Blush cocoa butter, one half')],
      ['Coat 1,', 'Linen, fill and dump'],
      ['Coat 2,', 'Quarry 64, brush'],
      ['Before the cold,', expect.stringContaining('brush where light shines through')],
    ]);
    expect(lead).toMatch(/^6 pieces: \d × Pear, \d of them spare and \d × Base, \d of them spare, in \d rounds\.$/);
  });

  it('weighs in steps that a scale shows, and still adds up, in grams and in ounces', () => {
    for (const system of ['metric', 'us'] as const) {
      for (const { rows } of sheet(supper('demo-pears'), system).tables) {
        for (const of of ['jobKg', 'perRoundKg'] as const) {
          const all = rows.map((row) => row[of] ?? 0);
          expect(all.slice(0, -1).reduce((sum, kg) => sum + kg, 0)).toBeCloseTo(all[all.length - 1], 9);
          const step = system === 'us' ? 0.1 * 0.028349523125 : 0.001;
          for (const kg of all) expect(kg / step).toBeCloseTo(Math.round(kg / step), 6);
        }
      }
    }
    expect(onScale([0.0004, 0.0004], 0.001)).toEqual([0.001, 0]);
  });

  it('warns of what is in it, and of drinks only where one is made', () => {
    expect(sheet(supper('demo-bombs')).caution).toMatch(/gelatine.*Hot plates burn.*Hot drinks burn/);
    expect(sheet(supper('demo-bonbons')).caution).not.toContain('Hot drinks');
    expect(sheet(supper('demo-bonbons')).caution).toContain('some days');
    expect(sheet(supper('demo-tiles')).caution).toContain('sesame');
  });

  it('is a table of grams as CSV, what is mixed told below it', async () => {
    const csv = await weighOutCsv(planned(supper('demo-bonbons')));
    const rows = csv.split('\r\n').map((row) => row.split(','));
    const grams = (name: string, use: string): number =>
      Number(rows.find(([what, what2]) => what === name && what2 === use)?.at(-1));
    const ganache = grams('Hazelnut ganache', '"Filling');
    expect(Number.isFinite(ganache)).toBe(true);
    const mixed = ['Quarry 64', 'Cream', 'Hazelnut paste'].map((name) => grams(name, 'in Hazelnut ganache'));
    expect(mixed.reduce((sum, g) => sum + g, 0)).toBeCloseTo(ganache, 0);
  });
});

/** Where the package of a typeface keeps one of its slices. */
const fileOf = (font: string): string =>
  `node_modules/@fontsource/${font.replace(/-\d+$/, '')}/files/${font}-400-normal.woff`;

describe('the sheet as a PDF', () => {
  it('is not written with letters that its typeface has not: they are named', () => {
    const content = sheet(supper('demo-bombs'));
    expect(missingLetters(content)).toEqual([]);
    expect(missingLetters({ ...content, title: 'Crème brûlée à l’œuf, Žluťoučký kůň, Ωmega, 64 ≈ 65' })).toEqual([]);
    expect(missingLetters({ ...content, title: '日本 日 서울 🍫 👩‍🍳' })).toEqual([]);
    expect(missingLetters({ ...content, title: 'ช็อก ช 日' })).toEqual(['ช', '็', 'อ', 'ก']);
  });

  it('takes each letter from a typeface that has it', () => {
    expect(stretches('Bombs')).toEqual([{ text: 'Bombs' }]);
    const mixed = stretches('Hearts 日本 🍫!');
    expect(mixed.map(({ text }) => text).join('')).toBe('Hearts 日本 🍫!');
    expect(mixed.map(({ font = '' }) => font.replace(/-\d+$/, ''))).toEqual([
      '',
      'noto-sans-sc',
      'noto-sans-sc',
      '',
      'noto-emoji',
      '',
    ]);
    for (const font of fontsIn('日本 서울 🍫')) expect(existsSync(fileOf(font))).toBe(true);
  });
});
