import { ShellRun } from './shell-run';
import { WALL_CELLS } from './wall-cells';
import type { ShellInput, ShellMoment, ShellResult, ShellVariation } from './shell-types';

export const AS_PLANNED: ShellVariation = {
  stiffness: 1,
  dose: 1,
  cooling: 1,
  dwell: 1,
  drain: 1,
  workingK: 0,
  placeK: 0,
};

/**
 * Runs a shell through all its coats: poured, standing, tipped out or spread, set down and setting in its places; film, heat in
 * film, earlier coats and wall together, each coat on what the ones before left behind.
 *
 * Strang splitting: half a step of heat, flow with the stiffness of each place's temperature and set fraction, half a step of heat;
 * once nothing exceeds its yield, heat alone. Steps by 5 % of thickness and 0.5 K. Throws where a step cannot be made, which is a bug.
 * @param watch called with every step, for drawing
 */
export function simulateShell(
  input: ShellInput,
  variation: ShellVariation = AS_PLANNED,
  watch?: (moment: ShellMoment) => void,
  cellCount = WALL_CELLS,
): ShellResult {
  const run = new ShellRun(input, variation, watch, cellCount);
  const coats = input.coats.map((coat, index) => run.coat(coat, index));
  return { coats, seconds: run.seconds, ...run.balances() };
}
