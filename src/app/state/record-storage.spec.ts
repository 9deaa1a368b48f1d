import { provideZonelessChangeDetection } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { Subject } from 'rxjs';
import type { LibraryMold } from '../../core/record/mold';
import { shippedMolds } from '../../data/mold-library';
import type { RecordRepository, StoredRecords } from '../../data/record-repository';
import { MONDAY, until } from '../../testing/bench';
import { RecordStorage, type OutsideChange } from './record-storage';

const [first, made] = shippedMolds(MONDAY);
const stored = (molds: readonly LibraryMold[], begun: number): StoredRecords<LibraryMold> => ({
  records: molds.map((record, i) => ({ record, stamp: i + 1, tab: 'this' })),
  unreadable: [],
  emptied: false,
  begun,
});

describe('storage that hears of other tabs', () => {
  it('takes nothing away for a reading that was begun before its own writing ended', async () => {
    const watched = new Subject<StoredRecords<LibraryMold>>();
    let now = [first];
    const repository = {
      tab: 'this',
      writes: 0,
      open: async () => undefined,
      seedOnce: async () => undefined,
      all: async () => stored(now, repository.writes),
      watch: () => watched,
      write: async () => {
        now = [first, made];
        repository.writes++;
        return { stamp: 2, records: [made], restored: false };
      },
      check: (record: unknown) => record as LibraryMold,
    };
    class Molds extends RecordStorage<LibraryMold> {
      constructor() {
        super('molds', repository as unknown as RecordRepository<LibraryMold>, () => []);
      }
    }
    TestBed.configureTestingModule({ providers: [provideZonelessChangeDetection()] });
    const storage = TestBed.runInInjectionContext(() => new Molds());
    const heard: OutsideChange<LibraryMold>[] = [];
    storage.changes.subscribe((change) => heard.push(change));
    await storage.open();
    await until(() => watched.observed);
    storage.put([made]);
    await until(() => storage.state() === 'saved');
    watched.next(stored([first], 0));
    await new Promise((resolve) => setTimeout(resolve));
    expect(heard).toEqual([]);
    // What another tab takes away afterwards is heard.
    now = [first];
    watched.next(stored(now, repository.writes));
    expect(heard).toEqual([{ records: [], removed: [made.id] }]);
  });
});
