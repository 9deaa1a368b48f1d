import type { PantryEntry } from '../core/record/chocolate';
import { readPantryEntry } from '../core/record/read-pantry';
import { readRecordFile, writeRecordFile, type FileKind, type FileReading } from './record-file';

const PANTRY: FileKind<PantryEntry> = {
  format: 'kilnstone pantry',
  list: 'pantry',
  nameless: 'Nameless',
  read: readPantryEntry,
};

/** Chocolates and tints as the text of an export file. */
export function writePantryFile(entries: readonly PantryEntry[], now: Date): string {
  return writeRecordFile(PANTRY, entries, now);
}

/** Reads, in steps, an export file of the pantry. */
export function readPantryFile(text: string): Generator<number, FileReading<PantryEntry>> {
  return readRecordFile(PANTRY, text);
}
