import { PANTRY_SCHEMA_VERSION, PantryChocolateSchema, PantryTintSchema, type PantryEntry } from './chocolate';
import { PantryFillingSchema } from './filling';
import { readRecord } from './read-record';
import type { RecordProblem } from './record-problem';

/** Checks an entry of the pantry from outside (the database, a file). Errors are values; never changes its input. */
export function readPantryEntry(raw: unknown): { readonly ok: true; readonly record: PantryEntry } | RecordProblem {
  const entry = typeof raw === 'object' && raw !== null ? (raw as { entry?: unknown }).entry : undefined;
  if (entry === 'tint') return readRecord(PantryTintSchema, PANTRY_SCHEMA_VERSION, raw);
  if (entry === 'filling') return readRecord(PantryFillingSchema, PANTRY_SCHEMA_VERSION, raw);
  return readRecord(PantryChocolateSchema, PANTRY_SCHEMA_VERSION, raw);
}
