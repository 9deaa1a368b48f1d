import { dewPointC } from '../chill/dew-point';
import type { CastingPlan } from '../plan/plan-types';
import { fillsLevel } from '../record/method';

/** One thing to ask, and what the plan tells of it. */
interface QuestionRow {
  /** How often it is so where it is the cause of nothing, 0 to 1. */
  readonly usually: number;
  /** What the plan of the casting says; undefined where it does not know. */
  readonly told?: (plan: CastingPlan) => boolean | undefined;
  /** Asked only where another was answered so, or is not answered yet. */
  readonly only?: { readonly question: 'real' | 'upright' | 'painted'; readonly is: boolean };
}

/** Warmer than this a room is warm to work in, °C. Common practice, no source. */
export const WARM_ROOM_C = 24;

const shells = ({ parts }: CastingPlan) =>
  parts.filter(({ coatsMade }) => coatsMade.every(({ method }) => !fillsLevel(method)));
const places = ({ parts }: CastingPlan): readonly string[] =>
  parts.flatMap(({ coatsMade }) => coatsMade.flatMap(({ sets, then }) => [...sets, ...then].map(({ place }) => place)));
const anyOf = <T>(all: readonly T[], is: (one: T) => boolean): boolean | undefined =>
  all.length === 0 ? undefined : all.some(is);

/**
 * What is asked, each to be answered by yes or no. How often it is so in an ordinary kitchen: common practice, no source, in steps of what is
 * seldom (0.1), now and then (0.2 to 0.3), and about as often as not.
 */
const ROWS = {
  oneCoat: { usually: 0.3, told: (plan) => anyOf(shells(plan), ({ coatsMade }) => coatsMade.length === 1) },
  upright: {
    usually: 0.5,
    told: (plan) => anyOf(shells(plan), ({ coatsMade }) => coatsMade.some(({ wayUp }) => wayUp === 'upright')),
  },
  brushed: {
    usually: 0.2,
    told: (plan) =>
      plan.parts.some(({ coatsMade }) => coatsMade.some(({ method }) => method === 'brush' || method === 'paint')),
  },
  real: {
    usually: 0.5,
    told: ({ parts }) => parts.some(({ chocolates }) => chocolates.some(({ kind }) => kind !== 'compound')),
  },
  freezer: { usually: 0.2, told: (plan) => places(plan).includes('freezer') },
  onlyRoom: { usually: 0.1, told: (plan) => places(plan).every((place) => place === 'room') },
  warmRoom: { usually: 0.2, told: ({ casting }) => casting.kitchen.roomC > WARM_ROOM_C },
  dampAir: {
    usually: 0.3,
    told: ({ casting: { kitchen } }) => dewPointC(kitchen.roomC, kitchen.humidity) > kitchen.fridgeC,
  },
  hard: { usually: 0.85 },
  pulledRim: { usually: 0.2 },
  testSet: { usually: 0.8, only: { question: 'real', is: true } },
  moldDamp: { usually: 0.1 },
  buffed: { usually: 0.6 },
  pouredWarm: { usually: 0.2 },
  overheated: { usually: 0.1 },
  thick: { usually: 0.2 },
  thickThoughWarm: { usually: 0.1 },
  water: { usually: 0.05 },
  muchSeed: { usually: 0.1 },
  tapped: { usually: 0.7 },
  pouredFast: { usually: 0.2 },
  drainedLong: { usually: 0.15 },
  points: { usually: 0.3 },
  turnedSoon: { usually: 0.15, only: { question: 'upright', is: false } },
  scraped: { usually: 0.7 },
  painted: { usually: 0.2, told: ({ parts }) => parts.some(({ preps }) => preps.length > 0) },
  paintWet: { usually: 0.1, only: { question: 'painted', is: true } },
  paintFrozen: { usually: 0.05, only: { question: 'painted', is: true } },
  bareHands: { usually: 0.3 },
  longCold: { usually: 0.15 },
  covered: { usually: 0.5 },
  levelled: { usually: 0.7 },
  plateHot: { usually: 0.8 },
  lopsided: { usually: 0.1 },
  rimClean: { usually: 0.8 },
  rubbed: { usually: 0.15 },
  warmFilling: { usually: 0.1 },
  full: { usually: 0.2 },
  liquid: { usually: 0.15 },
  coldAfter: { usually: 0.2 },
  milkHot: { usually: 0.8 },
  thickWall: { usually: 0.15 },
} as const satisfies Readonly<Record<string, QuestionRow>>;

export type Question = keyof typeof ROWS;
export const QUESTIONS: Readonly<Record<Question, QuestionRow>> = ROWS;
export const QUESTION_KEYS = Object.keys(ROWS) as readonly Question[];
