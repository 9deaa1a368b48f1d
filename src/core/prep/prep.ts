import { CHOCOLATE_MATTER, type SettingChocolate } from '../matter/chocolate';
import { COCOA_BUTTER_COLOUR, COCOA_BUTTER_DENSITY, DUST_DENSITY } from '../matter/cocoa-butter';
import type { MoldMaterial } from '../matter/mold-material';
import { WORKING_RULES } from '../matter/working-rules';
import { answer, term, type Answer } from '../quantity/answer';
import type { Prep } from '../record/casting';
import { patternRow, prepRow } from '../record/prep';
import { ownSecondsOf, placeOf, restsOf } from '../record/sets';
import { paintSetsSeconds } from '../shell/film-sets';
import type { PlaceKitchen } from '../shell/place-air';

/** What one step of painting a mold is worked out from, SI. */
export interface PrepInput {
  readonly step: Prep;
  /** Wall of a cavity, m², and how much of it is flat floor, 0 to 1. */
  readonly wallM2: number;
  readonly floorShare: number;
  readonly material: MoldMaterial;
  readonly moldWallM: number;
  readonly kitchen: PlaceKitchen;
  /** The melt it is done with, and how warm that is worked, °C; undefined for what is none. */
  readonly melt: (SettingChocolate & { readonly workingC: number }) | undefined;
  /** More of its kind follows: what has to rest does so after the last. */
  readonly followed: boolean;
}

/** What one step of painting a mold comes to. */
export interface PrepAnswer {
  readonly step: Prep;
  /** Of a cavity's wall, m². */
  readonly covers: Answer;
  /** What stays in a cavity, kg. */
  readonly mass: Answer;
  /** What is used up for it, kg; the same for what does not go beside. */
  readonly takes: Answer;
  /** Hands-on for a cavity, s. */
  readonly hands: Answer;
  /** In its place until it is set to the touch, s; undefined for what need not set. */
  readonly sets: Answer | undefined;
  /** How long it has to rest before anything is cast on it, s; 0 where it has only to be set, or where more of its kind follows. */
  readonly restS: number;
  /** How long it stays there before the work goes on: until it is set, or as long as it rests, or as the cook says. */
  readonly stay: Answer;
}

/** A spot of paint takes so long, s. Working rule. */
const SPOT_S = 2;

/** What is painted, sprayed or dusted into one cavity: how much of it, for how long, and until when it has to wait. */
export function prepStation(input: PrepInput): PrepAnswer {
  const { step, wallM2 } = input;
  const row = prepRow(step.kind);
  const coveredM2 = coveredOf(step, wallM2);
  const massKg = coveredM2 * step.thickM * densityOf(input);
  const wall = term('wall', wallM2, 'area');
  const covered = term('covered', coveredM2 / wallM2, 'share');
  const thick = term('painted', step.thickM, 'length');
  const spread = WORKING_RULES.doseSpread;
  const likely = (kg: number): [number, number] => [kg / spread, kg * spread];
  const spots = patternRow(step.pattern).asks === 'count';
  const handsS = row.beginS + (spots ? SPOT_S * step.count : row.perM2S * coveredM2);
  const sets = setsOf(input);
  return {
    step,
    covers: answer(coveredM2, 'area', 'prep.covers', [wall, covered]),
    mass: answer(massKg, 'mass', 'prep.mass', [wall, covered, thick], likely(massKg)),
    takes: answer(
      row.takes * massKg,
      'mass',
      'prep.takes',
      [term('inMold', massKg, 'mass'), term('usedFor', row.takes, 'ratio')],
      likely(row.takes * massKg),
    ),
    hands: answer(handsS, 'duration', 'prep.hands', [
      spots ? term('count', step.count, 'count') : term('area', coveredM2, 'area'),
    ]),
    sets,
    restS: restOf(input),
    stay: stayOf(input, sets),
  };
}

function coveredOf({ pattern, share, count, spotM }: Prep, wallM2: number): number {
  const row = patternRow(pattern);
  if (row.asks === 'count') return Math.min(wallM2, (count * Math.PI * spotM ** 2) / 4);
  return wallM2 * (row.share ?? share);
}

function densityOf({ step, melt }: PrepInput): number {
  if (melt) return CHOCOLATE_MATTER[melt.kind].meltedDensity;
  return prepRow(step.kind).of === 'dust' ? DUST_DENSITY : COCOA_BUTTER_DENSITY;
}

function setsOf({ step, melt, material, moldWallM, floorShare, kitchen }: PrepInput): Answer | undefined {
  if (prepRow(step.kind).of === 'dust') return undefined;
  const laidC = melt?.workingC ?? COCOA_BUTTER_COLOUR.useC;
  const seconds = paintSetsSeconds(
    {
      of: melt ?? 'cocoaButter',
      thickM: step.thickM,
      laidC,
      kitchen,
      rests: restsOf(step),
      place: placeOf(step),
    },
    { material, wallM: moldWallM, floorShare },
  );
  const spread = WORKING_RULES.coolingSpread;
  return answer(
    seconds,
    'duration',
    'prep.sets',
    [
      term('painted', step.thickM, 'length'),
      term('laidAt', laidC, 'temperature'),
      term('moldWall', moldWallM, 'length'),
      term('place', placeOf(step)),
    ],
    Number.isFinite(seconds) ? [seconds / spread, seconds * spread] : undefined,
  );
}

function restOf({ step, followed }: PrepInput): number {
  return followed ? 0 : prepRow(step.kind).restS[0];
}

function stayOf(input: PrepInput, sets: Answer | undefined): Answer {
  const { step } = input;
  const own = ownSecondsOf(step);
  if (own !== undefined) return answer(own, 'duration', 'chill.ownInterval', []);
  if (!sets) return answer(0, 'duration', 'prep.dry', []);
  const from = restOf(input);
  const [, to] = prepRow(step.kind).restS;
  if (from === 0 || sets.value >= from) return sets;
  return answer(from, 'duration', 'prep.rests', [term('place', placeOf(step))], [from, to]);
}
