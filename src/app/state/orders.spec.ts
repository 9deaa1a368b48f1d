import { TestBed } from '@angular/core/testing';
import { startBy } from '../../core/batch/start';
import type { CastingPlan } from '../../core/plan/plan-types';
import { Bench, MONDAY, clockAt, until, wait, withDemo } from '../../testing/bench';
import { BatchStation } from '../workspace/batch/batch-station';
import { FittedWork } from '../workspace/batch/fitted-work';
import { Ribbon } from '../workspace/ribbon/ribbon';
import { PlanService } from './plan-service';
import { StudyAccess } from './study-access';

const { store } = withDemo();
beforeEach(() => clockAt(MONDAY));
afterEach(() => void jest.useRealTimers());

const plan = (): CastingPlan => {
  const now = TestBed.inject(PlanService).plan();
  if (!now) throw new Error('no plan');
  return now;
};
const found = async (): Promise<void> => {
  await until(() => plan().batch.order === 'found' && TestBed.inject(PlanService).chillSource() === 'worker');
  TestBed.tick();
};
/** Minutes as they stand on the page: "2 h 37 min", "157 min". */
const minutesIn = (text: string): string | undefined => /\d+ h( \d+ min)?|\d+ min/.exec(text)?.[0];

describe('the order of a casting’s rounds', () => {
  it('is found once the plan stands, and all that is told of its minutes follows', async () => {
    const bench = await Bench.of(Ribbon);
    await found();
    const { batch, start, casting } = plan();
    expect(batch.total.value).toBeLessThan(batch.inTurnS - 15 * 60);
    expect(start).toEqual(startBy(casting.due, batch.total));
    await bench.press('whole job');
    const told = minutesIn(bench.text);
    const [station, view] = [await Bench.of(BatchStation), await Bench.of(FittedWork)];
    expect(told).toBeDefined();
    expect(station.text).toContain(told);
    expect(view.text).toContain(`Each round in the waits of the others: ${told ?? ''}`);
  });

  it('is told about while something changes, without a jump, and found anew', async () => {
    TestBed.inject(PlanService);
    await found();
    const before = plan().batch;
    store().edit('one more', (casting) => (casting.pieces = 19));
    TestBed.tick();
    const about = plan().batch;
    expect(about.order).toBe('about');
    // One more piece is no more than one more round.
    expect(Math.abs(about.total.value - before.total.value)).toBeLessThan(before.total.value / before.rounds.value);
    await found();
    expect(plan().batch.inTurnS).not.toBe(before.inTurnS);
    expect(plan().batch.total.value).toBeGreaterThan(before.total.value - 1);
  });

  it('stays one round after the other where the worker does not answer', async () => {
    // As the client has it where the worker cannot start, or fails.
    jest.spyOn(TestBed.inject(StudyAccess).client, 'fit').mockResolvedValue(undefined);
    TestBed.inject(PlanService);
    await until(() => TestBed.inject(PlanService).chillSource() === 'worker');
    await wait(600);
    TestBed.tick();
    expect(plan().batch.order).toBe('inTurn');
    expect(plan().batch.total.value).toBe(plan().batch.inTurnS);
  });
});
