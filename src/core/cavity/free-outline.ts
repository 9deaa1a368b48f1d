import type { PlanOutline } from './plan-outline';
import type { CavityShape, TurnedPoint } from './shape';

/** A point of an outline seen from above, m: to the right, and up from its lower end. */
export type OutlinePoint = readonly [acrossM: number, alongM: number];

/** Shapes known by their outline, which is given by points. */
export type OutlinedShape = Extract<CavityShape, { kind: 'heart' | 'star' | 'drawn' }>;

export function isOutlined(shape: CavityShape): shape is OutlinedShape {
  return shape.kind === 'heart' || shape.kind === 'star' || shape.kind === 'drawn';
}

/** The points round a shape's outline in order, counterclockwise; the last joins the first. */
export function outlinePoints(shape: OutlinedShape): readonly OutlinePoint[] {
  switch (shape.kind) {
    case 'heart':
      return heart(shape.widthM, shape.lengthM);
    case 'star':
      return star(shape.diameterM / 2, shape.tips, shape.waist);
    case 'drawn':
      return mirrored(shape.points);
  }
}

/** Each of the two half circles of a heart is taken in so many stretches. */
const HALF_CIRCLE_STRETCHES = 48;
/** Points that near the middle line lie on it, m. */
const ON_LINE_M = 1e-9;

/**
 * A heart: a square that stands on its corner, with half a circle on each of its upper sides, drawn out to its width and length. Of a side
 * 2r: (2 + √2) r wide, (1 + 3/√2) r long, area (4 + π) r². The stretches of the circles stand out so far that they hold the same area.
 */
function heart(widthM: number, lengthM: number): readonly OutlinePoint[] {
  const n = HALF_CIRCLE_STRETCHES;
  const step = Math.PI / n;
  const out = (Math.sqrt(1 + ((n - 2) * Math.PI) / Math.sin(step)) - 1) / (n - 2);
  const right = Array.from({ length: n + 1 }, (_, i): OutlinePoint => {
    const angle = step * i - Math.PI / 4;
    const radius = i === 0 || i === n ? 1 : out;
    return [Math.SQRT1_2 + radius * Math.cos(angle), Math.SQRT2 + Math.SQRT1_2 + radius * Math.sin(angle)];
  });
  // The notch is the last of the right half and lies on the middle line.
  const left = right.slice(0, -1).reverse();
  const toX = widthM / (2 + Math.SQRT2);
  const toY = lengthM / (1 + 3 * Math.SQRT1_2);
  return [[0, 0] as const, ...right, ...left.map(([x, y]) => [-x, y] as const)].map(
    ([x, y]) => [x * toX, y * toY] as const,
  );
}

/** A star with its tips on a circle and the corners between them on one that is `waist` times as wide; a tip points up. */
function star(radiusM: number, tips: number, waist: number): readonly OutlinePoint[] {
  return Array.from({ length: 2 * tips }, (_, i): OutlinePoint => {
    const angle = Math.PI / 2 + (Math.PI * i) / tips;
    const radius = i % 2 === 0 ? radiusM : radiusM * waist;
    return [radius * Math.cos(angle), radius * Math.sin(angle)];
  });
}

/** The right half as it is drawn, from the lower end of the middle line, and its mirror image. */
function mirrored(points: readonly TurnedPoint[]): readonly OutlinePoint[] {
  const right = points.map(({ radiusM, heightM }) => [radiusM, heightM] as const);
  const left = right.filter(([x]) => x > ON_LINE_M).map(([x, y]) => [-x, y] as const);
  return [...right, ...left.reverse()];
}

/** Area of what points go round counterclockwise, m², and its middle, m (Green's formula). */
export function enclosed(points: readonly OutlinePoint[]): { readonly areaM2: number; readonly middle: OutlinePoint } {
  let [twice, x, y] = [0, 0, 0];
  points.forEach(([x0, y0], i) => {
    const [x1, y1] = points[(i + 1) % points.length];
    const cross = x0 * y1 - x1 * y0;
    twice += cross;
    x += (x0 + x1) * cross;
    y += (y0 + y1) * cross;
  });
  return { areaM2: twice / 2, middle: [x / (3 * twice), y / (3 * twice)] };
}

/** An edge that turns by less than this stands out too little to thin a coat, radians. */
const BLUNT = 0.35;

/**
 * An outline by its points: each stretch as it is seen from the middle, about which the cavity narrows downward.
 * @param points counterclockwise, every one in sight of the middle, m
 */
export function outlineThrough(points: readonly OutlinePoint[]): PlanOutline {
  const { areaM2, middle } = enclosed(points);
  const n = points.length;
  const runs = points.map(([x0, y0], i) => {
    const [x1, y1] = points[(i + 1) % n];
    return { dx: x1 - x0, dy: y1 - y0, x: x0 - middle[0], y: y0 - middle[1], lengthM: Math.hypot(x1 - x0, y1 - y0) };
  });
  const stretches = runs.map(({ dx, dy, x, y, lengthM }) => ({ lengthM, supportM: (x * dy - y * dx) / lengthM }));
  const inward = runs.filter(({ dx, dy }, i) => {
    const before = runs[(i + n - 1) % n];
    return Math.atan2(before.dx * dy - before.dy * dx, before.dx * dx + before.dy * dy) < -BLUNT;
  });
  const extent = (axis: 0 | 1): number => {
    const along = points.map((point) => point[axis]);
    return Math.max(...along) - Math.min(...along);
  };
  return {
    areaM2,
    perimeterM: stretches.reduce((sum, { lengthM }) => sum + lengthM, 0),
    lengthM: extent(0),
    widthM: extent(1),
    stretches,
    inwardEdges: inward.length,
  };
}

const CIRCLE_STEPS = 60;

/** Diameter of the smallest circle round an outline that is alike to both sides of its middle line, m: its middle lies on that line. */
export function circleRoundM(points: readonly OutlinePoint[]): number {
  const reach = (y: number): number => Math.max(...points.map(([px, py]) => Math.hypot(px, py - y)));
  let [low, high] = [Math.min(...points.map(([, y]) => y)), Math.max(...points.map(([, y]) => y))];
  // The reach is convex in y: a third is cut off at a time.
  for (let i = 0; i < CIRCLE_STEPS; i++) {
    const [a, b] = [low + (high - low) / 3, high - (high - low) / 3];
    if (reach(a) < reach(b)) high = b;
    else low = a;
  }
  return 2 * reach((low + high) / 2);
}
