import type { CavityShape } from '../core/cavity/shape';
import { chillCapped, chillNominal, type PlaceChill } from '../core/chill/chill';
import type { ChillCoat, ChillInput } from '../core/chill/chill-input';
import { cavityOf, type Cavity } from '../core/cavity/cavity';
import { solidBody } from '../core/coat/solid';
import { depthCurve } from '../core/cavity/depth-curve';
import { CHOCOLATE_MATTER, type ChocolateKind } from '../core/matter/chocolate';
import { FILLING_MATTER, FILLING_SPECIFIC_HEAT } from '../core/matter/filling';
import { MOLD_MATTER, type MoldMaterial } from '../core/matter/mold-material';
import type { Place, WayUp } from '../core/record/choices';

/** One interval people use, and the piece it is used on. Common practice, no source. */
export interface PracticeRow {
  readonly what: string;
  readonly minutes: number;
  readonly waitsFor: 'touch' | 'unmold';
  readonly shape: CavityShape;
  readonly material: MoldMaterial;
  readonly kind: ChocolateKind;
  readonly place: Place;
  readonly wayUp: WayUp;
  /** Thickness of each coat, m; the interval is the last one's. Solid: filled to the brim. */
  readonly coatsM: readonly number[] | 'solid';
  /** Rest in the room before the place, s. */
  readonly restSeconds: number;
  /** Pressed under an insert, so that both faces are covered. */
  readonly pressed?: boolean;
  /** Filled from below, layer by layer. */
  readonly level?: boolean;
  /** Cut or peeled off its mold. */
  readonly cutAway?: boolean;
  /** Filled and capped before the rest: how thick the cap is, m, and how much of the inside is filled under it. */
  readonly capped?: { readonly capM: number; readonly filled: number };
}

/** What the engine says to it. */
export interface PracticeAnswer {
  readonly row: PracticeRow;
  /** When what is waited for is reached, and the latest sensible moment, min. */
  readonly readyMinutes: number;
  readonly latestMinutes: number;
  /** Interval over threshold. */
  readonly ratio: number;
  /** Inside the window from ready to latest, widened by a fifth at either end. */
  readonly inside: boolean;
}

/** How well the engine's windows hold what people do. */
export interface PracticeSummary {
  readonly rows: number;
  readonly inside: number;
  readonly within16: number;
  readonly within13: number;
}

const HALF = (mm: number): CavityShape => ({ kind: 'hemisphere', diameterM: mm / 1000 });
const LOLLIPOP = (mm: number): CavityShape => ({ kind: 'cylinder', diameterM: 0.05, depthM: mm / 1000 });
const BOW = (mm: number): CavityShape => ({
  kind: 'tile',
  lengthM: 0.04,
  widthM: 0.02,
  depthM: mm / 1000,
  cornerM: 0.002,
});
const BONBON: CavityShape = { kind: 'pillow', lengthM: 0.028, widthM: 0.028, depthM: 0.016, cornerM: 0.006 };
const TILE: CavityShape = { kind: 'tile', lengthM: 0.12, widthM: 0.07, depthM: 0.012, cornerM: 0.004 };
const LINER: CavityShape = { kind: 'liner', diameterM: 0.05, baseDiameterM: 0.035, depthM: 0.03, pleatFactor: 1.2 };
const LEAF: CavityShape = { kind: 'cap', diameterM: 0.05, depthM: 0.005 };
const BOTTLE: CavityShape = { kind: 'cylinder', diameterM: 0.08, depthM: 0.2 };
/** A tile takes some twenty wafers of 0.95 g in two layers. */
const TILE_LAYER_M = (10 * 0.95e-3) / (1250 * 0.12 * 0.07);

const shell = {
  material: 'silicone',
  kind: 'dark',
  place: 'fridge',
  wayUp: 'upsideDown',
  coatsM: [0.0013],
  restSeconds: 60,
  shape: HALF(64),
  waitsFor: 'touch',
} as const;
const leaf = {
  ...shell,
  what: 'painted leaf, fridge',
  shape: LEAF,
  material: 'film',
  kind: 'compound',
  coatsM: [0.0006],
  wayUp: 'upright',
  restSeconds: 30,
} as const;
const tile = {
  ...shell,
  shape: TILE,
  material: 'polycarbonate',
  kind: 'compound',
  wayUp: 'upright',
  level: true,
} as const;
const solid = {
  ...shell,
  kind: 'compound',
  place: 'freezer',
  wayUp: 'upright',
  coatsM: 'solid',
  waitsFor: 'unmold',
} as const;
/** Three quarters full. */
const bonbon = {
  ...shell,
  shape: BONBON,
  material: 'polycarbonate',
  coatsM: [0.0015],
  waitsFor: 'unmold',
  capped: { capM: 0.002, filled: 0.75 },
} as const;

/** The same work at each of the intervals that people tell, min. */
function told(row: Omit<PracticeRow, 'minutes'>, ...minutes: number[]): PracticeRow[] {
  return minutes.map((m) => ({ ...row, minutes: m }));
}

/** The intervals of the trade, both ends where a span is told. Common practice, no source; amounts and thickness as the same people use them. */
export const PRACTICE: readonly PracticeRow[] = [
  ...(['dark', 'compound'] as const).flatMap((kind): PracticeRow[] => [
    ...told({ ...shell, kind, what: 'between coats, fridge' }, 5, 10),
    ...told({ ...shell, kind, what: 'between coats, freezer', place: 'freezer' }, 5),
    ...told({ ...shell, kind, what: 'before unmolding, fridge', waitsFor: 'unmold', coatsM: [0.0013, 0.0013] }, 10),
  ]),
  ...told({ ...shell, what: 'between coats, fridge, upright', wayUp: 'upright' }, 5, 10),
  ...told(
    {
      ...shell,
      what: 'before unmolding, fridge, 76 mm half',
      waitsFor: 'unmold',
      shape: HALF(76),
      coatsM: [0.0015, 0.0015],
    },
    10,
  ),
  ...told(
    {
      ...shell,
      what: 'before unmolding, freezer, 76 mm half',
      waitsFor: 'unmold',
      place: 'freezer',
      shape: HALF(76),
      coatsM: [0.0015, 0.0015],
    },
    15,
    30,
  ),
  ...told({ ...shell, what: 'between coats, fridge, 38 mm half', shape: HALF(38), coatsM: [0.001] }, 5),
  ...told({ ...shell, what: 'upside-down set once it holds, fridge', coatsM: [0.0011] }, 5),
  ...told(
    {
      ...shell,
      what: 'three-part press, fridge',
      waitsFor: 'unmold',
      coatsM: [0.003],
      wayUp: 'upright',
      pressed: true,
      kind: 'compound',
    },
    15,
  ),
  ...told(leaf, 1, 2),
  ...told(
    {
      ...shell,
      what: 'paper-liner cup, freezer',
      waitsFor: 'unmold',
      shape: LINER,
      material: 'paper',
      coatsM: [0.002],
      wayUp: 'upright',
      place: 'freezer',
    },
    10,
  ),
  ...told({ ...solid, what: 'lollipop of 5 mm, freezer, level', shape: LOLLIPOP(5), material: 'thinPlastic' }, 5),
  ...told({ ...solid, what: 'lollipop of 8 mm, freezer, level', shape: LOLLIPOP(8), material: 'thinPlastic' }, 10),
  ...told({ ...solid, what: 'solid bite of 25 mm, freezer', shape: HALF(25) }, 5),
  ...told({ ...solid, what: 'bow of 3 mm, freezer', shape: BOW(3) }, 2),
  ...told({ ...solid, what: 'bow of 6 mm, freezer', shape: BOW(6) }, 2),
  ...told({ ...tile, what: 'tile, first layer, fridge', coatsM: [TILE_LAYER_M] }, 15),
  ...told(
    { ...tile, what: 'tile, last layer, fridge', waitsFor: 'unmold', coatsM: [TILE_LAYER_M, TILE_LAYER_M] },
    15,
    30,
  ),
  ...told({ ...bonbon, what: 'bonbon, cap to the touch, fridge', waitsFor: 'touch' }, 5),
  ...told({ ...bonbon, what: 'bonbon, capped, rested 20 min, fridge', restSeconds: 1200 }, 15, 20),
  ...told(
    {
      ...shell,
      what: 'small bite, capped, fridge',
      waitsFor: 'unmold',
      shape: HALF(38),
      kind: 'compound',
      coatsM: [0.001, 0.001],
      capped: { capM: 0.0019, filled: 0.75 },
    },
    5,
  ),
  ...told(
    {
      ...shell,
      what: 'smear on paper, room',
      place: 'room',
      material: 'paper',
      shape: LOLLIPOP(2),
      coatsM: [0.0005],
      wayUp: 'upright',
      restSeconds: 0,
    },
    5,
  ),
  ...told({ ...shell, what: 'thin shell, room', place: 'room', waitsFor: 'unmold' }, 15, 40),
  ...told(
    {
      ...shell,
      what: 'bottle or tin, room, cut away',
      place: 'room',
      waitsFor: 'unmold',
      shape: BOTTLE,
      material: 'thinPlastic',
      coatsM: [0.008],
      cutAway: true,
    },
    120,
    180,
  ),
];

/** The kitchen the intervals are held against. */
export const PRACTICE_KITCHEN: ChillInput['kitchen'] = {
  roomC: 20,
  fridgeC: 5,
  freezerC: -18,
  fridgeFan: false,
  freezerFan: false,
};

const WIDENED = 0.2;

/** The slab that a piece filled to the brim stands for. */
function bodyOf(cavity: Cavity): {
  readonly depthM: number;
  readonly meanCurvature: number;
  readonly gaussCurvature: 0;
} {
  const curve = depthCurve(cavity.profile);
  return { ...solidBody(cavity, curve, cavity.depthM), gaussCurvature: 0 };
}

/** Handled, rested and set as people tell it. */
function stayOf({ restSeconds, place }: PracticeRow): Pick<ChillCoat, 'handlingSeconds' | 'rests' | 'place'> {
  return {
    handlingSeconds: Math.min(60, restSeconds),
    rests: restSeconds > 60 ? [{ place: 'room', seconds: restSeconds - 60 }] : [],
    place,
  };
}

function lastOf(input: ChillInput): PlaceChill {
  const { coats } = chillNominal(input);
  return coats[coats.length - 1].chosen;
}

/** A cap of the shell's chocolate, on a paste, in a shell that was filled as soon as it held. */
function capped(
  row: PracticeRow,
  { capM, filled }: NonNullable<PracticeRow['capped']>,
  cavity: Cavity,
  input: ChillInput,
): PlaceChill {
  const [{ kind, fatShare, workingC }] = input.coats;
  const shellM3 = cavity.wallAreaM2 * input.coats.reduce((sum, { thicknessM }) => sum + thicknessM.value, 0);
  const faceM2 = Math.PI * cavity.profile.radiusM[cavity.profile.radiusM.length - 1] ** 2;
  const filling = {
    thicknessM: (2 * filled * (cavity.volumeM3 - shellM3)) / (faceM2 + cavity.wallAreaM2),
    volumetricHeat: FILLING_SPECIFIC_HEAT * FILLING_MATTER.ganache.bulkDensity,
  };
  const faceShare = faceM2 / cavity.wallAreaM2;
  return chillCapped(input, { kind, fatShare, workingC, thicknessM: capM, faceShare, filling, ...stayOf(row) }).chosen;
}

/** The engine's answer to one interval. */
export function practiceAnswer(row: PracticeRow): PracticeAnswer {
  const cavity = cavityOf(row.shape);
  const body = row.coatsM === 'solid' ? bodyOf(cavity) : undefined;
  const { meanCurvature, gaussCurvature } = body ?? cavity;
  const { fatShare, workFromC, workToC } = CHOCOLATE_MATTER[row.kind];
  const wallM = MOLD_MATTER[row.material].usualWallM;
  const input: ChillInput = {
    material: row.material,
    wallM,
    meanCurvature,
    gaussCurvature,
    floorShare: cavity.floorShare,
    ...(row.cutAway ? { cutAway: true } : {}),
    kitchen: PRACTICE_KITCHEN,
    ...(row.pressed ? { insertM: wallM } : {}),
    coats: (row.coatsM === 'solid' ? [bodyOf(cavity).depthM] : row.coatsM).map((m): ChillCoat => ({
      kind: row.kind,
      fatShare,
      workingC: (workFromC + workToC) / 2,
      thicknessM: { value: m, low: m, high: m },
      wallC: PRACTICE_KITCHEN.roomC + 3,
      wayUp: row.wayUp,
      inside: row.level || row.coatsM === 'solid' ? 'level' : row.wayUp === 'upright' ? 'open' : 'dome',
      ...(row.capped ? { handlingSeconds: 60, rests: [], place: 'room' } : stayOf(row)),
    })),
  };
  const { touch, unmold, latest } = row.capped ? capped(row, row.capped, cavity, input) : lastOf(input);
  const readyMinutes = (row.waitsFor === 'touch' ? touch : unmold).value / 60;
  const latestMinutes = latest.value / 60;
  const inside = row.minutes >= readyMinutes * (1 - WIDENED) && row.minutes <= latestMinutes * (1 + WIDENED);
  return { row, readyMinutes, latestMinutes, ratio: row.minutes / readyMinutes, inside };
}

/** Shares of rows inside the window, and of ratios within a factor of 1.6 and of 1.3. */
export function practiceSummary(answers: readonly PracticeAnswer[]): PracticeSummary {
  const share = (holds: (answer: PracticeAnswer) => boolean): number => answers.filter(holds).length / answers.length;
  const within =
    (factor: number) =>
    ({ ratio }: PracticeAnswer): boolean =>
      ratio <= factor && ratio >= 1 / factor;
  return {
    rows: answers.length,
    inside: share(({ inside }) => inside),
    within16: share(within(1.6)),
    within13: share(within(1.3)),
  };
}
