import { inject, signal } from '@angular/core';
import { Observable, Subject, firstValueFrom, from, map, merge, race, retry, switchMap, timer } from 'rxjs';
import { mergeRecords } from '../../core/record/merge';
import type { Named, RecordRepository, StoredRecords, UnreadableRecord } from '../../data/record-repository';
import type { SavedState, StoredKind } from '../../data/kept-kinds';
import { Journal } from './journal';
import { Storages, type Kept } from './storages';

/** Records changed or removed by another tab, or merged with a change of this one. */
export interface OutsideChange<T> {
  readonly records: readonly T[];
  readonly removed: readonly string[];
}

/** A record as the database has it. */
interface Known<T> {
  readonly record: T;
  readonly stamp: number;
}

const SAVE_AFTER_MS = 250;
/** Other tabs are listened to, and all is read again for it, when the first view stands. */
const WATCH_AFTER_MS = 300;
/** A database that another page holds on to may never answer: after so long the page opens without it. */
const ANSWERS_WITHIN_MS = 8000;
/** A watch that breaks, as when site data are cleared, is taken up again so often. */
const WATCHES_AGAIN = { count: 5, delay: 1000 } as const;

/**
 * Saves as you go, and hears of other tabs. What two tabs change of one record at the same time is merged field by field. What the page
 * has not saved when it goes away is kept in a journal and saved at the next start. When the browser refuses storage it says so through
 * `state` and everything goes on in memory; a full store is tried again at every change.
 */
export abstract class RecordStorage<T extends Named> implements Kept {
  private readonly outside = new Subject<OutsideChange<T>>();
  private readonly wanted = new Subject<void>();
  private readonly flushNow = new Subject<void>();
  private readonly toPut = new Map<string, T>();
  private readonly toRemove = new Set<string>();
  private readonly known = new Map<string, Known<T>>();
  private readonly journal: Journal<T>;
  private usable = false;
  private writing: Promise<void> = Promise.resolve();

  readonly state = signal<SavedState>('saved');
  /** Records that could not be read; they stay in the database untouched. */
  readonly unreadable = signal<StoredRecords<T>['unreadable']>([]);
  /** How often everything had been cleared from outside, and was written back. */
  readonly restored = signal(0);

  /** @param kind what is kept; @param first what a first visit begins with */
  protected constructor(
    readonly kind: StoredKind,
    private readonly repository: RecordRepository<T>,
    private readonly first: () => readonly T[],
  ) {
    this.journal = new Journal(kind, repository.tab);
    inject(Storages).add(this);
    // A plain timer and not a debounce by the clock, which would wait for ever if the clock is set back.
    merge(this.wanted.pipe(switchMap(() => timer(SAVE_AFTER_MS))), this.flushNow).subscribe(() => {
      this.writing = this.writing.then(() => this.flush());
    });
    document.addEventListener('visibilitychange', () => this.leave());
    window.addEventListener('pagehide', () => this.leave());
  }

  get changes(): Observable<OutsideChange<T>> {
    return this.outside;
  }

  /** Opens storage, lays down the first records on a first visit, and gives what is there. */
  async open(): Promise<readonly T[]> {
    try {
      const stored = await firstValueFrom(
        race(from(this.stored()), timer(ANSWERS_WITHIN_MS).pipe(map(() => undefined))),
      );
      if (!stored) {
        this.state.set('silent');
        return this.first();
      }
      this.usable = true;
      this.note(stored);
      timer(WATCH_AFTER_MS)
        .pipe(
          switchMap(() => this.repository.watch()),
          retry(WATCHES_AGAIN),
        )
        .subscribe({ next: (now) => this.hear(now), error: () => this.state.set('memory') });
      return this.withUnsaved(stored.records.map(({ record }) => record));
    } catch (error) {
      const full = isQuotaError(error);
      this.usable = full;
      this.state.set(full ? 'full' : 'memory');
      const first = this.first();
      if (full) this.put(first);
      return first;
    }
  }

  put(records: readonly T[]): void {
    for (const record of records) {
      this.toPut.set(record.id, record);
      this.toRemove.delete(record.id);
    }
    this.schedule();
  }

  remove(ids: readonly string[]): void {
    for (const id of ids) {
      this.toRemove.add(id);
      this.toPut.delete(id);
    }
    this.schedule();
  }

  /** Takes records that cannot be read out of the database, and gives them, so that they can be put back. */
  async dropUnreadable(): Promise<readonly UnreadableRecord[]> {
    const dropped = this.unreadable();
    await this.repository.drop(dropped.map(({ id }) => id));
    this.unreadable.set([]);
    return dropped;
  }

  async putBack(dropped: readonly UnreadableRecord[]): Promise<void> {
    await this.repository.putBack(dropped);
    this.unreadable.set(dropped);
  }

  private async stored(): Promise<StoredRecords<T>> {
    await this.repository.open();
    await this.repository.seedOnce(this.first());
    return this.repository.all();
  }

  /** What pages that went away had still to save, on top of what is stored. */
  private withUnsaved(stored: readonly T[]): readonly T[] {
    const { pages, keys } = this.journal.read();
    if (keys.length === 0) return stored;
    const byId = new Map(stored.map((record) => [record.id, record]));
    for (const { put, remove } of pages) {
      for (const { record, from: base } of put) {
        const theirs = byId.get(record?.id);
        const merged = theirs && base ? mergeRecords(base, record, theirs, 'mine') : record;
        const good = this.repository.check(merged) ?? this.repository.check(record);
        if (!good) continue;
        byId.set(good.id, good);
        this.toPut.set(good.id, good);
      }
      for (const id of remove) {
        if (byId.delete(id)) this.toRemove.add(id);
        this.toPut.delete(id);
      }
    }
    this.writing = this.writing
      .then(() => this.flush())
      .then(() => {
        if (this.toPut.size + this.toRemove.size === 0) this.journal.drop(keys);
      });
    return [...byId.values()];
  }

  /** The page may be going away: the browser will wait for a note, and not for the database. */
  private leave(): void {
    if (this.usable && this.toPut.size + this.toRemove.size > 0) {
      this.journal.write({
        put: [...this.toPut.values()].map((record) => ({ record, from: this.known.get(record.id)?.record })),
        remove: [...this.toRemove],
      });
    }
    this.flushNow.next();
  }

  private schedule(): void {
    if (!this.usable) return;
    askToPersist();
    if (this.state() === 'saved') this.state.set('saving');
    this.wanted.next();
  }

  private async flush(): Promise<void> {
    if (!this.usable || (this.toPut.size === 0 && this.toRemove.size === 0)) return;
    const put = [...this.toPut.values()];
    const remove = [...this.toRemove];
    try {
      const { stamp, records, restored } = await this.repository.write(
        put.map((record) => ({ record, from: this.known.get(record.id) })),
        remove,
        () => this.held(),
      );
      for (const id of remove) {
        this.toRemove.delete(id);
        this.known.delete(id);
      }
      const shown = put.flatMap((record, i) => this.settle(record, { record: records[i], stamp }));
      if (shown.length > 0) this.outside.next({ records: shown, removed: [] });
      if (restored) {
        for (const [id, { record }] of this.known) this.known.set(id, { record, stamp });
        this.restored.update((n) => n + 1);
      }
      const more = this.toPut.size + this.toRemove.size > 0;
      if (more) this.wanted.next();
      else this.journal.clear();
      this.state.set(more ? 'saving' : 'saved');
    } catch {
      this.state.set('full');
    }
  }

  /** All that this tab holds: what is stored, and what is still to be. */
  private held(): readonly T[] {
    const all = new Map([...this.known].map(([id, { record }]) => [id, record]));
    for (const [id, record] of this.toPut) all.set(id, record);
    for (const id of this.toRemove) all.delete(id);
    return [...all.values()];
  }

  private note(stored: StoredRecords<T>): void {
    this.unreadable.set(stored.unreadable);
    this.known.clear();
    for (const { record, stamp } of stored.records) this.known.set(record.id, { record, stamp });
  }

  /**
   * The database has a record now that this tab had `mine` of. A change made since then goes on top of it.
   * @returns the record to be shown, where that is another than is shown
   */
  private settle(mine: T | undefined, now: Known<T>): readonly T[] {
    const { id } = now.record;
    const pending = this.toPut.get(id);
    // Another tab has written on top of it, and was heard first.
    if ((this.known.get(id)?.stamp ?? 0) > now.stamp) {
      if (pending === mine) this.toPut.delete(id);
      return [];
    }
    this.known.set(id, now);
    if (pending === undefined || pending === mine) {
      this.toPut.delete(id);
      return now.record === mine ? [] : [now.record];
    }
    if (now.record === mine) return [];
    const merged = mine ? mergeRecords(mine, pending, now.record, 'mine') : pending;
    const good = merged === pending ? pending : (this.repository.check(merged) ?? pending);
    this.toPut.set(id, good);
    return good === pending ? [] : [good];
  }

  /** Takes over what other tabs wrote; a change of this tab that is still to be saved goes on top of it. */
  private hear(stored: StoredRecords<T>): void {
    // Read before this tab's own writing ended, it may lack what was written: it is read again.
    if (stored.begun < this.repository.writes) {
      void this.repository.all().then(
        (now) => this.hear(now),
        () => undefined,
      );
      return;
    }
    // Nobody deletes everything at once but the browser: what this tab holds is written back.
    if (stored.emptied) {
      for (const record of this.held()) this.toPut.set(record.id, record);
      this.flushNow.next();
      return;
    }
    const records: T[] = [];
    for (const { record, stamp, tab } of stored.records) {
      const known = this.known.get(record.id);
      if (tab === this.repository.tab || this.toRemove.has(record.id)) continue;
      if (known && known.stamp >= stamp) continue;
      records.push(...this.settle(known?.record, { record, stamp }));
    }
    const present = new Set([
      ...stored.records.map(({ record }) => record.id),
      ...stored.unreadable.map(({ id }) => id),
    ]);
    const removed = [...this.known.keys()].filter((id) => !present.has(id) && !this.toPut.has(id));
    for (const id of removed) this.known.delete(id);
    if (records.length > 0 || removed.length > 0) this.outside.next({ records, removed });
  }
}

let asked = false;

/** Asks the browser once, at the first change of one's own, not to clear what is stored when room runs short. It may refuse: then all is as before. */
function askToPersist(): void {
  if (asked) return;
  asked = true;
  // Withheld from pages over plain http.
  void navigator.storage?.persist?.().catch(() => false);
}

/** Whether the browser refused for want of room; Dexie wraps the browser's own error. */
function isQuotaError(error: unknown): boolean {
  const { name, inner } = error as { name?: string; inner?: { name?: string } };
  return [name, inner?.name].includes('QuotaExceededError');
}
