import type { LibraryMold } from '../core/record/mold';
import { readMold } from '../core/record/read-mold';
import { readRecordFile, writeRecordFile, type FileKind, type FileReading } from './record-file';

const MOLDS: FileKind<LibraryMold> = {
  format: 'kilnstone molds',
  list: 'molds',
  nameless: 'Nameless mold',
  read: readMold,
};

/** Molds as the text of an export file. */
export function writeMoldFile(molds: readonly LibraryMold[], now: Date): string {
  return writeRecordFile(MOLDS, molds, now);
}

/** Reads, in steps, an export file of molds. */
export function readMoldFile(text: string): Generator<number, FileReading<LibraryMold>> {
  return readRecordFile(MOLDS, text);
}
