import {
  CHOCOLATE_SPECIFIC_HEAT,
  CHOCOLATE_MATTER,
  latentHeat,
  SET_DENSITY_FACTOR,
  type ChocolateKind,
  type SettingChocolate,
} from '../matter/chocolate';
import { WORKING_RULES } from '../matter/working-rules';
import { answer, term, type Answer } from '../quantity/answer';
import { CLOSING_ROWS, type Closure } from '../record/closing';

/** Rims that are joined on a warm plate, SI. */
export interface PlateInput {
  readonly closure: Extract<Closure, { kind: 'warmPlate' }>;
  /** Of one part: how deep it is cast, the length of its rim, the thickness of the shell there, and its chocolate, kg. */
  readonly depthM: number;
  readonly rimLengthM: number;
  readonly rimThicknessM: number;
  readonly partKg: number;
  /** Rims of a piece that can be levelled: two halves, or a shell on its base. */
  readonly rims: number;
  /** Colours of rim that may go on a plate. */
  readonly rimColours: number;
  /** Set upside down, a rim comes out square. */
  readonly squared: boolean;
  readonly shell: Pick<SettingChocolate, 'kind' | 'fatShare'>;
  readonly roomC: number;
  readonly pieces: number;
}

/** What a warm plate takes, a piece, and how it serves. */
export interface PlateAnswer {
  /** Rim lost to it, in height of the piece, and what of it stays on the plate. */
  readonly lost: Answer;
  readonly lostMass: Answer;
  /** What lay there of levelling and is taken up again as glue; undefined where nothing is. */
  readonly glue: Answer | undefined;
  /** Seconds until a rim is flat all round. */
  readonly flat: Answer;
  /** Pieces that one warming serves when they are joined, warmings in all, and plates, one for each colour. */
  readonly perWarming: Answer;
  readonly warmings: Answer;
  readonly plates: Answer;
}

/** Above this chocolate on a plate is melted, °C: the middle of its melting interval. From memory. */
export const MELTS_AT_C: Readonly<Record<ChocolateKind, number>> = { dark: 33, milk: 32, white: 31, compound: 35 };

/** Melted film between a rim and the plate, m and as a conductance, W/(m² K). Working rule. */
export const MELTED_FILM_M = 0.0003;
const CONTACT = 800;
/** A plate that has cooled to this much above melting hardly melts a rim, K. Working rule. */
const STILL_WARM_K = 4;
/** A dinner plate: heat it holds, J/K, and what it gives off to the room, W/K. From memory: 0.5 kg of stoneware, 300 cm², both sides. */
const PLATE_HEAT = 420;
const PLATE_LOSS = 0.55;
/** Levelling one rim, s. Common practice, no source. */
const LEVEL_HANDS_S = 8;
/** How uneven a rim is that set upright, one that set upside down, and one that was levelled, m. Working rules. */
const UNEVEN_M = { upright: 0.0005, squared: 0.0003, levelled: 0.0001 } as const;
/** An empty half takes up so much of what lies on the plate, m over its rim. Working rule. */
const GLUE_M = 0.0005;

/**
 * Rim height that a warm plate melts away in a second, m/s: heat through the melted film over what it takes to warm and melt the rim.
 * @param plateC 35 to 90 °C
 */
export function rimLossPerSecond({ kind, fatShare }: PlateInput['shell'], plateC: number, roomC: number): number {
  const melts = MELTS_AT_C[kind];
  const toMelt =
    SET_DENSITY_FACTOR *
    CHOCOLATE_MATTER[kind].meltedDensity *
    (CHOCOLATE_SPECIFIC_HEAT * Math.max(0, melts - roomC) + latentHeat(fatShare));
  return (CONTACT * Math.max(0, plateC - melts)) / toMelt;
}

/** Hands-on time to level the rims of a piece, s; 0 where they are not levelled. */
export function levellingS({ closure, rims }: Pick<PlateInput, 'closure' | 'rims'>): number {
  return closure.levelS > 0 ? LEVEL_HANDS_S * rims : 0;
}

/** Joined on a warm plate: first every rim levelled, where that is wanted, then one or both melted again. */
export function warmPlate(input: PlateInput): PlateAnswer {
  const { closure, shell, roomC, depthM, rimLengthM, rimThicknessM, partKg, rims, rimColours, pieces } = input;
  const { plateC, seconds, levelS } = closure;
  const joined = closure.rims === 'both' ? rims : 1;
  const rate = rimLossPerSecond(shell, plateC, roomC);
  const areaM2 = rimLengthM * rimThicknessM;
  const density = SET_DENSITY_FACTOR * CHOCOLATE_MATTER[shell.kind].meltedDensity;
  // A part loses no more than its height, nor more than there is of it where it narrows below its rim.
  const levelM = Math.min(depthM, rate * levelS);
  const joinM = Math.min(depthM - levelM, rate * seconds);
  const lostM = rims * levelM + joined * joinM;
  const levelKg = Math.min(partKg, levelM * areaM2 * density);
  const joinKg = Math.min(partKg - levelKg, joinM * areaM2 * density);
  const meltedKg = rims * levelKg + joined * joinKg;
  const glueKg = closure.rims === 'empty' ? Math.min(rims * levelKg, GLUE_M * areaM2 * density) : 0;
  const serves = (kg: number, handsS: number): number => servedBy(input, kg, handsS);
  const perWarming = serves(joined * joinKg, CLOSING_ROWS.warmPlate.handsOnS);
  const levelled = levelS > 0 ? Math.ceil((pieces * rims) / serves(levelKg, LEVEL_HANDS_S)) : 0;
  const spread = WORKING_RULES.coolingSpread;
  const unevenM = levelS > 0 ? UNEVEN_M.levelled : input.squared ? UNEVEN_M.squared : UNEVEN_M.upright;
  const terms = [
    term('plate', plateC, 'temperature'),
    ...(levelS > 0 ? [term('levelling', levelS, 'duration')] : []),
    term('contact', seconds, 'duration'),
    term('room', roomC, 'temperature'),
  ];
  const most = depthM * rims;
  return {
    lost: answer(lostM, 'length', 'close.lost', terms, [lostM / spread, Math.min(most, lostM * spread)]),
    lostMass: answer(meltedKg - glueKg, 'mass', 'close.lostMass', [
      term('lostHeight', lostM, 'length'),
      term('rimLength', rimLengthM, 'length'),
      term('rim', rimThicknessM, 'length'),
      ...(glueKg > 0 ? [term('glue', glueKg, 'mass')] : []),
    ]),
    glue: glueKg > 0 ? answer(glueKg, 'mass', 'close.glue', [term('rimLength', rimLengthM, 'length')]) : undefined,
    flat: answer(unevenM / rate, 'duration', 'close.flat', [
      term('plate', plateC, 'temperature'),
      term('uneven', unevenM, 'length'),
    ]),
    perWarming: answer(perWarming, 'count', 'close.perWarming', terms, [
      Math.max(1, Math.floor(perWarming / spread)),
      Math.ceil(perWarming * spread),
    ]),
    warmings: answer(levelled + Math.ceil(pieces / perWarming), 'count', 'close.warmings', [
      term('pieces', pieces, 'count'),
      term('perWarming', perWarming, 'count'),
    ]),
    plates: answer(rimColours, 'count', 'close.plates', [term('rimColours', rimColours, 'count')]),
  };
}

/** How many times so much rim is melted before the plate has cooled too far: it takes heat, and meanwhile the plate cools in the room. */
function servedBy({ closure, shell, roomC }: PlateInput, kg: number, handsS: number): number {
  const melts = MELTS_AT_C[shell.kind];
  const toMeltJ = kg * (CHOCOLATE_SPECIFIC_HEAT * Math.max(0, melts - roomC) + latentHeat(shell.fatShare));
  const meanC = (closure.plateC + melts + STILL_WARM_K) / 2;
  const eachJ = toMeltJ + PLATE_LOSS * Math.max(0, meanC - roomC) * handsS;
  return Math.max(1, Math.floor((PLATE_HEAT * Math.max(0, closure.plateC - melts - STILL_WARM_K)) / eachJ));
}
