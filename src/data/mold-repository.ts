import type { LibraryMold } from '../core/record/mold';
import { readMold } from '../core/record/read-mold';
import { KilnstoneDatabase } from './database';
import { RecordRepository } from './record-repository';

/** Keeps the mold library in the browser's database. */
export class MoldRepository extends RecordRepository<LibraryMold> {
  constructor(tab: string) {
    super(tab, new KilnstoneDatabase(), { table: 'molds', field: 'mold', seededFact: 'moldsSeeded', read: readMold });
  }
}
