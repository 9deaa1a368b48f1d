import fc from 'fast-check';
import { binomialDistribution } from 'simple-statistics';
import { meltAmounts } from './amounts';
import { batchAmounts, batchStation, type BatchInput } from './batch';
import { chanceOfAtMost, partsToCast } from './spares';
import { secondsOf, timeline } from './timeline';

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

describe('amounts', () => {
  const coats = [{ coatId: 'a', meltId: 'm', method: 'dump' as const, perPartKg: 0.01 }, { coatId: 'b', meltId: 'm', method: 'dump' as const, perPartKg: 0.009 }];

  it('adds up to what is melted, to the last gram (worked by hand)', () => {
    const [melt] = meltAmounts({ coats, parts: 40, perRound: 6, perMold: 6, solidKg: 0.086 });
    expect(melt.inPartsKg).toBeCloseTo(0.76, 12);
    expect(melt.comesBackKg).toBeCloseTo(6 * (0.043 - 0.009), 12);
    expect(melt.stuckKg).toBeCloseTo(0.015 + 0.03 * 0.76, 12);
    expect(melt.meltedKg).toBe(melt.inPartsKg + melt.comesBackKg + melt.stuckKg);
  });

  it('takes a mold to the brim that is chilled before it is tipped out', () => {
    const [melt] = meltAmounts({ coats: [{ ...coats[0], method: 'chillDump' }], parts: 12, perRound: 6, perMold: 6, solidKg: 0.086 });
    expect(melt.comesBackKg).toBeCloseTo(6 * (0.086 - 0.01), 12);
  });

  it('needs no pool for spooned coats, and keeps melts apart', () => {
    const melts = meltAmounts({ coats: [{ ...coats[0], method: 'spoon' }, { ...coats[1], meltId: 'n' }], parts: 12, perRound: 6, perMold: 6, solidKg: 0.086 });
    expect(melts.map((melt) => melt.meltId)).toEqual(['m', 'n']);
    expect(melts[0].comesBackKg).toBe(0);
    expect(melts[1].comesBackKg).toBeGreaterThan(0);
  });
});

const input: BatchInput = {
  pieces: 18, perPiece: 2, spareRule: { by: 'confidence', confidence: 0.95 }, breakChance: { value: 0.05, low: 0.02, high: 0.1 }, perMold: 6, moldsAtHand: 1, solidKg: 0.086,
  coats: [{ coatId: 'a', meltId: 'm', method: 'dump', perPartKg: 0.02, drainSeconds: 20, dwellSeconds: 10, standsIn: 'fridge', rests: [], place: 'fridge', chillSeconds: 600, turnedSeconds: 0 }], filled: true, closed: true, coverSeconds: 0, atHandKg: 0.4,
};

describe('timeline', () => {
  it('tells hands-on from waiting, and leaves no gap (worked by hand from the trade’s hands-on times)', () => {
    const time = timeline({ ...input, parts: 7, meltSeconds: 600 });
    expect(time.rounds).toBe(2);
    // Melt 600; round of six: 6×8 + 10 + 20 + 40 = 118, unmold 48; round of one: 8 + 70 = 78, unmold 8; fill 18×15, close 18×25.
    expect(secondsOf(time.wholeJob, true)).toBe(600 + 118 + 48 + 78 + 8 + 270 + 450);
    expect(secondsOf(time.wholeJob, false)).toBe(1200);
    time.wholeJob.slice(1).forEach((stretch, i) => expect(stretch.startSeconds).toBe(time.wholeJob[i].startSeconds + time.wholeJob[i].seconds));
  });
});

const station = (of: BatchInput) => batchStation(of, batchAmounts(of), 600);

describe('batch station', () => {
  it('answers for 36 halves at 5 %: 40 parts in 7 rounds', () => {
    const batch = station(input);
    expect([batch.needed, batch.parts.value, batch.spares.value, batch.rounds.value, batch.partsByTrade.value]).toEqual([36, 40, 4, 7, 44]);
  });

  it('says how many the chocolate on hand makes: enough for them, not for one more', () => {
    const made = station(input).piecesFromAtHand.value;
    const melted = (pieces: number): number => {
      const parts = partsToCast(pieces * 2, 0.05, input.spareRule);
      return meltAmounts({ coats: input.coats, parts, perRound: 6, perMold: 6, solidKg: 0.086, pouredTogether: 1 })[0].meltedKg;
    };
    expect(made).toBeGreaterThan(0);
    expect(melted(made)).toBeLessThanOrEqual(0.4);
    expect(melted(made + 1)).toBeGreaterThan(0.4);
    expect(station({ ...input, atHandKg: 0.005 }).piecesFromAtHand.value).toBe(0);
  });

  it('never needs less for more pieces', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 300 }), fc.integer({ min: 1, max: 5 }), (pieces, k) => {
        const [small, large] = [pieces, pieces * k].map((n) => station({ ...input, pieces: n }));
        expect(large.melts[0].melted.value).toBeGreaterThanOrEqual(small.melts[0].melted.value);
        expect(large.total.value).toBeGreaterThanOrEqual(small.total.value);
        expect(large.rounds.value).toBeGreaterThanOrEqual(small.rounds.value);
      }),
    );
  });
});
