import { Injectable, computed, inject } from '@angular/core';
import type { Casting } from '../../core/record/casting';
import { castingKitchen } from '../../core/record/copies';
import { StoredKitchenSchema, type Kitchen, type StoredKitchen } from '../../core/record/kitchen';
import { alike } from '../../core/record/merge';
import { KITCHEN_ID, usualKitchen } from '../../data/kitchen-usual';
import { KitchenStorage } from './kitchen-storage';
import { RecordLibrary } from './record-library';

/** The kitchen that new castings start from, and that old ones may take over. */
@Injectable({ providedIn: 'root' })
export class Kitchens extends RecordLibrary<StoredKitchen> {
  readonly kitchen = computed(() => this.byId().get(KITCHEN_ID) ?? usualKitchen(new Date()));

  constructor() {
    super(inject(KitchenStorage), {
      key: 'kitchens',
      plural: 'kitchen changes',
      accepts: (kitchen) => StoredKitchenSchema.safeParse(kitchen).success,
    });
  }

  change(label: string, change: (kitchen: StoredKitchen) => void, gesture = label): boolean {
    return this.edit(KITCHEN_ID, label, change, `kitchen ${gesture}`);
  }
}

/** Whether a casting was planned in another kitchen than this; what it had learned by then is its own. */
export function kitchenDiffers(casting: Casting, kitchen: Kitchen): boolean {
  const { learned } = casting.kitchen;
  return !alike(casting.kitchen, castingKitchen({ ...kitchen, learned }));
}

/** Puts a kitchen into a casting, which keeps what was learned; a bowl that is not there any more gives way to the first. */
export function takeKitchen(casting: Casting, kitchen: Kitchen): void {
  casting.kitchen = castingKitchen({ ...kitchen, learned: casting.kitchen.learned });
  for (const melt of casting.melts) {
    if (!kitchen.bowls.some((bowl) => bowl.id === melt.bowlId)) melt.bowlId = kitchen.bowls[0].id;
  }
}
