import { CHOCOLATE_SPECIFIC_HEAT } from '../matter/chocolate';
import { WORKING_RULES } from '../matter/working-rules';
import { answer, term, type Answer, type Term } from '../quantity/answer';
import type { RuleKey } from '../quantity/keys';
import type { Kitchen } from '../record/kitchen';
import type { Place } from '../record/choices';
import type { CapChill, ChillResult, CoatChill, LikelySeconds, PlaceChill } from './chill';
import { placeC } from '../shell/place-air';
import type { ChillCap, ChillInput } from './chill-input';
import type { StayUntil } from './set-coats';
import { dewPointC, secondsToWarm } from './dew-point';

/** One place's times as answers, for the comparison of places. */
export interface PlaceAnswers {
  readonly place: Place;
  readonly holds: Answer;
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
  /** Planned stay; whole minutes, or the user's own. */
  readonly stay: Answer;
  /** What the stay goes on to: the next coat, the filling, or out of the mold. */
  readonly until: StayUntil;
  readonly overruled: boolean;
  /** The variant in the same mold that it stays for, by its name, where that is the slowest. */
  readonly longestFor?: string;
  /** Whether it has come to that when it is taken on, wherever it stays on. */
  readonly ready: boolean;
}

/** A cap's chill: what it does in its place, with all that it closes, and how long it stays. */
export type CapAnswers = Pick<ChillCoatAnswer, 'chosen' | 'stay' | 'overruled'>;

/** A cap to be chilled, and what it does. */
export interface CappedWith {
  readonly cap: ChillCap;
  readonly chill: CapChill;
}

export interface ChillAnswers {
  readonly coats: readonly ChillCoatAnswer[];
  /** Only where it is capped in its mold. */
  readonly cap: CapAnswers | undefined;
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
 * @param capped what it is capped with before it leaves its mold
 */
export function chillAnswers(
  input: ChillInput,
  result: ChillResult,
  kitchen: Kitchen,
  shellM: number,
  meltedDensity: number,
  capped?: CappedWith,
): ChillAnswers {
  const coats = result.coats.map((coat, index) => coatAnswer(input, coat, index, capped !== undefined));
  const dew = dewPointC(kitchen.roomC, kitchen.humidity);
  const { surfaceC } = capped?.chill ?? result.coats[result.coats.length - 1];
  const { place } = capped?.cap ?? input.coats[input.coats.length - 1];
  const capacity = shellM * meltedDensity * CHOCOLATE_SPECIFIC_HEAT;
  const exchange = 2 * WORKING_RULES.airFlatSurface * WORKING_RULES.coveredShare;
  const sweats = surfaceC < dew;
  const cover = secondsToWarm(surfaceC, kitchen.roomC, dew, capacity, exchange);
  const coldC = placeC(kitchen, place);
  const coverWhenCold = secondsToWarm(coldC, kitchen.roomC, dew, capacity, exchange);
  const surface = term('surface', surfaceC, 'temperature');
  const warming = [
    term('dewPoint', dew, 'temperature'),
    term('room', kitchen.roomC, 'temperature'),
    term('shellThickness', shellM, 'length'),
  ];
  return {
    coats,
    cap: capped && capAnswers(input, capped),
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
    surface: answer(surfaceC, 'temperature', 'chill.surface', [term('place', place)]),
    sweats,
    cover: answer(cover, 'duration', 'chill.cover', [surface, ...warming]),
    coverWhenCold: answer(coverWhenCold, 'duration', 'chill.cover', [
      term('surface', coldC, 'temperature'),
      ...warming,
    ]),
  };
}

function coatAnswer(input: ChillInput, coat: CoatChill, index: number, capped: boolean): ChillCoatAnswer {
  const until = index < input.coats.length - 1 ? 'touch' : capped ? 'holds' : 'unmold';
  const choice = input.coats[index];
  // All places are computed, so a change of place reads right even before the new run is in.
  const here = coat.places.find((candidate) => candidate.place === choice.place) ?? coat.chosen;
  const answersIn = (chill: PlaceChill): PlaceAnswers => placeAnswers(chill, coatTerms(input, index, chill.place));
  const chosen = answersIn(here);
  return {
    chosen,
    places: coat.places.map(answersIn),
    until,
    ready: coat.ready[until],
    ...stayOf(chosen[until], choice.overruledSeconds),
  };
}

/** How long it stays: the user's own time, or what is computed. */
function stayOf(computed: Answer, ownSeconds: number | undefined): Pick<ChillCoatAnswer, 'stay' | 'overruled'> {
  return ownSeconds === undefined
    ? { stay: inWholeMinutes(computed), overruled: false }
    : { stay: answer(ownSeconds, 'duration', 'chill.ownInterval', []), overruled: true };
}

function capAnswers({ kitchen }: ChillInput, { cap, chill }: CappedWith): CapAnswers {
  const chosen = placeAnswers(
    chill.chosen,
    [
      term('place', cap.place),
      term('placeTemperature', placeC(kitchen, cap.place), 'temperature'),
      term('capThickness', cap.thicknessM, 'length'),
      term('fillingDepth', cap.filling.thicknessM, 'length'),
      term('workingTemperature', cap.workingC, 'temperature'),
      ...cap.rests.map(({ seconds }) => term('restFirst', seconds, 'duration')),
    ],
    'chill.cap',
  );
  return { chosen, ...stayOf(chosen.unmold, cap.overruledSeconds) };
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

/** @param unmold the rule of when it comes out */
function placeAnswers(chill: PlaceChill, terms: readonly Term[], unmold: RuleKey = 'chill.unmold'): PlaceAnswers {
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
    holds: likely(chill.holds, 'chill.holds'),
    touch: likely(chill.touch, 'chill.touch'),
    unmold: likely(chill.unmold, unmold),
    latest: likely(chill.latest, 'chill.latest'),
    equilibrium: chill.equilibrium,
  };
}

function coatTerms(input: ChillInput, index: number, place: Place) {
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
    ...learnedTerms(input.kitchen.learned, place),
  ];
}

/** What was learned of a place's air, and of how firm it is wanted, where something was. */
function learnedTerms(learned: Kitchen['learned'], place: Place): Term[] {
  const air = learned?.[place];
  const goesOn = learned?.goesOn;
  return [
    ...(air ? [term('learnedAir', air.factor, 'ratio')] : []),
    ...(goesOn ? [term('learnedGoesOn', goesOn.factor, 'ratio')] : []),
    ...(air || goesOn ? [term('readings', Math.max(air?.readings ?? 0, goesOn?.readings ?? 0), 'count')] : []),
  ];
}
