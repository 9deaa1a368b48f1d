import { Bench, MONDAY, clockAt, wait, withDemo } from '../../testing/bench';
import { Strip } from './strip';

withDemo();
beforeEach(() => clockAt(MONDAY));
afterEach(() => void jest.useRealTimers());

describe('strip', () => {
  it('has every station’s own answer, and marks the one with something to mind', async () => {
    const bench = await Bench.of(Strip, { castingId: 'demo-bombs', station: 'coat' });
    const tabs = bench.all('a').map((tab) => (tab.textContent ?? '').replace(/\s+/g, ' ').trim());
    expect(tabs).toHaveLength(8);
    expect(tabs[0]).toMatch(/^Mold .*64 mm/);
    expect(tabs[1]).toMatch(/^Melt \d+ min \d+ g seed, Quarry 64/);
    expect(tabs[2]).toMatch(/^Coat .*2 × \d\.\d mm/);
    expect(tabs[3]).toMatch(/^Chill .*\d+ \+ \d+ min/);
    expect(tabs[4]).toMatch(/^Fill .*\d+ g/);
    expect(tabs[5]).toMatch(/^Close .*4 s.*on a warm plate/);
    expect(tabs[6]).toMatch(/^Finish .*plain/);
    expect(tabs[7]).toMatch(/^Batch \S.*7 rounds.*start by/);
    expect(bench.all('a[aria-current="step"]')[0].textContent).toContain('Coat');
  });

  it('says that the time to start has passed', async () => {
    jest.setSystemTime(new Date('2026-10-17T15:30:00Z'));
    const bench = await Bench.of(Strip, { castingId: 'demo-bombs', station: 'coat' });
    await wait(120);
    await bench.settle();
    expect(bench.all('.mark').map((mark) => mark.textContent)).toContain('late');
  });
});
