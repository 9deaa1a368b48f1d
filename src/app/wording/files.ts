import type { BadRecord, FileProblem } from '../../data/record-file';
import { capital } from './format';

/** What a file holds, for its messages. */
export type FileNoun = 'casting' | 'mold' | 'pantry record' | 'occasion' | 'run';

/** What is wrong with a whole import file, and what to do. */
export function fileProblemText(reading: FileProblem, fileName: string, noun: FileNoun): string {
  const file = `“${fileName}”`;
  switch (reading.problem) {
    case 'tooLarge':
      return `${file} is ${reading.place}, far more than ${noun}s take; at most 20 MB is read. Choose a file exported from Kilnstone.`;
    case 'empty':
      return `${file} is empty. Export it again.`;
    case 'notJson':
      return `${file} is not a Kilnstone file: it stops making sense at ${reading.place}.`;
    case 'truncated':
      return `${file} breaks off at ${reading.place}; it was not saved whole. Export it again.`;
    case 'otherFile':
      return `${file} was not made by Kilnstone, or holds something other than ${noun}s. Choose a file of ${noun}s exported from it.`;
    case 'newerFile':
      return `${file} was made by a newer Kilnstone (format ${reading.place}). Update this one, then import again.`;
    case 'noRecords':
      return `${file} holds no ${noun} that can be read.`;
  }
}

/** One bad record of a file, by its place. */
export function badRecordText({ position, name, problem }: BadRecord, noun: FileNoun): string {
  const which = `${capital(noun)} ${position}${name ? ` (“${name}”)` : ''}`;
  switch (problem.problem) {
    case 'notARecord':
      return `${which} is not a ${noun}.`;
    case 'newerVersion':
      return `${which} was made by a newer Kilnstone (version ${problem.detail}).`;
    case 'badValue':
      return `${which}: the value at ${problem.path || 'its top'} cannot be used.`;
    case 'circularReference':
      return `${which}: fillings contain each other in a circle (${problem.detail}). Take one of them out of the other, then import again.`;
    case 'brokenReference':
      return `${which}: ${problem.path} points at something that is not there.`;
  }
}
