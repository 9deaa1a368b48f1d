import { Dexie, type Table } from 'dexie';

/** A stored casting with who wrote it last: what lets two tabs tell their own changes from each other's. */
export interface CastingRow {
  readonly id: string;
  readonly casting: unknown;
  readonly stamp: number;
  readonly tab: string;
}

/** A fact about this browser's database, such as whether the demo has been laid down. */
export interface FactRow {
  readonly key: string;
  readonly value: unknown;
}

/** The browser's database. Rows hold raw records; they are read (checked) on the way out. */
export class KilnstoneDatabase extends Dexie {
  readonly castings!: Table<CastingRow, string>;
  readonly facts!: Table<FactRow, string>;

  constructor() {
    super('kilnstone');
    this.version(1).stores({ castings: 'id', facts: 'key' });
  }
}
