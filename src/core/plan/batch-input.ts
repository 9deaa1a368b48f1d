import { isTurned } from '../record/method';
import { neededOf, type BatchResult } from '../batch/batch';
import type { AfterCasting, BatchInput, BatchPart, PartCast } from '../batch/batch-types';
import type { FurtherTask, TimelineCoat } from '../batch/timeline';
import type { CloseResult } from '../close/close';
import { lightness } from '../matter/colour';
import { WAYS_OUT, wayOut } from '../mold/way-out';
import { MOLD_MATTER } from '../matter/mold-material';
import { HANDS_ON } from '../matter/working-rules';
import type { Casting, Prep } from '../record/casting';
import { isCap } from '../record/closing';
import { placeOf, waysIn } from '../record/sets';
import { isCapped } from './capping';
import { stuckOf } from './melts';
import { toppedFace, toppedPerPiece } from './open-face';
import { pouredKg } from './pouring';
import { paintingTasks } from './painting';
import { filledPerPiece } from './piece';
import type { ChilledDraft, PartDraft, PartPlan, PlanDraft } from './plan-types';
import { castsOf, sortsOf, type Cast, type Sort } from './sorts';

/** What the batch of so many pieces is computed from: every part in the order of the work, and what is done to the pieces afterwards. */
export function batchInput(plan: ChilledDraft, pieces = plan.casting.pieces): BatchInput {
  const { casting } = plan;
  const sorts = sortsOf(plan, pieces);
  const parts = workOrder(plan.parts).map(({ part: { id } }) => ({ id, casts: castsOf(plan, id, pieces) }));
  return {
    pieces,
    spareRule: casting.spareRule,
    breakages: casting.breakages,
    pace: casting.kitchen.learned?.hands,
    parts: parts.map(({ casts }) => batchPart(plan, casts)),
    onPieces: [
      ...parts.flatMap(({ id, casts }) =>
        casts.flatMap(({ draft, made }, cast) => onCasts(draft, made, { partId: id, cast })),
      ),
      ...sorts.flatMap(onPieces),
    ],
    after: merged(sorts.map(({ pieces: count, draft }) => ({ count, tasks: afterCasting(draft, casting.finishes) }))),
    stuckKg: (meltId, kg) => stuckOf(casting, meltId, kg),
  };
}

/** What goes on each of a part that is cast: paint, and what is dipped and capped in the mold. A cap does not know how many of them are in a piece. */
function onCasts(draft: ChilledDraft, made: PartPlan, on: AfterCasting['on']): AfterCasting[] {
  const { part, preps } = made;
  const painting = preps.flatMap(({ step, takes }): AfterCasting[] =>
    'meltId' in step ? [{ meltId: step.meltId, use: 'painting', eachKg: takes.value, on }] : [],
  );
  if (!isCapped(draft, part.id)) return painting;
  const caps = draft.closings.flatMap(({ partId, close: { closure, mass } }): AfterCasting[] =>
    partId === part.id && mass.value > 0 ? [{ meltId: closure.meltId, use: 'closing', eachKg: mass.value, on }] : [],
  );
  return [...painting, ...dippingOf(made, 1, on), ...caps];
}

/** What goes on each piece. */
function onPieces({ pieces, draft }: Sort<ChilledDraft>): AfterCasting[] {
  const on = { pieces };
  const uncapped = draft.parts.filter(({ part }) => !isCapped(draft, part.id));
  const closing = draft.closings.flatMap(({ partId, count, close: { closure, mass } }): AfterCasting[] =>
    mass.value === 0 || isCapped(draft, partId)
      ? []
      : [{ meltId: closure.meltId, use: 'closing', eachKg: count * mass.value, on }],
  );
  const finishing = draft.finishes.flatMap(({ finish, chocolate }): AfterCasting[] =>
    chocolate && 'meltId' in finish ? [{ meltId: finish.meltId, use: 'finishing', eachKg: chocolate.value, on }] : [],
  );
  return [...uncapped.flatMap((made) => dippingOf(made, filledPerPiece(made), on)), ...closing, ...finishing];
}

/** What the fillings of so many of a part are dipped in. */
function dippingOf({ dips, fill }: PartPlan, filled: number, on: AfterCasting['on']): AfterCasting[] {
  return dips.map(({ layerId, meltId, dip }): AfterCasting => {
    const layer = fill.layers.find(({ choice }) => choice.id === layerId);
    return { meltId, use: 'dipping', eachKg: (layer?.mass.value ?? 0) * dip.chocolateShare * filled, on };
  });
}

/** Light colours before dark ones, so that none travels into a lighter; of those alike the one listed first. */
export function workOrder<T extends Pick<PartDraft, 'chocolates'>>(parts: readonly T[]): readonly T[] {
  return [...parts].sort((a, b) => lightness(b.chocolates[0].colour) - lightness(a.chocolates[0].colour));
}

/** How many of each part a batch casts. */
export function castOf({ byPart }: Pick<BatchResult, 'byPart'>): (partId: string) => number {
  return (partId) => byPart.find((count) => count.partId === partId)?.parts.value ?? 0;
}

/** The same by those that are cast alike. */
export function castsAlike({ byPart }: Pick<BatchResult, 'byPart'>): (partId: string) => readonly number[] {
  return (partId) => byPart.find((count) => count.partId === partId)?.casts ?? [];
}

/** As most of them are worked: those with the most coats, whose places take the longest. What is all there is not worked at. */
function batchPart(plan: ChilledDraft, all: readonly Cast<ChilledDraft>[]): BatchPart {
  const wanted = all.filter((cast) => neededOf(cast.made.part.perPiece, cast) > 0);
  const casts = wanted.length > 0 ? wanted : all;
  const most = casts.reduce((lead, one) => (one.made.coatsMade.length > lead.made.coatsMade.length ? one : lead));
  const { part, moldRecord, cavities } = most.made;
  const each = casts.map(({ pieces, draft, made }) => ({ count: pieces, draft, made }));
  const tasks = (of: (draft: ChilledDraft, made: PartPlan) => FurtherTask[]): FurtherTask[] =>
    merged(each.map(({ count, draft, made }) => ({ count, tasks: of(draft, made) })));
  const capped = isCapped(plan, part.id);
  return {
    partId: part.id,
    perPiece: part.perPiece,
    moldId: moldRecord.id,
    cavityId: part.cavityId,
    perMold: cavities,
    moldsAtHand: moldRecord.atHand,
    casts: all.map(batchCast),
    before: tasks((_, made) => paintingTasks(stepsOf(plan, part.id), made.preps)),
    coats: most.made.coatsMade.map((_, i) => {
      const alike = casts.flatMap(({ made }) => (made.coatsMade[i] ? [workedCoat(made, i)] : []));
      return {
        ...workedCoat(most.made, i),
        chillSeconds: Math.max(...alike.map(({ chillSeconds }) => chillSeconds)),
        turnedSeconds: Math.max(...alike.map(({ turnedSeconds }) => turnedSeconds)),
        meltIds: [...new Set(alike.flatMap(({ meltIds }) => meltIds))],
      };
    }),
    onWet: capped
      ? []
      : tasks((draft, made) => [...stickTasks(made), ...toppingTasks(draft, part.id, plan.casting.finishes)]),
    inMold: capped ? tasks((draft, made) => inMold(draft, made, plan.casting.finishes)) : [],
    out: WAYS_OUT[wayOut(most.made)],
  };
}

/** What is done in a part's empty mold, of which some variants go without some. */
function stepsOf({ casting }: PlanDraft, partId: string): readonly Prep[] {
  return casting.parts.find(({ id }) => id === partId)?.prep ?? [];
}

function batchCast({ pieces, there, made }: Cast<ChilledDraft>): PartCast {
  const { coat, coatsMade } = made;
  const { value, low = value, high = value } = coat.breakChance;
  return {
    pieces,
    there,
    breakChance: { value, low, high },
    coats: coat.coats.map((one, i) => {
      const { id: coatId, method, shares } = coatsMade[i];
      const all = shares.reduce((sum, { share }) => sum + share, 0);
      return {
        coatId,
        method,
        perPartKg: one.mass.value,
        dripsKg: one.feet?.value ?? 0,
        pouredKg: pouredKg(made, i),
        shares: shares.map(({ meltId, share }) => ({ meltId, share: share / all })),
      };
    }),
  };
}

/** A coat as the hours see it. */
function workedCoat({ coatsMade, coat, chill, moldRecord }: PartPlan, i: number): TimelineCoat {
  const { method, drainSeconds, dwellSeconds, standsIn, shares, then } = coatsMade[i];
  return {
    method,
    asTray: MOLD_MATTER[moldRecord.material].rigid,
    drainSeconds,
    dwellSeconds,
    standsIn,
    rests: waysIn(coatsMade[i]),
    place: placeOf(coatsMade[i]),
    then,
    chillSeconds: chill.coats[i].stay.value,
    // Turned until it runs no more; before the simulation has told when, for as long as it sets.
    turnedSeconds: isTurned(method) ? (coat.coats[i].rest?.value ?? Infinity) : 0,
    meltIds: shares.map(({ meltId }) => meltId),
  };
}

/**
 * Tasks that are told for several kinds of pieces, one by one in the same order: by hand for each as it is on an average over all, a wait
 * as long as the longest; what takes no time in any is left out.
 */
function merged(kinds: readonly { readonly count: number; readonly tasks: readonly FurtherTask[] }[]): FurtherTask[] {
  const all = kinds.reduce((sum, { count }) => sum + count, 0);
  return (kinds[0]?.tasks ?? []).flatMap((first, i): FurtherTask[] => {
    const done = kinds.flatMap(({ count, tasks }) => (tasks[i].seconds > 0 ? [{ count, task: tasks[i] }] : []));
    if (done.length === 0) return [];
    const meltIds = [...new Set(done.flatMap(({ task }) => task.meltIds ?? []))];
    const seconds = first.handsOn
      ? done.reduce((sum, { count, task }) => sum + count * task.seconds, 0) / all
      : Math.max(...done.map(({ task }) => task.seconds));
    return [{ ...done[0].task, seconds, ...(meltIds.length > 0 ? { meltIds } : {}) }];
  });
}

function fillTask(filled: boolean): FurtherTask {
  return { kind: 'fill', handsOn: true, seconds: filled ? HANDS_ON.fillPerPiece : 0 };
}

/** A stick goes in once it is filled, and is turned until it is coated. Common practice, no source. */
function stickTasks({ part, coat }: PartPlan): FurtherTask[] {
  return part.stick && coat.body ? [{ kind: 'stick', handsOn: true, seconds: HANDS_ON.stick }] : [];
}

/** Dipping what goes into so many of a part in a piece, then the wait until it has set: for each layer that is to be dipped, whether it can be or not. */
function dipTasks({ casting }: PlanDraft, { part, dips, fill }: PartPlan, filled: number): FurtherTask[] {
  return casting.fill.flatMap(({ id, partId, dip: wanted }): FurtherTask[] => {
    if (!wanted || partId !== part.id) return [];
    const count = fill.layers.find(({ choice }) => choice.id === id)?.count?.value ?? 0;
    const dip = dips.find(({ layerId }) => layerId === id)?.dip;
    const seconds = dip ? filled * count * dip.hands.value : 0;
    return [
      { kind: 'dip', handsOn: true, seconds, meltIds: [wanted.meltId] },
      { kind: 'chill', handsOn: false, seconds: dip?.sets.value ?? 0, place: 'room' },
    ];
  });
}

/** What goes on the open face of each of a part while it is wet: a task for each finish of the casting, nothing for one that it does not get. */
function toppingTasks(draft: PlanDraft, partId: string, finishes: Casting['finishes']): FurtherTask[] {
  const face = toppedFace(draft);
  const topped = face?.parts.some(({ part }) => part.id === partId) ? toppedPerPiece(face) : 0;
  return finishes.map(({ id }): FurtherTask => {
    const one = draft.finishes.find(({ finish, wet }) => wet && finish.id === id);
    return { kind: 'finish', handsOn: true, seconds: one && topped > 0 ? one.hands.value / topped : 0 };
  });
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
function inMold(draft: ChilledDraft, made: PartPlan, finishes: Casting['finishes']): FurtherTask[] {
  const { part, fill, chill } = made;
  const close = draft.closings.find(({ partId }) => partId === part.id)?.close;
  return [
    ...dipTasks(draft, made, 1),
    fillTask(fill.layers.length > 0),
    ...(close
      ? closeTasks(close, close.hands.value, chill.cap?.stay.value ?? 0, toppingTasks(draft, part.id, finishes))
      : []),
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

/** What is done to a piece when all are cast, told for each finish of the casting; what takes no time is not done. */
function afterCasting(draft: ChilledDraft, finishes: Casting['finishes']): FurtherTask[] {
  const { parts } = draft;
  const cover = Math.max(
    0,
    ...parts.map(({ part, chill }) =>
      part.coveredRest && Number.isFinite(chill.cover.value) ? Math.ceil(chill.cover.value / 60) * 60 : 0,
    ),
  );
  const filled = parts.some(({ part, fill }) => fill.layers.length > 0 && !isCapped(draft, part.id));
  return [
    { kind: 'cover', handsOn: false, seconds: cover },
    { kind: 'level', handsOn: true, seconds: sumOf(draft.closings, (close) => close.levelling?.value ?? 0) },
    ...parts.flatMap((one) => (isCapped(draft, one.part.id) ? [] : dipTasks(draft, one, filledPerPiece(one)))),
    fillTask(filled),
    ...(isCap(draft.closure) ? [] : joined(draft)),
    ...finishes.flatMap(({ id }): FurtherTask[] => {
      const done = draft.finishes.find(({ finish }) => finish.id === id);
      const melt = done?.chocolate && 'meltId' in done.finish ? { meltIds: [done.finish.meltId] } : {};
      return [
        { kind: 'finish', handsOn: true, seconds: done && !done.wet ? done.hands.value : 0, ...melt },
        { kind: 'finish', handsOn: false, seconds: done?.dries.value ?? 0 },
      ];
    }),
  ];
}
