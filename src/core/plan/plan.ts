import { batchAmounts, batchStation, type BatchResult } from '../batch/batch';
import type { ChillResult } from '../chill/chill';
import { chillAnswers, type ChillAnswers } from '../chill/chill-answers';
import { components, gathered, type Component } from '../fill/recipe';
import { CHOCOLATE_MATTER } from '../matter/chocolate';
import { keepWorkable, meltStation, type MeltResult } from '../melt/melt';
import { answer, term, type Answer } from '../quantity/answer';
import { fillingOf, sharesOf } from '../record/references';
import { batchInput, layerCount } from './batch-input';
import type { PartDraft, PlanDraft } from './draft';
import { meltInput, stretchesFor } from './melts';
import { findProblems, type Problem } from './problems';

/** What to buy of one chocolate. */
export interface BuyAnswer {
  readonly chocolateId: string;
  readonly mass: Answer;
  readonly packs: Answer;
}

/** What the job takes of one filling, and what that comes down to. */
export interface FillingNeed {
  readonly fillingId: string;
  readonly mass: Answer;
  readonly components: readonly Component[];
}

/** Every answer for one part of a piece. */
export interface PartPlan extends PartDraft {
  readonly chill: ChillAnswers;
}

/** Every answer of a casting, each with its working and range, seen from one of its parts. */
export interface CastingPlan extends PlanDraft, PartPlan {
  readonly parts: readonly PartPlan[];
  readonly batch: BatchResult;
  /** One for each melt that is used, in the order of its use. */
  readonly melts: readonly MeltResult[];
  readonly buy: readonly BuyAnswer[];
  readonly fillings: readonly FillingNeed[];
  readonly problems: readonly Problem[];
}

/**
 * Completes a draft with the chill's figures: chill, batch, what to buy, and what needs attention.
 * Pure; the chills may come from the worker or from `chillNominal`.
 * @param chills of each part, in the record's order
 */
export function finishPlan(draft: PlanDraft, chills: readonly ChillResult[]): CastingPlan {
  const { casting } = draft;
  const parts = draft.parts.map((part, i): PartPlan => {
    const density = CHOCOLATE_MATTER[part.chocolates[0].kind].meltedDensity;
    return { ...part, chill: chillAnswers(part.chillInput, chills[i], casting.kitchen, part.coat.total.wall.value, density) };
  });
  const input = batchInput(draft, parts);
  const amounts = batchAmounts(input);
  const made = amounts.melts.map(({ meltId, meltedKg }) => meltStation(meltInput(casting, meltId, meltedKg)));
  const batch = batchStation(input, amounts, new Map(made.map((melt) => [melt.input.meltId, melt.ready.value])));
  const melts = made.map((melt) => keepWorkable(melt, stretchesFor(batch.timeline, melt.input.meltId)));
  const seen = parts.find(({ part }) => part.id === draft.part.id) ?? parts[0];
  const fillings = fillingNeeds(draft, batch);
  const plan = { ...draft, ...seen, parts, batch, melts, fillings, buy: buyAnswers(draft, batch, fillings) };
  return { ...plan, problems: findProblems(plan) };
}

/** What the job takes of each filling: in the layers, and on the pieces. */
function fillingNeeds(plan: PlanDraft, batch: BatchResult): FillingNeed[] {
  const { casting, parts, finishes } = plan;
  const needs = new Map<string, number>();
  const add = (fillingId: string, kg: number): void => void needs.set(fillingId, (needs.get(fillingId) ?? 0) + kg);
  for (const part of parts) for (const layer of part.fill.layers) add(layer.choice.filling.id, layer.mass.value * layerCount(plan, part, batch));
  for (const { finish, material } of finishes) if ('fillingId' in finish && finish.fillingId !== undefined && material) add(finish.fillingId, material.value * casting.pieces);
  return [...needs].map(([fillingId, kg]) => ({
    fillingId,
    mass: answer(kg, 'mass', 'batch.filling', [term('pieces', casting.pieces, 'count')]),
    components: gathered(components(casting.fillings, fillingOf(casting, fillingId), kg)),
  }));
}

function buyAnswers({ casting }: PlanDraft, batch: BatchResult, fillings: readonly FillingNeed[]): BuyAnswer[] {
  return casting.chocolates.flatMap((chocolate) => {
    const shareOf = (meltId: string): number => casting.melts.filter((melt) => melt.id === meltId).flatMap((melt) => sharesOf(casting, melt)).reduce((sum, { chocolateId, share }) => sum + (chocolateId === chocolate.id ? share : 0), 0);
    const melted = batch.melts.reduce((sum, one) => sum + shareOf(one.meltId) * one.melted.value, 0);
    const filled = fillings.reduce((sum, need) => sum + need.components.reduce((all, { chocolateId, kg }) => all + (chocolateId === chocolate.id ? kg : 0), 0), 0);
    const needed = melted + filled;
    if (needed === 0) return [];
    // Rounded up to ten grams: nobody buys to the gram, and short is worse than over.
    const mass = Math.ceil(needed * 100 - 1e-9) / 100;
    const packs = Math.ceil(mass / chocolate.packKg - 1e-9);
    return [{
      chocolateId: chocolate.id,
      mass: answer(mass, 'mass', 'batch.buy', [term('melted', melted, 'mass'), ...(filled > 0 ? [term('inFillings', filled, 'mass')] : [])]),
      packs: answer(packs, 'count', 'batch.packs', [term('buyMass', mass, 'mass'), term('packSize', chocolate.packKg, 'mass')]),
    }];
  });
}
