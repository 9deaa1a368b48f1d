import * as z from 'zod/mini';
import {
  COAT_AREAS,
  FILLED_PARTS,
  JACKETS,
  MELTING_WAYS,
  PART_ROLES,
  PLACES,
  STUCK_BY,
  TEST_RESULTS,
  TEST_WAYS,
  THINNERS,
  WAYS_UP,
} from './choices';
import { SCHOOLS } from './school';
import { CLOSING_ROWS, CLOSURES, closingChoices, closingNumbers, type Closure, type ClosureKind } from './closing';
import { fillsLevel, isClamped, METHODS } from './method';
import { PATTERNS, PREP_KINDS, prepRow, type PrepKind } from './prep';
import { ChocolateSchema, colour, TintSchema } from './chocolate';
import { KitchenSchema } from './kitchen';
import { due, id, name, wholeOf, numberOf } from './fields';
import { FillingSchema } from './filling';
import { MOST } from './limits';
import { MoldSchema } from './mold';

/** The version of the casting record this program writes. */
export const CASTING_SCHEMA_VERSION = 11;

/** Readings of a thermometer while the melt was worked. */
const ThermometerSchema = z.object({
  name: z.string().check(z.maxLength(120)),
  startedAt: z.iso.datetime(),
  /**
   * A line for each reading, "seconds,celsius", the second left out where the thermometer told nothing.
   * As text, because hundreds of thousands of numbers would be frozen, compared and cloned with every change of a casting.
   */
  readings: z.string().check(z.maxLength(8_000_000), z.regex(/^[\d.,\n-]*$/)),
});

const MeltSchema = z.object({
  id,
  /** One chocolate, or a tint of several and of colour. */
  source: z.discriminatedUnion('kind', [
    z.object({ kind: z.literal('chocolate'), chocolateId: id }),
    z.object({ kind: z.literal('tint'), tintId: id }),
  ]),
  workingC: numberOf('workingC'),
  way: z.enum(MELTING_WAYS),
  school: z.enum(SCHOOLS),
  /** Power setting of the microwave, 0 to 1. */
  power: numberOf('microwavePower'),
  bowlId: id,
  /** Poured into a second, cool bowl before the seed goes in. */
  coolBowl: z.boolean(),
  jacket: z.enum(JACKETS),
  thinning: z.optional(z.object({ fat: z.enum(THINNERS), share: numberOf('thinnerShare') })),
  thermometer: z.optional(ThermometerSchema),
  tests: z
    .array(z.object({ at: z.iso.datetime(), way: z.enum(TEST_WAYS), result: z.enum(TEST_RESULTS) }))
    .check(z.maxLength(50)),
});

const SetSchema = z.object({ place: z.enum(PLACES), seconds: z.optional(numberOf('setMinutesS')) });

/** Where it sets, one place after another: how long in each, but for the last, where that is computed unless it is given. */
const SetsSchema = z.array(SetSchema).check(
  z.minLength(1),
  z.maxLength(6),
  z.refine((sets) => sets.slice(0, -1).every(({ seconds }) => seconds !== undefined)),
);

/** Where it stays on in its mold once it has set, and for how long in each place. */
const StaysOnSchema = z
  .array(z.object({ place: z.enum(PLACES), seconds: numberOf('afterColdS') }))
  .check(z.maxLength(3));

const CoatSchema = z.object({
  id,
  method: z.enum(METHODS),
  shares: z
    .array(z.object({ meltId: id, share: z.number().check(z.gt(0), z.lte(1)) }))
    .check(z.minLength(1), z.maxLength(6)),
  doseM3: numberOf('doseM3'),
  dwellSeconds: numberOf('dwellSeconds'),
  /** Where it stands full before it is tipped out; a fill and dump stands in the room. */
  standsIn: z.enum(PLACES),
  drainSeconds: numberOf('drainSeconds'),
  tappingSeconds: numberOf('tappingSeconds'),
  /** How often a closed vessel is turned: the seconds between two turns. */
  turnSeconds: numberOf('turnSeconds'),
  /** Share of the cavity that a solid fill or a layer of it takes. */
  volumeShare: numberOf('volumeShare'),
  wayUp: z.enum(WAYS_UP),
  /** How long it stands upright in the room, to thicken, before it is turned over to set. */
  uprightSeconds: numberOf('uprightSeconds'),
  where: z.enum(COAT_AREAS),
  sets: SetsSchema,
  then: StaysOnSchema,
  /** Something small that is stirred into it, for a share of its weight. */
  mixIn: z.optional(z.object({ fillingId: id, share: numberOf('mixInShare') })),
});

const prepping = {
  id,
  name,
  pattern: z.enum(PATTERNS),
  /** Share of the wall, where the pattern has none of its own. */
  share: numberOf('prepShare'),
  /** Spots in a cavity, and how wide they are. */
  count: wholeOf('spots'),
  spotM: numberOf('spotM'),
  thickM: numberOf('paintedM'),
  sets: SetsSchema,
};

/** Kinds of work before the first coat that are done with a melt, and those that are not. */
const kindsOf = (melted: boolean): [PrepKind, ...PrepKind[]] =>
  PREP_KINDS.filter((kind) => (prepRow(kind).of === 'melt') === melted) as [PrepKind, ...PrepKind[]];

/** What goes into the empty mold before its first coat: painted, sprayed or dusted in. */
const PrepSchema = z.union([
  z.object({ ...prepping, kind: z.enum(kindsOf(true)), meltId: id }),
  z.object({ ...prepping, kind: z.enum(kindsOf(false)), colour }),
]);

/** Coats on a wall and fills from below do not mix; what is clamped comes last, on a fill. */
function coatsFit(coats: readonly z.infer<typeof CoatSchema>[]): boolean {
  const level = coats.filter(({ method }) => fillsLevel(method)).length;
  return (
    (level === 0 || level === coats.length) &&
    coats.every(({ method }, i) => !isClamped(method) || (i > 0 && i === coats.length - 1))
  );
}

const PartSchema = z.object({
  id,
  name,
  role: z.enum(PART_ROLES),
  perPiece: z.int().check(z.gte(1), z.lte(24)),
  moldId: id,
  cavityId: id,
  /** In the order in which it is done. */
  prep: z.array(PrepSchema).check(z.maxLength(MOST.prep)),
  /** Either the coats as listed, or as many of them, tuned, as reach a wanted thickness at the rim. */
  coatsBy: z.discriminatedUnion('by', [
    z.object({ by: z.literal('count') }),
    z.object({ by: z.literal('thickness'), rimM: numberOf('wantedRimM') }),
  ]),
  coats: z.array(CoatSchema).check(z.minLength(1), z.maxLength(MOST.coats), z.refine(coatsFit)),
  /** How warm its mold is when the first coat goes on, where that is not as the room is. */
  moldC: z.optional(numberOf('moldC')),
  /** Unmolded parts rest under a cover until they are above the dew point. */
  coveredRest: z.boolean(),
  /** A stick that is pushed in once it is filled: how thick, and how far it reaches in. */
  stick: z.optional(z.object({ thickM: numberOf('stickM'), insideM: numberOf('stickInsideM') })),
  /** Of several alike in a piece, one takes the filling, or every one. */
  filled: z.enum(FILLED_PARTS),
  /** Loose pieces may stand above the rim, where the other half has room for them. */
  heaped: z.boolean(),
  /** So many that are whole were cast on an earlier day, as the casting is chosen: they need not be cast again. */
  there: z.optional(z.object({ parts: wholeOf('partsThere'), on: z.optional(z.iso.date()) })),
});

export const FillAmountSchema = z.discriminatedUnion('by', [
  z.object({ by: z.literal('volume'), m3: numberOf('fillVolumeM3') }),
  z.object({ by: z.literal('mass'), kg: numberOf('fillMassKg') }),
  z.object({ by: z.literal('count'), count: wholeOf('fillCount') }),
  z.object({ by: z.literal('share'), share: numberOf('fillShare') }),
  z.object({ by: z.literal('line'), belowRimM: numberOf('belowRimM') }),
]);

const LayerSchema = z.object({
  id,
  partId: id,
  fillingId: id,
  amount: FillAmountSchema,
  /** Its pieces are dipped in chocolate before they go in. */
  dip: z.optional(z.object({ meltId: id })),
});

/** How a piece is closed, and with which melt: what the row of each way says. */
const ClosureSchema = z.discriminatedUnion(
  'kind',
  CLOSURES.map(closureSchema) as [ReturnType<typeof closureSchema>],
) as unknown as z.ZodMiniType<Closure>;

function closureSchema(kind: ClosureKind) {
  const numbers = Object.fromEntries(closingNumbers(kind).map(([key, { limit }]) => [key, numberOf(limit)]));
  const choices = Object.fromEntries(closingChoices(kind).map(([key, options]) => [key, z.enum(options)]));
  const { needs } = CLOSING_ROWS[kind];
  const lid = needs === 'lid' ? { partId: id } : {};
  return z.object({
    kind: z.literal(kind),
    meltId: id,
    sets: SetsSchema,
    ...numbers,
    ...choices,
    ...lid,
  });
}

const finishing = { id, name, sets: z.array(SetSchema).check(z.maxLength(6)) };

/** What is done to a piece once it is closed; a share is that of its outside. */
const FinishSchema = z.discriminatedUnion('kind', [
  z.object({
    ...finishing,
    kind: z.literal('drizzle'),
    meltId: id,
    share: numberOf('finishShare'),
    lineM: numberOf('lineM'),
  }),
  /** Pressed on while it is wet. */
  z.object({ ...finishing, kind: z.literal('sprinkle'), fillingId: id, share: numberOf('finishShare') }),
  z.object({ ...finishing, kind: z.literal('dust'), share: numberOf('finishShare') }),
  z.object({ ...finishing, kind: z.literal('paint'), share: numberOf('finishShare') }),
  /** So many of a part or of something bought, each on a dot of chocolate. */
  z.object({
    ...finishing,
    kind: z.literal('stickOn'),
    meltId: id,
    partId: z.optional(id),
    fillingId: z.optional(id),
    count: wholeOf('stickOnCount'),
    /** On a dot of chocolate, or with its own foot melted into a notch. */
    by: z.enum(STUCK_BY),
  }),
]);

/** So many of a casting's pieces that are made otherwise: what is not named is as the casting has it. */
const VariantSchema = z.object({
  id,
  name,
  pieces: wholeOf('pieces'),
  /** Melts that another takes the place of wherever they go: coats, paint, dips, closing, finish. */
  melts: z.array(z.object({ meltId: id, insteadId: id })).check(z.maxLength(MOST.melts)),
  /** Layers that are of another filling. */
  fillings: z.array(z.object({ layerId: id, fillingId: id })).check(z.maxLength(MOST.fill)),
  /** Finishes that they do not get, and what is not painted or dusted into their molds. */
  without: z.array(id).check(z.maxLength(MOST.finishes + MOST.parts * MOST.prep)),
});

const SpareRuleSchema = z.discriminatedUnion('by', [
  z.object({ by: z.literal('confidence'), confidence: numberOf('confidence') }),
  z.object({ by: z.literal('share'), share: numberOf('spareShare') }),
]);

/**
 * One job as the user chose it: these pieces, this mold, this chocolate, this way of working, this date.
 * Holds choices only; answers are always computed. All values SI, temperatures °C.
 */
export const CastingSchema = z.object({
  schemaVersion: z.literal(CASTING_SCHEMA_VERSION),
  id,
  name,
  createdAt: z.iso.datetime(),
  pieces: wholeOf('pieces'),
  due,
  spareRule: SpareRuleSchema,
  kitchen: KitchenSchema,
  molds: z.array(MoldSchema).check(z.minLength(1), z.maxLength(MOST.molds)),
  chocolates: z.array(ChocolateSchema).check(z.minLength(1), z.maxLength(MOST.chocolates)),
  tints: z.array(TintSchema).check(z.maxLength(MOST.tints)),
  fillings: z.array(FillingSchema).check(z.maxLength(MOST.fillings)),
  melts: z.array(MeltSchema).check(z.minLength(1), z.maxLength(MOST.melts)),
  parts: z.array(PartSchema).check(z.minLength(1), z.maxLength(MOST.parts)),
  fill: z.array(LayerSchema).check(z.maxLength(MOST.fill)),
  closure: z.nullable(ClosureSchema),
  finishes: z.array(FinishSchema).check(z.maxLength(MOST.finishes)),
  /** In the order in which they take their share of the pieces; what is left is as the casting is chosen. */
  variants: z.array(VariantSchema).check(z.maxLength(MOST.variants)),
  /** Of parts cast before in this mold and way, how many broke. */
  breakages: z.optional(
    z
      .object({ cast: wholeOf('castBefore'), broken: wholeOf('brokeBefore') })
      .check(z.refine(({ cast, broken }) => broken <= cast)),
  ),
  /** Chocolate on hand, where that is to be counted with rather than what the pantry holds, kg. */
  onHand: z.array(z.object({ chocolateId: id, kg: numberOf('stockKg') })).check(z.maxLength(MOST.chocolates)),
  /** When the job was booked into the pantry. */
  bookedAt: z.optional(z.iso.datetime()),
  /** Inner diameter of the mug a bomb is served in, where there is one. */
  mugDiameterM: z.optional(numberOf('mugDiameterM')),
});

export type Casting = z.infer<typeof CastingSchema>;
export type { Filling } from './filling';
export type Melt = z.infer<typeof MeltSchema>;
export type Part = z.infer<typeof PartSchema>;
export type Coat = z.infer<typeof CoatSchema>;
export type Prep = z.infer<typeof PrepSchema>;
export type Layer = z.infer<typeof LayerSchema>;
export type Finish = z.infer<typeof FinishSchema>;
export type Variant = z.infer<typeof VariantSchema>;
export type FillAmount = z.infer<typeof FillAmountSchema>;
export type SpareRule = z.infer<typeof SpareRuleSchema>;
