import type { Casting } from '../core/record/casting';
import { readCasting } from '../core/record/read-casting';
import { readRecordFile, writeRecordFile, type FileKind, type FileReading } from './record-file';

const CASTINGS: FileKind<Casting> = {
  format: 'kilnstone castings',
  list: 'castings',
  nameless: 'Nameless casting',
  read: (raw) => {
    const read = readCasting(raw);
    return read.ok ? { ok: true, record: read.casting } : read;
  },
};

/** Castings as the text of an export file. */
export function writeCastingFile(castings: readonly Casting[], now: Date): string {
  return writeRecordFile(CASTINGS, castings, now);
}

/** Reads, in steps, an export file of castings. */
export function readCastingFile(text: string): Generator<number, FileReading<Casting>> {
  return readRecordFile(CASTINGS, text);
}
