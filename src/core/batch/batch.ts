import { answer, term, type Answer } from '../quantity/answer';
import type { SpareRule } from '../record/casting';
import { meltAmounts, type MeltAmount, type OnPieces } from './amounts';
import type { BatchInput, BatchPart, PartCast } from './batch-types';
import { castRounds, type RoundRun } from './rounds';
import { learnedChance, partsToCast, type LearnedChance } from './spares';
import { timeline, type Timeline, type TimelineInput } from './timeline';

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
  /** Of them, those that are cast alike, in the order of the input. */
  readonly casts: readonly number[];
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
  /** How the rounds lie: one after the other, about as they will once their order is found, or in the order that was found. */
  readonly order: 'inTurn' | 'about' | 'found';
  /** One round after the other, s. */
  readonly inTurnS: number;
  /** What it takes at the least, whatever the order, s; known once its order is found. */
  readonly leastS?: number;
  readonly total: Answer;
  readonly handsOn: Answer;
  readonly waiting: Answer;
}

/** The usual margin. Common practice, no source. */
const TRADE_RULE = { by: 'share', share: 0.2 } as const;

/** Parts to cast and chocolate to melt: what is known before the minutes are. */
export interface BatchAmounts {
  /** Of each kind of part, in the order of the input, how many are cast alike. */
  readonly casts: readonly (readonly number[])[];
  readonly melts: readonly MeltAmount[];
}

/** Parts with spares, and what to melt for them. */
export function batchAmounts(input: BatchInput): BatchAmounts {
  const sure = ruleOf(input);
  const casts = input.parts.map((part) =>
    part.casts.map((cast) => toCast(input, part, cast, cast.breakChance.value, sure)),
  );
  return { casts, melts: meltsFor(input, casts) };
}

/** How many are to be cast: what is there is whole, and needs no spares. */
function toCast(
  input: BatchInput,
  { perPiece }: BatchPart,
  { pieces, there }: PartCast,
  breakChance: number,
  rule: SpareRule,
): number {
  const needed = neededOf(perPiece, { pieces, there });
  return needed === 0 ? 0 : partsToCast(needed, chanceOf(input, breakChance), rule);
}

/** How many have to come out whole, beside those that are there. */
export function neededOf(perPiece: number, { pieces, there }: Pick<PartCast, 'pieces' | 'there'>): number {
  return Math.max(0, pieces * perPiece - there);
}

/**
 * How sure all that are cast alike have to be for all together to be as sure as is wanted: they break independently, and none takes the
 * place of another.
 */
function ruleOf({ spareRule, parts }: BatchInput): SpareRule {
  const kinds = sumOf(parts.map(({ perPiece, casts }) => casts.filter((cast) => neededOf(perPiece, cast) > 0).length));
  return spareRule.by === 'confidence'
    ? { by: 'confidence', confidence: spareRule.confidence ** (1 / Math.max(1, kinds)) }
    : spareRule;
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
  const parts = amounts.casts.map(sumOf);
  const { pace } = input;
  const work: TimelineInput = {
    pieces: input.pieces,
    after: input.after,
    meltSeconds,
    pace,
    parts: input.parts.map((part, i) => ({ ...part, parts: parts[i] })),
  };
  const time = timeline(work);
  const { handsOnSeconds: handsOn, waitingSeconds: waiting } = time;
  return {
    byPart: input.parts.map((_, i) => partCount(input, i, amounts.casts[i], time)),
    rounds: answer(
      time.rounds,
      'count',
      'batch.rounds',
      input.parts.flatMap((part, i) => [
        term('parts', parts[i], 'count'),
        term('cavities', part.perMold, 'count'),
        term('moldsAtHand', part.moldsAtHand, 'count'),
      ]),
    ),
    runs: time.runs,
    melts: amounts.melts.map(meltAnswers),
    work,
    timeline: time,
    order: 'inTurn',
    inTurnS: handsOn + waiting,
    total: answer(handsOn + waiting, 'duration', 'batch.total', [
      term('handsOn', handsOn, 'duration'),
      term('waiting', waiting, 'duration'),
    ]),
    handsOn: answer(handsOn, 'duration', 'batch.handsOn', [
      ...parts.map((count) => term('parts', count, 'count')),
      term('pieces', input.pieces, 'count'),
      ...(pace ? [term('handsUsually', time.handsUsuallySeconds, 'duration')] : []),
      ...(pace ? [term('readings', sumOf(Object.values(pace).map((lesson) => lesson?.readings ?? 0)), 'count')] : []),
    ]),
    waiting: answer(waiting, 'duration', 'batch.waiting', [term('rounds', time.rounds, 'count')]),
  };
}

function partCount(input: BatchInput, index: number, casts: readonly number[], time: Timeline): PartCount {
  const part = input.parts[index];
  const { partId, perPiece, perMold, moldsAtHand } = part;
  const parts = sumOf(casts);
  const there = sumOf(part.casts.map((cast) => Math.min(cast.there, cast.pieces * perPiece)));
  const needed = input.pieces * perPiece - there;
  const sure = ruleOf(input);
  const range = (['low', 'high'] as const).map((end) =>
    sumOf(part.casts.map((cast) => toCast(input, part, cast, cast.breakChance[end], sure))),
  );
  const breakChance = sumOf(part.casts.map((cast) => cast.breakChance.value * cast.pieces)) / input.pieces;
  const rule =
    sure.by === 'share' ? 'batch.partsByShare' : input.breakages ? 'batch.partsLearned' : 'batch.partsByConfidence';
  const ruleTerm =
    sure.by === 'share' ? term('spareShare', sure.share, 'share') : term('confidence', sure.confidence, 'share');
  const seen = input.breakages
    ? [term('castBefore', input.breakages.cast, 'count'), term('brokeBefore', input.breakages.broken, 'count')]
    : [];
  const terms = [
    term('partsNeeded', needed, 'count'),
    ...(there > 0 ? [term('partsThere', there, 'count')] : []),
    term('breakChance', breakChance, 'share'),
    ...seen,
    ruleTerm,
  ];
  return {
    partId,
    needed,
    casts,
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

/** What goes on pieces and parts before and after casting, in all and in the fullest round. */
function onPiecesFor(
  { onPieces, parts }: BatchInput,
  casts: readonly (readonly number[])[],
  perRound: readonly number[],
): OnPieces[] {
  // As many pieces as the parts of the fullest round are for.
  const inRound = Math.max(...parts.map(({ perPiece }, i) => Math.ceil(perRound[i] / perPiece)));
  return onPieces.map(({ eachKg, on, ...one }) => {
    const part = parts.findIndex((candidate) => 'partId' in on && candidate.partId === on.partId);
    const count = 'pieces' in on ? on.pieces : (casts[part]?.[on.cast] ?? 0);
    // Where nothing is cast, what is done to the pieces is done at once.
    const most = 'pieces' in on ? inRound || on.pieces : (perRound[part] ?? 0);
    return { ...one, kg: eachKg * count, perRoundKg: eachKg * Math.min(count, most) };
  });
}

function meltsFor(input: BatchInput, casts: readonly (readonly number[])[]): MeltAmount[] {
  const { runs } = castRounds(input.parts.map((part, i) => ({ ...part, parts: sumOf(casts[i]) })));
  const perRound = casts.map((_, i) => Math.max(...runs.map(({ cast }) => cast[i])));
  const parts = input.parts.flatMap(({ perMold, casts: alike }, i) =>
    // Those that are cast alike are cast together, before the others.
    alike.map((cast, k) => ({ ...cast, perMold, parts: casts[i][k], perRound: Math.min(perRound[i], casts[i][k]) })),
  );
  return meltAmounts({ parts, onPieces: onPiecesFor(input, casts, perRound), stuckKg: input.stuckKg });
}

function sumOf(numbers: readonly number[]): number {
  return numbers.reduce((sum, one) => sum + one, 0);
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
