import fc from 'fast-check';
import type { CavityShape } from '../core/cavity/shape';
import { CHOCOLATE_KINDS, FLUIDITY_CLASSES } from '../core/matter/chocolate';
import { FILLING_KINDS } from '../core/matter/filling';
import { MOLD_MATERIALS } from '../core/matter/mold-material';
import { CASTING_SCHEMA_VERSION, type Casting, type Closure, type Coat, type Finish } from '../core/record/casting';
import { BOWL_MATERIALS } from '../core/matter/bowl-material';
import type { Melt } from '../core/record/casting';
import type { Chocolate, Tint } from '../core/record/chocolate';
import { ALLERGENS, COAT_AREAS, JACKETS, MELTING_WAYS, METHODS, PART_ROLES, fillsLevel, PLACES, SCHOOLS, THINNERS, WAYS_UP } from '../core/record/choices';
import type { Kitchen } from '../core/record/kitchen';
import { LIMITS, type LimitName } from '../core/record/limits';
import type { Mold } from '../core/record/mold';
import { gridOf } from '../core/record/mold-cavities';
import { anyShape } from './arbitrary-shape';

const within = (name: LimitName): fc.Arbitrary<number> => fc.double({ min: LIMITS[name].low, max: LIMITS[name].high, noNaN: true });
const whole = (name: LimitName): fc.Arbitrary<number> => fc.integer({ min: LIMITS[name].low, max: LIMITS[name].high });
const name = fc.string({ minLength: 1, maxLength: 40 });
const someAllergens = fc.subarray([...ALLERGENS]);

const rest = fc.record({ place: fc.constantFrom(...PLACES), seconds: within('setMinutesS') });

/** Coats on the wall, or fills from below: they do not mix. */
const coats = fc.boolean().chain((level) => fc.array(
  fc.record({
    method: level ? fc.constant('solid' as const) : fc.constantFrom(...METHODS.filter((method) => !fillsLevel(method))), clamped: fc.boolean(), standsIn: fc.constantFrom(...PLACES), turnSeconds: within('turnSeconds'), volumeShare: within('volumeShare'), rests: fc.array(rest, { maxLength: 2 }), doseM3: within('doseM3'), dwellSeconds: within('dwellSeconds'), drainSeconds: within('drainSeconds'), tappingSeconds: within('tappingSeconds'),
    wayUp: fc.constantFrom(...WAYS_UP), where: fc.constantFrom(...COAT_AREAS), place: fc.constantFrom(...PLACES), seconds: fc.option(within('setMinutesS'), { nil: undefined }),
  }),
  { minLength: 1, maxLength: 4 },
));

const amount = fc.oneof(
  within('fillVolumeM3').map((m3) => ({ by: 'volume' as const, m3 })),
  within('fillMassKg').map((kg) => ({ by: 'mass' as const, kg })),
  whole('fillCount').map((count) => ({ by: 'count' as const, count })),
  within('fillShare').map((share) => ({ by: 'share' as const, share })),
  within('belowRimM').map((belowRimM) => ({ by: 'line' as const, belowRimM })),
);

const composition: fc.Arbitrary<Mold['composition']> = fc.oneof(
  { weight: 4, arbitrary: fc.constantFrom<Mold['composition']>({ kind: 'single' }, { kind: 'halves' }) },
  fc.constant<Mold['composition']>({ kind: 'former' }),
  within('gapM').map((gapM) => ({ kind: 'press' as const, gap: { by: 'width' as const, gapM } })),
  within('gapVolumeM3').map((m3) => ({ kind: 'press' as const, gap: { by: 'water' as const, m3 } })),
);

const bowls: fc.Arbitrary<Kitchen['bowls']> = fc.array(fc.record({ material: fc.constantFrom(...BOWL_MATERIALS), kg: within('bowlKg'), diameterM: within('bowlDiameterM') }), { minLength: 1, maxLength: 2 })
  .map((list) => list.map((bowl, i) => ({ ...bowl, id: `b${i}`, name: 'bowl' })));

const kitchen: fc.Arbitrary<Kitchen> = fc
  .record({
    roomC: within('roomC'), fridgeC: within('fridgeC'), freezerC: within('freezerC'), humidity: within('humidity'), fridgeFan: fc.boolean(), freezerFan: fc.boolean(), microwaveW: within('microwaveW'), bowls,
    test: fc.option(fc.record({ kg: within('calibrationKg'), seconds: within('calibrationSeconds'), endC: within('calibrationEndC') }), { nil: undefined }),
  })
  .map(({ test, ...rest }) => ({ ...rest, ...(test ? { microwaveTest: test } : {}) }));

/** A chocolate of any kind with its bands in order. */
const chocolate: fc.Arbitrary<Omit<Chocolate, 'id'>> = fc
  .record({
    kind: fc.constantFrom(...CHOCOLATE_KINDS), fluidity: fc.oneof(fc.constantFrom(...FLUIDITY_CLASSES), fc.record({ yieldPa: within('yieldPa'), viscosityPas: within('viscosityPas') })), fatShare: within('fatShare'),
    bands: fc.array(within('bandC'), { minLength: 5, maxLength: 5 }), allergens: someAllergens,
  })
  .map(({ kind, bands, ...rest }) => {
    const [workFromC, workToC, b, c, d] = [...bands].sort((x, y) => x - y);
    const order = kind === 'compound' ? { seedToC: workFromC, meltToC: b, ceilingC: c } : { ceilingC: b, seedToC: c - 1e-3 < workFromC ? workFromC : c - 1e-3, meltToC: d };
    return { ...rest, ...order, kind, workFromC, workToC, name: 'chocolate', colour: '#4a2c1d', lot: '', packKg: 0.25 };
  })
  .filter(({ kind, seedToC, meltToC }) => kind === 'compound' || seedToC < meltToC);

const melt: fc.Arbitrary<Pick<Melt, 'workingC' | 'way' | 'school' | 'power' | 'coolBowl' | 'jacket'> & { readonly thinning: Melt['thinning'] }> = fc.record({
  workingC: within('workingC'), way: fc.constantFrom(...MELTING_WAYS), school: fc.constantFrom(...SCHOOLS), power: within('microwavePower'), coolBowl: fc.boolean(), jacket: fc.constantFrom(...JACKETS),
  thinning: fc.option(fc.record({ fat: fc.constantFrom(...THINNERS), share: within('thinnerShare') }), { nil: undefined }),
});

const closure: fc.Arbitrary<Closure> = fc.oneof(
  fc.record({ plateC: within('plateC'), seconds: within('plateSeconds') }).map((rest) => ({ ...rest, kind: 'warmPlate' as const, meltId: 'w', sets: [] })),
  within('lineM').map((lineM) => ({ kind: 'pipedSeam' as const, meltId: 'w', lineM, sets: [] })),
  within('capM').map((thicknessM) => ({ kind: 'cap' as const, meltId: 'w', thicknessM, sets: [{ place: 'fridge' as const, seconds: 300 }] })),
  within('lineM').map((lineM) => ({ kind: 'lid' as const, meltId: 'w', lineM, partId: 'p', sets: [] })),
  fc.record({ holeM: within('holeM'), thicknessM: within('capM') }).map((rest) => ({ ...rest, kind: 'plug' as const, meltId: 'w', sets: [] })),
);

const finish: fc.Arbitrary<Finish> = fc.record({ kind: fc.constantFrom('drizzle', 'sprinkle', 'dust', 'paint', 'stickOn'), share: within('finishShare'), lineM: within('lineM'), count: whole('stickOnCount'), cast: fc.boolean() }).map(({ kind, share, lineM, count, cast }): Finish => {
  const common = { id: 'x', name: 'finish', sets: [] };
  switch (kind) {
    case 'drizzle': return { ...common, kind, meltId: 'w', share, lineM };
    case 'sprinkle': return { ...common, kind, fillingId: 'top', share };
    case 'stickOn': return { ...common, kind, meltId: 'w', count, ...(cast ? { partId: 'p' } : { fillingId: 'top' }) };
    default: return { ...common, kind: kind === 'dust' ? 'dust' : 'paint', share };
  }
});

/** Any casting that the record allows: every field over its whole range. */
export const arbitraryCasting: fc.Arbitrary<Casting> = fc
  .record({
    id: fc.uuid(), name, pieces: whole('pieces'), chocolates: fc.array(chocolate, { minLength: 1, maxLength: 2 }), melt, tintParts: fc.option(within('tintParts'), { nil: undefined }), kitchen,
    shape: anyShape, composition, count: whole('cavities'), atHand: whole('moldsAtHand'), material: fc.constantFrom(...MOLD_MATERIALS),
    wallM: within('moldWallM'), coats, layers: fc.array(fc.record({ kind: fc.constantFrom(...FILLING_KINDS), amount }), { maxLength: 4 }),
    wantedRimM: fc.option(within('wantedRimM'), { nil: undefined }), perPiece: fc.integer({ min: 1, max: 2 }), confidence: fc.option(within('confidence'), { nil: undefined }), share: within('spareShare'), onHandKg: fc.option(within('stockKg'), { nil: undefined }), coveredRest: fc.boolean(), heaped: fc.boolean(), recipe: fc.boolean(),
    second: fc.option(fc.record({ role: fc.constantFrom(...PART_ROLES), shape: anyShape, count: whole('cavities'), atHand: whole('moldsAtHand'), perPiece: fc.integer({ min: 1, max: 6 }), coats, workingC: within('workingC'), streak: fc.option(within('streakShare'), { nil: undefined }) }), { nil: undefined }),
    broke: fc.option(fc.tuple(fc.integer({ min: 0, max: 200 }), fc.integer({ min: 1, max: 400 })), { nil: undefined }),
    closure: fc.option(closure, { nil: null }), finishes: fc.array(finish, { maxLength: 3 }),
  })
  .map((a): Casting => ({
    schemaVersion: CASTING_SCHEMA_VERSION,
    id: a.id, name: a.name, createdAt: '2026-10-12T08:00:00.000Z', pieces: a.pieces,
    due: { local: '2026-10-17T18:00', zone: 'Europe/Berlin' },
    spareRule: a.confidence === undefined ? { by: 'share', share: a.share } : { by: 'confidence', confidence: a.confidence },
    kitchen: a.kitchen,
    molds: [
      { id: 'm', name: 'mold', material: a.material, wallM: a.wallM, atHand: a.atHand, care: [], notes: '', composition: a.composition, cavities: [cavityOf(a.shape, a.count)] },
      ...(a.second ? [{ id: 'm2', name: 'second mold', material: a.material, wallM: a.wallM, atHand: a.second.atHand, care: [], notes: '', composition: { kind: 'single' as const }, cavities: [cavityOf(a.second.shape, a.second.count)] }] : []),
    ],
    chocolates: a.chocolates.map((one, i) => ({ ...one, id: `q${i}` })),
    tints: a.tintParts === undefined ? [] : [tintOf(a.chocolates.length, a.tintParts)],
    fillings: [
      ...a.layers.map(({ kind }, i) => ({ id: `f${i}`, name: kind, kind, bulkDensity: 500, allergens: [], recipe: a.recipe ? [{ name: 'chocolate', parts: 2, chocolateId: 'q0', allergens: [] }, { name: 'top', parts: 1, fillingId: 'top', allergens: [] }, { name: 'cream', parts: 1, allergens: ['milk' as const] }] : [] })),
      { id: 'top', name: 'top', kind: 'sweets', bulkDensity: 700, pieceKg: 0.0002, allergens: ['nuts'], recipe: [] },
    ],
    melts: [meltOf(a.melt, a.tintParts !== undefined), ...(a.second ? [{ ...meltOf(a.melt, false), id: 'w2', workingC: a.second.workingC, source: { kind: 'chocolate' as const, chocolateId: `q${a.chocolates.length - 1}` } }] : [])],
    parts: [
      {
        id: 'p', name: 'part', role: 'shell', filled: a.heaped ? 'one' : 'all', heaped: a.heaped, perPiece: a.perPiece, moldId: 'm', cavityId: 'c', prep: [], coveredRest: a.coveredRest,
        coatsBy: a.wantedRimM === undefined ? { by: 'count' } : { by: 'thickness', rimM: a.wantedRimM },
        coats: coatsOf(a.coats, [{ meltId: 'w', share: 1 }]),
      },
      ...(a.second ? [{
        id: 'p2', name: 'second', role: a.second.role, filled: 'one' as const, heaped: false, perPiece: a.second.perPiece, moldId: 'm2', cavityId: 'c', prep: [], coveredRest: false, coatsBy: { by: 'count' as const },
        coats: coatsOf(a.second.coats, a.second.streak === undefined ? [{ meltId: 'w2', share: 1 }] : [{ meltId: 'w2', share: 1 - a.second.streak }, { meltId: 'w', share: a.second.streak }]),
      }] : []),
    ],
    fill: a.layers.map((layer, i) => ({ id: `l${i}`, partId: a.second && i > 1 ? 'p2' : 'p', fillingId: `f${i}`, amount: layer.amount })),
    ...(a.broke ? { breakages: { cast: a.broke[0] + a.broke[1], broken: a.broke[0] } } : {}),
    closure: a.closure, finishes: a.finishes.map((one, i) => ({ ...one, id: `x${i}` })), onHand: a.onHandKg === undefined ? [] : [{ chocolateId: 'q0', kg: a.onHandKg }],
  }));

type AnyCoats = typeof coats extends fc.Arbitrary<infer T> ? T : never;

function coatsOf(made: AnyCoats, shares: Coat['shares']): Coat[] {
  return made.map(({ place, seconds, rests, clamped, method, ...coat }, i) => ({
    ...coat, id: `k${i}`, method: method === 'solid' && clamped && i > 0 && i === made.length - 1 ? 'clamp' : method, shares: shares.map((share) => ({ ...share })), sets: [...rests, seconds === undefined ? { place } : { place, seconds }],
  }));
}

function cavityOf(shape: CavityShape, count: number): Mold['cavities'][number] {
  return { id: 'c', name: 'cavity', shape: shape as Mold['cavities'][number]['shape'], ...gridOf(count) };
}

function meltOf({ thinning, ...rest }: Omit<Melt, 'id' | 'source' | 'bowlId' | 'tests' | 'thinning'> & { readonly thinning: Melt['thinning'] }, tinted: boolean): Melt {
  return { ...rest, id: 'w', bowlId: 'b0', tests: [], source: tinted ? { kind: 'tint', tintId: 't' } : { kind: 'chocolate', chocolateId: 'q0' }, ...(thinning ? { thinning } : {}) };
}

function tintOf(chocolates: number, parts: number): Tint {
  return { id: 't', name: 'tint', colour: '#d98a72', chocolates: Array.from({ length: chocolates }, (_, i) => ({ chocolateId: `q${i}`, parts: i === 0 ? 10 : parts })), colours: [{ name: 'red', base: 'oil', parts: 0.1 }], allAtOnce: true };
}
