import { chillNominal } from '../chill/chill';
import type { ChillInput } from '../chill/chill-input';
import { CoatLayer, NOMINAL, THICKEST, THINNEST, type Variation } from '../coat/lay-coats';
import { WORKING_RULES } from '../matter/working-rules';
import { likelyDeviation } from '../quantity/deviations';
import type { CoatChoice } from '../shell/coat-choice';
import { AS_PLANNED, simulateShell } from '../shell/shell';
import type { Simulated, SimulatedCoat, SimulatedCoats } from '../shell/simulated';
import { WALL_CELLS } from '../shell/wall-cells';
import { make, structureOf, type Made, type Making } from './making';
import type { ShellInput, ShellResult, ShellVariation } from '../shell/shell-types';

/** A coat that sets nowhere near in its place is followed for this long, s. */
const WHERE_IT_NEVER_SETS_S = 1800;
/** The aim is asked again while what it asks for still moves by more than this share. */
const CLOSE_SHARE = 0.01;
/** Likewise the coats' stays. */
const CLOSE_STAY_SHARE = 0.005;
/** How hard a simulation tries: how often aim and simulation take turns at the most, and on how many cells. */
interface Effort {
  readonly rounds: number;
  readonly cells: number;
}

const IN_FULL: Effort = { rounds: 6, cells: WALL_CELLS };
/** For an answer next to an earlier one, soon to be made good: a third of the cells moves the rim by less than a hundredth. */
export const IN_PASSING: Effort = { rounds: 1, cells: WALL_CELLS / 3 };

/** What the simulation is run on: the coats as made, each for as long as the chill says. */
export function shellInputOf(making: Making, made: Made): ShellInput {
  const { material, moldWallM, moldC, kitchen, press } = making;
  const stays = staysOf(made.chillInput);
  return {
    cavity: made.cavity,
    material,
    moldWallM,
    kitchen,
    press,
    roomC: kitchen.roomC,
    moldC,
    coats: made.coat.coats.map(({ choice }, i) => ({
      choice,
      handlingSeconds: made.chillInput.coats[i].handlingSeconds,
      sets: [
        ...made.chillInput.coats[i].rests,
        { place: made.chillInput.coats[i].place, seconds: stays[i] },
        ...(made.chillInput.coats[i].then ?? []),
      ],
    })),
  };
}

/**
 * How long each coat stays in its place, s: the user's own time, or until the next coat or unmolding. To the second: whole minutes are for
 * the clock on the wall, and would make what is simulated jump from one to the next.
 */
function staysOf(input: ChillInput): number[] {
  const chill = chillNominal(input);
  return input.coats.map((coat, i) => {
    const { touch, unmold } = chill.coats[i].chosen;
    const computed = i === input.coats.length - 1 ? unmold.value : touch.value;
    return coat.overruledSeconds ?? (Number.isFinite(computed) ? computed : WHERE_IT_NEVER_SETS_S);
  });
}

/**
 * Simulates a making and gives the correction it makes to the closed form, together with what is made by it. Where a thickness is
 * wanted, aim and simulation take turns until what the aim asks for stands still, and so do simulation and the coats' minutes. A solid fill has no film to run: its levels are exact.
 * @param from an earlier correction of a making alike, to begin from; its likely range is carried over
 */
export function simulateMaking(
  making: Making,
  from?: Simulated,
  { rounds, cells }: Effort = IN_FULL,
): { readonly simulated: Simulated; readonly made: Made; readonly result: ShellResult | undefined } {
  const structure = structureOf(making);
  let simulated: Simulated = from?.structure === structure ? from : { structure, byCount: {} };
  let made = make(making, simulated);
  if (made.coat.body) return { simulated, made, result: undefined };
  let input = shellInputOf(making, made);
  for (let round = 1; ; round++) {
    const result = simulateShell(input, AS_PLANNED, undefined, cells);
    const count = result.coats.length;
    simulated = {
      structure,
      byCount: { ...simulated.byCount, [count]: correction(making, made, result, simulated.byCount[count]) },
    };
    const again = make(making, simulated);
    if (round === rounds) return { simulated, made: again, result };
    const inputAgain = shellInputOf(making, again);
    // A thicker coat stays longer, and the next then goes on a cooler wall: that too has to stand still.
    if (!moved(made, again) && sameStays(input, inputAgain)) return { simulated, made: again, result };
    made = again;
    input = inputAgain;
  }
}

function correction(
  making: Making,
  made: Made,
  result: ShellResult,
  before: SimulatedCoats | undefined,
): SimulatedCoats {
  const closed = closedForm(
    making,
    made,
    NOMINAL,
    result.coats.map(({ thicknessM }) => thicknessM),
  );
  const coats = result.coats.map(
    ({ thicknessM, wallC, feetM3, stillAfterSeconds, thinnestAround }, i): SimulatedCoat => {
      const nominalM = thicknessM.map((t, k) => t - closed[i][k]);
      const kept = before?.ranged ? before.coats[i] : undefined;
      // The ends keep their distance from the middle until they are run again.
      const end = (of: 'thinM' | 'thickM'): Float64Array =>
        kept ? nominalM.map((m, k) => m + kept[of][k] - kept.nominalM[k]) : nominalM;
      const feetShare = Math.min(1, feetM3 / made.coat.coats[i].choice.doseM3);
      const ends = { nominalM, thinM: end('thinM'), thickM: end('thickM') };
      return { ...ends, wallC, feetM3, feetShare, stillAfterSeconds, thinnestAround };
    },
  );
  return { coats, ranged: before?.ranged ?? false };
}

/** Thickness of each made coat by the closed form alone, on the coats below it as they were simulated. */
function closedForm(
  { material, moldWallM, moldC, kitchen, press }: Making,
  { cavity, coat }: Made,
  variation: Variation,
  known: readonly Float64Array[],
): Float64Array[] {
  const choices = coat.coats.map(({ choice }) => choice);
  return new CoatLayer({ cavity, material, moldWallM, moldC, roomC: kitchen.roomC, press })
    .lay(choices, variation, undefined, known)
    .map((laid) => laid.thicknessM);
}

function sameStays(a: ShellInput, b: ShellInput): boolean {
  return a.coats.every(({ sets }, i) =>
    sets.every(({ seconds }, k) => Math.abs(seconds - b.coats[i].sets[k].seconds) <= CLOSE_STAY_SHARE * seconds),
  );
}

/** Whether the aim asks for something else than before. */
function moved(before: Made, now: Made): boolean {
  if (before.coat.coats.length !== now.coat.coats.length) return true;
  const asked: readonly (keyof CoatChoice & ('doseM3' | 'dwellSeconds' | 'drainSeconds'))[] = [
    'doseM3',
    'dwellSeconds',
    'drainSeconds',
  ];
  return before.coat.coats.some(({ choice }, i) =>
    asked.some(
      (key) => Math.abs(now.coat.coats[i].choice[key] - choice[key]) > CLOSE_SHARE * Math.max(choice[key], 1e-9),
    ),
  );
}

const { fluiditySpread, doseSpread, coolingSpread, kitchenSpreadK, drainSpread } = WORKING_RULES;
/** The designed sample: nominal, and each thing that is not known for sure to either end. */
export const SHELL_SAMPLE: readonly ShellVariation[] = [
  AS_PLANNED,
  ...(
    [
      [{ stiffness: 1 / fluiditySpread }, { stiffness: fluiditySpread }],
      [{ dose: 1 / doseSpread }, { dose: doseSpread }],
      [{ workingK: kitchenSpreadK }, { workingK: -kitchenSpreadK }],
      [{ placeK: kitchenSpreadK }, { placeK: -kitchenSpreadK }],
      [{ cooling: 1 / coolingSpread }, { cooling: coolingSpread }],
      [{ drain: drainSpread }, { drain: 1 / drainSpread }],
      [{ dwell: 1 / drainSpread }, { dwell: drainSpread }],
    ] as const
  )
    .flat()
    .map((change): ShellVariation => ({ ...AS_PLANNED, ...change })),
];

/**
 * The likely range of a simulated making: fifteen runs, nominal and each of fluidity, dose, working temperature, places, air, time
 * tipped out and time standing to either end, their effects added as independent (root of the sum of squares), place by place.
 * A generator, so that a worker can be stopped between runs.
 */
export function* simulateRange(making: Making, simulated: Simulated): Generator<number, Simulated> {
  const made = make(making, simulated);
  if (made.coat.body) return simulated;
  const input = shellInputOf(making, made);
  const runs: ShellResult[] = [];
  for (const variation of SHELL_SAMPLE) {
    runs.push(simulateShell(input, variation));
    yield runs.length / SHELL_SAMPLE.length;
  }
  const ends = made.coat.coats.map((_, i) => spread(runs.map((run) => run.coats[i].thicknessM)));
  const lows = ends.map(([low]) => low);
  const highs = ends.map(([, high]) => high);
  const thin = closedForm(making, made, THINNEST, lows);
  const thick = closedForm(making, made, THICKEST, highs);
  const count = made.coat.coats.length;
  const coats = (simulated.byCount[count]?.coats ?? []).map((coat, i): SimulatedCoat => {
    const thinM = lows[i].map((t, k) => t - thin[i][k]);
    const thickM = highs[i].map((t, k) => t - thick[i][k]);
    return { ...coat, thinM, thickM };
  });
  return { ...simulated, byCount: { ...simulated.byCount, [count]: { coats, ranged: true } } };
}

/** Lowest and highest likely value at each point: the first run's, with the others' deviations from it added as independent. */
function spread([nominal, ...others]: readonly Float64Array[]): readonly [Float64Array, Float64Array] {
  const deviations = Array.from(nominal, (value, k) =>
    likelyDeviation(
      value,
      others.map((other) => other[k]),
    ),
  );
  return [
    nominal.map((value, k) => Math.max(0, value - deviations[k][0])),
    nominal.map((value, k) => value + deviations[k][1]),
  ];
}
