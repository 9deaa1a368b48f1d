import * as z from 'zod/mini';
import { checkShape } from '../cavity/check-shape';
import { FACETED_FORMS, OUTLINE_FORMS, type CavityShape } from '../cavity/shape';
import { MOLD_MATERIALS } from '../matter/mold-material';
import { MOLD_CARE } from './choices';
import { id, name, wholeOf, numberOf } from './fields';
import { LIMITS } from './limits';

const width = numberOf('cavityDiameterM');
const depthM = numberOf('cavityDepthM');
const outlineForm = z.enum(OUTLINE_FORMS);
const points = z.array(z.object({ radiusM: z.number(), heightM: z.number() })).check(z.minLength(2), z.maxLength(300));

/** The shape of a cavity; what its numbers make impossible together is refused as well. */
export const ShapeSchema = z
  .discriminatedUnion('kind', [
    z.object({ kind: z.literal('hemisphere'), diameterM: width }),
    z.object({ kind: z.literal('cap'), diameterM: width, depthM }),
    z.object({ kind: z.literal('egg'), lengthM: width, widthM: width, depthM }),
    z.object({ kind: z.literal('cylinder'), diameterM: width, depthM }),
    z.object({ kind: z.literal('cup'), diameterM: width, baseDiameterM: numberOf('baseDiameterM'), depthM }),
    z.object({
      kind: z.literal('liner'),
      diameterM: width,
      baseDiameterM: numberOf('baseDiameterM'),
      depthM,
      pleatFactor: numberOf('pleatFactor'),
    }),
    z.object({ kind: z.literal('tile'), lengthM: width, widthM: width, depthM, cornerM: numberOf('cornerM') }),
    z.object({ kind: z.literal('pillow'), lengthM: width, widthM: width, depthM, cornerM: numberOf('cornerM') }),
    z.object({
      kind: z.literal('faceted'),
      form: z.enum(FACETED_FORMS),
      diameterM: width,
      facets: wholeOf('facets'),
      depthM,
    }),
    z.object({ kind: z.literal('heart'), form: outlineForm, widthM: width, lengthM: width, depthM }),
    z.object({
      kind: z.literal('star'),
      form: outlineForm,
      diameterM: width,
      tips: wholeOf('starTips'),
      waist: numberOf('starWaist'),
      depthM,
    }),
    z.object({ kind: z.literal('drawn'), form: outlineForm, points, depthM }),
    z.object({ kind: z.literal('turned'), points }),
    z.object({
      kind: z.literal('measured'),
      volumeM3: numberOf('cavityVolumeM3'),
      uncertaintyM3: z.optional(z.number().check(z.gte(0), z.lte(0.05))),
      diameterM: width,
      depthM,
    }),
    z.object({ kind: z.literal('ball'), diameterM: width, openingM: numberOf('openingM') }),
  ])
  .check(z.refine((shape) => checkShape(shape as CavityShape) === undefined));

/** Weighings of a cavity, kept so that more can be added and the average told again. */
const WaterSchema = z.object({
  readings: z
    .array(z.object({ emptyKg: numberOf('waterMassKg'), fullKg: numberOf('waterMassKg') }))
    .check(z.maxLength(20)),
  cavities: wholeOf('cavities'),
  waterC: numberOf('waterC'),
  scaleStepKg: numberOf('scaleStepKg'),
});

const CavitySchema = z
  .object({
    id,
    name,
    shape: ShapeSchema,
    rows: wholeOf('cavities'),
    columns: wholeOf('cavities'),
    /** Heel, handle or neck beside its shape, which fills solid. */
    narrowM3: z.optional(numberOf('narrowM3')),
    water: z.optional(WaterSchema),
  })
  .check(z.refine(({ rows, columns }) => rows * columns <= LIMITS.cavities.high));

/** How cavities come together to a piece. */
const CompositionSchema = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('single') }),
  /** Two alike, joined at the rim. */
  z.object({ kind: z.literal('halves') }),
  /** Two different halves, closed on their register. */
  z.object({ kind: z.literal('figure'), frontId: id, backId: id }),
  /** Outer, insert and cover: the shell is the gap, known by its width or by the water it holds. */
  z.object({
    kind: z.literal('press'),
    gap: z.discriminatedUnion('by', [
      z.object({ by: z.literal('width'), gapM: numberOf('gapM') }),
      z.object({ by: z.literal('water'), m3: numberOf('gapVolumeM3') }),
    ]),
    /** Two pressed halves make a piece. */
    joined: z.optional(z.literal(true)),
  }),
  /** Coated on its outside and taken out through its opening. */
  z.object({ kind: z.literal('former') }),
  /** Several parts that make one piece, as a cup of a base and leaves. */
  z.object({
    kind: z.literal('assembly'),
    parts: z
      .array(z.object({ cavityId: id, perPiece: z.int().check(z.gte(1), z.lte(24)) }))
      .check(z.minLength(1), z.maxLength(8)),
  }),
]);

export const MoldSchema = z.object({
  id,
  name,
  material: z.enum(MOLD_MATERIALS),
  wallM: numberOf('moldWallM'),
  atHand: wholeOf('moldsAtHand'),
  /** Each kind of cavity on the sheet, with its rows and columns. */
  cavities: z.array(CavitySchema).check(z.minLength(1), z.maxLength(20)),
  composition: CompositionSchema,
  emptyKg: z.optional(numberOf('moldMassKg')),
  care: z.array(z.enum(MOLD_CARE)),
  notes: z.string().check(z.maxLength(600)),
});

export type Mold = z.infer<typeof MoldSchema>;
export type MoldCavity = Mold['cavities'][number];
export type WaterReadings = z.infer<typeof WaterSchema>;
export type Composition = Mold['composition'];

/** The version of the library's mold record that this program writes. */
export const MOLD_SCHEMA_VERSION = 2;

/** A mold of the library: as a casting holds it, with its own version. */
export const LibraryMoldSchema = z.extend(MoldSchema, {
  schemaVersion: z.literal(MOLD_SCHEMA_VERSION),
  createdAt: z.iso.datetime(),
});

export type LibraryMold = z.infer<typeof LibraryMoldSchema>;
