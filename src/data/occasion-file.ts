import type { Casting } from '../core/record/casting';
import { readOccasion, type Occasion } from '../core/record/occasion';
import { readCastings } from '../core/record/read-casting';
import type { RecordProblem } from '../core/record/record-problem';
import { readRecordFile, writeRecordFile, type FileKind, type FileReading } from './record-file';

/** An occasion as a file carries it: with those of its castings that there are. */
export interface PackedOccasion extends Occasion {
  readonly castings: readonly Casting[];
}

const OCCASIONS: FileKind<PackedOccasion> = {
  format: 'kilnstone occasions',
  list: 'occasions',
  nameless: 'Nameless occasion',
  read: readPacked,
};

/** Occasions with their castings as the text of an export file. */
export function writeOccasionFile(occasions: readonly PackedOccasion[], now: Date): string {
  return writeRecordFile(OCCASIONS, occasions, now);
}

/** Reads, in steps, an export file of occasions. */
export function readOccasionFile(text: string): Generator<number, FileReading<PackedOccasion>> {
  return readRecordFile(OCCASIONS, text);
}

/** An occasion whose castings cannot all be read is bad as a whole: part of it would be planned as if it were all. */
function readPacked(raw: unknown): { readonly ok: true; readonly record: PackedOccasion } | RecordProblem {
  const read = readOccasion(raw);
  if (!read.ok) return read;
  const packed = readCastings((raw as { readonly castings?: unknown }).castings);
  return packed.ok ? { ok: true, record: { ...read.record, castings: packed.castings } } : packed;
}
