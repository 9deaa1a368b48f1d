import { WORKING_RULES } from '../matter/working-rules';
import { potHeat, type Pot } from './pot';

/** A known weight melted once: what a microwave is calibrated by. */
export interface MicrowaveTest {
  readonly kg: number;
  /** All bursts together at full power, s. */
  readonly seconds: number;
  /** What it came to, stirred, °C. */
  readonly endC: number;
}

/** Smallest and largest share of its rated power that a microwave is believed to give to a bowl. Working rules. */
const LEAST_SHARE = 0.03;
const MOST_SHARE = 0.9;

/**
 * Share of the rated power that reaches an amount of chocolate, 0 to 1, as a rule: small amounts take little of it.
 * Working rule, fitted on common practice (113 g in three bursts of 30 s at 80 %, 227 g in about 77 s at full power).
 */
export function usualShare(kg: number): number {
  const { microwaveShare, microwaveShareKg, microwaveShareExponent, microwaveMostShare } = WORKING_RULES;
  return Math.min(microwaveMostShare, microwaveShare * (kg / microwaveShareKg) ** microwaveShareExponent);
}

/** What a test says of a microwave: the share it gave, and that over the usual one for the same weight. */
export interface Calibration {
  readonly heatJ: number;
  readonly share: number;
  readonly factor: number;
}

/**
 * Calibrates a microwave: the heat that a known weight took, over rated power times seconds.
 * @param pot the chocolate and bowl of the test
 * @param startC what it started at, °C: the room
 */
export function calibrateMicrowave(pot: Pot, ratedW: number, test: MicrowaveTest, startC: number): Calibration {
  const heatJ = potHeat(pot, test.endC) - potHeat(pot, startC);
  const share = Math.min(MOST_SHARE, Math.max(LEAST_SHARE, heatJ / (ratedW * test.seconds)));
  return { heatJ, share, factor: share / usualShare(test.kg) };
}

/** Heat that reaches an amount of chocolate at full power, W. */
export function deliveredW(ratedW: number, kg: number, factor: number): number {
  return ratedW * Math.min(MOST_SHARE, Math.max(LEAST_SHARE, factor * usualShare(kg)));
}
