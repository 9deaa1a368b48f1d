import type { Stretch } from '../../core/batch/stretch';
import type { WorkNames } from '../../core/plan/work-names';
import { PLACE_NAMES } from './names';
import { PREP_WORDS } from './painting';

/** What a stretch of the work is called: in full, and where there is little room. */
export interface StretchName {
  readonly long: string;
  readonly short: string;
}

/** Names a stretch of a casting's work; which part it is of is said where there are several. */
export function stretchName(stretch: Omit<Stretch, 'startSeconds'>, { parts }: WorkNames): StretchName {
  const made = parts[stretch.part ?? 0];
  const part = parts.length > 1 && stretch.part !== undefined ? made?.name : undefined;
  const which = (made?.coats ?? 1) > 1 && stretch.coat !== undefined ? ` ${stretch.coat + 1}` : '';
  const of = (long: string, short = long): StretchName => ({
    long: part ? `${part}: ${long.toLowerCase()}` : long,
    short,
  });
  switch (stretch.kind) {
    case 'melt':
      return of('Melt');
    case 'prep': {
      const paints = made?.preps[stretch.step ?? -1];
      return of(paints ? PREP_WORDS[paints].verb : 'Paint');
    }
    case 'coat':
      return of(`Coat${which}`);
    case 'stick':
      return of('Sticks', 'Stick');
    case 'dip':
      return of('Dip');
    case 'turn':
      return of('Turn');
    case 'chill':
      return of(PLACE_NAMES[stretch.place ?? 'fridge']);
    case 'unmold':
      return of('Unmold');
    case 'rounds':
      return stretch.handsOn ? of('Rounds between', 'Rounds') : of('their waiting', 'waiting');
    case 'cover':
      return of('covered rest', 'rest');
    case 'level':
      return of('Level rims', 'Level');
    case 'fill':
      return of('Fill');
    case 'close':
      return of('Close');
    case 'wash':
      return of('Wash the mold', 'Wash');
    case 'make':
      return of('Make the filling', 'Make');
    case 'pack':
      return of('Pack');
    case 'break':
      return of('Break');
    case 'finish':
      return stretch.handsOn ? of('Finish') : of('dries');
  }
}
