import { drainedThicknessM } from '../flow/drained-film';
import {
  CASSON_AT_40,
  FLUIDITY_CLASSES,
  cassonAt40,
  rheologyAt,
  type FluidityClass,
  type Rheology,
} from '../matter/chocolate';
import type { DripReading } from '../record/chocolate';

/** What a class would leave on the card, kg. */
export interface DripExpected {
  readonly fluidity: FluidityClass;
  readonly firstKg: number;
  readonly secondKg: number | undefined;
}

export interface DripResult {
  readonly ok: true;
  readonly picked: FluidityClass;
  /** Place on the ladder of classes, 0 very thick to 4 very fluid, from each reading. */
  readonly ladder: readonly number[];
  /** Mean film on the card at the first reading, m. */
  readonly filmM: number;
  readonly wettedM2: number;
  readonly expected: readonly DripExpected[];
  /** The two readings point to classes more than one apart: weigh again. */
  readonly disagree: boolean;
  /** It runs thinner or thicker than any class. */
  readonly beyond: 'thinner' | 'thicker' | undefined;
}

export interface DripProblem {
  readonly ok: false;
  readonly problem: 'gains' | 'order';
}

const STRIPS = 24;
const CLOSE = 1e-4;
const TOP = FLUIDITY_CLASSES.length - 1;

/**
 * What stays on an upright card after draining, both faces, kg.
 *
 * At a depth z below the top of the wet part the film of a Casson fluid that has drained for t solves c(h) = z/t, the closed form
 * that the coats use; it is summed over the card.
 * @param flow at the temperature of the test
 */
export function onCardKg(
  { cardWidthM, dippedM }: Pick<DripReading, 'cardWidthM' | 'dippedM'>,
  flow: Rheology,
  density: number,
  seconds: number,
): number {
  let film = 0;
  for (let i = 0; i < STRIPS; i++) {
    film += drainedThicknessM([{ seconds, flow }], density, (dippedM * (i + 0.5)) / STRIPS, 1) / STRIPS;
  }
  return 2 * cardWidthM * dippedM * film * density;
}

/**
 * Picks the fluidity class of a chocolate by how much stays on a card of known size after so many seconds: how much tells the
 * yield stress, how fast the viscosity. Corrected to 40 °C by the working rules of the flow.
 * @param density melted, kg/m³
 */
export function dripTest(reading: DripReading, density: number): DripResult | DripProblem {
  const { first, second, cardWidthM, dippedM } = reading;
  if (second && second.seconds <= first.seconds) return { ok: false, problem: 'order' };
  if (second && second.kg > first.kg) return { ok: false, problem: 'gains' };
  const weight = (flow: Rheology, seconds: number): number =>
    onCardKg(reading, rheologyAt(flow, reading.celsius), density, seconds);
  const ladder = [first, ...(second ? [second] : [])].map(({ seconds, kg }) =>
    ladderAt((flow) => weight(flow, seconds), kg),
  );
  const mean = ladder.reduce((sum, place) => sum + place, 0) / ladder.length;
  const wettedM2 = 2 * cardWidthM * dippedM;
  const thickest = weight(CASSON_AT_40.veryThick, first.seconds);
  const thinnest = weight(CASSON_AT_40.veryFluid, first.seconds);
  return {
    ok: true,
    picked: FLUIDITY_CLASSES[Math.round(mean)],
    ladder,
    filmM: first.kg / density / wettedM2,
    wettedM2,
    expected: FLUIDITY_CLASSES.map((fluidity) => ({
      fluidity,
      firstKg: weight(CASSON_AT_40[fluidity], first.seconds),
      secondKg: second && weight(CASSON_AT_40[fluidity], second.seconds),
    })),
    disagree: ladder.length > 1 && Math.abs(ladder[0] - ladder[1]) > 1.2,
    beyond: first.kg > 1.15 * thickest ? 'thicker' : first.kg < thinnest / 1.15 ? 'thinner' : undefined,
  };
}

/** Casson values between the classes, by their logarithms. */
function between(place: number): Rheology {
  const low = Math.min(TOP - 1, Math.floor(place));
  const share = place - low;
  const [a, b] = [cassonAt40(FLUIDITY_CLASSES[low]), cassonAt40(FLUIDITY_CLASSES[low + 1])];
  const mix = (x: number, y: number): number => x ** (1 - share) * y ** share;
  return { yieldPa: mix(a.yieldPa, b.yieldPa), viscosityPas: mix(a.viscosityPas, b.viscosityPas) };
}

/** Where on the ladder a weight lies; it falls from very thick to very fluid. */
function ladderAt(weight: (flow: Rheology) => number, kg: number): number {
  let low = 0;
  let high = TOP;
  if (kg >= weight(between(low))) return low;
  if (kg <= weight(between(high))) return high;
  while (high - low > CLOSE) {
    const middle = (low + high) / 2;
    if (weight(between(middle)) > kg) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}
