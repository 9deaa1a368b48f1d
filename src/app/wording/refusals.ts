import { MOST } from '../../core/record/limits';
import type { RecordProblem } from '../../core/record/record-problem';

/** What the lists of a casting hold, where one is full. */
const ENTRIES: Readonly<Record<keyof typeof MOST, string>> = {
  molds: 'molds',
  chocolates: 'chocolates',
  tints: 'tints',
  fillings: 'fillings',
  melts: 'melts',
  parts: 'kinds of part',
  coats: 'coats',
  prep: 'steps of painting a mold',
  fill: 'layers of filling',
  finishes: 'finishes',
  variants: 'variants',
  bowls: 'bowls',
};

/** Why a change of a casting was not made, and what to do. */
export function refusalText({ problem, path, detail }: RecordProblem): string {
  const full = (Object.keys(MOST) as (keyof typeof MOST)[]).find((list) => path.split('.').at(-1) === list);
  if (problem === 'badValue' && detail === 'too_big' && full)
    return `There is room for ${MOST[full]} ${ENTRIES[full]} and no more. Take one out first; nothing was changed.`;
  if (problem === 'badValue' && path.endsWith('coats'))
    return 'Coats like these do not go together: what is clamped comes last, on a fill from below. Nothing was changed.';
  if (problem === 'circularReference')
    return `Fillings would contain each other in a circle (${detail}). Nothing was changed.`;
  if (problem === 'brokenReference')
    return 'That would leave the casting without something it is made of. Nothing was changed.';
  return `That would make a casting that could not be opened again (${path || 'as a whole'}). Nothing was changed.`;
}
