import * as z from 'zod/mini';
import { DEVICES } from './device-message';

/** How the kitchen goes in which the stand-ins stand. */
export const SCENARIOS = ['calm', 'hurried', 'warmRoom', 'forgotten', 'onBottom', 'knocked'] as const;
export type Scenario = (typeof SCENARIOS)[number];

/** So many times as fast as the clock on the wall. */
export const STAND_IN_SPEEDS = [1, 10, 60] as const;

/** Steps a scale may count in, kg. */
export const SCALE_STEPS = [0.001, 0.0001] as const;

const celsius = z.number().check(z.gte(-30), z.lte(120));
const kg = z.number().check(z.gte(0), z.lte(50));
const label = z.string().check(z.minLength(1), z.maxLength(120));

/** A bowl that the probe is held in, as the pot model sees it; `key` tells it from the same bowl melted again. SI, °C. */
const StandInBowlSchema = z.object({
  key: label,
  kg,
  chocolate: z
    .object({ fatShare: z.number().check(z.gte(0), z.lte(1)), solidToC: celsius, meltedFromC: celsius })
    .check(z.refine(({ solidToC, meltedFromC }) => solidToC < meltedFromC)),
  bowlHeat: z.number().check(z.gte(0), z.lte(1e5)),
  lossWK: z.number().check(z.gte(0), z.lte(1e3)),
  aroundC: celsius,
  startC: celsius,
});
export type StandInBowl = z.infer<typeof StandInBowlSchema>;

/** What may be put on the scale; `byHand` is dosed by hand, and so is more or less than told. */
const ThingSchema = z.object({ name: label, kg, byHand: z.boolean() });
export type Thing = z.infer<typeof ThingSchema>;

/** What drives the stand-ins: from the desk, and from the bench whose bowls they measure. */
export const DeskCommandSchema = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('scenario'), scenario: z.enum(SCENARIOS) }),
  z.object({ kind: z.literal('speed'), speed: z.union([z.literal(1), z.literal(10), z.literal(60)]) }),
  z.object({ kind: z.literal('plug'), device: z.enum(DEVICES), plugged: z.boolean() }),
  z.object({ kind: z.literal('step'), step: z.union([z.literal(0.001), z.literal(0.0001)]) }),
  /** What lies on the scale; nothing where there is none. */
  z.object({ kind: z.literal('load'), thing: z.optional(ThingSchema) }),
  z.object({ kind: z.literal('tare') }),
  /** Where the probe is held; in the air of the room where there is no bowl. */
  z.object({ kind: z.literal('bowl'), bowl: z.optional(StandInBowlSchema) }),
  /** It is warmed back to where it was begun. */
  z.object({ kind: z.literal('warm') }),
  /** What the job has to weigh. */
  z.object({ kind: z.literal('things'), things: z.array(ThingSchema).check(z.maxLength(12)) }),
]);

export type DeskCommand = z.infer<typeof DeskCommandSchema>;

/** What the desk shows. */
export const DeskStateSchema = z.object({
  kind: z.literal('desk'),
  scenario: z.enum(SCENARIOS),
  speed: z.union([z.literal(1), z.literal(10), z.literal(60)]),
  unplugged: z.array(z.enum(DEVICES)),
  step: z.union([z.literal(0.001), z.literal(0.0001)]),
  /** Name of what lies on the scale; '' for nothing. */
  load: z.string(),
  things: z.array(ThingSchema),
});

export type DeskState = z.infer<typeof DeskStateSchema>;
