import { answer, term, type Answer } from '../quantity/answer';
import type { SpareRule } from '../record/casting';
import { meltAmounts, type CoatAmount, type MeltAmount } from './amounts';
import { partsToCast } from './spares';
import { timeline, type Timeline, type TimelineCoat } from './timeline';

export interface BatchInput {
  readonly pieces: number;
  readonly perPiece: number;
  readonly spareRule: SpareRule;
  readonly breakChance: { readonly value: number; readonly low: number; readonly high: number };
  readonly perMold: number;
  readonly moldsAtHand: number;
  readonly solidKg: number;
  readonly coats: readonly (CoatAmount & TimelineCoat)[];
  readonly filled: boolean;
  readonly closed: boolean;
  readonly coverSeconds: number;
  /** Chocolate on hand for the reverse question, kg. */
  readonly atHandKg: number;
}

export interface MeltAnswers {
  readonly meltId: string;
  readonly inParts: Answer;
  readonly comesBack: Answer;
  readonly stuck: Answer;
  readonly melted: Answer;
  readonly perRound: Answer;
}

export interface BatchResult {
  readonly needed: number;
  readonly parts: Answer;
  readonly spares: Answer;
  /** What the trade's usual fifth more would come to. */
  readonly partsByTrade: Answer;
  readonly rounds: Answer;
  readonly perRound: number;
  readonly melts: readonly MeltAnswers[];
  readonly timeline: Timeline;
  readonly total: Answer;
  readonly handsOn: Answer;
  readonly waiting: Answer;
  /** Pieces that the chocolate on hand makes; 0 when it makes none. */
  readonly piecesFromAtHand: Answer;
}

/** The usual margin. Common practice, no source. */
const TRADE_RULE = { by: 'share', share: 0.2 } as const;

/** Parts to cast and chocolate to melt: what is known before the minutes are. */
export interface BatchAmounts {
  readonly parts: number;
  readonly melts: readonly MeltAmount[];
}

/** Parts with spares, and what to melt for them. */
export function batchAmounts(input: BatchInput): BatchAmounts {
  const parts = partsToCast(input.pieces * input.perPiece, input.breakChance.value, input.spareRule);
  return { parts, melts: meltsFor(input, parts) };
}

/**
 * Parts with spares, rounds, amounts to melt, minutes, and what a given amount of chocolate would make.
 * @param meltSeconds from solid chocolate to bowls that are ready, s
 */
export function batchStation(input: BatchInput, { parts, melts }: BatchAmounts, meltSeconds: number): BatchResult {
  const needed = input.pieces * input.perPiece;
  const perRound = input.perMold * input.moldsAtHand;
  const time = timeline({ ...input, parts, meltSeconds });
  const { handsOnSeconds: handsOn, waitingSeconds: waiting } = time;
  const partsRange = [input.breakChance.low, input.breakChance.high].map((p) => partsToCast(needed, p, input.spareRule));
  const rule = input.spareRule.by === 'share' ? 'batch.partsByShare' : 'batch.partsByConfidence';
  const ruleTerm = input.spareRule.by === 'share' ? term('spareShare', input.spareRule.share, 'share') : term('confidence', input.spareRule.confidence, 'share');
  const terms = [term('partsNeeded', needed, 'count'), term('breakChance', input.breakChance.value, 'share'), ruleTerm];
  return {
    needed,
    parts: answer(parts, 'count', rule, terms, [Math.min(...partsRange), Math.max(...partsRange)]),
    spares: answer(parts - needed, 'count', rule, terms),
    partsByTrade: answer(partsToCast(needed, 0, TRADE_RULE), 'count', 'batch.partsByShare', [term('partsNeeded', needed, 'count'), term('spareShare', TRADE_RULE.share, 'share')]),
    rounds: answer(time.rounds, 'count', 'batch.rounds', [term('parts', parts, 'count'), term('cavities', input.perMold, 'count'), term('moldsAtHand', input.moldsAtHand, 'count')]),
    perRound,
    melts: melts.map(meltAnswers),
    timeline: time,
    total: answer(handsOn + waiting, 'duration', 'batch.total', [term('handsOn', handsOn, 'duration'), term('waiting', waiting, 'duration')]),
    handsOn: answer(handsOn, 'duration', 'batch.handsOn', [term('parts', parts, 'count'), term('pieces', input.pieces, 'count')]),
    waiting: answer(waiting, 'duration', 'batch.waiting', [term('rounds', time.rounds, 'count')]),
    piecesFromAtHand: answer(piecesFrom(input), 'count', 'batch.piecesFrom', [term('atHand', input.atHandKg, 'mass')]),
  };
}

function meltsFor(input: BatchInput, parts: number, pouredTogether?: number): MeltAmount[] {
  return meltAmounts({ coats: input.coats, parts, pouredTogether, perRound: input.perMold * input.moldsAtHand, perMold: input.perMold, solidKg: input.solidKg });
}

function meltAnswers(melt: MeltAmount): MeltAnswers {
  const inParts = term('inParts', melt.inPartsKg, 'mass');
  const parts = [inParts, term('comesBack', melt.comesBackKg, 'mass'), term('stuck', melt.stuckKg, 'mass')];
  return {
    meltId: melt.meltId,
    inParts: answer(melt.inPartsKg, 'mass', 'batch.inParts', [inParts]),
    comesBack: answer(melt.comesBackKg, 'mass', 'batch.comesBack', parts),
    stuck: answer(melt.stuckKg, 'mass', 'batch.stuck', [inParts]),
    melted: answer(melt.meltedKg, 'mass', 'batch.melted', parts),
    perRound: answer(melt.perRoundKg, 'mass', 'batch.perRound', [term('comesBack', melt.comesBackKg, 'mass')]),
  };
}

/** The largest casting a record may hold. */
const MOST_PIECES = 2000;

/** Most pieces whose whole melt, all melts together, stays within the chocolate on hand, cavities poured one at a time. */
function piecesFrom(input: BatchInput): number {
  const fits = (pieces: number): boolean => {
    const parts = partsToCast(pieces * input.perPiece, input.breakChance.value, input.spareRule);
    return meltsFor(input, parts, 1).reduce((sum, melt) => sum + melt.meltedKg, 0) <= input.atHandKg;
  };
  if (!fits(1)) return 0;
  let low = 1;
  let high = 2;
  while (high < MOST_PIECES && fits(high)) {
    low = high;
    high *= 2;
  }
  while (high - low > 1) {
    const middle = (low + high) >> 1;
    if (fits(middle)) low = middle;
    else high = middle;
  }
  return Math.min(low, MOST_PIECES);
}
