import { isSeen } from '../core/record/name';
import type { RecordProblem } from '../core/record/record-problem';
import type { Named } from './record-repository';

const FORMAT_VERSION = 1;

/** One kind of export file: its format's name, the list its records are in, and how one is read. */
export interface FileKind<T extends Named> {
  readonly format: string;
  readonly list: string;
  /** What a record is called whose name cannot be seen. */
  readonly nameless: string;
  read(raw: unknown): { readonly ok: true; readonly record: T } | RecordProblem;
}

/** Largest file that is read, bytes: a record takes about 3 kB. */
export const LARGEST_FILE = 20_000_000;

/** What an import file holds, or why nothing of it can be used. */
export type FileReading<T> =
  { readonly ok: true; readonly records: readonly T[]; readonly bad: readonly BadRecord[] } | FileProblem;

/** Why nothing of a file can be used, and where. */
export interface FileProblem {
  readonly ok: false;
  readonly problem: 'tooLarge' | 'empty' | 'notJson' | 'truncated' | 'otherFile' | 'newerFile' | 'noRecords';
  readonly place: string;
  readonly bad: readonly BadRecord[];
}

/** A record of the file that could not be read, by its place in the list from 1, and its name where it has one. */
export interface BadRecord {
  readonly position: number;
  readonly name: string;
  readonly problem: RecordProblem;
}

/** Records as the text of an export file, readable and versioned. */
export function writeRecordFile<T extends Named>(kind: FileKind<T>, records: readonly T[], now: Date): string {
  return JSON.stringify(
    { format: kind.format, formatVersion: FORMAT_VERSION, exportedAt: now.toISOString(), [kind.list]: records },
    null,
    1,
  );
}

/** Records read between two looks at whether to go on. */
const AT_A_TIME = 100;

/**
 * Reads an export file in steps, yielding the share that is done, so that a long one holds nothing up and can be left. Never throws and
 * touches nothing: good records are given back for the user to take, bad ones named by their place.
 */
export function* readRecordFile<T extends Named>(kind: FileKind<T>, text: string): Generator<number, FileReading<T>> {
  const failed = (problem: FileProblem['problem'], place = ''): FileProblem => ({ ok: false, problem, place, bad: [] });
  if (text.length > LARGEST_FILE) return failed('tooLarge', `${Math.round(text.length / 1e6)} MB`);
  if (text.trim() === '') return failed('empty');
  let raw: unknown;
  try {
    raw = JSON.parse(text.replace(/^\uFEFF/, ''));
  } catch (error) {
    return badJson(text, error instanceof Error ? error.message : '');
  }
  if (typeof raw !== 'object' || raw === null || (raw as { format?: unknown }).format !== kind.format)
    return failed('otherFile');
  const { formatVersion, [kind.list]: records } = raw as Record<string, unknown>;
  if (typeof formatVersion === 'number' && formatVersion > FORMAT_VERSION)
    return failed('newerFile', String(formatVersion));
  if (!Array.isArray(records)) return failed('noRecords');
  return yield* readRecords(kind, records);
}

function* readRecords<T extends Named>(kind: FileKind<T>, raws: readonly unknown[]): Generator<number, FileReading<T>> {
  const records: T[] = [];
  const bad: BadRecord[] = [];
  for (const [i, raw] of raws.entries()) {
    if (i % AT_A_TIME === 0) yield i / raws.length;
    const read = kind.read(raw);
    if (read.ok) records.push(isSeen(read.record.name) ? read.record : { ...read.record, name: kind.nameless });
    else bad.push({ position: i + 1, name: nameOf(raw), problem: read });
  }
  if (records.length === 0) return { ok: false, problem: 'noRecords', place: '', bad };
  return { ok: true, records, bad };
}

function badJson(text: string, message: string): FileProblem {
  const position = Number(/position (\d+)/.exec(message)?.[1] ?? NaN);
  const cut = /end of|unterminated/i.test(message) || position >= text.trimEnd().length - 1;
  const before = text.slice(0, Number.isFinite(position) ? position : text.length).split('\n');
  const place = `line ${before.length}, column ${before[before.length - 1].length + 1}`;
  return { ok: false, problem: cut && /^\s*[[{]/.test(text) ? 'truncated' : 'notJson', place, bad: [] };
}

function nameOf(record: unknown): string {
  const name = typeof record === 'object' && record !== null ? (record as { name?: unknown }).name : undefined;
  return typeof name === 'string' ? name.slice(0, 60) : '';
}
