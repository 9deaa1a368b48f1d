import fc from 'fast-check';
import { usualCoat } from '../../testing/coat-choice';
import { PRACTICE_KITCHEN } from '../../testing/practice';
import { cavityOf } from '../cavity/cavity';
import { CHOCOLATE_KINDS, CHOCOLATE_MATTER } from '../matter/chocolate';
import { MOLD_MATERIALS } from '../matter/mold-material';
import { dwellSkin, type DwellSkin } from './dwell-skin';
import { readings } from './laid-film';
import { simulateShell } from './shell';

const coat = usualCoat();

describe('dwell skin', () => {
  const base = {
    kind: 'dark',
    fatShare: 0.4,
    workingC: 31.5,
    material: 'silicone',
    wallM: 0.0025,
    setThicknessM: 0,
    meltDepthM: 0.0107,
    draught: 1,
    wallC: 19.5,
    airC: 19.5,
  } as const;
  const skin = (dwellSeconds: number): number => dwellSkin({ ...base, dwellSeconds }).thicknessM;

  it('is some tenths of a millimetre after half a minute, and nothing without a dwell', () => {
    expect(skin(0)).toBe(0);
    expect(skin(30) * 1e3).toBeGreaterThan(0.2);
    expect(skin(30) * 1e3).toBeLessThan(0.8);
  });

  it('changes evenly with what has set below, from nothing to 4 mm in 200 steps', () => {
    const over = Array.from({ length: 201 }, (_, k) =>
      dwellSkin({ ...base, dwellSeconds: 40, setThicknessM: (k / 200) * 4e-3 }),
    );
    for (const key of ['thicknessM', 'wallC', 'meltC', 'skinSet'] as const) {
      const values = over.map((skin) => skin[key]);
      const moves = values.slice(1).map((value, k) => Math.abs(value - values[k]));
      // No single step of the 200 takes more than a twentieth of the way.
      expect(Math.max(...moves) / (Math.max(...values) - Math.min(...values))).toBeLessThan(0.05);
    }
  });

  const any = fc.record({
    kind: fc.constantFrom(...CHOCOLATE_KINDS),
    material: fc.constantFrom(...MOLD_MATERIALS),
    overK: fc.double({ min: -1, max: 3, noNaN: true }),
    meltDepthM: fc.double({ min: 0.002, max: 0.02, noNaN: true }),
    wallM: fc.double({ min: 0.0002, max: 0.006, noNaN: true }),
    wallC: fc.double({ min: -18, max: 33, noNaN: true }),
    airC: fc.double({ min: -18, max: 35, noNaN: true }),
    setThicknessM: fc.constantFrom(0, 0.0013),
    draught: fc.constantFrom(1, 1.6),
  });
  type Way = typeof any extends fc.Arbitrary<infer T> ? T : never;
  const skinAt = ({ overK, ...rest }: Way, dwellSeconds: number): DwellSkin =>
    dwellSkin({
      ...base,
      ...rest,
      fatShare: CHOCOLATE_MATTER[rest.kind].fatShare,
      workingC: CHOCOLATE_MATTER[rest.kind].workFromC + overK,
      dwellSeconds,
    });

  it('is never thinner for standing longer, nor on a colder mold, nor of cooler chocolate, whatever the wall', () => {
    fc.assert(
      fc.property(any, fc.double({ min: 1, max: 900, noNaN: true }), (way, seconds) => {
        const { thicknessM } = skinAt(way, seconds);
        expect(thicknessM).toBeGreaterThanOrEqual(0);
        expect(thicknessM).toBeLessThanOrEqual(way.meltDepthM * (1 + 1e-9));
        expect(skinAt(way, seconds * 1.3).thicknessM).toBeGreaterThanOrEqual(thicknessM);
        expect(skinAt({ ...way, wallC: way.wallC - 4 }, seconds).thicknessM).toBeGreaterThanOrEqual(thicknessM - 1e-9);
        expect(skinAt({ ...way, overK: way.overK - 0.5 }, seconds).thicknessM).toBeGreaterThanOrEqual(
          thicknessM - 1e-9,
        );
      }),
      { numRuns: 150 },
    );
  });

  it('grows ever more slowly once its seed has grown, until all of it sets', () => {
    for (const material of ['silicone', 'polycarbonate', 'glass'] as const) {
      const grown = [20, 40, 60, 80, 100, 120].map(
        (seconds) => dwellSkin({ ...base, material, dwellSeconds: seconds }).thicknessM,
      );
      const steps = grown.slice(1).map((thicknessM, k) => thicknessM - grown[k]);
      for (let k = 1; k < steps.length; k++) expect(steps[k]).toBeLessThan(steps[k - 1]);
    }
  });

  // A bonbon of 28 mm in 3 mm of polycarbonate: tens of seconds matter. Common practice, no source.
  it('steers the wall of a bonbon by tens of seconds, in a film that drains off it too', () => {
    const cavity = cavityOf({ kind: 'pillow', lengthM: 0.028, widthM: 0.028, depthM: 0.016, cornerM: 0.006 });
    const rimM = [30, 60, 80, 120].map((dwellSeconds) => {
      const { thicknessM } = simulateShell({
        cavity,
        material: 'polycarbonate',
        moldWallM: 0.003,
        roomC: 20,
        kitchen: PRACTICE_KITCHEN,
        coats: [{ choice: { ...coat, dwellSeconds }, handlingSeconds: 60, sets: [{ place: 'fridge', seconds: 600 }] }],
      }).coats[0];
      return readings(cavity.profile, thicknessM).rimM;
    });
    for (let k = 1; k < rimM.length; k++) expect(rimM[k] - rimM[k - 1]).toBeGreaterThan(2e-5);
  });
});
