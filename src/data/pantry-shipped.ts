import { CHOCOLATE_MATTER, type ChocolateKind } from '../core/matter/chocolate';
import { shippedFillings } from './fillings-shipped';
import {
  PANTRY_SCHEMA_VERSION,
  type Chocolate,
  type PantryChocolate,
  type PantryEntry,
  type Tint,
} from '../core/record/chocolate';

function chocolate(
  id: string,
  name: string,
  kind: ChocolateKind,
  rest: Pick<Chocolate, 'fluidity' | 'colour' | 'allergens' | 'lot' | 'packKg'>,
): Chocolate {
  const { fatShare, meltToC, seedToC, workFromC, workToC, ceilingC } = CHOCOLATE_MATTER[kind];
  return { id, name, kind, fatShare, meltToC, seedToC, workFromC, workToC, ceilingC, ...rest };
}

/** The chocolates of the made-up hedgerow supper: one of each kind. */
export const SHIPPED_CHOCOLATES: readonly Chocolate[] = [
  chocolate('quarry', 'Quarry 64', 'dark', {
    fluidity: 'fluid',
    colour: '#4a2c1d',
    allergens: ['soy'],
    lot: 'Q-114',
    packKg: 0.25,
  }),
  chocolate('fallow', 'Fallow', 'milk', {
    fluidity: 'medium',
    colour: '#8a5a3c',
    allergens: ['milk', 'soy'],
    lot: 'F-062',
    packKg: 0.25,
  }),
  chocolate('linen', 'Linen', 'white', {
    fluidity: 'medium',
    colour: '#d9c096',
    allergens: ['milk', 'soy'],
    lot: 'L-207',
    packKg: 0.25,
  }),
  chocolate('pebble', 'Pebble coating', 'compound', {
    fluidity: 'medium',
    colour: '#6f5a4c',
    allergens: ['milk', 'soy'],
    lot: 'P-033',
    packKg: 0.34,
  }),
];

const STOCK: Readonly<Record<string, Pick<PantryChocolate, 'stockKg' | 'packPrice' | 'bestBefore'>>> = {
  quarry: { stockKg: 0.5, packPrice: 4.9, bestBefore: '2027-06-30' },
  fallow: { stockKg: 0.25, packPrice: 4.6, bestBefore: '2027-04-30' },
  linen: { stockKg: 0.4, packPrice: 4.8, bestBefore: '2027-02-28' },
  pebble: { stockKg: 0.34, packPrice: 3.2, bestBefore: '2027-08-31' },
};

/** Two tints: one of chocolates alone, one of chocolate and colour. */
export const SHIPPED_TINTS: readonly Tint[] = [
  {
    id: 'moth',
    name: 'Moth',
    colour: '#c9ad84',
    chocolates: [
      { chocolateId: 'linen', parts: 12 },
      { chocolateId: 'quarry', parts: 1 },
    ],
    colours: [],
    allAtOnce: true,
  },
  {
    id: 'rosehip',
    name: 'Rosehip',
    colour: '#d98a72',
    chocolates: [{ chocolateId: 'linen', parts: 60 }],
    colours: [{ name: 'Red oil-based colour', base: 'oil', parts: 1 }],
    allAtOnce: true,
  },
];

/** The pantry that a first visit starts with, as records. */
export function shippedPantry(now: Date): PantryEntry[] {
  const dated = { schemaVersion: PANTRY_SCHEMA_VERSION, createdAt: now.toISOString() } as const;
  return [
    ...SHIPPED_CHOCOLATES.map((chocolate): PantryEntry => ({
      ...structuredClone(chocolate),
      ...STOCK[chocolate.id],
      ...dated,
      entry: 'chocolate',
    })),
    ...SHIPPED_TINTS.map((tint): PantryEntry => ({ ...structuredClone(tint), ...dated, entry: 'tint' })),
    ...shippedFillings(dated),
  ];
}
