import fc from 'fast-check';
import { anyShape } from '../../testing/arbitrary-shape';
import { cavityOf } from './cavity';
import { checkShape } from './check-shape';
import { reshaped } from './reshape';
import type { ShapeKind } from './shape';

const KINDS: readonly ShapeKind[] = [
  'hemisphere',
  'cap',
  'egg',
  'cylinder',
  'cup',
  'liner',
  'tile',
  'pillow',
  'faceted',
  'heart',
  'star',
  'drawn',
  'turned',
  'measured',
  'ball',
];

describe('reshaping', () => {
  it('gives a whole shape of the wanted kind from any other', () => {
    fc.assert(
      fc.property(anyShape, fc.constantFrom(...KINDS), (shape, kind) => {
        const to = reshaped(kind, cavityOf(shape));
        expect(to.kind).toBe(kind);
        expect(checkShape(to)).toBeUndefined();
        expect(cavityOf(to).volumeM3).toBeGreaterThan(0);
      }),
      { numRuns: 300 },
    );
  });

  it('keeps width, depth and about the content where the kind can', () => {
    const half = cavityOf({ kind: 'hemisphere', diameterM: 0.064 });
    for (const kind of ['cap', 'egg', 'turned', 'measured'] as const) {
      const to = cavityOf(reshaped(kind, half));
      expect(to.depthM).toBeCloseTo(0.032, 9);
      expect(to.volumeM3 / half.volumeM3).toBeCloseTo(1, 1);
    }
  });
});
