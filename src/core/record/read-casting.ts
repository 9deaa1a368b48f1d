import { circularRecipe } from './filling';
import { CASTING_SCHEMA_VERSION, CastingSchema, type Casting } from './casting';
import { readRecord } from './read-record';
import type { RecordProblem } from './record-problem';
import { brokenReference } from './references';
import { upgradeCasting } from './upgrade';

/**
 * Checks a record from outside (the database, a file) and gives it as a casting, brought up to the present version.
 * Errors are values: the place in the record and what is wrong there. Never changes its input.
 */
export function readCasting(raw: unknown): { readonly ok: true; readonly casting: Casting } | RecordProblem {
  const plain = typeof raw === 'object' && raw !== null && !Array.isArray(raw);
  const read = readRecord(
    CastingSchema,
    CASTING_SCHEMA_VERSION,
    plain ? upgradeCasting(raw as Record<string, unknown>) : raw,
  );
  if (!read.ok) return read;
  const broken = brokenReference(read.record);
  if (broken) return { ok: false, problem: 'brokenReference', path: broken, detail: '' };
  const circle = circularRecipe(read.record.fillings);
  return circle
    ? { ok: false, problem: 'circularReference', path: 'fillings', detail: circle.join(' → ') }
    : { ok: true, casting: read.record };
}
