import type { KitchenThingKey } from '../matter/kitchen-thing';
import type { Allergen } from '../record/choices';

/** Allergens of what is in a larder, as it is usually sold: the packet wins. What is left out has none of the listed. */
const LARDER_ALLERGENS: Readonly<Partial<Record<KitchenThingKey, readonly Allergen[]>>> = {
  milk: ['milk'],
  cream: ['milk'],
  butter: ['milk'],
  milkPowder: ['milk'],
  egg: ['egg'],
  eggYolk: ['egg'],
  eggWhite: ['egg'],
  flour: ['wheat'],
  groundNuts: ['nuts'],
  almondButter: ['nuts'],
  hazelnutPaste: ['nuts'],
  peanutButter: ['peanuts'],
  choppedChocolate: ['milk', 'soy'],
  marshmallow: ['gelatine'],
};

/** What does the same in a filling without an allergen. Common practice, no source. */
const SWAPS: Readonly<Partial<Record<KitchenThingKey, readonly KitchenThingKey[]>>> = {
  peanutButter: ['almondButter', 'sunflowerButter'],
  almondButter: ['sunflowerButter'],
  hazelnutPaste: ['sunflowerButter'],
  groundNuts: ['oats'],
};

/** Allergens that a thing of the larder brings. */
export const larderAllergens = (thing: KitchenThingKey): readonly Allergen[] => LARDER_ALLERGENS[thing] ?? [];

/** What may be taken instead of it, for somebody who must not have it. */
export const swapsFor = (thing: KitchenThingKey): readonly KitchenThingKey[] => SWAPS[thing] ?? [];
