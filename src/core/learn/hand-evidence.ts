import { believe, blended, type Belief, type Evidence } from './belief';
import { HANDS_SPREAD } from './parameters';

/** Some work by hand that was done right after another, s. */
export interface HandReading {
  /** As the working rules have it, without any lesson. */
  readonly plannedS: number;
  readonly tookS: number;
}

/** How unevenly one works: a share of the time, as the scale of a Student distribution. Each as likely as the others beforehand. */
const UNEVEN = [0.12, 0.25, 0.5, 1];
/** Degrees of freedom: so few that one absurd reading counts for next to nothing. */
const FREEDOM = 3;

/**
 * What work by hand says of how fast somebody works at it: one parameter, the logarithm of a factor on the working rule. How unevenly they work is not known either: the belief is
 * blended over it, so that marks set at random teach little.
 */
export function learnedFromHands(readings: readonly HandReading[]): Belief {
  const logs = readings.map(({ plannedS, tookS }) => Math.log(tookS / plannedS));
  const beliefs = UNEVEN.map((scale) =>
    believe(
      [Math.log(HANDS_SPREAD)],
      logs.map((log) => studentAround(log, scale)),
    ),
  );
  return blended(
    beliefs,
    beliefs.map(() => -Math.log(UNEVEN.length)),
  );
}

/** Student's distribution around a reading, which is left alone in its tails: there it bends the other way, and is taken for flat. */
function studentAround(log: number, scale: number): Evidence {
  return {
    along: [1],
    says(at) {
      const off = log - at;
      const spread = FREEDOM * scale ** 2 + off ** 2;
      return {
        log: (-(FREEDOM + 1) / 2) * Math.log(spread / (FREEDOM * scale ** 2)) - Math.log(scale),
        slope: ((FREEDOM + 1) * off) / spread,
        bend: ((FREEDOM + 1) * (FREEDOM * scale ** 2 - off ** 2)) / spread ** 2,
      };
    },
  };
}
