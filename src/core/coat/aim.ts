import { rootBetween } from '../quantity/root';
import { tippedOut } from '../record/method';
import type { CoatChoice, CoatPlaceInput } from '../shell/coat-choice';
import { CoatLayer } from './lay-coats';

const MOST_COATS = 4;
/** A micrometre is far less than anybody can see. */
const CLOSE_ENOUGH_M = 1e-6;
/** Shortest and longest time to tip out that the aim will ask for, s. Working rule. */
const SHORTEST_DRAIN = 5;
const LONGEST_DRAIN = 90;
/** Shares of the way from thinnest to thickest that go by time tipped out, at either end. */
const DRAIN_SHARE = 0.2;
/** Longest dwell the aim will ask for, s: nobody holds a full mold longer. Working rule. */
const MOST_DWELL = 90;
/** Longest that it will ask a mold to stand in the cold before it is tipped out, s. Working rule. */
const MOST_CHILLED = 900;
/** The aim lays a spooned coat at most this many times as thick as a vertical wall holds. Working rule. */
const LAID_MULTIPLE = 2;

/** Coats tuned to a wanted thickness at the rim. */
export interface Aimed {
  readonly coats: readonly CoatChoice[];
  /** False when even four coats do not reach it, or one cannot be made as thin. */
  readonly reached: boolean;
}

/**
 * The fewest coats that reach a wanted rim thickness, and the time to stand and to tip out (or the dose) that lands on it.
 *
 * @param model the first coat of the list sets the way of working; later ones are kept, or copied from the last
 * @param rimM wanted thickness at the rim in all, m
 */
export function aimCoats(place: CoatPlaceInput, model: readonly CoatChoice[], rimM: number, layer: CoatLayer): Aimed {
  let best: readonly CoatChoice[] = model;
  for (let n = 1; n <= MOST_COATS; n++) {
    const coats = Array.from(
      { length: n },
      (_, i) => model[i] ?? { ...model[model.length - 1], id: `${model[model.length - 1].id}+${i}` },
    );
    const tune = tuner(place, coats, layer);
    const over = (share: number): number => layer.rimM(tune(share)) - rimM;
    // Later coats set on the ones before: laid as they will be, and not as they were last laid.
    const overAsLaid = (share: number): number => layer.rimAsLaidM(tune(share)) - rimM;
    best = tune(1);
    if (overAsLaid(1) < 0) continue;
    const least = overAsLaid(0);
    if (least > 0) return { coats: tune(0), reached: false };
    const first = rootBetween(over, 0, 1, least, over(1), CLOSE_ENOUGH_M);
    return { coats: tune(rootNear(overAsLaid, over, first)), reached: true };
  }
  return { coats: best, reached: false };
}

/** The share at which the coats come to the wanted rim laid on each other as they are there, from one that was found on coats laid otherwise. */
function rootNear(overAsLaid: (share: number) => number, over: (share: number) => number, first: number): number {
  const there = overAsLaid(first);
  if (Math.abs(there) <= CLOSE_ENOUGH_M) return first;
  const end = there < 0 ? 1 : 0;
  const atEnd = over(end);
  return there < 0 === atEnd < 0 ? first : rootBetween(over, first, end, there, atEnd, CLOSE_ENOUGH_M);
}

/** Maps 0 (thinnest) to 1 (thickest) onto a set of coats: by time to stand and to tip out, or by dose. */
function tuner(place: CoatPlaceInput, coats: readonly CoatChoice[], layer: CoatLayer): (share: number) => CoatChoice[] {
  const mostM3 = coats.map((coat) => place.cavity.wallAreaM2 * layer.heldM(coat) * LAID_MULTIPLE);
  return (share) =>
    coats.map((coat, i) => {
      if (tippedOut(coat.method))
        return place.cavity.outward
          ? byDrain(coat, share)
          : byDwellFirst(coat, share, coat.stands ? MOST_CHILLED : MOST_DWELL);
      return { ...coat, doseM3: Math.max(0.1e-6, mostM3[i] * (0.1 + 0.9 * share)) };
    });
}

/** Tipped out for longer or shorter than the longest, in equal ratios. */
function byDrain(coat: CoatChoice, share: number): CoatChoice {
  const drainSeconds = LONGEST_DRAIN * (SHORTEST_DRAIN / LONGEST_DRAIN) ** share;
  return { ...coat, drainSeconds, tappingSeconds: Math.min(coat.tappingSeconds, drainSeconds / 2) };
}

/**
 * The dwell does most of it, as a film once set down runs on until it holds: around the chosen way, first longer tipped out and no
 * dwell, then less dwell, then more, then less time tipped out.
 */
function byDwellFirst(coat: CoatChoice, share: number, longest: number): CoatChoice {
  const along = (from: number, to: number): number => Math.min(1, Math.max(0, (share - from) / (to - from)));
  const between = (a: number, b: number, part: number): number => (a > 0 && b > 0 ? a * (b / a) ** part : a);
  const chosen = Math.min(LONGEST_DRAIN, Math.max(SHORTEST_DRAIN, coat.drainSeconds));
  const drainSeconds =
    share < DRAIN_SHARE
      ? between(LONGEST_DRAIN, chosen, along(0, DRAIN_SHARE))
      : between(chosen, SHORTEST_DRAIN, along(1 - DRAIN_SHARE, 1));
  // A skin grows like the root of the time it stands: nearly straight in the share.
  const root =
    along(DRAIN_SHARE, 0.5) * Math.sqrt(coat.dwellSeconds) +
    along(0.5, 1 - DRAIN_SHARE) * Math.max(0, Math.sqrt(longest) - Math.sqrt(coat.dwellSeconds));
  return {
    ...coat,
    dwellSeconds: root * root,
    drainSeconds,
    tappingSeconds: Math.min(coat.tappingSeconds, drainSeconds / 2),
  };
}
