import { readWhole } from '../../testing/read-whole';
import { larderNeeds } from '../plan/larder';
import { CASSON_AT_40, cassonAt40 } from '../matter/chocolate';
import { newCasting } from '../../data/demo';
import { shippedPantry, SHIPPED_CHOCOLATES } from '../../data/pantry-shipped';
import { readPantryFile, writePantryFile } from '../../data/pantry-file';
import { planned } from '../../testing/planned';
import type { Casting } from './casting';
import type { Tint } from './chocolate';
import { asMelted, tintAmounts, tintAsChocolate } from './melted';
import { readPantryEntry } from './read-pantry';
import { chocolateOf, sharesOf } from './references';

const [quarry, , linen] = SHIPPED_CHOCOLATES;
const moth: Tint = {
  id: 'moth',
  name: 'Moth',
  colour: '#c9ad84',
  chocolates: [
    { chocolateId: 'linen', parts: 12 },
    { chocolateId: 'quarry', parts: 3 },
  ],
  colours: [{ name: 'red', base: 'oil', parts: 1 }],
  allAtOnce: true,
};
const tinted = (): Casting => {
  const casting = newCasting('c', 'c', new Date('2026-10-12T08:00:00Z'));
  casting.tints = [structuredClone(moth)];
  casting.melts[0].source = { kind: 'tint', tintId: 'moth' };
  return casting;
};

describe('a tint', () => {
  it('is scaled by its parts, and sums to the amount', () => {
    const { chocolatesKg, coloursKg } = tintAmounts(moth, 0.8);
    expect(chocolatesKg).toEqual([expect.closeTo(0.6, 12), expect.closeTo(0.15, 12)]);
    expect(coloursKg).toEqual([expect.closeTo(0.05, 12)]);
  });

  it('is worked as what it has most of, under the lowest ceiling, with the fat, flow and allergens of all', () => {
    const mixed = tintAsChocolate(moth, SHIPPED_CHOCOLATES);
    expect(mixed).toMatchObject({
      id: 'moth',
      name: 'Moth',
      kind: 'white',
      workFromC: linen.workFromC,
      workToC: linen.workToC,
      allergens: ['milk', 'soy'],
    });
    expect(mixed.ceilingC).toBe(Math.min(linen.ceilingC, quarry.ceilingC));
    expect(mixed.fatShare).toBeCloseTo(0.8 * linen.fatShare + 0.2 * quarry.fatShare, 12);
    const { viscosityPas } = cassonAt40(mixed.fluidity);
    expect(viscosityPas).toBeCloseTo(
      CASSON_AT_40.medium.viscosityPas ** 0.8 * CASSON_AT_40.fluid.viscosityPas ** 0.2,
      9,
    );
  });

  it('in a casting is bought as its chocolates, and planned like any other', () => {
    const casting = tinted();
    const plan = planned(casting);
    const needed = plan.batch.melts[0].melted.value;
    const bought = (id: string): number => larderNeeds(plan).find(({ entryId }) => entryId === id)?.neededKg ?? 0;
    expect(bought('linen')).toBeCloseTo((needed * 12) / 16, 9);
    expect(bought('quarry')).toBeCloseTo((needed * 3) / 16, 9);
    expect(bought('fallow')).toBe(0);
    expect(sharesOf(casting, casting.melts[0]).reduce((sum, { share }) => sum + share, 0)).toBeCloseTo(15 / 16, 12);
    expect(chocolateOf(casting, casting.melts[0]).name).toBe('Moth');
  });
});

describe('thinned', () => {
  it('runs thinner and holds more fat; left alone it is what it was', () => {
    const thin = asMelted(linen, { thinning: { fat: 'cocoaButter', share: 0.03 } });
    expect(cassonAt40(thin.fluidity).viscosityPas).toBeLessThan(cassonAt40(linen.fluidity).viscosityPas);
    expect(thin.fatShare).toBeCloseTo((linen.fatShare + 0.03) / 1.03, 12);
    expect(asMelted(linen, {})).toBe(linen);
  });
});

describe('the pantry’s records', () => {
  const now = new Date('2026-10-12T08:00:00Z');

  it('come back from a file as they went out', () => {
    expect(readWhole(readPantryFile(writePantryFile(shippedPantry(now), now)))).toEqual({
      ok: true,
      records: shippedPantry(now),
      bad: [],
    });
  });

  it.each([
    ['bands out of order', { workFromC: 40 }],
    ['work above the ceiling', { workToC: 34 }],
    ['no fat', { fatShare: 0 }],
    ['a colour that is none', { colour: 'brown' }],
    ['a day that is none', { bestBefore: 'soon' }],
    ['a kind unheard of', { kind: 'ruby' }],
  ])('are refused with %s, by the place', (_, change) => {
    const [first, ...rest] = shippedPantry(now);
    const file = JSON.parse(writePantryFile([first, ...rest], now)) as { pantry: object[] };
    file.pantry[0] = { ...file.pantry[0], ...change };
    const read = readWhole(readPantryFile(JSON.stringify(file)));
    expect(read.ok && read.records).toHaveLength(rest.length);
    expect(read.bad).toMatchObject([{ position: 1, name: first.name, problem: { problem: 'badValue' } }]);
  });

  it('refuse a colour based on water', () => {
    const tint = { ...moth, entry: 'tint', schemaVersion: 1, createdAt: now.toISOString() };
    expect(readPantryEntry(tint).ok).toBe(true);
    expect(readPantryEntry({ ...tint, colours: [{ name: 'gel', base: 'water', parts: 1 }] })).toMatchObject({
      ok: false,
      problem: 'badValue',
      path: 'colours.0.base',
    });
  });
});
