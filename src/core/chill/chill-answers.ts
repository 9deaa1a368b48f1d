import { CHOCOLATE_SPECIFIC_HEAT } from '../matter/chocolate';
import { WORKING_RULES } from '../matter/working-rules';
import { answer, term, type Answer } from '../quantity/answer';
import type { RuleKey } from '../quantity/keys';
import type { Kitchen } from '../record/kitchen';
import type { Place } from '../record/choices';
import type { ChillResult, CoatChill, LikelySeconds, PlaceChill } from './chill';
import { placeC } from '../shell/place-air';
import type { ChillInput } from './chill-input';
import { dewPointC, secondsToWarm } from './dew-point';

/** One place's times as answers, for the comparison of places. */
export interface PlaceAnswers {
  readonly place: Place;
  readonly touch: Answer;
  readonly unmold: Answer;
  readonly latest: Answer;
  /** Share of the fat that can set there; below 0.85 it sets softly, below 0.4 it does not set. */
  readonly equilibrium: number;
}

/** One coat's chill: what it does in its place, and how long it stays. */
export interface ChillCoatAnswer {
  readonly chosen: PlaceAnswers;
  readonly places: readonly PlaceAnswers[];
  /** Planned stay: up to the next coat, or to unmolding for the last; whole minutes, or the user's own. */
  readonly stay: Answer;
  readonly last: boolean;
  readonly overruled: boolean;
}

export interface ChillAnswers {
  readonly coats: readonly ChillCoatAnswer[];
  readonly dewPoint: Answer;
  /** The piece's surface as it comes out, °C. */
  readonly surface: Answer;
  readonly sweats: boolean;
  /** How long to keep it covered, s; 0 when it does not sweat. */
  readonly cover: Answer;
  /** The same had it been left until it is as cold as its place, s. */
  readonly coverWhenCold: Answer;
}

/** Set share below which a coat sets, but softly. Working rule. */
export const SOFT_BELOW = 0.85;

/**
 * Puts the chill's figures into answers: stays in whole minutes, dew point, sweating, and the covered rest.
 * @param shellM thickness of the whole shell, m, for the warm-up
 */
export function chillAnswers(
  input: ChillInput,
  result: ChillResult,
  kitchen: Kitchen,
  shellM: number,
  meltedDensity: number,
): ChillAnswers {
  const coats = result.coats.map((coat, index) => coatAnswer(input, coat, index));
  const dew = dewPointC(kitchen.roomC, kitchen.humidity);
  const surfaceC = result.coats[result.coats.length - 1].surfaceC;
  const capacity = shellM * meltedDensity * CHOCOLATE_SPECIFIC_HEAT;
  const exchange = 2 * WORKING_RULES.airFlatSurface * WORKING_RULES.coveredShare;
  const sweats = surfaceC < dew;
  const cover = secondsToWarm(surfaceC, kitchen.roomC, dew, capacity, exchange);
  const coldC = placeC(kitchen, input.coats[input.coats.length - 1].place);
  const coverWhenCold = secondsToWarm(coldC, kitchen.roomC, dew, capacity, exchange);
  const surface = term('surface', surfaceC, 'temperature');
  const warming = [
    term('dewPoint', dew, 'temperature'),
    term('room', kitchen.roomC, 'temperature'),
    term('shellThickness', shellM, 'length'),
  ];
  return {
    coats,
    dewPoint: answer(
      dew,
      'temperature',
      'chill.dewPoint',
      [term('room', kitchen.roomC, 'temperature'), term('humidity', kitchen.humidity, 'share')],
      [
        dewPointC(kitchen.roomC - WORKING_RULES.kitchenSpreadK, kitchen.humidity),
        dewPointC(kitchen.roomC + WORKING_RULES.kitchenSpreadK, kitchen.humidity),
      ],
    ),
    surface: answer(surfaceC, 'temperature', 'chill.surface', [
      term('place', input.coats[input.coats.length - 1].place),
    ]),
    sweats,
    cover: answer(cover, 'duration', 'chill.cover', [surface, ...warming]),
    coverWhenCold: answer(coverWhenCold, 'duration', 'chill.cover', [
      term('surface', coldC, 'temperature'),
      ...warming,
    ]),
  };
}

function coatAnswer(input: ChillInput, coat: CoatChill, index: number): ChillCoatAnswer {
  const last = index === input.coats.length - 1;
  const choice = input.coats[index];
  // All places are computed, so a change of place reads right even before the new run is in.
  const here = coat.places.find((candidate) => candidate.place === choice.place) ?? coat.chosen;
  const chosen = placeAnswers(input, index, here);
  const overruled = choice.overruledSeconds !== undefined;
  const stay = overruled
    ? answer(choice.overruledSeconds, 'duration', 'chill.ownInterval', [])
    : inWholeMinutes(last ? chosen.unmold : chosen.touch);
  return { chosen, places: coat.places.map((place) => placeAnswers(input, index, place)), stay, last, overruled };
}

/** A computed interval as it is kept by a cook: whole minutes, rounded up, unless a few seconds over one. */
export function inWholeMinutes({ value, low, high, ...rest }: Answer): Answer {
  const whole = (seconds: number): number => Math.ceil(seconds / 60 - 0.05) * 60;
  return {
    ...rest,
    value: whole(value),
    ...(low === undefined || high === undefined ? {} : { low: whole(low), high: whole(high) }),
  };
}

function placeAnswers(input: ChillInput, index: number, chill: PlaceChill): PlaceAnswers {
  const terms = placeTerms(input, index, chill.place);
  const likely = (seconds: LikelySeconds, rule: RuleKey): Answer =>
    answer(
      seconds.value,
      'duration',
      rule,
      terms,
      seconds.low < seconds.high ? [seconds.low, seconds.high] : undefined,
    );
  return {
    place: chill.place,
    touch: likely(chill.touch, 'chill.touch'),
    unmold: likely(chill.unmold, 'chill.unmold'),
    latest: likely(chill.latest, 'chill.latest'),
    equilibrium: chill.equilibrium,
  };
}

function placeTerms(input: ChillInput, index: number, place: Place) {
  const coat = input.coats[index];
  return [
    term('place', place),
    term('placeTemperature', placeC(input.kitchen, place), 'temperature'),
    term('coatMean', coat.thicknessM.value, 'length'),
    term('workingTemperature', coat.workingC, 'temperature'),
    term('moldWall', input.wallM, 'length'),
    term('moldMaterial', input.material),
    term('wayUp', coat.wayUp),
    term('handling', coat.handlingSeconds, 'duration'),
    ...coat.rests.map(({ seconds }) => term('restFirst', seconds, 'duration')),
  ];
}
