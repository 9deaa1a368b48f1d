import { answer, term } from '../quantity/answer';
import type { BatchResult } from './batch';
import { secondsOf, type Stretch } from './stretch';

/** A casting's work by one pair of hands as it was found, its rounds in each other's waits; s. */
export interface JobOrder {
  /** What is done by hand, and what dries or sets at last, by its time from the start. */
  readonly stretches: readonly Stretch[];
  /** What it takes in all, and at the least in any order. */
  readonly endS: number;
  readonly leastS: number;
}

/** A batch told in the order that was found for it: what the hands wait for, between what they do, is what waits before what they do next. */
export function inJobOrder(batch: BatchResult, order: JobOrder): BatchResult {
  // What does not last so long is melted anew, so that there is more to do.
  const handsOnS = secondsOf(order.stretches, true);
  const waitingS = Math.max(0, order.endS - handsOnS);
  return {
    ...batch,
    order: 'found',
    leastS: order.leastS,
    timeline: {
      ...batch.timeline,
      wholeJob: withWaits(order, batch.timeline.wholeJob),
      handsOnSeconds: handsOnS,
      waitingSeconds: waitingS,
    },
    handsOn: answer(handsOnS, 'duration', 'batch.handsOn', batch.handsOn.terms),
    total: answer(order.endS, 'duration', 'batch.fitted', [
      term('handsOn', handsOnS, 'duration'),
      term('handsWait', waitingS, 'duration'),
      term('inTurn', batch.inTurnS, 'duration'),
      term('atLeast', order.leastS, 'duration'),
    ]),
    waiting: answer(waitingS, 'duration', 'batch.handsWait', [
      term('total', order.endS, 'duration'),
      term('handsOn', handsOnS, 'duration'),
    ]),
  };
}

/**
 * A batch as long as it is likely to be once its order is found: one round after the other, with as much less waiting as the order of one like it had.
 * @param waits share of the waiting that was left, 0 to 1
 */
export function aboutInOrder(batch: BatchResult, waits: number): BatchResult {
  if (waits >= 1 || batch.order !== 'inTurn') return batch;
  const waitingS = batch.waiting.value * waits;
  let startSeconds = 0;
  const wholeJob = batch.timeline.wholeJob.map((stretch): Stretch => {
    const seconds = stretch.handsOn ? stretch.seconds : stretch.seconds * waits;
    const placed = { ...stretch, startSeconds, seconds };
    startSeconds += seconds;
    return placed;
  });
  return {
    ...batch,
    order: 'about',
    timeline: { ...batch.timeline, wholeJob, waitingSeconds: waitingS },
    total: answer(batch.handsOn.value + waitingS, 'duration', 'batch.total', [
      term('handsOn', batch.handsOn.value, 'duration'),
      term('waiting', waitingS, 'duration'),
    ]),
    waiting: answer(waitingS, 'duration', 'batch.waiting', batch.waiting.terms),
  };
}

/** What an order leaves of the waiting that there is with one round after the other, as a share. */
export function waitsLeft({ inTurnS, handsOn }: Pick<BatchResult, 'inTurnS' | 'handsOn'>, { endS }: JobOrder): number {
  const waitingS = inTurnS - handsOn.value;
  return waitingS > 0 ? Math.min(1, Math.max(0, endS - handsOn.value) / waitingS) : 1;
}

/** The order as one line without gaps, for one pair of hands. */
function withWaits({ stretches, endS }: JobOrder, inTurn: readonly Stretch[]): Stretch[] {
  const line: Stretch[] = [];
  let until = 0;
  const wait = (to: number, next: Stretch | undefined): void => {
    if (to <= until) return;
    const dries = stretches.find(
      ({ handsOn, startSeconds, seconds }) => !handsOn && startSeconds < to && startSeconds + seconds > until,
    );
    const before = next && waitBefore(inTurn, next);
    line.push({ ...(before ?? dries ?? WAITING), startSeconds: until, seconds: to - until });
    until = to;
  };
  for (const stretch of stretches.filter(({ handsOn }) => handsOn)) {
    wait(stretch.startSeconds, stretch);
    line.push(stretch);
    until = stretch.startSeconds + stretch.seconds;
  }
  wait(endS, undefined);
  return line;
}

const WAITING: Omit<Stretch, 'startSeconds' | 'seconds'> = { kind: 'rounds', handsOn: false };

/** What is waited for before something is done: what stands before the same with one round after the other, where that is a wait. */
function waitBefore(inTurn: readonly Stretch[], next: Stretch): Stretch | undefined {
  const at = inTurn.findIndex((one) => one.handsOn && isSame(one, next));
  const before = inTurn
    .slice(0, Math.max(0, at))
    .filter(({ part, round }) => part === next.part && round === next.round)
    .at(-1);
  return before?.handsOn ? undefined : before;
}

function isSame(a: Stretch, b: Stretch): boolean {
  return a.kind === b.kind && a.part === b.part && a.round === b.round && a.coat === b.coat && a.step === b.step;
}
