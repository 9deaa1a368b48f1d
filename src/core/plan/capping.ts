import { chillCapped } from '../chill/chill';
import type { CapAnswers, CappedWith } from '../chill/chill-answers';
import type { ChillCap } from '../chill/chill-input';
import { FILLING_SPECIFIC_HEAT } from '../matter/filling';
import { CLOSING_ROWS, isCap } from '../record/closing';
import { chocolateOf, meltOf } from '../record/references';
import { ownSecondsOf, placeOf, restsOf } from '../record/sets';
import { closedIn } from './closed-part';
import { isUnseeded } from './temper';
import type { CastingPlan, PartDraft, PlanDraft } from './plan-types';

/** Whether a part is filled and capped in its mold. */
export function isCapped({ casting, closure }: Pick<PlanDraft, 'casting' | 'closure'>, partId: string): boolean {
  return isCap(closure) && closedIn(casting).some((one) => one.partId === partId);
}

/** What a part is capped with and how that chills; undefined where it is not capped. */
export function cappedWith(draft: PlanDraft, part: PartDraft): CappedWith | undefined {
  const cap = isCapped(draft, part.part.id) ? capOf(draft, part) : undefined;
  return cap && { cap, chill: chillCapped(part.chillInput, cap) };
}

/** How the cap of a plan's pieces sets, or the first of several; undefined where they have none. */
export function cappedChill(plan: Pick<CastingPlan, 'parts'> | undefined): CapAnswers | undefined {
  return plan?.parts.find(({ chill }) => chill.cap)?.chill.cap;
}

function capOf({ casting, closings }: PlanDraft, { part, fill, cavity, cavities }: PartDraft): ChillCap | undefined {
  const close = closings.find(({ partId }) => partId === part.id)?.close;
  if (!close?.cap) return undefined;
  const { closure, cap } = close;
  const melt = meltOf(casting, closure.meltId);
  const { kind, fatShare } = chocolateOf(casting, melt);
  const own = ownSecondsOf(closure);
  const sum = (of: 'mass' | 'volume'): number => fill.layers.reduce((all, layer) => all + layer[of].value, 0);
  const { radiusM } = fill.inside;
  const faceM2 = Math.PI * radiusM[radiusM.length - 1] ** 2;
  const facesM2 = faceM2 + cavity.wallAreaM2;
  return {
    kind,
    fatShare,
    ...(isUnseeded(casting, closure.meltId) ? { unseeded: true } : {}),
    workingC: melt.workingC,
    thicknessM: cap.meanM,
    faceShare: Math.min(1, faceM2 / cavity.wallAreaM2),
    // The middle cavity waits half the time that capping all takes.
    handlingSeconds: (CLOSING_ROWS[closure.kind].handsOnS * cavities) / 2,
    rests: restsOf(closure),
    place: placeOf(closure),
    ...(own === undefined ? {} : { overruledSeconds: own }),
    filling: {
      thicknessM: (2 * sum('volume')) / facesM2,
      volumetricHeat: (FILLING_SPECIFIC_HEAT * sum('mass')) / Math.max(1e-12, sum('volume')),
    },
  };
}
