import fc from 'fast-check';
import { shopping } from './shopping';

describe('shopping', () => {
  it.each([
    [1.02, 0.5, 0.25, 4.9, 3, 14.7],
    [1.02, 0, 0.25, 4.9, 5, 24.5],
    [0.5, 0.5, 0.25, 4.9, 0, 0],
    [0.4, 2, 0.25, 4.9, 0, 0],
    [0.75, 0, 0.25, undefined, 3, undefined],
  ])('of %f kg with %f kg there, in packs of %f kg: %d packs', (needed, stock, pack, price, packs, cost) => {
    const answer = shopping(needed, stock, pack, price);
    expect(answer.packs).toBe(packs);
    if (cost === undefined) expect(answer.cost).toBeUndefined();
    else expect(answer.cost).toBeCloseTo(cost, 9);
  });

  it('buys enough, and never a pack too many', () => {
    const kg = fc.double({ min: 0.01, max: 50, noNaN: true });
    fc.assert(
      fc.property(kg, kg, kg, (needed, stock, pack) => {
        const { packs } = shopping(needed, stock, pack, 1);
        expect(stock + packs * pack).toBeGreaterThanOrEqual(needed * (1 - 1e-9));
        if (packs > 0) expect(stock + (packs - 1) * pack).toBeLessThan(needed);
      }),
    );
  });
});
