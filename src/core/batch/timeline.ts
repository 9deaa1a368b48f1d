import { HANDS_ON } from '../matter/working-rules';
import type { Method, Place } from '../record/choices';

/** One stretch of the ribbon. */
export interface Stretch {
  readonly kind: 'melt' | 'coat' | 'chill' | 'unmold' | 'cover' | 'fill' | 'close';
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
}

/** Scraping and wiping that comes with tipping out a mold, s. Common practice, no source. */
const SCRAPE_SECONDS = 40;

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
  const whole = new StretchList();
  whole.add({ kind: 'melt', handsOn: true, seconds: HANDS_ON.melt });
  for (let round = 0; round < rounds; round++) {
    addRound(whole, input, Math.min(perRound, input.parts - round * perRound), round);
  }
  if (input.filled) whole.add({ kind: 'fill', handsOn: true, seconds: HANDS_ON.fillPerPiece * input.pieces });
  if (input.closed) whole.add({ kind: 'close', handsOn: true, seconds: HANDS_ON.closePerPiece * input.pieces });
  const wholeJob = whole.list;
  const oneRound = wholeJob.filter((stretch) => stretch.kind === 'melt' || stretch.round === 0);
  return { rounds, oneRound, wholeJob };
}

function addRound(list: StretchList, input: TimelineInput, parts: number, round: number): void {
  const molds = Math.ceil(parts / input.perMold);
  const perMold = parts / molds;
  for (const [index, coat] of input.coats.entries()) {
    list.add({ kind: 'coat', handsOn: true, seconds: molds * coatOneMoldSeconds(coat, perMold), coat: index, round });
    list.add({ kind: 'chill', handsOn: false, seconds: coat.chillSeconds, coat: index, place: coat.place, round });
  }
  list.add({ kind: 'unmold', handsOn: true, seconds: HANDS_ON.unmoldPerPart * parts, round });
  // Parts of earlier rounds warm up under their cover while the next round is cast.
  const last = (round + 1) * input.perMold * input.moldsAtHand >= input.parts;
  if (input.coverSeconds > 0 && last) list.add({ kind: 'cover', handsOn: false, seconds: input.coverSeconds, round });
}

class StretchList {
  readonly list: Stretch[] = [];
  private end = 0;

  add(stretch: Omit<Stretch, 'startSeconds'>): void {
    this.list.push({ ...stretch, startSeconds: this.end });
    this.end += stretch.seconds;
  }
}

/** Sum of the stretches' lengths, s, hands-on or waiting. */
export function secondsOf(stretches: readonly Stretch[], handsOn: boolean): number {
  return stretches.filter((s) => s.handsOn === handsOn).reduce((sum, s) => sum + s.seconds, 0);
}
