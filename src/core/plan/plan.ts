import { batchAmounts, batchStation, type BatchResult } from '../batch/batch';
import { aboutInOrder, inJobOrder, type JobOrder } from '../batch/job-order';
import { startBy } from '../batch/start';
import type { ChillResult } from '../chill/chill';
import { chillAnswers } from '../chill/chill-answers';
import { CHOCOLATE_MATTER } from '../matter/chocolate';
import { madeAhead, makeBy } from '../fill/made-ahead';
import { keepWorkable, meltStation, type MeltPlan } from '../melt/melt';
import { answer, term, type Answer } from '../quantity/answer';
import { fillingOf } from '../record/references';
import { batchInput, castsAlike } from './batch-input';
import { cappedWith } from './capping';
import { meltInput, stretchesFor } from './melts';
import { fillingMasses, fillingParts } from './needs';
import { staysWet } from './open-face';
import { sortsOf } from './sorts';
import { findProblems } from './problems';
import type { CastingPlan, ChilledDraft, FillingNeed, PartPlan, PlanDraft } from './plan-types';

/**
 * Completes a draft with the chill's figures: chill, batch, what to buy, and what needs attention.
 * Pure; the chills may come from the worker or from `chillNominal`.
 * @param chills of each of its makings (`makingsOf`)
 */
export function finishPlan(draft: PlanDraft, chills: readonly ChillResult[]): CastingPlan {
  const { casting } = draft;
  const chilled = inOneMold({
    ...draft,
    parts: chilledParts(draft, chills),
    variants: draft.variants.map(({ variant, draft: own }) => ({
      variant,
      draft: { ...own, parts: chilledParts(own, chills), variants: [] },
    })),
  });
  const { parts } = chilled;
  const input = batchInput(chilled);
  const amounts = batchAmounts(input);
  const made = amounts.melts.map(({ meltId, meltedKg }) => meltStation(meltInput(casting, meltId, meltedKg)));
  const batch = batchStation(input, amounts, new Map(made.map((melt) => [melt.input.meltId, melt.ready.value])));
  const seen = parts.find(({ part }) => part.id === draft.part.id) ?? parts[0];
  return timed({ ...chilled, ...seen, parts, wet: staysWet(draft, parts) }, batch, made);
}

/** The same plan with its rounds in an order that was found for it: what follows from the minutes follows. */
export function planInOrder(plan: CastingPlan, order: JobOrder): CastingPlan {
  return timed(plan, inJobOrder(plan.batch, order), plan.melts);
}

/** The same plan, about as long as it is likely to be once its order is found. @param waits share of the waiting that is likely to be left, 0 to 1 */
export function planAboutInOrder(plan: CastingPlan, waits: number): CastingPlan {
  const batch = aboutInOrder(plan.batch, waits);
  return batch === plan.batch ? plan : timed(plan, batch, plan.melts);
}

/** What follows from the minutes of the work. */
function timed(
  plan: Omit<CastingPlan, 'batch' | 'start' | 'melts' | 'fillings' | 'problems'>,
  batch: BatchResult,
  made: readonly MeltPlan[],
): CastingPlan {
  const melts = made.map((melt) => keepWorkable(melt, stretchesFor(batch.timeline, melt.input.meltId)));
  const start = startBy(plan.casting.due, batch.total);
  const timedPlan = { ...plan, batch, start, melts, fillings: fillingNeeds(plan, batch, start) };
  return { ...timedPlan, problems: findProblems(timedPlan) };
}

function chilledParts(draft: PlanDraft, chills: readonly ChillResult[]): PartPlan[] {
  return draft.parts.map((part) => {
    const density = CHOCOLATE_MATTER[part.chocolates[0].kind].meltedDensity;
    const { kitchen } = draft.casting;
    const thickM = part.coat.total.wall.value;
    const chill = chills[part.makingAt];
    return {
      ...part,
      chill: chillAnswers(part.chillInput, chill, kitchen, thickM, density, cappedWith(draft, part)),
    };
  });
}

/** Pieces that are made otherwise are cast in the same molds: all of a mold stay as long as the slowest of them takes. */
function inOneMold(plan: ChilledDraft): ChilledDraft {
  if (plan.variants.length === 0) return plan;
  const sorts = sortsOf(plan, plan.casting.pieces);
  const together = (parts: readonly PartPlan[]): PartPlan[] =>
    parts.map((made, at) => ({
      ...made,
      chill: {
        ...made.chill,
        coats: made.chill.coats.map((coat, i) => {
          const stays = sorts.flatMap(({ name, draft }) => {
            const stay = draft.parts[at].chill.coats.at(i)?.stay;
            return stay ? [{ name, stay }] : [];
          });
          const { name, stay } = stays.reduce((longest, one) => (one.stay.value > longest.stay.value ? one : longest), {
            name: undefined,
            ...coat,
          });
          return stay === coat.stay || name === undefined ? { ...coat, stay } : { ...coat, stay, longestFor: name };
        }),
      },
    }));
  return {
    ...plan,
    parts: together(plan.parts),
    variants: plan.variants.map(({ variant, draft }) => ({
      variant,
      draft: { ...draft, parts: together(draft.parts) },
    })),
  };
}

/** What the job takes of each filling: in the layers, and on the pieces. */
function fillingNeeds(plan: PlanDraft, batch: BatchResult, start: Answer): FillingNeed[] {
  const { casting } = plan;
  const goesInS = start.value + firstFilledS(batch);
  return [...fillingMasses(plan, casting.pieces, castsAlike(batch))].map(([fillingId, kg]) => {
    const made = Number.isFinite(goesInS) && madeAhead(casting.fillings, fillingOf(casting, fillingId));
    // What need not stand is made when it is wanted.
    const stands = made && made.standsS > 0;
    return {
      fillingId,
      mass: answer(kg, 'mass', 'batch.filling', [term('pieces', casting.pieces, 'count')]),
      components: fillingParts(casting, fillingId, kg),
      makeBy: stands ? makeBy(made, goesInS, casting.due.zone) : undefined,
    };
  });
}

/** When the first filling goes in or on, s from the start; the end, where none does. */
function firstFilledS({ timeline: { wholeJob }, total }: BatchResult): number {
  const first = wholeJob.find(({ kind }) => kind === 'fill') ?? wholeJob.find(({ kind }) => kind === 'finish');
  return first?.startSeconds ?? total.value;
}
