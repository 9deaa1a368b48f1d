import type { OutSeconds } from '../matter/working-rules';
import { answer, term, type Answer } from '../quantity/answer';
import type { SpareRule } from '../record/casting';
import { meltAmounts, type CoatAmount, type MeltAmount, type OnPieces } from './amounts';
import { castRounds, type RoundRun } from './rounds';
import { learnedChance, partsToCast, type LearnedChance } from './spares';
import { timeline, type FurtherTask, type Timeline, type TimelineCoat, type TimelineInput } from './timeline';

export interface BatchCoat extends CoatAmount, Omit<TimelineCoat, 'method' | 'meltIds'> {}

/** One kind of part of a piece, in the order of the work. */
export interface BatchPart {
  readonly partId: string;
  readonly perPiece: number;
  readonly moldId: string;
  readonly cavityId: string;
  readonly perMold: number;
  readonly moldsAtHand: number;
  readonly breakChance: { readonly value: number; readonly low: number; readonly high: number };
  readonly solidKg: number;
  /** What is done to its empty mold. */
  readonly before: readonly FurtherTask[];
  readonly coats: readonly BatchCoat[];
  /** What goes on its last coat while that is wet. */
  readonly onWet: readonly FurtherTask[];
  readonly inMold: readonly FurtherTask[];
  /** Hands-on seconds to get it out. */
  readonly out: OutSeconds;
}

/** Chocolate that goes on before or after casting: for each piece, or for each of a part that is cast. */
export interface AfterCasting extends Omit<OnPieces, 'kg' | 'perRoundKg'> {
  readonly eachKg: number;
  /** The part whose casts it goes on, spares included; each piece where it is left out. */
  readonly partId?: string;
}

export interface BatchInput {
  readonly pieces: number;
  readonly spareRule: SpareRule;
  /** Of parts cast before, how many broke: the computed chance is held against it. */
  readonly breakages?: { readonly cast: number; readonly broken: number } | undefined;
  readonly parts: readonly BatchPart[];
  readonly onPieces: readonly AfterCasting[];
  readonly after: readonly FurtherTask[];
  /** What sticks to bowl and tools of so many kg of a melt that are worked, kg. */
  readonly stuckKg: (meltId: string, kg: number) => number;
}

export interface MeltAnswers {
  readonly meltId: string;
  readonly inParts: Answer;
  readonly painting: Answer;
  readonly dipping: Answer;
  readonly closing: Answer;
  readonly finishing: Answer;
  /** Of these, what the pieces of the fullest round take, kg. */
  readonly paintingPerRoundKg: number;
  readonly dippingPerRoundKg: number;
  readonly closingPerRoundKg: number;
  readonly finishingPerRoundKg: number;
  readonly comesBack: Answer;
  /** What comes back is streaked with other colours. */
  readonly mixed: boolean;
  readonly stuck: Answer;
  readonly drips: Answer;
  readonly melted: Answer;
  readonly perRound: Answer;
}

/** One kind of part as the batch counts it. */
export interface PartCount {
  readonly partId: string;
  readonly needed: number;
  readonly parts: Answer;
  readonly spares: Answer;
  /** What the trade's usual fifth more would come to. */
  readonly partsByTrade: Answer;
  readonly rounds: Answer;
  /** Most that one round casts. */
  readonly perRound: number;
}

export interface BatchResult {
  /** In the order of the work. */
  readonly byPart: readonly PartCount[];
  readonly rounds: Answer;
  /** Rounds alike, with how many of each part they cast, in the order of `byPart`. */
  readonly runs: readonly RoundRun[];
  readonly melts: readonly MeltAnswers[];
  /** What the minutes are worked out from. */
  readonly work: TimelineInput;
  readonly timeline: Timeline;
  readonly total: Answer;
  readonly handsOn: Answer;
  readonly waiting: Answer;
}

/** The usual margin. Common practice, no source. */
const TRADE_RULE = { by: 'share', share: 0.2 } as const;

/** Parts to cast and chocolate to melt: what is known before the minutes are. */
export interface BatchAmounts {
  /** Of each kind of part, in the order of the input. */
  readonly parts: readonly number[];
  readonly melts: readonly MeltAmount[];
}

/** Parts with spares, and what to melt for them. */
export function batchAmounts(input: BatchInput): BatchAmounts {
  const parts = partCounts(input, input.pieces);
  return { parts, melts: meltsFor(input, input.pieces, parts) };
}

/**
 * How sure each kind of part has to be for all kinds together to be as sure as is wanted: they break independently.
 */
function ruleOf({ spareRule, parts }: BatchInput): SpareRule {
  return spareRule.by === 'confidence'
    ? { by: 'confidence', confidence: spareRule.confidence ** (1 / parts.length) }
    : spareRule;
}

function partCounts(input: BatchInput, pieces: number): number[] {
  const rule = ruleOf(input);
  return input.parts.map((part) => partsToCast(pieces * part.perPiece, chanceOf(input, part.breakChance.value), rule));
}

/** The chance of breaking to count with: as computed, or as parts cast before have shown. */
function chanceOf({ breakages }: BatchInput, computed: number): number | LearnedChance {
  return breakages ? learnedChance(computed, breakages.cast, breakages.broken) : computed;
}

/**
 * Parts with spares, rounds, amounts to melt, and minutes.
 * @param meltSeconds from solid chocolate to bowls that are ready, s, by melt
 */
export function batchStation(
  input: BatchInput,
  amounts: BatchAmounts,
  meltSeconds: ReadonlyMap<string, number>,
): BatchResult {
  const work: TimelineInput = {
    pieces: input.pieces,
    after: input.after,
    meltSeconds,
    parts: input.parts.map((part, i) => ({
      ...part,
      parts: amounts.parts[i],
      coats: part.coats.map((coat) => ({ ...coat, meltIds: coat.shares.map(({ meltId }) => meltId) })),
    })),
  };
  const time = timeline(work);
  const { handsOnSeconds: handsOn, waitingSeconds: waiting } = time;
  return {
    byPart: input.parts.map((_, i) => partCount(input, i, amounts.parts[i], time)),
    rounds: answer(
      time.rounds,
      'count',
      'batch.rounds',
      input.parts.flatMap((part, i) => [
        term('parts', amounts.parts[i], 'count'),
        term('cavities', part.perMold, 'count'),
        term('moldsAtHand', part.moldsAtHand, 'count'),
      ]),
    ),
    runs: time.runs,
    melts: amounts.melts.map(meltAnswers),
    work,
    timeline: time,
    total: answer(handsOn + waiting, 'duration', 'batch.total', [
      term('handsOn', handsOn, 'duration'),
      term('waiting', waiting, 'duration'),
    ]),
    handsOn: answer(handsOn, 'duration', 'batch.handsOn', [
      ...amounts.parts.map((parts) => term('parts', parts, 'count')),
      term('pieces', input.pieces, 'count'),
    ]),
    waiting: answer(waiting, 'duration', 'batch.waiting', [term('rounds', time.rounds, 'count')]),
  };
}

function partCount(input: BatchInput, index: number, parts: number, time: Timeline): PartCount {
  const { partId, perPiece, breakChance, perMold, moldsAtHand } = input.parts[index];
  const needed = input.pieces * perPiece;
  const sure = ruleOf(input);
  const range = [breakChance.low, breakChance.high].map((p) => partsToCast(needed, chanceOf(input, p), sure));
  const rule =
    sure.by === 'share' ? 'batch.partsByShare' : input.breakages ? 'batch.partsLearned' : 'batch.partsByConfidence';
  const ruleTerm =
    sure.by === 'share' ? term('spareShare', sure.share, 'share') : term('confidence', sure.confidence, 'share');
  const seen = input.breakages
    ? [term('castBefore', input.breakages.cast, 'count'), term('brokeBefore', input.breakages.broken, 'count')]
    : [];
  const terms = [
    term('partsNeeded', needed, 'count'),
    term('breakChance', breakChance.value, 'share'),
    ...seen,
    ruleTerm,
  ];
  return {
    partId,
    needed,
    parts: answer(parts, 'count', rule, terms, [Math.min(...range), Math.max(...range)]),
    spares: answer(parts - needed, 'count', rule, terms),
    partsByTrade: answer(partsToCast(needed, 0, TRADE_RULE), 'count', 'batch.partsByShare', [
      term('partsNeeded', needed, 'count'),
      term('spareShare', TRADE_RULE.share, 'share'),
    ]),
    rounds: answer(time.roundsOf[index], 'count', 'batch.rounds', [
      term('parts', parts, 'count'),
      term('cavities', perMold, 'count'),
      term('moldsAtHand', moldsAtHand, 'count'),
    ]),
    perRound: Math.max(...time.runs.map(({ cast }) => cast[index])),
  };
}

/** What goes on pieces and parts after casting, for so many of them, and in the fullest round. */
function onPiecesFor(
  { onPieces, parts }: BatchInput,
  pieces: number,
  counts: readonly number[],
  perRound: readonly number[],
): OnPieces[] {
  // As many pieces as the parts of the fullest round are for.
  const inRound = Math.min(pieces, Math.max(...parts.map(({ perPiece }, i) => Math.ceil(perRound[i] / perPiece))));
  return onPieces.map(({ eachKg, partId, ...one }) => {
    const part = parts.findIndex((candidate) => candidate.partId === partId);
    return {
      ...one,
      kg: eachKg * (part < 0 ? pieces : counts[part]),
      perRoundKg: eachKg * (part < 0 ? inRound : perRound[part]),
    };
  });
}

function meltsFor(input: BatchInput, pieces: number, counts: readonly number[]): MeltAmount[] {
  const { runs } = castRounds(input.parts.map((part, i) => ({ ...part, parts: counts[i] })));
  const perRound = counts.map((_, i) => Math.max(...runs.map(({ cast }) => cast[i])));
  const parts = input.parts.map((part, i) => ({ ...part, parts: counts[i], perRound: perRound[i] }));
  return meltAmounts({ parts, onPieces: onPiecesFor(input, pieces, counts, perRound), stuckKg: input.stuckKg });
}

function meltAnswers(melt: MeltAmount): MeltAnswers {
  const sum = [
    term('inParts', melt.inPartsKg, 'mass'),
    ...(melt.paintingKg > 0 ? [term('painting', melt.paintingKg, 'mass')] : []),
    ...(melt.dippingKg > 0 ? [term('dipping', melt.dippingKg, 'mass')] : []),
    ...(melt.closingKg > 0 ? [term('closing', melt.closingKg, 'mass')] : []),
    ...(melt.finishingKg > 0 ? [term('finishing', melt.finishingKg, 'mass')] : []),
    term('comesBack', melt.comesBackKg, 'mass'),
    term('stuck', melt.stuckKg, 'mass'),
    ...(melt.dripsKg > 0 ? [term('drips', melt.dripsKg, 'mass')] : []),
  ];
  const [inParts] = sum;
  return {
    meltId: melt.meltId,
    mixed: melt.mixed,
    inParts: answer(melt.inPartsKg, 'mass', 'batch.inParts', [inParts]),
    painting: answer(melt.paintingKg, 'mass', 'batch.painting', []),
    dipping: answer(melt.dippingKg, 'mass', 'batch.dipping', []),
    closing: answer(melt.closingKg, 'mass', 'batch.closing', []),
    finishing: answer(melt.finishingKg, 'mass', 'batch.finishing', []),
    paintingPerRoundKg: melt.paintingPerRoundKg,
    dippingPerRoundKg: melt.dippingPerRoundKg,
    closingPerRoundKg: melt.closingPerRoundKg,
    finishingPerRoundKg: melt.finishingPerRoundKg,
    comesBack: answer(melt.comesBackKg, 'mass', 'batch.comesBack', sum),
    stuck: answer(melt.stuckKg, 'mass', 'batch.stuck', [inParts, term('comesBack', melt.comesBackKg, 'mass')]),
    drips: answer(melt.dripsKg, 'mass', 'batch.drips', [inParts]),
    melted: answer(melt.meltedKg, 'mass', 'batch.melted', sum),
    perRound: answer(melt.perRoundKg, 'mass', 'batch.perRound', [term('comesBack', melt.comesBackKg, 'mass')]),
  };
}
