import { waterVolumeM3 } from '../matter/water';

/** One weighing: the dry mold, and the mold with its cavities full, kg. */
export interface WaterReading {
  readonly emptyKg: number;
  readonly fullKg: number;
}

export interface WaterInput {
  readonly readings: readonly WaterReading[];
  /** Cavities that were filled in each reading. */
  readonly cavities: number;
  readonly waterC: number;
  /** What one step of the scale is, kg. */
  readonly scaleStepKg: number;
}

export type WaterProblem =
  | { readonly key: 'noReading' }
  | { readonly key: 'wrongWayRound' | 'wet' | 'tooLittle'; readonly reading: number }
  | { readonly key: 'disagree'; readonly share: number };

/** A cavity's volume as weighed, with how far off it may be. */
export interface WaterResult {
  /** Volume of one cavity by each reading, m³; NaN where a reading is no reading. */
  readonly eachM3: readonly number[];
  /** Mean over the good readings, m³; NaN without one. */
  readonly volumeM3: number;
  /** Standard uncertainty of the mean, m³. */
  readonly uncertaintyM3: number;
  readonly problems: readonly WaterProblem[];
}

/** Readings further apart than this ask for one more. Common practice, no source. */
const MOST_SPREAD = 0.05;
/** A mold that weighs this much more when "dry" than at its lightest, in kg and as a share of the water, is wet. Working rules. */
const WET_KG = 0.001;
const WET_SHARE = 0.02;
/** A surface is judged level to about a millimetre's worth: share of the volume. Working rule. */
const LEVEL_SHARE = 0.01;
/** Student's factors for one standard deviation of a mean of two to five readings (from tables of the t distribution, 68.3 %). */
const STUDENT = [1.84, 1.32, 1.2, 1.14] as const;

/**
 * Volume of a cavity from the water it holds: weigh dry, fill level to the rim, weigh again, more than once.
 *
 * Never drops a reading: what is wrong with one is said, and the mean is taken over those that can be one. The uncertainty adds
 * the scatter of the readings, the step of the scale and the judgement of the level surface as independent.
 */
export function waterMethod({ readings, cavities, waterC, scaleStepKg }: WaterInput): WaterResult {
  const problems: WaterProblem[] = [];
  // The lightest is the driest.
  const dryKg = Math.min(...readings.filter(({ emptyKg, fullKg }) => fullKg > emptyKg).map(({ emptyKg }) => emptyKg));
  const eachM3 = readings.map(({ emptyKg, fullKg }, reading) => {
    const water = fullKg - emptyKg;
    if (!(water > 0)) {
      problems.push({ key: 'wrongWayRound', reading });
      return NaN;
    }
    if (water < 3 * scaleStepKg) problems.push({ key: 'tooLittle', reading });
    const over = emptyKg - dryKg;
    if (over > WET_KG && over > WET_SHARE * water) problems.push({ key: 'wet', reading });
    return waterVolumeM3(water, waterC) / cavities;
  });
  const good = eachM3.filter((v) => v > 0);
  if (good.length === 0)
    return {
      eachM3,
      volumeM3: NaN,
      uncertaintyM3: NaN,
      problems: readings.length === 0 ? [{ key: 'noReading' }] : problems,
    };
  const volumeM3 = good.reduce((sum, v) => sum + v, 0) / good.length;
  const share = (Math.max(...good) - Math.min(...good)) / volumeM3;
  if (share > MOST_SPREAD) problems.push({ key: 'disagree', share });
  return {
    eachM3,
    volumeM3,
    uncertaintyM3: uncertainty(good, volumeM3, waterVolumeM3(scaleStepKg, waterC) / cavities),
    problems,
  };
}

function uncertainty(each: readonly number[], mean: number, stepM3: number): number {
  const n = each.length;
  const scatter =
    n < 2
      ? 0
      : Math.sqrt(each.reduce((sum, v) => sum + (v - mean) ** 2, 0) / (n - 1) / n) *
        STUDENT[Math.min(n - 2, STUDENT.length - 1)];
  // A step is uniform within half of it either way, and enters twice: empty and full.
  const step = Math.sqrt(2) * (stepM3 / Math.sqrt(12));
  return Math.hypot(scatter, step, LEVEL_SHARE * mean);
}
