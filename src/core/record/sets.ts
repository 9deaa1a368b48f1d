// Apart from the schemas, so that what computes need not carry them.
import type { Place, WayUp } from './choices';

/** Where something sets, one place after another, and for how long where that is not computed. */
export interface Setting {
  readonly sets: readonly { readonly place: Place; readonly seconds?: number | undefined }[];
}

/** A coat's way into them: some thicken upright before they are turned over. */
type Turned = Setting & { readonly wayUp?: WayUp; readonly uprightSeconds?: number };

/** A stay of known length somewhere. */
export interface Rest {
  readonly place: Place;
  readonly seconds: number;
  /** Before it is turned over. */
  readonly upright?: true;
}

/** Where it sets in the end. */
export function placeOf({ sets }: Setting): Place {
  return sets[sets.length - 1].place;
}

/** Where it rests before that, in this order, once it lies as it is to set. */
export function restsOf({ sets }: Setting): readonly Rest[] {
  return sets.slice(0, -1).map(({ place, seconds }) => ({ place, seconds: seconds ?? 0 }));
}

/** How long it stands upright before it is turned over, s; 0 where it is not turned over. */
export function uprightFirst({ wayUp, uprightSeconds = 0 }: Turned): number {
  return wayUp === 'upsideDown' ? uprightSeconds : 0;
}

/** All that comes before its place: upright first, where it is turned over, and then its rests. */
export function waysIn(it: Turned): readonly Rest[] {
  const seconds = uprightFirst(it);
  return seconds > 0 ? [{ place: 'room', seconds, upright: true }, ...restsOf(it)] : restsOf(it);
}

/** The user's own time in the last place, s, where they overrule the computed one. */
export function ownSecondsOf({ sets }: Setting): number | undefined {
  return sets[sets.length - 1].seconds;
}

/** Tempered work in a rigid mold rests so long in the room before the cold, s. Common practice, no source. */
export const RESTS_S = 20 * 60;
