import { hasRim, type PartRole, type Place } from './choices';
import type { LIMITS } from './limits';

/** A number that a closing has of its own: the limit it is held to, and what it is usually begun with, SI. */
export interface ClosingNumberRow {
  readonly limit: keyof typeof LIMITS;
  readonly usual: number;
}

/** What a way of closing is: the one place that says so. */
export interface ClosingRow {
  /** What has to be there: rims that join, or one and a base; one cavity that stays in its mold; a lid of its own; nothing. */
  readonly needs: 'rims' | 'cavity' | 'lid' | 'nothing';
  /** The chocolate it adds: none, a line along the rim, a layer that lies on the filling, a disc. */
  readonly adds: 'nothing' | 'line' | 'cap' | 'disc';
  /** It closes the part that is filled; another closes the first. */
  readonly closesFilled: boolean;
  readonly numbers: Readonly<Record<string, ClosingNumberRow>>;
  /** What it leaves to choose, the usual one first. */
  readonly choices: Readonly<Record<string, readonly [string, ...string[]]>>;
  /** Where it usually sets afterwards, for as long as is computed. */
  readonly sets: readonly { readonly place: Place }[];
  /** Hands-on time for one piece, s. */
  readonly handsOnS: number;
}

const ROOM = [{ place: 'room' }] as const;
const LINE = { limit: 'lineM', usual: 0.003 } as const;

/**
 * How a piece can be closed. `warmPlate`: rims melted flat on a warm plate and joined, all of them levelled there beforehand where `levelS` is
 * not 0, one rim or both melted again to join; `pipedSeam`: a line of chocolate piped round the
 * rim; `cap`: cast on what is in the cavity, from the edge inward, and flush with the rim; `dosedCap`: as much of it as is wanted; `lid`:
 * one of its own, glued on with a line; `plug`: in the hole it was filled through. Numbers and times: common practice, no source.
 */
export const CLOSING_ROWS = {
  warmPlate: {
    needs: 'rims',
    adds: 'nothing',
    closesFilled: false,
    numbers: {
      plateC: { limit: 'plateC', usual: 45 },
      seconds: { limit: 'plateSeconds', usual: 4 },
      levelS: { limit: 'levelSeconds', usual: 0 },
    },
    choices: { rims: ['empty', 'both'] },
    sets: ROOM,
    handsOnS: 25,
  },
  pipedSeam: {
    needs: 'rims',
    adds: 'line',
    closesFilled: false,
    numbers: { lineM: LINE },
    choices: {},
    sets: ROOM,
    handsOnS: 30,
  },
  cap: {
    needs: 'cavity',
    adds: 'cap',
    closesFilled: true,
    numbers: {},
    choices: {},
    sets: [{ place: 'fridge' }],
    handsOnS: 12,
  },
  dosedCap: {
    needs: 'cavity',
    adds: 'cap',
    closesFilled: true,
    numbers: { doseM3: { limit: 'doseM3', usual: 5e-6 } },
    choices: {},
    sets: [{ place: 'fridge' }],
    handsOnS: 12,
  },
  lid: {
    needs: 'lid',
    adds: 'line',
    closesFilled: true,
    numbers: { lineM: LINE },
    choices: {},
    sets: ROOM,
    handsOnS: 25,
  },
  plug: {
    needs: 'nothing',
    adds: 'disc',
    closesFilled: false,
    numbers: { holeM: { limit: 'holeM', usual: 0.012 }, thicknessM: { limit: 'plugM', usual: 0.002 } },
    choices: {},
    sets: ROOM,
    handsOnS: 20,
  },
} as const satisfies Record<string, ClosingRow>;

type Rows = typeof CLOSING_ROWS;
export type ClosureKind = keyof Rows;
export const CLOSURES = Object.keys(CLOSING_ROWS) as [ClosureKind, ...ClosureKind[]];

/** The numbers that one way of closing has, and those of all of them. */
export type NumberOf<K extends ClosureKind> = K extends ClosureKind ? keyof Rows[K]['numbers'] : never;
export type ClosingNumber = NumberOf<ClosureKind>;

interface Common<K extends ClosureKind> {
  kind: K;
  /** The melt it is done with. */
  meltId: string;
  sets: { place: Place; seconds?: number }[];
}

/** The choices that one way of closing has. */
type ChoicesOf<K extends ClosureKind> = { -readonly [C in keyof Rows[K]['choices']]: Choice<Rows[K]['choices'][C]> };
type Choice<Options> = Options extends readonly (infer One)[] ? One : never;

/** A lid says which part it is. */
type Lid<K extends ClosureKind> = Rows[K]['needs'] extends 'lid' ? { partId: string } : unknown;

type ClosedBy<K extends ClosureKind> = K extends ClosureKind
  ? Common<K> & Record<NumberOf<K>, number> & ChoicesOf<K> & Lid<K>
  : never;

/** How a piece is closed, and with which melt: the kind, and the numbers of its row, SI. */
export type Closure = ClosedBy<ClosureKind>;

/** Closures of which the row says so. */
type Where<Field extends keyof ClosingRow, Value> = Closure extends infer One
  ? One extends { kind: infer K extends ClosureKind }
    ? Rows[K][Field] extends Value
      ? One
      : never
    : never
  : never;

const rowOf = (kind: ClosureKind): ClosingRow => CLOSING_ROWS[kind];

/** Joins two rims, or one and a base. */
export const joinsRims = (kind: ClosureKind): boolean => rowOf(kind).needs === 'rims';
/** Stands where the part that is filled stands open. */
export const closesFilled = (closure: Closure | null): boolean => closure !== null && rowOf(closure.kind).closesFilled;
/** Cast on what is in the cavity, as a layer of its own. */
export type Cap = Where<'adds', 'cap'>;
export const isCap = (closure: Closure | null): closure is Cap =>
  closure !== null && rowOf(closure.kind).adds === 'cap';
/** A part of its own. */
export const isLid = (closure: Closure | null): closure is Where<'needs', 'lid'> =>
  closure !== null && rowOf(closure.kind).needs === 'lid';
/** Rims melted on a plate. */
export const isOnPlate = (closure: Closure | null): closure is ClosedBy<'warmPlate'> => closure?.kind === 'warmPlate';

/** A number of a closing by its name; undefined where it has none of that name. */
export const closingNumber = (closure: Closure, name: string): number | undefined =>
  name in rowOf(closure.kind).numbers ? (closure as unknown as Record<string, number>)[name] : undefined;

/** What is chosen of a closing's choices by its name; empty where it has none of that name. */
export const closingChoice = (closure: Closure, name: string): string =>
  name in rowOf(closure.kind).choices ? (closure as unknown as Record<string, string>)[name] : '';

/** The numbers of a way of closing, by name, in the order they are asked for. */
export const closingNumbers = (kind: ClosureKind): readonly (readonly [ClosingNumber, ClosingNumberRow])[] =>
  Object.entries(rowOf(kind).numbers) as [ClosingNumber, ClosingNumberRow][];

/** The choices of a way of closing, by name, the usual one of each first. */
export const closingChoices = (kind: ClosureKind): readonly (readonly [string, readonly [string, ...string[]]])[] =>
  Object.entries(rowOf(kind).choices);

/** What a plate or a seam joins in a piece: two halves, or a shell and the base it stands on; undefined where there is nothing to join. */
export function joinsOf(
  parts: readonly { readonly role: PartRole; readonly perPiece: number }[],
): 'halves' | 'base' | undefined {
  const rims = parts.filter(hasRim).reduce((sum, { perPiece }) => sum + perPiece, 0);
  if (rims > 1) return 'halves';
  return rims === 1 && parts.some(({ role }) => role === 'base') ? 'base' : undefined;
}
