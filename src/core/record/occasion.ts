import * as z from 'zod/mini';
import { WRAPS } from './choices';
import { due, id, localTime, name, numberOf, wholeOf } from './fields';
import { MOST, MOST_OF_OCCASION } from './limits';
import { readRecord } from './read-record';
import type { RecordProblem } from './record-problem';
import { upgradeOccasion } from './upgrade';

/** The version of the occasion record that this program writes. */
export const OCCASION_SCHEMA_VERSION = 4;

const StaySchema = z
  .object({ from: localTime, to: localTime })
  // Local times of one form stand in the order of their letters.
  .check(z.refine(({ from, to }) => from < to));

/** What is free of a shelf, or of several as if they were one. */
const RoomSchema = z.object({ widthM: numberOf('shelfM'), depthM: numberOf('shelfM') });

/** What tells pieces of a casting that are made alike from all others in an occasion. */
export function packedKey({
  castingId,
  variantId = '',
}: {
  castingId: string;
  variantId?: string | undefined;
}): string {
  return JSON.stringify([castingId, variantId]);
}

/** Pieces that are packed together, alike so many times. */
export const PackedSetSchema = z.object({
  id,
  name,
  count: wholeOf('sets'),
  wrap: z.enum(WRAPS),
  /** Of which casting, as it is chosen or of which of its variants, how many pieces are in each; what is not listed is not in it. */
  contents: z.array(z.object({ castingId: id, variantId: z.optional(id), pieces: wholeOf('inSet') })).check(
    z.maxLength(MOST_OF_OCCASION.castings * (1 + MOST.variants)),
    z.refine((contents) => new Set(contents.map(packedKey)).size === contents.length),
  ),
});

/**
 * Castings made for the same event by the same hands in the same kitchen. Holds choices only; its timetable is always computed. Local times are
 * told by the clocks of the event's zone.
 */
export const OccasionSchema = z.object({
  schemaVersion: z.literal(OCCASION_SCHEMA_VERSION),
  id,
  name,
  createdAt: z.iso.datetime(),
  /** When everything is to be ready. */
  due,
  castingIds: z.array(id).check(
    z.maxLength(MOST_OF_OCCASION.castings),
    z.refine((ids) => new Set(ids).size === ids.length),
  ),
  people: wholeOf('people'),
  /** When somebody is in the kitchen; without any, as it is needed. */
  stays: z.array(StaySchema).check(z.maxLength(MOST_OF_OCCASION.stays)),
  /** How long the break is that is had in the middle of each long stretch of work, s; 0 for none. */
  breakS: numberOf('breakS'),
  /** Room there is for molds, where that is to be counted with. */
  fridge: z.optional(RoomSchema),
  freezer: z.optional(RoomSchema),
  /** Operations that are to start at a time and no other, by their key. */
  holds: z
    .array(z.object({ operation: z.string().check(z.minLength(1), z.maxLength(200)), at: localTime }))
    .check(z.maxLength(MOST_OF_OCCASION.holds)),
  /** Colours are made of what is left of a lighter one. */
  inTurn: z.boolean(),
  /** Castings that are cast from what the others leave of a bowl. */
  fromLeft: z.array(id).check(z.maxLength(MOST_OF_OCCASION.castings)),
  sets: z.array(PackedSetSchema).check(z.maxLength(MOST_OF_OCCASION.sets)),
});

export type Occasion = z.infer<typeof OccasionSchema>;
export type StayRecord = Occasion['stays'][number];
export type ShelfRoom = z.infer<typeof RoomSchema>;
export type PackedSet = Occasion['sets'][number];

/** Checks an occasion from outside (the database, a file). Errors are values; never changes its input. */
export function readOccasion(raw: unknown): { readonly ok: true; readonly record: Occasion } | RecordProblem {
  const plain = typeof raw === 'object' && raw !== null && !Array.isArray(raw);
  return readRecord(
    OccasionSchema,
    OCCASION_SCHEMA_VERSION,
    plain ? upgradeOccasion(raw as Record<string, unknown>) : raw,
  );
}
