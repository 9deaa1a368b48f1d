import { Injectable } from '@angular/core';
import type { PantryEntry } from '../../core/record/chocolate';
import { PantryRepository } from '../../data/pantry-repository';
import { shippedPantry } from '../../data/pantry-shipped';
import { RecordStorage } from './record-storage';

/** Saves the pantry as you go. */
@Injectable({ providedIn: 'root' })
export class PantryStorage extends RecordStorage<PantryEntry> {
  constructor() {
    super(new PantryRepository(crypto.randomUUID()), () => shippedPantry(new Date()));
  }
}
