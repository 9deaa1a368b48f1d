/** One thing that somebody or something does without a break: its length, s, and the pairs of hands that it takes, 0 where it runs by itself. */
export interface Operation {
  readonly id: string;
  readonly seconds: number;
  readonly hands: number;
  /** Where it is to start at that time and no other, s. */
  readonly heldAt?: number | undefined;
  /** The only stay that it may lie in, by its place among them, where that is not left open. */
  readonly stay?: number | undefined;
  /** Between which moments it lies, where that is not left open, s. */
  readonly within?: Stay | undefined;
}

/** The beginning or the end of an operation, by its index. */
export interface Moment {
  readonly operation: number;
  readonly at: 'start' | 'end';
}

/** What is to pass between the end of one operation and the start of another, s: at least, and at most where there is a most. */
export interface Lag {
  readonly from: number;
  readonly to: number;
  readonly least: number;
  readonly most?: number | undefined;
}

/** Something there is only so much of: a mold, the area of a shelf, a plate. */
export interface Resource {
  readonly name: string;
  readonly capacity: number;
}

/** So much of a resource, taken from one moment to another: a mold from the first coat until it is empty, a shelf through a wait. */
export interface Occupation {
  readonly resource: number;
  readonly amount: number;
  readonly from: Moment;
  readonly to: Moment;
}

/** A stretch in which somebody is there, s from the first moment there is. Waits run on outside; hands do not. */
export interface Stay {
  readonly from: number;
  readonly to: number;
}

/** All that is to be done, and what it is done with. Times in seconds. */
export interface Workload {
  readonly operations: readonly Operation[];
  readonly lags: readonly Lag[];
  readonly resources: readonly Resource[];
  readonly occupations: readonly Occupation[];
  /** Pairs of hands there are. */
  readonly people: number;
  /** In their order, none over another; without any, there is always somebody. */
  readonly stays: readonly Stay[];
  /** Which job each operation belongs to, where there are several: a first timetable is built of them one by one. */
  readonly jobs?: readonly number[];
}

/** When each operation starts, s. */
export type Starts = readonly number[];

/** When a moment is, by the starts. */
export function momentAt({ operations }: Workload, starts: ArrayLike<number>, { operation, at }: Moment): number {
  return starts[operation] + (at === 'end' ? operations[operation].seconds : 0);
}

/** All that is done by hand, by all hands at once, s. */
export function byHandsS({ operations, people }: Workload): number {
  return operations.reduce((sum, { hands, seconds }) => sum + hands * seconds, 0) / people;
}
