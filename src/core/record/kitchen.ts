import * as z from 'zod/mini';
import { BOWL_MATERIALS } from '../matter/bowl-material';
import { PLACES } from './choices';
import { id, name, numberOf, wholeOf } from './fields';
import { MOST } from './limits';

const BowlSchema = z.object({
  id,
  name,
  material: z.enum(BOWL_MATERIALS),
  kg: numberOf('bowlKg'),
  diameterM: numberOf('bowlDiameterM'),
});

/** What of the work by hand is timed. */
export const HAND_WORKS = ['prep', 'coat', 'unmold', 'fill', 'close', 'finish'] as const;
export type HandWork = (typeof HAND_WORKS)[number];
export const isHandWork = (kind: string): kind is HandWork => (HAND_WORKS as readonly string[]).includes(kind);

/** What was learned of one thing: a factor on the working rule, how surely (a factor either way, as a standard deviation), and from how many readings. */
const LessonSchema = z.object({
  factor: numberOf('learnedFactor'),
  within: numberOf('learnedWithin'),
  readings: wholeOf('learnedReadings'),
});
export type Lesson = z.infer<typeof LessonSchema>;

/** What can be learned, each by itself switched off or forgotten: the air of each place, how long something is left to set, how long work by hand takes. */
export const LESSON_KEYS = [...PLACES, 'goesOn', ...HAND_WORKS] as const;
export type LessonKey = (typeof LESSON_KEYS)[number];

/** What runs have taught of this kitchen and of who works in it. */
export const LearnedSchema = z.object({
  /** How much heat the air of each place takes. */
  room: z.optional(LessonSchema),
  fridge: z.optional(LessonSchema),
  freezer: z.optional(LessonSchema),
  /** How long it is left to set, past what would do. */
  goesOn: z.optional(LessonSchema),
  /** How long work by hand takes. */
  hands: z.optional(z.partialRecord(z.enum(HAND_WORKS), LessonSchema)),
});
export type Learned = z.infer<typeof LearnedSchema>;

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
  learned: z.optional(LearnedSchema),
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
  /** What of it new plans do not go by, and from which runs on it is learned, s since 1970 UTC. */
  lessons: z.optional(
    z.object({
      off: z.array(z.enum(LESSON_KEYS)).check(z.maxLength(LESSON_KEYS.length)),
      fromS: z.partialRecord(z.enum(LESSON_KEYS), z.number()),
    }),
  ),
});

export type StoredKitchen = z.infer<typeof StoredKitchenSchema>;

/** What a kitchen starts from: a made-up one of ordinary make. Bowl weights from memory. */
export const USUAL_BOWLS: readonly BowlRecord[] = [
  { id: 'plastic', name: 'Plastic bowl', material: 'plastic', kg: 0.14, diameterM: 0.18 },
  { id: 'glass', name: 'Glass bowl', material: 'glass', kg: 0.55, diameterM: 0.2 },
  { id: 'steel', name: 'Steel bowl', material: 'steel', kg: 0.3, diameterM: 0.24 },
];
