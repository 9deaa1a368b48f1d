import type { Dimension } from '../quantity/answer';

/** Allowed range of a chosen value, SI. */
export interface Limit {
  readonly low: number;
  readonly high: number;
  readonly dimension: Dimension;
}

/** A value brought within a range; where a step is given, the nearest multiple of it first. */
export function within({ low, high }: Pick<Limit, 'low' | 'high'>, value: number, step?: number): number {
  // Without the dust that a multiple of a decimal step leaves.
  const stepped = step === undefined ? value : Number((Math.round(value / step) * step).toPrecision(12));
  return Math.min(high, Math.max(low, stepped));
}

const limit = (dimension: Dimension, low: number, high: number): Limit => ({ dimension, low, high });

/** Ranges every field and every stored record is held to. */
export const LIMITS = {
  cavityDiameterM: limit('length', 0.01, 0.4),
  cavityDepthM: limit('length', 0.003, 0.4),
  baseDiameterM: limit('length', 0, 0.4),
  cornerM: limit('length', 0, 0.2),
  openingM: limit('length', 0.005, 0.4),
  pleatFactor: limit('ratio', 1, 2.5),
  facets: limit('count', 3, 24),
  starTips: limit('count', 4, 12),
  starWaist: limit('share', 0.3, 0.9),
  cavityVolumeM3: limit('volume', 0.1e-6, 0.05),
  gapM: limit('length', 0.0005, 0.015),
  gapVolumeM3: limit('volume', 0.1e-6, 5e-3),
  moldMassKg: limit('mass', 0.001, 20),
  waterMassKg: limit('mass', 0.001, 60),
  waterC: limit('temperature', 1, 60),
  scaleStepKg: limit('mass', 0.00001, 0.05),
  mugDiameterM: limit('length', 0.03, 0.2),
  moldSize: limit('share', 0.25, 4),
  moldWallM: limit('length', 0.00002, 0.02),
  cavities: limit('count', 1, 60),
  moldsAtHand: limit('count', 1, 20),
  pieces: limit('count', 1, 2000),
  roomC: limit('temperature', 10, 35),
  fridgeC: limit('temperature', 0, 12),
  freezerC: limit('temperature', -30, -5),
  humidity: limit('share', 0.1, 1),
  workingC: limit('temperature', 26, 45),
  coats: limit('count', 1, 4),
  wantedRimM: limit('length', 0.0005, 0.01),
  doseM3: limit('volume', 0.1e-6, 500e-6),
  dwellSeconds: limit('duration', 0, 1200),
  turnSeconds: limit('duration', 2, 600),
  volumeShare: limit('share', 0.02, 1),
  drainSeconds: limit('duration', 2, 120),
  tappingSeconds: limit('duration', 0, 120),
  setMinutesS: limit('duration', 30, 6 * 3600),
  uprightSeconds: limit('duration', 0, 1800),
  afterColdS: limit('duration', 0, 6 * 3600),
  moldC: limit('temperature', -30, 45),
  fillVolumeM3: limit('volume', 0, 2e-3),
  fillMassKg: limit('mass', 0, 3),
  fillCount: limit('count', 0, 5000),
  belowRimM: limit('length', 0, 0.4),
  fillShare: limit('share', 0, 1),
  bulkDensity: limit('density', 10, 3000),
  fillingPieceKg: limit('mass', 0.00001, 1),
  narrowM3: limit('volume', 0.1e-6, 200e-6),
  mixInShare: limit('share', 0.005, 0.3),
  stickM: limit('length', 0.001, 0.012),
  stickInsideM: limit('length', 0.005, 0.2),
  streakShare: limit('share', 0.02, 0.5),
  prepShare: limit('share', 0.01, 1),
  spots: limit('count', 1, 200),
  spotM: limit('length', 0.0005, 0.03),
  paintedM: limit('length', 0.00001, 0.002),
  finishShare: limit('share', 0.01, 1),
  stickOnCount: limit('count', 1, 100),
  plateC: limit('temperature', 35, 90),
  plateSeconds: limit('duration', 1, 60),
  levelSeconds: limit('duration', 0, 60),
  lineM: limit('length', 0.0005, 0.015),
  plugM: limit('length', 0.0005, 0.015),
  holeM: limit('length', 0.003, 0.1),
  partsThere: limit('count', 1, 2000),
  spareShare: limit('share', 0, 1),
  castBefore: limit('count', 1, 100000),
  brokeBefore: limit('count', 0, 100000),
  confidence: limit('share', 0.5, 0.999),
  bandC: limit('temperature', 20, 60),
  yieldPa: limit('yieldStress', 0, 60),
  viscosityPas: limit('viscosity', 0.2, 20),
  fluidityWithin: limit('ratio', 1.01, 3),
  packKg: limit('mass', 0.001, 100),
  stockKg: limit('mass', 0, 1000),
  packPrice: limit('ratio', 0, 100000),
  supplyStock: limit('count', 0, 100000),
  supplyPack: limit('count', 1, 10000),
  measureKg: limit('mass', 0.00005, 20),
  measureM3: limit('volume', 0.05e-6, 0.02),
  measureCount: limit('count', 0.25, 1000),
  boilsAway: limit('share', 0, 0.7),
  ganacheRatio: limit('ratio', 0.2, 5),
  tintParts: limit('ratio', 0.001, 1000),
  microwaveW: limit('power', 100, 3000),
  microwavePower: limit('share', 0.1, 1),
  calibrationKg: limit('mass', 0.02, 5),
  calibrationSeconds: limit('duration', 5, 1200),
  calibrationEndC: limit('temperature', 30, 60),
  bowlKg: limit('mass', 0.005, 10),
  bowlDiameterM: limit('length', 0.06, 0.5),
  thinnerShare: limit('share', 0.002, 0.08),
  cardM: limit('length', 0.01, 0.2),
  dripC: limit('temperature', 28, 55),
  dripFirstS: limit('duration', 3, 120),
  dripSecondS: limit('duration', 3, 300),
  dripKg: limit('mass', 0.0001, 0.2),
  amountKg: limit('mass', 0.005, 50),
  shellKg: limit('mass', 0.0005, 3),
  fatShare: limit('share', 0.1, 0.7),
  ceilingC: limit('temperature', 28, 60),
  people: limit('count', 1, 4),
  breakS: limit('duration', 0, 3 * 3600),
  shelfM: limit('length', 0.05, 2),
  sets: limit('count', 1, 500),
  inSet: limit('count', 0, 200),
  markC: limit('temperature', -5, 70),
  markKg: limit('mass', 0, 20),
  cameOut: limit('count', 0, 2000),
  rimM: limit('length', 0.0003, 0.02),
  awayS: limit('duration', 30, 6 * 3600),
} as const;

export type LimitName = keyof typeof LIMITS;

/** As many entries as each list of a casting holds. */
export const MOST = {
  molds: 20,
  chocolates: 60,
  tints: 20,
  fillings: 40,
  melts: 20,
  parts: 12,
  coats: LIMITS.coats.high,
  prep: 8,
  fill: 12,
  finishes: 20,
  variants: 8,
  bowls: 12,
} as const;

/** The same of an occasion. */
export const MOST_OF_OCCASION = { castings: 40, stays: 21, holds: 400, sets: 20 } as const;
