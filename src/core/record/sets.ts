// Apart from the schemas, so that what computes need not carry them.
import type { Place } from './choices';

/** Where something sets, one place after another, and for how long where that is not computed. */
export interface Setting {
  readonly sets: readonly { readonly place: Place; readonly seconds?: number | undefined }[];
}

/** A stay of known length somewhere. */
export interface Rest {
  readonly place: Place;
  readonly seconds: number;
}

/** Where it sets in the end. */
export function placeOf({ sets }: Setting): Place {
  return sets[sets.length - 1].place;
}

/** Where it rests before that, in this order. */
export function restsOf({ sets }: Setting): readonly Rest[] {
  return sets.slice(0, -1).map(({ place, seconds }) => ({ place, seconds: seconds ?? 0 }));
}

/** The user's own time in the last place, s, where they overrule the computed one. */
export function ownSecondsOf({ sets }: Setting): number | undefined {
  return sets[sets.length - 1].seconds;
}

/** Tempered work in a rigid mold rests so long in the room before the cold, s. Common practice, no source. */
export const RESTS_S = 20 * 60;
