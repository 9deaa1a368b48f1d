import { liveQuery, type Table } from 'dexie';
import { EMPTY, Observable, from } from 'rxjs';
import { mergeRecords } from '../core/record/merge';
import type { RecordProblem } from '../core/record/record-problem';
import type { StoredKind } from './kept-kinds';
import type { KilnstoneDatabase, Row } from './database';

/** What every stored record has. */
export interface Named {
  readonly id: string;
  readonly name: string;
  readonly createdAt: string;
}

/** A record as read from storage, with its stamp. */
export interface StoredRecord<T> {
  readonly record: T;
  readonly stamp: number;
  readonly tab: string;
}

/** All that is stored: good records, and raw ones that could not be read (kept, never dropped). */
export interface StoredRecords<T> {
  readonly records: readonly StoredRecord<T>[];
  readonly unreadable: readonly UnreadableRecord[];
  /** The database has been emptied from outside since its first records were laid down. */
  readonly emptied: boolean;
  /** How many writings of this tab had ended when it was begun to be read. */
  readonly begun: number;
}

/** A stored record that cannot be read: where it goes wrong, and what is there. */
export interface UnreadableRecord {
  readonly id: string;
  readonly path: string;
  readonly raw: unknown;
}

/** A change of a record: what it was changed from and the stamp that carried, where it is known to be stored. */
export interface RecordChange<T> {
  readonly record: T;
  readonly from?: { readonly record: T; readonly stamp: number } | undefined;
}

/** What came of a writing. */
export interface Written<T> {
  /** The stamp that all of it carries. */
  readonly stamp: number;
  /** Records as written: those of the changes, or merged with what another tab had written meanwhile; in the changes' order. */
  readonly records: readonly T[];
  /** Everything had been cleared from outside, and what this tab holds was written back. */
  readonly restored: boolean;
}

/** One kind of record: its table, the name its rows hold it under, how it is read, and the fact that its first ones were laid down. */
export interface RecordKind<T> {
  readonly table: StoredKind;
  readonly field: 'casting' | 'mold' | 'pantry' | 'kitchen' | 'occasion' | 'run';
  readonly seededFact: string;
  read(raw: unknown): { readonly ok: true; readonly record: T } | RecordProblem;
}

/** Keeps one kind of record in the browser's database. Every method rejects when the browser refuses; nothing is swallowed. */
export class RecordRepository<T extends Named> {
  private readonly table: Table<Row, string>;
  private lastStamp = 0;
  /** How many writings of this tab have ended. */
  writes = 0;

  /** @param tab a name for this tab, unlike any other's */
  constructor(
    readonly tab: string,
    private readonly database: KilnstoneDatabase,
    private readonly kind: RecordKind<T>,
  ) {
    this.table = database[kind.table];
  }

  /** Opens the database; rejects when storage is blocked. */
  async open(): Promise<void> {
    await this.database.open();
  }

  async all(): Promise<StoredRecords<T>> {
    const begun = this.writes;
    return this.database.transaction('r', this.table, this.database.facts, async () => ({
      ...this.read(await this.table.toArray(), await this.emptied()),
      begun,
    }));
  }

  /** All records again whenever any tab changes one. */
  watch(): Observable<StoredRecords<T>> {
    if (!this.database.isOpen()) return EMPTY;
    return from(liveQuery(() => this.all()));
  }

  /**
   * Writes changes and removes records in one transaction. What another tab has written since a change began is merged with it, field
   * by field. A database that has been emptied from outside gets back all that this tab holds.
   */
  async write(
    changes: readonly RecordChange<T>[],
    remove: readonly string[],
    held: () => readonly T[] = () => [],
  ): Promise<Written<T>> {
    const written = await this.database.transaction('rw', this.table, this.database.facts, async () => {
      const restored = await this.emptied();
      const rows = await this.table.bulkGet(changes.map(({ record }) => record.id));
      // Later than what is written over, also where two tabs write within one tick of the clock: alike stamps are of one writing.
      const stamp = Math.max(Date.now(), this.lastStamp + 1, ...rows.map((row) => (row?.stamp ?? 0) + 1));
      this.lastStamp = stamp;
      const records = changes.map((change, i) => this.mergedWith(rows[i], change));
      if (restored) {
        await this.database.facts.put({ key: this.kind.seededFact, value: true });
        await this.table.bulkPut(this.rows(held(), stamp));
      }
      await this.table.bulkPut(this.rows(records, stamp));
      await this.table.bulkDelete([...remove]);
      return { stamp, records, restored };
    });
    this.writes++;
    return written;
  }

  /** Puts raw records back as they were, readable or not. */
  async putBack(raws: readonly UnreadableRecord[]): Promise<void> {
    await this.table.bulkPut(
      raws.map(({ id, raw }) => ({ id, [this.kind.field]: raw, stamp: this.lastStamp, tab: this.tab })),
    );
  }

  /** Takes rows away, readable or not. */
  async drop(ids: readonly string[]): Promise<void> {
    await this.table.bulkDelete([...ids]);
  }

  /** Checks a record from elsewhere as those of the database are checked. */
  check(raw: unknown): T | undefined {
    const read = this.kind.read(raw);
    return read.ok ? read.record : undefined;
  }

  /** A change on top of what is stored; the change alone where the two cannot be brought together. */
  private mergedWith(row: Row | undefined, { record, from: base }: RecordChange<T>): T {
    if (!row || !base || row.stamp === base.stamp) return record;
    const theirs = this.check(row[this.kind.field]);
    if (!theirs) return record;
    const merged = mergeRecords(base.record, record, theirs, 'mine');
    return merged === record ? record : (this.check(merged) ?? record);
  }

  private async emptied(): Promise<boolean> {
    return (await this.database.facts.get(this.kind.seededFact)) === undefined;
  }

  /** Lays down the first records once in this browser's life, so that deleting them all is respected. */
  async seedOnce(records: readonly T[]): Promise<void> {
    await this.database.transaction('rw', this.table, this.database.facts, async () => {
      if (await this.database.facts.get(this.kind.seededFact)) return;
      await this.database.facts.put({ key: this.kind.seededFact, value: true });
      // Records saved by a visit that had no room for this fact are not written over.
      if ((await this.table.count()) > 0) return;
      await this.table.bulkPut(this.rows(records, Date.now()));
    });
  }

  private rows(records: readonly T[], stamp: number): Row[] {
    return records.map((record) => ({ id: record.id, [this.kind.field]: record, stamp, tab: this.tab }));
  }

  private read(rows: readonly Row[], emptied: boolean): Omit<StoredRecords<T>, 'begun'> {
    const records: StoredRecord<T>[] = [];
    const unreadable: UnreadableRecord[] = [];
    for (const row of rows) {
      // Stamps grow over all tabs, so that the later of two changes is told even within one tick of the clock.
      this.lastStamp = Math.max(this.lastStamp, row.stamp);
      const raw = row[this.kind.field];
      const read = this.kind.read(raw);
      if (read.ok) records.push({ record: read.record, stamp: row.stamp, tab: row.tab });
      else unreadable.push({ id: row.id, path: read.path, raw });
    }
    records.sort(
      (a, b) => a.record.createdAt.localeCompare(b.record.createdAt) || a.record.name.localeCompare(b.record.name),
    );
    return { records, unreadable, emptied };
  }
}
