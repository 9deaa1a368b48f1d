import * as fc from 'fast-check';
import { SteadyClock, rehearsedS } from './run-clock';

const HOUR_MS = 3_600_000;

describe('the clock of a run', () => {
  it('goes on where the computer’s is put back, by any amount, to the second', () => {
    fc.assert(
      fc.property(fc.integer({ min: 3000, max: 24 * HOUR_MS }), fc.integer({ min: 0, max: 60_000 }), (back, more) => {
        const clock = new SteadyClock(1e12, 0);
        expect(clock.read(1e12 + 1000, 1000).nowS).toBeCloseTo(1e9 + 1, 6);
        const set = clock.read(1e12 + 2000 - back, 2000);
        expect(set.nowS).toBeCloseTo(1e9 + 2, 6);
        expect(set.jumpS).toBeCloseTo(-back / 1000, 6);
        expect(clock.read(1e12 + 2000 - back + more, 2000 + more).nowS).toBeCloseTo(1e9 + 2 + more / 1000, 6);
      }),
      { seed: 22 },
    );
  });

  it('believes that a computer slept, and is put back where its clock was set', () => {
    const clock = new SteadyClock(1e12, 0);
    const woke = clock.read(1e12 + 3 * HOUR_MS, 1000);
    expect(woke.nowS).toBeCloseTo(1e9 + 3 * 3600, 6);
    expect(woke.jumpS).toBeCloseTo(3 * 3600 - 1, 6);
    clock.putBack(woke.jumpS);
    expect(clock.read(1e12 + 3 * HOUR_MS + 1000, 2000).nowS).toBeCloseTo(1e9 + 2, 6);
  });

  it('says nothing of the unevenness of clocks', () => {
    const clock = new SteadyClock(1e12, 0);
    expect(clock.read(1e12 + 10_500, 9000).jumpS).toBe(0);
  });

  it('opened again on a computer that was set back, it is not before what was noted', () => {
    const clock = new SteadyClock(1e12 - HOUR_MS, 0, 0, 1e9);
    expect(clock.read(1e12 - HOUR_MS + 5000, 5000).nowS).toBeCloseTo(1e9 + 5, 6);
  });

  it('of a rehearsal goes so many times as fast', () => {
    expect(rehearsedS(1000, 5000, 60, 1010)).toBe(5600);
  });
});
