import { batchAmounts } from '../batch/batch';
import { components, gathered, type Component } from '../fill/recipe';
import { answer, term, type Answer } from '../quantity/answer';
import type { Casting } from '../record/casting';
import { LIMITS } from '../record/limits';
import { fillingOf, meltOf, sharesOf } from '../record/references';
import type { FillResult } from '../fill/fill';
import { batchInput, castsAlike } from './batch-input';
import { isCapped } from './capping';
import { toppedFace, toppedPerPiece } from './open-face';
import { filledPerPiece } from './piece';
import type { CastingPlan, PartDraft, PlanDraft } from './plan-types';
import { castsOf, sortsOf, type Cast } from './sorts';

/** How many of a part are cast, by those that are cast alike (`castsOf`). */
export type CastCounts = (partId: string) => readonly number[];

/** A layer as it is filled into so many of a part. */
export interface LayerFilled {
  readonly made: PartDraft;
  readonly layer: FillResult['layers'][number];
  /** Of the sorts of pieces that it is in. */
  readonly names: Cast['names'];
  readonly count: number;
}

/** The layers that so many pieces take: one is filled once a piece, or into every part that is cast where it is capped in its mold. Those of variants that are as another's are counted with it. */
export function layersFilled(plan: PlanDraft, pieces: number, counts: CastCounts): readonly LayerFilled[] {
  const all = plan.casting.parts.flatMap(({ id }) =>
    isCapped(plan, id)
      ? castsOf(plan, id, pieces).map(({ made, names }, i) => ({ made, names, count: counts(id)[i] ?? 0 }))
      : sortsOf(plan, pieces).flatMap((sort) =>
          sort.draft.parts.flatMap((made) =>
            made.part.id === id ? [{ made, names: [sort.name], count: sort.pieces * filledPerPiece(made) }] : [],
          ),
        ),
  );
  const filled = new Map<string, LayerFilled>();
  for (const { made, names, count } of all)
    for (const layer of made.fill.layers) {
      const key = JSON.stringify([layer.choice.id, layer.choice.filling.id, layer.mass.value]);
      const before = filled.get(key);
      filled.set(key, {
        ...(before ?? { made, layer }),
        names: [...(before?.names ?? []), ...names],
        count: (before?.count ?? 0) + count,
      });
    }
  return [...filled.values()];
}

/** The same for a plan's own pieces. */
export function layersOf(plan: CastingPlan): readonly LayerFilled[] {
  return layersFilled(plan, plan.casting.pieces, castsAlike(plan.batch));
}

/** What so many pieces take of each filling, in the layers and on the pieces, kg by the filling's id. */
export function fillingMasses(plan: PlanDraft, pieces: number, counts: CastCounts): ReadonlyMap<string, number> {
  const masses = new Map<string, number>();
  const add = (fillingId: string, kg: number): void => void masses.set(fillingId, (masses.get(fillingId) ?? 0) + kg);
  for (const { made, layer, count } of layersFilled(plan, pieces, counts))
    add(layer.choice.filling.id, layer.mass.value * bareShare(made, layer.choice.id) * count);
  for (const { id } of plan.casting.parts)
    for (const [i, { draft, made }] of castsOf(plan, id, pieces).entries()) {
      const cast = counts(id)[i] ?? 0;
      for (const [k, { mixed }] of made.coat.coats.entries()) {
        const { mixIn } = made.coatsMade[k];
        if (mixIn && mixed) add(mixIn.fillingId, mixed.value * cast);
      }
      const face = toppedFace(draft);
      if (face?.parts.some(({ part }) => part.id === id))
        for (const [fillingId, kg] of onFinishes(draft, true)) add(fillingId, (kg * cast) / toppedPerPiece(face));
    }
  for (const { pieces: count, draft } of sortsOf(plan, pieces))
    for (const [fillingId, kg] of onFinishes(draft, false)) add(fillingId, kg * count);
  return masses;
}

/** What the finishes of a piece take of fillings, kg by the filling's id: those that go on in the mold, or the others. */
function onFinishes(draft: PlanDraft, inMold: boolean): readonly (readonly [string, number])[] {
  const face = toppedFace(draft);
  return draft.finishes.flatMap(({ finish, wet, material }) =>
    'fillingId' in finish && finish.fillingId !== undefined && material && (wet && face !== undefined) === inMold
      ? [[finish.fillingId, material.value] as const]
      : [],
  );
}

/** What of a layer's weight is filling, and not the chocolate that it was dipped in. */
function bareShare({ dips }: PartDraft, layerId: string): number {
  return 1 - (dips.find((one) => one.layerId === layerId)?.dip.chocolateShare ?? 0);
}

/** What an amount of a filling comes down to. */
export function fillingParts(casting: Casting, fillingId: string, kg: number): Component[] {
  return gathered(components(casting.fillings, fillingOf(casting, fillingId), kg));
}

/** Chocolate that so many pieces of a plan take, melted and in fillings, kg by the chocolate's id, in the order of its use. */
export function chocolateNeeds(plan: CastingPlan, pieces: number): ReadonlyMap<string, number> {
  const { casting } = plan;
  const input = batchInput(plan, pieces);
  const { melts, casts } = batchAmounts(input);
  const needs = new Map<string, number>();
  const add = (chocolateId: string, kg: number): void =>
    void needs.set(chocolateId, (needs.get(chocolateId) ?? 0) + kg);
  for (const { meltId, meltedKg } of melts)
    for (const { chocolateId, share } of sharesOf(casting, meltOf(casting, meltId))) add(chocolateId, share * meltedKg);
  const counts: CastCounts = (partId) => casts[input.parts.findIndex((part) => part.partId === partId)];
  for (const [fillingId, kg] of fillingMasses(plan, pieces, counts))
    for (const part of fillingParts(casting, fillingId, kg))
      if (part.chocolateId !== undefined) add(part.chocolateId, part.kg);
  return needs;
}

/** A hair of tolerance: what is bought to the gram is enough. */
const HAIR_KG = 1e-9;

/**
 * Most pieces that can be made of the chocolate on hand: the plan for so many takes no more of any than there is, and for one more it
 * would. 0 where there is not enough for one.
 * @param onHandKg by the chocolate's id; none of what it does not name
 */
export function piecesFrom(plan: CastingPlan, onHandKg: ReadonlyMap<string, number>): Answer {
  const there = (chocolateId: string): number => onHandKg.get(chocolateId) ?? 0;
  const fits = (pieces: number): boolean =>
    [...chocolateNeeds(plan, pieces)].every(([chocolateId, kg]) => kg <= there(chocolateId) + HAIR_KG);
  const forOne = chocolateNeeds(plan, 1);
  const many = Math.max(2, plan.casting.pieces);
  const forMany = chocolateNeeds(plan, many);
  // Nearly so much for each more, but for what stays in the bowls and the rounds.
  const about = [...forOne].map(([id, one]) => {
    const each = ((forMany.get(id) ?? one) - one) / (many - 1);
    return each > 0 ? 1 + (there(id) - one) / each : Infinity;
  });
  return answer(
    lastThatHolds(fits, Math.min(...about), LIMITS.pieces.high),
    'count',
    'batch.piecesFrom',
    [...forOne.keys()].map((chocolateId) => term('onHand', there(chocolateId), 'mass')),
  );
}

/** The largest whole number up to `most` that something holds for: it does for 0, and never again once it does not. Soonest found near a guess. */
function lastThatHolds(holds: (n: number) => boolean, guess: number, most: number): number {
  let low = 0;
  let high = most + 1;
  let next = Math.floor(guess);
  for (let stride = 1; high - low > 1; stride *= 2) {
    const inside = next > low && next < high ? next : (low + high) >> 1;
    if (holds(inside)) low = inside;
    else high = inside;
    // From the guess by ever longer strides, until it lies between two.
    next = low === inside ? low + stride : high - stride;
  }
  return low;
}
