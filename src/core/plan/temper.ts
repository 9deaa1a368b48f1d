import { MOLD_MATTER } from '../matter/mold-material';
import type { Casting, Part } from '../record/casting';
import { chocolateOf, meltOf, moldOf, type Sources } from '../record/references';
import { isTempered } from '../record/school';
import { schoolOf } from './melts';

/** Whether a melt wants to rest in the room before the cold: tempered chocolate in a rigid mold sets quietly first. Common practice, no source. */
export function wantsRest(casting: Casting, part: Part, meltId: string): boolean {
  const melt = meltOf(casting, meltId);
  return (
    isTempered(chocolateOf(casting, melt).kind, schoolOf(melt)) && MOLD_MATTER[moldOf(casting, part).material].rigid
  );
}

/** Real chocolate that is melted by a school which does not bring it into temper. */
export function isUnseeded(casting: Sources, meltId: string): boolean {
  const melt = meltOf(casting, meltId);
  const { kind } = chocolateOf(casting, melt);
  return kind !== 'compound' && !isTempered(kind, schoolOf(melt));
}
