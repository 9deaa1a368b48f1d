import type { Casting } from '../record/casting';
import { draftPlan } from '../plan/draft';

/** What working a melt at another temperature does to the rim, m. */
export interface WorkingEffect {
  readonly rimM: number;
  readonly otherC: number;
  readonly otherRimM: number;
}

/** Compares a part's rim as it comes out with the same coats worked at another temperature: cooler chocolate is thicker. */
export function workingEffect(casting: Casting, meltId: string, otherC: number, partId?: string): WorkingEffect {
  // Coats as they are, so that a wanted thickness is not simply reached again.
  const counted: Casting = {
    ...casting,
    parts: casting.parts.map((part) => ({ ...part, coatsBy: { by: 'count' as const } })),
  };
  const other: Casting = {
    ...counted,
    melts: casting.melts.map((melt) => (melt.id === meltId ? { ...melt, workingC: otherC } : melt)),
  };
  return {
    rimM: draftPlan(counted, [], partId).coat.total.rim.value,
    otherC,
    otherRimM: draftPlan(other, [], partId).coat.total.rim.value,
  };
}
