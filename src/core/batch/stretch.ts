import type { Place } from '../record/choices';

/** What a stretch of the work can be. */
export const STRETCH_KINDS = [
  'melt',
  'prep',
  'coat',
  'stick',
  'turn',
  'dip',
  'chill',
  'unmold',
  'rounds',
  'cover',
  'level',
  'fill',
  'close',
  'finish',
  'wash',
  'make',
  'pack',
  'break',
] as const;

/** One stretch of the ribbon. */
export interface Stretch {
  readonly kind: (typeof STRETCH_KINDS)[number];
  readonly handsOn: boolean;
  readonly startSeconds: number;
  readonly seconds: number;
  /** Which part, from 0 in the order of the job's parts, for what is done to one. */
  readonly part?: number;
  /** Which coat of it, from 0, for coat, turn and chill. */
  readonly coat?: number;
  /** Which step of painting its mold, from 0, for that and for what it waits. */
  readonly step?: number;
  readonly place?: Place;
  /** Which round, from 0; undefined before and after the rounds. */
  readonly round?: number;
  /** Melts that it works from, or makes. */
  readonly meltIds?: readonly string[];
  /** The filling that is made. */
  readonly fillingId?: string;
}

/** A stretch without its place in the day. */
export type Bare = Omit<Stretch, 'startSeconds'>;

/** Stretches one after another, each from where the one before it ends. */
export class StretchList {
  readonly list: Stretch[] = [];
  private end = 0;

  add(stretch: Bare): this {
    this.list.push({ ...stretch, startSeconds: this.end });
    this.end += stretch.seconds;
    return this;
  }

  /** Adds stretches one after another, as those of a round where one is named. */
  append(stretches: readonly Bare[], round?: number): this {
    for (const stretch of stretches) this.add(round === undefined ? stretch : { ...stretch, round });
    return this;
  }
}

/** Sum of the stretches' lengths, s, hands-on or waiting. */
export function secondsOf(stretches: readonly Pick<Stretch, 'handsOn' | 'seconds'>[], handsOn: boolean): number {
  return stretches.filter((s) => s.handsOn === handsOn).reduce((sum, s) => sum + s.seconds, 0);
}
