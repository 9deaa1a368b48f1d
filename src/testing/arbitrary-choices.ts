import fc from 'fast-check';
import { isSeen } from '../core/record/name';
import { BOWL_MATERIALS } from '../core/matter/bowl-material';
import { CHOCOLATE_KINDS, FLUIDITY_CLASSES } from '../core/matter/chocolate';
import type { Finish, Melt } from '../core/record/casting';
import { CLOSING_ROWS, CLOSURES, closingChoices, closingNumbers, type Closure } from '../core/record/closing';
import type { Chocolate } from '../core/record/chocolate';
import {
  ALLERGENS,
  COAT_AREAS,
  JACKETS,
  MELTING_WAYS,
  PLACES,
  STUCK_BY,
  THINNERS,
  WAYS_UP,
} from '../core/record/choices';
import { SCHOOLS } from '../core/record/school';
import { PATTERNS, PREP_KINDS } from '../core/record/prep';
import { METHODS, fillsLevel } from '../core/record/method';
import type { Kitchen } from '../core/record/kitchen';
import { LIMITS, type LimitName } from '../core/record/limits';
import type { Mold } from '../core/record/mold';

export const within = (name: LimitName): fc.Arbitrary<number> =>
  fc.double({ min: LIMITS[name].low, max: LIMITS[name].high, noNaN: true });
export const whole = (name: LimitName): fc.Arbitrary<number> =>
  fc.integer({ min: LIMITS[name].low, max: LIMITS[name].high });
export const name = fc.string({ minLength: 1, maxLength: 40 }).filter(isSeen);
const someAllergens = fc.subarray([...ALLERGENS]);

const rest = fc.record({ place: fc.constantFrom(...PLACES), seconds: within('setMinutesS') });

/** Coats on the wall, or fills from below: they do not mix. */
export const coats = fc.boolean().chain((level) =>
  fc.array(
    fc.record({
      method: level
        ? fc.constant('solid' as const)
        : fc.constantFrom(...METHODS.filter((method) => !fillsLevel(method))),
      clamped: fc.boolean(),
      standsIn: fc.constantFrom(...PLACES),
      turnSeconds: within('turnSeconds'),
      volumeShare: within('volumeShare'),
      rests: fc.array(rest, { maxLength: 2 }),
      doseM3: within('doseM3'),
      dwellSeconds: within('dwellSeconds'),
      drainSeconds: within('drainSeconds'),
      tappingSeconds: within('tappingSeconds'),
      wayUp: fc.constantFrom(...WAYS_UP),
      uprightSeconds: fc.oneof(fc.constant(0), within('uprightSeconds')),
      where: fc.constantFrom(...COAT_AREAS),
      place: fc.constantFrom(...PLACES),
      seconds: fc.option(within('setMinutesS'), { nil: undefined }),
      then: fc.array(fc.record({ place: fc.constantFrom(...PLACES), seconds: within('afterColdS') }), { maxLength: 2 }),
      mixed: fc.option(within('mixInShare'), { nil: undefined, freq: 5 }),
    }),
    { minLength: 1, maxLength: 4 },
  ),
);

/** What is painted or dusted in first, of one of two melts where it is of any. */
export const prep = fc.array(
  fc
    .record({
      kind: fc.constantFrom(...PREP_KINDS),
      pattern: fc.constantFrom(...PATTERNS),
      share: within('prepShare'),
      count: whole('spots'),
      spotM: within('spotM'),
      thickM: within('paintedM'),
      rests: fc.array(rest, { maxLength: 1 }),
      place: fc.constantFrom(...PLACES),
      seconds: fc.option(within('setMinutesS'), { nil: undefined }),
    })
    .map(({ kind, rests, place, seconds, ...step }) => ({
      ...step,
      name: kind,
      sets: [...rests, seconds === undefined ? { place } : { place, seconds }],
      ...(kind === 'detail' ? { kind, meltId: 'w' } : { kind, colour: '#c9a24a' }),
    })),
  { maxLength: 3 },
);

export const amount = fc.oneof(
  within('fillVolumeM3').map((m3) => ({ by: 'volume' as const, m3 })),
  within('fillMassKg').map((kg) => ({ by: 'mass' as const, kg })),
  whole('fillCount').map((count) => ({ by: 'count' as const, count })),
  within('fillShare').map((share) => ({ by: 'share' as const, share })),
  within('belowRimM').map((belowRimM) => ({ by: 'line' as const, belowRimM })),
);

export const composition: fc.Arbitrary<Mold['composition']> = fc.oneof(
  { weight: 4, arbitrary: fc.constantFrom<Mold['composition']>({ kind: 'single' }, { kind: 'halves' }) },
  fc.constant<Mold['composition']>({ kind: 'former' }),
  within('gapM').map((gapM) => ({ kind: 'press' as const, gap: { by: 'width' as const, gapM } })),
  within('gapVolumeM3').map((m3) => ({ kind: 'press' as const, gap: { by: 'water' as const, m3 } })),
);

const bowls: fc.Arbitrary<Kitchen['bowls']> = fc
  .array(
    fc.record({
      material: fc.constantFrom(...BOWL_MATERIALS),
      kg: within('bowlKg'),
      diameterM: within('bowlDiameterM'),
    }),
    { minLength: 1, maxLength: 2 },
  )
  .map((list) => list.map((bowl, i) => ({ ...bowl, id: `b${i}`, name: 'bowl' })));

export const kitchen: fc.Arbitrary<Kitchen> = fc
  .record({
    roomC: within('roomC'),
    fridgeC: within('fridgeC'),
    freezerC: within('freezerC'),
    humidity: within('humidity'),
    fridgeFan: fc.boolean(),
    freezerFan: fc.boolean(),
    microwaveW: within('microwaveW'),
    bowls,
    test: fc.option(
      fc.record({
        kg: within('calibrationKg'),
        seconds: within('calibrationSeconds'),
        endC: within('calibrationEndC'),
      }),
      { nil: undefined },
    ),
  })
  .map(({ test, ...rest }) => ({ ...rest, ...(test ? { microwaveTest: test } : {}) }));

/** A chocolate of any kind with its bands in order. */
export const chocolate: fc.Arbitrary<Omit<Chocolate, 'id'>> = fc
  .record({
    kind: fc.constantFrom(...CHOCOLATE_KINDS),
    fluidity: fc.oneof(
      fc.constantFrom(...FLUIDITY_CLASSES),
      fc.record({ yieldPa: within('yieldPa'), viscosityPas: within('viscosityPas') }),
    ),
    fatShare: within('fatShare'),
    bands: fc.array(within('bandC'), { minLength: 5, maxLength: 5 }),
    allergens: someAllergens,
  })
  .map(({ kind, bands, ...rest }) => {
    const [workFromC, workToC, b, c, d] = [...bands].sort((x, y) => x - y);
    const order =
      kind === 'compound'
        ? { seedToC: workFromC, meltToC: b, ceilingC: c }
        : { ceilingC: b, seedToC: c - 1e-3 < workFromC ? workFromC : c - 1e-3, meltToC: d };
    return { ...rest, ...order, kind, workFromC, workToC, name: 'chocolate', colour: '#4a2c1d', lot: '', packKg: 0.25 };
  })
  .filter(({ kind, seedToC, meltToC }) => kind === 'compound' || seedToC < meltToC);

export const melt: fc.Arbitrary<
  Pick<Melt, 'workingC' | 'way' | 'school' | 'power' | 'coolBowl' | 'jacket'> & { readonly thinning: Melt['thinning'] }
> = fc.record({
  workingC: within('workingC'),
  way: fc.constantFrom(...MELTING_WAYS),
  school: fc.constantFrom(...SCHOOLS),
  power: within('microwavePower'),
  coolBowl: fc.boolean(),
  jacket: fc.constantFrom(...JACKETS),
  thinning: fc.option(fc.record({ fat: fc.constantFrom(...THINNERS), share: within('thinnerShare') }), {
    nil: undefined,
  }),
});

export const closure: fc.Arbitrary<Closure> = fc.constantFrom(...CLOSURES).chain((kind) =>
  fc
    .record({
      ...Object.fromEntries(closingNumbers(kind).map(([key, { limit }]) => [key, within(limit)])),
      ...Object.fromEntries(closingChoices(kind).map(([key, options]) => [key, fc.constantFrom(...options)])),
    })
    .map((own) => {
      const { needs, sets } = CLOSING_ROWS[kind];
      return { kind, meltId: 'w', sets: [...sets], ...own, ...(needs === 'lid' ? { partId: 'p' } : {}) } as Closure;
    }),
);

export const finish: fc.Arbitrary<Finish> = fc
  .record({
    kind: fc.constantFrom('drizzle', 'sprinkle', 'dust', 'paint', 'stickOn'),
    share: within('finishShare'),
    lineM: within('lineM'),
    count: whole('stickOnCount'),
    by: fc.constantFrom(...STUCK_BY),
    cast: fc.boolean(),
  })
  .map(({ kind, share, lineM, count, by, cast }): Finish => {
    const common = { id: 'x', name: 'finish', sets: [] };
    switch (kind) {
      case 'drizzle':
        return { ...common, kind, meltId: 'w', share, lineM };
      case 'sprinkle':
        return { ...common, kind, fillingId: 'top', share };
      case 'stickOn':
        return { ...common, kind, meltId: 'w', count, by, ...(cast ? { partId: 'p' } : { fillingId: 'top' }) };
      default:
        return { ...common, kind: kind === 'dust' ? 'dust' : 'paint', share };
    }
  });
