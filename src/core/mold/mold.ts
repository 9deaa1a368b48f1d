import type { Cavity } from '../cavity/cavity';
import { CHOCOLATE_MATTER, type ChocolateKind } from '../matter/chocolate';
import { answer, term, type Answer } from '../quantity/answer';

export interface MoldInput {
  readonly cavity: Cavity;
  readonly cavities: number;
  readonly atHand: number;
  readonly chocolateKind: ChocolateKind;
}

export interface MoldResult {
  readonly volume: Answer;
  readonly wallArea: Answer;
  readonly rimLength: Answer;
  /** Chocolate that fills one cavity solid. */
  readonly solid: Answer;
  /** Parts one round gives. */
  readonly perRound: Answer;
}

/** What the chosen mold comes to: volume, wall area, rim length, and the chocolate that would fill a cavity solid. */
export function moldStation(input: MoldInput): MoldResult {
  const { cavity } = input;
  const density = CHOCOLATE_MATTER[input.chocolateKind].meltedDensity;
  const diameter = term('rimDiameter', cavity.rimDiameterM, 'length');
  return {
    volume: answer(cavity.volumeM3, 'volume', 'mold.volume', [diameter]),
    wallArea: answer(cavity.wallAreaM2, 'area', 'mold.wallArea', [diameter]),
    rimLength: answer(cavity.rimLengthM, 'length', 'mold.rimLength', [diameter]),
    solid: answer(cavity.volumeM3 * density, 'mass', 'mold.solid', [term('cavityVolume', cavity.volumeM3, 'volume'), term('meltedDensity', density, 'density')]),
    perRound: answer(input.cavities * input.atHand, 'count', 'mold.perRound', [term('cavities', input.cavities, 'count'), term('moldsAtHand', input.atHand, 'count')]),
  };
}
