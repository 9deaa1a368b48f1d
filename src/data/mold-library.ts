import type { CavityShape } from '../core/cavity/shape';
import { MOLD_MATTER, type MoldMaterial } from '../core/matter/mold-material';
import { USUAL_CARE } from '../core/record/mold-care';
import { MOLD_SCHEMA_VERSION, type LibraryMold, type Mold } from '../core/record/mold';

const mm = (value: number): number => value / 1000;

type Cavity = Mold['cavities'][number];

function cavity(shape: CavityShape, rows: number, columns: number, name = 'Cavity', id = 'cavity-1'): Cavity {
  return { id, name, shape: shape as Cavity['shape'], rows, columns };
}

function mold(id: string, name: string, material: MoldMaterial, cavities: Cavity[], more: Partial<Mold> = {}): Mold {
  return {
    id,
    name,
    material,
    wallM: MOLD_MATTER[material].usualWallM,
    atHand: 1,
    cavities,
    composition: { kind: 'single' },
    care: [...USUAL_CARE[material]],
    notes: '',
    ...more,
  };
}

/** Half an owl, standing: points of its outline turned, as near as a turned body comes to it. */
const OWL = [
  [0, 0],
  [14, 0.5],
  [20, 6],
  [19, 20],
  [23, 34],
  [26, 48],
  [25, 58],
] as const;
const BELL = [
  [0, 0],
  [7, 0.6],
  [11, 4],
  [13, 12],
  [15, 24],
  [20, 36],
  [27, 44],
] as const;
const BOTTLE = [
  [0, 0],
  [26, 0],
  [29, 4],
  [29, 58],
  [25, 70],
  [12, 84],
  [11, 104],
] as const;

const WILLOW = [
  [0, 0],
  [2, 6],
  [9, 20],
  [10, 32],
  [6, 52],
  [0, 70],
] as const;

const points = (pairs: readonly (readonly [number, number])[]) =>
  pairs.map(([radius, height]) => ({ radiusM: mm(radius), heightM: mm(height) }));

/** The molds that come with the program: those of the hedgerow supper, and a plain one of each shape. */
export const SHIPPED_MOLDS: readonly Mold[] = [
  mold('bombs', 'Half spheres, 64 mm', 'silicone', [cavity({ kind: 'hemisphere', diameterM: mm(64) }, 2, 3)], {
    composition: { kind: 'halves' },
    emptyKg: 0.092,
  }),
  mold(
    'bonbons',
    'Pillow bonbons, 28 mm',
    'polycarbonate',
    [cavity({ kind: 'pillow', lengthM: mm(28), widthM: mm(28), depthM: mm(15), cornerM: mm(8) }, 4, 6)],
    { emptyKg: 0.41 },
  ),
  mold(
    'pears',
    'Faceted pears',
    'silicone',
    [cavity({ kind: 'faceted', form: 'pear', diameterM: mm(62), facets: 8, depthM: mm(74) }, 1, 3)],
    { notes: 'Brush the inner edges first: they stay thin.' },
  ),
  mold(
    'oat-cups',
    'Paper liners, 50 mm',
    'paper',
    [cavity({ kind: 'liner', diameterM: mm(50), baseDiameterM: mm(38), depthM: mm(20), pleatFactor: 1.35 }, 1, 1)],
    { atHand: 8 },
  ),
  mold(
    'owls',
    'Standing owls',
    'polycarbonate',
    [
      cavity({ kind: 'turned', points: points(OWL) }, 1, 2, 'Front', 'front'),
      cavity({ kind: 'cap', diameterM: mm(50), depthM: mm(18) }, 1, 2, 'Back', 'back'),
    ],
    { composition: { kind: 'figure', frontId: 'front', backId: 'back' }, care: ['buff', 'coolWater'] },
  ),
  mold(
    'acorns',
    'Pressed acorns',
    'thinPlastic',
    [cavity({ kind: 'egg', lengthM: mm(46), widthM: mm(46), depthM: mm(40) }, 2, 3)],
    { composition: { kind: 'press', gap: { by: 'width', gapM: mm(3) } } },
  ),
  mold('seed-tiles', 'Seed-and-petal tiles', 'thinPlastic', [
    cavity({ kind: 'tile', lengthM: mm(120), widthM: mm(60), depthM: mm(9), cornerM: mm(6) }, 3, 1),
  ]),
  mold(
    'heart',
    'Faceted heart',
    'silicone',
    [cavity({ kind: 'heart', form: 'faceted', widthM: mm(120), lengthM: mm(112), depthM: mm(38) }, 1, 1)],
    { notes: 'Work chocolate into the notch with a brush: it stays thin there.' },
  ),
  mold('stars', 'Flat stars', 'silicone', [
    cavity({ kind: 'star', form: 'flat', diameterM: mm(46), tips: 5, waist: 0.55, depthM: mm(9) }, 2, 4),
  ]),
  mold('catkins', 'Willow leaves', 'silicone', [
    cavity({ kind: 'drawn', form: 'domed', points: points(WILLOW), depthM: mm(7) }, 1, 5),
  ]),
  mold('bites', 'Small halves, 38 mm', 'silicone', [cavity({ kind: 'hemisphere', diameterM: mm(38) }, 3, 4)], {
    composition: { kind: 'halves' },
    wallM: mm(2),
  }),
  mold('caps', 'Shallow domes', 'silicone', [cavity({ kind: 'cap', diameterM: mm(56), depthM: mm(18) }, 2, 4)]),
  mold(
    'eggs',
    'Half eggs',
    'polycarbonate',
    [cavity({ kind: 'egg', lengthM: mm(92), widthM: mm(62), depthM: mm(31) }, 2, 2)],
    { composition: { kind: 'halves' } },
  ),
  mold('discs', 'Round discs', 'silicone', [cavity({ kind: 'cylinder', diameterM: mm(48), depthM: mm(14) }, 2, 4)]),
  mold('rounds', 'Flat rounds', 'silicone', [cavity({ kind: 'cylinder', diameterM: mm(70), depthM: mm(8) }, 2, 3)]),
  mold('cups', 'Straight cups', 'silicone', [
    cavity({ kind: 'cup', diameterM: mm(54), baseDiameterM: mm(40), depthM: mm(32) }, 2, 3),
  ]),
  mold('cones', 'Pointed cones', 'thinPlastic', [
    cavity({ kind: 'cup', diameterM: mm(45), baseDiameterM: 0, depthM: mm(70) }, 1, 4),
  ]),
  mold('gems', 'Faceted gems', 'polycarbonate', [
    cavity({ kind: 'faceted', form: 'gem', diameterM: mm(32), facets: 6, depthM: mm(20) }, 3, 5),
  ]),
  mold('bells', 'Bells', 'silicone', [cavity({ kind: 'turned', points: points(BELL) }, 2, 3)]),
  mold('bottle', 'A found bottle', 'thinPlastic', [cavity({ kind: 'turned', points: points(BOTTLE) }, 1, 1)], {
    notes:
      'Clear plastic, washed and bone dry. Peel the label off and keep it with the lid: both go back on. Never glass.',
  }),
  mold('bowl', 'A bowl measured with water', 'silicone', [
    cavity({ kind: 'measured', volumeM3: 120e-6, diameterM: mm(90), depthM: mm(28) }, 1, 1),
  ]),
  mold(
    'balloon',
    'Balloon, coated outside',
    'film',
    [cavity({ kind: 'ball', diameterM: mm(160), openingM: mm(85) }, 1, 1)],
    { composition: { kind: 'former' }, notes: 'It stands in a bowl, its smooth side up.' },
  ),
  mold(
    'petal-cup',
    'Cup of a base and leaves',
    'silicone',
    [
      cavity({ kind: 'cylinder', diameterM: mm(44), depthM: mm(6) }, 1, 2, 'Base', 'base'),
      cavity({ kind: 'pillow', lengthM: mm(48), widthM: mm(26), depthM: mm(5), cornerM: mm(12) }, 2, 5, 'Leaf', 'leaf'),
    ],
    {
      composition: {
        kind: 'assembly',
        parts: [
          { cavityId: 'base', perPiece: 1 },
          { cavityId: 'leaf', perPiece: 5 },
        ],
      },
    },
  ),
  mold('mixed', 'Sheet of three kinds', 'silicone', [
    cavity({ kind: 'hemisphere', diameterM: mm(30) }, 2, 3, 'Half sphere', 'half'),
    cavity({ kind: 'tile', lengthM: mm(30), widthM: mm(30), depthM: mm(12), cornerM: mm(4) }, 2, 3, 'Square', 'square'),
    cavity({ kind: 'cup', diameterM: mm(30), baseDiameterM: mm(22), depthM: mm(18) }, 1, 3, 'Cup', 'cup'),
  ]),
];

/** The shipped molds as library records. */
export function shippedMolds(now: Date): LibraryMold[] {
  // A millisecond apart, so that they stay in this order.
  return SHIPPED_MOLDS.map((one, i) => ({
    ...structuredClone(one),
    schemaVersion: MOLD_SCHEMA_VERSION,
    createdAt: new Date(now.getTime() + i).toISOString(),
  }));
}
