import { KITCHEN_SCHEMA_VERSION, USUAL_BOWLS, type Kitchen, type StoredKitchen } from '../core/record/kitchen';

/** The made-up kitchen that a first visit starts with. */
export const USUAL_KITCHEN: Kitchen = {
  roomC: 19.5,
  humidity: 0.52,
  fridgeC: 5,
  fridgeFan: false,
  freezerC: -18,
  freezerFan: false,
  microwaveW: 800,
  bowls: USUAL_BOWLS.map((bowl) => ({ ...bowl })),
};

export const KITCHEN_ID = 'kitchen';

/** That kitchen as a record. */
export function usualKitchen(now: Date): StoredKitchen {
  return {
    ...structuredClone(USUAL_KITCHEN),
    schemaVersion: KITCHEN_SCHEMA_VERSION,
    id: KITCHEN_ID,
    name: 'Kitchen',
    createdAt: now.toISOString(),
    currency: '€',
  };
}
