import { Injectable } from '@angular/core';
import type { Occasion } from '../../core/record/occasion';
import { demoOccasions } from '../../data/demo';
import { OccasionRepository } from '../../data/occasion-repository';
import { newId } from './new-id';
import { RecordStorage } from './record-storage';

/** Saves occasions as you go. */
@Injectable({ providedIn: 'root' })
export class OccasionStorage extends RecordStorage<Occasion> {
  constructor() {
    super('occasions', new OccasionRepository(newId()), () => demoOccasions(new Date()));
  }
}
