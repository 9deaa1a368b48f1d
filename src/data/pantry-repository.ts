import type { PantryEntry } from '../core/record/chocolate';
import { readPantryEntry } from '../core/record/read-pantry';
import { KilnstoneDatabase } from './database';
import { RecordRepository } from './record-repository';

/** Keeps the pantry in the browser's database. */
export class PantryRepository extends RecordRepository<PantryEntry> {
  constructor(tab: string) {
    super(tab, new KilnstoneDatabase(), {
      table: 'pantry',
      field: 'pantry',
      seededFact: 'pantrySeeded',
      read: readPantryEntry,
    });
  }
}
