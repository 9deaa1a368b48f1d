import { readRun, type Run } from '../core/run/run-record';
import { KilnstoneDatabase } from './database';
import { RecordRepository } from './record-repository';

/** Keeps runs in the browser's database. */
export class RunRepository extends RecordRepository<Run> {
  constructor(tab: string) {
    super(tab, new KilnstoneDatabase(), { table: 'runs', field: 'run', seededFact: 'runsSeeded', read: readRun });
  }
}
