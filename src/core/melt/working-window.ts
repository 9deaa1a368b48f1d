import { yieldGain } from '../flow/setting-rheology';
import { setFractionAt, settingLaw } from '../heat/setting';
import { CHOCOLATE_MATTER, yieldPerKelvin, type ChocolateKind } from '../matter/chocolate';
import { WORKING_RULES } from '../matter/working-rules';
import { rootBetween } from '../quantity/root';
import type { Meltable } from './heat-held';
import { secondsToReach, type Pot } from './pot';

/** A stretch of the job as the bowl sees it: it is worked from, or it stands while something sets. */
export interface BowlStretch {
  readonly seconds: number;
  readonly inUse: boolean;
}

/** What lies in a bowl that is worked from. */
export interface Worked {
  readonly kind: ChocolateKind;
  readonly fatShare: number;
  /** The temperature at which its seed just stays, °C; undefined for coating and for what is not in temper. */
  readonly temperC: number | undefined;
}

/** It is looked for no further down than this, K. */
const FURTHEST_K = 15;
const CLOSE_ENOUGH = 1e-9;
/** A bowl that thickens sooner than this cannot be worked from, s. Working rule. */
const LEAST_WORKABLE_S = 5;

/** Share of the fat that sets for each kelvin that tempered chocolate cools below where its seed just stays. */
function seedPerK(kind: ChocolateKind): number {
  const { setFromC, setToC } = CHOCOLATE_MATTER[kind];
  return 1 / (setFromC - setToC);
}

/** What sets at once at a temperature where there is no seed: coating by its own curve, other chocolate lower than with seed. */
function grownAt(kind: ChocolateKind, celsius: number): number {
  const { setFromC, setToC } = settingLaw({ kind, unseeded: true });
  return setFractionAt(celsius, setFromC, setFromC - setToC);
}

/** Share of the fat of a bowl that is set at a temperature: in temper the seed grows at once, else nothing sets above the setting interval. */
export function setInBowl({ kind, temperC }: Worked, celsius: number): number {
  return temperC === undefined
    ? grownAt(kind, celsius)
    : Math.min(1, Math.max(0, seedPerK(kind) * (temperC - celsius)));
}

/** The pot as it cools and is warmed again: in temper it gives off, and takes up, the heat of the seed that grows and melts. */
export function workedPot(pot: Pot, { kind, fatShare, temperC }: Worked): Pot {
  const chocolate: Meltable =
    temperC === undefined
      ? { ...pot.chocolate, fatShare: 0 }
      : { fatShare, meltedFromC: temperC, solidToC: temperC - 1 / seedPerK(kind) };
  return { ...pot, chocolate };
}

/**
 * Where a bowl has become a class thicker than it was at `workingC`, °C: its yield stress has grown by the spread of a class, by cooling and
 * by what has set. For tempered chocolate that is a little over a kelvin.
 */
export function thickAtC(worked: Worked, workingC: number): number {
  const yieldAt = (c: number): number => yieldPerKelvin(c) * yieldGain(setInBowl(worked, c));
  const wanted = Math.log(WORKING_RULES.fluiditySpread * yieldAt(workingC));
  const over = (cooler: number): number => Math.log(yieldAt(workingC - cooler)) - wanted;
  return workingC - rootBetween(over, 0, FURTHEST_K, over(0), over(FURTHEST_K), CLOSE_ENOUGH);
}

/**
 * Seconds until a bowl has cooled to where it is a class thicker, by Newton's law of cooling; Infinity where the room or what the bowl
 * stands over keeps it warm enough.
 */
export function workingSeconds(pot: Pot, worked: Worked, workingC: number): number {
  return secondsToReach(workedPot(pot, worked), workingC, thickAtC(worked, workingC), 0);
}

/** Seconds of heating at `watts` that bring it from where it is a class thicker back to where it is worked. */
export function reheatSeconds(pot: Pot, worked: Worked, workingC: number, watts: number): number {
  return secondsToReach(workedPot(pot, worked), thickAtC(worked, workingC), workingC, watts);
}

/**
 * Reheats that a job needs: one whenever the bowl has thickened while it is worked from, and one before a stretch in use where it
 * thickened while it stood. After each it is back where it is worked. Infinity where it thickens within seconds: it cannot be worked this way.
 * @param window seconds until it has thickened
 * @param standing how much slower it cools while it stands, as a share
 */
export function reheatsNeeded(window: number, standing: number, stretches: readonly BowlStretch[]): number {
  if (!Number.isFinite(window)) return 0;
  if (window < LEAST_WORKABLE_S) return Infinity;
  let left = window;
  let reheats = 0;
  for (const { seconds, inUse } of stretches) {
    if (!Number.isFinite(seconds)) break;
    if (!inUse) {
      left = Math.max(0, left - standing * seconds);
      continue;
    }
    const beyond = seconds - left;
    if (beyond <= 0) {
      left = -beyond;
      continue;
    }
    const more = Math.ceil(beyond / window);
    reheats += more;
    left = more * window - beyond;
  }
  return reheats;
}
