import { demoCastings } from '../../data/demo';
import { dueSeconds } from '../record/due';
import { planned } from '../../testing/planned';
import { aheadOf } from './ahead';

const MONDAY = new Date('2026-10-12T08:00:00Z');
const castings = demoCastings(MONDAY);
const dueS = dueSeconds(castings[0].due);
const DAY_S = 86_400;
const of = (id: string) => {
  const casting = structuredClone(castings.find((one) => one.id === id));
  if (!casting) throw new Error(id);
  const plan = planned(casting);
  return {
    plan,
    steps: aheadOf(plan, dueS),
    step: (name: string) => aheadOf(plan, dueS).find(({ step }) => step === name),
  };
};

describe('what is done ahead', () => {
  it('empty shells weeks before, filled ones as long as the filling keeps: common practice, no source', () => {
    const { step } = of('demo-bites');
    expect(step('cast')?.fromS).toBe(dueS - 60 * DAY_S);
    // Ganache: some days in the cold.
    expect(step('fill')?.fromS).toBe(dueS - 3 * DAY_S);
    expect(step('make')?.fromS).toBe(dueS - 3 * DAY_S);
  });

  it('what is capped in its mold is cast and filled in one, and no earlier than its filling keeps', () => {
    const { steps, step } = of('demo-bonbons');
    expect(step('cast')?.fromS).toBe(dueS - 3 * DAY_S);
    expect(steps.map(({ step: name }) => name)).not.toContain('fill');
    // Made and stood before the first is cast.
    expect(step('make')?.untilS).toBeLessThanOrEqual((step('cast')?.untilS ?? 0) - 3600);
  });

  it('in its order: each step no later than the next, the casting by itself just in time, never after the event', () => {
    for (const { id } of castings) {
      const { plan, steps } = of(id);
      const until = steps.filter(({ step }) => step !== 'make').map(({ untilS }) => untilS);
      expect(until[0]).toBeCloseTo(dueS - plan.batch.total.value, 3);
      expect([...until].sort((a, b) => a - b)).toEqual(until);
      for (const { fromS, untilS } of steps) {
        expect(untilS).toBeLessThanOrEqual(dueS);
        expect(fromS).toBeLessThanOrEqual(untilS);
      }
    }
  });
});
