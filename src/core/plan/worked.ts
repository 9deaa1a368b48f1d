import { chillCasting, chillNextTo, type ChillResult } from '../chill/chill';
import type { Simulated } from '../shell/simulated';
import { make, structureOf, type Making } from './making';
import { IN_PASSING, simulateMaking, simulateRange } from './simulate';

/** What a worker gives back for a making: the simulation as a correction, and the chill of what is made by it. */
export interface Worked {
  readonly simulated: Simulated;
  readonly chill: ChillResult;
}

/**
 * The simulation as planned, and the chill with its ranges. Next to an earlier simulation of a making alike, as while something is dragged,
 * it is done in passing, on fewer cells and with the chill's ranges in proportion; what little that is off, `workOutRange` makes good once there is time.
 */
export function workOut(making: Making, from?: Worked): Worked {
  if (from?.simulated.structure !== structureOf(making)) {
    const { simulated, made } = simulateMaking(making);
    return { simulated, chill: chillCasting(made.chillInput) };
  }
  const {
    simulated,
    made: { chillInput },
  } = simulateMaking(making, from.simulated, IN_PASSING);
  return {
    simulated,
    chill:
      from.chill.coats.length === chillInput.coats.length
        ? chillNextTo(chillInput, from.chill)
        : chillCasting(chillInput),
  };
}

/**
 * The same to the end, with the likely range from runs of its own; yields the share that is done, so that it can be stopped between two.
 * @param simulated what `workOut` gave
 */
export function* workOutRange(making: Making, simulated: Simulated): Generator<number, Worked> {
  const settled = simulateMaking(making, simulated).simulated;
  yield 0;
  const ranged = yield* simulateRange(making, settled);
  return { simulated: ranged, chill: chillCasting(make(making, ranged).chillInput) };
}
