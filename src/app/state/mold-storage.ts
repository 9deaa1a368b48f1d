import { Injectable } from '@angular/core';
import type { LibraryMold } from '../../core/record/mold';
import { shippedMolds } from '../../data/mold-library';
import { MoldRepository } from '../../data/mold-repository';
import { newId } from './new-id';
import { RecordStorage } from './record-storage';

/** Saves the mold library as you go. */
@Injectable({ providedIn: 'root' })
export class MoldStorage extends RecordStorage<LibraryMold> {
  constructor() {
    super('molds', new MoldRepository(newId()), () => shippedMolds(new Date()));
  }
}
