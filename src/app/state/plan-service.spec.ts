import { TestBed } from '@angular/core/testing';
import { problemId } from '../../core/study/remedy-effect';
import { closeWorkers, openDemo, until, wait } from '../../testing/bench';
import type { CastingStore } from './casting-store';
import { PlanService } from './plan-service';
import type { CastingPlan } from '../../core/plan/plan-types';

describe('PlanService', () => {
  let store: CastingStore;
  let plans: PlanService;
  let delay: number | undefined;

  const begin = async (delayMs: number | undefined): Promise<void> => {
    delay = delayMs;
    store = await openDemo('demo-bombs', () => delay);
    plans = TestBed.inject(PlanService);
    TestBed.tick();
  };
  const plan = (): CastingPlan => {
    const now = plans.plan();
    if (!now) throw new Error('no plan');
    return now;
  };
  const fridge = (fridgeC: number): void => {
    store.edit('fridge', (casting) => (casting.kitchen.fridgeC = fridgeC));
    TestBed.tick();
  };

  afterEach(closeWorkers);

  it('has a whole plan at once, and the worker’s ranges a moment later', async () => {
    await begin(0);
    expect(plans.chillSource()).toBe('first');
    const [first] = plan().chill.coats;
    expect(first.stay.value).toBeGreaterThan(120);
    expect(first.stay.low).toBe(first.stay.high);
    await until(() => plans.chillSource() === 'worker');
    expect(plans.chillSource()).toBe('worker');
    const [fine] = plan().chill.coats;
    // The first answer is the closed form's; the simulation's shell may take a minute more or less.
    expect(Math.abs(fine.stay.value - first.stay.value)).toBeLessThanOrEqual(60);
    expect(fine.stay.low).toBeLessThan(fine.stay.value);
    expect(fine.stay.high).toBeGreaterThan(fine.stay.value);
  });

  it('takes the simulation’s thickness when it is there, within the range it gave before, and then a range of its own', async () => {
    await begin(0);
    const closed = plan().coat.total;
    expect(plan().coat.coats[0].thickness.rim.rule).toBe('coat.dumped');
    await until(() => plans.chillSource() === 'worker');
    expect(plan().coat.coats[0].thickness.rim.rule).toBe('coat.dumpedSimulated');
    const { rim } = plan().coat.total;
    expect(rim.value).not.toBe(closed.rim.value);
    expect(rim.value).toBeGreaterThan(closed.rim.low ?? 0);
    expect(rim.value).toBeLessThan(closed.rim.high ?? 0);
    await until(() => plan().coat.total.rim.high !== rim.high);
    expect(plan().coat.total.rim.value).toBe(rim.value);
    expect(plan().coat.total.rim.low).toBeLessThan(rim.value);
  });

  it('follows a change of coats at once, and with the chill as soon as the worker answers', async () => {
    await begin(0);
    await until(() => plans.chillSource() === 'worker');
    const waits = (): number => plan().chill.coats.reduce((sum, coat) => sum + coat.stay.value, 0);
    const before = waits();
    store.edit('wanted', (casting) => (casting.parts[0].coatsBy = { by: 'thickness', rimM: 0.0036 }));
    TestBed.tick();
    expect((plans.draft()?.coat.total.rim.value ?? 0) * 1e3).toBeCloseTo(3.6, 2);
    await until(() => plans.chillSource() === 'worker');
    expect(plans.chillSource()).toBe('worker');
    expect(plan().casting).toBe(store.current());
    expect(waits()).toBeGreaterThan(before);
  });

  it('follows what the chill does not depend on without asking for it again', async () => {
    await begin(0);
    await until(() => plans.chillSource() === 'worker');
    delay = undefined;
    store.edit('pieces', (casting) => (casting.pieces = 30));
    TestBed.tick();
    expect(plans.chillSource()).toBe('worker');
    expect(plan().casting.pieces).toBe(30);
  });

  it('does not wait long for a slow worker: the last chill stands, marked, until the new one is there', async () => {
    await begin(0);
    await until(() => plans.chillSource() === 'worker');
    const before = plan().chill.coats[0].stay.value;
    delay = 600;
    fridge(10);
    expect(plan().casting.kitchen.fridgeC).toBe(5);
    await wait(200);
    expect(plan().casting.kitchen.fridgeC).toBe(10);
    expect(plans.chillSource()).toBe('last');
    expect(plan().chill.coats[0].stay.value).toBe(before);
    await until(() => plans.chillSource() === 'worker');
    expect(plans.chillSource()).toBe('worker');
    expect(plan().chill.coats[0].stay.value).toBeGreaterThan(before * 1.1);
  });

  it('ends on the newest of many changes, whatever the answers between were for', async () => {
    await begin(0);
    await until(() => plans.chillSource() === 'worker');
    delay = 30;
    for (const fridgeC of [0, 3, 6, 9, 12, 4]) {
      fridge(fridgeC);
      await wait(20);
    }
    await until(() => plans.chillSource() === 'worker' && plan().casting.kitchen.fridgeC === 4);
    expect(plans.chillSource()).toBe('worker');
    expect(plan().casting.kitchen.fridgeC).toBe(4);
    expect(plan().casting).toBe(store.current());
  });

  it('is not pushed back by a late answer when a change is undone', async () => {
    await begin(0);
    await until(() => plans.chillSource() === 'worker');
    const before = plan().chill.coats[0].stay.value;
    delay = 150;
    fridge(12);
    store.undo();
    TestBed.tick();
    expect(plans.chillSource()).toBe('worker');
    await wait(400);
    expect(plans.chillSource()).toBe('worker');
    expect(plan().chill.coats[0].stay.value).toBe(before);
  });

  it('never shows another casting’s chill', async () => {
    await begin(0);
    await until(() => plans.chillSource() === 'worker');
    delay = undefined;
    store.open('demo-bites');
    TestBed.tick();
    expect(plan().casting.id).toBe('demo-bites');
    expect(plans.chillSource()).toBe('first');
  });

  it('says what taking a note’s advice would change', async () => {
    await begin(0);
    const [long] = plan()
      .problems.filter(({ key }) => key === 'longJob')
      .map(problemId);
    await until(() => plans.effects().has(long));
    expect(plans.effects().get(long)?.seconds).toBeLessThan(-600);
  });
});
