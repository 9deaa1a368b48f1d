import 'fake-indexeddb/auto';
import { until } from '../../testing/bench';
import { BEGINS_S, madeRun } from '../../testing/made-run';
import { OpenRun, withFreshBrowser } from '../../testing/open-run';
import type { Run } from '../../core/run/run-record';

let open: OpenRun;
const key = (name: string): boolean =>
  document.body.dispatchEvent(new KeyboardEvent('keydown', { key: name, bubbles: true, cancelable: true }));
const said = (): string => open.bench.all('ks-bench-devices [role=status]')[0]?.textContent?.trim() ?? '';

withFreshBrowser();

describe('measuring at the bench', () => {
  const run: Run = {
    ...madeRun({ roomCounted: true }),
    rehearsal: 10,
    createdAt: new Date(BEGINS_S * 1000).toISOString(),
  };

  it('is on in a rehearsal; what has settled is noted with who measured it, what has not is refused with a word', async () => {
    open = await OpenRun.of(run);
    await until(() => open.bench.all('ks-bench-devices section').length > 0);
    await open.noted(() => open.bench.press('Done'));
    await until(() => open.link.told.some((command) => command.kind === 'bowl' && command.bowl !== undefined));
    const bowl = open.link.told.flatMap((command) => (command.kind === 'bowl' ? (command.bowl ?? []) : [])).at(-1);
    // Of the job itself: what is melted, and where it is worked from.
    expect(bowl).toMatchObject({ kg: 0.12, startC: run.bowls[0].workingC });
    expect(open.link.told).toContainEqual({ kind: 'speed', speed: 10 });
    open.link.pass(1);
    await open.bench.settle();
    key('t');
    await open.bench.settle();
    expect(said()).toContain('has not settled');
    // Ten times as fast: forty seconds of a small bowl, in which it cools a little.
    open.link.pass(4);
    await open.bench.settle();
    await open.noted(() => key('t'));
    const mark = (await open.stored()).at(-1);
    if (mark?.kind !== 'temperature') throw new Error(mark?.kind);
    expect(mark).toMatchObject({ bowl: 0, by: 'probe', source: 'Simulated probe' });
    expect(Math.abs(mark.c - run.bowls[0].workingC)).toBeLessThan(0.8);
    expect(said()).toContain('Noted: Pebble at');
  });

  it('weighs what is left, each dose against what it is to be, and a shell, which says how thick it is', async () => {
    open = await OpenRun.of(run);
    await open.noted(() => open.bench.press('Done'));
    await until(() => open.bench.text.includes('12 × 2.0 g'));
    key('w');
    await open.bench.settle();
    expect(said()).toContain('has not settled');
    open.link.pass(3);
    await open.bench.settle();
    key('w');
    await open.bench.settle();
    expect(said()).toContain('shows nothing');
    open.link.tell({ kind: 'load', thing: { name: 'bowl', kg: 0.118, byHand: false } });
    open.link.pass(3);
    await open.bench.settle();
    await open.noted(() => key('w'));
    expect((await open.stored()).at(-1)).toMatchObject({
      kind: 'weight',
      kg: 0.118,
      by: 'scale',
      source: 'Simulated scale',
    });
    await open.bench.choose('On the scale is', 'dose');
    open.link.tell({ kind: 'step', step: 0.0001 });
    open.link.tell({ kind: 'load' });
    open.link.tell({ kind: 'load', thing: { name: 'dose', kg: 0.0016, byHand: false } });
    open.link.pass(3);
    await open.bench.settle();
    expect(open.bench.text).toMatch(/1\.6 g\s*of 2\.0 g/);
    key('w');
    open.link.pass(3);
    await open.bench.settle();
    expect(open.bench.text).toMatch(/0\.0 g\s*of 2\.0 g/);
    // Four coats, and the first mold turned out.
    for (const seconds of [72, 84, 144, 156, 252]) {
      // As planned, ten times as fast.
      await open.at(seconds);
      await open.noted(() => open.bench.press('Done'));
    }
    await open.bench.choose('On the scale is', 'shell');
    const shell = open.link.told
      .flatMap((command) => (command.kind === 'things' ? command.things : []))
      .filter(({ name }) => name.startsWith('A shell'))
      .at(-1);
    expect(shell?.kg).toBeGreaterThan(0.001);
    open.link.tell({ kind: 'load' });
    open.link.tell({ kind: 'tare' });
    open.link.tell({ kind: 'load', thing: { name: 'shell', kg: (shell?.kg ?? 0) * 1.15, byHand: false } });
    open.link.pass(3);
    await open.bench.settle();
    await open.noted(() => key('w'));
    await until(() => said().startsWith('Noted'));
    const mark = (await open.stored()).at(-1);
    expect(mark).toMatchObject({ kind: 'thickness', by: 'scale' });
    expect(said()).toMatch(/so a rim of [\d.]+ mm/);
  });

  it('goes on by hand when a device is unplugged, and says so', async () => {
    open = await OpenRun.of(run);
    await open.noted(() => open.bench.press('Done'));
    open.link.pass(30);
    open.link.tell({ kind: 'plug', device: 'probe', plugged: false });
    open.link.pass(1);
    await open.bench.settle();
    expect(open.bench.text).toContain('unplugged: measure by hand');
    const before = (await open.stored()).length;
    key('t');
    await open.bench.settle();
    expect(said()).toContain('has not settled');
    expect(await open.stored()).toHaveLength(before);
  });

  it('is asked for in a real run, where it is said that the devices are simulated', async () => {
    const real = madeRun({ roomCounted: true });
    open = await OpenRun.of(real);
    expect(open.bench.all('ks-bench-devices section')).toHaveLength(0);
    key('t');
    await open.bench.settle();
    const panel = (): string => document.body.textContent ?? '';
    await until(() => panel().includes('Listen to them'));
    expect(panel()).toContain('In a real run, measure by hand');
  });

  it('moves from button to button by the arrows', async () => {
    open = await OpenRun.of(run);
    key('ArrowDown');
    const first = document.activeElement;
    expect(first?.tagName).toBe('BUTTON');
    key('ArrowDown');
    expect(document.activeElement).not.toBe(first);
    key('ArrowUp');
    expect(document.activeElement).toBe(first);
  });
});
