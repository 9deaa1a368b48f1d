import type { Problem } from '../plan/plan-types';
import type { Finding } from './findings';
import type { Question } from './questions';

/** A cause: how often it is one at all, what it shows itself by, and what then is so. */
export interface CauseRow {
  /** How often it is the cause of a trouble, beside the others. */
  readonly usual: number;
  /** How likely it shows itself by a finding, where it is the cause of a trouble. */
  readonly gives: Readonly<Partial<Record<Finding, number>>>;
  /** How likely a question is answered by yes, where that is other than usual. */
  readonly yes: Readonly<Partial<Record<Question, number>>>;
  /** What the plan warns of where it has this cause. */
  readonly warned?: readonly Problem['key'][];
}

/**
 * How likely something is, told in steps, as people tell it: "it is always that", "mostly", "often", "now and then", "hardly ever". Which cause
 * people name for which finding is common practice, no source; that the steps are these numbers is a working rule.
 */
const [SURE, MOSTLY, OFTEN, SOMETIMES, SELDOM, HARDLY] = [0.95, 0.8, 0.5, 0.25, 0.1, 0.05];

/** How often the plan warns of a cause where it is one, and where it is none; that it does not warn tells nothing, as work may go otherwise than planned. Working rule. */
export const WARNED = { where: 0.6, else: 0.08 } as const;

/** A finding that a cause is not known for shows itself so often nevertheless. Working rule. */
export const STRAY = 0.002;

const ROWS = {
  thinRim: {
    usual: 3,
    gives: { crackedRim: OFTEN, crackedAcross: SELDOM, seeThrough: SELDOM, tooThin: SOMETIMES, brokeCarried: OFTEN },
    yes: { oneCoat: MOSTLY, upright: MOSTLY },
    warned: ['rimTooThin', 'wantedNotReached', 'poolsInBase'],
  },
  notSetThrough: {
    usual: 3,
    gives: { crackedRim: SOMETIMES, sticks: OFTEN, willNotLetGo: OFTEN, soft: SELDOM, prints: SELDOM },
    yes: { hard: SELDOM },
    warned: ['softSet', 'willNotLetGo', 'shortInterval'],
  },
  pulledUnevenly: { usual: 2, gives: { crackedRim: OFTEN, crackedAcross: SOMETIMES }, yes: { pulledRim: SURE } },
  brittleCold: { usual: 1, gives: { crackedRim: SOMETIMES, crackedAcross: OFTEN }, yes: { freezer: SURE, hard: SURE } },
  outOfTemper: {
    usual: 4,
    gives: {
      sticks: SOMETIMES,
      willNotLetGo: SOMETIMES,
      dull: OFTEN,
      streaks: OFTEN,
      bloom: OFTEN,
      soft: OFTEN,
      spots: SELDOM,
    },
    yes: { real: SURE, testSet: SELDOM },
    warned: ['untempered'],
  },
  dampMold: {
    usual: 2,
    gives: { sticks: SOMETIMES, dull: OFTEN, spots: OFTEN, willNotLetGo: SELDOM },
    yes: { moldDamp: SURE },
    warned: ['moldSweats'],
  },
  unbuffedMold: { usual: 2, gives: { dull: OFTEN, sticks: SOMETIMES, spots: SELDOM }, yes: { buffed: HARDLY } },
  warmRoom: {
    usual: 2,
    gives: { sticks: SELDOM, soft: OFTEN, streaks: SELDOM, bloom: SOMETIMES, prints: SOMETIMES, dull: SELDOM },
    yes: { warmRoom: SURE },
    warned: ['warmRoom'],
  },
  overheated: {
    usual: 2,
    gives: { streaks: SOMETIMES, dull: SELDOM, spots: SELDOM, lumpyBowl: OFTEN, scorched: SURE, bloom: SELDOM },
    yes: { overheated: SURE },
  },
  aboveCeiling: {
    usual: 2,
    gives: { streaks: SOMETIMES, spots: SOMETIMES, bloom: SELDOM, lumpyBowl: SELDOM },
    yes: { real: HARDLY, pouredWarm: SURE },
    warned: ['aboveCeiling'],
  },
  cooledSlowly: {
    usual: 1,
    gives: { streaks: OFTEN, bloom: OFTEN, spots: SOMETIMES, dull: SELDOM },
    yes: { onlyRoom: MOSTLY, warmRoom: OFTEN },
    warned: ['neverWarms'],
  },
  paintNotSet: {
    usual: 1,
    gives: { streaks: SOMETIMES, colourOff: OFTEN },
    yes: { painted: SURE, paintWet: SURE },
    warned: ['paintRests', 'paintNeverSets'],
  },
  warmHands: { usual: 2, gives: { prints: SURE, soft: SELDOM, dull: SELDOM }, yes: { bareHands: SURE, real: MOSTLY } },
  fullToRim: {
    usual: 2,
    gives: { soft: SELDOM, leaks: OFTEN, seamGap: SELDOM, crackedClosed: SOMETIMES, prints: SELDOM },
    yes: { full: SURE },
    warned: ['fillTooHigh', 'noRoomInside', 'noRoomForCap', 'capRunsOver'],
  },
  pouredTooWarm: {
    usual: 2,
    gives: { seeThrough: OFTEN, tooThin: OFTEN, colourOff: OFTEN },
    yes: { pouredWarm: SURE },
    warned: ['aboveCeiling'],
  },
  drainedLong: { usual: 1, gives: { seeThrough: OFTEN, tooThin: OFTEN }, yes: { drainedLong: SURE, brushed: HARDLY } },
  brushedBald: { usual: 1, gives: { seeThrough: SURE, tooThin: SELDOM }, yes: { brushed: SURE } },
  moldPoints: { usual: 1, gives: { seeThrough: OFTEN, bubbles: SELDOM, crackedAcross: SELDOM }, yes: { points: SURE } },
  notTapped: { usual: 2, gives: { bubbles: SURE }, yes: { tapped: SELDOM } },
  tooCool: {
    usual: 2,
    gives: { bubbles: OFTEN, tooThick: OFTEN, lumpyBowl: SOMETIMES },
    yes: { thick: SURE, thickThoughWarm: HARDLY },
    warned: ['belowBand', 'notWorkable'],
  },
  pouredFast: { usual: 1, gives: { bubbles: SURE }, yes: { pouredFast: SURE } },
  turnedTooSoon: { usual: 1, gives: { feet: SURE, tooThin: SELDOM }, yes: { upright: HARDLY, turnedSoon: SURE } },
  notScraped: { usual: 1, gives: { feet: OFTEN, seamGap: SELDOM }, yes: { scraped: SELDOM } },
  belowDewPoint: {
    usual: 2,
    gives: { sweat: SURE, bloom: SELDOM },
    yes: { dampAir: SURE },
    warned: ['sweats'],
  },
  uncovered: { usual: 1, gives: { sweat: OFTEN, bloom: SELDOM }, yes: { covered: HARDLY } },
  longInCold: { usual: 1, gives: { sweat: OFTEN, bloom: SELDOM, crackedAcross: SELDOM }, yes: { longCold: SURE } },
  unlevelRims: { usual: 2, gives: { seamGap: SURE }, yes: { levelled: SELDOM } },
  plateTooCool: {
    usual: 1,
    gives: { seamGap: OFTEN },
    yes: { plateHot: SELDOM },
    warned: ['coldPlate', 'jointShort'],
  },
  meltedUnevenly: { usual: 1, gives: { seamGap: OFTEN }, yes: { lopsided: SURE }, warned: ['longOnPlate'] },
  fillingOnRim: { usual: 1, gives: { seamGap: OFTEN, leaks: SELDOM }, yes: { rimClean: SELDOM } },
  rubbed: { usual: 1, gives: { crackedClosed: OFTEN, prints: SELDOM }, yes: { rubbed: SURE } },
  warmFilling: {
    usual: 2,
    gives: { crackedClosed: SOMETIMES, leaks: SOMETIMES, fillingMoved: OFTEN, soft: SELDOM },
    yes: { warmFilling: SURE },
  },
  liquidFilling: {
    usual: 1,
    gives: { leaks: OFTEN, crackedClosed: SELDOM, fillingMoved: OFTEN },
    yes: { liquid: SURE },
  },
  coldAfterClosing: { usual: 1, gives: { crackedClosed: OFTEN, sweat: SELDOM }, yes: { coldAfter: SURE } },
  water: { usual: 1, gives: { lumpyBowl: OFTEN }, yes: { water: SURE } },
  overSeeded: { usual: 1, gives: { lumpyBowl: OFTEN, tooThick: SELDOM }, yes: { muchSeed: SURE, real: SURE } },
  wantsThinning: {
    usual: 1,
    gives: { lumpyBowl: SOMETIMES, tooThick: OFTEN },
    yes: { thickThoughWarm: SURE, thick: SURE },
  },
  paintFrozen: {
    usual: 1,
    gives: { colourOff: OFTEN },
    yes: { painted: SURE, paintFrozen: SURE },
    warned: ['paintCracks'],
  },
  tooThickToOpen: { usual: 1, gives: { willNotOpen: SURE, tooThick: SELDOM }, yes: { thickWall: SURE } },
  milkTooCool: { usual: 1, gives: { willNotOpen: SURE }, yes: { milkHot: SELDOM } },
} as const satisfies Readonly<Record<string, CauseRow>>;

export type Cause = keyof typeof ROWS;
export const CAUSES: Readonly<Record<Cause, CauseRow>> = ROWS;
export const CAUSE_KEYS = Object.keys(ROWS) as readonly Cause[];
