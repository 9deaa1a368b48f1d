/** One point of a turned profile, m: distance from the axis and height above the lowest point. */
export interface TurnedPoint {
  readonly radiusM: number;
  readonly heightM: number;
}

/** Faceted bodies: how the width grows from the lowest point to the rim. */
export const FACETED_FORMS = ['pyramid', 'gem', 'pear'] as const;
export type FacetedForm = (typeof FACETED_FORMS)[number];

/** How a cavity of a free outline goes down: by upright sides to a flat floor, as a dome, or by facets to a point under its middle. */
export const OUTLINE_FORMS = ['flat', 'domed', 'faceted'] as const;
export type OutlineForm = (typeof OUTLINE_FORMS)[number];

/** The shape of one cavity, as the record keeps it; all lengths m, seen with the opening up. */
export type CavityShape =
  | { readonly kind: 'hemisphere'; readonly diameterM: number }
  /** Part of a sphere, no deeper than half of it. */
  | { readonly kind: 'cap'; readonly diameterM: number; readonly depthM: number }
  /** Half an egg laid on its side: half an ellipsoid. */
  | { readonly kind: 'egg'; readonly lengthM: number; readonly widthM: number; readonly depthM: number }
  | { readonly kind: 'cylinder'; readonly diameterM: number; readonly depthM: number }
  /** A cup, or a cone where the base has no width. */
  | { readonly kind: 'cup'; readonly diameterM: number; readonly baseDiameterM: number; readonly depthM: number }
  /** A pleated paper liner: a cup whose side has more wall than a smooth one, by the pleat factor. */
  | {
      readonly kind: 'liner';
      readonly diameterM: number;
      readonly baseDiameterM: number;
      readonly depthM: number;
      readonly pleatFactor: number;
    }
  /** A flat tile with rounded corners and upright sides. */
  | {
      readonly kind: 'tile';
      readonly lengthM: number;
      readonly widthM: number;
      readonly depthM: number;
      readonly cornerM: number;
    }
  /** A domed bonbon on a rounded rectangle. */
  | {
      readonly kind: 'pillow';
      readonly lengthM: number;
      readonly widthM: number;
      readonly depthM: number;
      readonly cornerM: number;
    }
  /** A regular polygon in plan; the diameter goes through its corners. */
  | {
      readonly kind: 'faceted';
      readonly form: FacetedForm;
      readonly diameterM: number;
      readonly facets: number;
      readonly depthM: number;
    }
  /** A heart seen from above, its tip below. */
  | {
      readonly kind: 'heart';
      readonly form: OutlineForm;
      readonly widthM: number;
      readonly lengthM: number;
      readonly depthM: number;
    }
  /** A star seen from above; the diameter goes over its tips, and the corners between them lie at this share of it. */
  | {
      readonly kind: 'star';
      readonly form: OutlineForm;
      readonly diameterM: number;
      readonly tips: number;
      readonly waist: number;
      readonly depthM: number;
    }
  /** Any outline alike to both sides: half of it from below upward, by the distance from its middle line. */
  | {
      readonly kind: 'drawn';
      readonly form: OutlineForm;
      readonly points: readonly TurnedPoint[];
      readonly depthM: number;
    }
  /** Turned about its axis, from points drawn or typed. */
  | { readonly kind: 'turned'; readonly points: readonly TurnedPoint[] }
  /** A bowl fitted to its measured volume, depth and rim. */
  | {
      readonly kind: 'measured';
      readonly volumeM3: number;
      readonly uncertaintyM3?: number | undefined;
      readonly diameterM: number;
      readonly depthM: number;
    }
  /** A ball with a round opening, as a balloon or another former is. */
  | { readonly kind: 'ball'; readonly diameterM: number; readonly openingM: number };

/** The shape where it is known by points, else undefined. */
export function byPoints<S extends { readonly kind: ShapeKind }>(
  shape: S,
): Extract<S, { readonly kind: 'turned' | 'drawn' }> | undefined {
  return shape.kind === 'turned' || shape.kind === 'drawn'
    ? (shape as Extract<S, { readonly kind: 'turned' | 'drawn' }>)
    : undefined;
}

export type ShapeKind = CavityShape['kind'];
