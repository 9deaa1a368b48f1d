import { CASTING_SCHEMA_VERSION, CastingSchema, type Casting } from './casting';
import type { RecordProblem } from './record-problem';
import { brokenReference } from './references';
import { upgradeCasting } from './upgrade';

/**
 * Checks a record from outside (the database, a file) and gives it as a casting, brought up to the present version.
 * Errors are values: the place in the record and what is wrong there. Never changes its input.
 */
export function readCasting(raw: unknown): { readonly ok: true; readonly casting: Casting } | RecordProblem {
  if (typeof raw !== 'object' || raw === null || Array.isArray(raw)) {
    return { ok: false, problem: 'notARecord', path: '', detail: raw === null ? 'null' : typeof raw };
  }
  const version = (raw as { schemaVersion?: unknown }).schemaVersion;
  if (typeof version === 'number' && version > CASTING_SCHEMA_VERSION) {
    return { ok: false, problem: 'newerVersion', path: 'schemaVersion', detail: String(version) };
  }
  const parsed = CastingSchema.safeParse(upgradeCasting(raw as Record<string, unknown>));
  if (!parsed.success) {
    const issue = parsed.error.issues[0];
    return { ok: false, problem: 'badValue', path: issue.path.map(String).join('.'), detail: issue.code };
  }
  const broken = brokenReference(parsed.data);
  if (broken) return { ok: false, problem: 'brokenReference', path: broken, detail: '' };
  return { ok: true, casting: parsed.data };
}
