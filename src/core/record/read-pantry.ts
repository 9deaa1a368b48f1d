import { PANTRY_SCHEMA_VERSION, PantryChocolateSchema, PantryTintSchema, type PantryEntry } from './chocolate';
import { readRecord } from './read-record';
import type { RecordProblem } from './record-problem';

/** Checks an entry of the pantry from outside (the database, a file). Errors are values; never changes its input. */
export function readPantryEntry(raw: unknown): { readonly ok: true; readonly record: PantryEntry } | RecordProblem {
  const isTint = typeof raw === 'object' && raw !== null && (raw as { entry?: unknown }).entry === 'tint';
  return isTint ? readRecord(PantryTintSchema, PANTRY_SCHEMA_VERSION, raw) : readRecord(PantryChocolateSchema, PANTRY_SCHEMA_VERSION, raw);
}
