/** The numbers that a coat is made by; each has its limit under the same name. */
export type CoatNumber = 'doseM3' | 'dwellSeconds' | 'drainSeconds' | 'tappingSeconds' | 'turnSeconds';

/** Those that a wanted thickness finds by itself. */
export const FOUND_FOR_THICKNESS: readonly CoatNumber[] = ['doseM3', 'drainSeconds', 'tappingSeconds'];

/** What a coat made by a method is: the one place that says so. */
export interface MethodRow {
  /** How much of it there is: a dose for each coat, what stays of a full mold that is tipped out, or a share of the cavity, from below. */
  readonly by: 'dose' | 'tipped' | 'level';
  /** The numbers it asks for, in the order of the work. */
  readonly numbers: readonly CoatNumber[];
  /** Laid by hand where one wants it: all over, on the sides or on the rim. */
  readonly anywhere: boolean;
  /** Sets as it stands, whatever way up is chosen. */
  readonly upright: boolean;
  /** Stands full in the cold before it is tipped out, so that a skin sets. */
  readonly chilled: boolean;
  /** In a closed vessel that is turned until it runs no more. */
  readonly turned: boolean;
  /** Tops up a fill, closed with its other half and clamped; the last of a part's coats. */
  readonly clamped: boolean;
  /** Brushed thin. */
  readonly painted: boolean;
  /** Hands-on time for one cavity, s. Common practice, no source. */
  readonly handsOnS: number;
  /** What is taken where a mold does not allow it; the mold's likeliest where that is none either. */
  readonly instead: string | undefined;
}

const DOSED: Omit<MethodRow, 'handsOnS'> = {
  by: 'dose',
  numbers: ['doseM3'],
  anywhere: false,
  upright: false,
  chilled: false,
  turned: false,
  clamped: false,
  painted: false,
  instead: undefined,
};
const TIPPED = { ...DOSED, by: 'tipped', numbers: ['dwellSeconds', 'drainSeconds', 'tappingSeconds'] } as const;
const LEVEL = { ...DOSED, by: 'level', numbers: [], upright: true } as const;

/**
 * How a coat can be made. `dump`: poured full, left to stand, tipped out; `chillDump`: likewise, standing in the cold; `turn`: dosed into a
 * closed vessel that is turned until it holds; `spreadUp`: spread up a liner; `solid`: filled from below to a share of the cavity, in
 * layers where there are several; `clamp`: topped up, closed with its other half and clamped.
 */
export const METHOD_ROWS = {
  spoon: { ...DOSED, anywhere: true, handsOnS: 20 },
  brush: { ...DOSED, anywhere: true, handsOnS: 30 },
  dump: { ...TIPPED, handsOnS: 8 },
  chillDump: { ...TIPPED, chilled: true, handsOnS: 8, instead: 'dump' },
  turn: { ...DOSED, numbers: ['doseM3', 'turnSeconds'], upright: true, turned: true, handsOnS: 30, instead: 'spoon' },
  spreadUp: { ...DOSED, upright: true, handsOnS: 30, instead: 'spoon' },
  paint: { ...DOSED, anywhere: true, painted: true, handsOnS: 30 },
  solid: { ...LEVEL, handsOnS: 8 },
  clamp: { ...LEVEL, clamped: true, handsOnS: 25, instead: 'solid' },
} as const satisfies Record<string, MethodRow>;

export type Method = keyof typeof METHOD_ROWS;
export const METHODS = Object.keys(METHOD_ROWS) as [Method, ...Method[]];

const rowOf = (method: Method): MethodRow => METHOD_ROWS[method];

/** Poured full and tipped out again: what stays follows from how it runs, not from a dose. */
export const tippedOut = (method: Method): boolean => rowOf(method).by === 'tipped';
/** Fills the cavity from below instead of coating its wall. */
export const fillsLevel = (method: Method): boolean => rowOf(method).by === 'level';
/** The numbers that a coat made by it asks for. */
export const numbersOf = (method: Method): readonly CoatNumber[] => rowOf(method).numbers;
/** Laid with a dose for each coat. */
export const isDosed = (method: Method): boolean => rowOf(method).by === 'dose';
/** Sets as it stands, whatever way up is chosen: what is filled from below, a liner, a vessel that is turned. */
export const setsUpright = (method: Method): boolean => rowOf(method).upright;
/** Laid by hand where one wants it: all over, on the sides or on the rim. */
export const laidAnywhere = (method: Method): boolean => rowOf(method).anywhere;
/** Stands full in the cold before it is tipped out. */
export const isChilled = (method: Method): boolean => rowOf(method).chilled;
/** Turned in a closed vessel until it runs no more. */
export const isTurned = (method: Method): boolean => rowOf(method).turned;
/** Topped up, closed with its other half and clamped. */
export const isClamped = (method: Method): boolean => rowOf(method).clamped;
/** Brushed thin. */
export const isPainted = (method: Method): boolean => rowOf(method).painted;
/** Hands-on time for one cavity, s. */
export const handsOnS = (method: Method): number => rowOf(method).handsOnS;
/** What is taken where a mold does not allow it. */
export const insteadOf = (method: Method): Method | undefined => rowOf(method).instead as Method | undefined;
/** Lays a coat on an open wall, whatever the coats before it are: neither fills from below nor is turned in a closed vessel. */
export const onOpenWall = (method: Method): boolean => !fillsLevel(method) && !isTurned(method);
