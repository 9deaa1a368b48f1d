import type { ChocolateKind } from '../matter/chocolate';

/** What a school of melting and tempering is: the one place that says so. */
export interface SchoolRow {
  /** What it is for: chocolate that holds cocoa butter, coating, or both. */
  readonly takes: 'real' | 'coating' | 'both';
  /** How seed goes in: as much as brings it down to the packet's figure, a quarter that was held back, or none. */
  readonly seed: 'byTemperature' | 'quarter' | 'none';
  /** Heated until all has melted, or only until the last lumps can be stirred out and no spot is too hot. */
  readonly melts: 'through' | 'untilLumps';
  /** Stirred down before it is warmed to work: to one figure for every kind, to the kind's own, or straight to where it is worked. */
  readonly stirsDown: 'one' | 'byKind' | 'no';
  /** Real chocolate is in temper by it. */
  readonly tempers: boolean;
  /** Where it is worked: within the packet's band, below it on purpose, or anywhere it runs, as nothing has to stay in temper. */
  readonly works: 'within' | 'below' | 'anywhere';
  readonly needsThermometer: boolean;
}

/**
 * The schools. `keepTemper`: melted so gently that enough of the temper the bar came with stays, by eye; for coating the lumps guard against
 * overheating. `keptCold`: only melted, for pieces that are set, kept and eaten cold. All of them common practice, no source.
 */
export const SCHOOL_ROWS = {
  seeding: {
    takes: 'real',
    seed: 'byTemperature',
    melts: 'through',
    stirsDown: 'one',
    tempers: true,
    works: 'within',
    needsThermometer: true,
  },
  seedingByKind: {
    takes: 'real',
    seed: 'byTemperature',
    melts: 'through',
    stirsDown: 'byKind',
    tempers: true,
    works: 'within',
    needsThermometer: true,
  },
  threeQuarters: {
    takes: 'both',
    seed: 'quarter',
    melts: 'through',
    stirsDown: 'no',
    tempers: true,
    works: 'within',
    needsThermometer: false,
  },
  keepTemper: {
    takes: 'both',
    seed: 'none',
    melts: 'untilLumps',
    stirsDown: 'no',
    tempers: true,
    works: 'within',
    needsThermometer: false,
  },
  holdBelow: {
    takes: 'real',
    seed: 'byTemperature',
    melts: 'through',
    stirsDown: 'no',
    tempers: true,
    works: 'below',
    needsThermometer: true,
  },
  keptCold: {
    takes: 'real',
    seed: 'none',
    melts: 'through',
    stirsDown: 'no',
    tempers: false,
    works: 'anywhere',
    needsThermometer: false,
  },
  meltOnly: {
    takes: 'both',
    seed: 'none',
    melts: 'through',
    stirsDown: 'no',
    tempers: false,
    works: 'within',
    needsThermometer: false,
  },
} as const satisfies Record<string, SchoolRow>;

export type School = keyof typeof SCHOOL_ROWS;
export const SCHOOLS = Object.keys(SCHOOL_ROWS) as [School, ...School[]];

/** What a school is, by its name. */
export const schoolRow = (school: School): SchoolRow => SCHOOL_ROWS[school];

/** Whether a chocolate is in temper by a school; coating never is, and needs none. */
export const isTempered = (kind: ChocolateKind, school: School): boolean =>
  kind !== 'compound' && schoolRow(school).tempers;

/** Whether a school is for a kind of chocolate. */
export const isFor = (kind: ChocolateKind, school: School): boolean => {
  const { takes } = schoolRow(school);
  return takes === 'both' || (takes === 'coating') === (kind === 'compound');
};
