import { Injectable, signal, type Signal } from '@angular/core';
import type { StoredKind } from '../../data/kept-kinds';
import type { UnreadableRecord } from '../../data/record-repository';

/** What is kept of one kind, as far as the frame asks about it. */
export interface Kept {
  readonly kind: StoredKind;
  /** Records that could not be read; they stay in the database untouched. */
  readonly unreadable: Signal<readonly UnreadableRecord[]>;
  /** How often everything had been cleared from outside, and was written back. */
  readonly restored: Signal<number>;
  dropUnreadable(): Promise<readonly UnreadableRecord[]>;
  putBack(records: readonly UnreadableRecord[]): Promise<void>;
}

/** What is kept in the browser, one of each kind of record: castings, and of the libraries those that have been opened. */
@Injectable({ providedIn: 'root' })
export class Storages {
  private readonly list = signal<readonly Kept[]>([]);
  readonly all = this.list.asReadonly();

  add(storage: Kept): void {
    this.list.update((list) => [...list, storage]);
  }
}
