import type { Casting } from '../core/record/casting';
import { readCasting, type RecordProblem } from '../core/record/read-casting';

const FORMAT = 'kilnstone castings';
const FORMAT_VERSION = 1;

/** Largest file that is read, bytes: a casting takes about 3 kB. */
export const LARGEST_FILE = 20_000_000;

/** What an import file holds, or why nothing of it can be used. */
export type FileReading =
  | { readonly ok: true; readonly castings: readonly Casting[]; readonly bad: readonly BadRecord[] }
  | { readonly ok: false; readonly problem: 'tooLarge' | 'empty' | 'notJson' | 'truncated' | 'otherFile' | 'newerFile' | 'noCastings'; readonly place: string; readonly bad: readonly BadRecord[] };

/** A record of the file that could not be read, by its place in the list from 1, and its name where it has one. */
export interface BadRecord {
  readonly position: number;
  readonly name: string;
  readonly problem: RecordProblem;
}

/** Castings as the text of an export file, readable and versioned. */
export function writeCastingFile(castings: readonly Casting[], now: Date): string {
  return JSON.stringify({ format: FORMAT, formatVersion: FORMAT_VERSION, exportedAt: now.toISOString(), castings }, null, 1);
}

/**
 * Reads an export file. Never throws and touches nothing: good records are given back for the user to take,
 * bad ones named by their place.
 */
export function readCastingFile(text: string): FileReading {
  const failed = (problem: Exclude<FileReading, { ok: true }>['problem'], place = ''): FileReading => ({ ok: false, problem, place, bad: [] });
  if (text.length > LARGEST_FILE) return failed('tooLarge', `${Math.round(text.length / 1e6)} MB`);
  if (text.trim() === '') return failed('empty');
  let raw: unknown;
  try {
    raw = JSON.parse(text.replace(/^\uFEFF/, ''));
  } catch (error) {
    return badJson(text, error instanceof Error ? error.message : '');
  }
  if (typeof raw !== 'object' || raw === null || (raw as { format?: unknown }).format !== FORMAT) return failed('otherFile');
  const { formatVersion, castings } = raw as { formatVersion?: unknown; castings?: unknown };
  if (typeof formatVersion === 'number' && formatVersion > FORMAT_VERSION) return failed('newerFile', String(formatVersion));
  if (!Array.isArray(castings)) return failed('noCastings');
  return readRecords(castings);
}

function readRecords(records: readonly unknown[]): FileReading {
  const castings: Casting[] = [];
  const bad: BadRecord[] = [];
  for (const [i, record] of records.entries()) {
    const read = readCasting(record);
    if (read.ok) castings.push(read.casting);
    else bad.push({ position: i + 1, name: nameOf(record), problem: read });
  }
  if (castings.length === 0) return { ok: false, problem: 'noCastings', place: '', bad };
  return { ok: true, castings, bad };
}

function badJson(text: string, message: string): FileReading {
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
