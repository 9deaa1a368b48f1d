import {
  CHOCOLATE_SPECIFIC_HEAT,
  CHOCOLATE_MATTER,
  latentHeat,
  SET_DENSITY_FACTOR,
  type ChocolateKind,
} from '../matter/chocolate';
import { WORKING_RULES } from '../matter/working-rules';
import { answer, term, type Answer } from '../quantity/answer';
import { CLOSING_ROWS, isCap, isOnPlate, type Closure } from '../record/closing';

/** What a closing is worked out from, SI. */
export interface CloseInput {
  readonly closure: Closure;
  /** Of the part that is closed: its depth, length of its rim, and thickness of the shell there. */
  readonly depthM: number;
  readonly rimLengthM: number;
  readonly rimThicknessM: number;
  /** Chocolate in that part, kg. */
  readonly partKg: number;
  /** Colours of rim that may go on a plate. */
  readonly rimColours: number;
  /** Room under the rim down to a depth, m³: what a cap that thick takes. */
  readonly volumeBelowRim: (depthM: number) => number;
  /** From the top of the fill to the rim, m. */
  readonly headspaceM: number;
  /** Of the melt that closes, and of the shell's chocolate. */
  readonly meltKind: ChocolateKind;
  readonly shell: { readonly kind: ChocolateKind; readonly fatShare: number };
  readonly roomC: number;
  readonly pieces: number;
}

/** What closing one piece comes to, and how it goes. */
export interface CloseResult {
  readonly closure: Closure;
  /** Chocolate that it takes, a piece. */
  readonly mass: Answer;
  /** Only for a warm plate: rim lost to it, in height and in weight, pieces one warming serves, warmings in all, and plates, one for each colour. */
  readonly plate:
    | {
        readonly lost: Answer;
        readonly lostMass: Answer;
        readonly perWarming: Answer;
        readonly warmings: Answer;
        readonly plates: Answer;
      }
    | undefined;
  /** Only for a cap: what is left between it and the filling; below 0 it has no room. */
  readonly spare: Answer | undefined;
  /** Hands-on, a piece. */
  readonly hands: Answer;
}

/** Above this chocolate on a plate is melted, °C: the middle of its melting interval. From memory. */
const MELTS_AT_C: Readonly<Record<ChocolateKind, number>> = { dark: 33, milk: 32, white: 31, compound: 35 };

/** Melted film between a rim and the plate, as a conductance, W/(m² K): 0.3 mm of chocolate. Working rule. */
const CONTACT = 800;
/** A plate that has cooled to this much above melting hardly melts a rim, K. Working rule. */
const STILL_WARM_K = 4;
/** A dinner plate: heat it holds, J/K, and what it gives off to the room, W/K. From memory: 0.5 kg of stoneware, 300 cm², both sides. */
const PLATE_HEAT = 420;
const PLATE_LOSS = 0.55;

/** What closing comes to. A cap and a line are reckoned with their own volume; a warm plate adds nothing and takes a little of the rim. */
export function closeStation(input: CloseInput): CloseResult {
  const { closure, meltKind } = input;
  const density = CHOCOLATE_MATTER[meltKind].meltedDensity;
  const m3 = addedM3(input);
  const plate = isOnPlate(closure) ? warmPlate(input, closure) : undefined;
  return {
    closure,
    plate,
    mass: answer(m3 * density, 'mass', `close.${closure.kind}`, [
      ...massTerms(input),
      term('meltedDensity', density, 'density'),
    ]),
    spare: isCap(closure)
      ? answer(spareM(input.headspaceM, closure.thicknessM), 'length', 'close.spare', [
          term('headspace', input.headspaceM, 'length'),
          term('capThickness', closure.thicknessM, 'length'),
        ])
      : undefined,
    hands: answer(CLOSING_ROWS[closure.kind].handsOnS, 'duration', 'close.hands', []),
  };
}

/** A cap that would stand above the rim by less than this stands level with it, m. */
const LEVEL_M = 1e-6;

/** What is left between filling and cap, m: below 0 where the cap has no room. */
function spareM(headspaceM: number, capM: number): number {
  const left = headspaceM - capM;
  return left < 0 && left > -LEVEL_M ? 0 : left;
}

function addedM3({ closure, rimLengthM, volumeBelowRim }: CloseInput): number {
  switch (closure.kind) {
    case 'warmPlate':
      return 0;
    case 'pipedSeam':
    case 'lid':
      return (rimLengthM * Math.PI * closure.lineM ** 2) / 4;
    case 'cap':
      return volumeBelowRim(closure.thicknessM);
    case 'plug':
      return (closure.thicknessM * Math.PI * closure.holeM ** 2) / 4;
  }
}

function massTerms({ closure, rimLengthM }: CloseInput) {
  switch (closure.kind) {
    case 'warmPlate':
      return [];
    case 'pipedSeam':
    case 'lid':
      return [term('rimLength', rimLengthM, 'length'), term('line', closure.lineM, 'length')];
    case 'cap':
      return [term('capThickness', closure.thicknessM, 'length')];
    case 'plug':
      return [term('hole', closure.holeM, 'length'), term('capThickness', closure.thicknessM, 'length')];
  }
}

/**
 * Rim height that a warm plate melts away in a second, m/s: heat through the melted film over what it takes to warm and melt the rim.
 * @param plateC 35 to 90 °C
 */
export function rimLossPerSecond({ kind, fatShare }: CloseInput['shell'], plateC: number, roomC: number): number {
  const melts = MELTS_AT_C[kind];
  const toMelt =
    SET_DENSITY_FACTOR *
    CHOCOLATE_MATTER[kind].meltedDensity *
    (CHOCOLATE_SPECIFIC_HEAT * Math.max(0, melts - roomC) + latentHeat(fatShare));
  return (CONTACT * Math.max(0, plateC - melts)) / toMelt;
}

function warmPlate(
  { shell, roomC, depthM, rimLengthM, rimThicknessM, partKg, rimColours, pieces }: CloseInput,
  { plateC, seconds }: Extract<Closure, { kind: 'warmPlate' }>,
): CloseResult['plate'] {
  const loss = rimLossPerSecond(shell, plateC, roomC);
  const lostM = Math.min(depthM, loss * seconds);
  const density = SET_DENSITY_FACTOR * CHOCOLATE_MATTER[shell.kind].meltedDensity;
  // A shell narrows below its rim: no more of it is lost than there is.
  const lostKg = Math.min(partKg, lostM * rimLengthM * rimThicknessM * density);
  // A piece takes heat for its rim, and meanwhile the plate cools in the room.
  const toMeltJ =
    lostKg * (CHOCOLATE_SPECIFIC_HEAT * Math.max(0, MELTS_AT_C[shell.kind] - roomC) + latentHeat(shell.fatShare));
  const meanC = (plateC + MELTS_AT_C[shell.kind] + STILL_WARM_K) / 2;
  const eachJ = toMeltJ + PLATE_LOSS * Math.max(0, meanC - roomC) * CLOSING_ROWS.warmPlate.handsOnS;
  const serves = Math.max(
    1,
    Math.floor((PLATE_HEAT * Math.max(0, plateC - MELTS_AT_C[shell.kind] - STILL_WARM_K)) / eachJ),
  );
  const terms = [
    term('plate', plateC, 'temperature'),
    term('contact', seconds, 'duration'),
    term('room', roomC, 'temperature'),
  ];
  const spread = WORKING_RULES.coolingSpread;
  return {
    lost: answer(lostM, 'length', 'close.lost', terms, [lostM / spread, Math.min(depthM, lostM * spread)]),
    lostMass: answer(lostKg, 'mass', 'close.lostMass', [
      term('lostHeight', lostM, 'length'),
      term('rimLength', rimLengthM, 'length'),
      term('rim', rimThicknessM, 'length'),
    ]),
    perWarming: answer(serves, 'count', 'close.perWarming', terms, [
      Math.max(1, Math.floor(serves / spread)),
      Math.ceil(serves * spread),
    ]),
    warmings: answer(Math.ceil(pieces / serves), 'count', 'close.warmings', [
      term('pieces', pieces, 'count'),
      term('perWarming', serves, 'count'),
    ]),
    plates: answer(rimColours, 'count', 'close.plates', [term('rimColours', rimColours, 'count')]),
  };
}
