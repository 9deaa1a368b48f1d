import type { Cavity } from '../cavity/cavity';
import type { ChillInput } from '../chill/chill-input';
import type { CoatResult } from '../coat/coat-answers';
import { fillStation, type FillResult } from '../fill/fill';
import { moldStation, type MoldResult } from '../mold/mold';
import type { Casting, Coat, Part } from '../record/casting';
import type { Chocolate } from '../record/chocolate';
import type { Mold } from '../record/mold';
import { cavityCount } from '../record/mold-cavities';
import { cavityRecordOf, chocolateOf, fillingOf, meltOf, moldOf } from '../record/references';
import type { Simulated } from '../shell/simulated';
import { make, makingOf } from './making';
import { coatModels } from './methods';

/** Everything that follows from a casting without the chill. */
export interface PlanDraft {
  readonly casting: Casting;
  readonly part: Part;
  readonly moldRecord: Mold;
  readonly cavities: number;
  readonly cavity: Cavity;
  /** Coats as made: the chosen ones, or those that reach the wanted thickness. */
  readonly coatsMade: readonly Coat[];
  readonly chocolates: readonly Chocolate[];
  /** What the pieces are closed with; nothing where they are clamped together. */
  readonly closure: Casting['closure'];
  readonly mold: MoldResult;
  readonly coat: CoatResult;
  readonly fill: FillResult;
  readonly chillInput: ChillInput;
}

/**
 * The part of a plan that does not wait for the chill: mold, coat and fill, and what the chill is to be computed from.
 * By the closed forms, corrected by a simulation where there is one of coats made alike. Takes about a millisecond.
 * The casting must be a read (valid) record.
 */
export function draftPlan(casting: Casting, simulated?: Simulated): PlanDraft {
  const part = casting.parts[0];
  const moldRecord = moldOf(casting, part);
  const cavityRecord = cavityRecordOf(moldRecord, part);
  const { cavity, coat, chillInput } = make(makingOf(casting), simulated);
  const models = coatModels(casting);
  const coatsMade = coat.coats.map((made, i): Coat => {
    const model = models[i] ?? { ...models[models.length - 1], id: made.choice.id };
    const { doseM3, dwellSeconds, drainSeconds, tappingSeconds } = made.choice;
    return { ...model, doseM3, dwellSeconds, drainSeconds, tappingSeconds };
  });
  const chocolates = coatsMade.map((made) => chocolateOf(casting, meltOf(casting, made.shares[0].meltId)));
  const mold = moldStation({ cavity, shape: cavityRecord.shape, cavities: cavityCount(cavityRecord), atHand: moldRecord.atHand, chocolateKind: chocolates[0].kind });
  const fill = fillStation({
    profile: cavity.profile,
    shellM: lining(cavity, coat),
    layers: casting.fill.filter((layer) => layer.partId === part.id).map((layer) => ({ id: layer.id, filling: fillingOf(casting, layer.fillingId), amount: layer.amount })),
    shellKg: coat.mass.value * part.perPiece,
    shellAllergens: [...new Set(chocolates.flatMap((chocolate) => chocolate.allergens))],
  });
  return { casting, part, moldRecord, cavities: cavityCount(cavityRecord), cavity, coatsMade, chocolates, closure: coatsMade[coatsMade.length - 1].method === 'clamp' ? null : casting.closure, mold, coat, fill, chillInput };
}

/** What of the cavity is taken up along its wall, m: a fill from below leaves no room, and what goes inside a coated former has the former's own. */
function lining(cavity: Cavity, coat: CoatResult): Float64Array {
  if (coat.body) return new Float64Array(coat.totalM.length).fill(cavity.depthM);
  return cavity.outward ? new Float64Array(coat.totalM.length) : coat.totalM;
}
