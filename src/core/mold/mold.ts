import type { Cavity } from '../cavity/cavity';
import { circleRoundM, isOutlined, outlinePoints } from '../cavity/free-outline';
import type { CavityShape } from '../cavity/shape';
import { CHOCOLATE_MATTER, type ChocolateKind } from '../matter/chocolate';
import { answer, term, type Answer } from '../quantity/answer';

export interface MoldInput {
  readonly cavity: Cavity;
  readonly shape: CavityShape;
  readonly cavities: number;
  readonly atHand: number;
  readonly chocolateKind: ChocolateKind;
}

export interface MoldResult {
  readonly volume: Answer;
  readonly wallArea: Answer;
  readonly depth: Answer;
  readonly rimLength: Answer;
  /** Chocolate that fills one cavity solid. */
  readonly solid: Answer;
  /** Parts one round gives. */
  readonly perRound: Answer;
}

/** What the chosen mold comes to: volume, wall area, depth, rim length, and the chocolate that would fill a cavity solid. */
export function moldStation(input: MoldInput): MoldResult {
  const { cavity } = input;
  const density = CHOCOLATE_MATTER[input.chocolateKind].meltedDensity;
  const { shape } = input;
  const size = [
    term('shape', shape.kind),
    term('cavityLength', cavity.lengthM, 'length'),
    term('cavityWidth', cavity.widthM, 'length'),
    term('cavityDepth', cavity.depthM, 'length'),
  ];
  return {
    volume: answer(
      cavity.volumeM3,
      'volume',
      shape.kind === 'measured' ? 'mold.measured' : 'mold.volume',
      size,
      measuredRange(shape),
    ),
    wallArea: answer(cavity.wallAreaM2, 'area', 'mold.wallArea', size),
    depth: answer(cavity.depthM, 'length', 'mold.depth', [term('shape', shape.kind)]),
    rimLength: answer(cavity.rimLengthM, 'length', 'mold.rimLength', size),
    solid: answer(cavity.volumeM3 * density, 'mass', 'mold.solid', [
      term('cavityVolume', cavity.volumeM3, 'volume'),
      term('meltedDensity', density, 'density'),
    ]),
    perRound: answer(input.cavities * input.atHand, 'count', 'mold.perRound', [
      term('cavities', input.cavities, 'count'),
      term('moldsAtHand', input.atHand, 'count'),
    ]),
  };
}

/** Two standard uncertainties either way. */
function measuredRange(shape: CavityShape): [number, number] | undefined {
  if (shape.kind !== 'measured' || !shape.uncertaintyM3) return undefined;
  return [Math.max(0, shape.volumeM3 - 2 * shape.uncertaintyM3), shape.volumeM3 + 2 * shape.uncertaintyM3];
}

/** Room a bomb wants around it in a mug, so that it goes in and comes open, m. Working rule. */
const MUG_ROOM_M = 0.006;

/** How much room a piece leaves in a mug, m, across the smallest circle round it; it fits where this is not negative. */
export function mugRoomM(shape: CavityShape, cavity: Cavity, mugDiameterM: number): number {
  return mugDiameterM - acrossM(shape, cavity) - MUG_ROOM_M;
}

/**
 * Diameter of the smallest circle round a piece seen from above, m: over the corners of a faceted one, the rounded corners
 * of a rectangle, the points of an outline, else its longer side.
 */
export function acrossM(shape: CavityShape, { lengthM, widthM, spanM, rimDiameterM }: Cavity): number {
  if (isOutlined(shape)) return circleRoundM(outlinePoints(shape));
  if (shape.kind === 'faceted') return (shape.diameterM * spanM) / rimDiameterM;
  if (shape.kind !== 'tile' && shape.kind !== 'pillow') return Math.max(lengthM, widthM);
  // A corner's own circle touches the one all round, on the line from the middle through its centre.
  const cornerM = Math.min(shape.cornerM, lengthM / 2, widthM / 2);
  return Math.hypot(lengthM - 2 * cornerM, widthM - 2 * cornerM) + 2 * cornerM;
}
