import { MOLD_MATTER } from '../matter/mold-material';
import type { Casting, Part } from '../record/casting';
import { chocolateOf, meltOf, moldOf } from '../record/references';

/** Whether a melt wants to rest in the room before the cold: tempered chocolate in a rigid mold sets quietly first. Common practice, no source. */
export function wantsRest(casting: Casting, part: Part, meltId: string): boolean {
  const melt = meltOf(casting, meltId);
  const tempered = chocolateOf(casting, melt).kind !== 'compound' && melt.school !== 'meltOnly';
  return tempered && MOLD_MATTER[moldOf(casting, part).material].rigid;
}
