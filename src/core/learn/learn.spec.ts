import fc from 'fast-check';
import { FOUR_FIFTHS, normalBelow } from '../quantity/normal';
import { StoredKitchenSchema } from '../record/kitchen';
import { usualKitchen } from '../../data/kitchen-usual';
import { madeCooks } from '../../testing/made-cooks';
import { teachingRuns, type TeachingCook } from '../../testing/teaching-runs';
import { believe, blended, type Evidence } from './belief';
import { learnedFromHands } from './hand-evidence';
import { learnedOf, lessonsOf, rememberedOf } from './lessons';
import { readingsOf, type RunReadings } from './run-readings';
import { learnedFromSetting, type SetReading } from './set-evidence';

/** A reading that is normally distributed around a sum of the parameters. */
const measured = (along: readonly number[], value: number, sd: number): Evidence => ({
  along,
  says: (at) => ({ log: -(((at - value) / sd) ** 2) / 2, slope: (value - at) / sd ** 2, bend: 1 / sd ** 2 }),
});

const wait = (change: Partial<SetReading> = {}): SetReading => ({
  readyS: 600,
  along: { room: 0, fridge: -0.8, freezer: 0, goesOn: 1 },
  deed: 'wentOn',
  softS: 0,
  byS: 600,
  ...change,
});
/** By how much a wait of that kind is believed to be later, as the logarithm of a factor. */
const later = (readings: readonly SetReading[]): number => {
  const { mean } = learnedFromSetting(readings);
  return -0.8 * mean[1] + mean[3];
};
const waited = wait({ deed: 'waited', softS: 600, byS: 900 });

describe('the normal distribution', () => {
  it.each([
    [0, 0.5],
    [1, 0.8413447],
    [1.959964, 0.975],
    [-2.326348, 0.01],
    [-5, 2.866516e-7],
  ])('has below %f standard deviations %f of itself (Abramowitz and Stegun, table 26.1)', (z, share) => {
    expect(Math.abs(normalBelow(z) / share - 1)).toBeLessThan(2e-6);
  });

  it('has four fifths within its stated bounds', () => {
    expect(normalBelow(FOUR_FIFTHS) - normalBelow(-FOUR_FIFTHS)).toBeCloseTo(0.8, 6);
  });
});

describe('a belief', () => {
  it('of one parameter and normal readings is the conjugate one (weights by precision; Gelman et al., Bayesian Data Analysis, section 2.5)', () => {
    const { mean, covariance } = believe([0.2], [measured([1], 0.5, 0.1), measured([1], 0.3, 0.3)]);
    const precision = 1 / 0.04 + 1 / 0.01 + 1 / 0.09;
    expect(mean[0]).toBeCloseTo((0.5 / 0.01 + 0.3 / 0.09) / precision, 9);
    expect(covariance[0][0]).toBeCloseTo(1 / precision, 9);
  });

  it('of two parameters is what a grid over both sums to', () => {
    const readings = [
      wait({ along: { room: -0.2, fridge: -0.8, freezer: 0, goesOn: 1 }, deed: 'waited', softS: 600, byS: 900 }),
      wait({ byS: 720 }),
      wait({ deed: 'waited', softS: 660, byS: 960 }),
      wait({ deed: 'early', byS: 500 }),
    ];
    const { mean, covariance } = learnedFromSetting(readings, new Set(['room', 'freezer']));
    const grid = summedOver(readings);
    expect(mean[1]).toBeCloseTo(grid.mean[0], 1.7);
    expect(mean[3]).toBeCloseTo(grid.mean[1], 1.7);
    expect(Math.abs(Math.sqrt(covariance[1][1] / grid.variance[0]) - 1)).toBeLessThan(0.08);
    expect(Math.abs(Math.sqrt(covariance[3][3] / grid.variance[1]) - 1)).toBeLessThan(0.08);
  });

  it('is blended by how likely each supposition made the readings', () => {
    const [near, far] = [believe([0.1], [measured([1], 0, 0.1)]), believe([0.1], [measured([1], 1, 0.1)])];
    const { mean } = blended([near, far], [Math.log(0.5), Math.log(0.5)]);
    expect(mean[0]).toBeLessThan(0.01);
  });
});

const COOKS = [0, 0.5, 0.95].flatMap((looks) =>
  [0.05, 0.3, 0.8].flatMap((before) => [0.02, 0.15, 0.95].map((strays) => [looks, before, strays] as const)),
);

/** Both parameters' means and variances, by the same likelihoods summed over a fine grid, cook by cook. */
function summedOver(readings: readonly SetReading[]) {
  let [all, fridge, goesOn, fridge2, goesOn2] = [0, 0, 0, 0, 0];
  const sd = Math.log(1.2);
  for (let a = -0.8; a <= 0.8; a += 0.02)
    for (let b = -0.8; b <= 0.8; b += 0.02) {
      let likely = 0;
      for (const [looks, before, strays] of COOKS) {
        let product = Math.exp(-(a * a + b * b) / (2 * sd * sd));
        for (const { readyS, along, deed, softS, byS } of readings) {
          const at = along.fridge * a + along.goesOn * b;
          const [low, high] = [softS, byS].map((s) => normalBelow((Math.log(s / readyS) - at) / 0.15));
          const seen = (deed === 'early' ? before : (1 - before) * looks) * (high - low);
          const other = deed === 'wentOn' ? (1 - before) * (1 - looks) : 0;
          product *= (1 - strays) * (seen + other) + strays * { wentOn: 0.4, waited: 0.1, early: 0.4 }[deed];
        }
        likely += product;
      }
      all += likely;
      fridge += likely * a;
      goesOn += likely * b;
      fridge2 += likely * a * a;
      goesOn2 += likely * b * b;
    }
  const mean = [fridge / all, goesOn / all];
  return { mean, variance: [fridge2 / all - mean[0] ** 2, goesOn2 / all - mean[1] ** 2] };
}

describe('what waits say', () => {
  it('that something was still soft plans it later, that it was gone on with early plans it sooner', () => {
    expect(later([waited])).toBeGreaterThan(0.03);
    expect(later([waited, waited])).toBeGreaterThan(later([waited]));
    const early = wait({ deed: 'early', byS: 450 });
    expect(later([early])).toBeLessThan(-0.005);
    expect(later(Array.from({ length: 8 }, () => early))).toBeLessThan(-0.15);
  });

  it('the longer it was soft, the later, without a jump', () => {
    let before = later([wait({ deed: 'waited', softS: 300, byS: 600 })]);
    for (let k = 1; k <= 200; k++) {
      const softS = 300 + 3 * k;
      const now = later([wait({ deed: 'waited', softS, byS: softS + 300 })]);
      expect(now - before).toBeGreaterThan(-0.004);
      expect(Math.abs(now - before)).toBeLessThan(0.02);
      before = now;
    }
  });

  it('nothing that is noted makes the belief unsure beyond the prior by more than a blend of cooks can', () => {
    const reading = fc.record({
      deed: fc.constantFrom('wentOn' as const, 'waited' as const, 'early' as const),
      softS: fc.double({ min: 1, max: 1e6, noNaN: true }),
      byS: fc.double({ min: 1, max: 1e6, noNaN: true }),
    });
    fc.assert(
      fc.property(fc.array(reading, { maxLength: 12 }), (deeds) => {
        const readings = deeds.map(({ deed, softS, byS }) =>
          wait({ deed, softS: deed === 'waited' ? Math.min(softS, byS) : 0, byS: Math.max(softS, byS) }),
        );
        const { mean, covariance } = learnedFromSetting(readings);
        for (const [i, row] of covariance.entries()) {
          expect(Number.isFinite(mean[i])).toBe(true);
          expect(Math.abs(mean[i])).toBeLessThan(2);
          expect(row[i]).toBeGreaterThan(0);
          expect(Math.sqrt(row[i])).toBeLessThan(0.5);
        }
      }),
      { numRuns: 150 },
    );
  });

  it('one absurd reading among ten sound ones moves nothing', () => {
    const sound = Array.from({ length: 10 }, () => waited);
    const absurd = wait({ deed: 'waited', softS: 80_000, byS: 90_000 });
    expect(Math.abs(later([...sound, absurd]) - later(sound))).toBeLessThan(0.06);
  });
});

describe('what work by hand says', () => {
  const work = (tookS: number, count: number) => Array.from({ length: count }, () => ({ plannedS: 100, tookS }));
  const factor = (readings: Parameters<typeof learnedFromHands>[0]): number =>
    Math.exp(learnedFromHands(readings).mean[0]);

  it('nothing leaves it at common practice, much of it comes to what was done', () => {
    expect(factor([])).toBeCloseTo(1, 9);
    expect(factor(work(140, 1))).toBeGreaterThan(1.05);
    expect(factor(work(140, 1))).toBeLessThan(1.4);
    expect(factor(work(140, 20))).toBeCloseTo(1.4, 1);
    expect(factor(work(70, 20))).toBeCloseTo(0.7, 1);
  });

  it('one absurd reading counts for next to nothing', () => {
    expect(factor(work(700, 1))).toBeLessThan(1.2);
    expect(Math.abs(factor([...work(100, 10), ...work(790, 1)]) - 1)).toBeLessThan(0.02);
  });
});

describe('lessons', () => {
  const readings = (cook: TeachingCook, count = 6): RunReadings[] =>
    teachingRuns(count, cook).map((run) => readingsOf(run, run.marks));
  const slow = readings({ hands: 1.4, sets: 1.3 });

  it('tell a slow fridge and slow hands from runs, and plan what was read as it truly was', () => {
    const taught = lessonsOf(slow);
    const fridge = taught.find(({ key }) => key === 'fridge');
    expect(fridge?.readings).toBe(24);
    expect(fridge?.factor).toBeLessThan(0.95);
    // It took 1.3 times as long, and was asked for in steps of 5 min.
    expect((fridge?.nowS ?? 0) / (fridge?.usuallyS ?? 1)).toBeGreaterThan(1.2);
    expect((fridge?.nowS ?? 0) / (fridge?.usuallyS ?? 1)).toBeLessThan(1.45);
    expect(taught.find(({ key }) => key === 'coat')?.factor).toBeCloseTo(1.4, 1);
  });

  it('a kitchen as assumed stays about so', () => {
    for (const { factor } of lessonsOf(readings({ hands: 1, sets: 1 })))
      expect(Math.abs(Math.log(factor))).toBeLessThan(0.08);
  });

  it('what is switched off is told, and planned without; the rest is worked out as if it were as the rules say', () => {
    const off = lessonsOf(slow, new Set(['goesOn']));
    expect(off.find(({ key }) => key === 'goesOn')?.on).toBe(false);
    expect(learnedOf(off)?.goesOn).toBeUndefined();
    const [apart, together] = [off, lessonsOf(slow)].map((all) => all.find(({ key }) => key === 'fridge')?.factor ?? 1);
    expect(apart).toBeLessThan(together - 0.02);
  });

  it('what is forgotten is learned from later runs alone', () => {
    const left = slow.map((run, i) => rememberedOf(run, i === 0 ? 200 : 100, { fridge: 150, coat: 150 }));
    expect(left.map(({ sets }) => sets.length)).toEqual([4, 0, 0, 0, 0, 0]);
    expect(left.flatMap(({ hands }) => hands).every(({ work }) => work !== 'coat' || left[0].hands.length > 0)).toBe(
      true,
    );
    expect(left[1].hands.filter(({ work }) => work === 'coat')).toEqual([]);
  });

  it('a rehearsal and a run that goes on teach nothing', () => {
    const [run] = teachingRuns(1, { hands: 1.4, sets: 1.3 });
    const nothing = { sets: [], hands: [] };
    expect(readingsOf({ ...run, rehearsal: 60 }, run.marks)).toEqual(nothing);
    expect(
      readingsOf(
        run,
        run.marks.filter(({ kind }) => kind !== 'ended'),
      ),
    ).toEqual(nothing);
    expect(readingsOf({ ...run, castings: [] }, run.marks).sets).toEqual([]);
  });

  it('a kitchen can be kept with whatever they come to', () => {
    const learned = learnedOf(lessonsOf(slow));
    const kitchen = { ...usualKitchen(new Date(0)), learned };
    expect(StoredKitchenSchema.parse(kitchen).learned).toEqual(learned);
    expect(learnedOf([])).toBeUndefined();
  });
});

describe('made-up cooks whose true kitchens are hidden', () => {
  const cooks = madeCooks(20, { looks: 0.85, early: 0.25, strays: 0.04 });

  it('are known as surely as it is said, and plan ever nearer to the truth', () => {
    const [first, third, tenth] = cooks.after;
    // Of 80 ranges; 200 cooks are asked by the command.
    for (const { holds } of cooks.after) expect(holds).toBeGreaterThan(0.68);
    expect(first.off).toBeLessThan(1.05 * cooks.before);
    expect(third.off).toBeLessThan(cooks.before);
    expect(tenth.off).toBeLessThan(0.5 * cooks.before);
  });
});
