import { betterPack, usualPackKg } from './packs';

describe('packs (common practice, no source)', () => {
  it('hold what is wanted: a tube for details, bags of a pound for bulk', () => {
    expect([0, 0.004, 0.02, 0.03, 0.3, 0.454, 0.9, 7].map(usualPackKg)).toEqual([
      0.02, 0.02, 0.02, 0.1, 0.454, 0.454, 1, 2.5,
    ]);
  });

  it('are told of where the chosen one is far too large, or takes many', () => {
    expect(betterPack(0.004, 0.25)).toEqual({ of: 'tube', packKg: 0.02, packs: 1 });
    expect(betterPack(0.004, 0.05)).toBeUndefined();
    expect(betterPack(0.735, 0.25)).toEqual({ of: 'bag', packKg: 0.454, packs: 2 });
    expect(betterPack(0.735, 0.5)).toBeUndefined();
    expect(betterPack(0.4, 0.25)).toBeUndefined();
    expect(betterPack(0, 0.25)).toBeUndefined();
    expect(betterPack(0.01, undefined)).toMatchObject({ of: 'tube' });
  });

  it('of a better pack never come to less than is wanted, nor to more packs than before', () => {
    for (let kg = 0.001; kg < 3; kg += 0.007)
      for (const pack of [0.05, 0.1, 0.25, 0.34, 1]) {
        const better = betterPack(kg, pack);
        if (!better) continue;
        expect(better.packs * better.packKg).toBeGreaterThanOrEqual(kg - 1e-9);
        expect(better.packs).toBeLessThanOrEqual(Math.ceil(kg / pack - 1e-9));
      }
  });
});
