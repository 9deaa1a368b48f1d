import { rootBetween } from '../quantity/root';
import type { CoatChoice, CoatPlaceInput } from '../shell/coat-choice';
import { CoatLayer } from './lay-coats';

const MOST_COATS = 4;
/** A micrometre is far less than anybody can see. */
const CLOSE_ENOUGH_M = 1e-6;
/** A skin is not known to better than this, and each look at it takes a conduction of its own. */
const CLOSE_ENOUGH_BY_DWELL_M = 5e-6;
/** Shortest and longest time to tip out that the aim will ask for, s. Working rule. */
const SHORTEST_DRAIN = 5;
const LONGEST_DRAIN = 90;
/** A spooned coat is laid at most this many times as thick as a vertical wall holds. Working rule. */
export const HOLD_MULTIPLE = 2;

/** Coats tuned to a wanted thickness at the rim. */
export interface Aimed {
  readonly coats: readonly CoatChoice[];
  /** False when even four coats do not reach it, or one cannot be made as thin. */
  readonly reached: boolean;
}

/**
 * The fewest coats that reach a wanted rim thickness, and the time to tip out (or the dose) that lands on it; where the
 * longest drain leaves too much, a shorter dwell.
 *
 * @param model the first coat of the list sets the way of working; later ones are kept, or copied from the last
 * @param rimM wanted thickness at the rim in all, m
 */
export function aimCoats(place: CoatPlaceInput, model: readonly CoatChoice[], rimM: number, layer: CoatLayer): Aimed {
  let best: readonly CoatChoice[] = model;
  for (let n = 1; n <= MOST_COATS; n++) {
    const coats = Array.from({ length: n }, (_, i) => model[i] ?? { ...model[model.length - 1], id: `${model[model.length - 1].id}+${i}` });
    const tune = tuner(place, coats, layer);
    const over = (share: number): number => layer.rimM(tune(share)) - rimM;
    best = tune(1);
    const most = over(1);
    if (most < 0) continue;
    const least = over(0);
    if (least <= 0) return { coats: tune(rootBetween(over, 0, 1, least, most, CLOSE_ENOUGH_M)), reached: true };
    return thinnedByDwell(tune(0), layer, rimM, least);
  }
  return { coats: best, reached: false };
}

/**
 * Coats that are too thick even after the longest drain, made to stand for less time, so that less of a skin sets:
 * closes the gap between the most of some coats and the least of one more.
 */
function thinnedByDwell(coats: readonly CoatChoice[], layer: CoatLayer, rimM: number, over: number): Aimed {
  // The skin grows like the root of the time it stands: nearly straight in the share.
  const standing = (share: number): CoatChoice[] => coats.map((coat) => ({ ...coat, dwellSeconds: coat.method === 'dump' ? coat.dwellSeconds * share ** 2 : coat.dwellSeconds }));
  const above = (share: number): number => layer.rimM(standing(share)) - rimM;
  const without = above(0);
  if (without > 0) return { coats: standing(0), reached: false };
  return { coats: standing(rootBetween(above, 0, 1, without, over, CLOSE_ENOUGH_BY_DWELL_M)), reached: true };
}

/** Maps 0 (thinnest) to 1 (thickest) onto a set of coats, by time to tip out or by dose. */
function tuner(place: CoatPlaceInput, coats: readonly CoatChoice[], layer: CoatLayer): (share: number) => CoatChoice[] {
  const laid = layer.lay(coats);
  return (share) =>
    coats.map((coat, i) => {
      if (coat.method === 'dump') {
        const drainSeconds = LONGEST_DRAIN * (SHORTEST_DRAIN / LONGEST_DRAIN) ** share;
        return { ...coat, drainSeconds, tappingSeconds: Math.min(coat.tappingSeconds, drainSeconds / 2) };
      }
      const most = place.cavity.wallAreaM2 * laid[i].holdM * HOLD_MULTIPLE;
      return { ...coat, doseM3: Math.max(0.1e-6, most * (0.1 + 0.9 * share)) };
    });
}
