import type { Cavity } from '../cavity/cavity';
import { layerVolumePerArea } from '../cavity/layer';
import type { Profile } from '../cavity/profile';
import { stiffened, type Rheology } from '../matter/chocolate';
import { WORKING_RULES } from '../matter/working-rules';
import { rootBetween } from '../quantity/root';
import type { CoatArea, WayUp } from '../record/choices';
import { drainedThicknessM, type DrainStage } from '../flow/drained-film';

/** Arc from the edge that a rim coat covers, m; slope above which a sides coat lies. Working rules. */
const RIM_BAND_M = 0.008;
const SIDES_FROM_RADIANS = Math.PI / 6;

/** What a film runs on: the cavity with its drain lengths both ways. */
export interface Wall {
  readonly cavity: Cavity;
  readonly towardRim: Float64Array;
  readonly towardPole: Float64Array;
}

/**
 * Film left on the wall after tipping out and draining, m at each point of the profile.
 * The hand rocks the mold meanwhile, so that even the flat pole drains.
 * @param points indices of the profile to give it at; all of them when left out
 */
export function dumpedFilm(wall: Wall, flow: Rheology, density: number, drainSeconds: number, tappingSeconds: number, points?: readonly number[]): Float64Array {
  const tapping = Math.min(tappingSeconds, drainSeconds);
  const tapped: Rheology = { ...flow, yieldPa: flow.yieldPa * WORKING_RULES.tappingYieldFactor };
  const stages: DrainStage[] = [{ seconds: tapping, flow: tapped }, { seconds: drainSeconds - tapping, flow }];
  const { profile, rimDiameterM, depthM } = wall.cavity;
  const { slope, meanCurvature, gaussCurvature } = profile;
  // A shallow cavity cannot hold a thicker film than half of it.
  const start = Math.min(WORKING_RULES.dumpStartThicknessM, (rimDiameterM / 2) * WORKING_RULES.dumpStartRadiusShare, depthM / 2);
  const rock = Math.sin((WORKING_RULES.rockingDegrees * Math.PI) / 180);
  const at = (i: number): number => Math.min(start, drainedThicknessM(stages, density, wall.towardRim[i], Math.hypot(Math.sin(slope[i]), rock), { mean: meanCurvature[i], gauss: gaussCurvature[i] }));
  return points ? Float64Array.from(points, at) : wall.towardRim.map((_, i) => at(i));
}

/** Film of a dose spread evenly by spoon or brush over the whole wall, its sides or its rim, m at each point. */
export function spreadFilm(cavity: Cavity, doseM3: number, where: CoatArea): Float64Array {
  const covers = coverage(cavity.profile, where);
  const laid = (even: number): Float64Array => covers.map((share) => even * share);
  const over = (even: number): number => filmVolume(cavity, laid(even)) - doseM3;
  const most = Math.max(cavity.depthM, cavity.rimDiameterM / 2);
  const atMost = over(most);
  // A dose that would more than fill the cavity lies as thick as it is deep.
  return laid(atMost <= 0 ? most : rootBetween(over, 0, most, -doseM3, atMost, 1e-9 * doseM3));
}

/**
 * The film after it has run for some seconds before it holds, the mass kept: what drains from one end
 * is found at the other (upright at the base, upside down at the rim).
 */
export function settledFilm(wall: Wall, film: Float64Array, flow: Rheology, density: number, seconds: number, wayUp: WayUp): Float64Array {
  if (seconds <= 0) return film;
  const { cavity } = wall;
  const { slope, meanCurvature, gaussCurvature } = cavity.profile;
  const lengths = wayUp === 'upright' ? wall.towardPole : wall.towardRim;
  const stages: DrainStage[] = [{ seconds, flow }];
  const left = film.map((h, i) => Math.min(h, drainedThicknessM(stages, density, lengths[i], Math.max(0.02, Math.sin(slope[i])), { mean: meanCurvature[i], gauss: gaussCurvature[i] })));
  const lost = filmVolume(cavity, film) - filmVolume(cavity, left);
  if (lost <= 1e-9 * filmVolume(cavity, film)) return left;
  return pooled(cavity, left, lost, wayUp);
}

/** Puts a volume back where it collects: in the lowest half upright, along the edge upside down. */
function pooled(cavity: Cavity, film: Float64Array, volumeM3: number, wayUp: WayUp): Float64Array {
  const { arcM, heightM } = cavity.profile;
  const rim = arcM[arcM.length - 1];
  const shape = arcM.map((s, i) => (wayUp === 'upright' ? Math.max(0, 0.5 - heightM[i] / cavity.depthM) : Math.max(0, s / rim - 0.7)));
  const before = filmVolume(cavity, film);
  const raised = (height: number): Float64Array => film.map((h, i) => h + height * shape[i]);
  const gap = (height: number): number => filmVolume(cavity, raised(height)) - before - volumeM3;
  const most = 2 * cavity.depthM;
  const atMost = gap(most);
  return raised(atMost <= 0 ? most : rootBetween(gap, 0, most, -volumeM3, atMost, 1e-7 * volumeM3));
}

/** Volume of a layer on the wall, m³, with the wall's curvature at each place. */
export function filmVolume(cavity: Pick<Cavity, 'profile'>, thicknessM: ArrayLike<number>): number {
  const { arcM: s, radiusM: r, areaFactor: f, meanCurvature, gaussCurvature } = cavity.profile;
  let volume = 0;
  let before = 0;
  for (let i = 1; i < s.length; i++) {
    const here = r[i] * f[i] * layerVolumePerArea({ mean: meanCurvature[i], gauss: gaussCurvature[i] }, thicknessM[i]);
    volume += (s[i] - s[i - 1]) * (here + before);
    before = here;
  }
  return Math.PI * volume;
}

/** Share of the coat each point of the profile takes, 0 to 1, fading over its edge. */
function coverage(profile: Profile, where: CoatArea): Float64Array {
  const rim = profile.arcM[profile.arcM.length - 1];
  const fade = (x: number): number => Math.min(1, Math.max(0, x));
  return profile.arcM.map((s, i) => {
    if (where === 'all') return 1;
    if (where === 'sides') return fade((profile.slope[i] - SIDES_FROM_RADIANS) / 0.2 + 0.5);
    return fade((s - (rim - RIM_BAND_M)) / 0.002 + 0.5);
  });
}

/** Flow properties at either end of the class's spread, thinner first. */
export function flowSpread(flow: Rheology): readonly [Rheology, Rheology] {
  const spread = WORKING_RULES.fluiditySpread;
  return [stiffened(flow, 1 / spread), stiffened(flow, spread)];
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
