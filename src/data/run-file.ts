import { MarkSchema, type Mark } from '../core/run/mark';
import { readRun, type Run } from '../core/run/run-record';
import { checked } from '../core/record/read-record';
import type { RecordProblem } from '../core/record/record-problem';
import { readRecordFile, writeRecordFile, type FileKind, type FileReading } from './record-file';

/** A run as a file carries it: with all that was noted, so that another device goes on from it. */
export interface PackedRun extends Run {
  readonly marks: readonly Mark[];
}

const RUNS: FileKind<PackedRun> = {
  format: 'kilnstone runs',
  list: 'runs',
  nameless: 'Nameless run',
  read: readPacked,
};

/** Runs with their marks as the text of an export file. */
export function writeRunFile(runs: readonly PackedRun[], now: Date): string {
  return writeRecordFile(RUNS, runs, now);
}

/** Reads, in steps, an export file of runs. */
export function readRunFile(text: string): Generator<number, FileReading<PackedRun>> {
  return readRecordFile(RUNS, text);
}

/** A run one of whose marks cannot be read is bad as a whole: without it, it would tell something else. */
function readPacked(raw: unknown): { readonly ok: true; readonly record: PackedRun } | RecordProblem {
  const read = readRun(raw);
  if (!read.ok) return read;
  const raws = (raw as { readonly marks?: unknown }).marks;
  const marks: Mark[] = [];
  for (const [i, one] of (Array.isArray(raws) ? raws : []).entries()) {
    const mark = checked(MarkSchema, one, ['marks', String(i)]);
    if (!mark.ok) return mark;
    marks.push(mark.record);
  }
  return { ok: true, record: { ...read.record, marks } };
}
