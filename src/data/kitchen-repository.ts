import { KITCHEN_SCHEMA_VERSION, StoredKitchenSchema, type StoredKitchen } from '../core/record/kitchen';
import { readRecord } from '../core/record/read-record';
import { KilnstoneDatabase } from './database';
import { RecordRepository } from './record-repository';

/** Keeps the kitchen in the browser's database. */
export class KitchenRepository extends RecordRepository<StoredKitchen> {
  constructor(tab: string) {
    super(tab, new KilnstoneDatabase(), {
      table: 'kitchens',
      field: 'kitchen',
      seededFact: 'kitchenSeeded',
      read: (raw) => readRecord(StoredKitchenSchema, KITCHEN_SCHEMA_VERSION, raw),
    });
  }
}
