import fc from 'fast-check';
import { fullness, ticksOf, timetableScale } from './timetable-scale';

const HOUR = 3600;
/** From 18 to 21 o'clock, and from 14 to 17 o'clock of the next day. */
const there = [
  { from: 18 * HOUR, to: 21 * HOUR },
  { from: 38 * HOUR, to: 41 * HOUR },
];
const scale = timetableScale({ there, startS: 18 * HOUR, readyS: 41.5 * HOUR });

describe('the axis of a timetable', () => {
  it('folds the night, and draws the stays to one scale', () => {
    expect(scale.folds).toHaveLength(1);
    expect(scale.folds[0].seconds / HOUR).toBeCloseTo(17, 0);
    const perHour = (at: number): number => scale.at(at + HOUR) - scale.at(at);
    expect(perHour(18.5 * HOUR)).toBeCloseTo(perHour(39 * HOUR), 9);
    // Seventeen hours are no wider than half of one.
    expect(scale.folds[0].width).toBeLessThan(perHour(39 * HOUR) / 2);
  });

  it('never runs backward, from end to end', () => {
    let before = -1;
    for (let k = 0; k <= 200; k++) {
      const at = scale.at(17 * HOUR + (k / 200) * 26 * HOUR);
      expect(at).toBeGreaterThanOrEqual(before);
      before = at;
    }
    expect([scale.at(0), scale.at(1e9)]).toEqual([0, 100]);
  });

  it('gives back the moment of a place in a stay', () => {
    fc.assert(
      fc.property(fc.double({ min: 18, max: 21, noNaN: true }), fc.boolean(), (hour, next) => {
        const seconds = (hour + (next ? 20 : 0)) * HOUR;
        expect(scale.momentAt(scale.at(seconds))).toBeCloseTo(seconds, 3);
      }),
    );
  });

  it('has its ticks at full hours of the stays alone', () => {
    const ticks = ticksOf(scale, HOUR).map(({ seconds }) => seconds / HOUR);
    expect(ticks).toEqual([18, 19, 20, 21, 38, 39, 40, 41]);
  });
});

describe('how full a shelf is', () => {
  it('is the sum of what is on it, and comes back to nothing', () => {
    const uses = [
      { from: 18 * HOUR, to: 20 * HOUR, m2: 0.03 },
      { from: 19 * HOUR, to: 21 * HOUR, m2: 0.02 },
      { from: 20 * HOUR, to: 21 * HOUR, m2: 0.01 },
    ];
    const { peakM2, path } = fullness(uses, scale);
    expect(peakM2).toBeCloseTo(0.05, 12);
    const levels = path
      .slice(1, -1)
      .split('L')
      .map((corner) => 1 - Number(corner.split(' ')[1]));
    expect(Math.max(...levels)).toBeCloseTo(1, 4);
    expect(levels.at(-1)).toBeCloseTo(0, 4);
    expect(fullness([], scale).path).toBe('M0 1L100 1z');
  });
});
