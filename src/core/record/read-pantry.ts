import { PANTRY_SCHEMA_VERSION, PantryChocolateSchema, PantryTintSchema, type PantryEntry } from './chocolate';
import { PantryFillingSchema } from './filling';
import { PantryGoodsSchema, PantrySupplySchema } from './goods';
import { readRecord } from './read-record';
import type { RecordProblem } from './record-problem';

/** What each kind of entry is read by; what says no kind is read as a chocolate. */
const SCHEMAS = {
  chocolate: PantryChocolateSchema,
  tint: PantryTintSchema,
  filling: PantryFillingSchema,
  goods: PantryGoodsSchema,
  supply: PantrySupplySchema,
} as const satisfies Readonly<Record<PantryEntry['entry'], unknown>>;

/** Checks an entry of the pantry from outside (the database, a file). Errors are values; never changes its input. */
export function readPantryEntry(raw: unknown): { readonly ok: true; readonly record: PantryEntry } | RecordProblem {
  const entry = typeof raw === 'object' && raw !== null ? (raw as { entry?: unknown }).entry : undefined;
  const kind =
    typeof entry === 'string' && Object.hasOwn(SCHEMAS, entry) ? (entry as PantryEntry['entry']) : 'chocolate';
  return readRecord<PantryEntry>(SCHEMAS[kind], PANTRY_SCHEMA_VERSION, raw);
}
