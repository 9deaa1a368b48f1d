import fc from 'fast-check';
import { PLACES } from '../record/choices';
import { METHODS } from '../record/method';
import {
  coatOneMoldSeconds,
  timeline,
  type FurtherTask,
  type TimelineCoat,
  type TimelineInput,
  type TimelinePart,
} from './timeline';
import { secondsOf } from './stretch';

const coat: TimelineCoat = {
  method: 'dump',
  drainSeconds: 20,
  dwellSeconds: 10,
  asTray: false,
  standsIn: 'fridge',
  rests: [],
  place: 'fridge',
  then: [],
  chillSeconds: 420,
  turnedSeconds: 0,
  meltIds: ['m'],
};
const part: TimelinePart = {
  moldId: 'mold',
  cavityId: 'c',
  perMold: 6,
  moldsAtHand: 1,
  parts: 38,
  coats: [coat, { ...coat, chillSeconds: 600 }],
  before: [],
  out: { perPartS: 8, perMoldS: 0 },
  onWet: [],
  inMold: [],
};
const after: FurtherTask[] = [
  { kind: 'fill', handsOn: true, seconds: 15 },
  { kind: 'close', handsOn: true, seconds: 25 },
];
const job: TimelineInput = { parts: [part], meltSeconds: new Map([['m', 600]]), pieces: 18, after };
/** The job with its only part otherwise. */
const with1 = (change: Partial<TimelinePart>): TimelineInput => ({ ...job, parts: [{ ...part, ...change }] });

describe('timeline', () => {
  it('takes 38 halves through one mold of six in seven rounds, by hand', () => {
    const { rounds, oneRound } = timeline(job);
    expect(rounds).toBe(7);
    // Common practice, no source: melt 10 min; pour 6 × 8 s, stand 10, tip out 20, scrape 40 s; unmold 6 × 8 s.
    expect(oneRound.map(({ kind, seconds }) => [kind, seconds])).toEqual([
      ['melt', 600],
      ['coat', 118],
      ['chill', 420],
      ['coat', 118],
      ['chill', 600],
      ['unmold', 48],
    ]);
  });

  it('ends with a short round for what is left over', () => {
    const { wholeJob } = timeline(job);
    const unmolded = wholeJob.filter((stretch) => stretch.kind === 'unmold').map((stretch) => stretch.seconds / 8);
    expect(unmolded).toEqual([6, 6, 6, 6, 6, 6, 2]);
  });

  it('waits less in all with a second mold, though the hands have as much to do', () => {
    const one = timeline(job);
    const two = timeline(with1({ moldsAtHand: 2 }));
    expect(two.rounds).toBe(4);
    expect(two.waitingSeconds).toBe((one.waitingSeconds / 7) * 4);
    expect(two.handsOnSeconds).toBeGreaterThan(0.9 * one.handsOnSeconds);
  });

  it('spoons and brushes by the cavity, tips out by the mold', () => {
    expect(coatOneMoldSeconds({ ...coat, method: 'spoon' }, 6)).toBe(120);
    expect(coatOneMoldSeconds({ ...coat, method: 'brush' }, 6)).toBe(180);
    expect(coatOneMoldSeconds(coat, 24) - coatOneMoldSeconds(coat, 6)).toBe(18 * 8);
    // A tray of bonbons is filled with a ladle and tipped as a whole, in less than a minute and a half. Common practice, no source.
    expect(coatOneMoldSeconds({ ...coat, asTray: true }, 24)).toBeLessThanOrEqual(90);
  });

  it('rests where it is to rest, stands in the cold before it is tipped out, and keeps the hands busy while a vessel is turned', () => {
    const kinds = (change: object) =>
      timeline(with1({ coats: [{ ...coat, ...change }] }))
        .oneRound.slice(1, -1)
        .map(({ kind, seconds, place, handsOn }) => [kind, seconds, place, handsOn]);
    expect(kinds({ rests: [{ place: 'room', seconds: 1200 }] })).toEqual([
      ['coat', 118, undefined, true],
      ['chill', 1200, 'room', false],
      ['chill', 420, 'fridge', false],
    ]);
    expect(kinds({ method: 'chillDump', dwellSeconds: 90, standsIn: 'freezer' })).toEqual([
      ['coat', 48, undefined, true],
      ['chill', 90, 'freezer', false],
      ['coat', 60, undefined, true],
      ['chill', 420, 'fridge', false],
    ]);
    expect(kinds({ method: 'turn', turnedSeconds: 100 })).toEqual([
      ['coat', 180, undefined, true],
      ['turn', 100, 'fridge', true],
      ['chill', 320, 'fridge', false],
    ]);
    // Filled and tapped; topped up and clamped.
    expect(kinds({ method: 'solid' })[0]).toEqual(['coat', 58, undefined, true]);
    expect(kinds({ method: 'clamp' })[0]).toEqual(['coat', 160, undefined, true]);
  });

  it('is endless where a chill is, without losing count of the hands', () => {
    const { waitingSeconds, handsOnSeconds } = timeline(with1({ coats: [{ ...coat, chillSeconds: Infinity }] }));
    expect(waitingSeconds).toBe(Infinity);
    expect(Number.isFinite(handsOnSeconds)).toBe(true);
  });

  it('casts light parts first, and coats the next while the one before is in the cold (worked by hand)', () => {
    const light = { ...part, moldId: 'a', parts: 6, coats: [{ ...coat, meltIds: ['white'] }] };
    const dark = { ...part, moldId: 'b', parts: 6, coats: [{ ...coat, meltIds: ['dark'] }] };
    const { oneRound, rounds, handsOnSeconds, waitingSeconds } = timeline({
      ...job,
      parts: [light, dark],
      meltSeconds: new Map([
        ['white', 300],
        ['dark', 100],
      ]),
      after: [],
    });
    expect(rounds).toBe(1);
    // 420 s in the cold from 418 s on; meanwhile the dark one is melted and poured (100 + 118 s); both come out at 8 s a part.
    expect(oneRound.map(({ kind, part: which, seconds }) => [kind, which, seconds])).toEqual([
      ['melt', undefined, 300],
      ['coat', 0, 118],
      ['melt', undefined, 100],
      ['coat', 1, 118],
      ['chill', 0, 202],
      ['unmold', 0, 48],
      ['chill', 1, 170],
      ['unmold', 1, 48],
    ]);
    expect([handsOnSeconds, waitingSeconds]).toEqual([732, 372]);
  });

  it('makes a melt when it is first wanted, be it rounds later or for closing alone', () => {
    const white = { ...part, parts: 12, coats: [{ ...coat, meltIds: ['white'] }] };
    const dark = { ...part, parts: 6, coats: [{ ...coat, meltIds: ['dark'] }] };
    const { wholeJob } = timeline({
      ...job,
      parts: [white, dark],
      meltSeconds: new Map([
        ['white', 300],
        ['dark', 100],
        ['glue', 50],
      ]),
      after: [{ kind: 'close', handsOn: true, seconds: 25, meltIds: ['glue'] }],
    });
    expect(wholeJob.filter(({ kind }) => kind === 'melt').map(({ meltIds, round }) => [meltIds, round])).toEqual([
      [['white'], 0],
      [['dark'], 2],
      [['glue'], undefined],
    ]);
  });

  it('fills and caps in the mold before it unmolds', () => {
    const capped = with1({
      parts: 6,
      coats: [coat],
      inMold: [
        { kind: 'fill', handsOn: true, seconds: 15 },
        { kind: 'close', handsOn: true, seconds: 12, meltIds: ['m'] },
        { kind: 'chill', handsOn: false, seconds: 900, place: 'fridge' },
      ],
    });
    expect(timeline({ ...capped, after: [] }).oneRound.map(({ kind, seconds }) => [kind, seconds])).toEqual([
      ['melt', 600],
      ['coat', 118],
      ['chill', 420],
      ['fill', 90],
      ['close', 72],
      ['chill', 900],
      ['unmold', 48],
    ]);
  });

  it('joins up without gap or overlap, and its sums are its stretches, for any job', () => {
    const anyCoat = fc.record({
      standsIn: fc.constantFrom(...PLACES),
      rests: fc.array(fc.record({ place: fc.constantFrom(...PLACES), seconds: fc.integer({ min: 30, max: 7200 }) }), {
        maxLength: 2,
      }),
      then: fc.array(fc.record({ place: fc.constantFrom(...PLACES), seconds: fc.integer({ min: 0, max: 7200 }) }), {
        maxLength: 2,
      }),
      meltIds: fc.subarray(['m', 'n'], { minLength: 1 }),
      turnedSeconds: fc.oneof(fc.constant(0), fc.integer({ min: 1, max: 9000 }), fc.constant(Infinity)),
      method: fc.constantFrom(...METHODS),
      drainSeconds: fc.integer({ min: 2, max: 120 }),
      dwellSeconds: fc.integer({ min: 0, max: 300 }),
      asTray: fc.boolean(),
      place: fc.constantFrom(...PLACES),
      chillSeconds: fc.integer({ min: 60, max: 7200 }),
    });
    const any = fc.record({
      meltSeconds: fc
        .record({ m: fc.integer({ min: 0, max: 7200 }), n: fc.integer({ min: 0, max: 7200 }) })
        .map((by) => new Map(Object.entries(by))),
      parts: fc.array(
        fc.record({
          coats: fc.array(anyCoat, { minLength: 1, maxLength: 4 }),
          parts: fc.integer({ min: 1, max: 5000 }),
          perMold: fc.integer({ min: 1, max: 60 }),
          moldsAtHand: fc.integer({ min: 1, max: 20 }),
          moldId: fc.constantFrom('a', 'b'),
          cavityId: fc.constantFrom('c', 'd'),
          before: fc.constant([]),
          out: fc.constant({ perPartS: 8, perMoldS: 0 }),
          onWet: fc.subarray([{ kind: 'finish' as const, handsOn: true, seconds: 5 }]),
          inMold: fc.constant([]),
        }),
        { minLength: 1, maxLength: 4 },
      ),
      pieces: fc.integer({ min: 1, max: 2000 }),
      after: fc.subarray(after),
    });
    fc.assert(
      fc.property(any, (any1) => {
        const { wholeJob, handsOnSeconds, waitingSeconds, rounds, runs } = timeline(any1);
        let end = 0;
        for (const stretch of wholeJob) {
          expect(stretch.startSeconds).toBeCloseTo(end, 4);
          end += stretch.seconds;
        }
        expect(Math.abs(secondsOf(wholeJob, true) - handsOnSeconds)).toBeLessThanOrEqual(1e-9 * handsOnSeconds);
        expect(Math.abs(secondsOf(wholeJob, false) - waitingSeconds)).toBeLessThanOrEqual(1e-9 * waitingSeconds);
        expect(runs.reduce((sum, { count }) => sum + count, 0)).toBe(rounds);
        any1.parts.forEach(({ parts }, i) =>
          expect(runs.reduce((sum, { count, cast }) => sum + count * cast[i], 0)).toBe(parts),
        );
        // Whatever works from a melt comes after it was made, whichever part comes to it first; rounds told together hold their own.
        const made = new Set<string>();
        for (const { kind, meltIds = [] } of wholeJob) {
          if (kind !== 'melt' && kind !== 'rounds')
            for (const id of meltIds)
              expect([kind, id, made.has(id)]).toEqual([
                kind,
                id,
                wholeJob.some((other) => other.kind === 'melt' && other.meltIds?.includes(id)),
              ]);
          if (kind === 'melt') for (const id of meltIds) made.add(id);
        }
        // However long the job, the ribbon stays short enough to be drawn.
        expect(wholeJob.length).toBeLessThan(400);
      }),
      { numRuns: 200 },
    );
  });
});
