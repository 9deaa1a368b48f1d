import { isSeen } from '../../core/record/name';

/** Longest name that is kept, letters. */
export const LONGEST_NAME = 120;

/** A name as it is kept: without blanks around it. Empty where nothing of it can be seen, such as one of a mark without width. */
export function tidyName(typed: string): string {
  const name = typed.trim();
  return isSeen(name) ? name : '';
}

/** What is wrong with a name as typed; empty where it can be kept. */
export function nameProblem(typed: string): string {
  const name = tidyName(typed);
  if (name === '') return 'It needs a name; the last one stays.';
  return name.length > LONGEST_NAME ? `At most ${LONGEST_NAME} letters; the last name stays.` : '';
}
