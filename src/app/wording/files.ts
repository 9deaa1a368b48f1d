import type { BadRecord, FileReading } from '../../data/casting-file';

/** What is wrong with a whole import file, and what to do. */
export function fileProblemText(reading: Extract<FileReading, { ok: false }>, fileName: string): string {
  const file = `“${fileName}”`;
  switch (reading.problem) {
    case 'tooLarge': return `${file} is ${reading.place}, far more than castings take; at most 20 MB is read. Choose a file exported from Kilnstone.`;
    case 'empty': return `${file} is empty. Export it again.`;
    case 'notJson': return `${file} is not a Kilnstone file: it stops making sense at ${reading.place}.`;
    case 'truncated': return `${file} breaks off at ${reading.place}; it was not saved whole. Export it again.`;
    case 'otherFile': return `${file} was not made by Kilnstone. Choose a file exported from it.`;
    case 'newerFile': return `${file} was made by a newer Kilnstone (format ${reading.place}). Update this one, then import again.`;
    case 'noCastings': return `${file} holds no casting that can be read.`;
  }
}

/** One bad record of a file, by its place. */
export function badRecordText({ position, name, problem }: BadRecord): string {
  const which = `Casting ${position}${name ? ` (“${name}”)` : ''}`;
  switch (problem.problem) {
    case 'notACasting': return `${which} is not a casting.`;
    case 'newerVersion': return `${which} was made by a newer Kilnstone (version ${problem.detail}).`;
    case 'badValue': return `${which}: the value at ${problem.path || 'its top'} cannot be used.`;
    case 'brokenReference': return `${which}: ${problem.path} points at something that is not there.`;
  }
}
