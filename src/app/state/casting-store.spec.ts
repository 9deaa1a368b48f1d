import { provideZonelessChangeDetection } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { Subject } from 'rxjs';
import type { Casting } from '../../core/record/casting';
import { demoCastings } from '../../data/demo';
import { CastingStorage } from './casting-storage';
import type { OutsideChange } from './record-storage';
import { CastingStore } from './casting-store';
import { Notices } from './notices';

const demo = demoCastings(new Date('2026-10-12T08:00:00Z')).slice(0, 2);

/** Storage as the store sees it: what it is handed, and what other tabs do. */
class PlainStorage {
  readonly changes = new Subject<OutsideChange<Casting>>();
  readonly put = jest.fn<void, [readonly Casting[]]>();
  readonly remove = jest.fn<void, [readonly string[]]>();
  open(): Promise<readonly Casting[]> {
    return Promise.resolve(demo);
  }
}

describe('CastingStore', () => {
  let storage: PlainStorage;
  let store: CastingStore;

  beforeEach(async () => {
    storage = new PlainStorage();
    TestBed.configureTestingModule({
      providers: [provideZonelessChangeDetection(), { provide: CastingStorage, useValue: storage }],
    });
    store = TestBed.inject(CastingStore);
    await store.load();
    store.open('demo-bombs');
  });

  it('edits the open casting alone, and takes it back and again', () => {
    store.edit('pieces', (casting) => (casting.pieces = 30));
    expect(store.castings().map((casting) => casting.pieces)).toEqual([30, 24]);
    expect(store.undoLabel()).toBe('pieces');
    store.undo();
    expect(store.current()?.pieces).toBe(18);
    store.redo();
    expect(store.current()?.pieces).toBe(30);
  });

  it('counts an edit that changes nothing as none', () => {
    store.edit('pieces', (casting) => (casting.pieces = 18));
    expect(store.canUndo()).toBe(false);
  });

  it('takes the moves of a drag back as one', () => {
    for (const roomC of [20, 21, 22]) store.edit('room', (casting) => (casting.kitchen.roomC = roomC), 'drag 1');
    store.undo();
    expect(store.current()?.kitchen.roomC).toBe(19.5);
    expect(store.canUndo()).toBe(false);
  });

  it('brings a deleted casting back, and takes an added one away', () => {
    store.remove('demo-bombs');
    expect(store.castings()).toHaveLength(1);
    store.undo();
    expect(store.current()?.name).toBe('Cider-spice bombs');
    store.add([{ ...demo[0], id: 'copy' }], 'copy');
    store.undo();
    expect(
      store
        .castings()
        .map((casting) => casting.id)
        .sort(),
    ).toEqual(['demo-bites', 'demo-bombs']);
  });

  it('shows what another tab changed, which clears redo; undo keeps that tab’s other changes', () => {
    store.edit('pieces', (casting) => (casting.pieces = 30));
    store.edit('room', (casting) => (casting.kitchen.roomC = 22));
    store.undo();
    expect(store.canRedo()).toBe(true);
    storage.changes.next({ records: [{ ...demo[0], pieces: 30, name: 'Renamed elsewhere' }], removed: [] });
    expect(store.canRedo()).toBe(false);
    store.undo();
    expect(store.current()).toMatchObject({ pieces: 18, name: 'Renamed elsewhere' });
  });

  it('leaves a casting alone when what is to be undone is no longer there', () => {
    store.edit('remove layers', (casting) => {
      casting.fill[1].amount = { by: 'count', count: 4 };
    });
    storage.changes.next({ records: [{ ...demo[0], fill: [] }], removed: [] });
    store.undo();
    expect(store.current()?.fill).toEqual([]);
  });

  it('refuses an edit that could not be read again, says so, and changes nothing', () => {
    const before = store.current();
    expect(
      store.edit('coats', ({ parts: [{ coats }] }) =>
        coats.push({ ...coats[0], id: 'x', method: 'clamp' }, { ...coats[0], id: 'y', method: 'clamp' }),
      ),
    ).toBe(false);
    expect(
      store.edit(
        'melts',
        (casting) =>
          (casting.melts = Array.from({ length: 21 }, (_, i) => ({
            ...casting.melts[0],
            id: i === 0 ? 'melt-1' : `m${i}`,
          }))),
      ),
    ).toBe(false);
    expect(TestBed.inject(Notices).notice()?.text).toContain('There is room for 20 melts');
    expect(store.edit('due', (casting) => (casting.due = { local: '2026-02-30T10:00', zone: 'Z' }))).toBe(false);
    expect(store.current()).toBe(before);
    expect([store.canUndo(), storage.put.mock.calls.length]).toEqual([false, 0]);
  });

  it('undoes its own change and leaves what another tab has changed at the same place since', () => {
    store.edit('pieces', (casting) => (casting.pieces = 30));
    storage.changes.next({ records: [{ ...(store.current() as Casting), pieces: 41 }], removed: [] });
    store.undo();
    expect(store.current()?.pieces).toBe(41);
    expect(TestBed.inject(Notices).notice()?.text).toContain('changed elsewhere');
  });

  it('says where it has undone something when that is not on screen', () => {
    store.edit('pieces', (casting) => (casting.pieces = 30));
    store.open('demo-bites');
    store.undo();
    expect(store.castings().find(({ id }) => id === 'demo-bombs')?.pieces).toBe(18);
    expect(TestBed.inject(Notices).notice()?.text).toBe('Undone in “Cider-spice bombs”: pieces.');
  });

  it('drops what another tab deleted', () => {
    storage.changes.next({ records: [], removed: ['demo-bombs'] });
    expect(store.current()).toBeUndefined();
    store.edit('pieces', (casting) => (casting.pieces = 2));
    expect(store.castings()).toHaveLength(1);
  });
});
