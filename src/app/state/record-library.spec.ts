import { provideZonelessChangeDetection, signal } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { Subject } from 'rxjs';
import type { LibraryMold } from '../../core/record/mold';
import { SHIPPED_MOLDS, shippedMolds } from '../../data/mold-library';
import { MONDAY } from '../../testing/bench';
import { MoldLibrary } from './mold-library';
import { MoldStorage } from './mold-storage';

describe('a library that is still being read', () => {
  it('keeps what is made meanwhile, beside what comes', async () => {
    let come: (records: readonly LibraryMold[]) => void = () => undefined;
    TestBed.configureTestingModule({
      providers: [
        provideZonelessChangeDetection(),
        {
          provide: MoldStorage,
          useValue: {
            changes: new Subject(),
            state: signal('saved'),
            open: () => new Promise((resolve) => (come = resolve)),
            put: () => undefined,
            remove: () => undefined,
          },
        },
      ],
    });
    const library = TestBed.inject(MoldLibrary);
    const { id } = library.create();
    come(shippedMolds(MONDAY));
    await library.ready;
    expect(library.byId().get(id)?.name).toBe('New mold');
    expect(library.molds()).toHaveLength(SHIPPED_MOLDS.length + 1);
    expect(new Set(library.molds().map((mold) => mold.id)).size).toBe(SHIPPED_MOLDS.length + 1);
  });
});
