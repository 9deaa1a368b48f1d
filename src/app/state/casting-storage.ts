import { Injectable } from '@angular/core';
import type { Casting } from '../../core/record/casting';
import { CastingRepository } from '../../data/casting-repository';
import { demoCastings } from '../../data/demo';
import { newId } from './new-id';
import { RecordStorage } from './record-storage';

/** Saves castings as you go. */
@Injectable({ providedIn: 'root' })
export class CastingStorage extends RecordStorage<Casting> {
  constructor() {
    super('castings', new CastingRepository(newId()), () => demoCastings(new Date()));
  }
}
