import { Injectable, signal } from '@angular/core';
import type { Named } from '../../data/record-repository';
import type { RecordStorage } from './record-storage';

/** What is kept in the browser, one of each kind of record: castings, and of the libraries those that have been opened. */
@Injectable({ providedIn: 'root' })
export class Storages {
  private readonly list = signal<readonly RecordStorage<Named>[]>([]);
  readonly all = this.list.asReadonly();

  add(storage: RecordStorage<Named>): void {
    this.list.update((list) => [...list, storage]);
  }
}
