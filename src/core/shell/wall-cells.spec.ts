import fc from 'fast-check';
import { SHIPPED_MOLDS } from '../../data/mold-library';
import { anyShape } from '../../testing/arbitrary-shape';
import { cavityOf } from '../cavity/cavity';
import { wallArea } from '../cavity/profile';
import { fromCells, layerOn, layerSlopeOn, layerThicknessOn, toCells, wallCells } from './wall-cells';

const RADIUS = 0.032;
const half = cavityOf({ kind: 'hemisphere', diameterM: 2 * RADIUS });
const sum = (values: Float64Array): number => values.reduce((all, value) => all + value, 0);

describe('cells along a wall', () => {
  it('have the wall’s area: 2πR² on a half sphere (handbook mensuration), and that of every shipped mold’s profile', () => {
    expect(sum(wallCells(half.profile).areaM2) / (2 * Math.PI * RADIUS ** 2)).toBeCloseTo(1, 3);
    for (const mold of SHIPPED_MOLDS) {
      for (const { shape } of mold.cavities) {
        const { profile } = cavityOf(shape, mold.composition.kind === 'former');
        expect(Math.abs(sum(wallCells(profile).areaM2) / wallArea(profile) - 1)).toBeLessThan(0.01);
      }
    }
  });

  it('read slope and curvature where they lie: on a half sphere β = s/R, H = 1/R, K = 1/R²', () => {
    const cells = wallCells(half.profile, 60);
    for (let f = 1; f < 60; f++) expect(cells.sine[f]).toBeCloseTo(Math.sin((f * Math.PI) / 120), 3);
    for (let i = 1; i < 59; i++) {
      expect(cells.mean[i] * RADIUS).toBeCloseTo(1, 2);
      expect(cells.gauss[i] * RADIUS ** 2).toBeCloseTo(1, 2);
    }
  });

  // A shell between two spheres, per area of the outer one (handbook mensuration).
  it('hold under a layer what lies between two spheres', () => {
    const cells = wallCells(half.profile);
    for (const t of [0.001, 0.003, 0.008])
      expect(layerOn(cells, 60, t) / ((RADIUS ** 3 - (RADIUS - t) ** 3) / (3 * RADIUS ** 2))).toBeCloseTo(1, 3);
    expect(layerSlopeOn(cells, 60, 0.004)).toBeCloseTo((1 - 0.004 / RADIUS) ** 2, 3);
  });

  it('find the thickness again that holds a volume, on whatever lies below, for any shape', () => {
    fc.assert(
      fc.property(
        anyShape,
        fc.double({ min: 1e-5, max: 0.02, noNaN: true }),
        fc.double({ min: 0, max: 0.005, noNaN: true }),
        fc.integer({ min: 0, max: 39 }),
        (shape, h, below, i) => {
          const cells = wallCells(cavityOf(shape).profile, 40);
          const perArea = layerOn(cells, i, below + h) - layerOn(cells, i, below);
          expect(perArea).toBeGreaterThan(0);
          expect(layerThicknessOn(cells, i, perArea, below, 0.001) / h).toBeCloseTo(1, 6);
        },
      ),
      { numRuns: 60 },
    );
    expect(layerThicknessOn(wallCells(half.profile), 3, 0, 0.001, 0.002)).toBe(0);
  });

  it('give back at the profile’s points what was read from them', () => {
    const { arcM } = half.profile;
    const cells = wallCells(half.profile);
    const straight = arcM.map((s) => 0.001 + 0.02 * s);
    fromCells(cells, toCells(cells, straight, arcM), arcM).forEach((t, k) =>
      expect(Math.abs(t - straight[k])).toBeLessThan(1e-5),
    );
  });
});
