import * as z from 'zod/mini';
import type { RecordProblem } from './record-problem';

/**
 * Checks a record from outside against its schema. Errors are values: the place in the record and what is wrong there.
 * A record of a newer version is refused as such. Never changes its input.
 */
export function readRecord<T>(
  schema: z.ZodMiniType<T>,
  version: number,
  raw: unknown,
): { readonly ok: true; readonly record: T } | RecordProblem {
  if (typeof raw !== 'object' || raw === null || Array.isArray(raw)) {
    return { ok: false, problem: 'notARecord', path: '', detail: raw === null ? 'null' : typeof raw };
  }
  const own = (raw as { schemaVersion?: unknown }).schemaVersion;
  if (typeof own === 'number' && own > version)
    return { ok: false, problem: 'newerVersion', path: 'schemaVersion', detail: String(own) };
  // What is of no version is no such record: nothing else of it is looked at, so that a file of junk is soon told.
  if (own !== version) return { ok: false, problem: 'badValue', path: 'schemaVersion', detail: 'invalid_value' };
  return checked(schema, raw);
}

/** Checks a value against a schema; a problem's path begins with where the value stands. */
export function checked<T>(
  schema: z.ZodMiniType<T>,
  value: unknown,
  at: readonly string[] = [],
): { readonly ok: true; readonly record: T } | RecordProblem {
  const parsed = schema.safeParse(value);
  if (parsed.success) return { ok: true, record: parsed.data };
  const issue = parsed.error.issues[0];
  return { ok: false, problem: 'badValue', path: [...at, ...issue.path.map(String)].join('.'), detail: issue.code };
}
