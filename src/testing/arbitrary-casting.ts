import fc from 'fast-check';
import type { CavityShape } from '../core/cavity/shape';
import { FILLING_KINDS } from '../core/matter/filling';
import { MOLD_MATERIALS } from '../core/matter/mold-material';
import { CASTING_SCHEMA_VERSION, type Casting, type Coat, type Melt } from '../core/record/casting';
import type { Tint } from '../core/record/chocolate';
import { PART_ROLES } from '../core/record/choices';
import type { Mold } from '../core/record/mold';
import { LIMITS } from '../core/record/limits';
import { gridOf } from '../core/record/mold-cavities';
import {
  amount,
  chocolate,
  closure,
  coats,
  composition,
  finish,
  kitchen,
  melt,
  name,
  prep,
  whole,
  within,
} from './arbitrary-choices';
import { anyShape } from './arbitrary-shape';

/** What a casting is put together from. */
const drawn = fc.record({
  id: fc.uuid(),
  name,
  pieces: whole('pieces'),
  chocolates: fc.array(chocolate, { minLength: 1, maxLength: 2 }),
  melt,
  tintParts: fc.option(within('tintParts'), { nil: undefined }),
  kitchen,
  shape: anyShape,
  composition,
  count: whole('cavities'),
  atHand: whole('moldsAtHand'),
  material: fc.constantFrom(...MOLD_MATERIALS),
  wallM: within('moldWallM'),
  coats,
  prep,
  layers: fc.array(fc.record({ kind: fc.constantFrom(...FILLING_KINDS), amount, dipped: fc.boolean() }), {
    maxLength: 4,
  }),
  stick: fc.option(fc.record({ thickM: within('stickM'), insideM: within('stickInsideM') }), { nil: undefined }),
  wantedRimM: fc.option(within('wantedRimM'), { nil: undefined }),
  perPiece: fc.integer({ min: 1, max: 2 }),
  confidence: fc.option(within('confidence'), { nil: undefined }),
  share: within('spareShare'),
  onHandKg: fc.option(within('stockKg'), { nil: undefined }),
  coveredRest: fc.boolean(),
  heaped: fc.boolean(),
  recipe: fc.boolean(),
  second: fc.option(
    fc.record({
      role: fc.constantFrom(...PART_ROLES),
      shape: anyShape,
      count: whole('cavities'),
      atHand: whole('moldsAtHand'),
      perPiece: fc.integer({ min: 1, max: 6 }),
      coats,
      workingC: within('workingC'),
      streak: fc.option(within('streakShare'), { nil: undefined }),
    }),
    { nil: undefined },
  ),
  broke: fc.option(fc.tuple(fc.integer({ min: 0, max: 200 }), fc.integer({ min: 1, max: 400 })), { nil: undefined }),
  closure: fc.option(closure, { nil: null }),
  finishes: fc.array(finish, { maxLength: 3 }),
});

type Drawn = typeof drawn extends fc.Arbitrary<infer T> ? T : never;

/** Any casting that the record allows: every field over its whole range. */
export const arbitraryCasting: fc.Arbitrary<Casting> = drawn.map((a): Casting => ({
  schemaVersion: CASTING_SCHEMA_VERSION,
  id: a.id,
  name: a.name,
  createdAt: '2026-10-12T08:00:00.000Z',
  pieces: a.pieces,
  due: { local: '2026-10-17T18:00', zone: 'Europe/Berlin' },
  spareRule:
    a.confidence === undefined ? { by: 'share', share: a.share } : { by: 'confidence', confidence: a.confidence },
  kitchen: a.kitchen,
  molds: moldsOf(a),
  chocolates: a.chocolates.map((one, i) => ({ ...one, id: `q${i}` })),
  tints: a.tintParts === undefined ? [] : [tintOf(a.chocolates.length, a.tintParts)],
  fillings: fillingsOf(a),
  melts: meltsOf(a),
  parts: partsOf(a),
  fill: a.layers.map((layer, i) => ({
    id: `l${i}`,
    partId: a.second && i > 1 ? 'p2' : 'p',
    fillingId: `f${i}`,
    amount: layer.amount,
    ...(layer.dipped ? { dip: { meltId: 'w' } } : {}),
  })),
  ...(a.broke ? { breakages: { cast: a.broke[0] + a.broke[1], broken: a.broke[0] } } : {}),
  closure: a.closure,
  finishes: a.finishes.map((one, i) => ({ ...one, id: `x${i}` })),
  variants: variantsOf(a),
  onHand: a.onHandKg === undefined ? [] : [{ chocolateId: 'q0', kg: a.onHandKg }],
}));

/** Of a casting of two parts, some of which are made otherwise; told from what is drawn anyway. */
function variantsOf(a: Drawn): Casting['variants'] {
  if (!a.second || !a.coveredRest) return [];
  const otherwise = { melts: [{ meltId: 'w', insteadId: meltsOf(a).at(-1)?.id ?? 'w' }], fillings: [] };
  const plain = { melts: [], fillings: [], without: a.finishes.slice(0, 1).map((_, i) => `x${i}`) };
  return [
    { id: 'v1', name: 'other colour', pieces: Math.ceil(a.pieces / 3), ...otherwise, without: [] },
    { id: 'v2', name: 'plain', pieces: Math.ceil(a.pieces / 4), ...plain },
  ];
}

function moldsOf(a: Drawn): Casting['molds'] {
  return [
    {
      id: 'm',
      name: 'mold',
      material: a.material,
      wallM: a.wallM,
      atHand: a.atHand,
      care: [],
      notes: '',
      composition: a.composition,
      cavities: [cavityOf(a.shape, a.count)],
    },
    ...(a.second
      ? [
          {
            id: 'm2',
            name: 'second mold',
            material: a.material,
            wallM: a.wallM,
            atHand: a.second.atHand,
            care: [],
            notes: '',
            composition: { kind: 'single' as const },
            cavities: [{ ...cavityOf(a.second.shape, a.second.count), narrowM3: 3e-6 }],
          },
        ]
      : []),
  ];
}

function fillingsOf(a: Drawn): Casting['fillings'] {
  return [
    ...a.layers.map(({ kind }, i) => ({
      id: `f${i}`,
      name: kind,
      kind,
      bulkDensity: 500,
      allergens: [],
      recipe: a.recipe
        ? [
            { name: 'chocolate', parts: 2, chocolateId: 'q0', allergens: [] },
            { name: 'top', parts: 1, fillingId: 'top', allergens: [] },
            { name: 'cream', parts: 1, allergens: ['milk' as const] },
          ]
        : [],
    })),
    { id: 'top', name: 'top', kind: 'sweets', bulkDensity: 700, pieceKg: 0.0002, allergens: ['nuts'], recipe: [] },
  ];
}

function meltsOf(a: Drawn): Casting['melts'] {
  return [
    meltOf(a.melt, a.tintParts !== undefined),
    ...(a.second
      ? [
          {
            ...meltOf(a.melt, false),
            id: 'w2',
            workingC: a.second.workingC,
            source: { kind: 'chocolate' as const, chocolateId: `q${a.chocolates.length - 1}` },
          },
        ]
      : []),
  ];
}

function partsOf(a: Drawn): Casting['parts'] {
  // Where breakages are known, half of the first part was cast before.
  const there = a.broke ? Math.floor((a.pieces * a.perPiece) / 2) : 0;
  return [
    {
      id: 'p',
      name: 'part',
      role: 'shell',
      filled: a.heaped ? 'one' : 'all',
      heaped: a.heaped,
      perPiece: a.perPiece,
      moldId: 'm',
      cavityId: 'c',
      prep: a.prep.map((step, i) => ({ ...step, id: `d${i}` })),
      coveredRest: a.coveredRest,
      ...(a.stick ? { stick: a.stick } : {}),
      ...(there > 0 ? { there: { parts: Math.min(there, LIMITS.partsThere.high) } } : {}),
      coatsBy: a.wantedRimM === undefined ? { by: 'count' } : { by: 'thickness', rimM: a.wantedRimM },
      coats: coatsOf(a.coats, [{ meltId: 'w', share: 1 }]),
    },
    ...(a.second
      ? [
          {
            id: 'p2',
            name: 'second',
            role: a.second.role,
            filled: 'one' as const,
            heaped: false,
            perPiece: a.second.perPiece,
            moldId: 'm2',
            cavityId: 'c',
            prep: [],
            coveredRest: false,
            coatsBy: { by: 'count' as const },
            coats: coatsOf(
              a.second.coats,
              a.second.streak === undefined
                ? [{ meltId: 'w2', share: 1 }]
                : [
                    { meltId: 'w2', share: 1 - a.second.streak },
                    { meltId: 'w', share: a.second.streak },
                  ],
            ),
          },
        ]
      : []),
  ];
}

type AnyCoats = typeof coats extends fc.Arbitrary<infer T> ? T : never;

function coatsOf(made: AnyCoats, shares: Coat['shares']): Coat[] {
  return made.map(({ place, seconds, rests, clamped, method, mixed, ...coat }, i) => ({
    ...coat,
    ...(mixed === undefined ? {} : { mixIn: { fillingId: 'top', share: mixed } }),
    id: `k${i}`,
    method: method === 'solid' && clamped && i > 0 && i === made.length - 1 ? 'clamp' : method,
    shares: shares.map((share) => ({ ...share })),
    sets: [...rests, seconds === undefined ? { place } : { place, seconds }],
  }));
}

function cavityOf(shape: CavityShape, count: number): Mold['cavities'][number] {
  return { id: 'c', name: 'cavity', shape: shape as Mold['cavities'][number]['shape'], ...gridOf(count) };
}

function meltOf(
  {
    thinning,
    ...rest
  }: Omit<Melt, 'id' | 'source' | 'bowlId' | 'tests' | 'thinning'> & { readonly thinning: Melt['thinning'] },
  tinted: boolean,
): Melt {
  return {
    ...rest,
    id: 'w',
    bowlId: 'b0',
    tests: [],
    source: tinted ? { kind: 'tint', tintId: 't' } : { kind: 'chocolate', chocolateId: 'q0' },
    ...(thinning ? { thinning } : {}),
  };
}

function tintOf(chocolates: number, parts: number): Tint {
  return {
    id: 't',
    name: 'tint',
    colour: '#d98a72',
    chocolates: Array.from({ length: chocolates }, (_, i) => ({ chocolateId: `q${i}`, parts: i === 0 ? 10 : parts })),
    colours: [{ name: 'red', base: 'oil', parts: 0.1 }],
    allAtOnce: true,
  };
}
