import { Injectable } from '@angular/core';
import type { StoredKitchen } from '../../core/record/kitchen';
import { KitchenRepository } from '../../data/kitchen-repository';
import { usualKitchen } from '../../data/kitchen-usual';
import { newId } from './new-id';
import { RecordStorage } from './record-storage';

/** Saves the kitchen as you go. */
@Injectable({ providedIn: 'root' })
export class KitchenStorage extends RecordStorage<StoredKitchen> {
  constructor() {
    super('kitchens', new KitchenRepository(newId()), () => [usualKitchen(new Date())]);
  }
}
