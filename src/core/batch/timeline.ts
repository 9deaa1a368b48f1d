import { HANDS_ON } from '../matter/working-rules';
import type { Method, Place } from '../record/choices';

/** One stretch of the ribbon. */
export interface Stretch {
  readonly kind: 'melt' | 'coat' | 'chill' | 'unmold' | 'rounds' | 'cover' | 'fill' | 'close';
  readonly handsOn: boolean;
  readonly startSeconds: number;
  readonly seconds: number;
  /** Which coat, from 0, for coat and chill. */
  readonly coat?: number;
  readonly place?: Place;
  /** Which round, from 0; undefined before and after the rounds. */
  readonly round?: number;
}

export interface TimelineCoat {
  readonly method: Method;
  readonly drainSeconds: number;
  readonly dwellSeconds: number;
  readonly place: Place;
  /** Time in the place, s. */
  readonly chillSeconds: number;
}

export interface TimelineInput {
  readonly coats: readonly TimelineCoat[];
  /** From solid chocolate to a bowl that is ready, s. */
  readonly meltSeconds: number;
  readonly parts: number;
  readonly perMold: number;
  readonly moldsAtHand: number;
  readonly pieces: number;
  readonly filled: boolean;
  readonly closed: boolean;
  /** Covered rest after unmolding, s; 0 for none. */
  readonly coverSeconds: number;
}

export interface Timeline {
  readonly rounds: number;
  /** The first round, from melting to unmolding. */
  readonly oneRound: readonly Stretch[];
  readonly wholeJob: readonly Stretch[];
  readonly handsOnSeconds: number;
  readonly waitingSeconds: number;
}

/** Scraping and wiping that comes with tipping out a mold, s. Common practice, no source. */
const SCRAPE_SECONDS = 40;

/** From here on the rounds between the first and the last are drawn together. */
const MOST_ROUNDS_SHOWN = 40;

/** Hands-on time to coat one mold, s. Common practice, no source. */
export function coatOneMoldSeconds(coat: Pick<TimelineCoat, 'method' | 'drainSeconds' | 'dwellSeconds'>, cavities: number): number {
  if (coat.method === 'spoon') return HANDS_ON.spoonPerCavity * cavities;
  if (coat.method === 'brush') return HANDS_ON.brushPerCavity * cavities;
  return HANDS_ON.pourPerCavity * cavities + coat.dwellSeconds + coat.drainSeconds + SCRAPE_SECONDS;
}

/** The order of the work in seconds: melt once, then the rounds, then filling and closing all pieces. */
export function timeline(input: TimelineInput): Timeline {
  const perRound = input.perMold * input.moldsAtHand;
  const rounds = Math.ceil(input.parts / perRound);
  const lastParts = input.parts - (rounds - 1) * perRound;
  const before = melting(input);
  const after = new StretchList();
  if (input.coverSeconds > 0) after.add({ kind: 'cover', handsOn: false, seconds: input.coverSeconds });
  if (input.filled) after.add({ kind: 'fill', handsOn: true, seconds: HANDS_ON.fillPerPiece * input.pieces });
  if (input.closed) after.add({ kind: 'close', handsOn: true, seconds: HANDS_ON.closePerPiece * input.pieces });
  const full = roundOf(input, Math.min(perRound, input.parts));
  const last = roundOf(input, lastParts);
  const seconds = (handsOn: boolean): number =>
    // A chill that never ends makes a round endless, and nought times endless is not a number.
    secondsOf(before.list, handsOn) + (rounds > 1 ? (rounds - 1) * secondsOf(full.list, handsOn) : 0) + secondsOf(last.list, handsOn) + secondsOf(after.list, handsOn);
  return {
    rounds,
    oneRound: melting(input).append(full.list, 0).list,
    wholeJob: inFull(input, rounds, full.list, last.list).append(after.list).list,
    handsOnSeconds: seconds(true),
    waitingSeconds: seconds(false),
  };
}

function melting({ meltSeconds }: TimelineInput): StretchList {
  return new StretchList().add({ kind: 'melt', handsOn: true, seconds: meltSeconds });
}

/** Melting and every round; past forty rounds those between the first and the last are two stretches. */
function inFull(input: TimelineInput, rounds: number, full: readonly Stretch[], last: readonly Stretch[]): StretchList {
  const list = melting(input);
  if (rounds > MOST_ROUNDS_SHOWN) {
    list.append(full, 0);
    for (const handsOn of [true, false]) list.add({ kind: 'rounds', handsOn, seconds: (rounds - 2) * secondsOf(full, handsOn) });
  } else {
    for (let round = 0; round < rounds - 1; round++) list.append(full, round);
  }
  return list.append(last, rounds - 1);
}

function roundOf(input: TimelineInput, parts: number): StretchList {
  const list = new StretchList();
  const molds = Math.ceil(parts / input.perMold);
  const perMold = parts / molds;
  for (const [index, coat] of input.coats.entries()) {
    list.add({ kind: 'coat', handsOn: true, seconds: molds * coatOneMoldSeconds(coat, perMold), coat: index });
    list.add({ kind: 'chill', handsOn: false, seconds: coat.chillSeconds, coat: index, place: coat.place });
  }
  return list.add({ kind: 'unmold', handsOn: true, seconds: HANDS_ON.unmoldPerPart * parts });
}

class StretchList {
  readonly list: Stretch[] = [];
  private end = 0;

  add(stretch: Omit<Stretch, 'startSeconds'>): this {
    this.list.push({ ...stretch, startSeconds: this.end });
    this.end += stretch.seconds;
    return this;
  }

  /** Adds stretches one after another, as those of a round where one is named. */
  append(stretches: readonly Stretch[], round?: number): this {
    for (const stretch of stretches) this.add(round === undefined ? stretch : { ...stretch, round });
    return this;
  }
}

/** Sum of the stretches' lengths, s, hands-on or waiting. */
export function secondsOf(stretches: readonly Stretch[], handsOn: boolean): number {
  return stretches.filter((s) => s.handsOn === handsOn).reduce((sum, s) => sum + s.seconds, 0);
}
