import { chillCasting, type ChillResult } from '../chill/chill';
import type { Simulated } from '../shell/simulated';
import { make, type Making } from './making';
import { simulateMaking, simulateRange } from './simulate';

/** What a worker gives back for a making: the simulation as a correction, and the chill of what is made by it. */
export interface Worked {
  readonly simulated: Simulated;
  readonly chill: ChillResult;
}

/** The simulation as planned, and the chill with its ranges. */
export function workOut(making: Making, from?: Simulated): Worked {
  const { simulated, made } = simulateMaking(making, from);
  return { simulated, chill: chillCasting(made.chillInput) };
}

/** The same with the likely range from runs of its own; yields the share that is done, so that it can be stopped between two. */
export function* workOutRange(making: Making, simulated: Simulated): Generator<number, Worked> {
  const ranged = yield* simulateRange(making, simulated);
  return { simulated: ranged, chill: chillCasting(make(making, ranged).chillInput) };
}
