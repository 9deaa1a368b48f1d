import * as z from 'zod/mini';

/** What a bench may have: a probe that is held in a bowl, and a scale. */
export const DEVICES = ['probe', 'scale'] as const;
export type Device = (typeof DEVICES)[number];

/** As it names itself: kept with what it measured. */
const deviceName = z.string().check(z.minLength(1), z.maxLength(80));
const device = z.enum(DEVICES);
/** Its own clock, s: only what passes between two readings counts. */
const atS = z.number().check(z.gte(0));

/** What a device sends. */
export const DeviceMessageSchema = z.discriminatedUnion('kind', [
  /** A probe's °C, a scale's kg; and the step in which it counts. */
  z.object({
    kind: z.literal('reading'),
    device,
    name: deviceName,
    atS,
    value: z.number().check(z.gte(-50), z.lte(400)),
    step: z.number().check(z.gt(0), z.lte(1)),
  }),
  /** More lies on the scale than it weighs. */
  z.object({ kind: z.literal('overload'), device, name: deviceName, atS }),
  z.object({ kind: z.literal('unplugged'), device, name: deviceName, atS }),
]);

export type DeviceMessage = z.infer<typeof DeviceMessageSchema>;

/** What comes from outside, read; undefined for what is no message of a device. */
export function readDeviceMessage(raw: unknown): DeviceMessage | undefined {
  const read = DeviceMessageSchema.safeParse(raw);
  return read.success ? read.data : undefined;
}
