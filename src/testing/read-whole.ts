import type { FileReading } from '../data/record-file';

/** Reads a file to its end at once. */
export function readWhole<T>(reading: Generator<number, FileReading<T>>): FileReading<T> {
  for (;;) {
    const { done, value } = reading.next();
    if (done) return value;
  }
}
