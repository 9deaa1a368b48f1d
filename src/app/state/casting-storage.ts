import { Injectable } from '@angular/core';
import type { Casting } from '../../core/record/casting';
import { CastingRepository } from '../../data/casting-repository';
import { demoCastings } from '../../data/demo';
import { RecordStorage } from './record-storage';

/** Saves castings as you go. */
@Injectable({ providedIn: 'root' })
export class CastingStorage extends RecordStorage<Casting> {
  constructor() {
    super(new CastingRepository(crypto.randomUUID()), () => demoCastings(new Date()));
  }
}
