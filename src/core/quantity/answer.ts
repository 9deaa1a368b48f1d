import type { RuleKey, TermName } from './keys';

/**
 * What a number measures. Everything is held in SI (degrees Celsius for temperatures);
 * display units are chosen at the edge, by the screen.
 */
export type Dimension =
  | 'length' // m
  | 'area' // m²
  | 'volume' // m³
  | 'mass' // kg
  | 'duration' // s
  | 'temperature' // °C
  | 'temperatureDifference' // K
  | 'share' // 0 to 1
  | 'ratio' // one over another
  | 'count' // pieces
  | 'density' // kg/m³
  | 'yieldStress' // Pa
  | 'viscosity' // Pa·s
  | 'heatTransfer' // W/(m² K)
  | 'power' // W
  | 'moment'; // s since 1970 UTC

/** One input of an answer, named by a key the screen puts into words. */
export interface Term {
  readonly name: TermName;
  readonly value: number | string;
  readonly dimension?: Dimension;
}

/**
 * A computed figure together with what it came from.
 *
 * `rule` names the equation or trade rule; the screen holds its wording and source.
 * `low` and `high` bound the likely range where the answer is not sure.
 */
export interface Answer {
  readonly value: number;
  readonly dimension: Dimension;
  readonly low?: number;
  readonly high?: number;
  readonly rule: RuleKey;
  readonly terms: readonly Term[];
  /** Answers that this one is the sum of, each with a working of its own. */
  readonly parts?: readonly Answer[];
  /** Of a moment: the zone whose clocks tell it. */
  readonly zone?: string;
}

/** Makes an answer; `range` holds the two ends of the likely range, in either order, in the same unit as `value`. A range always holds its value. */
export function answer(
  value: number,
  dimension: Dimension,
  rule: RuleKey,
  terms: readonly Term[] = [],
  range?: readonly [number, number],
): Answer {
  // Without a range the two ends are left out, so that a figure never pretends to one.
  return range
    ? { value, dimension, rule, terms, low: Math.min(value, ...range), high: Math.max(value, ...range) }
    : { value, dimension, rule, terms };
}

/** Names an input of an answer. A string value is a key the screen words, such as a method. */
export function term(name: TermName, value: number | string, dimension?: Dimension): Term {
  return dimension ? { name, value, dimension } : { name, value };
}
