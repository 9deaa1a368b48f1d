import { LibraryMoldSchema, MOLD_SCHEMA_VERSION, type LibraryMold } from './mold';
import { brokenComposition } from './mold-cavities';
import { readRecord } from './read-record';
import type { RecordProblem } from './record-problem';

/** Checks a mold of the library from outside (the database, a file). Errors are values; never changes its input. */
export function readMold(raw: unknown): { readonly ok: true; readonly record: LibraryMold } | RecordProblem {
  const read = readRecord(LibraryMoldSchema, MOLD_SCHEMA_VERSION, raw);
  const broken = read.ok ? brokenComposition(read.record) : undefined;
  return broken ? { ok: false, problem: 'brokenReference', path: broken, detail: '' } : read;
}
