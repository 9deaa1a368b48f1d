import fc from 'fast-check';
import { arbitraryCasting } from '../../testing/arbitrary-casting';
import { demoCastings } from '../../data/demo';
import { draftPlan } from '../plan/draft';
import { chillsOf } from '../plan/makings';
import { finishPlan } from '../plan/plan';
import type { CastingPlan } from '../plan/plan-types';
import type { Casting } from '../record/casting';
import { faultsOf } from '../schedule/check';
import { fit } from './fit';
import { jobWorkload, type JobWorkload } from './job-workload';

const castings = demoCastings(new Date('2026-10-12T08:00:00Z'));
const demo = (id: string): Casting => {
  const found = castings.find((casting) => casting.id === id);
  if (!found) throw new Error(`no ${id}`);
  return structuredClone(found);
};
const planned = (casting: Casting): CastingPlan => {
  const draft = draftPlan(casting);
  return finishPlan(draft, chillsOf(draft));
};
const jobOf = (casting: Casting): JobWorkload => {
  const job = jobWorkload(planned(casting));
  if (!job) throw new Error('no job');
  return job;
};
const endOf = (casting: Casting): number => fit(jobOf(casting).workload)?.endS ?? NaN;

describe('a casting’s work as operations', () => {
  it('holds all that is done by hand, to the second', () => {
    for (const casting of castings) {
      const plan = planned(casting);
      const hands = jobOf(casting).stretches.reduce((sum, { seconds, handsOn }) => sum + (handsOn ? seconds : 0), 0);
      expect(Math.abs(hands - plan.batch.handsOn.value)).toBeLessThan(jobOf(casting).stretches.length);
    }
  });

  it('takes at most as long as one round after the other, and without a fault by the checker', () => {
    for (const casting of castings) {
      const { workload } = jobOf(casting);
      const fitted = fit(workload);
      expect(faultsOf(workload, fitted?.starts ?? [])).toEqual([]);
      expect(fitted?.endS).toBeLessThanOrEqual(planned(casting).batch.total.value + workload.operations.length);
      expect(fitted?.leastS).toBeLessThanOrEqual(fitted?.endS ?? 0);
    }
  });

  it('fills and closes the bombs while later rounds set: a quarter of an hour less with one mold, far less with two', () => {
    const bombs = demo('demo-bombs');
    const inTurn = planned(bombs).batch.total.value;
    const one = endOf(bombs);
    expect(inTurn - one).toBeGreaterThan(15 * 60);
    bombs.molds[0].atHand = 2;
    expect(endOf(bombs)).toBeLessThan(0.75 * one);
  });

  it('keeps the order of what is done to a part, and a mold waits until it is empty', () => {
    const { workload, stretches } = jobOf(demo('demo-bombs'));
    const { starts } = fit(workload) ?? { starts: [] };
    const of = (kind: string, round: number): number[] =>
      starts.filter((_, i) => stretches[i].kind === kind && stretches[i].round === round);
    const rounds = Math.max(...stretches.map(({ round = 0 }) => round));
    for (let round = 0; round <= rounds; round++) {
      const [first, second] = of('coat', round);
      const [out] = of('unmold', round);
      expect(first).toBeLessThan(second);
      expect(second).toBeLessThan(out);
      for (const next of of('coat', round + 1)) expect(next).toBeGreaterThan(out);
      for (const filled of of('fill', round)) expect(filled).toBeGreaterThan(out);
    }
  });

  it('is not fitted where it never ends, or is of more than anybody follows', () => {
    const hot = demo('demo-bombs');
    hot.kitchen.roomC = 35;
    hot.parts[0].coats.forEach((coat) => (coat.sets = [{ place: 'room' }]));
    expect(jobWorkload(planned(hot))).toBeUndefined();
    const many = demo('demo-bombs');
    many.pieces = 500;
    expect(jobWorkload(planned(many))).toBeUndefined();
  });

  it('of any casting is possible, or is told to be none', () => {
    let fitted = 0;
    fc.assert(
      fc.property(arbitraryCasting, (casting) => {
        const plan = planned(casting);
        const job = jobWorkload(plan);
        const found = job && fit(job.workload);
        if (!job || !found) return;
        fitted++;
        expect(faultsOf(job.workload, found.starts)).toEqual([]);
        expect(found.leastS).toBeLessThanOrEqual(found.endS);
      }),
      { numRuns: 15 },
    );
    expect(fitted).toBeGreaterThan(2);
  });
});
