import { setsInTheEnd } from '../heat/setting';
import { WORKING_RULES } from '../matter/working-rules';
import { likelyDeviation } from '../quantity/deviations';
import { PLACES, type Place } from '../record/choices';
import { placeC } from '../shell/place-air';
import type { ChillCap, ChillCoat, ChillInput } from './chill-input';
import { stay, stayCapped, type CoatStay, type SetTimes } from './set-coats';
import type { ChillVariation } from './slab-layers';

/** A time with its likely range, s. Infinity: does not happen there. */
export interface LikelySeconds {
  readonly value: number;
  readonly low: number;
  readonly high: number;
}

/** What a coat does in one place. */
export interface PlaceChill {
  readonly place: Place;
  readonly holds: LikelySeconds;
  readonly touch: LikelySeconds;
  readonly unmold: LikelySeconds;
  readonly latest: LikelySeconds;
  /** Share of the fat that can set there at all. */
  readonly equilibrium: number;
}

/** What one coat does in its chosen place and in the others. */
export interface CoatChill {
  readonly chosen: PlaceChill;
  readonly places: readonly PlaceChill[];
  /** Surface temperature when it is taken on, °C. */
  readonly surfaceC: number;
  /** What it has come to by then. */
  readonly ready: CoatStay['ready'];
}

export interface ChillResult {
  readonly coats: readonly CoatChill[];
}

const SAMPLE: readonly ChillVariation[] = [
  { thickness: 0, placeK: 0, cooling: 0, workingK: 0 },
  { thickness: -1, placeK: 0, cooling: 0, workingK: 0 },
  { thickness: 1, placeK: 0, cooling: 0, workingK: 0 },
  { thickness: 0, placeK: -WORKING_RULES.kitchenSpreadK, cooling: 0, workingK: 0 },
  { thickness: 0, placeK: WORKING_RULES.kitchenSpreadK, cooling: 0, workingK: 0 },
  { thickness: 0, placeK: 0, cooling: 1, workingK: 0 },
  { thickness: 0, placeK: 0, cooling: -1, workingK: 0 },
  { thickness: 0, placeK: 0, cooling: 0, workingK: -WORKING_RULES.kitchenSpreadK },
  { thickness: 0, placeK: 0, cooling: 0, workingK: WORKING_RULES.kitchenSpreadK },
];

/**
 * Minutes to touch-set, to unmold and to the latest sensible moment, for every coat in every place, with likely ranges in its own.
 *
 * Nine runs of the slab a coat: nominal, and each of thickness, place, air and working temperature to either end; the range adds their
 * effects as independent (root of the sum of squares). The other places get the nominal run. Each coat starts from the state its
 * predecessors reach in their chosen places.
 */
export function chillCasting(input: ChillInput): ChillResult {
  const [nominal, ...others] = SAMPLE.map((variation, k) =>
    chain(input, variation, (coat) => (k === 0 ? PLACES : [coat.place])),
  );
  const coats = input.coats.map((coat, index) => {
    const places = PLACES.map((place, p) =>
      placeChill(input.kitchen, input.coats[index], place, [
        nominal[index][p].times,
        ...(place === coat.place ? others.map((run) => run[index][0].times) : []),
      ]),
    );
    const chosen = PLACES.indexOf(coat.place);
    const { surfaceC, ready } = nominal[index][chosen];
    return { chosen: places[chosen], places, surfaceC, ready };
  });
  return { coats };
}

/** What a cap does in its place, with all that it closes. */
export interface CapChill {
  readonly chosen: PlaceChill;
  /** Surface temperature when it leaves its place, °C. */
  readonly surfaceC: number;
}

/** For a cap the range comes of its place and its air alone: they outweigh the rest. */
const CAP_SAMPLE = SAMPLE.filter(({ thickness, workingK }) => thickness === 0 && workingK === 0);

/**
 * Minutes until a cap is set to the touch and until the piece can be turned out, for a shell that is filled as soon as it holds: cap, filling
 * and shell as one stack, which goes through the cap's places. About two milliseconds.
 */
export function chillCapped(input: ChillInput, cap: ChillCap): CapChill {
  const stays = CAP_SAMPLE.map((variation, k) => {
    let filled: CoatStay['after'] | undefined;
    for (const [i, { place }] of input.coats.entries())
      filled = stay(input, i, place, variation, filled, i < input.coats.length - 1 ? 'touch' : 'holds', 'stay').after;
    return stayCapped(input, cap, variation, filled as CoatStay['after'], k === 0 ? 'latest' : 'unmold');
  });
  const times = stays.map((one) => one.times);
  const chosen = placeChill(input.kitchen, cap, cap.place, times);
  // The latest moment is looked for by the nominal run alone.
  return { chosen: { ...chosen, latest: likely([times[0].latestSeconds]) }, surfaceC: stays[0].surfaceC };
}

/**
 * The nominal run alone, in the chosen places alone: the same figures as `chillCasting` gives, without ranges.
 * About a millisecond, for a first answer.
 */
export function chillNominal(input: ChillInput): ChillResult {
  const stays = chain(input, SAMPLE[0], (coat) => [coat.place]);
  return {
    coats: input.coats.map((coat, index) => {
      const chosen = placeChill(input.kitchen, input.coats[index], coat.place, [stays[index][0].times]);
      const { surfaceC, ready } = stays[index][0];
      return { chosen, places: [chosen], surfaceC, ready };
    }),
  };
}

/**
 * The nominal run in every place, with likely ranges in proportion to those of a result next to it: for an answer that is soon made good.
 * @param before of as many coats
 */
export function chillNextTo(input: ChillInput, before: ChillResult): ChillResult {
  const stays = chain(input, SAMPLE[0], () => PLACES);
  const coats = input.coats.map((coat, index): CoatChill => {
    const places = PLACES.map((place, p) =>
      spreadLike(
        placeChill(input.kitchen, input.coats[index], place, [stays[index][p].times]),
        before.coats[index].places[p],
      ),
    );
    const chosen = PLACES.indexOf(coat.place);
    const { surfaceC, ready } = stays[index][chosen];
    return { chosen: places[chosen], places, surfaceC, ready };
  });
  return { coats };
}

function spreadLike(chill: PlaceChill, like: PlaceChill | undefined): PlaceChill {
  const spread = (of: 'holds' | 'touch' | 'unmold' | 'latest'): LikelySeconds => {
    const { value } = chill[of];
    const { value: was = NaN, low = NaN, high = NaN } = like?.[of] ?? {};
    return Number.isFinite(was) && was > 0 && Number.isFinite(value)
      ? { value, low: (value * low) / was, high: (value * high) / was }
      : chill[of];
  };
  return {
    ...chill,
    holds: spread('holds'),
    touch: spread('touch'),
    unmold: spread('unmold'),
    latest: spread('latest'),
  };
}

/** All coats in some places for one variation; the state is carried along the chosen places. */
function chain(
  input: ChillInput,
  variation: ChillVariation,
  placesOf: (coat: ChillCoat) => readonly Place[],
): CoatStay[][] {
  let before: CoatStay['after'] | undefined;
  return input.coats.map((coat, index) => {
    const until = index === input.coats.length - 1 ? 'unmold' : 'touch';
    const places = placesOf(coat);
    const stays = places.map((place) => stay(input, index, place, variation, before, until));
    before = stays[places.indexOf(coat.place)].after;
    return stays;
  });
}

function placeChill(
  kitchen: ChillInput['kitchen'],
  chocolate: Pick<ChillCoat, 'kind' | 'unseeded'>,
  place: Place,
  times: readonly SetTimes[],
): PlaceChill {
  const goesOn = kitchen.learned?.goesOn?.factor ?? 1;
  return {
    place,
    holds: likely(times.map((t) => goesOn * t.holdsSeconds)),
    touch: likely(times.map((t) => goesOn * t.touchSeconds)),
    unmold: likely(times.map((t) => goesOn * t.unmoldSeconds)),
    latest: likely(times.map((t) => t.latestSeconds)),
    equilibrium: setsInTheEnd(chocolate, placeC(kitchen, place)),
  };
}

/** Nominal value with independent deviations added; any run that never gets there opens the range upward. */
function likely(values: readonly number[]): LikelySeconds {
  const [value, ...others] = values;
  if (!Number.isFinite(value)) return { value, low: Math.min(...values), high: Infinity };
  const [down, up] = likelyDeviation(value, others);
  return { value, low: Math.max(0, value - down), high: value + up };
}
