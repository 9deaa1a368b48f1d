import { signal } from '@angular/core';
import { Observable, Subject, merge, switchMap, timer } from 'rxjs';
import type { Named, RecordRepository, StoredRecords } from '../../data/record-repository';

export type SavedState = 'saved' | 'saving' | 'memory' | 'full';

/** Records changed or removed by another tab. */
export interface OutsideChange<T> {
  readonly records: readonly T[];
  readonly removed: readonly string[];
}

const SAVE_AFTER_MS = 250;
/** Other tabs are listened to, and all is read again for it, when the first view stands. */
const WATCH_AFTER_MS = 300;

/**
 * Saves as you go, and hears of other tabs. When the browser refuses storage it says so through `state`
 * and everything goes on in memory; a full store is tried again at every change.
 */
export abstract class RecordStorage<T extends Named> {
  private readonly outside = new Subject<OutsideChange<T>>();
  private readonly wanted = new Subject<void>();
  private readonly flushNow = new Subject<void>();
  private readonly toPut = new Map<string, T>();
  private readonly toRemove = new Set<string>();
  private readonly stamps = new Map<string, number>();
  private usable = false;
  private writing: Promise<void> = Promise.resolve();

  readonly state = signal<SavedState>('saved');
  /** Records that could not be read; they stay in the database untouched. */
  readonly unreadable = signal<StoredRecords<T>['unreadable']>([]);

  protected constructor(private readonly repository: RecordRepository<T>, private readonly first: () => readonly T[]) {
    // A plain timer and not a debounce by the clock, which would wait for ever if the clock is set back.
    merge(this.wanted.pipe(switchMap(() => timer(SAVE_AFTER_MS))), this.flushNow).subscribe(() => {
      this.writing = this.writing.then(() => this.flush());
    });
    document.addEventListener('visibilitychange', () => this.flushNow.next());
    window.addEventListener('pagehide', () => this.flushNow.next());
  }

  get changes(): Observable<OutsideChange<T>> {
    return this.outside;
  }

  /** Opens storage, lays down the first records on a first visit, and gives what is there. */
  async open(): Promise<readonly T[]> {
    try {
      await this.repository.open();
      await this.repository.seedOnce(this.first());
      const stored = await this.repository.all();
      this.usable = true;
      this.note(stored);
      timer(WATCH_AFTER_MS)
        .pipe(switchMap(() => this.repository.watch()))
        .subscribe({ next: (now) => this.hear(now), error: () => this.state.set('memory') });
      return stored.records.map(({ record }) => record);
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

  private schedule(): void {
    if (!this.usable) return;
    if (this.state() === 'saved') this.state.set('saving');
    this.wanted.next();
  }

  private async flush(): Promise<void> {
    if (!this.usable || (this.toPut.size === 0 && this.toRemove.size === 0)) return;
    const put = [...this.toPut.values()];
    const remove = [...this.toRemove];
    try {
      const stamp = await this.repository.write(put, remove);
      for (const record of put) {
        this.stamps.set(record.id, stamp);
        if (this.toPut.get(record.id) === record) this.toPut.delete(record.id);
      }
      for (const id of remove) {
        this.toRemove.delete(id);
        this.stamps.delete(id);
      }
      this.state.set(this.toPut.size + this.toRemove.size > 0 ? 'saving' : 'saved');
    } catch {
      this.state.set('full');
    }
  }

  private note(stored: StoredRecords<T>): void {
    this.unreadable.set(stored.unreadable);
    this.stamps.clear();
    for (const { record, stamp } of stored.records) this.stamps.set(record.id, stamp);
  }

  /** Takes over what other tabs wrote, but never over a change of this tab that is still to be saved: that one is later. */
  private hear(stored: StoredRecords<T>): void {
    const records: T[] = [];
    for (const { record, stamp, tab } of stored.records) {
      const known = this.stamps.get(record.id);
      if (tab === this.repository.tab || this.toPut.has(record.id) || this.toRemove.has(record.id)) continue;
      if (known !== undefined && known >= stamp) continue;
      this.stamps.set(record.id, stamp);
      records.push(record);
    }
    const present = new Set([...stored.records.map(({ record }) => record.id), ...stored.unreadable.map(({ id }) => id)]);
    const removed = [...this.stamps.keys()].filter((id) => !present.has(id) && !this.toPut.has(id));
    for (const id of removed) this.stamps.delete(id);
    if (records.length > 0 || removed.length > 0) this.outside.next({ records, removed });
  }
}

/** Whether the browser refused for want of room; Dexie wraps the browser's own error. */
function isQuotaError(error: unknown): boolean {
  const { name, inner } = error as { name?: string; inner?: { name?: string } };
  return [name, inner?.name].includes('QuotaExceededError');
}
