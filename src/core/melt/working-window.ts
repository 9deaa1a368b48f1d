import { meltedPot, secondsToReach, type Pot } from './pot';

/** A stretch of the job as the bowl sees it: it is worked from, or it stands while something sets. */
export interface BowlStretch {
  readonly seconds: number;
  readonly inUse: boolean;
}

/** Bands that a chocolate is worked in, °C. */
export interface WorkingBand {
  readonly workFromC: number;
  readonly workToC: number;
}

/**
 * Seconds until a bowl of melted chocolate has cooled out of its band, by Newton's law of cooling; Infinity where the room or
 * what the bowl stands over keeps it warm enough. 0 where it is already below.
 */
export function workingSeconds(pot: Pot, fromC: number, band: WorkingBand): number {
  return fromC <= band.workFromC ? 0 : secondsToReach(meltedPot(pot), fromC, band.workFromC, 0);
}

/** A bowl that leaves its band sooner than this cannot be worked from, s. Working rule. */
export const LEAST_WORKABLE_S = 5;

/** Seconds of heating at `watts` that bring it from one temperature to another. */
export function reheatSeconds(pot: Pot, fromC: number, toC: number, watts: number): number {
  return fromC >= toC ? 0 : secondsToReach(meltedPot(pot), fromC, toC, watts);
}

/**
 * Reheats that a job needs: one whenever the bowl has cooled out of its band while it is worked from, and one before a stretch
 * in use where it cooled out while it stood. After each it is back at `backToC`. Infinity where it leaves its band within seconds: it
 * cannot be worked this way.
 */
export function reheatsNeeded(
  pot: Pot,
  startC: number,
  backToC: number,
  band: WorkingBand,
  stretches: readonly BowlStretch[],
): number {
  const full = workingSeconds(pot, backToC, band);
  if (!Number.isFinite(full)) return workingSeconds(pot, startC, band) === 0 ? 1 : 0;
  if (full < LEAST_WORKABLE_S) return Infinity;
  let left = workingSeconds(pot, startC, band);
  let reheats = 0;
  for (const { seconds, inUse } of stretches) {
    if (!Number.isFinite(seconds)) break;
    if (!inUse) {
      left = Math.max(0, left - seconds);
      continue;
    }
    const beyond = seconds - left;
    if (beyond <= 0) {
      left = -beyond;
      continue;
    }
    const more = Math.ceil(beyond / full);
    reheats += more;
    left = more * full - beyond;
  }
  return reheats;
}
