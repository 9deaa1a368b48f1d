import { coatOneMoldSeconds } from '../batch/timeline';
import { cavityOf, type Cavity } from '../cavity/cavity';
import type { ChillInput } from '../chill/chill-input';
import { coatStation, type CoatResult } from '../coat/coat';
import type { CoatChoice } from '../shell/coat-choice';
import { fillStation, type FillResult } from '../fill/fill';
import { moldStation, type MoldResult } from '../mold/mold';
import type { Casting, Coat, Part } from '../record/casting';
import type { Chocolate } from '../record/chocolate';
import type { Mold } from '../record/mold';
import { cavityCount } from '../record/mold-cavities';
import { cavityRecordOf, chocolateOf, fillingOf, meltOf, moldOf } from '../record/references';

/** Everything that follows from a casting without the chill: the closed forms. */
export interface PlanDraft {
  readonly casting: Casting;
  readonly part: Part;
  readonly moldRecord: Mold;
  readonly cavities: number;
  readonly cavity: Cavity;
  /** Coats as made: the chosen ones, or those that reach the wanted thickness. */
  readonly coatsMade: readonly Coat[];
  readonly chocolates: readonly Chocolate[];
  readonly mold: MoldResult;
  readonly coat: CoatResult;
  readonly fill: FillResult;
  readonly chillInput: ChillInput;
}

/**
 * The closed-form part of a plan: mold, coat and fill, and what the chill is to be computed from.
 * Takes about a millisecond. The casting must be a read (valid) record.
 */
export function draftPlan(casting: Casting): PlanDraft {
  const part = casting.parts[0];
  const moldRecord = moldOf(casting, part);
  const cavityRecord = cavityRecordOf(moldRecord, part);
  const { composition } = moldRecord;
  const press = composition.kind === 'press' ? composition.gap : undefined;
  const cavity = cavityOf(cavityRecord.shape, composition.kind === 'former');
  // Pressed, there is one coat, spooned in.
  const models = press ? part.coats.slice(0, 1).map((coat): Coat => ({ ...coat, method: 'spoon', where: 'all' })) : part.coats;
  const choices = models.map((coat) => coatChoice(casting, coat));
  const coat = coatStation({
    cavity,
    material: moldRecord.material,
    moldWallM: moldRecord.wallM,
    roomC: casting.kitchen.roomC,
    coats: choices,
    press,
    wantedRimM: part.coatsBy.by === 'thickness' ? part.coatsBy.rimM : undefined,
  });
  const coatsMade = coat.coats.map((made, i): Coat => {
    const model = models[i] ?? { ...models[models.length - 1], id: made.choice.id };
    const { doseM3, dwellSeconds, drainSeconds, tappingSeconds } = made.choice;
    return { ...model, doseM3, dwellSeconds, drainSeconds, tappingSeconds };
  });
  const chocolates = coatsMade.map((made) => chocolateOf(casting, meltOf(casting, made.shares[0].meltId)));
  const mold = moldStation({ cavity, shape: cavityRecord.shape, cavities: cavityCount(cavityRecord), atHand: moldRecord.atHand, chocolateKind: chocolates[0].kind });
  const fill = fillStation({
    // What goes inside a coated former has the former's own room.
    profile: cavity.profile,
    shellM: cavity.outward ? new Float64Array(coat.totalM.length) : coat.totalM,
    layers: casting.fill.filter((layer) => layer.partId === part.id).map((layer) => ({ id: layer.id, filling: fillingOf(casting, layer.fillingId), amount: layer.amount })),
    shellKg: coat.mass.value * part.perPiece,
    shellAllergens: [...new Set(chocolates.flatMap((chocolate) => chocolate.allergens))],
  });
  const chillInput = chillFrom(casting, moldRecord, cavity, coat, coatsMade, cavityCount(cavityRecord));
  return { casting, part, moldRecord, cavities: cavityCount(cavityRecord), cavity, coatsMade, chocolates, mold, coat, fill, chillInput };
}

function coatChoice(casting: Casting, coat: Coat): CoatChoice {
  const melt = meltOf(casting, coat.shares[0].meltId);
  const { kind, fluidity, fatShare } = chocolateOf(casting, melt);
  const { id, method, doseM3, dwellSeconds, drainSeconds, tappingSeconds, wayUp, where } = coat;
  return { id, method, chocolate: { kind, fluidity, fatShare }, workingC: melt.workingC, doseM3, dwellSeconds, drainSeconds, tappingSeconds, wayUp, where };
}

function chillFrom(casting: Casting, mold: Mold, cavity: Cavity, coat: CoatResult, made: readonly Coat[], cavities: number): ChillInput {
  const { roomC, fridgeC, freezerC, fridgeFan, freezerFan } = casting.kitchen;
  return {
    material: mold.material,
    wallM: mold.wallM,
    meanCurvature: cavity.meanCurvature,
    gaussCurvature: cavity.gaussCurvature,
    ...(mold.composition.kind === 'press' ? { insertM: mold.wallM } : {}),
    kitchen: { roomC, fridgeC, freezerC, fridgeFan, freezerFan },
    coats: coat.coats.map((answer, i) => {
      const set = made[i].sets[0];
      return {
        kind: answer.choice.chocolate.kind,
        fatShare: answer.choice.chocolate.fatShare,
        workingC: answer.choice.workingC,
        thicknessM: answer.meanM,
        wallC: answer.wallC,
        wayUp: answer.choice.wayUp,
        // The middle cavity of a mold waits half the time that coating it takes.
        handlingSeconds: coatOneMoldSeconds(made[i], cavities) / 2,
        place: set.place,
        ...(set.seconds === undefined ? {} : { overruledSeconds: set.seconds }),
      };
    }),
  };
}
