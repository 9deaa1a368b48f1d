import type { Cavity } from '../cavity/cavity';
import { stiffened, type Rheology } from '../matter/chocolate';
import { WORKING_RULES } from '../matter/working-rules';
import { rootUpward } from '../quantity/root';
import type { WayUp } from '../record/choices';
import { drainedThicknessM, type DrainStage } from '../flow/drained-film';
import { ROCKING_SINE } from '../flow/pull';
import { filmVolume, startThicknessM, volumeUnder } from '../shell/laid-film';

/** What a film runs on: the cavity with its drain lengths both ways. */
export interface Wall {
  readonly cavity: Cavity;
  readonly towardRim: Float64Array;
  readonly towardPole: Float64Array;
}

/**
 * Film left on the wall after tipping out and draining, m at each point of the profile.
 * The hand rocks the mold meanwhile, so that even the flat pole drains.
 * @param down true where it is set down as it was tipped out, so that it runs on while it stiffens
 * @param points indices of the profile to give it at; all of them when left out
 */
export function dumpedFilm(
  wall: Wall,
  flow: Rheology,
  density: number,
  drainSeconds: number,
  tappingSeconds: number,
  down: boolean,
  points?: readonly number[],
): Float64Array {
  const tapping = Math.min(tappingSeconds, drainSeconds);
  const tapped: Rheology = {
    yieldPa: flow.yieldPa * WORKING_RULES.tappingYieldFactor,
    viscosityPas: flow.viscosityPas,
  };
  const stages: DrainStage[] = [
    { seconds: tapping, flow: tapped },
    { seconds: drainSeconds - tapping, flow },
    { seconds: down ? WORKING_RULES.afterDrainSeconds : 0, flow: afterDrain(flow) },
  ];
  const { profile } = wall.cavity;
  const { sine, meanCurvature, gaussCurvature } = profile;
  const start = startThicknessM(wall.cavity);
  const at = (i: number): number =>
    Math.min(
      start,
      drainedThicknessM(stages, density, wall.towardRim[i], Math.hypot(sine[i], ROCKING_SINE), {
        mean: meanCurvature[i],
        gauss: gaussCurvature[i],
      }),
    );
  return points ? Float64Array.from(points, at) : wall.towardRim.map((_, i) => at(i));
}

/** The chocolate as it is on average between being set down and coming to rest. */
export function afterDrain(flow: Rheology): Rheology {
  return stiffened(flow, WORKING_RULES.afterDrainStiffness);
}

/**
 * The film after it has run for some seconds before it holds, the mass kept: what drains from one end
 * is found at the other (upright at the base, upside down at the rim).
 */
export function settledFilm(
  wall: Wall,
  film: Float64Array,
  flow: Rheology,
  density: number,
  seconds: number,
  wayUp: WayUp,
): Float64Array {
  if (seconds <= 0) return film;
  const { cavity } = wall;
  const { sine, meanCurvature, gaussCurvature } = cavity.profile;
  const lengths = wayUp === 'upright' ? wall.towardPole : wall.towardRim;
  const stages: DrainStage[] = [{ seconds, flow }];
  const left = film.map((h, i) =>
    Math.min(
      h,
      drainedThicknessM(stages, density, lengths[i], Math.max(0.02, sine[i]), {
        mean: meanCurvature[i],
        gauss: gaussCurvature[i],
      }),
    ),
  );
  const whole = filmVolume(cavity, film);
  const lost = whole - filmVolume(cavity, left);
  if (lost <= 1e-9 * whole) return left;
  return pooled(cavity, left, lost, wayUp);
}

/** Puts a volume back where it collects: in the lowest half upright, along the edge upside down. */
function pooled(cavity: Cavity, film: Float64Array, volumeM3: number, wayUp: WayUp): Float64Array {
  const { arcM, heightM } = cavity.profile;
  const rim = arcM[arcM.length - 1];
  const shape = arcM.map((s, i) =>
    wayUp === 'upright' ? Math.max(0, 0.5 - heightM[i] / cavity.depthM) : Math.max(0, s / rim - 0.7),
  );
  const before = filmVolume(cavity, film);
  const gap = (height: number): number => volumeUnder(cavity, (i) => film[i] + height * shape[i]) - before - volumeM3;
  const height = rootUpward(gap, -volumeM3, (4 * volumeM3) / cavity.wallAreaM2, 2 * cavity.depthM, 1e-6 * volumeM3);
  return film.map((h, i) => h + height * shape[i]);
}
