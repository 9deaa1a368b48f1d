import fc from 'fast-check';
import { densityIn, packedShare, pieceWidthM } from './packing';

const mallows = { kind: 'marshmallow', bulkDensity: 210, pieceKg: 0.0005 } as const;
const lentils = { kind: 'sweets', bulkDensity: 880, pieceKg: 0.0009 } as const;
const RANDOM_CLOSE = 0.636;
/** Wall over volume of an endless cylinder of width 1. */
const CYLINDER = 4;

describe('pieces in a vessel', () => {
  it('lie in the open as spheres at random do: 0.636 (Scott & Kilgour 1969)', () => {
    expect(packedShare(RANDOM_CLOSE, 1e-9, CYLINDER)).toBeCloseTo(RANDOM_CLOSE, 8);
  });

  // Void of spheres poured into a cylinder: 0.375 + 0.34 d/D (Jeschar 1964); 0.372 + 0.002 (exp(15.306 d/D) - 1) shaken down (Zou & Yu 1995). Both from memory.
  it.each([0.02, 0.05, 0.1, 0.15, 0.2])(
    'lie looser at the wall of a cylinder %f of whose width they have, as two published correlations say',
    (share) => {
      const void0 = 1 - packedShare(1 - 0.375, share, CYLINDER);
      expect(void0).toBeCloseTo(0.375 + 0.34 * share, 9);
      const shaken = 0.372 + 0.002 * (Math.exp(15.306 * share) - 1);
      expect(Math.abs(1 - packedShare(RANDOM_CLOSE, share, CYLINDER) - shaken)).toBeLessThan(0.035);
    },
  );

  it('lie the looser the larger they are and the smaller the vessel, and never so loose that none goes in', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1e-4, max: 0.05, noNaN: true }),
        fc.double({ min: 5, max: 2000, noNaN: true }),
        (widthM, wall) => {
          const share = packedShare(0.6, widthM, wall);
          expect(share).toBeGreaterThan(0.2);
          expect(share).toBeLessThanOrEqual(0.6);
          expect(packedShare(0.6, widthM * 1.5, wall)).toBeLessThanOrEqual(share);
          expect(packedShare(0.6, widthM, wall * 1.5)).toBeLessThanOrEqual(share);
        },
      ),
    );
  });

  it('have about the size that people know them by (common practice, no source): small marshmallows 8 to 15 mm, sugar lentils 10 to 13 mm', () => {
    expect((pieceWidthM(mallows) ?? 0) * 1e3).toBeGreaterThan(8);
    expect((pieceWidthM(mallows) ?? 0) * 1e3).toBeLessThan(15);
    expect((pieceWidthM(lentils) ?? 0) * 1e3).toBeGreaterThan(9);
    expect((pieceWidthM(lentils) ?? 0) * 1e3).toBeLessThan(13);
  });

  it('weigh less in a small shell than in a jug, and powder the same in both', () => {
    // Half a sphere of 60 mm: its wall over its volume is 3/R.
    expect(densityIn(mallows, 100)).toBeLessThan(0.95 * mallows.bulkDensity);
    expect(densityIn(lentils, 100)).toBeGreaterThan(0.8 * lentils.bulkDensity);
    expect(densityIn({ kind: 'powder', bulkDensity: 550 }, 100)).toBe(550);
  });
});
