import type { Cavity } from '../cavity/cavity';
import { layerVolumePerArea } from '../cavity/layer';
import { insetLine } from '../cavity/inset';
import { enclosedVolume, type Profile } from '../cavity/profile';
import { WORKING_RULES } from '../matter/working-rules';
import { rootBetween, rootUpward } from '../quantity/root';
import type { CoatArea } from '../record/choices';
import type { Press } from './coat-choice';

/** Arc from the edge that a rim coat covers, m; slope above which a sides coat lies. Working rules. */
const RIM_BAND_M = 0.008;
const SIDES_FROM_RADIANS = Math.PI / 6;

/** Thickest film a dumped coat starts from, m; a shallow cavity cannot hold a thicker one than half of it. Working rule. */
export function startThicknessM({ rimDiameterM, depthM }: Pick<Cavity, 'rimDiameterM' | 'depthM'>): number {
  return Math.min(
    WORKING_RULES.dumpStartThicknessM,
    (rimDiameterM / 2) * WORKING_RULES.dumpStartRadiusShare,
    depthM / 2,
  );
}

/** A dose is spread as near as this share of it: what is left is made up where the film is made to hold the dose. */
const NEAR_SPREAD = 1e-6;

/**
 * Film of a dose spread by spoon or brush evenly over the whole wall, its sides or its rim, or up to a level where it is thin, m at each point. On a coat that has set it
 * lies a little thicker than on the bare wall, as there is less of a surface to lie on.
 * @param belowM what has set at each point, m; nothing where it is left out
 */
export function spreadFilm(cavity: Cavity, doseM3: number, where: CoatArea, belowM?: ArrayLike<number>): Float64Array {
  if (where === 'thin' && belowM) return filledUp(cavity, doseM3, belowM);
  const covers = coverage(cavity.profile, where);
  const over = (even: number): number => volumeUnder(cavity, (i) => even * covers[i]) - doseM3;
  const most = Math.max(cavity.depthM, cavity.rimDiameterM / 2);
  // A dose that would more than fill the cavity lies as thick as it is deep.
  const even = rootUpward(over, -doseM3, (2 * doseM3) / cavity.wallAreaM2, most, NEAR_SPREAD * doseM3);
  const bare = covers.map((share) => even * share);
  if (!belowM) return bare;
  const before = filmVolume(cavity, belowM);
  const times = timesThicker(
    cavity,
    bare,
    belowM,
    (more) => volumeUnder(cavity, (i) => belowM[i] + more * bare[i]) - before,
    doseM3,
  );
  return bare.map((h) => h * times);
}

/** A dose that fills up what has set, the thinnest first: everywhere to the same thickness, where it is not thicker already. */
function filledUp(cavity: Cavity, doseM3: number, belowM: ArrayLike<number>): Float64Array {
  const points = cavity.profile.arcM.map((_, i) => belowM[i]);
  const thinnest = Math.min(...points);
  const most = Math.max(cavity.depthM, cavity.rimDiameterM / 2) + Math.max(...points);
  const before = filmVolume(cavity, points);
  const over = (more: number): number =>
    volumeUnder(cavity, (i) => Math.max(points[i], thinnest + more)) - before - doseM3;
  const more = rootUpward(over, -doseM3, (2 * doseM3) / cavity.wallAreaM2, most, NEAR_SPREAD * doseM3);
  return points.map((below) => Math.max(0, thinnest + more - below));
}

/** The dose that lies so thick, m, where it is spread on the bare wall, m³. */
export function doseFor(cavity: Cavity, where: CoatArea, thicknessM: number): number {
  const covers = coverage(cavity.profile, where);
  return volumeUnder(cavity, (i) => thicknessM * covers[i]);
}

/** A dose lies at most so many times thicker on what has set than on the bare wall, and no more where the two come to this share of depth or half the width: then some of it finds no place. */
const MOST_TIMES = 1.3;
const MOST_OF_ROOM = 0.4;

/**
 * How many times thicker a dose lies on coats than it would on the bare wall; 1 where there is hardly room for it.
 * @param held what lies on them at so many times its thickness on the bare wall, m³
 */
export function timesThicker(
  { depthM, rimDiameterM }: Cavity,
  bareM: Float64Array,
  belowM: ArrayLike<number>,
  held: (times: number) => number,
  doseM3: number,
): number {
  const most = MOST_OF_ROOM * Math.min(depthM, rimDiameterM / 2);
  if (bareM.some((h, i) => belowM[i] + MOST_TIMES * h > most)) return 1;
  const [low, high] = [held(1) - doseM3, held(MOST_TIMES) - doseM3];
  return low >= 0 || high <= 0
    ? 1
    : rootBetween((times) => held(times) - doseM3, 1, MOST_TIMES, low, high, NEAR_SPREAD * doseM3);
}

/** The shell between a cavity and its insert: as wide as the gap all over, or evenly what the gap holds. */
export function pressedFilm(cavity: Cavity, press: Press): Float64Array {
  return press.by === 'water'
    ? spreadFilm(cavity, press.m3, 'all')
    : new Float64Array(cavity.profile.arcM.length).fill(Math.min(press.gapM, cavity.depthM));
}

/** Volume of a layer on the wall, m³, with the wall's curvature at each place. */
export function filmVolume(cavity: Pick<Cavity, 'profile'>, thicknessM: ArrayLike<number>): number {
  return volumeUnder(cavity, (i) => thicknessM[i]);
}

/** The same of a layer told point by point, for searches that ask for many. */
export function volumeUnder({ profile }: Pick<Cavity, 'profile'>, thicknessM: (point: number) => number): number {
  const { arcM: s, radiusM: r, areaFactor: f, meanCurvature, gaussCurvature } = profile;
  let volume = 0;
  let before = 0;
  for (let i = 1; i < s.length; i++) {
    const here = r[i] * f[i] * layerVolumePerArea({ mean: meanCurvature[i], gauss: gaussCurvature[i] }, thicknessM(i));
    volume += (s[i] - s[i - 1]) * (here + before);
    before = here;
  }
  return Math.PI * volume;
}

/**
 * Chocolate in a shell, m³: the cavity less what is left inside it, so that layers that meet in a narrow place are not counted twice and no
 * shell is more than the cavity. On the outside of a former, where nothing meets, the volume of the layer.
 */
export function shellVolume(
  cavity: Pick<Cavity, 'profile' | 'outward' | 'volumeM3'>,
  thicknessM: ArrayLike<number>,
): number {
  if (cavity.outward) return filmVolume(cavity, thicknessM);
  const inside = enclosedVolume(insetLine(cavity.profile, thicknessM));
  return cavity.volumeM3 * Math.max(0, 1 - inside / cavity.profile.turnedM3);
}

/** What lies on a wall: its thickness at each point of the profile, m, and its volume, m³. */
export interface LaidShell {
  readonly thicknessM: Float64Array;
  readonly volumeM3: number;
}

/** A film made to hold a volume is as near to it as this share unless asked otherwise. */
const NEAR_SHARE = 4e-7;
/** A film that would lie so many times as thick as it is spread has no room. */
const MOST_TIMES_AS_LAID = 60;

/**
 * A film made as much thicker or thinner, alike everywhere, as it takes for a shell to hold so much of it: what was spread by its thickness
 * comes to the volume that there is of it. Where there is no room for all of it, it fills what there is.
 *
 * @param below what has set: its thickness at each point, m, and its volume, m³
 * @param volumeM3 what the film is to hold, above 0; @param near how near, as a share of it
 * @returns what has set and the film together, likewise
 */
export function filmHolding(
  cavity: Cavity,
  filmM: Float64Array,
  below: LaidShell,
  volumeM3: number,
  near = NEAR_SHARE,
): LaidShell {
  const most = cavity.depthM;
  const laid = (factor: number): LaidShell => {
    const thicknessM = filmM.map((h, i) => Math.min(below.thicknessM[i] + factor * h, most));
    return { thicknessM, volumeM3: shellVolume(cavity, thicknessM) };
  };
  let tried = { factor: 0, shell: below };
  const over = (factor: number): number => {
    tried = { factor, shell: laid(factor) };
    return tried.shell.volumeM3 - below.volumeM3 - volumeM3;
  };
  const factor = rootUpward(over, -volumeM3, 1, MOST_TIMES_AS_LAID, near * volumeM3);
  return tried.factor === factor ? tried.shell : laid(factor);
}

/** Share of the coat each point of the profile takes, 0 to 1, fading over its edge. */
function coverage(profile: Profile, where: CoatArea): Float64Array {
  const rim = profile.arcM[profile.arcM.length - 1];
  const fade = (x: number): number => Math.min(1, Math.max(0, x));
  return profile.arcM.map((s, i) => {
    if (where === 'all' || where === 'thin') return 1;
    if (where === 'sides') return fade((profile.slope[i] - SIDES_FROM_RADIANS) / 0.2 + 0.5);
    return fade((s - (rim - RIM_BAND_M)) / 0.002 + 0.5);
  });
}

/** Thickness at the three places it is read, m. */
export interface Readings {
  readonly rimM: number;
  readonly wallM: number;
  readonly baseM: number;
}

const RIM_READING_M = 0.0015;
const BASE_READING_RADIANS = Math.PI / 18;

/** Reads a layer: rim 1.5 mm of arc from the edge, wall at half the arc, base as the mean within 10° of level from the lowest point: the pole of a dome, the floor of a flat cavity. */
export function readings(profile: Profile, thicknessM: ArrayLike<number>): Readings {
  const rim = profile.arcM[profile.arcM.length - 1];
  let base = 0;
  let weight = 0;
  for (let i = 0; i < profile.arcM.length && profile.slope[i] <= BASE_READING_RADIANS; i++) {
    const ring = Math.max(profile.radiusM[i], profile.arcM[1] / 4);
    base += thicknessM[i] * ring;
    weight += ring;
  }
  return {
    rimM: read(rimReading(profile), thicknessM),
    wallM: read(readingAt(profile, rim / 2), thicknessM),
    baseM: base / weight,
  };
}

/** The points of a profile between which something is read, and the share of each. */
interface Reading {
  readonly points: readonly number[];
  readonly shares: readonly number[];
}

/** Where the rim is read. */
export function rimReading(profile: Profile): Reading {
  return readingAt(profile, Math.max(0, profile.arcM[profile.arcM.length - 1] - RIM_READING_M));
}

function readingAt({ arcM: s }: Profile, arcM: number): Reading {
  let i = 1;
  while (i < s.length - 1 && s[i] < arcM) i++;
  const share = (arcM - s[i - 1]) / (s[i] - s[i - 1]);
  return { points: [i - 1, i], shares: [1 - share, share] };
}

function read({ points, shares }: Reading, values: ArrayLike<number>): number {
  return points.reduce((sum, point, k) => sum + shares[k] * values[point], 0);
}
