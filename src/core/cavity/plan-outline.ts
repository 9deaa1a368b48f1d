/** A stretch of an outline, as seen from its middle: how long it is, and how far its tangent passes from the middle, m. */
export interface OutlineStretch {
  readonly lengthM: number;
  readonly supportM: number;
}

/** The outline of a cavity's rim as seen from above. */
export interface PlanOutline {
  readonly areaM2: number;
  readonly perimeterM: number;
  readonly lengthM: number;
  readonly widthM: number;
  /** The outline in stretches, for sums over the wall; one for a circle, one a side for a polygon. */
  readonly stretches: readonly OutlineStretch[];
  /** Edges that stand into the cavity, as the notch of a heart; none where it is left out. */
  readonly inwardEdges?: number;
}

/** Quarter of an ellipse or of a corner is summed over this many stretches. */
const QUARTER_STRETCHES = 24;

/** A circle of radius R: area πR², perimeter 2πR. */
export function circleOutline(radiusM: number): PlanOutline {
  const perimeterM = 2 * Math.PI * radiusM;
  return {
    areaM2: Math.PI * radiusM ** 2,
    perimeterM,
    lengthM: 2 * radiusM,
    widthM: 2 * radiusM,
    stretches: [{ lengthM: perimeterM, supportM: radiusM }],
  };
}

/**
 * An ellipse: area πab; its perimeter by quadrature over the angle, which converges exponentially.
 * @param lengthM full length, m
 * @param widthM full width, m
 */
export function ellipseOutline(lengthM: number, widthM: number): PlanOutline {
  const a = lengthM / 2;
  const b = widthM / 2;
  const stretches = Array.from({ length: 4 * QUARTER_STRETCHES }, (_, i) => {
    const angle = (Math.PI / 2) * ((i + 0.5) / QUARTER_STRETCHES);
    const speed = Math.hypot(a * Math.sin(angle), b * Math.cos(angle));
    return { lengthM: speed * (Math.PI / 2 / QUARTER_STRETCHES), supportM: (a * b) / speed };
  });
  return {
    areaM2: Math.PI * a * b,
    perimeterM: stretches.reduce((sum, s) => sum + s.lengthM, 0),
    lengthM,
    widthM,
    stretches,
  };
}

/**
 * A rectangle with round corners: area ab - (4 - π)c², perimeter 2(a + b) - (8 - 2π)c.
 * @param cornerM corner radius, m; taken to at most half the shorter side
 */
export function roundedRectangleOutline(lengthM: number, widthM: number, cornerM: number): PlanOutline {
  const corner = Math.max(0, Math.min(cornerM, lengthM / 2, widthM / 2));
  const stretches: OutlineStretch[] = [
    { lengthM: 2 * (lengthM - 2 * corner), supportM: widthM / 2 },
    { lengthM: 2 * (widthM - 2 * corner), supportM: lengthM / 2 },
  ];
  for (let i = 0; corner > 0 && i < QUARTER_STRETCHES; i++) {
    const angle = (Math.PI / 2) * ((i + 0.5) / QUARTER_STRETCHES);
    const supportM = (lengthM / 2 - corner) * Math.cos(angle) + (widthM / 2 - corner) * Math.sin(angle) + corner;
    stretches.push({ lengthM: (4 * corner * Math.PI) / 2 / QUARTER_STRETCHES, supportM });
  }
  return {
    areaM2: lengthM * widthM - (4 - Math.PI) * corner ** 2,
    perimeterM: 2 * (lengthM + widthM) - (8 - 2 * Math.PI) * corner,
    lengthM,
    widthM,
    stretches,
  };
}

/**
 * A regular polygon: area n/2 R² sin(2π/n), side 2R sin(π/n).
 * @param diameterM through the corners, m
 * @param sides 3 or more
 */
export function polygonOutline(diameterM: number, sides: number): PlanOutline {
  const radius = diameterM / 2;
  const perimeterM = 2 * sides * radius * Math.sin(Math.PI / sides);
  return {
    areaM2: (sides / 2) * radius ** 2 * Math.sin((2 * Math.PI) / sides),
    perimeterM,
    lengthM: diameterM,
    widthM: diameterM,
    stretches: [{ lengthM: perimeterM, supportM: radius * Math.cos(Math.PI / sides) }],
  };
}
