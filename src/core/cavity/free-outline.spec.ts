import { execFileSync } from 'node:child_process';
import fc from 'fast-check';
import { cavityOf } from './cavity';
import { checkOutline } from './check-shape';
import { circleRoundM, enclosed, outlinePoints, outlineThrough, type OutlinedShape } from './free-outline';
import type { CavityShape, TurnedPoint } from './shape';

const r = 0.02;
const HEART: OutlinedShape = {
  kind: 'heart',
  form: 'flat',
  widthM: (2 + Math.SQRT2) * r,
  lengthM: (1 + 3 * Math.SQRT1_2) * r,
  depthM: 0.01,
};
const STAR: OutlinedShape = { kind: 'star', form: 'flat', diameterM: 0.05, tips: 5, waist: 0.5, depthM: 0.01 };
const points = (...pairs: readonly (readonly [mm: number, mm: number])[]): TurnedPoint[] =>
  pairs.map(([across, along]) => ({ radiusM: across / 1000, heightM: along / 1000 }));

describe('outline of a heart (a square on its corner and two half circles, worked by hand)', () => {
  const outline = outlineThrough(outlinePoints(HEART));

  it('has the area (4 + π) r² and goes round 4 r + 2 π r', () => {
    expect(outline.areaM2 / ((4 + Math.PI) * r ** 2)).toBeCloseTo(1, 6);
    expect(outline.perimeterM / ((4 + 2 * Math.PI) * r)).toBeCloseTo(1, 3);
    expect(outline.lengthM / HEART.widthM).toBeCloseTo(1, 3);
    expect(outline.widthM / HEART.lengthM).toBeCloseTo(1, 3);
  });

  it('has its middle where Pappus has it: half circles 4r/3π beyond the sides of the square', () => {
    const { middle } = enclosed(outlinePoints(HEART));
    const square = Math.SQRT2 * r;
    const circles = square + Math.SQRT1_2 * r + ((4 * r) / (3 * Math.PI)) * Math.SQRT1_2;
    expect(middle[0]).toBeCloseTo(0, 12);
    expect(middle[1] / ((4 * square + Math.PI * circles) / (4 + Math.PI))).toBeCloseTo(1, 3);
  });

  it('has one edge that stands inward, its notch', () => {
    expect(outline.inwardEdges).toBe(1);
  });
});

describe('outline of a star', () => {
  it('has the area n R² waist sin(π/n), and an inner corner to each tip', () => {
    const outline = outlineThrough(outlinePoints(STAR));
    expect(outline.areaM2 / (5 * 0.025 ** 2 * 0.5 * Math.sin(Math.PI / 5))).toBeCloseTo(1, 12);
    expect(outline.inwardEdges).toBe(5);
    // So full that its corners stand out like its tips.
    const full = outlineThrough(outlinePoints({ ...STAR, waist: 0.9 }));
    expect(full.inwardEdges).toBe(0);
  });

  it('goes into the circle over its tips, a heart into one that is little wider than itself', () => {
    expect(circleRoundM(outlinePoints(STAR))).toBeCloseTo(0.05, 9);
    // Its tip and the two places of its lobes farthest from it lie on the circle.
    const round = circleRoundM(outlinePoints(HEART));
    expect(round).toBeGreaterThan(HEART.widthM);
    expect(round).toBeLessThan(1.06 * HEART.widthM);
  });
});

const CASES: readonly OutlinedShape[] = [
  HEART,
  STAR,
  { ...STAR, tips: 8, waist: 0.7 },
  { kind: 'drawn', form: 'flat', points: points([0, 0], [12, 10], [7, 30], [9, 44], [0, 60]), depthM: 0.01 },
];

describe('free outlines that stand upright, against manifold-3d', () => {
  const reference = JSON.parse(
    execFileSync(
      process.execPath,
      [
        'src/testing/reference-solids.mjs',
        JSON.stringify(
          CASES.map((shape) => ({
            outline: outlinePoints(shape).map(([x, y]) => [x * 1000, y * 1000]),
            depthMm: shape.depthM * 1000,
          })),
        ),
      ],
      { encoding: 'utf8' },
    ),
  ) as { volume: number; wall: number }[];

  it.each(CASES.map((shape, i) => [shape.kind, i] as const))('%s: volume and wall', (_, i) => {
    const cavity = cavityOf(CASES[i]);
    expect((cavity.volumeM3 * 1e9) / reference[i].volume).toBeCloseTo(1, 6);
    expect((cavity.wallAreaM2 * 1e6) / reference[i].wall).toBeCloseTo(1, 6);
  });
});

describe('forms of an outline', () => {
  // Two thirds of the upright body is a dome of any outline (half an ellipsoid's share of its cylinder, handbook mensuration).
  it('a dome holds two thirds of the upright body', () => {
    for (const shape of CASES) {
      const upright = cavityOf(shape);
      expect(cavityOf({ ...shape, form: 'domed' }).volumeM3 / upright.volumeM3).toBeCloseTo(2 / 3, 9);
      expect(cavityOf({ ...shape, form: 'faceted' }).volumeM3).toBeLessThan(upright.volumeM3);
    }
  });

  it('a circle drawn by points is near the half egg and the disc that it is', () => {
    const circle = Array.from({ length: 41 }, (_, i): TurnedPoint => {
      const angle = (Math.PI * i) / 40;
      return { radiusM: 0.03 * Math.sin(angle), heightM: 0.03 - 0.03 * Math.cos(angle) };
    });
    const drawn = (form: 'flat' | 'domed'): CavityShape => ({ kind: 'drawn', form, points: circle, depthM: 0.02 });
    const disc = cavityOf({ kind: 'cylinder', diameterM: 0.06, depthM: 0.02 });
    const egg = cavityOf({ kind: 'egg', lengthM: 0.06, widthM: 0.06, depthM: 0.02 });
    for (const [one, other] of [
      [cavityOf(drawn('flat')), disc],
      [cavityOf(drawn('domed')), egg],
    ]) {
      expect(one.volumeM3 / other.volumeM3).toBeCloseTo(1, 2);
      expect(one.wallAreaM2 / other.wallAreaM2).toBeCloseTo(1, 2);
      expect(one.rimLengthM / other.rimLengthM).toBeCloseTo(1, 2);
    }
  });
});

describe('checking a drawn outline', () => {
  it.each([
    ['of one point', points([0, 0]), 'tooFewPoints'],
    ['of two points that is but a line', points([0, 0], [0, 40]), 'outlineTooSmall'],
    ['that is thinner than anything is cast', points([0, 0], [3, 20], [0, 40]), 'outlineTooSmall'],
    ['that crosses itself', points([0, 0], [20, 0], [20, 30], [5, -10], [0, 40]), 'pointCrosses'],
    ['with a point behind the middle line', points([0, 0], [-4, 10], [10, 20], [0, 30]), 'pointBehindAxis'],
    ['that hides behind itself', points([0, 0], [30, 2], [30, 30], [26, 30], [26, 6], [0, 6]), 'pointHidden'],
    ['drawn the wrong way round', points([0, 40], [12, 20], [0, 0]), 'pointHidden'],
  ] as const)('refuses one %s', (_, drawn, key) => {
    expect(checkOutline(drawn)?.key).toBe(key);
  });

  it('takes a bell, a leaf and a heart that goes back to its notch', () => {
    for (const drawn of [
      points([14, 0], [12, 8], [8, 24], [3, 30], [0, 30]),
      points([0, 0], [10, 20], [0, 60]),
      points([0, 0], [28, 30], [24, 46], [12, 52], [0, 42]),
    ])
      expect(checkOutline(drawn)).toBeUndefined();
  });

  it('finds the smallest circle round anything alike to both sides: nothing sticks out, and no smaller one holds it', () => {
    const m = (low: number, high: number) => fc.double({ min: low, max: high, noNaN: true });
    fc.assert(
      fc.property(m(0.01, 0.1), m(0.01, 0.1), m(0, 0.9), (across, along, at) => {
        const outline = outlinePoints({
          kind: 'drawn',
          form: 'flat',
          points: [
            { radiusM: 0, heightM: 0 },
            { radiusM: across / 2, heightM: at * along },
            { radiusM: 0, heightM: along },
          ],
          depthM: 0.01,
        });
        const round = circleRoundM(outline);
        // Of a triangle: its circumcircle, or its longest side where one angle is blunt.
        const [a, b, c] = [across, Math.hypot(across / 2, at * along), Math.hypot(across / 2, (1 - at) * along)];
        expect(round).toBeGreaterThan(Math.max(a, along, b, c) - 1e-9);
        expect(round).toBeLessThan((2 / Math.sqrt(3)) * Math.max(a, along, b, c) + 1e-9);
      }),
    );
  });
});
