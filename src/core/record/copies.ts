import { ChocolateSchema, TintSchema, type Chocolate, type Tint } from './chocolate';
import { FillingSchema, type Filling } from './filling';
import { KitchenSchema, type Kitchen } from './kitchen';
import { alike } from './merge';
import { MoldSchema, type Mold } from './mold';

// What a casting holds of a library's record: just the fields that its schema names, so that none can be forgotten. Each is a deep copy.

export const castingChocolate = (chocolate: Chocolate): Chocolate => ChocolateSchema.parse(chocolate);
export const castingTint = (tint: Tint): Tint => TintSchema.parse(tint);
export const castingFilling = (filling: Filling): Filling => FillingSchema.parse(filling);
export const castingKitchen = (kitchen: Kitchen): Kitchen => KitchenSchema.parse(kitchen);
export const castingMold = (mold: Mold): Mold => MoldSchema.parse(mold);

/** Whether a library's mold says another thing than a casting's copy of it, but for how many are at hand. */
export function moldDiffers(there: Mold, own: Mold): boolean {
  return !alike({ ...castingMold(there), atHand: 1 }, { ...castingMold(own), atHand: 1 });
}
