import fc from 'fast-check';
import { SHIPPED_MOLDS } from '../../data/mold-library';
import { anyShape } from '../../testing/arbitrary-shape';
import { cavityOf } from '../cavity/cavity';
import { MoldSchema } from '../record/mold';
import { scaledMold, scaledShape } from './scale-mold';

describe('a mold made larger', () => {
  // Similar bodies: lengths by the factor, areas by its square, volumes by its cube (Euclid).
  it('holds by the cube, has wall by the square and rim by the factor, whatever its shape', () => {
    fc.assert(
      fc.property(anyShape, fc.double({ min: 0.5, max: 2, noNaN: true }), (shape, factor) => {
        const [before, after] = [cavityOf(shape), cavityOf(scaledShape(shape, factor))];
        expect(after.volumeM3 / before.volumeM3 / factor ** 3).toBeCloseTo(1, 6);
        expect(after.wallAreaM2 / before.wallAreaM2 / factor ** 2).toBeCloseTo(1, 6);
        expect(after.rimLengthM / before.rimLengthM / factor).toBeCloseTo(1, 6);
      }),
      { numRuns: 200 },
    );
  });

  it('is a whole record for every shipped mold, its wall and gap as they were, its weighings left out', () => {
    for (const mold of SHIPPED_MOLDS) {
      const larger = scaledMold(mold, 1.2);
      expect(MoldSchema.safeParse(larger).success).toBe(true);
      expect(larger?.wallM).toBe(mold.wallM);
      expect(larger?.emptyKg).toBeUndefined();
      expect(larger?.composition).toEqual(mold.composition);
    }
  });

  it('is none where it would be larger or smaller than any mold', () => {
    const balloon = SHIPPED_MOLDS.find(({ id }) => id === 'balloon') ?? SHIPPED_MOLDS[0];
    expect(scaledMold(balloon, 4)).toBeUndefined();
    expect(scaledMold(balloon, 0.01)).toBeUndefined();
  });
});
