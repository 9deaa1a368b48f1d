import { CHOCOLATE_MATTER, type SettingChocolate } from '../matter/chocolate';
import { WORKING_RULES } from '../matter/working-rules';
import { answer, term, type Answer, type Term } from '../quantity/answer';
import type { DepthCurve } from '../cavity/depth-curve';
import { CLOSING_ROWS, isCap, isOnPlate, type Closure } from '../record/closing';
import { ownSecondsOf, placeOf, restsOf } from '../record/sets';
import { jointSetsSeconds } from '../shell/film-sets';
import type { PlaceKitchen } from '../shell/place-air';
import { levellingS, MELTED_FILM_M, MELTS_AT_C, warmPlate, type PlateAnswer } from './plate';

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
  /** Rims of a piece that a plate levels and joins; one that set upside down is square. */
  readonly rims: number;
  readonly squared: boolean;
  /** The melt that closes, and how warm it is worked, °C; the shell's chocolate. */
  readonly melt: SettingChocolate & { readonly workingC: number };
  readonly shell: Pick<SettingChocolate, 'kind' | 'fatShare'>;
  readonly kitchen: PlaceKitchen;
  readonly pieces: number;
}

/** What closing one piece comes to, and how it goes. */
export interface CloseResult {
  readonly closure: Closure;
  /** Chocolate that it takes, a piece. */
  readonly mass: Answer;
  /** Only for a warm plate. */
  readonly plate: PlateAnswer | undefined;
  /** Only for a cap. */
  readonly cap: CapAnswer | undefined;
  /** In its place until what joins is set to the touch, s; undefined for a cap, which sets with all that it closes. */
  readonly sets: Answer | undefined;
  /** How long it stays there: until then, or as the cook says. */
  readonly stay: Answer | undefined;
  /** Hands-on, a piece; and to level its rims beforehand, undefined where that is not done. */
  readonly hands: Answer;
  readonly levelling: Answer | undefined;
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

/** What closing comes to. A cap and a line are reckoned with their own volume; a warm plate adds nothing and takes a little of the rim. */
export function closeStation(input: CloseInput): CloseResult {
  const { closure, kitchen } = input;
  const density = CHOCOLATE_MATTER[input.melt.kind].meltedDensity;
  const { m3, terms, cap } = added(input, density);
  const onPlate = isOnPlate(closure) ? { ...input, closure, roomC: kitchen.roomC } : undefined;
  const levelS = onPlate ? levellingS(onPlate) : 0;
  const sets = cap ? undefined : jointSets(input);
  const own = ownSecondsOf(closure);
  return {
    closure,
    plate: onPlate && warmPlate(onPlate),
    mass: answer(m3 * density, 'mass', `close.${closure.kind}`, [...terms, term('meltedDensity', density, 'density')]),
    cap,
    sets,
    stay: sets && (own === undefined ? sets : answer(own, 'duration', 'chill.ownInterval', [])),
    hands: answer(CLOSING_ROWS[closure.kind].handsOnS, 'duration', 'close.hands', []),
    levelling:
      levelS > 0 ? answer(levelS, 'duration', 'close.levelling', [term('count', input.rims, 'count')]) : undefined,
  };
}

/** How thick and how warm what joins lies, m and °C: a melted rim, a bead half outside, a disc. */
function joint({ closure, melt, shell }: CloseInput): { readonly thickM: number; readonly laidC: number } {
  switch (closure.kind) {
    case 'warmPlate':
      return {
        thickM: MELTED_FILM_M,
        laidC: Math.max(MELTS_AT_C[shell.kind], (closure.plateC + MELTS_AT_C[shell.kind]) / 2),
      };
    case 'pipedSeam':
    case 'lid':
      return { thickM: (Math.PI * closure.lineM) / 8, laidC: melt.workingC };
    case 'plug':
      return { thickM: closure.thicknessM, laidC: melt.workingC };
    default:
      return { thickM: 0, laidC: melt.workingC };
  }
}

/** Until a joint is set to the touch: a thin film on a wall of set chocolate. What a plate melts is the rim itself, whose seed stays in it. */
function jointSets(input: CloseInput): Answer {
  const { closure, melt, shell, kitchen, rimThicknessM } = input;
  const { thickM, laidC } = joint(input);
  const film = {
    of: isOnPlate(closure) ? shell : melt,
    thickM,
    laidC,
    kitchen,
    rests: restsOf(closure),
    place: placeOf(closure),
  };
  const seconds = jointSetsSeconds(film, { shell, thickM: Math.max(THINNEST_M, rimThicknessM) });
  const spread = WORKING_RULES.coolingSpread;
  return answer(
    seconds,
    'duration',
    'close.sets',
    [term('painted', thickM, 'length'), term('laidAt', laidC, 'temperature'), term('place', placeOf(closure))],
    Number.isFinite(seconds) ? [seconds / spread, seconds * spread] : undefined,
  );
}

/** A wall thinner than this is reckoned as thick, m: some body to take up heat. */
const THINNEST_M = 2e-5;

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
