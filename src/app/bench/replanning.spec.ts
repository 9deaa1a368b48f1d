import 'fake-indexeddb/auto';
import { until } from '../../testing/bench';
import { madeRun } from '../../testing/made-run';
import { OpenRun, withFreshBrowser } from '../../testing/open-run';
import type { Run } from '../../core/run/run-record';

/** The made run with a ganache planned for the end of it, that waits for nothing; nothing dries. */
function withGanache(change: Partial<Run> = {}): Run {
  const run = madeRun();
  const dry = run.tasks.length - 1;
  const tasks = run.tasks.slice(0, dry);
  const lastS = Math.max(...tasks.map(({ startS, seconds }) => startS + seconds));
  const other = { ...tasks[0], key: 'other/make/0', kind: 'make' as const, seconds: 600, startS: lastS };
  delete other.bowl;
  return { ...run, tasks: [...tasks, other], lags: run.lags.filter(({ to }) => to !== dry), ...change };
}

withFreshBrowser();

describe('a run that falls behind', () => {
  it('is put into a better order, which is told once and can be taken back', async () => {
    const open = await OpenRun.of(withGanache());
    // Twenty minutes late with the melt, and then as planned.
    await open.at(1800);
    await open.noted(() => open.bench.press('Done'));
    await until(() => open.bench.text.includes('the order has changed'));
    expect(open.bench.text).toMatch(
      /Behind the plan, so the order has changed: next .*\. Ready \d\d:\d\d instead of \d\d:\d\d\./,
    );
    const order = (await open.stored()).at(-1);
    if (order?.kind !== 'order') throw new Error(order?.kind);
    expect(order.tasks).toContain('other/make/0');
    expect(order.tasks.at(-1)).not.toBe('other/make/0');
    await open.noted(() => open.bench.press('As it was'));
    expect((await open.stored()).at(-1)).toMatchObject({ kind: 'takenBack', mark: order.id });
    expect(open.bench.text).not.toContain('the order has changed');
  });

  it('stays in its order where it is in time', async () => {
    const early = await OpenRun.of(withGanache());
    await early.at(600);
    await early.noted(() => early.bench.press('Done'));
    await early.at(700);
    expect((await early.stored()).map(({ kind }) => kind)).toEqual(['done']);
  });

  it('stays in its order where room in the cold was counted with', async () => {
    const counted = await OpenRun.of(withGanache({ roomCounted: true }));
    await counted.at(1800);
    await counted.noted(() => counted.bench.press('Done'));
    await counted.at(1900);
    expect((await counted.stored()).map(({ kind }) => kind)).toEqual(['done']);
  });
});
