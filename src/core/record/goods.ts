import * as z from 'zod/mini';
import { SUPPLIES } from './choices';
import { id, name, numberOf, wholeOf } from './fields';

const kept = {
  id,
  name,
  schemaVersion: z.literal(1),
  createdAt: z.iso.datetime(),
  /** Of one pack, in the kitchen's currency. */
  packPrice: z.optional(numberOf('packPrice')),
};

/** What recipes, tints and painted molds take besides chocolates and fillings, by its name: cocoa, coloured cocoa butter, dust. */
export const PantryGoodsSchema = z.object({
  ...kept,
  entry: z.literal('goods'),
  stockKg: numberOf('stockKg'),
  packKg: numberOf('packKg'),
  bestBefore: z.optional(z.iso.date()),
});

/** What is counted and not weighed: sticks of a thickness, liners, bags. */
export const PantrySupplySchema = z.object({
  ...kept,
  entry: z.literal('supply'),
  kind: z.enum(SUPPLIES),
  /** Of a stick, m. */
  thickM: z.optional(numberOf('stickM')),
  stock: wholeOf('supplyStock'),
  pack: wholeOf('supplyPack'),
});

export type PantryGoods = z.infer<typeof PantryGoodsSchema>;
export type PantrySupply = z.infer<typeof PantrySupplySchema>;
