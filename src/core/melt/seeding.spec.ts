import fc from 'fast-check';
import { CHOCOLATE_KINDS, CHOCOLATE_MATTER } from '../matter/chocolate';
import { toSi, UNITS } from '../quantity/units';
import { stuckKg } from './vessel';
import { bowlHeat, bowlLossWK, mostInBowlKg, unstirredShare, wettedM2, type Bowl } from './bowl';
import { meltable } from './heat-held';
import { bitsLeft, heatLeftOver, meltForSeedC, seedKg, seededC, type Seeding } from './seeding';

const dark = meltable('dark', 0.4, 31);
const plain: Seeding = { chocolate: dark, meltC: 45, seedC: 20, bowlHeat: 0, bowlC: 45, lossJ: 0 };
const plastic: Bowl = { material: 'plastic', kg: 0.14, diameterM: 0.18 };
const glass: Bowl = { material: 'glass', kg: 0.55, diameterM: 0.2 };

const anySeeding: fc.Arbitrary<Seeding> = fc.record({
  chocolate: fc
    .record({ kind: fc.constantFrom(...CHOCOLATE_KINDS), fatShare: fc.double({ min: 0.1, max: 0.7, noNaN: true }) })
    .map(({ kind, fatShare }) => meltable(kind, fatShare, CHOCOLATE_MATTER[kind].workFromC)),
  meltC: fc.double({ min: 40, max: 55, noNaN: true }),
  seedC: fc.double({ min: 10, max: 28, noNaN: true }),
  bowlHeat: fc.double({ min: 0, max: 500, noNaN: true }),
  bowlC: fc.double({ min: 15, max: 50, noNaN: true }),
  lossJ: fc.double({ min: 0, max: 4000, noNaN: true }),
});
const kg = fc.double({ min: 0.02, max: 3, noNaN: true });

describe('seeding', () => {
  // Common practice, no source: a quarter to a third is stirred in.
  it.each([0, 60, 110])(
    'of dark at 45 °C down to 32 °C in a room of 20 °C takes a quarter to a third (bowl %d J/K)',
    (heat) => {
      const share = seedKg({ ...plain, bowlHeat: heat, lossJ: heat > 0 ? 1500 : 0 }, 0.45, 32) / 0.45;
      expect(share).toBeGreaterThanOrEqual(0.25);
      expect(share).toBeLessThanOrEqual(1 / 3);
    },
  );

  it('closes its balance of heat to a millionth, whatever is put together', () => {
    fc.assert(
      fc.property(anySeeding, kg, fc.double({ min: 29, max: 38, noNaN: true }), (seeding, totalKg, targetC) => {
        const seed = seedKg(seeding, totalKg, targetC);
        if (seed === 0 || seed === totalKg) return;
        const scale = totalKg * 1650 * (seeding.meltC - targetC);
        expect(Math.abs(heatLeftOver(seeding, totalKg - seed, seed, targetC)) / scale).toBeLessThan(1e-6);
        expect(seededC(seeding, totalKg - seed, seed)).toBeCloseTo(targetC, 5);
      }),
    );
  });

  it('never ends warmer for more seed', () => {
    fc.assert(
      fc.property(anySeeding, kg, kg, kg, (seeding, meltKg, seed, more) => {
        // A bowl cooler than the seed would warm up with more of it.
        const warm = {
          ...seeding,
          bowlC: Math.max(seeding.bowlC, seeding.seedC),
          lossJ: Math.min(seeding.lossJ, 500 * meltKg),
        };
        const before = seededC(warm, meltKg, seed);
        if (before > seeding.seedC) expect(seededC(warm, meltKg, seed + more)).toBeLessThanOrEqual(before + 1e-6);
      }),
    );
  });

  it('turned round, finds the melt that ends where it should with a quarter', () => {
    const meltC = meltForSeedC({ chocolate: dark, seedC: 20, bowlHeat: 100, lossJ: 800 }, 0.4, 0.25, 31.5);
    expect(seedKg({ ...plain, meltC, bowlHeat: 100, bowlC: meltC, lossJ: 800 }, 0.4, 31.5)).toBeCloseTo(0.1, 9);
    expect(meltC).toBeGreaterThan(34);
  });

  // Common practice, no source: "with a few bits left" at 32 °C; none above 34 °C.
  it('leaves bits at 32 °C and none at 35 °C', () => {
    expect(bitsLeft(dark, 32)).toBeCloseTo(0.5, 9);
    expect(bitsLeft(dark, 35)).toBe(0);
  });

  // Common practice, no source: a bowl taken to another, cool bowl drops about 5 °C.
  it.each([
    [plastic, 0.3],
    [plastic, 0.45],
    [glass, 0.45],
    [glass, 0.8],
  ])('a cool bowl (%j) with %f kg takes about 5 °C', (bowl, amount) => {
    const cold = bowlHeat(bowl, amount / 1260);
    const dropped = (cold * (45 - 20)) / (amount * 1650 + cold);
    expect(dropped).toBeGreaterThan(3);
    expect(dropped).toBeLessThan(8);
  });
});

describe('bowls', () => {
  it('lose more the wider and fuller they are, and less in a mitt or over warm water', () => {
    const loss = bowlLossWK(plastic, 300e-6, 'none');
    expect(bowlLossWK({ ...plastic, diameterM: 0.26 }, 300e-6, 'none')).toBeGreaterThan(loss);
    expect(bowlLossWK(plastic, 600e-6, 'none')).toBeGreaterThan(loss);
    expect(bowlLossWK(plastic, 300e-6, 'mitt')).toBeLessThan(loss);
    expect(bowlLossWK(plastic, 300e-6, 'warmWater')).toBeLessThan(bowlLossWK(plastic, 300e-6, 'mitt'));
  });

  // Handbook mensuration: a cap z deep in a sphere of radius R holds π z² (R - z/3); its curved face is 2 π R z.
  it.each([1e-12, 1e-7, 3e-4, 1e-3, 2e-3, (2 / 3) * Math.PI * 1e-3])(
    '%f m³ stand as deep as a cap of that volume',
    (m3) => {
      const deepM = wettedM2(glass, m3) / (2 * Math.PI * 0.1);
      expect(glass.diameterM).toBe(0.2);
      expect((Math.PI * deepM ** 2 * (0.1 - deepM / 3)) / m3).toBeCloseTo(1, 9);
    },
  );

  it('a half sphere of 20 cm holds 2.09 L, and six tenths of that to stir in', () => {
    // Handbook mensuration: 2/3 π r³.
    expect(mostInBowlKg(glass, 1000)).toBeCloseTo(0.6 * 2.0944, 4);
  });

  it('full to the brim, the open face is the whole circle and the wall all of the half sphere', () => {
    // A steel wall resists next to nothing: 9 W/m²K over π r²; of 2 π r² the part flatter than 45°, 1 - cos 45° of it, faces the counter.
    const steel: Bowl = { material: 'steel', kg: 0.2, diameterM: 0.2 };
    const wall = 2 * Math.PI * 0.01;
    expect(bowlLossWK(steel, 1, 'none')).toBeCloseTo(
      9 * Math.PI * 0.01 + 4 * wall * (1 - Math.SQRT1_2) + 8 * wall * Math.SQRT1_2,
      2,
    );
  });

  it('cool more slowly while they stand than while they are stirred, the more so the fuller', () => {
    const standing = (m3: number): number => unstirredShare(plastic, m3, 'none');
    expect(standing(1e-4)).toBeLessThan(1);
    expect(standing(6e-4)).toBeLessThan(standing(1e-4));
    expect(standing(6e-4)).toBeGreaterThan(0.7);
    expect(unstirredShare(plastic, 6e-4, 'warmWater')).toBeGreaterThan(standing(6e-4));
  });
});

describe('classic temperatures', () => {
  // 113, 90, 88, 86 and 84 °F: melt, seed, work dark, work milk, stir down to. Common practice, no source; conversion exact by definition.
  it.each([
    [113, 45],
    [90, 32.2222],
    [88, 31.1111],
    [86, 30],
    [84, 28.8889],
  ])('%d °F is %f °C', (f, c) => {
    expect(toSi(f, UNITS.fahrenheit)).toBeCloseTo(c, 3);
  });

  it('lie in the bands of their chocolates', () => {
    const { dark: d, milk: m } = CHOCOLATE_MATTER;
    expect(d.meltToC).toBe(toSi(113, UNITS.fahrenheit));
    expect(toSi(88, UNITS.fahrenheit)).toBeGreaterThanOrEqual(d.workFromC);
    expect(toSi(88, UNITS.fahrenheit)).toBeLessThanOrEqual(d.workToC);
    expect(toSi(86, UNITS.fahrenheit)).toBeCloseTo(m.workToC, 9);
  });
});

describe('what sticks', () => {
  // Common practice, no source: a small bowl that is scraped out with a spatula loses 3 to 6 g.
  it('to a small bowl is some grams, more to a large one, and never as much as there is', () => {
    const of = (kg: number): number => stuckKg('microwave', plastic, kg, 1260);
    expect(of(0.113)).toBeGreaterThan(0.003);
    expect(of(0.113)).toBeLessThan(0.006);
    expect(of(1)).toBeGreaterThan(of(0.113));
    expect(of(1)).toBeLessThan(0.025);
    expect(stuckKg('bag', plastic, 0.113, 1260)).toBeLessThan(0.008);
    for (let k = 1; k < 200; k++) expect(of(k / 50)).toBeGreaterThan(of((k - 1) / 50));
  });
});
