import { isTurned } from '../record/method';
import type { AfterCasting, BatchCoat, BatchInput, BatchPart, BatchResult } from '../batch/batch';
import type { FurtherTask } from '../batch/timeline';
import type { CloseResult } from '../close/close';
import type { CoatAnswer } from '../coat/coat-answers';
import type { Cavity } from '../cavity/cavity';
import { lightness } from '../matter/colour';
import { WAYS_OUT, wayOut } from '../mold/way-out';
import { MOLD_MATTER, type MoldMaterial } from '../matter/mold-material';
import { HANDS_ON } from '../matter/working-rules';
import { pouredShare } from '../shell/coat-choice';
import type { Coat } from '../record/casting';
import { isCap } from '../record/closing';
import { placeOf, waysIn } from '../record/sets';
import { isCapped } from './capping';
import { stuckOf } from './melts';
import { toppedFace, toppedPerPiece } from './open-face';
import { paintingTasks } from './painting';
import { filledPerPiece } from './piece';
import type { PartDraft, PartPlan, PlanDraft } from './plan-types';

/** What the batch is computed from: every part in the order of the work, and what is done to the pieces afterwards. */
export function batchInput(draft: PlanDraft, parts: readonly PartPlan[]): BatchInput {
  const { casting, closings } = draft;
  const closing = closings.flatMap(({ partId, count, close: { closure, mass } }): AfterCasting[] => {
    if (mass.value === 0) return [];
    const taken = { meltId: closure.meltId, use: 'closing' as const };
    // A cap is cast on every one that is cast, and does not know how many of them are in a piece.
    return isCapped(draft, partId)
      ? [{ ...taken, eachKg: mass.value, partId }]
      : [{ ...taken, eachKg: count * mass.value }];
  });
  const painting = parts.flatMap(({ part, preps }) =>
    preps.flatMap(({ step, takes }): AfterCasting[] =>
      'meltId' in step ? [{ meltId: step.meltId, use: 'painting', eachKg: takes.value, partId: part.id }] : [],
    ),
  );
  const finishing = draft.finishes.flatMap(({ finish, chocolate }): AfterCasting[] =>
    chocolate && 'meltId' in finish ? [{ meltId: finish.meltId, use: 'finishing', eachKg: chocolate.value }] : [],
  );
  return {
    pieces: casting.pieces,
    spareRule: casting.spareRule,
    breakages: casting.breakages,
    parts: workOrder(parts).map((part) =>
      isCapped(draft, part.part.id)
        ? batchPart(part, [], inMold(draft, part))
        : batchPart(part, [...stickTasks(part), ...toppingTasks(draft, part.part.id)], []),
    ),
    onPieces: [...painting, ...parts.flatMap((part) => dippingOf(draft, part)), ...closing, ...finishing],
    after: afterCasting(draft, parts),
    stuckKg: (meltId, kg) => stuckOf(casting, meltId, kg),
  };
}

/** What a part's filling is dipped in. */
function dippingOf(draft: PlanDraft, made: PartPlan): AfterCasting[] {
  return made.dips.map(({ layerId, meltId, dip }): AfterCasting => {
    const layer = made.fill.layers.find(({ choice }) => choice.id === layerId);
    const kg = (layer?.mass.value ?? 0) * dip.chocolateShare;
    const taken = { meltId, use: 'dipping' as const };
    return isCapped(draft, made.part.id)
      ? { ...taken, eachKg: kg, partId: made.part.id }
      : { ...taken, eachKg: kg * filledPerPiece(made) };
  });
}

/** Light colours before dark ones, so that none travels into a lighter; of those alike the one listed first. */
export function workOrder<T extends Pick<PartDraft, 'chocolates'>>(parts: readonly T[]): readonly T[] {
  return [...parts].sort((a, b) => lightness(b.chocolates[0].colour) - lightness(a.chocolates[0].colour));
}

/** How many times a layer of a part is filled in for so many pieces: once a piece, or in every one that is cast where it is capped in its mold. */
export function layerCount(
  plan: Pick<PlanDraft, 'casting' | 'closure'>,
  part: PartDraft,
  pieces: number,
  cast: (partId: string) => number,
): number {
  return isCapped(plan, part.part.id) ? cast(part.part.id) : pieces * filledPerPiece(part);
}

/** The same for a plan's own pieces. */
export function layersOf(
  plan: Pick<PlanDraft, 'casting' | 'closure'> & { readonly batch: Pick<BatchResult, 'byPart'> },
  part: PartDraft,
): number {
  return layerCount(plan, part, plan.casting.pieces, castOf(plan.batch));
}

/** How many of each part a batch casts. */
export function castOf({ byPart }: Pick<BatchResult, 'byPart'>): (partId: string) => number {
  return (partId) => byPart.find((count) => count.partId === partId)?.parts.value ?? 0;
}

function batchPart(made: PartPlan, onWet: readonly FurtherTask[], tasks: readonly FurtherTask[]): BatchPart {
  const { part, cavity, preps, coat, coatsMade, mold, moldRecord, cavities, chill } = made;
  const { value, low = value, high = value } = coat.breakChance;
  return {
    partId: part.id,
    perPiece: part.perPiece,
    moldId: moldRecord.id,
    cavityId: part.cavityId,
    perMold: cavities,
    moldsAtHand: moldRecord.atHand,
    breakChance: { value, low, high },
    // Poured over a former, about as much runs off as stays. Common practice, no source.
    before: paintingTasks(preps),
    solidKg: cavity.outward ? 4 * coat.mass.value : mold.solid.value + (coat.narrow?.value ?? 0),
    coats: coat.coats.map((one, i) =>
      batchCoat(coatsMade[i], one, chill.coats[i].stay.value, cavity, moldRecord.material),
    ),
    onWet,
    inMold: tasks,
    out: WAYS_OUT[wayOut(made)],
  };
}

function batchCoat(
  coat: Coat,
  made: CoatAnswer,
  chillSeconds: number,
  cavity: Cavity,
  material: MoldMaterial,
): BatchCoat {
  const { id: coatId, method, drainSeconds, dwellSeconds, standsIn } = coat;
  const all = coat.shares.reduce((sum, { share }) => sum + share, 0);
  // Turned until it runs no more; before the simulation has told when, for as long as it sets.
  const turnedSeconds = isTurned(method) ? (made.rest?.value ?? Infinity) : 0;
  return {
    coatId,
    method,
    perPartKg: made.mass.value,
    dripsKg: made.feet?.value ?? 0,
    pourShare: pouredShare(made.choice, cavity),
    asTray: MOLD_MATTER[material].rigid,
    drainSeconds,
    dwellSeconds,
    standsIn,
    rests: waysIn(coat),
    place: placeOf(coat),
    then: coat.then,
    chillSeconds,
    turnedSeconds,
    shares: coat.shares.map(({ meltId, share }) => ({ meltId, share: share / all })),
  };
}

const fillTask: FurtherTask = { kind: 'fill', handsOn: true, seconds: HANDS_ON.fillPerPiece };

/** A stick goes in once it is filled, and is turned until it is coated. Common practice, no source. */
function stickTasks({ part, coat }: PartPlan): FurtherTask[] {
  return part.stick && coat.body ? [{ kind: 'stick', handsOn: true, seconds: HANDS_ON.stick }] : [];
}

/** Dipping what goes into so many of a part in a piece, then the wait until it has set. */
function dipTasks({ dips, fill }: PartPlan, filled: number): FurtherTask[] {
  const count = (id: string): number => fill.layers.find(({ choice }) => choice.id === id)?.count?.value ?? 0;
  return dips.flatMap(({ layerId, meltId, dip }): FurtherTask[] => [
    { kind: 'dip', handsOn: true, seconds: filled * count(layerId) * dip.hands.value, meltIds: [meltId] },
    { kind: 'chill', handsOn: false, seconds: dip.sets.value, place: 'room' },
  ]);
}

/** What goes on the open face of each of a part while it is wet. */
function toppingTasks(draft: PlanDraft, partId: string): FurtherTask[] {
  const face = toppedFace(draft);
  if (!face?.parts.some(({ part }) => part.id === partId)) return [];
  const each = toppedPerPiece(face);
  return draft.finishes.flatMap(({ wet, hands }): FurtherTask[] =>
    wet ? [{ kind: 'finish', handsOn: true, seconds: hands.value / each }] : [],
  );
}

/**
 * Closing by hand, then where it sets.
 * @param onWet what is done to it before that
 * @param staySeconds in the last place, where that is computed
 */
function closeTasks(
  { closure, mass }: CloseResult,
  handsS: number,
  staySeconds: number,
  onWet: readonly FurtherTask[] = [],
): FurtherTask[] {
  return [
    { kind: 'close', handsOn: true, seconds: handsS, ...(mass.value > 0 ? { meltIds: [closure.meltId] } : {}) },
    ...onWet,
    ...closure.sets.map(({ place, seconds }): FurtherTask => ({
      kind: 'chill',
      handsOn: false,
      seconds: seconds ?? staySeconds,
      place,
    })),
  ];
}

/** Filled and capped before it leaves the mold. */
function inMold(draft: PlanDraft, made: PartPlan): FurtherTask[] {
  const { part, fill, chill } = made;
  const close = draft.closings.find(({ partId }) => partId === part.id)?.close;
  return [
    ...dipTasks(made, 1),
    ...(fill.layers.length > 0 ? [fillTask] : []),
    ...(close ? closeTasks(close, close.hands.value, chill.cap?.stay.value ?? 0, toppingTasks(draft, part.id)) : []),
  ];
}

/** All bodies of a piece are closed one after another, and set together. */
function joined({ closings }: PlanDraft): FurtherTask[] {
  if (closings.length === 0) return [];
  const stays = closings.map(({ close }) => close.stay?.value ?? 0);
  return closeTasks(
    closings[0].close,
    sumOf(closings, ({ hands }) => hands.value),
    Math.max(...stays),
  );
}

function sumOf(closings: PlanDraft['closings'], of: (close: CloseResult) => number): number {
  return closings.reduce((sum, { count, close }) => sum + count * of(close), 0);
}

function afterCasting(draft: PlanDraft, parts: readonly PartPlan[]): FurtherTask[] {
  const cover = Math.max(
    0,
    ...parts.map(({ part, chill }) =>
      part.coveredRest && Number.isFinite(chill.cover.value) ? Math.ceil(chill.cover.value / 60) * 60 : 0,
    ),
  );
  const levelling = sumOf(draft.closings, (close) => close.levelling?.value ?? 0);
  const capped = isCap(draft.closure);
  const filled = parts.some(({ part, fill }) => fill.layers.length > 0 && !isCapped(draft, part.id));
  return [
    ...(cover > 0 ? [{ kind: 'cover' as const, handsOn: false, seconds: cover }] : []),
    ...(levelling > 0 ? [{ kind: 'level' as const, handsOn: true, seconds: levelling }] : []),
    ...parts.flatMap((one) => (isCapped(draft, one.part.id) ? [] : dipTasks(one, filledPerPiece(one)))),
    ...(filled ? [fillTask] : []),
    ...(capped ? [] : joined(draft)),
    ...draft.finishes.flatMap(({ finish, wet, chocolate, hands, dries }): FurtherTask[] => [
      ...(wet
        ? []
        : [
            {
              kind: 'finish' as const,
              handsOn: true,
              seconds: hands.value,
              ...(chocolate && 'meltId' in finish ? { meltIds: [finish.meltId] } : {}),
            },
          ]),
      ...(dries.value > 0 ? [{ kind: 'finish' as const, handsOn: false, seconds: dries.value }] : []),
    ]),
  ];
}
