import { Dexie, type Table } from 'dexie';
import type { RunReadings } from '../core/learn/run-readings';
import type { SavedTimetable } from '../core/occasion/kept-timetable';
import type { OccasionPlan } from '../core/occasion/occasion-plan';
import type { Outcome } from '../core/run/outcome';

/** A stored record with who wrote it last: what lets two tabs tell their own changes from each other's. */
export interface Row {
  readonly id: string;
  readonly stamp: number;
  readonly tab: string;
  /** The raw record, under the name of what it is; checked on the way out. */
  readonly casting?: unknown;
  readonly mold?: unknown;
  readonly pantry?: unknown;
  readonly kitchen?: unknown;
  readonly occasion?: unknown;
  readonly run?: unknown;
}

/** A mark of a run, by its place among the run's marks; checked on the way out. */
export interface MarkRow {
  readonly run: string;
  readonly n: number;
  readonly mark: unknown;
}

/** A timetable that was found. */
export interface FoundTimetable {
  /** The occasion's. */
  readonly id: string;
  /** The program that found it: another may find otherwise. */
  readonly build: string;
  /** All that it depends on, as it was. */
  readonly asked: string;
  readonly plan: OccasionPlan;
  readonly saves?: SavedTimetable | undefined;
}

/** What a run has come to, worked out once for as long as nothing more is noted in it. */
export interface KeptOutcome {
  /** The run's. */
  readonly id: string;
  /** By which program's rules it was worked out. */
  readonly version: number;
  /** None where the run cannot be read. */
  readonly outcome: Outcome | undefined;
  /** What it has to teach. */
  readonly readings?: RunReadings | undefined;
}

/** A fact about this browser's database, such as whether the demo has been laid down. */
export interface FactRow {
  readonly key: string;
  readonly value: unknown;
}

/** The browser's database. Rows hold raw records; they are read (checked, and brought up to the present version) on the way out. */
export class KilnstoneDatabase extends Dexie {
  readonly castings!: Table<Row, string>;
  readonly molds!: Table<Row, string>;
  readonly pantry!: Table<Row, string>;
  readonly kitchens!: Table<Row, string>;
  readonly occasions!: Table<Row, string>;
  readonly timetables!: Table<FoundTimetable, string>;
  readonly runs!: Table<Row, string>;
  readonly marks!: Table<MarkRow, [string, number]>;
  readonly outcomes!: Table<KeptOutcome, string>;
  readonly facts!: Table<FactRow, string>;

  /** @param durability `strict`: what is written is on the disk when it is said to be, and not only on its way there */
  constructor(durability: 'default' | 'strict' = 'default') {
    super('kilnstone', { chromeTransactionDurability: durability });
    this.version(1).stores({ castings: 'id', facts: 'key' });
    this.version(2).stores({ castings: 'id', molds: 'id', facts: 'key' });
    this.version(3).stores({ castings: 'id', molds: 'id', pantry: 'id', kitchens: 'id', facts: 'key' });
    this.version(4).stores({
      castings: 'id',
      molds: 'id',
      pantry: 'id',
      kitchens: 'id',
      occasions: 'id',
      facts: 'key',
    });
    this.version(5).stores({
      castings: 'id',
      molds: 'id',
      pantry: 'id',
      kitchens: 'id',
      occasions: 'id',
      timetables: 'id',
      facts: 'key',
    });
    this.version(6).stores({ runs: 'id', marks: '[run+n]' });
    this.version(7).stores({ outcomes: 'id' });
  }
}
