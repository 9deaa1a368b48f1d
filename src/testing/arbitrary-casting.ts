import fc from 'fast-check';
import { CHOCOLATE_KINDS, FLUIDITY_CLASSES } from '../core/matter/chocolate';
import { FILLING_KINDS } from '../core/matter/filling';
import { MOLD_MATERIALS } from '../core/matter/mold-material';
import { CASTING_SCHEMA_VERSION, type Casting } from '../core/record/casting';
import { ALLERGENS, COAT_AREAS, METHODS, PLACES, WAYS_UP } from '../core/record/choices';
import { LIMITS, type LimitName } from '../core/record/limits';
import type { Mold } from '../core/record/mold';
import { gridOf } from '../core/record/mold-cavities';
import { anyShape } from './arbitrary-shape';

const within = (name: LimitName): fc.Arbitrary<number> => fc.double({ min: LIMITS[name].low, max: LIMITS[name].high, noNaN: true });
const whole = (name: LimitName): fc.Arbitrary<number> => fc.integer({ min: LIMITS[name].low, max: LIMITS[name].high });
const name = fc.string({ minLength: 1, maxLength: 40 });
const someAllergens = fc.subarray([...ALLERGENS]);

const coats = fc.array(
  fc.record({
    method: fc.constantFrom(...METHODS), doseM3: within('doseM3'), dwellSeconds: within('dwellSeconds'), drainSeconds: within('drainSeconds'), tappingSeconds: within('tappingSeconds'),
    wayUp: fc.constantFrom(...WAYS_UP), where: fc.constantFrom(...COAT_AREAS), place: fc.constantFrom(...PLACES), seconds: fc.option(within('setMinutesS'), { nil: undefined }),
  }),
  { minLength: 1, maxLength: 4 },
);

const amount = fc.oneof(
  within('fillVolumeM3').map((m3) => ({ by: 'volume' as const, m3 })),
  within('fillMassKg').map((kg) => ({ by: 'mass' as const, kg })),
  whole('fillCount').map((count) => ({ by: 'count' as const, count })),
  within('belowRimM').map((belowRimM) => ({ by: 'line' as const, belowRimM })),
);

const composition: fc.Arbitrary<Mold['composition']> = fc.oneof(
  { weight: 4, arbitrary: fc.constantFrom<Mold['composition']>({ kind: 'single' }, { kind: 'halves' }) },
  fc.constant<Mold['composition']>({ kind: 'former' }),
  within('gapM').map((gapM) => ({ kind: 'press' as const, gap: { by: 'width' as const, gapM } })),
  within('gapVolumeM3').map((m3) => ({ kind: 'press' as const, gap: { by: 'water' as const, m3 } })),
);

/** Any casting that the record allows: every field over its whole range. */
export const arbitraryCasting: fc.Arbitrary<Casting> = fc
  .record({
    id: fc.uuid(), name, pieces: whole('pieces'), kind: fc.constantFrom(...CHOCOLATE_KINDS), fluidity: fc.constantFrom(...FLUIDITY_CLASSES), fatShare: within('fatShare'), workingC: within('workingC'),
    ceilingC: within('ceilingC'), allergens: someAllergens, shape: anyShape, composition, count: whole('cavities'), atHand: whole('moldsAtHand'), material: fc.constantFrom(...MOLD_MATERIALS),
    wallM: within('moldWallM'), roomC: within('roomC'), fridgeC: within('fridgeC'), freezerC: within('freezerC'), humidity: within('humidity'), coats, layers: fc.array(fc.record({ kind: fc.constantFrom(...FILLING_KINDS), amount }), { maxLength: 4 }),
    wantedRimM: fc.option(within('wantedRimM'), { nil: undefined }), perPiece: fc.integer({ min: 1, max: 2 }), confidence: fc.option(within('confidence'), { nil: undefined }), share: within('spareShare'), atHandKg: within('atHandKg'), coveredRest: fc.boolean(),
  })
  .map((a): Casting => ({
    schemaVersion: CASTING_SCHEMA_VERSION,
    id: a.id, name: a.name, createdAt: '2026-10-12T08:00:00.000Z', pieces: a.pieces,
    due: { local: '2026-10-17T18:00', zone: 'Europe/Berlin' },
    spareRule: a.confidence === undefined ? { by: 'share', share: a.share } : { by: 'confidence', confidence: a.confidence },
    kitchen: { roomC: a.roomC, fridgeC: a.fridgeC, freezerC: a.freezerC, humidity: a.humidity, microwaveW: 800 },
    molds: [{
      id: 'm', name: 'mold', material: a.material, wallM: a.wallM, atHand: a.atHand, care: [], notes: '', composition: a.composition,
      cavities: [{ id: 'c', name: 'cavity', shape: a.shape as Mold['cavities'][number]['shape'], ...gridOf(a.count) }],
    }],
    chocolates: [{ id: 'q', name: 'chocolate', kind: a.kind, fluidity: a.fluidity, fatShare: a.fatShare, workFromC: 30, workToC: 32, ceilingC: a.ceilingC, colour: '#4a2c1d', allergens: a.allergens, lot: '', packKg: 0.25 }],
    fillings: a.layers.map(({ kind }, i) => ({ id: `f${i}`, name: kind, kind, bulkDensity: 500, allergens: [] })),
    melts: [{ id: 'w', chocolateId: 'q', workingC: a.workingC }],
    parts: [{
      id: 'p', role: 'shell', perPiece: a.perPiece, moldId: 'm', cavityId: 'c', prep: [], coveredRest: a.coveredRest,
      coatsBy: a.wantedRimM === undefined ? { by: 'count' } : { by: 'thickness', rimM: a.wantedRimM },
      coats: a.coats.map(({ place, seconds, ...coat }, i) => ({ ...coat, id: `k${i}`, shares: [{ meltId: 'w', share: 1 }], sets: [seconds === undefined ? { place } : { place, seconds }] })),
    }],
    fill: a.layers.map((layer, i) => ({ id: `l${i}`, partId: 'p', fillingId: `f${i}`, amount: layer.amount })),
    closure: null, finishes: [], atHandKg: a.atHandKg,
  }));
