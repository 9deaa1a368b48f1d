import { liveQuery, type Table } from 'dexie';
import { EMPTY, Observable, from } from 'rxjs';
import type { RecordProblem } from '../core/record/record-problem';
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
  readonly unreadable: readonly { readonly id: string; readonly path: string; readonly raw: unknown }[];
}

/** One kind of record: its table, the name its rows hold it under, how it is read, and the fact that its first ones were laid down. */
export interface RecordKind<T> {
  readonly table: 'castings' | 'molds' | 'pantry' | 'kitchens';
  readonly field: 'casting' | 'mold' | 'pantry' | 'kitchen';
  readonly seededFact: string;
  read(raw: unknown): { readonly ok: true; readonly record: T } | RecordProblem;
}

/** Keeps one kind of record in the browser's database. Every method rejects when the browser refuses; nothing is swallowed. */
export class RecordRepository<T extends Named> {
  private readonly table: Table<Row, string>;
  private lastStamp = 0;

  /** @param tab a name for this tab, unlike any other's */
  constructor(readonly tab: string, private readonly database: KilnstoneDatabase, private readonly kind: RecordKind<T>) {
    this.table = database[kind.table];
  }

  /** Opens the database; rejects when storage is blocked. */
  async open(): Promise<void> {
    await this.database.open();
  }

  async all(): Promise<StoredRecords<T>> {
    return this.read(await this.table.toArray());
  }

  /** All records again whenever any tab changes one. */
  watch(): Observable<StoredRecords<T>> {
    if (!this.database.isOpen()) return EMPTY;
    return from(liveQuery(() => this.all()));
  }

  /** Writes records and removes others in one transaction; gives the stamp they carry. */
  async write(put: readonly T[], remove: readonly string[]): Promise<number> {
    this.lastStamp = Math.max(this.lastStamp + 1, Date.now());
    const stamp = this.lastStamp;
    await this.database.transaction('rw', this.table, async () => {
      await this.table.bulkPut(this.rows(put, stamp));
      await this.table.bulkDelete([...remove]);
    });
    return stamp;
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

  private read(rows: readonly Row[]): StoredRecords<T> {
    const records: StoredRecord<T>[] = [];
    const unreadable: { id: string; path: string; raw: unknown }[] = [];
    for (const row of rows) {
      // Stamps grow over all tabs, so that the later of two changes is told even within one tick of the clock.
      this.lastStamp = Math.max(this.lastStamp, row.stamp);
      const raw = row[this.kind.field];
      const read = this.kind.read(raw);
      if (read.ok) records.push({ record: read.record, stamp: row.stamp, tab: row.tab });
      else unreadable.push({ id: row.id, path: read.path, raw });
    }
    records.sort((a, b) => a.record.createdAt.localeCompare(b.record.createdAt) || a.record.name.localeCompare(b.record.name));
    return { records, unreadable };
  }
}
