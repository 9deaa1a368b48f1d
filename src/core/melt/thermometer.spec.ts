import fc from 'fast-check';
import { CHOCOLATE_MATTER } from '../matter/chocolate';
import type { School } from '../record/school';
import { adviseBy } from './thermometer-advice';
import { readReadings, thinnedReadings, withReading, writeReadings, type Readings } from './thermometer';

const of = (pairs: readonly (readonly [number, number])[]): Readings => ({
  seconds: Float64Array.from(pairs, ([s]) => s),
  celsius: Float64Array.from(pairs, ([, c]) => c),
});
const pairsOf = ({ seconds, celsius }: Readings): [number, number][] => Array.from(seconds, (s, i) => [s, celsius[i]]);

const anyReadings = fc
  .array(
    fc.tuple(fc.integer({ min: 1, max: 40 }), fc.option(fc.integer({ min: -4000, max: 25000 }), { nil: undefined })),
    { minLength: 1, maxLength: 300 },
  )
  .map((steps) => {
    let at = 0;
    return of(steps.map(([step, c]) => [(at += step), c === undefined ? NaN : c / 100]));
  });

describe('readings', () => {
  it('come back from the lines of a record as they went, gaps too', () => {
    fc.assert(fc.property(anyReadings, (readings) => expect(readReadings(writeReadings(readings))).toEqual(readings)));
    expect(
      writeReadings(
        of([
          [0, 45.128],
          [10.04, NaN],
          [20, 31],
        ]),
      ),
    ).toBe('0,45.13\n10,\n20,31');
    expect(readReadings('')).toEqual(of([]));
    expect(readReadings('0,40\nnonsense\n\n5,39')).toEqual(
      of([
        [0, 40],
        [5, 39],
      ]),
    );
  });

  it('take a new one in its place in time', () => {
    const added = withReading(
      withReading(
        of([
          [0, 20],
          [60, 30],
        ]),
        30,
        25,
      ),
      60,
      31,
    );
    expect(pairsOf(added)).toEqual([
      [0, 20],
      [30, 25],
      [60, 31],
    ]);
  });

  it('thinned keep every peak, both ends and the order, in far fewer points', () => {
    fc.assert(
      fc.property(anyReadings, fc.integer({ min: 1, max: 50 }), (readings, stretches) => {
        const thin = thinnedReadings(readings, stretches);
        const told = (list: Float64Array): number[] => [...list].filter((c) => !Number.isNaN(c));
        if (told(readings.celsius).length > 0) {
          expect(Math.max(...told(thin.celsius))).toBe(Math.max(...told(readings.celsius)));
          expect(Math.min(...told(thin.celsius))).toBe(Math.min(...told(readings.celsius)));
        }
        expect(thin.seconds[0]).toBe(readings.seconds[0]);
        expect(thin.seconds.at(-1)).toBe(readings.seconds.at(-1));
        expect([...thin.seconds]).toEqual([...thin.seconds].sort((a, b) => a - b));
      }),
    );
    const many = of(Array.from({ length: 200_000 }, (_, i) => [i / 4, i === 123_457 ? 80 : 30 + Math.sin(i / 5000)]));
    const thin = thinnedReadings(many, 500);
    expect(thin.seconds.length).toBeLessThan(2100);
    expect(Math.max(...thin.celsius)).toBe(80);
  });

  it('thinned keep a gap as a gap, whether nothing was told or nothing was read', () => {
    const broken = thinnedReadings(
      of([
        [0, 30],
        [10, 31],
        [20, NaN],
        [30, 32],
        [40, 33],
        [50, 33],
        [900, 30],
        [910, 30],
      ]),
      100,
    );
    const gaps = pairsOf(broken)
      .filter(([, c]) => Number.isNaN(c))
      .map(([s]) => s);
    expect(gaps[0]).toBe(20);
    expect(gaps.some((s) => s > 50 && s < 900)).toBe(true);
  });
});

describe('advice by the thermometer', () => {
  const say = (
    school: School,
    celsius: readonly number[],
    kind: keyof typeof CHOCOLATE_MATTER = 'dark',
    workingC = 31.5,
  ): string => adviseBy(of(celsius.map((c, i) => [i * 30, c])), kind, school, CHOCOLATE_MATTER[kind], workingC).key;

  it.each([
    ['nothing read yet', [], 'nothing'],
    ['still melting', [20, 30, 38], 'melt'],
    ['melted through', [20, 38, 45], 'seedNow'],
    ['on the way down', [20, 45, 38, 34], 'seedNow'],
    ['far too hot', [20, 45, 53], 'tooHot'],
    ['seeded', [45, 38, 32], 'stirDown'],
    ['stirred on', [45, 32, 30.5], 'stirDown'],
    ['down', [45, 32, 29], 'warm'],
    ['warmed', [45, 32, 29, 31.4], 'workNow'],
    ['cooled while it is worked', [45, 32, 29, 31.5, 30.2], 'warm'],
    ['left standing', [45, 32, 29, 31.5, 26], 'warmUp'],
    ['a shade too warm', [45, 32, 29, 32.8], 'stirDown'],
    ['past the ceiling', [45, 32, 29, 31, 35], 'outOfTemper'],
    ['started again', [45, 32, 29, 31, 35, 45], 'seedNow'],
    ['started again, seeded and down', [45, 32, 29, 35, 45, 32, 29, 31.5], 'workNow'],
  ] as const)('for seeded dark, %s: %j', (_, celsius, key) => {
    expect(say('seeding', celsius)).toBe(key);
  });

  it('goes by eye for three quarters and a quarter: no stirring down', () => {
    expect(say('threeQuarters', [20, 36, 38])).toBe('seedNow');
    expect(say('threeQuarters', [20, 38, 32, 31.5])).toBe('workNow');
  });

  it('holds white below its figure where that is meant', () => {
    expect(say('holdBelow', [45, 32, 29.5, 27], 'white', 27)).toBe('workNow');
    expect(say('holdBelow', [45, 32, 27, 25.2], 'white', 27)).toBe('warm');
  });

  it.each([
    [[20, 30], 'melt'],
    [[20, 36], 'workNow'],
    [[20, 36, 33], 'warm'],
    [[20, 39.5], 'tooHot'],
    [[20, 42], 'thickens'],
    [[42, 36], 'workNow'],
  ] as const)('for coating at %j: %s', (celsius, key) => {
    expect(say('meltOnly', celsius, 'compound', 36)).toBe(key);
  });

  it('goes by the last reading that told something', () => {
    expect(say('seeding', [45, 32, 29, 31.5, NaN])).toBe('workNow');
  });
});
