import * as z from 'zod/mini';
import { bandProblem, type Bands } from '../matter/bands';
import { CHOCOLATE_KINDS, FLUIDITY_CLASSES, type ChocolateKind } from '../matter/chocolate';
import { ALLERGENS, COLOUR_BASES } from './choices';
import { id, name, numberOf } from './fields';
import type { PantryFilling } from './filling';
import type { PantryGoods, PantrySupply } from './goods';

/** "#rrggbb", as a page draws it. */
export const colour = z.string().check(z.regex(/^#[0-9a-fA-F]{6}$/));
const bandC = numberOf('bandC');

const inOrder = z.refine<Bands & { readonly kind: ChocolateKind }>(
  (chocolate) => bandProblem(chocolate.kind, chocolate) === undefined,
);

const chocolateFields = {
  id,
  name,
  kind: z.enum(CHOCOLATE_KINDS),
  /** A class, or its own Casson values at 40 °C. */
  fluidity: z.union([
    z.enum(FLUIDITY_CLASSES),
    z.object({ yieldPa: numberOf('yieldPa'), viscosityPas: numberOf('viscosityPas') }),
  ]),
  /** How surely that is known: a factor either way on how it runs; that of a class where it is left out. Learned from weighed shells. */
  fluidityWithin: z.optional(numberOf('fluidityWithin')),
  fatShare: numberOf('fatShare'),
  meltToC: bandC,
  seedToC: bandC,
  workFromC: bandC,
  workToC: bandC,
  ceilingC: bandC,
  colour,
  allergens: z.array(z.enum(ALLERGENS)),
  lot: z.string().check(z.maxLength(60)),
  packKg: numberOf('packKg'),
};

/** A chocolate as a casting holds it; bands out of order are refused. */
export const ChocolateSchema = z.object(chocolateFields).check(inOrder);

/** A colour of several chocolates and of oil-based colours, by parts of weight. */
export const TintSchema = z.object({
  id,
  name,
  colour,
  chocolates: z
    .array(z.object({ chocolateId: id, parts: numberOf('tintParts') }))
    .check(z.minLength(1), z.maxLength(6)),
  colours: z.array(z.object({ name, base: z.enum(COLOUR_BASES), parts: numberOf('tintParts') })).check(z.maxLength(6)),
  /** A second batch would not match the first. */
  allAtOnce: z.boolean(),
});

export type Chocolate = z.infer<typeof ChocolateSchema>;
export type Tint = z.infer<typeof TintSchema>;

/** The versions of the pantry's records that this program writes. */
export const PANTRY_SCHEMA_VERSION = 1;

/** How fast and how much stays on a card: what the class of a chocolate was picked by. */
const DripSchema = z.object({
  cardWidthM: numberOf('cardM'),
  dippedM: numberOf('cardM'),
  celsius: numberOf('dripC'),
  first: z.object({ seconds: numberOf('dripFirstS'), kg: numberOf('dripKg') }),
  second: z.optional(z.object({ seconds: numberOf('dripSecondS'), kg: numberOf('dripKg') })),
});
export type DripReading = z.infer<typeof DripSchema>;

/** A chocolate of the pantry: as a casting holds it, with what is there of it. */
export const PantryChocolateSchema = z
  .object({
    ...chocolateFields,
    entry: z.literal('chocolate'),
    schemaVersion: z.literal(PANTRY_SCHEMA_VERSION),
    createdAt: z.iso.datetime(),
    stockKg: numberOf('stockKg'),
    /** Of one pack, in the kitchen's currency. */
    packPrice: z.optional(numberOf('packPrice')),
    bestBefore: z.optional(z.iso.date()),
    drip: z.optional(DripSchema),
  })
  .check(inOrder);

export const PantryTintSchema = z.extend(TintSchema, {
  entry: z.literal('tint'),
  schemaVersion: z.literal(PANTRY_SCHEMA_VERSION),
  createdAt: z.iso.datetime(),
});

export type PantryChocolate = z.infer<typeof PantryChocolateSchema>;
export type PantryTint = z.infer<typeof PantryTintSchema>;
/** What the pantry holds. */
export type PantryEntry = PantryChocolate | PantryTint | PantryFilling | PantryGoods | PantrySupply;
