import { batchAmounts, batchStation, type BatchResult } from '../batch/batch';
import type { ChillResult } from '../chill/chill';
import type { CoatAnswer } from '../coat/coat-answers';
import { chillAnswers, type ChillAnswers } from '../chill/chill-answers';
import { CHOCOLATE_MATTER } from '../matter/chocolate';
import { answer, term, type Answer } from '../quantity/answer';
import { keepWorkable, meltStation, type MeltResult } from '../melt/melt';
import type { Coat } from '../record/casting';
import { sharesOf } from '../record/references';
import { placeOf, restsOf } from '../record/sets';
import type { PlanDraft } from './draft';
import { meltInput, stretchesFor } from './melts';
import { findProblems, type Problem } from './problems';

/** What to buy of one chocolate. */
export interface BuyAnswer {
  readonly chocolateId: string;
  readonly mass: Answer;
  readonly packs: Answer;
}

/** Every answer of a casting, each with its working and range. */
export interface CastingPlan extends PlanDraft {
  readonly chill: ChillAnswers;
  readonly batch: BatchResult;
  /** One for each melt that is used, in the order of its use. */
  readonly melts: readonly MeltResult[];
  readonly buy: readonly BuyAnswer[];
  readonly problems: readonly Problem[];
}

/**
 * Completes a draft with the chill's figures: chill, batch, what to buy, and what needs attention.
 * Pure; the chill may come from the worker or from `chillNominal`.
 */
export function finishPlan(draft: PlanDraft, chillResult: ChillResult): CastingPlan {
  const { casting, part, coat } = draft;
  const density = CHOCOLATE_MATTER[draft.chocolates[0].kind].meltedDensity;
  const chill = chillAnswers(draft.chillInput, chillResult, casting.kitchen, coat.total.wall.value, density);
  const broken = coat.breakChance;
  const batchInput = {
    pieces: casting.pieces,
    perPiece: part.perPiece,
    spareRule: casting.spareRule,
    breakChance: { value: broken.value, low: broken.low ?? broken.value, high: broken.high ?? broken.value },
    perMold: draft.cavities,
    moldsAtHand: draft.moldRecord.atHand,
    // Poured over a former, about as much runs off as stays. Common practice, no source.
    solidKg: draft.cavity.outward ? 4 * coat.mass.value : draft.mold.solid.value,
    coats: coat.coats.map((made, i) => batchCoat(draft.coatsMade[i], made, chill.coats[i].stay.value)),
    filled: casting.fill.length > 0,
    closed: draft.closure !== null,
    coverSeconds: part.coveredRest && Number.isFinite(chill.cover.value) ? Math.ceil(chill.cover.value / 60) * 60 : 0,
    atHandKg: casting.atHandKg,
  };
  const amounts = batchAmounts(batchInput);
  const made = amounts.melts.map(({ meltId, meltedKg }) => meltStation(meltInput(casting, meltId, meltedKg)));
  const batch = batchStation(batchInput, amounts, made.reduce((sum, melt) => sum + melt.ready.value, 0));
  const melts = made.map((melt) => keepWorkable(melt, stretchesFor(draft, batch.timeline, melt.input.meltId)));
  const plan = { ...draft, chill, batch, melts, buy: buyAnswers(draft, batch) };
  return { ...plan, problems: findProblems(plan) };
}

function batchCoat(coat: Coat, made: CoatAnswer, chillSeconds: number) {
  const { id: coatId, method, drainSeconds, dwellSeconds, standsIn } = coat;
  // Turned until it runs no more; before the simulation has told when, for as long as it sets.
  const turnedSeconds = method === 'turn' ? (made.rest?.value ?? Infinity) : 0;
  return { coatId, meltId: coat.shares[0].meltId, method, perPartKg: made.mass.value, drainSeconds, dwellSeconds, standsIn, rests: restsOf(coat), place: placeOf(coat), chillSeconds, turnedSeconds };
}

function buyAnswers({ casting }: PlanDraft, batch: BatchResult): BuyAnswer[] {
  return casting.chocolates.flatMap((chocolate) => {
    const shareOf = (meltId: string): number => casting.melts.filter((melt) => melt.id === meltId).flatMap((melt) => sharesOf(casting, melt)).reduce((sum, { chocolateId, share }) => sum + (chocolateId === chocolate.id ? share : 0), 0);
    const needed = batch.melts.reduce((sum, { meltId, melted }) => sum + shareOf(meltId) * melted.value, 0);
    if (needed === 0) return [];
    // Rounded up to ten grams: nobody buys to the gram, and short is worse than over.
    const mass = Math.ceil(needed * 100 - 1e-9) / 100;
    const packs = Math.ceil(mass / chocolate.packKg - 1e-9);
    return [{
      chocolateId: chocolate.id,
      mass: answer(mass, 'mass', 'batch.buy', [term('melted', needed, 'mass')]),
      packs: answer(packs, 'count', 'batch.packs', [term('buyMass', mass, 'mass'), term('packSize', chocolate.packKg, 'mass')]),
    }];
  });
}
