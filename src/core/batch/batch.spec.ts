import fc from 'fast-check';
import { binomialDistribution } from 'simple-statistics';
import { meltAmounts, type OnPieces, type PartAmount } from './amounts';
import { batchAmounts, batchStation } from './batch';
import type { AfterCasting, BatchInput, BatchPart, PartCast } from './batch-types';
import type { CoatAmount } from './amounts';
import type { TimelineCoat } from './timeline';
import { chanceOfAtMost, chanceOfAtMostLearned, learnedChance, partsToCast } from './spares';
import { secondsOf } from './stretch';

describe('spares', () => {
  // Binomial quantiles, worked with a statistics package.
  it.each([
    [24, 0.1, 30],
    [36, 0.05, 40],
    [48, 0.15, 62],
    [96, 0.03, 102],
  ])('casts for %i whole parts at %f breaking %i parts, 95 %% sure', (needed, p, parts) => {
    expect(partsToCast(needed, p, { by: 'confidence', confidence: 0.95 })).toBe(parts);
  });

  it('agrees with the binomial distribution of simple-statistics over a grid', () => {
    for (const tries of [1, 5, 12, 40]) {
      for (const p of [0.02, 0.1, 0.35, 0.5]) {
        const masses = binomialDistribution(tries, p) ?? [];
        let sum = 0;
        for (let most = 0; most < tries; most++) {
          sum += masses[most] ?? 0;
          expect(chanceOfAtMost(most, tries, p)).toBeCloseTo(Math.min(1, sum), 3);
        }
      }
    }
  });

  it('adds a flat fifth, rounded up (common practice, no source)', () => {
    expect(partsToCast(36, 0.5, { by: 'share', share: 0.2 })).toBe(44);
    expect(partsToCast(10, 0.5, { by: 'share', share: 0.2 })).toBe(12);
  });

  it('is enough and the fewest that is, even for thousands of parts or parts that nearly all break', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 4000 }), fc.double({ min: 0, max: 0.95, noNaN: true }), (needed, p) => {
        const n = partsToCast(needed, p, { by: 'confidence', confidence: 0.95 });
        expect(chanceOfAtMost(n - needed, n, p)).toBeGreaterThanOrEqual(0.95);
        if (n > needed) expect(chanceOfAtMost(n - 1 - needed, n - 1, p)).toBeLessThan(0.95);
      }),
      { numRuns: 60 },
    );
  });
});

describe('spares where breakages were counted', () => {
  it('where it is learned, is the binomial one summed over every chance there may be (direct summation)', () => {
    for (const [cast, broken, tries] of [
      [40, 2, 12],
      [10, 3, 30],
      [200, 9, 24],
    ] as const) {
      const learned = learnedChance(0.08, cast, broken);
      const steps = 4000;
      // Density of the Beta distribution, up to a factor, at the middle of each step.
      const weights = Array.from({ length: steps }, (_, i) =>
        Math.exp(
          (learned.broken - 1) * Math.log((i + 0.5) / steps) + (learned.whole - 1) * Math.log(1 - (i + 0.5) / steps),
        ),
      );
      const all = weights.reduce((sum, w) => sum + w, 0);
      for (const most of [0, 1, 3, 7]) {
        const summed = weights.reduce((sum, w, i) => sum + w * chanceOfAtMost(most, tries, (i + 0.5) / steps), 0) / all;
        expect(chanceOfAtMostLearned(most, tries, learned)).toBeCloseTo(summed, 5);
      }
    }
  });

  it('wants more spares the less is known, and comes to the binomial count when much is', () => {
    const rule = { by: 'confidence', confidence: 0.95 } as const;
    expect(partsToCast(36, learnedChance(0.05, 20, 1), rule)).toBeGreaterThan(partsToCast(36, 0.05, rule));
    expect(partsToCast(36, learnedChance(0.05, 100000, 5000), rule)).toBe(partsToCast(36, 0.05, rule));
    expect(partsToCast(36, learnedChance(0.05, 40, 20), rule)).toBeGreaterThan(
      partsToCast(36, learnedChance(0.05, 40, 2), rule),
    );
  });

  it('goes over smoothly to what the chance itself may be where parts are many, and stays within sense where nearly all break', () => {
    const rule = { by: 'confidence', confidence: 0.95 } as const;
    const learned = learnedChance(0.08, 60, 9);
    expect(partsToCast(502, learned, rule) / partsToCast(498, learned, rule)).toBeLessThan(1.03);
    expect(partsToCast(502, learned, rule) / partsToCast(498, learned, rule)).toBeGreaterThan(0.98);
    expect(
      partsToCast(4000, learnedChance(0.9, 199, 193), { by: 'confidence', confidence: 0.999 }),
    ).toBeLessThanOrEqual(4000 / 0.05 + 1);
  });

  // Common practice, no source: a fifth more is the usual margin, with 5 to 15 % breaking.
  it('holds the usual fifth against the rule of 95 %: about the same for 24 to 48 parts of which 5 to 12 % break', () => {
    for (const needed of [24, 36, 48])
      for (const p of [0.05, 0.08, 0.12]) {
        const ratio =
          partsToCast(needed, p, { by: 'confidence', confidence: 0.95 }) /
          partsToCast(needed, 0, { by: 'share', share: 0.2 });
        expect(ratio).toBeGreaterThan(0.85);
        expect(ratio).toBeLessThan(1.1);
      }
  });
});

describe('amounts', () => {
  const own = [{ meltId: 'm', share: 1 }];
  const coats = [
    { coatId: 'a', shares: own, method: 'dump' as const, perPartKg: 0.01, dripsKg: 0, pouredKg: 0.043 },
    { coatId: 'b', shares: own, method: 'dump' as const, perPartKg: 0.009, dripsKg: 0, pouredKg: 0.043 },
  ];
  const part = { coats, parts: 40, perRound: 6, perMold: 6 };
  const amounts = (parts: readonly PartAmount[], onPieces: readonly OnPieces[] = []) =>
    meltAmounts({ parts, onPieces, stuckKg: (_, kg) => 0.002 + 0.01 * kg });

  it('adds up to what is melted, to the last gram (worked by hand)', () => {
    const [melt] = amounts([part]);
    expect(melt.inPartsKg).toBeCloseTo(0.76, 12);
    expect(melt.comesBackKg).toBeCloseTo(6 * (0.043 - 0.009), 12);
    expect(melt.stuckKg).toBeCloseTo(0.002 + 0.01 * (0.76 + melt.comesBackKg), 12);
    expect(melt.meltedKg).toBe(melt.inPartsKg + melt.comesBackKg + melt.stuckKg);
  });

  it('counts what drips off, closes and finishes (worked by hand)', () => {
    const [melt] = amounts(
      [{ ...part, coats: [{ ...coats[0], dripsKg: 0.001 }] }],
      [
        { meltId: 'm', use: 'closing', kg: 0.04, perRoundKg: 0.006 },
        { meltId: 'm', use: 'finishing', kg: 0.02, perRoundKg: 0.003 },
      ],
    );
    expect(melt.dripsKg).toBeCloseTo(0.04, 12);
    expect(melt.stuckKg).toBeCloseTo(0.002 + 0.01 * (0.4 + 0.04 + 0.02 + 0.04 + melt.comesBackKg), 12);
    expect(melt.meltedKg).toBeCloseTo(0.4 + 0.04 + 0.02 + melt.comesBackKg + melt.stuckKg + 0.04, 12);
    // A round of six: what stays, closes, finishes, drips, comes back and sticks.
    expect(melt.perRoundKg).toBeCloseTo(1.01 * (0.06 + 0.006 + 0.003 + 0.006 + melt.comesBackKg) + 0.002, 12);
  });

  it('takes a mold to the brim that is chilled before it is tipped out', () => {
    const [melt] = amounts([{ ...part, coats: [{ ...coats[0], method: 'chillDump', pouredKg: 0.086 }], parts: 12 }]);
    expect(melt.comesBackKg).toBeCloseTo(6 * (0.086 - 0.01), 12);
  });

  it('needs no pool for spooned coats, and keeps melts apart', () => {
    const melts = amounts([
      {
        ...part,
        coats: [
          { ...coats[0], method: 'spoon' },
          { ...coats[1], shares: [{ meltId: 'n', share: 1 }] },
        ],
        parts: 12,
      },
    ]);
    expect(melts.map((melt) => melt.meltId)).toEqual(['m', 'n']);
    expect(melts[0].comesBackKg).toBe(0);
    expect(melts[1].comesBackKg).toBeGreaterThan(0);
  });

  it('divides a marbled coat by its shares, and what comes back of it is mixed', () => {
    const marbled = [
      { meltId: 'm', share: 0.75 },
      { meltId: 'n', share: 0.25 },
    ];
    const [m, n] = amounts([{ ...part, coats: [{ ...coats[0], shares: marbled }] }]);
    expect([m.inPartsKg, n.inPartsKg]).toEqual([expect.closeTo(0.3, 12), expect.closeTo(0.1, 12)]);
    expect(m.comesBackKg / n.comesBackKg).toBeCloseTo(3, 9);
    expect([m.mixed, n.mixed]).toEqual([true, true]);
  });
});

const poured: CoatAmount = {
  coatId: 'a',
  shares: [{ meltId: 'm', share: 1 }],
  method: 'dump',
  perPartKg: 0.02,
  dripsKg: 0,
  pouredKg: 0.043,
};
const coat: TimelineCoat = {
  method: 'dump',
  asTray: false,
  drainSeconds: 20,
  dwellSeconds: 10,
  standsIn: 'fridge',
  rests: [],
  place: 'fridge',
  then: [],
  chillSeconds: 600,
  turnedSeconds: 0,
  meltIds: ['m'],
};
const cast: PartCast = {
  pieces: 18,
  there: 0,
  breakChance: { value: 0.05, low: 0.02, high: 0.1 },
  coats: [poured],
};
const half: BatchPart = {
  partId: 'half',
  perPiece: 2,
  moldId: 'bombs',
  cavityId: 'c',
  perMold: 6,
  moldsAtHand: 1,
  casts: [cast],
  coats: [coat],
  before: [],
  out: { perPartS: 8, perMoldS: 0 },
  onWet: [],
  inMold: [],
};
const input: BatchInput = {
  pieces: 18,
  spareRule: { by: 'confidence', confidence: 0.95 },
  parts: [half],
  onPieces: [],
  after: [
    { kind: 'fill', handsOn: true, seconds: 15 },
    { kind: 'close', handsOn: true, seconds: 25 },
  ],
  stuckKg: (_, kg) => 0.002 + 0.01 * kg,
};
/** The same for so many pieces. */
const inputFor = (pieces: number, more: Partial<PartCast> = {}, perPiece = 2): BatchInput => ({
  ...input,
  pieces,
  parts: [{ ...half, perPiece, casts: [{ ...cast, pieces, ...more }] }],
});
const station = (of: BatchInput) => batchStation(of, batchAmounts(of), new Map([['m', 600]]));

describe('timeline', () => {
  it('tells hands-on from waiting, and leaves no gap (worked by hand from the trade’s hands-on times)', () => {
    const time = station(inputFor(1, { breakChance: { value: 0, low: 0, high: 0 } }, 7)).timeline;
    expect(time.rounds).toBe(2);
    // Melt 600; round of six: 6×8 + 10 + 20 + 40 = 118, unmold 48; round of one: 8 + 70 = 78, unmold 8; fill 15, close 25.
    expect(secondsOf(time.wholeJob, true)).toBe(600 + 118 + 48 + 78 + 8 + 15 + 25);
    expect(secondsOf(time.wholeJob, false)).toBe(1200);
    time.wholeJob
      .slice(1)
      .forEach((stretch, i) =>
        expect(stretch.startSeconds).toBe(time.wholeJob[i].startSeconds + time.wholeJob[i].seconds),
      );
  });
});

describe('batch station', () => {
  it('answers for 36 halves at 5 %: 40 parts in 7 rounds', () => {
    const {
      byPart: [count],
      rounds,
    } = station(input);
    expect([count.needed, count.parts.value, count.spares.value, rounds.value, count.partsByTrade.value]).toEqual([
      36, 40, 4, 7, 44,
    ]);
  });

  it('is as sure of all kinds of part together as is wanted', () => {
    const { byPart } = station({
      ...input,
      parts: ['front', 'back', 'base'].map((partId) => ({ ...half, partId, perPiece: 1, cavityId: partId })),
    });
    const together = byPart.reduce(
      (sure, { needed, parts }) => sure * chanceOfAtMost(parts.value - needed, parts.value, 0.05),
      1,
    );
    expect(together).toBeGreaterThanOrEqual(0.95);
    // One fewer of each would not do.
    expect(
      byPart.reduce(
        (sure, { needed, parts }) => sure * chanceOfAtMost(parts.value - 1 - needed, parts.value - 1, 0.05),
        1,
      ),
    ).toBeLessThan(0.95);
  });

  it('caps every part that is cast, and seams every piece', () => {
    const closing = (on: AfterCasting['on']): number =>
      station({ ...input, onPieces: [{ meltId: 'm', use: 'closing', eachKg: 0.002, on }] }).melts[0].closing.value;
    expect(closing({ pieces: 18 })).toBeCloseTo(18 * 0.002, 12);
    expect(closing({ partId: 'half', cast: 0 })).toBeCloseTo(40 * 0.002, 12);
  });

  it('never needs less for more pieces', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 300 }), fc.integer({ min: 1, max: 5 }), (pieces, k) => {
        const [small, large] = [pieces, pieces * k].map((n) => station(inputFor(n)));
        expect(large.melts[0].melted.value).toBeGreaterThanOrEqual(small.melts[0].melted.value);
        expect(large.total.value).toBeGreaterThanOrEqual(small.total.value);
        expect(large.rounds.value).toBeGreaterThanOrEqual(small.rounds.value);
      }),
    );
  });

  const CERTAIN = { value: 0, low: 0, high: 0 };
  const rose = { ...poured, shares: [{ meltId: 'rose', share: 1 }] };

  it('casts those of another colour in the same rounds, and weighs each colour by itself (worked by hand)', () => {
    const whole = { ...cast, breakChance: CERTAIN };
    const { byPart, melts, rounds } = station({
      ...input,
      parts: [
        {
          ...half,
          casts: [
            { ...whole, pieces: 16 },
            { ...whole, pieces: 2, coats: [rose] },
          ],
          coats: [{ ...coat, meltIds: ['m', 'rose'] }],
        },
      ],
    });
    // 36 halves in molds of six; 32 and 4 of 20 g each; the pool of a mold is half of six cavities less what stays, of four for the other.
    expect([byPart[0].parts.value, rounds.value]).toEqual([36, 6]);
    expect(byPart[0].casts).toEqual([32, 4]);
    expect(melts.map(({ meltId, inParts }) => [meltId, inParts.value])).toEqual([
      ['m', expect.closeTo(0.64, 12)],
      ['rose', expect.closeTo(0.08, 12)],
    ]);
    expect(melts.map(({ comesBack }) => comesBack.value)).toEqual([
      expect.closeTo(6 * 0.023, 12),
      expect.closeTo(4 * 0.023, 12),
    ]);
  });

  it('is as sure to have enough of both as of one, as none takes the place of another', () => {
    const { byPart } = station({
      ...input,
      parts: [
        {
          ...half,
          casts: [
            { ...cast, pieces: 12 },
            { ...cast, pieces: 6, coats: [rose] },
          ],
        },
      ],
    });
    const sure = (one: number): number =>
      byPart[0].casts.reduce((all, n, i) => all * chanceOfAtMost(n - one - [24, 12][i], n - one, 0.05), 1);
    expect(sure(0)).toBeGreaterThanOrEqual(0.95);
    expect(sure(1)).toBeLessThan(0.95);
  });

  it('casts fewer by what is there, and nothing where all is: no round, no melt, only the filling and closing', () => {
    // 36 wanted: 12 there, 24 more at 5 %.
    const some = station(inputFor(18, { there: 12 }));
    expect(some.byPart[0].parts.value).toBe(partsToCast(24, 0.05, input.spareRule));
    expect(some.byPart[0].needed).toBe(24);
    const all = station(inputFor(18, { there: 36 }));
    expect([all.byPart[0].parts.value, all.rounds.value, all.melts]).toEqual([0, 0, []]);
    expect(all.timeline.wholeJob.map(({ kind }) => kind)).toEqual(['fill', 'close']);
    expect(station(inputFor(18, { there: 50 })).total.value).toBe(all.total.value);
  });
});
