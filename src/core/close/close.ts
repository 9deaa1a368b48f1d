import {
  CHOCOLATE_SPECIFIC_HEAT,
  CHOCOLATE_MATTER,
  latentHeat,
  SET_DENSITY_FACTOR,
  type ChocolateKind,
} from '../matter/chocolate';
import { WORKING_RULES } from '../matter/working-rules';
import { answer, term, type Answer, type Term } from '../quantity/answer';
import type { DepthCurve } from '../cavity/depth-curve';
import { CLOSING_ROWS, isCap, isOnPlate, type Closure } from '../record/closing';

/** What a closing is worked out from, SI. */
export interface CloseInput {
  readonly closure: Closure;
  /** Of the part that is closed: how deep it is cast, length of its rim, and thickness of the shell there. */
  readonly depthM: number;
  readonly rimLengthM: number;
  readonly rimThicknessM: number;
  /** Chocolate in that part, kg. */
  readonly partKg: number;
  /** Colours of rim that may go on a plate. */
  readonly rimColours: number;
  /** Room inside the shell by depth, and the level up to which it is filled, m above its lowest point. */
  readonly inside: DepthCurve;
  readonly filledToM: number;
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
  /** Only for a cap. */
  readonly cap: CapAnswer | undefined;
  /** Hands-on, a piece. */
  readonly hands: Answer;
}

/** How a cap comes to lie on what is in the cavity. */
export interface CapAnswer {
  /** What is spooned on, m³; undefined where it is as much as there is room for. */
  readonly doseM3: number | undefined;
  readonly thickness: Answer;
  /** Mean thickness over its face, m: what has to cool. */
  readonly meanM: number;
  /** How far its face stays below the rim. */
  readonly below: Answer;
  /** What is asked for beyond the rim. */
  readonly over: Answer;
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
  const { m3, terms, cap } = added(input, density);
  return {
    closure,
    plate: isOnPlate(closure) ? warmPlate(input, closure) : undefined,
    mass: answer(m3 * density, 'mass', `close.${closure.kind}`, [...terms, term('meltedDensity', density, 'density')]),
    cap,
    hands: answer(CLOSING_ROWS[closure.kind].handsOnS, 'duration', 'close.hands', []),
  };
}

interface Added {
  readonly m3: number;
  readonly terms: readonly Term[];
  readonly cap?: CapAnswer;
}

/** The chocolate that a closing adds, with what it is reckoned from. */
function added(input: CloseInput, density: number): Added {
  const { closure, rimLengthM, inside, filledToM } = input;
  if (isCap(closure)) {
    const roomM3 = Math.max(0, inside.capacityM3 - inside.volumeAt(filledToM));
    const doseM3 = closure.kind === 'dosedCap' ? closure.doseM3 : undefined;
    const cap = capAnswer(input, doseM3, roomM3, density);
    return { m3: doseM3 ?? roomM3, cap, terms: [term('capThickness', cap.thickness.value, 'length')] };
  }
  switch (closure.kind) {
    case 'warmPlate':
      return { m3: 0, terms: [] };
    case 'pipedSeam':
    case 'lid':
      return {
        m3: (rimLengthM * Math.PI * closure.lineM ** 2) / 4,
        terms: [term('rimLength', rimLengthM, 'length'), term('line', closure.lineM, 'length')],
      };
    case 'plug':
      return {
        m3: (closure.thicknessM * Math.PI * closure.holeM ** 2) / 4,
        terms: [term('hole', closure.holeM, 'length'), term('capThickness', closure.thicknessM, 'length')],
      };
  }
}

/** A cap poured on what is inside: by a dose, m³, or as much as there is room for; it comes up no further than that. */
function capAnswer(
  { inside, filledToM }: CloseInput,
  doseM3: number | undefined,
  roomM3: number,
  density: number,
): CapAnswer {
  const givenM3 = doseM3 ?? roomM3;
  const headspaceM = Math.max(0, inside.depthM - filledToM);
  const topM = givenM3 < roomM3 ? inside.levelAt(inside.capacityM3 - roomM3 + givenM3) : inside.depthM;
  const belowM = Math.min(headspaceM, Math.max(0, inside.depthM - topM));
  const terms = [
    term('headspace', headspaceM, 'length'),
    ...(doseM3 === undefined ? [] : [term('capDose', doseM3, 'volume'), term('fits', roomM3, 'volume')]),
  ];
  const slice = FACE_SLICE * inside.depthM;
  const thicknessM = headspaceM - belowM;
  const faceM2 = slice > 0 ? (inside.volumeAt(topM) - inside.volumeAt(topM - slice)) / slice : 0;
  return {
    doseM3,
    thickness: answer(thicknessM, 'length', 'close.thickness', terms),
    // Under a narrow neck there is more of it than its face tells; it cools through no more than it is thick.
    meanM: faceM2 > 0 ? Math.min(thicknessM, Math.min(givenM3, roomM3) / faceM2) : 0,
    below: answer(belowM, 'length', 'close.below', terms),
    over: answer(Math.max(0, givenM3 - roomM3) * density, 'mass', 'close.over', terms),
  };
}

/** A face is as wide as a slice of this share of the depth under it. */
const FACE_SLICE = 1e-3;

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
