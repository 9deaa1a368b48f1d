import { SHIPPED_CHOCOLATES } from '../../data/pantry-shipped';
import { shippedMolds } from '../../data/mold-library';
import { castingChocolate, castingMold, moldDiffers } from './copies';
import { copyOf, putCopy } from './copy';

const quarry = { ...SHIPPED_CHOCOLATES[0], fluidity: { yieldPa: 8, viscosityPas: 2 }, fluidityWithin: 1.1 };

describe('copies of the libraries in a casting', () => {
  it('hold every field of a chocolate that the plan may read, and nothing of the library’s own', () => {
    const copy = castingChocolate({ ...quarry, stockKg: 0.5, createdAt: '2026-10-12T08:00:00.000Z' } as never);
    expect(copy).toMatchObject({
      id: 'quarry',
      fluidity: { yieldPa: 8, viscosityPas: 2 },
      fluidityWithin: 1.1,
      allergens: ['soy'],
    });
    expect(copy).not.toHaveProperty('stockKg');
    expect(copy).not.toHaveProperty('createdAt');
  });

  it('share nothing with what they were made of', () => {
    const mold = shippedMolds(new Date('2026-10-12T08:00:00Z'))[0];
    const copy = castingMold(mold);
    copy.cavities[0].rows = 7;
    expect(mold.cavities[0].rows).not.toBe(7);
    expect(moldDiffers(mold, copy)).toBe(true);
    expect(moldDiffers(mold, { ...castingMold(mold), atHand: 5 })).toBe(false);
  });

  it('are taken once: what was learned in the casting stays until it is to be renewed', () => {
    const list = [castingChocolate(quarry)];
    const plain = castingChocolate(SHIPPED_CHOCOLATES[0]);
    putCopy(list, plain, false);
    expect(list).toEqual([castingChocolate(quarry)]);
    putCopy(list, plain, true);
    expect(list).toEqual([plain]);
    putCopy(list, { ...copyOf(plain), id: 'other' }, false);
    expect(list.map(({ id }) => id)).toEqual(['quarry', 'other']);
  });
});
