import fc from 'fast-check';
import { cavityOf, layerThickness, layerVolumePerArea } from './cavity';
import { depthCurve } from './depth-curve';
import { cumulativeVolume, insetProfile, profileThrough, wallArea } from './profile';

const half64 = cavityOf({ kind: 'hemisphere', diameterM: 0.064 });
const ML = 1e6;

describe('hemisphere', () => {
  // V = 2πR³/3 and A = 2πR²: handbook mensuration, worked by hand.
  it('holds 68.629 mL and has a wall of 64.340 cm² at 64 mm', () => {
    expect(half64.volumeM3 * ML).toBeCloseTo(68.629, 3);
    expect(half64.wallAreaM2 * 1e4).toBeCloseTo(64.34, 2);
    expect(half64.rimLengthM * 1e3).toBeCloseTo(201.06, 2);
  });

  it('holds about 14 mL at 38 mm (common practice, no source)', () => {
    expect(cavityOf({ kind: 'hemisphere', diameterM: 0.038 }).volumeM3 * ML).toBeCloseTo(14, 0);
  });

  it('takes 12.080 mL in a 2.0 mm shell and leaves 56.549 mL (difference of two half spheres)', () => {
    const shell = half64.wallAreaM2 * layerVolumePerArea(half64, 0.002);
    expect(shell * ML).toBeCloseTo(12.08, 3);
    expect((half64.volumeM3 - shell) * ML).toBeCloseTo(56.549, 3);
  });

  // Worked by hand from the sphere's shell volume.
  it.each([
    [1.5 * 4.92892, 0.0635, 1.21],
    [14.78676, 0.0762, 1.7],
  ])('spreads %f mL evenly over a %f m half at %f mm', (ml, diameterM, mm) => {
    const cavity = cavityOf({ kind: 'hemisphere', diameterM });
    const perArea = (ml * 1e-6) / cavity.wallAreaM2;
    expect(layerThickness(cavity, perArea) * 1e3).toBeCloseTo(mm, 2);
  });

  it('never spreads thicker than its radius, whatever is poured in', () => {
    expect(layerThickness(half64, 1)).toBeCloseTo(0.032, 12);
  });

  it('scales with the cube and the square of its size', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.01, max: 0.1, noNaN: true }), fc.double({ min: 1.1, max: 4, noNaN: true }), (d, k) => {
        const small = cavityOf({ kind: 'hemisphere', diameterM: d });
        const large = cavityOf({ kind: 'hemisphere', diameterM: d * k });
        expect(large.volumeM3 / small.volumeM3 / k ** 3).toBeCloseTo(1, 9);
        expect(large.wallAreaM2 / small.wallAreaM2 / k ** 2).toBeCloseTo(1, 9);
      }),
    );
  });
});

describe('profiles', () => {
  it('give the formula’s volume and area, by Pappus-Guldin, within a thousandth', () => {
    const volumes = cumulativeVolume(half64.profile);
    expect(volumes[volumes.length - 1] / half64.volumeM3).toBeCloseTo(1, 2.9);
    expect(wallArea(half64.profile) / half64.wallAreaM2).toBeCloseTo(1, 3);
  });

  it('inset by a shell leave the smaller half sphere', () => {
    const inside = insetProfile(half64.profile, new Float64Array(half64.profile.arcM.length).fill(0.002));
    expect(depthCurve(inside).capacityM3 * ML).toBeCloseTo(56.549, 0);
    expect(depthCurve(inside).depthM).toBeCloseTo(0.03, 9);
  });

  it('survive a shell as thick as the cavity', () => {
    const solid = insetProfile(half64.profile, new Float64Array(half64.profile.arcM.length).fill(0.05));
    expect(depthCurve(solid).capacityM3).toBeGreaterThanOrEqual(0);
    expect(depthCurve(solid).capacityM3 * ML).toBeLessThan(1);
  });
});

describe('depth curve', () => {
  // Spherical cap: V = πh²(3R - h)/3 (handbook mensuration).
  it('follows the spherical cap', () => {
    const curve = depthCurve(half64.profile);
    const cap = (h: number): number => (Math.PI * h * h * (3 * 0.032 - h)) / 3;
    for (const h of [0.008, 0.016, 0.024]) expect(curve.volumeAt(h) / cap(h)).toBeCloseTo(1, 2);
  });

  it('is exact for a cone', () => {
    const cone = depthCurve(profileThrough([0, 0.01, 0.02], [0, 0.02, 0.04]));
    expect(cone.capacityM3).toBeCloseTo((Math.PI * 0.02 ** 2 * 0.04) / 3, 15);
    expect(cone.volumeAt(0.02)).toBeCloseTo((Math.PI * 0.01 ** 2 * 0.02) / 3, 15);
  });

  it('grows with depth, and its inverse comes back to 1e-9', () => {
    const curve = depthCurve(half64.profile);
    fc.assert(
      fc.property(fc.double({ min: 1e-4, max: 0.0319, noNaN: true }), fc.double({ min: 1e-5, max: 1e-4, noNaN: true }), (h, more) => {
        expect(curve.volumeAt(h + more)).toBeGreaterThan(curve.volumeAt(h));
        const back = curve.levelAt(curve.volumeAt(h));
        expect(Math.abs(back - h) / h).toBeLessThan(1e-9);
      }),
    );
  });
});
