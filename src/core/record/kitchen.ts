import * as z from 'zod/mini';
import { BOWL_MATERIALS } from '../matter/bowl-material';
import { id, name, numberOf } from './fields';
import { MOST } from './limits';

const BowlSchema = z.object({
  id,
  name,
  material: z.enum(BOWL_MATERIALS),
  kg: numberOf('bowlKg'),
  diameterM: numberOf('bowlDiameterM'),
});

/** Where the work is done: air, cold places, microwave, bowls. */
export const KitchenSchema = z.object({
  roomC: numberOf('roomC'),
  humidity: numberOf('humidity'),
  fridgeC: numberOf('fridgeC'),
  fridgeFan: z.boolean(),
  freezerC: numberOf('freezerC'),
  freezerFan: z.boolean(),
  microwaveW: numberOf('microwaveW'),
  /** A known weight melted once: by what the microwave is calibrated. */
  microwaveTest: z.optional(
    z.object({
      kg: numberOf('calibrationKg'),
      seconds: numberOf('calibrationSeconds'),
      endC: numberOf('calibrationEndC'),
    }),
  ),
  bowls: z.array(BowlSchema).check(z.minLength(1), z.maxLength(MOST.bowls)),
});

export type Kitchen = z.infer<typeof KitchenSchema>;
export type BowlRecord = Kitchen['bowls'][number];

/** The version of the stored kitchen that this program writes. */
export const KITCHEN_SCHEMA_VERSION = 1;

/** The kitchen that new castings start from. */
export const StoredKitchenSchema = z.extend(KitchenSchema, {
  schemaVersion: z.literal(KITCHEN_SCHEMA_VERSION),
  id,
  name,
  createdAt: z.iso.datetime(),
  /** What prices are written in, as "€" or "kr". */
  currency: z.string().check(z.minLength(1), z.maxLength(5)),
});

export type StoredKitchen = z.infer<typeof StoredKitchenSchema>;

/** What a kitchen starts from: a made-up one of ordinary make. Bowl weights from memory. */
export const USUAL_BOWLS: readonly BowlRecord[] = [
  { id: 'plastic', name: 'Plastic bowl', material: 'plastic', kg: 0.14, diameterM: 0.18 },
  { id: 'glass', name: 'Glass bowl', material: 'glass', kg: 0.55, diameterM: 0.2 },
  { id: 'steel', name: 'Steel bowl', material: 'steel', kg: 0.3, diameterM: 0.24 },
];
