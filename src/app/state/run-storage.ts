import { Injectable } from '@angular/core';
import type { Run } from '../../core/run/run-record';
import { MarkRepository } from '../../data/mark-repository';
import { RunRepository } from '../../data/run-repository';
import { newId } from './new-id';
import { RecordStorage } from './record-storage';

/** Saves runs as they are begun. */
@Injectable({ providedIn: 'root' })
export class RunStorage extends RecordStorage<Run> {
  constructor() {
    super('runs', new RunRepository(newId()), () => []);
  }
}

/** Keeps what is noted in them. */
@Injectable({ providedIn: 'root' })
export class MarkStorage extends MarkRepository {}
