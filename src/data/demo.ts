import { nextSaturday, format } from 'date-fns';
import type { Mold } from '../core/record/mold';
import { SHIPPED_MOLDS } from './mold-library';
import { CASTING_SCHEMA_VERSION, type Casting, type Chocolate, type Coat, type Filling, type Kitchen } from '../core/record/casting';

const KITCHEN: Kitchen = { roomC: 19.5, humidity: 0.52, fridgeC: 5, freezerC: -18, microwaveW: 800 };

/** The pantry of the made-up hedgerow supper: one chocolate of each kind. */
export const DEMO_CHOCOLATES: readonly Chocolate[] = [
  { id: 'quarry', name: 'Quarry 64', kind: 'dark', fluidity: 'fluid', fatShare: 0.4, workFromC: 31, workToC: 32, ceilingC: 33, colour: '#4a2c1d', allergens: ['soy'], lot: 'Q-114', packKg: 0.25 },
  { id: 'fallow', name: 'Fallow', kind: 'milk', fluidity: 'medium', fatShare: 0.36, workFromC: 29, workToC: 30, ceilingC: 31, colour: '#8a5a3c', allergens: ['milk', 'soy'], lot: 'F-062', packKg: 0.25 },
  { id: 'linen', name: 'Linen', kind: 'white', fluidity: 'medium', fatShare: 0.38, workFromC: 28, workToC: 31, ceilingC: 32, colour: '#d9c096', allergens: ['milk', 'soy'], lot: 'L-207', packKg: 0.25 },
  { id: 'pebble', name: 'Pebble coating', kind: 'compound', fluidity: 'medium', fatShare: 0.32, workFromC: 34, workToC: 38, ceilingC: 40, colour: '#6f5a4c', allergens: ['milk', 'soy'], lot: 'P-033', packKg: 0.34 },
];

/** Fillings every casting can choose from. Densities in kg/m³, from memory. */
export const DEMO_FILLINGS: readonly Filling[] = [
  { id: 'spice', name: 'Cider-spice powder', kind: 'powder', bulkDensity: 550, allergens: [] },
  { id: 'mallows', name: 'Small marshmallows', kind: 'marshmallow', bulkDensity: 210, pieceKg: 0.0005, allergens: ['gelatine'] },
  { id: 'ganache', name: 'Dark ganache', kind: 'ganache', bulkDensity: 1100, allergens: ['milk', 'soy'] },
  { id: 'lentils', name: 'Sugar lentils', kind: 'sweets', bulkDensity: 880, pieceKg: 0.0009, allergens: ['milk', 'soy', 'wheat'] },
];

function coat(id: string, method: Coat['method'], doseM3: number, wayUp: Coat['wayUp']): Coat {
  return {
    id, method, doseM3, wayUp,
    shares: [{ meltId: 'melt-1', share: 1 }],
    dwellSeconds: 10, drainSeconds: 20, tappingSeconds: 10,
    where: 'all',
    sets: [{ place: 'fridge' }],
  };
}

/** A casting's own copy of a shipped mold. */
function castMold(id: string, atHand: number): Mold {
  const mold = SHIPPED_MOLDS.find((candidate) => candidate.id === id);
  if (!mold) throw new Error(`no shipped mold ${id}`);
  return { ...structuredClone(mold), atHand };
}

/** What every new casting starts from: two tipped-out coats in a 64 mm silicone mold of six. */
export function newCasting(id: string, name: string, now: Date): Casting {
  return {
    schemaVersion: CASTING_SCHEMA_VERSION,
    id, name,
    createdAt: now.toISOString(),
    pieces: 12,
    due: supper(now),
    spareRule: { by: 'confidence', confidence: 0.95 },
    kitchen: { ...KITCHEN },
    molds: [castMold('bombs', 1)],
    chocolates: DEMO_CHOCOLATES.map((chocolate) => ({ ...chocolate, allergens: [...chocolate.allergens] })),
    fillings: DEMO_FILLINGS.map((filling) => ({ ...filling, allergens: [...filling.allergens] })),
    melts: [{ id: 'melt-1', chocolateId: 'quarry', workingC: 31.5 }],
    parts: [{
      id: 'half', role: 'shell', perPiece: 2, moldId: 'bombs', cavityId: 'cavity-1', prep: [],
      coatsBy: { by: 'count' },
      coats: [coat('coat-1', 'dump', 7.4e-6, 'upsideDown'), coat('coat-2', 'dump', 7.4e-6, 'upsideDown')],
      coveredRest: false,
    }],
    fill: [],
    closure: { kind: 'warmPlate', meltId: 'melt-1', sets: [] },
    finishes: [],
    atHandKg: 0.4,
  };
}

/** The castings a first visit opens on: the bombs of the supper, and small bites by spoon. */
export function demoCastings(now: Date): Casting[] {
  const bombs = newCasting('demo-bombs', 'Cider-spice bombs', now);
  bombs.pieces = 18;
  bombs.mugDiameterM = 0.082;
  bombs.fill = [
    { id: 'layer-1', partId: 'half', fillingId: 'spice', amount: { by: 'volume', m3: 1.5 * 14.78676478125e-6 } },
    { id: 'layer-2', partId: 'half', fillingId: 'mallows', amount: { by: 'line', belowRimM: 0.003 } },
  ];

  const bites = newCasting('demo-bites', 'Pebble bites', now);
  bites.pieces = 24;
  bites.molds = [castMold('bites', 2)];
  bites.melts = [{ id: 'melt-1', chocolateId: 'pebble', workingC: 36 }];
  bites.parts[0].moldId = 'bites';
  bites.parts[0].coats = [coat('coat-1', 'spoon', 1.85e-6, 'upright'), coat('coat-2', 'spoon', 1.85e-6, 'upright')];
  bites.parts[0].coveredRest = true;
  bites.fill = [{ id: 'layer-1', partId: 'half', fillingId: 'ganache', amount: { by: 'volume', m3: 4.92892159375e-6 } }];
  return [bombs, bites];
}

/** The next Saturday at 18:00, in the zone the person is in. */
function supper(now: Date): Casting['due'] {
  return { local: `${format(nextSaturday(now), 'yyyy-MM-dd')}T18:00`, zone: Intl.DateTimeFormat().resolvedOptions().timeZone };
}
