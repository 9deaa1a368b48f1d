import fc from 'fast-check';
import { arbitraryCasting } from '../../testing/arbitrary-casting';
import { demoCastings } from '../../data/demo';
import { aboutInOrder, waitsLeft } from '../batch/job-order';
import { secondsOf, type Stretch } from '../batch/stretch';
import { draftPlan } from '../plan/draft';
import { chillsOf } from '../plan/makings';
import { finishPlan, planAboutInOrder } from '../plan/plan';
import type { CastingPlan } from '../plan/plan-types';
import type { Casting } from '../record/casting';
import { fittedPlan, orderOf, withMoreMoldsS } from './fitted-job';

const castings = demoCastings(new Date('2026-10-12T08:00:00Z'));
const planned = (casting: Casting): CastingPlan => {
  const draft = draftPlan(casting);
  return finishPlan(draft, chillsOf(draft));
};

/** A plan's work is one line without gaps, with all that is done by hand, as long as its minutes in all. */
function expectOneLine({ batch, start, casting }: CastingPlan, inTurn: CastingPlan): void {
  const { wholeJob } = batch.timeline;
  let at = 0;
  for (const { startSeconds, seconds } of wholeJob) {
    expect(startSeconds).toBeCloseTo(at, 3);
    expect(seconds).toBeGreaterThanOrEqual(0);
    at += seconds;
  }
  expect(at).toBeCloseTo(batch.total.value, 3);
  expect(batch.handsOn.value + batch.waiting.value).toBeCloseTo(batch.total.value, 3);
  // Tasks are told to whole seconds. Melting apart, as what does not last so long is melted anew.
  const melts = (all: readonly Stretch[]): Stretch[] => all.filter(({ kind }) => kind === 'melt');
  const more = secondsOf(melts(wholeJob), true) - secondsOf(melts(inTurn.batch.timeline.wholeJob), true);
  expect(more).toBeGreaterThan(-wholeJob.length);
  expect(secondsOf(wholeJob, true)).toBeCloseTo(batch.handsOn.value, 3);
  expect(Math.abs(batch.handsOn.value - more - inTurn.batch.handsOn.value)).toBeLessThan(wholeJob.length + 1);
  expect(batch.total.value).toBeLessThanOrEqual(inTurn.batch.total.value + more + wholeJob.length);
  expect(batch.total.value).toBeGreaterThanOrEqual((batch.leastS ?? 0) - 1e-6);
  expect(start.value).toBeGreaterThanOrEqual(inTurn.start.value - more - 300 - wholeJob.length);
  expect(casting).toBe(inTurn.casting);
}

describe('a casting in the order that was found for its rounds', () => {
  it('is one line for one pair of hands, of the same work, and begins no earlier', () => {
    for (const casting of castings) {
      const inTurn = planned(casting);
      const plan = fittedPlan(inTurn);
      expect(plan.batch.order).toBe('found');
      expectOneLine(plan, inTurn);
    }
  });

  it('is so for any casting', () => {
    let found = 0;
    fc.assert(
      fc.property(arbitraryCasting, (casting) => {
        const inTurn = planned(casting);
        const plan = fittedPlan(inTurn);
        if (plan === inTurn) return;
        found++;
        expectOneLine(plan, inTurn);
      }),
      { numRuns: 40 },
    );
    expect(found).toBeGreaterThan(5);
  });

  it('names what is waited for as one round after the other does, and moves what follows from the minutes', () => {
    const [bombs] = castings;
    const inTurn = planned(bombs);
    const plan = fittedPlan(inTurn);
    const waits = plan.batch.timeline.wholeJob.filter(({ handsOn }) => !handsOn);
    expect(waits.some(({ kind, place }) => kind === 'chill' && place === 'fridge')).toBe(true);
    expect(plan.batch.inTurnS).toBe(inTurn.batch.total.value);
    expect(plan.start.value - inTurn.start.value).toBeGreaterThanOrEqual(15 * 60);
    // The bowl is worked for less long, so that it is warmed no more often.
    for (const [i, melt] of plan.melts.entries())
      expect(melt.reheats.value).toBeLessThanOrEqual(inTurn.melts[i].reheats.value);
  });

  it('is told about as long before its order is found anew: the same for the same work, never under what is done by hand', () => {
    for (const casting of castings) {
      const inTurn = planned(casting);
      const order = orderOf(inTurn);
      if (typeof order === 'string') throw new Error(order);
      const waits = waitsLeft(inTurn.batch, order);
      const about = planAboutInOrder(inTurn, waits);
      expect(Math.abs(about.batch.total.value - Math.min(order.endS, inTurn.batch.total.value))).toBeLessThan(1);
      expect(aboutInOrder(inTurn.batch, 0).total.value).toBeCloseTo(inTurn.batch.handsOn.value, 6);
      expect(aboutInOrder(inTurn.batch, 1)).toBe(inTurn.batch);
    }
  });

  it('takes less with more of its molds, where the rounds wait for them', () => {
    const [bombs] = castings;
    const order = orderOf(planned(bombs));
    expect(withMoreMoldsS(bombs)).toBeLessThan(0.8 * (typeof order === 'string' ? NaN : order.endS));
  });
});
