import { cavityOf } from '../cavity/cavity';
import { isOutlined } from '../cavity/free-outline';
import type { CavityShape } from '../cavity/shape';
import type { FillingKind } from '../matter/filling';
import type { MoldMaterial } from '../matter/mold-material';
import type { Casting, FillAmount } from '../record/casting';
import type { WayUp } from '../record/choices';
import type { ClosureKind } from '../record/closing';
import type { Method } from '../record/method';
import type { LimitName } from '../record/limits';
import type { Composition, Mold, MoldCavity } from '../record/mold';
import { cavityRecordOf } from '../record/references';

/** One of the two lengths that a mold of a kind is known by, with what it usually is, m. */
export interface KindMeasure {
  readonly limit: Extract<LimitName, 'cavityDiameterM' | 'cavityDepthM' | 'openingM'>;
  readonly usualM: number;
}

/** What a kind of piece is usually cast in, made by, filled and closed with. Common practice, no source. */
export interface PieceKindRow {
  readonly fits: (mold: Mold, cavity: MoldCavity) => boolean;
  readonly measures: readonly [KindMeasure, KindMeasure];
  /** A mold of it by its two measures, m; `cavities` of each kind on the sheet. */
  readonly mold: {
    readonly material: MoldMaterial;
    readonly cavities: number;
    readonly composition: (ids: readonly string[]) => Composition;
    readonly shapes: (a: number, b: number) => readonly CavityShape[];
  };
  /** The first that the mold allows. */
  readonly methods: readonly Method[];
  readonly coats: 1 | 2;
  /** How long it stands full before it is tipped out, s; as long as any other where it is left out. */
  readonly standsS?: number;
  readonly wayUp: WayUp;
  readonly closing: ClosureKind | undefined;
  /** Layers from below: the first filling at hand of one of the kinds, so much of it. */
  readonly fill: readonly { readonly kinds: readonly FillingKind[]; readonly amount: FillAmount }[];
}

const across = (usualM: number): KindMeasure => ({ limit: 'cavityDiameterM', usualM });
const deep = (usualM: number): KindMeasure => ({ limit: 'cavityDepthM', usualM });
const open = (usualM: number): KindMeasure => ({ limit: 'openingM', usualM });

const single = (): Composition => ({ kind: 'single' });
const halves = (): Composition => ({ kind: 'halves' });

/** A round cavity so wide and deep: half a sphere where its depth is half its width, else shallower or deeper. */
function dome(widthM: number, depthM: number): CavityShape {
  if (Math.abs(depthM - widthM / 2) < 0.01 * widthM) return { kind: 'hemisphere', diameterM: widthM };
  if (depthM < widthM / 2) return { kind: 'cap', diameterM: widthM, depthM };
  return { kind: 'egg', lengthM: widthM, widthM, depthM };
}

/** The widest of a shape across its opening, m. */
function widthOf(shape: CavityShape): number {
  if (shape.kind === 'drawn') return Math.max(cavityOf(shape).lengthM, cavityOf(shape).widthM);
  if ('lengthM' in shape) return Math.max(shape.lengthM, shape.widthM);
  return 'diameterM' in shape ? shape.diameterM : 2 * shape.points[shape.points.length - 1].radiusM;
}

/** How deep a shape is, m. */
function depthOf(shape: CavityShape): number {
  if ('depthM' in shape) return shape.depthM;
  if (shape.kind === 'turned') return shape.points[shape.points.length - 1].heightM - shape.points[0].heightM;
  return shape.kind === 'hemisphere' ? shape.diameterM / 2 : shape.diameterM;
}

const FLAT_M = 0.016;
const FLAT_SHARE = 0.4;
const BONBON_M = 0.045;
const BONBON_DEEP_M = 0.03;
const LEAF_M = 0.008;
const alone = ({ composition }: Mold): boolean => composition.kind === 'single';
const isFlat = ({ shape }: MoldCavity): boolean =>
  (['tile', 'cylinder', 'pillow', 'cap', 'faceted'].includes(shape.kind) || isOutlined(shape)) &&
  depthOf(shape) <= Math.min(FLAT_M, FLAT_SHARE * widthOf(shape));
/** A mouth no wider than this share of the body is a neck. Working rule. */
const NECK = 0.7;
const hasNeck = ({ shape }: MoldCavity): boolean =>
  shape.kind === 'turned' &&
  shape.points[shape.points.length - 1].radiusM <= NECK * Math.max(...shape.points.map(({ radiusM }) => radiusM));
/** Closed but for its neck. Never glass, which is not cut off food. */
const isVessel = ({ material }: Mold, cavity: MoldCavity): boolean =>
  material !== 'glass' && (cavity.shape.kind === 'ball' || hasNeck(cavity));

/** Every kind of piece that a casting is begun with, likeliest first. */
export const PIECES = {
  bomb: {
    fits: ({ composition }, { shape }) =>
      composition.kind === 'halves' && !['egg', 'turned', 'measured', 'cup'].includes(shape.kind),
    measures: [across(0.064), deep(0.032)],
    mold: { material: 'silicone', cavities: 6, composition: halves, shapes: (a, b) => [dome(a, b)] },
    methods: ['dump'],
    coats: 2,
    wayUp: 'upsideDown',
    closing: 'warmPlate',
    fill: [
      { kinds: ['powder'], amount: { by: 'share', share: 0.45 } },
      { kinds: ['marshmallow'], amount: { by: 'line', belowRimM: 0.003 } },
    ],
  },
  bonbon: {
    fits: (mold, cavity) =>
      alone(mold) &&
      !isVessel(mold, cavity) &&
      widthOf(cavity.shape) <= BONBON_M &&
      depthOf(cavity.shape) > LEAF_M &&
      depthOf(cavity.shape) <= BONBON_DEEP_M,
    measures: [across(0.028), deep(0.015)],
    mold: {
      material: 'polycarbonate',
      cavities: 24,
      composition: single,
      shapes: (a, b) => [{ kind: 'pillow', lengthM: a, widthM: a, depthM: b, cornerM: 0.28 * a }],
    },
    methods: ['dump'],
    coats: 1,
    standsS: 30,
    wayUp: 'upsideDown',
    closing: 'cap',
    fill: [{ kinds: ['ganache', 'nutButter', 'caramel'], amount: { by: 'line', belowRimM: 0.0025 } }],
  },
  cup: {
    fits: (mold, { shape }) =>
      alone(mold) &&
      mold.material !== 'glass' &&
      ['liner', 'cup', 'cylinder', 'cap', 'hemisphere', 'measured'].includes(shape.kind) &&
      !('baseDiameterM' in shape && shape.baseDiameterM === 0) &&
      depthOf(shape) > 0.012,
    measures: [across(0.054), deep(0.032)],
    mold: {
      material: 'silicone',
      cavities: 6,
      composition: single,
      shapes: (a, b) => [{ kind: 'cup', diameterM: a, baseDiameterM: 0.75 * a, depthM: b }],
    },
    methods: ['spreadUp', 'spoon'],
    coats: 2,
    wayUp: 'upright',
    closing: undefined,
    fill: [{ kinds: ['ganache', 'custard', 'nutButter'], amount: { by: 'line', belowRimM: 0.005 } }],
  },
  tile: {
    fits: (mold, cavity) => alone(mold) && isFlat(cavity),
    measures: [across(0.12), deep(0.009)],
    mold: {
      material: 'polycarbonate',
      cavities: 3,
      composition: single,
      shapes: (a, b) => [{ kind: 'tile', lengthM: a, widthM: Math.max(0.01, a / 2), depthM: b, cornerM: 0.04 * a }],
    },
    methods: ['solid'],
    coats: 1,
    wayUp: 'upright',
    closing: undefined,
    fill: [],
  },
  lollipop: {
    fits: (mold, cavity) => alone(mold) && isFlat(cavity) && widthOf(cavity.shape) <= 0.08,
    measures: [across(0.05), deep(0.008)],
    mold: {
      material: 'silicone',
      cavities: 6,
      composition: single,
      shapes: (a, b) => [{ kind: 'cylinder', diameterM: a, depthM: b }],
    },
    methods: ['solid'],
    coats: 1,
    wayUp: 'upright',
    closing: undefined,
    fill: [],
  },
  ball: {
    fits: ({ composition }, { shape }) => composition.kind === 'halves' && shape.kind === 'hemisphere',
    measures: [across(0.06), deep(0.03)],
    mold: { material: 'polycarbonate', cavities: 4, composition: halves, shapes: (a, b) => [dome(a, b)] },
    methods: ['dump'],
    coats: 2,
    wayUp: 'upsideDown',
    closing: 'warmPlate',
    fill: [],
  },
  egg: {
    fits: ({ composition }, { shape }) => composition.kind === 'halves' && shape.kind === 'egg',
    measures: [across(0.092), across(0.062)],
    mold: {
      material: 'polycarbonate',
      cavities: 4,
      composition: halves,
      shapes: (a, b) => [{ kind: 'egg', lengthM: a, widthM: b, depthM: b / 2 }],
    },
    methods: ['dump'],
    coats: 2,
    wayUp: 'upsideDown',
    closing: 'warmPlate',
    fill: [],
  },
  figure: {
    fits: (mold, cavity) =>
      mold.composition.kind === 'figure' ||
      (mold.composition.kind === 'halves' && ['turned', 'measured', 'cup'].includes(cavity.shape.kind)) ||
      (alone(mold) && !isVessel(mold, cavity) && depthOf(cavity.shape) > 0.04),
    measures: [across(0.09), across(0.06)],
    mold: {
      material: 'polycarbonate',
      cavities: 2,
      composition: ([frontId, backId]) => ({ kind: 'figure', frontId, backId }),
      shapes: (a, b) => [
        { kind: 'egg', lengthM: a, widthM: b, depthM: b / 2 },
        { kind: 'egg', lengthM: a, widthM: b, depthM: b / 2 },
      ],
    },
    methods: ['dump'],
    coats: 2,
    wayUp: 'upsideDown',
    closing: 'pipedSeam',
    fill: [],
  },
  pressed: {
    fits: ({ composition }) => composition.kind === 'press',
    measures: [across(0.046), deep(0.04)],
    mold: {
      material: 'thinPlastic',
      cavities: 6,
      composition: () => ({ kind: 'press', gap: { by: 'width', gapM: 0.003 } }),
      shapes: (a, b) => [{ kind: 'egg', lengthM: a, widthM: a, depthM: b }],
    },
    methods: ['spoon'],
    coats: 1,
    wayUp: 'upright',
    closing: undefined,
    fill: [],
  },
  vessel: {
    fits: (mold, cavity) => alone(mold) && isVessel(mold, cavity),
    measures: [across(0.08), open(0.03)],
    mold: {
      material: 'thinPlastic',
      cavities: 1,
      composition: single,
      shapes: (a, b) => [{ kind: 'ball', diameterM: a, openingM: b }],
    },
    methods: ['turn'],
    coats: 2,
    wayUp: 'upright',
    closing: undefined,
    fill: [],
  },
  former: {
    fits: ({ composition }) => composition.kind === 'former',
    measures: [across(0.16), open(0.085)],
    mold: {
      material: 'film',
      cavities: 1,
      composition: () => ({ kind: 'former' }),
      shapes: (a, b) => [{ kind: 'ball', diameterM: a, openingM: b }],
    },
    methods: ['dump'],
    coats: 2,
    wayUp: 'upsideDown',
    closing: undefined,
    fill: [],
  },
  leaf: {
    fits: (mold, { shape }) =>
      (mold.composition.kind === 'assembly' && mold.cavities.some((one) => one.shape.kind === 'pillow')) ||
      (alone(mold) && shape.kind === 'pillow' && depthOf(shape) <= LEAF_M),
    measures: [across(0.048), across(0.026)],
    mold: {
      material: 'silicone',
      cavities: 10,
      composition: single,
      shapes: (a, b) => [{ kind: 'pillow', lengthM: a, widthM: b, depthM: 0.005, cornerM: 0.45 * Math.min(a, b) }],
    },
    methods: ['brush'],
    coats: 2,
    wayUp: 'upright',
    closing: undefined,
    fill: [],
  },
} as const satisfies Record<string, PieceKindRow>;

export type PieceKind = keyof typeof PIECES;
export const PIECE_KINDS = Object.keys(PIECES) as readonly PieceKind[];

export const rowOf = (kind: PieceKind): PieceKindRow => PIECES[kind];

/** What a piece is called that is of none of the other kinds, so that there is one for every mold. */
const ANY_OTHER: PieceKind = 'figure';

function fits(kind: PieceKind, mold: Mold, cavity: MoldCavity): boolean {
  if (rowOf(kind).fits(mold, cavity)) return true;
  return kind === ANY_OTHER && !PIECE_KINDS.some((one) => rowOf(one).fits(mold, cavity));
}

/** The kinds of cavity of a mold that a kind of piece is cast in; of a set that makes one piece, its first. */
export function cavitiesFor(kind: PieceKind, mold: Mold): readonly MoldCavity[] {
  const fitting = mold.cavities.filter((cavity) => fits(kind, mold, cavity));
  return mold.composition.kind === 'single' ? fitting : fitting.slice(0, 1);
}

/** Whether what a casting is made of is of a kind. */
export function isOfKind(kind: PieceKind, { molds, parts }: Casting): boolean {
  const mold = molds.find(({ id }) => id === parts[0].moldId);
  return mold !== undefined && fits(kind, mold, cavityRecordOf(mold, parts[0]));
}
