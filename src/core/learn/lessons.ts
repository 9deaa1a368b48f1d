import { FOUR_FIFTHS } from '../quantity/normal';
import { HAND_WORKS, isHandWork, type HandWork, type Learned, type Lesson, type LessonKey } from '../record/kitchen';
import type { Place } from '../record/choices';
import { WORKING_RULES } from '../matter/working-rules';
import type { Belief } from './belief';
import { learnedFromHands } from './hand-evidence';
import { HANDS_SPREAD, SET_PARAMETERS, type SetParameter } from './parameters';
import type { RunReadings } from './run-readings';
import { learnedFromSetting, type SetReading } from './set-evidence';

/** One thing that runs have taught. */
export interface Taught {
  readonly key: LessonKey;
  /** On the working rule; likeliest, and the range of four fifths. */
  readonly factor: number;
  readonly low: number;
  readonly high: number;
  readonly readings: number;
  /** A wait, or some work, as it is usual for what was read: s by the working rule, and with what was learned. */
  readonly usuallyS: number;
  readonly nowS: number;
  readonly lesson: Lesson;
  /** New plans go by it. */
  readonly on: boolean;
}

/** Kitchens change: no more than the latest readings count. */
const MOST_READINGS = 300;
/** What is so many per cent later for one per cent more of something tells of it. */
const TELLS = 0.15;

/**
 * What readings have taught of each thing that some of them tell of.
 * @param readings of each run, the latest first
 * @param off what is switched off: it is told all the same, and the others are worked out as if it were as the working rules say
 */
export function lessonsOf(
  readings: readonly RunReadings[],
  off: ReadonlySet<LessonKey> = new Set(),
): readonly Taught[] {
  const all = taughtBy(readings, new Set());
  const others = off.size === 0 ? all : taughtBy(readings, off);
  return all.map((one, i) => (off.has(one.key) ? { ...one, on: false } : others[i]));
}

function taughtBy(readings: readonly RunReadings[], off: ReadonlySet<LessonKey>): readonly Taught[] {
  const sets = readings.flatMap((run) => run.sets).slice(0, MOST_READINGS);
  const setting = sets.length > 0 ? learnedFromSetting(sets, off) : undefined;
  return [
    ...(setting ? SET_PARAMETERS.flatMap(({ key }, i) => ofSetting(key, i, setting, sets)) : []),
    ...HAND_WORKS.flatMap((work) => ofHands(work, readings)),
  ];
}

/** What is left of a run's readings where some things are learned from later runs alone. @param beganS when the run began, s since 1970 UTC */
export function rememberedOf(
  { sets, hands }: RunReadings,
  beganS: number,
  fromS: Partial<Record<LessonKey, number>>,
): RunReadings {
  const forgotten = (key: LessonKey): boolean => beganS < (fromS[key] ?? -Infinity);
  return {
    sets: sets.filter((one) => !SET_PARAMETERS.some(({ key }) => tellsOf(one, key) && forgotten(key))),
    hands: hands.filter(({ work }) => !forgotten(work)),
  };
}

/** Whether a wait for something to set tells of a thing enough to count. */
export const tellsOf = ({ along }: SetReading, key: SetParameter): boolean => Math.abs(along[key]) >= TELLS;

/** What a new casting's kitchen takes of them. */
export function learnedOf(taught: readonly Taught[]): Learned | undefined {
  const on = taught.filter((one) => one.on);
  if (on.length === 0) return undefined;
  const lessons = (ofHands: boolean) =>
    Object.fromEntries(on.flatMap(({ key, lesson }) => (isHandWork(key) === ofHands ? [[key, lesson]] : [])));
  const hands = lessons(true);
  return { ...lessons(false), ...(Object.keys(hands).length > 0 ? { hands } : {}) };
}

function ofSetting(key: SetParameter, at: number, { mean, covariance }: Belief, sets: readonly SetReading[]): Taught[] {
  const own = sets.filter((one) => tellsOf(one, key));
  if (own.length === 0) return [];
  const sd = Math.sqrt(covariance[at][at]);
  const typical = middle(own.map(({ readyS }) => readyS));
  const one = own.find(({ readyS }) => readyS === typical) ?? own[0];
  const times = SET_PARAMETERS.map((parameter) => one.along[parameter.key]);
  // A wait is planned by all of them together.
  const later = times.reduce((sum, along, i) => sum + along * mean[i], 0);
  return [
    {
      key,
      ...rangeOf(mean[at], sd),
      readings: own.length,
      usuallyS: typical,
      nowS: typical * Math.exp(later),
      lesson: {
        factor: bounded(Math.exp(mean[at])),
        within: key === 'goesOn' ? Math.exp(sd) : airWithin(key, times, covariance),
        readings: own.length,
      },
      on: true,
    },
  ];
}

/**
 * How surely a place's air is known for what is asked of it, when something is set there: the air and how long one goes on are told apart less well than
 * what both come to, so that the range of the time is put into that of the air.
 */
function airWithin(key: Place, times: readonly number[], covariance: Belief['covariance']): number {
  const variance = times.reduce((sum, a, i) => sum + times.reduce((row, b, k) => row + a * b * covariance[i][k], 0), 0);
  const along = Math.abs(times[SET_PARAMETERS.findIndex((one) => one.key === key)]);
  return Math.min(WORKING_RULES.coolingSpread, Math.exp(Math.sqrt(variance) / Math.max(0.1, along)));
}

function ofHands(work: HandWork, readings: readonly RunReadings[]): Taught[] {
  const own = readings.flatMap(({ hands }) => hands.filter((one) => one.work === work)).slice(0, MOST_READINGS);
  if (own.length === 0) return [];
  const { mean, covariance } = learnedFromHands(own);
  const sd = Math.sqrt(covariance[0][0]);
  const usuallyS = middle(own.map(({ plannedS }) => plannedS));
  return [
    {
      key: work,
      ...rangeOf(mean[0], sd),
      readings: own.length,
      usuallyS,
      nowS: usuallyS * Math.exp(mean[0]),
      lesson: {
        factor: bounded(Math.exp(mean[0])),
        within: Math.min(HANDS_SPREAD, Math.exp(sd)),
        readings: own.length,
      },
      on: true,
    },
  ];
}

function rangeOf(mean: number, sd: number): Pick<Taught, 'factor' | 'low' | 'high'> {
  const [low, high] = [-FOUR_FIFTHS, FOUR_FIFTHS].map((off) => Math.exp(mean + off * sd));
  return { factor: Math.exp(mean), low, high };
}

/** As a record can hold it. */
const bounded = (factor: number): number => Math.min(5, Math.max(0.2, factor));

/** The middle one of some figures. */
const middle = (values: readonly number[]): number => [...values].sort((a, b) => a - b)[values.length >> 1];
