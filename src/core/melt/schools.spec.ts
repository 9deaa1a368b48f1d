import fc from 'fast-check';
import { bandProblem, meltingCeilingC, stirDownToC } from '../matter/bands';
import { CHOCOLATE_KINDS, CHOCOLATE_MATTER, type ChocolateKind } from '../matter/chocolate';
import { BOWL_MATERIALS } from '../matter/bowl-material';
import { JACKETS, MELTING_WAYS } from '../record/choices';
import { isFor, isTempered, SCHOOLS, type School } from '../record/school';
import { keepWorkable, meltStation, moreSeedKg, type MeltInput } from './melt';
import { calibrateMicrowave, deliveredW, usualShare } from './microwave';
import { meltable } from './heat-held';
import { planSchool, workingBy } from './schools';

const input = (kind: ChocolateKind, change: Partial<MeltInput> = {}): MeltInput => {
  const matter = CHOCOLATE_MATTER[kind];
  return {
    meltId: 'm',
    kind,
    fatShare: matter.fatShare,
    bands: matter,
    density: matter.meltedDensity,
    totalKg: 0.45,
    way: 'microwave',
    bowl: { material: 'plastic', kg: 0.14, diameterM: 0.18 },
    coolBowl: false,
    jacket: 'none',
    workingC: (matter.workFromC + matter.workToC) / 2,
    roomC: 20,
    fullW: (kg) => deliveredW(800, kg, 1),
    power: 0.8,
    school: kind === 'compound' ? 'meltOnly' : 'seeding',
    calibrated: false,
    ...change,
  };
};
const bursts = (of: MeltInput): number[] =>
  planSchool({ ...of, kg: of.totalKg }, of.school).steps.flatMap((step) =>
    step.key === 'burst' ? [step.burst.seconds] : [],
  );
const sum = (list: readonly number[]): number => list.reduce((a, b) => a + b, 0);

const any: fc.Arbitrary<MeltInput> = fc
  .record({
    kind: fc.constantFrom(...CHOCOLATE_KINDS),
    fatShare: fc.double({ min: 0.2, max: 0.6, noNaN: true }),
    totalKg: fc.double({ min: 0.01, max: 6, noNaN: true }),
    way: fc.constantFrom(...MELTING_WAYS),
    school: fc.constantFrom(...SCHOOLS),
    coolBowl: fc.boolean(),
    jacket: fc.constantFrom(...JACKETS),
    roomC: fc.double({ min: 10, max: 35, noNaN: true }),
    power: fc.double({ min: 0.1, max: 1, noNaN: true }),
    watts: fc.double({ min: 100, max: 3000, noNaN: true }),
    shift: fc.double({ min: -2, max: 1.5, noNaN: true }),
    bowl: fc.record({
      material: fc.constantFrom(...BOWL_MATERIALS),
      kg: fc.double({ min: 0.02, max: 2, noNaN: true }),
      diameterM: fc.double({ min: 0.1, max: 0.35, noNaN: true }),
    }),
  })
  .map(({ kind, watts, shift, ...rest }) =>
    input(kind, {
      ...rest,
      workingC: (CHOCOLATE_MATTER[kind].workFromC + CHOCOLATE_MATTER[kind].workToC) / 2 + shift,
      fullW: (kg) => deliveredW(watts, kg, 1),
    }),
  );

describe('bursts', () => {
  // Common practice, no source.
  it.each(['dark', 'compound'] as const)('113 g of %s takes about three bursts of 30 s at 80 %%', (kind) => {
    const made = bursts(input(kind, { totalKg: 0.113, school: 'meltOnly' }));
    expect(made.slice(0, 2)).toEqual([30, 30]);
    expect(sum(made)).toBeGreaterThanOrEqual(75);
    expect(sum(made)).toBeLessThanOrEqual(105);
  });

  // Common practice, no source.
  it.each(['dark', 'compound'] as const)('227 g of %s takes 30 + 30 + 15 to 20 s at full power', (kind) => {
    const made = bursts(input(kind, { totalKg: 0.227, power: 1, school: 'meltOnly' }));
    expect(made).toHaveLength(3);
    expect(made.slice(0, 2)).toEqual([30, 30]);
    expect([15, 20]).toContain(made[2]);
  });

  // Common practice, no source: 1 min at half power, then 30 s.
  it('begin with a minute at half power', () => {
    expect(bursts(input('compound', { totalKg: 0.15, power: 0.5 }))[0]).toBe(60);
  });

  it('end with lumps left, in the last burst of a melt that is worked', () => {
    const { steps } = planSchool({ ...input('compound'), kg: 0.3 }, 'meltOnly');
    const last = steps.filter((step) => step.key === 'burst').at(-1);
    expect(last?.key === 'burst' && last.burst.lumps).toBe(true);
  });

  it('never pass the ceiling, not even in the hottest spot, and never go past where they should end', () => {
    fc.assert(
      fc.property(any, (of) => {
        const made = planSchool({ ...of, kg: of.totalKg }, of.school);
        for (const step of made.steps) {
          if (step.key !== 'burst') continue;
          expect(step.burst.hottestC).toBeLessThanOrEqual(meltingCeilingC(of.kind, of.bands) + 1e-9);
          expect(step.burst.afterC).toBeLessThanOrEqual(step.burst.hottestC + 1e-9);
        }
        const most = meltingCeilingC(of.kind, of.bands);
        const { meltedFromC } = meltable(of.kind, of.fatShare, of.bands.workFromC);
        const gentle = of.school === 'keepTemper' && of.kind !== 'compound';
        expect(made.ceilingC).toBe(gentle ? Math.min(most, meltedFromC) : most);
        // Nothing is cooler than the room.
        expect(made.hottestC).toBeLessThanOrEqual(Math.max(made.ceilingC, of.roomC) + 1e-6);
      }),
      { numRuns: 400 },
    );
  });

  it('says so when so little would scorch', () => {
    expect(planSchool({ ...input('dark', { fullW: () => 2500, power: 1 }), kg: 0.01 }, 'seeding').reached).toBe(false);
  });
});

describe('schools', () => {
  it.each(CHOCOLATE_KINDS.filter((kind) => kind !== 'compound'))(
    'seeding takes %s through its temperatures in order',
    (kind) => {
      const of = input(kind);
      const { steps, seedKg, endC } = planSchool({ ...of, kg: 0.45 }, 'seeding');
      expect(steps.map((step) => step.key).filter((key) => key !== 'burst')).toEqual(['seed', 'coolInAir', 'warm']);
      const after = (key: string): number => steps.find((step) => step.key === key)?.afterC ?? NaN;
      expect(steps.filter((step) => step.key === 'burst').at(-1)?.afterC).toBeGreaterThan(of.bands.meltToC - 1.6);
      expect(after('seed')).toBeCloseTo(of.bands.seedToC, 6);
      expect(after('coolInAir')).toBeCloseTo(stirDownToC(of.bands), 3);
      expect(endC).toBeCloseTo(of.workingC, 3);
      // Common practice, no source: a quarter to a third.
      expect(seedKg / 0.45).toBeGreaterThan(0.23);
      expect(seedKg / 0.45).toBeLessThan(0.34);
    },
  );

  it('a cool bowl takes part of the heat, so that less seed is wanted', () => {
    const of = input('dark');
    const [same, cool] = [false, true].map((coolBowl) => planSchool({ ...of, coolBowl, kg: 0.45 }, 'seeding'));
    expect(cool.seedKg).toBeLessThan(same.seedKg);
    const pour = cool.steps.find((step) => step.key === 'pour');
    expect(45 - (pour?.afterC ?? 0)).toBeGreaterThan(2.5);
  });

  it('three quarters and a quarter melts three, and stirs one in', () => {
    const made = planSchool({ ...input('dark'), kg: 0.4 }, 'threeQuarters');
    expect(made.seedKg).toBeCloseTo(0.1, 3);
    expect(made.meltedKg + made.seedKg).toBeCloseTo(0.4, 12);
    expect(made.needsThermometer).toBe(false);
    expect(made.seconds).toBeLessThan(planSchool({ ...input('dark'), kg: 0.4 }, 'seeding').seconds);
  });

  it('held below the classic figure it ends cooler and is not warmed', () => {
    const made = planSchool({ ...input('white', { workingC: 27 }), kg: 0.4 }, 'holdBelow');
    expect(made.endC).toBeCloseTo(27, 3);
    expect(made.steps.some((step) => step.key === 'warm')).toBe(false);
  });

  it('cools over water where the room is too warm to do it', () => {
    const { steps } = planSchool({ ...input('dark', { roomC: 30 }), kg: 0.45 }, 'seeding');
    expect(steps.map((step) => step.key)).toContain('coolInWater');
  });

  // Common practice, no source: tubes of coating take 3 to 5 min in very hot water; a double boiler on very low heat some ten minutes.
  it('melts tubes in three to five minutes, and a bowl over steam in five to twenty', () => {
    const tube = planSchool({ ...input('compound', { way: 'tube' }), kg: 0.1 }, 'meltOnly').steps[0];
    expect([tube.key, tube.seconds >= 180, tube.seconds <= 300]).toEqual(['bath', true, true]);
    const boiler = planSchool({ ...input('dark', { way: 'doubleBoiler' }), kg: 0.45 }, 'seeding').steps[0];
    expect(boiler.key).toBe('bath');
    expect(boiler.seconds).toBeGreaterThan(300);
    expect(boiler.seconds).toBeLessThan(1200);
  });

  // Common practice, no source: 113 g takes about three bursts of 30 s at 80 %, the last ones shorter, stopping with lumps left.
  it('melts 113 g gently in three or four bursts, no spot as warm as where all of it melts, and keeps some of its crystals', () => {
    for (const kind of ['dark', 'milk', 'white'] as const) {
      for (const power of [0.5, 0.8, 1]) {
        const of = input(kind, { totalKg: 0.113, power, school: 'keepTemper' });
        const plan = planSchool({ ...of, kg: 0.113 }, 'keepTemper');
        const { meltedFromC } = meltable(kind, of.fatShare, of.bands.workFromC);
        expect(bursts(of).length).toBeLessThanOrEqual(6);
        expect(sum(bursts(of)) * power).toBeGreaterThan(45);
        expect(sum(bursts(of)) * power).toBeLessThan(95);
        expect(plan.hottestC).toBeLessThan(meltedFromC);
        expect(plan.lumps).toBeGreaterThan(0.05);
        expect(plan.lumps).toBeLessThan(0.35);
        expect([plan.seedKg, plan.reached, plan.needsThermometer]).toEqual([0, true, false]);
        expect(plan.endC).toBeCloseTo(of.workingC, 1);
      }
    }
  });

  it('guards a coating by its lumps, or by a whole quarter held back, melts it through after that, and never passes its ceiling', () => {
    const low = { meltToC: 32, seedToC: 30, workFromC: 30, workToC: 32, ceilingC: 32 };
    for (const of of [input('compound'), input('compound', { bands: low, workingC: 31 })]) {
      for (const school of ['keepTemper', 'threeQuarters'] as const) {
        const plan = planSchool({ ...of, kg: 0.45 }, school);
        expect(plan.seedKg).toBeCloseTo(school === 'threeQuarters' ? 0.45 / 4 : 0, 12);
        expect(plan.hottestC).toBeLessThanOrEqual(of.bands.ceilingC);
        expect(meltStation({ ...of, school }).lumps).toBeUndefined();
        expect(plan.endC).toBeCloseTo(of.workingC, 1);
        // The heat of what is stirred in is not forgotten: it takes no less time in all than melting it at once.
        const melted = planSchool({ ...of, kg: 0.45 }, 'meltOnly').steps.filter(({ key }) => key === 'burst');
        const heating = plan.steps.reduce(
          (all, step) => all + (step.key === 'burst' ? step.burst.seconds : step.key === 'warm' ? step.heating : 0),
          0,
        );
        expect(heating).toBeGreaterThan(0.8 * melted.reduce((all, { seconds }) => all + seconds - 20, 0));
      }
    }
  });

  // Common practice, no source: 29 °C for every kind, or dark 29, milk 28.5, white 27.5.
  it('stirs down to one figure, or by kind', () => {
    const coolest = (kind: ChocolateKind, school: School): number =>
      Math.min(
        ...planSchool({ ...input(kind), kg: 0.45 }, school)
          .steps.slice(1)
          .map(({ afterC }) => afterC),
      );
    expect(coolest('dark', 'seeding')).toBeCloseTo(29, 1);
    expect(coolest('dark', 'seedingByKind')).toBeCloseTo(29, 1);
    expect(coolest('milk', 'seeding')).toBeCloseTo(28.5, 1);
    expect(coolest('milk', 'seedingByKind')).toBeCloseTo(28.5, 1);
    const warm = { ...CHOCOLATE_MATTER.white, workFromC: 30 };
    expect(stirDownToC(warm)).toBe(29);
    expect(stirDownToC(warm, 'white')).toBe(27.5);
  });

  it('is for the chocolate it is for: seed and cold for what holds cocoa butter, lumps and a quarter for coating too', () => {
    expect(SCHOOLS.filter((school) => isFor('compound', school))).toEqual(['threeQuarters', 'keepTemper', 'meltOnly']);
    expect(SCHOOLS.every((school) => isFor('dark', school))).toBe(true);
    expect(SCHOOLS.filter((school) => !isTempered('dark', school))).toEqual(['keptCold', 'meltOnly']);
    expect(SCHOOLS.some((school) => isTempered('compound', school))).toBe(false);
  });

  it('works what is kept cold wherever it runs, longer than what has to stay in temper', () => {
    const of = input('dark');
    expect(workingBy('keptCold', 29, of.bands)).toBe(29);
    const window = (school: School): number =>
      keepWorkable(meltStation({ ...of, school }), [{ seconds: 600, inUse: true }]).window.value;
    expect(window('keptCold')).toBeGreaterThan(1.3 * window('seeding'));
  });

  it('makes a curve that goes forward in time, of temperatures that can be, for any of them', () => {
    fc.assert(
      fc.property(any, (of) => {
        const { curve, steps, seconds, seedKg, meltedKg } = planSchool({ ...of, kg: of.totalKg }, of.school);
        expect(Number.isFinite(seconds)).toBe(true);
        expect(seedKg).toBeGreaterThanOrEqual(0);
        expect(seedKg + meltedKg).toBeCloseTo(of.totalKg, 9);
        expect(steps.reduce((all, step) => all + step.seconds, 0)).toBeCloseTo(seconds, 6);
        const wrong = curve.filter(
          ({ seconds: at, celsius }, i) => !(at >= (curve[i - 1]?.seconds ?? 0) - 1e-9 && celsius > 5 && celsius < 60),
        );
        expect(wrong).toEqual([]);
      }),
      { numRuns: 300 },
    );
  });
});

describe('changing the school', () => {
  const band = { workFromC: 28, workToC: 31 };

  it.each([
    ['holdBelow', 29.5, 27],
    ['holdBelow', 26.2, 26.2],
    ['seeding', 29.5, 29.5],
    ['seeding', 26.2, 29.5],
    ['threeQuarters', 33, 33],
  ] as const)('to %s from %f °C works it at %f', (school, before, after) => {
    expect(workingBy(school, before, band)).toBe(after);
  });
});

describe('the Melt station', () => {
  it('adds a twentieth of the bowlful in seed where it tests soft', () => {
    const made = meltStation(input('dark', { totalKg: 2 }));
    expect(made.lots).toBe(2);
    expect(moreSeedKg(made)).toBeCloseTo(0.05, 12);
  });

  it('melts in as few bowlfuls as can be stirred, each like the other', () => {
    const made = meltStation(input('dark', { totalKg: 3 }));
    expect(made.lots).toBe(3);
    expect(made.perLotKg).toBeCloseTo(1, 12);
    // Work begins with the first of them.
    expect(made.ready.value).toBe(made.plan.seconds);
    expect(made.seed.value + made.melted.value).toBeCloseTo(3, 9);
    expect(meltStation(input('compound', { way: 'tube', totalKg: 0.5 })).lots).toBe(5);
  });

  it('stays workable longer in more of it, in a mitt, and in a warmer room', () => {
    const window = (change: Partial<MeltInput>): number =>
      keepWorkable(meltStation(input('dark', change)), []).window.value;
    expect(window({ totalKg: 0.9 })).toBeGreaterThan(window({}));
    expect(window({ jacket: 'mitt' })).toBeGreaterThan(window({}));
    expect(window({ roomC: 26 })).toBeGreaterThan(window({}));
    expect(window({ roomC: 33 })).toBe(Infinity);
  });

  // Common practice, no source: people work from a bowl of a kilogram for 10 to 15 min before they warm it again.
  it('stays workable for a quarter of an hour or so in a bowl of a kilogram, not much less in what is left of it', () => {
    const { window } = keepWorkable(meltStation(input('dark', { totalKg: 1 })), []);
    expect(window.value / 60).toBeGreaterThan(10);
    expect(window.value / 60).toBeLessThan(20);
    expect(window.low).toBeGreaterThan(10 * 60);
  });

  it('follows the working temperature without a jump, and coating too', () => {
    for (const [kind, school, from, to] of [
      ['dark', 'seeding', 28, 33],
      ['dark', 'meltOnly', 28, 33],
      ['compound', 'meltOnly', 32, 40],
    ] as const) {
      const windows = Array.from(
        { length: 201 },
        (_, k) =>
          keepWorkable(meltStation(input(kind, { school, workingC: from + ((to - from) * k) / 200 })), []).window.value,
      );
      const longest = Math.max(...windows);
      const jump = Math.max(...windows.slice(1).map((now, k) => Math.abs(now - windows[k])));
      expect([kind, school, jump / longest < 0.01]).toEqual([kind, school, true]);
    }
  });

  it('ends a little over a kelvin cooler in temper, and much cooler out of it', () => {
    const thick = (kind: ChocolateKind, school: School, workingC: number): number =>
      keepWorkable(meltStation(input(kind, { school, workingC })), []).thickC;
    expect(31.5 - thick('dark', 'seeding', 31.5)).toBeGreaterThan(1);
    expect(31.5 - thick('dark', 'seeding', 31.5)).toBeLessThan(1.8);
    expect(31.5 - thick('dark', 'meltOnly', 31.5)).toBeGreaterThan(3);
  });

  it('is warmed again once for every window that is worked through, and before it is used after standing', () => {
    const made = meltStation(input('dark'));
    const of = (stretches: { seconds: number; inUse: boolean }[]): number =>
      keepWorkable(made, stretches).reheats.value;
    const window = keepWorkable(made, []).window.value;
    expect(of([])).toBe(0);
    expect(of([{ seconds: window * 0.9, inUse: true }])).toBe(0);
    expect(of([{ seconds: window * 1.1, inUse: true }])).toBe(1);
    expect(of([{ seconds: window * 3.5, inUse: true }])).toBe(3);
    expect(
      of([
        { seconds: 10, inUse: true },
        { seconds: 3600, inUse: false },
        { seconds: 10, inUse: true },
      ]),
    ).toBe(1);
    expect(
      of([
        { seconds: 10, inUse: true },
        { seconds: 3600, inUse: false },
      ]),
    ).toBe(0);
    expect(of([{ seconds: Infinity, inUse: false }])).toBe(0);
  });

  // Common practice, no source: 5 to 10 s in the microwave bring it back; a bowl of coating that has come to set, some more.
  it('comes back in some seconds', () => {
    const reheat = (kind: ChocolateKind): number => keepWorkable(meltStation(input(kind)), []).reheat.value;
    expect(reheat('dark')).toBeGreaterThan(4);
    expect(reheat('dark')).toBeLessThan(12);
    expect(reheat('compound')).toBeGreaterThan(8);
    expect(reheat('compound')).toBeLessThan(20);
  });
});

describe('the microwave', () => {
  // 15 to 35 % for small bowls: common practice, no source.
  it.each([0.1, 0.2, 0.3])('gives %f kg a share of 15 to 37 %% of its power', (kg) => {
    expect(usualShare(kg)).toBeGreaterThan(0.15);
    expect(usualShare(kg)).toBeLessThan(0.37);
  });

  it('calibrated by a known weight, takes as long as that weight took', () => {
    const pot = { chocolate: meltable('dark', 0.4, 31), kg: 0.2, bowlHeat: 60, lossWK: 0.3, aroundC: 20 };
    const { heatJ, share, factor } = calibrateMicrowave(pot, 800, { kg: 0.2, seconds: 70, endC: 38 }, 20);
    // 0.2 kg × 1650 × 18 + 0.2 × 157 kJ × 0.4 + 60 × 18, over 800 W × 70 s.
    expect(heatJ).toBeCloseTo(0.2 * 1650 * 18 + 0.2 * 157e3 * 0.4 + 60 * 18, 6);
    expect(share).toBeCloseTo(heatJ / 56_000, 9);
    expect(deliveredW(800, 0.2, factor) * 70).toBeCloseTo(heatJ, 6);
  });
});

describe('bands', () => {
  it.each(CHOCOLATE_KINDS)('of %s are in order as they come', (kind) => {
    expect(bandProblem(kind, CHOCOLATE_MATTER[kind])).toBeUndefined();
  });

  it.each([
    ['dark', { workFromC: 33 }, 'workFromC', 'workToC'],
    ['dark', { workToC: 34 }, 'workToC', 'ceilingC'],
    ['dark', { seedToC: 30 }, 'workFromC', 'seedToC'],
    ['dark', { seedToC: 46 }, 'seedToC', 'meltToC'],
    ['dark', { ceilingC: 46 }, 'ceilingC', 'meltToC'],
    ['compound', { meltToC: 41 }, 'meltToC', 'ceilingC'],
    ['compound', { meltToC: 33 }, 'workFromC', 'meltToC'],
  ] as const)('of %s with %j are refused, and say which two', (kind, change, lower, upper) => {
    expect(bandProblem(kind, { ...CHOCOLATE_MATTER[kind], ...change })).toEqual({ lower, upper });
  });
});
