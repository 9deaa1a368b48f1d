import type { CavityShape } from '../core/cavity/shape';
import { chillNominal } from '../core/chill/chill';
import type { ChillCoat, ChillInput } from '../core/chill/chill-input';
import { cavityOf } from '../core/cavity/cavity';
import { CHOCOLATE_MATTER, type ChocolateKind } from '../core/matter/chocolate';
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
  /** Thickness of each coat, m; the interval is the last one's. */
  readonly coatsM: readonly number[];
  /** Rest in the room before the place, s. */
  readonly restSeconds: number;
  /** Pressed under an insert, so that both faces are covered. */
  readonly pressed?: boolean;
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
const BONBON: CavityShape = { kind: 'pillow', lengthM: 0.028, widthM: 0.028, depthM: 0.016, cornerM: 0.006 };
const LOLLIPOP: CavityShape = { kind: 'cylinder', diameterM: 0.05, depthM: 0.008 };
const TILE: CavityShape = { kind: 'tile', lengthM: 0.12, widthM: 0.07, depthM: 0.012, cornerM: 0.004 };
const LINER: CavityShape = { kind: 'liner', diameterM: 0.05, baseDiameterM: 0.035, depthM: 0.03, pleatFactor: 1.2 };
const LEAF: CavityShape = { kind: 'cap', diameterM: 0.05, depthM: 0.005 };

const shell = {
  material: 'silicone',
  kind: 'dark',
  place: 'fridge',
  wayUp: 'upsideDown',
  coatsM: [0.0013],
  restSeconds: 60,
  shape: HALF(64),
} as const;

/** The intervals of the trade, both ends where a span is told. Common practice, no source; amounts and thickness as the same people use them. */
export const PRACTICE: readonly PracticeRow[] = [
  ...(['dark', 'compound'] as const).flatMap((kind): PracticeRow[] => [
    { ...shell, kind, what: 'between coats, fridge', minutes: 5, waitsFor: 'touch' },
    { ...shell, kind, what: 'between coats, fridge', minutes: 10, waitsFor: 'touch' },
    { ...shell, kind, what: 'between coats, freezer', minutes: 5, waitsFor: 'touch', place: 'freezer' },
    { ...shell, kind, what: 'before unmolding, fridge', minutes: 10, waitsFor: 'unmold', coatsM: [0.0013, 0.0013] },
  ]),
  { ...shell, what: 'between coats, fridge, upright', minutes: 5, waitsFor: 'touch', wayUp: 'upright' },
  { ...shell, what: 'between coats, fridge, upright', minutes: 10, waitsFor: 'touch', wayUp: 'upright' },
  {
    ...shell,
    what: 'before unmolding, fridge, 76 mm half',
    minutes: 10,
    waitsFor: 'unmold',
    shape: HALF(76),
    coatsM: [0.0015, 0.0015],
  },
  {
    ...shell,
    what: 'between coats, fridge, 38 mm half',
    minutes: 5,
    waitsFor: 'touch',
    shape: HALF(38),
    coatsM: [0.001],
  },
  { ...shell, what: 'upside-down set once it holds, fridge', minutes: 5, waitsFor: 'touch', coatsM: [0.0011] },
  {
    ...shell,
    what: 'three-part press, fridge',
    minutes: 15,
    waitsFor: 'unmold',
    coatsM: [0.003],
    wayUp: 'upright',
    pressed: true,
    kind: 'compound',
  },
  {
    ...shell,
    what: 'painted leaf, fridge',
    minutes: 1,
    waitsFor: 'touch',
    shape: LEAF,
    material: 'film',
    coatsM: [0.0006],
    wayUp: 'upright',
    restSeconds: 30,
    kind: 'compound',
  },
  {
    ...shell,
    what: 'painted leaf, fridge',
    minutes: 2,
    waitsFor: 'touch',
    shape: LEAF,
    material: 'film',
    coatsM: [0.0006],
    wayUp: 'upright',
    restSeconds: 30,
    kind: 'compound',
  },
  {
    ...shell,
    what: 'paper-liner cup, freezer',
    minutes: 10,
    waitsFor: 'unmold',
    shape: LINER,
    material: 'paper',
    coatsM: [0.002],
    wayUp: 'upright',
    place: 'freezer',
  },
  {
    ...shell,
    what: 'lollipop, freezer, level',
    minutes: 5,
    waitsFor: 'unmold',
    shape: LOLLIPOP,
    material: 'thinPlastic',
    coatsM: [0.005],
    wayUp: 'upright',
    place: 'freezer',
    kind: 'compound',
  },
  {
    ...shell,
    what: 'lollipop, freezer, level',
    minutes: 10,
    waitsFor: 'unmold',
    shape: LOLLIPOP,
    material: 'thinPlastic',
    coatsM: [0.005],
    wayUp: 'upright',
    place: 'freezer',
    kind: 'compound',
  },
  // Twenty coating wafers in two layers over 84 cm².
  {
    ...shell,
    what: 'tile, first layer, fridge',
    minutes: 15,
    waitsFor: 'touch',
    shape: TILE,
    material: 'polycarbonate',
    kind: 'compound',
    coatsM: [0.003],
    wayUp: 'upright',
  },
  {
    ...shell,
    what: 'tile, last layer, fridge',
    minutes: 30,
    waitsFor: 'unmold',
    shape: TILE,
    material: 'polycarbonate',
    kind: 'compound',
    coatsM: [0.003, 0.003],
    wayUp: 'upright',
  },
  {
    ...shell,
    what: 'cap, fridge',
    minutes: 5,
    waitsFor: 'touch',
    shape: BONBON,
    material: 'polycarbonate',
    coatsM: [0.0015],
    wayUp: 'upright',
  },
  {
    ...shell,
    what: 'bonbon after resting 20 min, fridge',
    minutes: 15,
    waitsFor: 'unmold',
    shape: BONBON,
    material: 'polycarbonate',
    coatsM: [0.0015],
    restSeconds: 1200,
  },
  {
    ...shell,
    what: 'bonbon after resting 20 min, fridge',
    minutes: 20,
    waitsFor: 'unmold',
    shape: BONBON,
    material: 'polycarbonate',
    coatsM: [0.0015],
    restSeconds: 1200,
  },
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

/** The engine's answer to one interval. */
export function practiceAnswer(row: PracticeRow): PracticeAnswer {
  const { meanCurvature, gaussCurvature } = cavityOf(row.shape);
  const { fatShare, workFromC, workToC } = CHOCOLATE_MATTER[row.kind];
  const wallM = MOLD_MATTER[row.material].usualWallM;
  const chill = chillNominal({
    material: row.material,
    wallM,
    meanCurvature,
    gaussCurvature,
    kitchen: PRACTICE_KITCHEN,
    ...(row.pressed ? { insertM: wallM } : {}),
    coats: row.coatsM.map((m): ChillCoat => ({
      kind: row.kind,
      fatShare,
      workingC: (workFromC + workToC) / 2,
      thicknessM: { value: m, low: m, high: m },
      wallC: PRACTICE_KITCHEN.roomC + 3,
      wayUp: row.wayUp,
      inside: row.wayUp === 'upright' ? 'open' : 'dome',
      handlingSeconds: Math.min(60, row.restSeconds),
      rests: row.restSeconds > 60 ? [{ place: 'room', seconds: row.restSeconds - 60 }] : [],
      place: row.place,
    })),
  });
  const { touch, unmold, latest } = chill.coats[chill.coats.length - 1].chosen;
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
