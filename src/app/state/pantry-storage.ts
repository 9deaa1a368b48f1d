import { Injectable } from '@angular/core';
import type { PantryEntry } from '../../core/record/chocolate';
import { PantryRepository } from '../../data/pantry-repository';
import { shippedPantry } from '../../data/pantry-shipped';
import { newId } from './new-id';
import { RecordStorage } from './record-storage';

/** Saves the pantry as you go. */
@Injectable({ providedIn: 'root' })
export class PantryStorage extends RecordStorage<PantryEntry> {
  constructor() {
    super('pantry', new PantryRepository(newId()), () => shippedPantry(new Date()));
  }
}
