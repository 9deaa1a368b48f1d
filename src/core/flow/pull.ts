import type { Profile } from '../cavity/profile';
import { WORKING_RULES } from '../matter/working-rules';

/** Past this slope a wall that turns level again is a shelf, and drains no more slowly than at the lower one. Working rules. */
const WALL_RADIANS = Math.PI / 36;
const SHELF_RADIANS = Math.PI / 60;
const ROCKING_RADIANS = (WORKING_RULES.rockingDegrees * Math.PI) / 180;

/** Sine of the tilt that the rocking hand gives an upturned mold. */
export const ROCKING_SINE = Math.sin(ROCKING_RADIANS);

/** The sine of each place's own slope, from the lowest point to the rim; never level once it has been a wall. */
export function sinesAlong(slope: Float64Array): Float64Array {
  let wall = false;
  return slope.map((angle) => {
    wall ||= angle > WALL_RADIANS;
    return Math.max(wall ? Math.sin(SHELF_RADIANS) : 1e-9, Math.sin(angle));
  });
}

/**
 * The sine each place drains along while the hand rocks the mold. A bottom flatter than the tilt of the rocking hand drains as a
 * dome that reaches that tilt where the bottom ends (working rule); a dome is such a bottom itself, and is left as it is.
 */
export function rockedSines({ arcM, slope }: Pick<Profile, 'arcM' | 'slope'>): Float64Array {
  const end = slope.findIndex((angle) => angle >= ROCKING_RADIANS);
  const bottomM = arcM[end < 0 ? arcM.length - 1 : end];
  return sinesAlong(slope).map((sine, i) => Math.max(sine, arcM[i] < bottomM ? ROCKING_SINE * (arcM[i] / bottomM) : 0));
}
