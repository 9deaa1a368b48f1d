import type { Cavity } from '../cavity/cavity';
import type { Fluidity, SettingChocolate } from '../matter/chocolate';
import { WORKING_RULES } from '../matter/working-rules';
import type { MoldMaterial } from '../matter/mold-material';
import { type CoatArea, type WayUp } from '../record/choices';
import { fillsLevel, isChilled, isClamped, isTurned, type Method, tippedOut } from '../record/method';

/** A chocolate as the coats use it. */
export interface CoatChocolate extends SettingChocolate {
  readonly fluidity: Fluidity;
  /** A factor either way on how it runs, where that is known better than from its class. */
  readonly fluidityWithin?: number | undefined;
}

/** How much stiffer a chocolate is at an end of its likely range: the class's `factor`, less of it where it is known better. */
export function stiffnessAt(factor: number, { fluidityWithin }: CoatChocolate): number {
  return fluidityWithin === undefined
    ? factor
    : factor ** (Math.log(fluidityWithin) / Math.log(WORKING_RULES.fluiditySpread));
}

/** One coat as chosen, with its chocolate and working temperature looked up. */
export interface CoatChoice {
  readonly id: string;
  readonly method: Method;
  readonly chocolate: CoatChocolate;
  readonly workingC: number;
  readonly doseM3: number;
  readonly dwellSeconds: number;
  /** The air it stands full in before it is tipped out: °C, and how much more heat it takes than still air; left out: the room. */
  readonly stands?: { readonly airC: number; readonly draught: number } | undefined;
  readonly drainSeconds: number;
  readonly tappingSeconds: number;
  /** Between two turns of a closed vessel, s. */
  readonly turnSeconds: number;
  /** Share of the cavity that a fill from below takes, 0 to 1. */
  readonly volumeShare: number;
  readonly wayUp: WayUp;
  readonly where: CoatArea;
  /** What is stirred into it: its share of the weight, 0 to 1, and the density of its bits, kg/m³. */
  readonly mixIn?: { readonly share: number; readonly density: number } | undefined;
}

/** How much of a coat's volume what is stirred in takes, 0 to 1. */
export function mixedShare({ mixIn }: Pick<CoatChoice, 'mixIn'>, density: number): number {
  if (!mixIn) return 0;
  const [bits, chocolate] = [mixIn.share / mixIn.density, (1 - mixIn.share) / density];
  return bits / (bits + chocolate);
}

/** What lies behind the free side of a coat: an open bowl, a dome or vessel that is closed above it, its other half, or nothing but air over what is level. */
export type Inside = 'open' | 'dome' | 'joined' | 'level';

/** What is behind a coat while it sets; a former hangs with its coat outside as a dome stands. */
export function insideOf(
  { outward }: Pick<Cavity, 'outward'>,
  { method, wayUp }: Pick<CoatChoice, 'method' | 'wayUp'>,
): Inside {
  if (isClamped(method)) return 'joined';
  if (fillsLevel(method)) return 'level';
  return outward || isTurned(method) || wayUp === 'upsideDown' ? 'dome' : 'open';
}

/** A vessel so many times as long as it is wide is laid down between two turns: it would not stand. Working rule. */
const LONG_TIMES = 1.5;

/** Whether a closed vessel lies on its side between two turns, as a bottle does. */
export function liesOnSide(
  { depthM, spanM }: Pick<Cavity, 'depthM' | 'spanM'>,
  { method }: Pick<CoatChoice, 'method'>,
): boolean {
  return isTurned(method) && depthM > LONG_TIMES * spanM;
}

/** Whether the cavity stands full before it is tipped out: not under an insert, nor outside a former. */
export function standsFull(
  { cavity, press }: Pick<CoatPlaceInput, 'cavity' | 'press'>,
  { method }: Pick<CoatChoice, 'method'>,
): boolean {
  return tippedOut(method) && !press && !cavity.outward;
}

/** Melt that stands before each part of the wall while the cavity is full, m: its volume over the area that cools it. */
export function meltDepthM({ volumeM3, wallAreaM2 }: Pick<Cavity, 'volumeM3' | 'wallAreaM2'>): number {
  return volumeM3 / wallAreaM2;
}

/** The gap an insert is pressed to: its width, m, or the volume it holds up to the line, m³. */
export type Press = { readonly by: 'width'; readonly gapM: number } | { readonly by: 'water'; readonly m3: number };

/** The cavity and its mold, with the room it stands in. */
export interface CoatPlaceInput {
  readonly cavity: Cavity;
  readonly material: MoldMaterial;
  readonly moldWallM: number;
  readonly roomC: number;
  /** How warm the mold is when the first coat goes on, °C; as the room where it is left out. */
  readonly moldC?: number | undefined;
  /** Where the shell is what an insert leaves: coats are then all alike, and there is one. */
  readonly press?: Press | undefined;
}

/** Swirled about and tipped out, or standing full: so long, s. A small cavity and a large one, m³. Working rules. */
const SWIRLED_S = 10;
const STANDS_FULL_S = 20;
const SMALL_M3 = 12e-6;
const LARGE_M3 = 30e-6;

/**
 * Share of the cavity that is poured before it is tipped out, 0 to 1: half of it, swirled about; to the brim where it stands, as only what is
 * full sets a skin, and where the cavity is small. Common practice, no source; straight in between.
 */
export function pouredShare(
  { method, dwellSeconds }: Pick<CoatChoice, 'method' | 'dwellSeconds'>,
  { volumeM3, outward }: Pick<Cavity, 'volumeM3' | 'outward'>,
): number {
  if (outward) return WORKING_RULES.dumpPourShare;
  if (isChilled(method)) return 1;
  const stands = (dwellSeconds - SWIRLED_S) / (STANDS_FULL_S - SWIRLED_S);
  const small = (LARGE_M3 - volumeM3) / (LARGE_M3 - SMALL_M3);
  const full = Math.min(1, Math.max(0, stands, small));
  return WORKING_RULES.dumpPourShare + full * (1 - WORKING_RULES.dumpPourShare);
}
