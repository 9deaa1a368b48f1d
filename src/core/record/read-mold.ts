import { LibraryMoldSchema, MOLD_SCHEMA_VERSION, type LibraryMold } from './mold';
import { brokenComposition } from './mold-cavities';
import type { RecordProblem } from './record-problem';

/** Checks a mold of the library from outside (the database, a file). Errors are values; never changes its input. */
export function readMold(raw: unknown): { readonly ok: true; readonly mold: LibraryMold } | RecordProblem {
  if (typeof raw !== 'object' || raw === null || Array.isArray(raw)) {
    return { ok: false, problem: 'notARecord', path: '', detail: raw === null ? 'null' : typeof raw };
  }
  const version = (raw as { schemaVersion?: unknown }).schemaVersion;
  if (typeof version === 'number' && version > MOLD_SCHEMA_VERSION) return { ok: false, problem: 'newerVersion', path: 'schemaVersion', detail: String(version) };
  const parsed = LibraryMoldSchema.safeParse(raw);
  if (!parsed.success) {
    const issue = parsed.error.issues[0];
    return { ok: false, problem: 'badValue', path: issue.path.map(String).join('.'), detail: issue.code };
  }
  const broken = brokenComposition(parsed.data);
  if (broken) return { ok: false, problem: 'brokenReference', path: broken, detail: '' };
  return { ok: true, mold: parsed.data };
}
