import { FILLING_MATTER, type FillingKind } from './filling';

/** Densities of what fillings are made of, kg/m³: handbook values, from memory. */
const PART = {
  chocolate: 1260,
  cream: 1000,
  sucrose: 1587,
  water: 998,
  fat: 915,
  milkSolids: 1350,
  nutSolids: 1400,
} as const;

describe('the density of a filling', () => {
  // Usual compositions by weight, from memory: volumes of the parts added, no air, no shrinkage.
  it.each<[FillingKind, Partial<Record<keyof typeof PART, number>>]>([
    ['ganache', { chocolate: 0.5, cream: 0.5 }],
    ['caramel', { sucrose: 0.63, fat: 0.14, water: 0.17, milkSolids: 0.06 }],
    ['nutButter', { fat: 0.55, nutSolids: 0.45 }],
    ['custard', { water: 0.76, sucrose: 0.12, fat: 0.05, milkSolids: 0.07 }],
    ['fruit', { water: 0.86, sucrose: 0.14 }],
  ])('%s is that of its parts, within 4 %%', (kind, shares) => {
    const parts = Object.entries(shares) as [keyof typeof PART, number][];
    expect(parts.reduce((sum, [, share]) => sum + share, 0)).toBeCloseTo(1, 9);
    const density = 1 / parts.reduce((sum, [part, share]) => sum + share / PART[part], 0);
    expect(Math.abs(FILLING_MATTER[kind].bulkDensity / density - 1)).toBeLessThan(0.04);
  });
});
