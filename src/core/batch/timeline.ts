import { HANDS_ON } from '../matter/working-rules';
import { fillsLevel, tippedOut, type Method, type Place } from '../record/choices';
import type { Rest } from '../record/sets';

/** One stretch of the ribbon. */
export interface Stretch {
  readonly kind: 'melt' | 'coat' | 'turn' | 'chill' | 'unmold' | 'rounds' | 'cover' | 'fill' | 'close';
  readonly handsOn: boolean;
  readonly startSeconds: number;
  readonly seconds: number;
  /** Which coat, from 0, for coat, turn and chill. */
  readonly coat?: number;
  readonly place?: Place;
  /** Which round, from 0; undefined before and after the rounds. */
  readonly round?: number;
}

export interface TimelineCoat {
  readonly method: Method;
  readonly drainSeconds: number;
  readonly dwellSeconds: number;
  /** Where a mold that is chilled before it is tipped out stands full meanwhile. */
  readonly standsIn: Place;
  /** Where it rests before its place. */
  readonly rests: readonly Rest[];
  readonly place: Place;
  /** Time in the place, s. */
  readonly chillSeconds: number;
  /** A closed vessel is turned by hand for so long of that, s; 0 for everything else. */
  readonly turnedSeconds: number;
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

/** From so many rounds on those between the first and the last are drawn together. */
const MOST_ROUNDS_SHOWN = 40;
/** Likewise from so many stretches on, where a round has many. */
const MOST_STRETCHES_SHOWN = 360;

/** Hands-on time to coat one mold, s, without what it stands in the cold. Common practice, no source. */
export function coatOneMoldSeconds(coat: Pick<TimelineCoat, 'method' | 'drainSeconds' | 'dwellSeconds'>, cavities: number): number {
  const { method, drainSeconds, dwellSeconds } = coat;
  const laid = HANDS_ON.perCavity[method] * cavities;
  if (fillsLevel(method)) return laid + HANDS_ON.tapPerMold;
  if (!tippedOut(method)) return laid;
  return laid + (method === 'dump' ? dwellSeconds : 0) + drainSeconds + SCRAPE_SECONDS;
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

/** Melting and every round; where they are many those between the first and the last are two stretches. */
function inFull(input: TimelineInput, rounds: number, full: readonly Stretch[], last: readonly Stretch[]): StretchList {
  const list = melting(input);
  if (rounds > MOST_ROUNDS_SHOWN || rounds * full.length > MOST_STRETCHES_SHOWN) {
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
    const laid = molds * coatOneMoldSeconds(coat, perMold);
    if (coat.method === 'chillDump') {
      const pour = molds * HANDS_ON.perCavity.chillDump * perMold;
      list.add({ kind: 'coat', handsOn: true, seconds: pour, coat: index });
      list.add({ kind: 'chill', handsOn: false, seconds: coat.dwellSeconds, coat: index, place: coat.standsIn });
      list.add({ kind: 'coat', handsOn: true, seconds: laid - pour, coat: index });
    } else list.add({ kind: 'coat', handsOn: true, seconds: laid, coat: index });
    for (const { place, seconds } of coat.rests) list.add({ kind: 'chill', handsOn: false, seconds, coat: index, place });
    const turned = Math.min(coat.turnedSeconds, coat.chillSeconds);
    const left = turned < coat.chillSeconds ? coat.chillSeconds - turned : 0;
    if (turned > 0) list.add({ kind: 'turn', handsOn: true, seconds: turned, coat: index, place: coat.place });
    list.add({ kind: 'chill', handsOn: false, seconds: left, coat: index, place: coat.place });
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
