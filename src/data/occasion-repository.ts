import { readOccasion, type Occasion } from '../core/record/occasion';
import { KilnstoneDatabase } from './database';
import { RecordRepository } from './record-repository';

/** Keeps occasions in the browser's database. */
export class OccasionRepository extends RecordRepository<Occasion> {
  constructor(tab: string) {
    super(tab, new KilnstoneDatabase(), {
      table: 'occasions',
      field: 'occasion',
      seededFact: 'occasionsSeeded',
      read: readOccasion,
    });
  }
}
