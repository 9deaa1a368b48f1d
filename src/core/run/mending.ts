import { meltStation, moreSeedKg } from '../melt/melt';
import { stuckOf } from '../plan/melts';
import { clocksOf, type RunClock } from './at-hand';
import { bowlsNow, inputOf, type BowlNow } from './bowl-left';
import type { Run } from './run-record';
import type { RunState } from './run-state';

/** What can be said in figures when a bowl is not as it should be. */
export interface BowlMending {
  readonly now: BowlNow;
  /** What has to be melted besides for all that is still to be cast from it, kg, and until it is ready, s; 0 where it is enough. */
  readonly moreKg: number;
  readonly moreS: number;
  /** The same where nothing that is left can be used. */
  readonly anewKg: number;
  readonly anewS: number;
  /** To stir into what is left of it where it tests soft, kg. */
  readonly seedKg: number;
}

/** Less than this is not melted for, kg. */
const LEAST_KG = 0.001;

/** The bowls of a run as they could be mended, each that is there. */
export function mendings(run: Run, state: RunState, nowS: number): readonly BowlMending[] {
  return bowlsNow(run, state, nowS).map((now) => {
    const shortKg = Math.max(0, now.wantedKg - now.leftKg);
    const [moreKg, moreS] = melted(run, now.bowl, shortKg);
    const [anewKg, anewS] = melted(run, now.bowl, now.wantedKg);
    return { now, moreKg, moreS, anewKg, anewS, seedKg: moreSeedKg({ perLotKg: now.leftKg }) };
  });
}

/** So much of a bowl's melt, with what will stick to bowl and tools, kg, and until it is ready, s. */
function melted(run: Run, bowl: number, kg: number): readonly [number, number] {
  const [{ castingId, meltId }] = run.bowls[bowl].uses;
  const casting = run.castings.find(({ id }) => id === castingId);
  if (kg < LEAST_KG || !casting) return [0, 0];
  const all = kg + stuckOf(casting, meltId, kg);
  const input = inputOf(run, bowl, all);
  return input ? [all, meltStation(input).ready.value] : [0, 0];
}

/** Clocks that pass their latest moment while the hands are away for so long, s. */
export function missedWhile(run: Run, state: RunState, nowS: number, forS: number): readonly RunClock[] {
  return clocksOf(run, state, nowS).filter(({ latestS }) => latestS !== undefined && latestS < nowS + forS);
}
