import * as fc from 'fast-check';
import { BEGINS_S, madeRun } from '../../testing/made-run';
import { fit } from '../occasion/fit';
import { follow } from './following';
import type { Mark } from './mark';
import { orderFrom, remaining, type NewOrder } from './replanning';
import type { Run } from './run-record';
import { runState, type RunState } from './run-state';

const run = madeRun();

/** The made run without what dries at the end of it: its rounds are alike. */
const dry = run.tasks.length - 1;
const alike: Run = { ...run, tasks: run.tasks.slice(0, dry), lags: run.lags.filter(({ to }) => to !== dry) };

/** The same with ten minutes of other work planned for the end of it, that waits for nothing. */
function withOther(): Run {
  const { tasks } = alike;
  const lastS = Math.max(...tasks.map(({ startS, seconds }) => startS + seconds));
  const other = { ...tasks[0], key: 'other/make/0', kind: 'make' as const, seconds: 600, startS: lastS };
  delete other.bowl;
  return { ...alike, tasks: [...tasks, other] };
}

function replanned(of: Run, state: RunState, nowS: number): NewOrder | undefined {
  for (const strict of [true, false]) {
    const left = remaining(of, state, nowS, strict);
    const found = left && fit(left.workload);
    if (left && found) return orderFrom(of, state, nowS, left, found.starts);
  }
  return undefined;
}

const done = (task: string, seconds: number): Mark => ({ id: task, kind: 'done', task, atS: BEGINS_S + seconds });

describe('what is left of a run', () => {
  it('is put into another order where hands would wait: what was for the end is done in the wait', () => {
    const of = withOther();
    // Both first coats are on; ten minutes of setting are nothing to wait by.
    const marks = of.tasks.slice(0, 3).map(({ key }, i) => done(key, 600 + 120 * i));
    const state = runState(marks);
    const nowS = BEGINS_S + 850;
    const found = replanned(of, state, nowS);
    if (!found) throw new Error('nothing found');
    expect(found.order.indexOf('other/make/0')).toBeLessThan(found.order.length - 1);
    // By hand: ten minutes that are not behind the rest any more.
    expect(found.insteadS - found.readyS).toBeCloseTo(600, 0);
    // The mark that says so is all that another tab needs.
    const after = runState([...marks, { id: 'o', kind: 'order', tasks: [...found.order], atS: nowS }]);
    expect(follow(of, after, nowS).readyS).toBe(found.readyS);
    // Taken back, it is as it was.
    const back: Mark = { id: 'b', kind: 'takenBack', mark: 'o', atS: nowS };
    expect(
      follow(of, runState([...marks, { id: 'o', kind: 'order', tasks: [...found.order], atS: nowS }, back]), nowS)
        .readyS,
    ).toBe(found.insteadS);
  });

  it('stays as planned where nothing is gained, and where hands are away without end', () => {
    expect(replanned(alike, runState([]), BEGINS_S)).toBeUndefined();
    const paused = { ...runState([]), awayUntilS: Infinity };
    expect(remaining(run, paused, BEGINS_S, true)).toBeUndefined();
  });

  it('keeps every least wait and is never later, whatever was done when', () => {
    let orders = 0;
    fc.assert(
      fc.property(
        fc.subarray([...alike.tasks.keys()]),
        fc.integer({ min: 0, max: 7200 }),
        fc.integer({ min: 0, max: 1800 }),
        (doneTasks, seconds, longerS) => {
          const of = withOther();
          const marks: Mark[] = doneTasks.map((i, k) => done(of.tasks[i].key, (seconds * (k + 1)) / doneTasks.length));
          const state = { ...runState(marks), longerS: new Map([[`${of.tasks[1].key}>${of.tasks[3].key}`, longerS]]) };
          const nowS = BEGINS_S + seconds;
          const found = replanned(of, state, nowS);
          if (!found) return;
          orders++;
          expect(found.readyS).toBeLessThan(found.insteadS);
          const followed = follow(of, { ...state, order: found.order }, nowS);
          for (const { from, to, least } of of.lags)
            if (followed.open[to])
              expect(followed.startS[to]).toBeGreaterThanOrEqual(followed.endS[from] + least - 1e-6);
        },
      ),
      { numRuns: 200 },
    );
    expect(orders).toBeGreaterThan(20);
  });

  it('leaves an order aside that would have something done before what it waits for', () => {
    const backward = [...run.tasks].reverse().map(({ key }) => key);
    expect(follow(run, { ...runState([]), order: backward }, BEGINS_S)).toEqual(follow(run, runState([]), BEGINS_S));
  });
});
