import fc from 'fast-check';
import { METHODS, PLACES } from '../record/choices';
import { coatOneMoldSeconds, secondsOf, timeline, type TimelineInput } from './timeline';

const coat = { method: 'dump', drainSeconds: 20, dwellSeconds: 10, standsIn: 'fridge', rests: [], place: 'fridge', chillSeconds: 420, turnedSeconds: 0 } as const;
const input: TimelineInput = { coats: [coat, { ...coat, chillSeconds: 600 }], meltSeconds: 600, parts: 38, perMold: 6, moldsAtHand: 1, pieces: 18, filled: true, closed: true, coverSeconds: 0 };

describe('timeline', () => {
  it('takes 38 halves through one mold of six in seven rounds, by hand', () => {
    const { rounds, oneRound } = timeline(input);
    expect(rounds).toBe(7);
    // Common practice, no source: melt 10 min; pour 6 × 8 s, stand 10, tip out 20, scrape 40 s; unmold 6 × 8 s.
    expect(oneRound.map(({ kind, seconds }) => [kind, seconds])).toEqual([['melt', 600], ['coat', 118], ['chill', 420], ['coat', 118], ['chill', 600], ['unmold', 48]]);
  });

  it('ends with a short round for what is left over', () => {
    const { wholeJob } = timeline(input);
    const unmolded = wholeJob.filter((stretch) => stretch.kind === 'unmold').map((stretch) => stretch.seconds / 8);
    expect(unmolded).toEqual([6, 6, 6, 6, 6, 6, 2]);
  });

  it('waits less in all with a second mold, though the hands have as much to do', () => {
    const one = timeline(input);
    const two = timeline({ ...input, moldsAtHand: 2 });
    expect(two.rounds).toBe(4);
    expect(two.waitingSeconds).toBe((one.waitingSeconds / 7) * 4);
    expect(two.handsOnSeconds).toBeGreaterThan(0.9 * one.handsOnSeconds);
  });

  it('spoons and brushes by the cavity, tips out by the mold', () => {
    expect(coatOneMoldSeconds({ ...coat, method: 'spoon' }, 6)).toBe(120);
    expect(coatOneMoldSeconds({ ...coat, method: 'brush' }, 6)).toBe(180);
    expect(coatOneMoldSeconds(coat, 24) - coatOneMoldSeconds(coat, 6)).toBe(18 * 8);
  });

  it('rests where it is to rest, stands in the cold before it is tipped out, and keeps the hands busy while a vessel is turned', () => {
    const kinds = (change: object) => timeline({ ...input, coats: [{ ...coat, ...change }] }).oneRound.slice(1, -1).map(({ kind, seconds, place, handsOn }) => [kind, seconds, place, handsOn]);
    expect(kinds({ rests: [{ place: 'room', seconds: 1200 }] })).toEqual([['coat', 118, undefined, true], ['chill', 1200, 'room', false], ['chill', 420, 'fridge', false]]);
    expect(kinds({ method: 'chillDump', dwellSeconds: 90, standsIn: 'freezer' })).toEqual([['coat', 48, undefined, true], ['chill', 90, 'freezer', false], ['coat', 60, undefined, true], ['chill', 420, 'fridge', false]]);
    expect(kinds({ method: 'turn', turnedSeconds: 100 })).toEqual([['coat', 180, undefined, true], ['turn', 100, 'fridge', true], ['chill', 320, 'fridge', false]]);
    // Filled and tapped; topped up and clamped.
    expect(kinds({ method: 'solid' })[0]).toEqual(['coat', 58, undefined, true]);
    expect(kinds({ method: 'clamp' })[0]).toEqual(['coat', 160, undefined, true]);
  });

  it('is endless where a chill is, without losing count of the hands', () => {
    const { waitingSeconds, handsOnSeconds } = timeline({ ...input, coats: [{ ...coat, chillSeconds: Infinity }] });
    expect(waitingSeconds).toBe(Infinity);
    expect(Number.isFinite(handsOnSeconds)).toBe(true);
  });

  it('joins up without gap or overlap, and its sums are its stretches, for any job', () => {
    const anyCoat = fc.record({
      standsIn: fc.constantFrom(...PLACES), rests: fc.array(fc.record({ place: fc.constantFrom(...PLACES), seconds: fc.integer({ min: 30, max: 7200 }) }), { maxLength: 2 }), turnedSeconds: fc.oneof(fc.constant(0), fc.integer({ min: 1, max: 9000 }), fc.constant(Infinity)),
      method: fc.constantFrom(...METHODS), drainSeconds: fc.integer({ min: 2, max: 120 }), dwellSeconds: fc.integer({ min: 0, max: 300 }), place: fc.constantFrom(...PLACES), chillSeconds: fc.integer({ min: 60, max: 7200 }),
    });
    const any = fc.record({
      meltSeconds: fc.integer({ min: 0, max: 7200 }), coats: fc.array(anyCoat, { minLength: 1, maxLength: 4 }), parts: fc.integer({ min: 1, max: 5000 }), perMold: fc.integer({ min: 1, max: 60 }), moldsAtHand: fc.integer({ min: 1, max: 20 }),
      pieces: fc.integer({ min: 1, max: 2000 }), filled: fc.boolean(), closed: fc.boolean(), coverSeconds: fc.integer({ min: 0, max: 3600 }),
    });
    fc.assert(
      fc.property(any, (job) => {
        const { wholeJob, handsOnSeconds, waitingSeconds, rounds } = timeline(job);
        let end = 0;
        for (const stretch of wholeJob) {
          expect(stretch.startSeconds).toBeCloseTo(end, 4);
          end += stretch.seconds;
        }
        expect(Math.abs(secondsOf(wholeJob, true) - handsOnSeconds)).toBeLessThanOrEqual(1e-9 * handsOnSeconds);
        expect(Math.abs(secondsOf(wholeJob, false) - waitingSeconds)).toBeLessThanOrEqual(1e-9 * waitingSeconds);
        expect(rounds).toBe(Math.ceil(job.parts / (job.perMold * job.moldsAtHand)));
        // However long the job, the ribbon stays short enough to be drawn.
        expect(wholeJob.length).toBeLessThan(400);
      }),
      { numRuns: 200 },
    );
  });
});
