import type { Casting } from '../core/record/casting';
import { readCasting } from '../core/record/read-casting';
import { KilnstoneDatabase } from './database';
import { RecordRepository } from './record-repository';

/** Keeps castings in the browser's database. */
export class CastingRepository extends RecordRepository<Casting> {
  constructor(tab: string) {
    super(tab, new KilnstoneDatabase(), {
      table: 'castings',
      field: 'casting',
      seededFact: 'seeded',
      read: (raw) => {
        const read = readCasting(raw);
        return read.ok ? { ok: true, record: read.casting } : read;
      },
    });
  }
}
