import fc from 'fast-check';
import { usualCoat } from '../../testing/coat-choice';
import { anyShape } from '../../testing/arbitrary-shape';
import { cavityOf } from '../cavity/cavity';
import { coatStation } from './coat';
import type { CoatResult } from './coat-answers';

const choice = usualCoat({
  method: 'solid',
  chocolate: { kind: 'compound', fluidity: 'medium', fatShare: 0.32 },
  workingC: 36,
  wayUp: 'upright',
});
const filled = (shape: Parameters<typeof cavityOf>[0], shares: readonly number[]): CoatResult =>
  coatStation({
    cavity: cavityOf(shape),
    material: 'thinPlastic',
    moldWallM: 0.0006,
    roomC: 20,
    coats: shares.map((volumeShare, i) => ({ ...choice, id: `c${i}`, volumeShare })),
  });

describe('a solid fill', () => {
  it('of a straight disc lies as deep as its share, and weighs its volume, by hand', () => {
    const { coats, total, mass } = filled({ kind: 'cylinder', diameterM: 0.05, depthM: 0.01 }, [0.5, 0.3]);
    expect(coats[0].levels?.toM).toBeCloseTo(0.005, 5);
    expect(coats[1].levels).toMatchObject({ fromM: coats[0].levels?.toM });
    expect(total.base.value).toBeCloseTo(0.008, 5);
    // π · 25² mm² · 8 mm · 1.25 g/mL.
    expect(mass.value * 1000).toBeCloseTo(Math.PI * 2.5 ** 2 * 0.8 * 1.25, 2);
  });

  it('of half a sphere to half its volume stands at 0.6527 of its radius: cap volume πh²(3R-h)/3', () => {
    const R = 0.032;
    const { total, volumeM3 } = filled({ kind: 'hemisphere', diameterM: 2 * R }, [0.5]);
    const h = total.base.value;
    expect((Math.PI * h * h * (3 * R - h)) / 3 / volumeM3).toBeCloseTo(1, 3);
    expect(h / R).toBeCloseTo(0.6527, 3);
  });

  it('takes no more than the cavity, however much is asked for, and its last layer what room is left', () => {
    const { coats, volumeM3 } = filled({ kind: 'hemisphere', diameterM: 0.064 }, [0.7, 0.7, 0.7]);
    expect(volumeM3 * 1e6).toBeCloseTo(68.629, 2);
    expect(coats[1].mass.value / coats[0].mass.value).toBeCloseTo(3 / 7, 6);
    expect(coats[2].mass.value).toBe(0);
    // What is over the brim is scraped or squeezed off: with it, it is all that was asked for.
    const off = coats[2].feet?.value ?? 0;
    const asked = coats.reduce((sum, { choice }) => sum + choice.volumeShare, 0);
    expect(coats.reduce((sum, { mass }) => sum + mass.value, off)).toBeCloseTo(asked * volumeM3 * 1250, 3);
  });

  it('stands for a slab with the body’s volume and both surfaces: a wide disc is itself, half a sphere 4R/9 deep', () => {
    const disc = filled({ kind: 'cylinder', diameterM: 0.4, depthM: 0.004 }, [1]).body;
    expect((disc?.depthM ?? 0) / 0.004).toBeCloseTo(1 / 1.02, 2);
    const half = filled({ kind: 'hemisphere', diameterM: 0.064 }, [1]).body;
    // V = 2πR³/3 over (2πR² + πR²)/2.
    expect((half?.depthM ?? 0) / 0.032).toBeCloseTo(4 / 9, 2);
    // Its area has halved at the open face: π R² over 2 π R².
    expect(1 - 2 * (half?.meanCurvature ?? 0) * (half?.depthM ?? 0)).toBeCloseTo(0.5, 2);
  });

  it('rises layer by layer, keeps its volume and tells no nonsense, for any cavity', () => {
    fc.assert(
      fc.property(
        anyShape,
        fc.array(fc.double({ min: 0.02, max: 1, noNaN: true }), { minLength: 1, maxLength: 4 }),
        (shape, shares) => {
          const cavity = cavityOf(shape);
          const { coats, volumeM3, body, totalM, breakChance } = filled(shape, shares);
          expect(volumeM3 / cavity.volumeM3).toBeCloseTo(
            Math.min(
              1,
              shares.reduce((sum, share) => sum + share, 0),
            ),
            9,
          );
          let level = 0;
          for (const { levels } of coats) {
            expect(levels?.fromM).toBeCloseTo(level, 9);
            level = levels?.toM ?? NaN;
            expect(level).toBeGreaterThanOrEqual(levels?.fromM ?? NaN);
          }
          expect(level).toBeLessThanOrEqual(cavity.depthM * (1 + 1e-9));
          for (const depth of totalM) expect(depth).toBeGreaterThanOrEqual(0);
          expect(body?.depthM).toBeGreaterThan(0);
          expect(body?.depthM).toBeLessThanOrEqual(2 * cavity.depthM);
          expect(body?.meanCurvature).toBeGreaterThanOrEqual(0);
          expect(breakChance.value).toBeLessThanOrEqual(1);
        },
      ),
      { numRuns: 100 },
    );
  });
});
