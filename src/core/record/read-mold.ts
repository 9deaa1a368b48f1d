import { LibraryMoldSchema, MOLD_SCHEMA_VERSION, type LibraryMold } from './mold';
import { brokenComposition } from './mold-cavities';
import { readRecord } from './read-record';
import type { RecordProblem } from './record-problem';
import { upgradeMold } from './upgrade';

/** Checks a mold of the library from outside (the database, a file), brought up to the present version. Errors are values; never changes its input. */
export function readMold(raw: unknown): { readonly ok: true; readonly record: LibraryMold } | RecordProblem {
  const plain = typeof raw === 'object' && raw !== null && !Array.isArray(raw);
  const read = readRecord(
    LibraryMoldSchema,
    MOLD_SCHEMA_VERSION,
    plain ? upgradeMold(raw as Record<string, unknown>) : raw,
  );
  const broken = read.ok ? brokenComposition(read.record) : undefined;
  return broken ? { ok: false, problem: 'brokenReference', path: broken, detail: '' } : read;
}
