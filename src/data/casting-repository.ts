import { liveQuery } from 'dexie';
import { EMPTY, Observable, from } from 'rxjs';
import { readCasting } from '../core/record/read-casting';
import type { Casting } from '../core/record/casting';
import { KilnstoneDatabase, type CastingRow } from './database';

/** A casting as read from storage, with its stamp. */
export interface StoredCasting {
  readonly casting: Casting;
  readonly stamp: number;
  readonly tab: string;
}

/** All that is stored: good castings, and raw records that could not be read (kept, never dropped). */
export interface StoredCastings {
  readonly castings: readonly StoredCasting[];
  readonly unreadable: readonly { readonly id: string; readonly path: string; readonly raw: unknown }[];
}

/** Keeps castings in the browser's database. Every method rejects when the browser refuses; nothing is swallowed. */
export class CastingRepository {
  private readonly database = new KilnstoneDatabase();
  private lastStamp = 0;

  /** @param tab a name for this tab, unlike any other's */
  constructor(readonly tab: string) {}

  /** Opens the database; rejects when storage is blocked. */
  async open(): Promise<void> {
    await this.database.open();
  }

  async all(): Promise<StoredCastings> {
    return this.read(await this.database.castings.toArray());
  }

  /** All castings again whenever any tab changes one. */
  watch(): Observable<StoredCastings> {
    if (!this.database.isOpen()) return EMPTY;
    return from(liveQuery(() => this.all()));
  }

  /** Writes castings and removes others in one transaction; gives the stamp they carry. */
  async write(put: readonly Casting[], remove: readonly string[]): Promise<number> {
    this.lastStamp = Math.max(this.lastStamp + 1, Date.now());
    const stamp = this.lastStamp;
    await this.database.transaction('rw', this.database.castings, async () => {
      await this.database.castings.bulkPut(put.map((casting) => ({ id: casting.id, casting, stamp, tab: this.tab })));
      await this.database.castings.bulkDelete([...remove]);
    });
    return stamp;
  }

  /** Lays down the first castings once in this browser's life, so that deleting them all is respected. */
  async seedOnce(castings: readonly Casting[]): Promise<void> {
    await this.database.transaction('rw', this.database.castings, this.database.facts, async () => {
      if (await this.database.facts.get('seeded')) return;
      await this.database.facts.put({ key: 'seeded', value: true });
      // Castings saved by a visit that had no room for this fact are not written over.
      if ((await this.database.castings.count()) > 0) return;
      const stamp = Date.now();
      await this.database.castings.bulkPut(castings.map((casting) => ({ id: casting.id, casting, stamp, tab: this.tab })));
    });
  }

  private read(rows: readonly CastingRow[]): StoredCastings {
    const castings: StoredCasting[] = [];
    const unreadable: { id: string; path: string; raw: unknown }[] = [];
    for (const row of rows) {
      // Stamps grow over all tabs, so that the later of two changes is told even within one tick of the clock.
      this.lastStamp = Math.max(this.lastStamp, row.stamp);
      const read = readCasting(row.casting);
      if (read.ok) castings.push({ casting: read.casting, stamp: row.stamp, tab: row.tab });
      else unreadable.push({ id: row.id, path: read.path, raw: row.casting });
    }
    castings.sort((a, b) => a.casting.createdAt.localeCompare(b.casting.createdAt) || a.casting.name.localeCompare(b.casting.name));
    return { castings, unreadable };
  }
}
