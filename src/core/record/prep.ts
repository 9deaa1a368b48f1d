// Apart from the schemas, so that what computes need not carry them.
import { COCOA_BUTTER_COLOUR } from '../matter/cocoa-butter';
import type { Place } from './choices';

/** What can be put into an empty mold before its first coat: the one place that says so. */
export interface PrepRow {
  /** A melt of the casting, coloured cocoa butter, or dry dust, which need not set. */
  readonly of: 'melt' | 'cocoaButter' | 'dust';
  /** As thick as it usually lies, m. */
  readonly usualM: number;
  /** How much is used up for each that stays in the mold: what is sprayed goes beside it as well. */
  readonly takes: number;
  /** Taking up brush or gun for a cavity, s, and covering a wall, s/m². */
  readonly beginS: number;
  readonly perM2S: number;
  /** Where it usually sets. */
  readonly place: Place;
  /** How long it rests before anything is cast on it, s: at least, and as one would have it; 0 where it has only to be set. */
  readonly restS: readonly [number, number];
}

const NO_REST = [0, 0] as const;

/**
 * `detail`: brushed or piped in with a melt; `brushed`, `sprayed`: coloured cocoa butter; `dust`: brushed dry. Sprayed, as much again goes
 * beside the mold. Numbers: working rules; rests: common practice, no source.
 */
export const PREP_ROWS = {
  detail: { of: 'melt', usualM: 0.0005, takes: 1, beginS: 5, perM2S: 10_000, place: 'fridge', restS: NO_REST },
  brushed: {
    of: 'cocoaButter',
    usualM: 0.00015,
    takes: 1.1,
    beginS: 5,
    perM2S: 10_000,
    place: 'fridge',
    restS: NO_REST,
  },
  sprayed: {
    of: 'cocoaButter',
    usualM: 0.0001,
    takes: 2,
    beginS: 2,
    perM2S: 1_000,
    place: 'room',
    restS: [COCOA_BUTTER_COLOUR.restFromS, COCOA_BUTTER_COLOUR.restToS],
  },
  dust: { of: 'dust', usualM: 0.00004, takes: 1.25, beginS: 4, perM2S: 3_000, place: 'room', restS: NO_REST },
} as const satisfies Record<string, PrepRow>;

export type PrepKind = keyof typeof PREP_ROWS;
export const PREP_KINDS = Object.keys(PREP_ROWS) as [PrepKind, ...PrepKind[]];

export const prepRow = (kind: PrepKind): PrepRow => PREP_ROWS[kind];

/** What of a cavity's wall is covered: the share it is told by, or what one has to say. */
export interface PatternRow {
  readonly share: number | undefined;
  readonly asks: 'share' | 'count' | undefined;
}

/** `half`: one side of every cavity, for another colour beside it. */
export const PATTERN_ROWS = {
  all: { share: 1, asks: undefined },
  half: { share: 0.5, asks: undefined },
  stripes: { share: undefined, asks: 'share' },
  spots: { share: undefined, asks: 'count' },
} as const satisfies Record<string, PatternRow>;

export type Pattern = keyof typeof PATTERN_ROWS;
export const PATTERNS = Object.keys(PATTERN_ROWS) as [Pattern, ...Pattern[]];

export const patternRow = (pattern: Pattern): PatternRow => PATTERN_ROWS[pattern];
