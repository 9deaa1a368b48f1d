import { batchAmounts } from '../batch/batch';
import { components, gathered, type Component } from '../fill/recipe';
import { answer, term, type Answer } from '../quantity/answer';
import type { Casting } from '../record/casting';
import { LIMITS } from '../record/limits';
import { fillingOf, meltOf, sharesOf } from '../record/references';
import { batchInput, layerCount } from './batch-input';
import { toppedFace, toppedPerPiece, type OpenFace } from './open-face';
import type { CastingPlan, PartDraft, PlanDraft } from './plan-types';

/** How many parts of a kind are cast. */
export type CastCount = (partId: string) => number;

/** What so many pieces take of each filling, in the layers and on the pieces, kg by the filling's id. */
export function fillingMasses(plan: PlanDraft, pieces: number, cast: CastCount): ReadonlyMap<string, number> {
  const masses = new Map<string, number>();
  const add = (fillingId: string, kg: number): void => void masses.set(fillingId, (masses.get(fillingId) ?? 0) + kg);
  for (const part of plan.parts)
    for (const layer of part.fill.layers)
      add(
        layer.choice.filling.id,
        layer.mass.value * bareShare(part, layer.choice.id) * layerCount(plan, part, pieces, cast),
      );
  for (const { part, coat, coatsMade } of plan.parts)
    coat.coats.forEach(({ mixed }, i) => {
      const { mixIn } = coatsMade[i];
      if (mixIn && mixed) add(mixIn.fillingId, mixed.value * cast(part.id));
    });
  const face = toppedFace(plan);
  for (const { finish, wet, material } of plan.finishes)
    if ('fillingId' in finish && finish.fillingId !== undefined && material)
      add(finish.fillingId, material.value * (wet && face ? toppedPieces(face, cast) : pieces));
  return masses;
}

/** What of a layer's weight is filling, and not the chocolate that it was dipped in. */
function bareShare({ dips }: PartDraft, layerId: string): number {
  return 1 - (dips.find((one) => one.layerId === layerId)?.dip.chocolateShare ?? 0);
}

/** For how many pieces there are parts that are topped in their molds, spares with them. */
function toppedPieces(face: OpenFace, cast: CastCount): number {
  return face.parts.reduce((sum, { part }) => sum + cast(part.id), 0) / toppedPerPiece(face);
}

/** What an amount of a filling comes down to. */
export function fillingParts(casting: Casting, fillingId: string, kg: number): Component[] {
  return gathered(components(casting.fillings, fillingOf(casting, fillingId), kg));
}

/** Chocolate that so many pieces of a plan take, melted and in fillings, kg by the chocolate's id, in the order of its use. */
export function chocolateNeeds(plan: CastingPlan, pieces: number): ReadonlyMap<string, number> {
  const { casting } = plan;
  const input = { ...batchInput(plan, plan.parts), pieces };
  const { melts, parts } = batchAmounts(input);
  const needs = new Map<string, number>();
  const add = (chocolateId: string, kg: number): void =>
    void needs.set(chocolateId, (needs.get(chocolateId) ?? 0) + kg);
  for (const { meltId, meltedKg } of melts)
    for (const { chocolateId, share } of sharesOf(casting, meltOf(casting, meltId))) add(chocolateId, share * meltedKg);
  const cast: CastCount = (partId) => parts[input.parts.findIndex((part) => part.partId === partId)];
  for (const [fillingId, kg] of fillingMasses(plan, pieces, cast))
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
