import { CHOCOLATE_SPECIFIC_HEAT, type ChocolateKind } from '../matter/chocolate';
import { WORKING_RULES } from '../matter/working-rules';
import { meltingCeilingC, stirDownToC, type Bands } from '../matter/bands';
import type { Jacket, MeltingWay } from '../record/choices';
import type { School } from '../record/school';
import type { Bowl } from './bowl';
import { planBursts, type Burst } from './bursts';
import { meltable, type Meltable } from './heat-held';
import { heatedPot, meltedPot, potHeat, potTemperatureC, secondsToReach, type Pot } from './pot';
import { schoolRow } from '../record/school';
import { bitsLeft, meltForSeedC, seedKg, seededC, type Seeding } from './seeding';
import { coolBath, hotBath, inBath, potOf } from './vessel';

/** What a school is computed from: one bowlful. SI, °C. */
export interface SchoolInput {
  readonly kind: ChocolateKind;
  readonly fatShare: number;
  readonly bands: Bands;
  readonly density: number;
  /** Of one bowlful, seed included. */
  readonly kg: number;
  readonly way: MeltingWay;
  readonly bowl: Bowl;
  /** Poured into another bowl, as cool as the room, before the seed goes in. */
  readonly coolBowl: boolean;
  readonly jacket: Jacket;
  readonly workingC: number;
  readonly roomC: number;
  /** Heat at full power of the microwave, W, for an amount of chocolate. */
  readonly fullW: (kg: number) => number;
  /** Power setting, 0 to 1. */
  readonly power: number;
}

/** One thing to do, and what the chocolate is at after it. */
export type MeltStep = { readonly seconds: number; readonly afterC: number } & (
  | { readonly key: 'burst'; readonly burst: Burst }
  | { readonly key: 'bath' }
  | { readonly key: 'pour' }
  | { readonly key: 'seed'; readonly kg: number; readonly bits: number }
  | { readonly key: 'coolInAir' | 'coolInWater' }
  | { readonly key: 'warm'; readonly heating: number }
);

export interface CurvePoint {
  readonly seconds: number;
  readonly celsius: number;
}

/** A way from solid chocolate to a bowl that is right for molding. */
export interface SchoolPlan {
  readonly school: School;
  readonly steps: readonly MeltStep[];
  readonly seconds: number;
  /** Seed to chop, kg of this bowlful; 0 without. */
  readonly seedKg: number;
  readonly meltedKg: number;
  /** Where it ends, °C. */
  readonly endC: number;
  readonly curve: readonly CurvePoint[];
  /** Steps as planned reach where they should; otherwise this amount is too small for this microwave. */
  readonly reached: boolean;
  /** The hottest spot on the way, °C, and what no spot may pass. */
  readonly hottestC: number;
  readonly ceilingC: number;
  /** Share of its fat that is solid when the last lumps are stirred out: the seed it keeps; 0 where it is melted through. */
  readonly lumps: number;
  readonly needsThermometer: boolean;
}

/** Stir after a burst, s; stirring seed in, s and s/kg; longest wait for the room to cool it, s. Working rules. */
const STIR_SECONDS = 20;
const SEED_SECONDS = 60;
const SEED_SECONDS_KG = 240;
const POUR_SECONDS = 15;
const LONGEST_IN_AIR_S = 15 * 60;
/** Stirring brings the warm middle to the air and the wall: factor on the loss. Working rule. */
const STIRRED_LOSS = 2;
const QUARTER = 0.25;
const MOST_SEED = 0.5;
const SAMPLES = 16;
/** Coating and untempered chocolate are warmed gently, at half power at most. */
const GENTLE = 0.5;

/** Heated to so far below where all has melted, and no nearer, lumps are left that can be stirred out, K. Working rules. */
const LUMPS_K = 0.5;
const GENTLE_CLOSE_K = 0.25;

/** How far below its band a chocolate is held by the school that does so on purpose, K. Working rule. */
const HELD_BELOW_K = 1;

/** Where a school works a chocolate that another has worked at `workingC`: below its band where it is held there, as it is where it may be worked anywhere, else within. */
export function workingBy(
  school: School,
  workingC: number,
  { workFromC, workToC }: Pick<Bands, 'workFromC' | 'workToC'>,
): number {
  const { works } = schoolRow(school);
  if (works === 'below') return Math.min(workingC, workFromC - HELD_BELOW_K);
  if (works === 'anywhere') return workingC;
  return workingC < workFromC ? (workFromC + workToC) / 2 : workingC;
}

/** Plans one bowlful by a school: what to do, how long, the temperature after each step, and the curve between. */
export function planSchool(input: SchoolInput, school: School): SchoolPlan {
  const chocolate = meltable(input.kind, input.fatShare, input.bands.workFromC);
  const { melts, stirsDown, needsThermometer } = schoolRow(school);
  const seeded = seedingBy(input, school);
  const meltKg = input.kg - (seeded?.seedKg ?? 0);
  const gentleC = melts === 'untilLumps' ? chocolate.meltedFromC : undefined;
  const line = new StepLine(input, chocolate, gentleC);
  line.melt(meltKg, seeded?.meltC ?? (gentleC === undefined ? meltOnlyC(input, chocolate) : gentleC - LUMPS_K));
  const lumps = gentleC === undefined ? 0 : bitsLeft(chocolate, line.celsius);
  if (seeded) {
    if (input.coolBowl) line.pour(meltKg);
    line.seed(seeded.seedKg, seeded.endC, seeded.seconds);
  }
  // Coating is melted through in the end, in bursts as before, whatever was held back.
  if (input.kind === 'compound') line.melt(input.kg, input.workingC);
  line.coolTo(
    stirsDown === 'no' ? input.workingC : stirDownToC(input.bands, stirsDown === 'byKind' ? input.kind : undefined),
  );
  line.warmTo(input.workingC);
  return {
    school,
    steps: line.steps,
    seconds: line.seconds,
    seedKg: seeded?.seedKg ?? 0,
    meltedKg: meltKg,
    endC: line.celsius,
    curve: line.curve,
    reached: line.reached,
    hottestC: line.hottestC,
    ceilingC: line.ceilingC,
    lumps,
    needsThermometer,
  };
}

/** Seed and temperatures by a school; undefined for melting only. */
export function seedingBy(input: SchoolInput, school: School): Seeded | undefined {
  const chocolate = meltable(input.kind, input.fatShare, input.bands.workFromC);
  const { seed } = schoolRow(school);
  if (seed === 'quarter') return threeQuarters(input, chocolate);
  return seed === 'byTemperature' ? byTemperature(input, chocolate) : undefined;
}

interface Seeded {
  readonly seedKg: number;
  readonly meltC: number;
  readonly endC: number;
  readonly seconds: number;
}

function byTemperature(input: SchoolInput, chocolate: Meltable): Seeded {
  const seconds = SEED_SECONDS + SEED_SECONDS_KG * input.kg;
  const { meltToC, seedToC } = input.bands;
  const endC = Math.max(seedToC, input.workingC);
  const pot = wholePot(input, chocolate);
  const seeding: Seeding = {
    chocolate,
    meltC: meltToC,
    seedC: input.roomC,
    bowlHeat: pot.bowlHeat,
    bowlC: input.coolBowl ? input.roomC : meltToC,
    lossJ: stirLossJ(pot, (meltToC + endC) / 2, seconds),
  };
  return atMostHalf(seeding, input.kg, endC, seconds);
}

/** A quarter stirred into three: the melt is as warm as makes it end at the working temperature. */
function threeQuarters(input: SchoolInput, chocolate: Meltable): Seeded {
  const seconds = SEED_SECONDS + SEED_SECONDS_KG * input.kg;
  const endC = input.workingC;
  const pot = wholePot(input, chocolate);
  const bowlHeat = input.coolBowl ? 0 : pot.bowlHeat;
  // What a cool bowl takes up counts with the loss.
  const lossJ = stirLossJ(pot, endC + 4, seconds) + (input.coolBowl ? pot.bowlHeat * (endC - input.roomC) : 0);
  const wanted = meltForSeedC({ chocolate, seedC: input.roomC, bowlHeat, lossJ }, input.kg, QUARTER, endC);
  const meltC = Math.min(input.bands.meltToC, Math.max(chocolate.meltedFromC, wanted));
  // Where that would be too hot or too cool, the seed follows the heat there is.
  const seeding = {
    chocolate,
    meltC,
    seedC: input.roomC,
    bowlHeat: pot.bowlHeat,
    bowlC: input.coolBowl ? input.roomC : meltC,
    lossJ: stirLossJ(pot, endC + 4, seconds),
  };
  // Coating has to be melted through: all of the quarter goes in, and it is warmed again. What it takes up guards against overheating.
  if (input.kind === 'compound') return quarterOf(seeding, input.kg, seconds);
  return atMostHalf(seeding, input.kg, endC, seconds);
}

/** The whole quarter, wherever that takes the melt to. */
function quarterOf(seeding: Seeding, kg: number, seconds: number): Seeded {
  const seed = QUARTER * kg;
  return { seedKg: seed, meltC: seeding.meltC, endC: seededC(seeding, kg - seed, seed), seconds };
}

/** A little chocolate in a heavy, hot bowl would ask for more seed than melt: half of it is seed at most, and the rest is cooled by the room. */
function atMostHalf(seeding: Seeding, kg: number, targetC: number, seconds: number): Seeded {
  const wanted = seedKg(seeding, kg, targetC);
  if (wanted <= MOST_SEED * kg) return { seedKg: wanted, meltC: seeding.meltC, endC: targetC, seconds };
  return {
    seedKg: MOST_SEED * kg,
    meltC: seeding.meltC,
    endC: seededC(seeding, (1 - MOST_SEED) * kg, MOST_SEED * kg),
    seconds,
  };
}

function meltOnlyC(input: SchoolInput, chocolate: Meltable): number {
  const most = input.kind === 'compound' ? input.bands.ceilingC : input.bands.meltToC;
  return Math.min(most, Math.max(input.workingC, chocolate.meltedFromC));
}

function wholePot(input: SchoolInput, chocolate: Meltable): Pot {
  return potOf(input.way, input.bowl, chocolate, input.kg, input.density, input.roomC, 'none');
}

function stirLossJ(pot: Pot, meanC: number, seconds: number): number {
  return Math.max(0, STIRRED_LOSS * pot.lossWK * (meanC - pot.aroundC) * seconds);
}

/** Steps one after another, with the chocolate's temperature along them. */
class StepLine {
  readonly steps: MeltStep[] = [];
  readonly curve: CurvePoint[];
  seconds = 0;
  celsius: number;
  hottestC: number;
  reached = true;
  /** No spot is to pass this, °C. */
  readonly ceilingC: number;

  /** @param gentleC no spot is to come to this, °C, where lumps are to be left */
  constructor(
    private readonly input: SchoolInput,
    private readonly chocolate: Meltable,
    private readonly gentleC: number | undefined,
  ) {
    const most = meltingCeilingC(input.kind, input.bands);
    // Coating has no temper to lose: its lumps take up what is too much.
    this.ceilingC = gentleC === undefined || input.kind === 'compound' ? most : Math.min(most, gentleC);
    this.celsius = input.roomC;
    this.hottestC = input.roomC;
    this.curve = [{ seconds: 0, celsius: input.roomC }];
  }

  melt(kg: number, toC: number): void {
    // In a room so warm it has melted by itself.
    if (this.celsius >= toC) return;
    const { way, bowl, density, roomC } = this.input;
    const pot = potOf(way, bowl, this.chocolate, kg, density, roomC, 'none');
    const bath = hotBath(way, bowl, kg, density);
    if (bath)
      return this.follow(
        { key: 'bath' },
        inBath(pot, bath),
        0,
        secondsToReach(inBath(pot, bath), this.celsius, toC, 0),
      );
    const { bands, fullW, power } = this.input;
    const plan = planBursts({
      pot,
      startC: this.celsius,
      targetC: toC,
      toTheDegree: toC >= bands.meltToC || this.gentleC !== undefined,
      ceilingC: this.ceilingC,
      ...(this.gentleC === undefined ? {} : { closeK: GENTLE_CLOSE_K }),
      fullW: fullW(kg),
      power,
      uneven: WORKING_RULES.unevenShare,
    });
    this.reached &&= plan.reached;
    for (const burst of plan.bursts) {
      this.hottestC = Math.max(this.hottestC, burst.hottestC);
      this.follow({ key: 'burst', burst }, pot, fullW(kg) * power, burst.seconds, STIR_SECONDS);
    }
  }

  /** Into a bowl as cool as the room. */
  pour(kg: number): void {
    const { bowlHeat } = this.pot(kg);
    const held = kg * CHOCOLATE_SPECIFIC_HEAT;
    this.jump({ key: 'pour' }, (held * this.celsius + bowlHeat * this.input.roomC) / (held + bowlHeat), POUR_SECONDS);
  }

  seed(kg: number, toC: number, seconds: number): void {
    if (kg > 0 && toC < this.celsius) this.jump({ key: 'seed', kg, bits: bitsLeft(this.chocolate, toC) }, toC, seconds);
  }

  coolTo(toC: number): void {
    if (this.celsius <= toC) return;
    const { bowl, density, kg } = this.input;
    const pot = this.pot(kg);
    const inAir = { ...pot, lossWK: STIRRED_LOSS * pot.lossWK };
    const seconds = secondsToReach(inAir, this.celsius, toC, 0);
    if (seconds <= LONGEST_IN_AIR_S) return this.follow({ key: 'coolInAir' }, inAir, 0, seconds);
    const inWater = inBath(pot, coolBath(bowl, kg, density));
    this.follow({ key: 'coolInWater' }, inWater, 0, secondsToReach(inWater, this.celsius, toC, 0));
  }

  warmTo(toC: number): void {
    if (this.celsius >= toC - 0.05 || !this.reached) return;
    const { way, bowl, density, kg, roomC, kind, fullW, power } = this.input;
    // Tempered chocolate keeps its crystals as it is warmed; of coating what is still solid has to melt.
    const solid = kind === 'compound' && this.celsius < this.chocolate.meltedFromC;
    const pot = solid ? potOf(way, bowl, this.chocolate, kg, density, roomC, 'none') : this.pot(kg);
    const bath = hotBath(way, bowl, kg, density);
    const watts = bath ? 0 : fullW(kg) * Math.min(power, GENTLE);
    const heated = bath ? inBath(pot, bath) : pot;
    const heating = secondsToReach(heated, this.celsius, toC, watts);
    this.follow({ key: 'warm', heating }, heated, watts, heating, STIR_SECONDS);
  }

  /** The whole bowlful, melted. */
  private pot(kg: number): Pot {
    const { way, bowl, density, roomC } = this.input;
    return meltedPot(potOf(way, bowl, this.chocolate, kg, density, roomC, 'none'));
  }

  private follow(step: StepKey, pot: Pot, watts: number, seconds: number, stirSeconds = 0): void {
    const start = potHeat(pot, this.celsius);
    let held = start;
    for (let k = 1; k <= SAMPLES; k++) {
      held = heatedPot(pot, held, watts, seconds / SAMPLES);
      this.curve.push({ seconds: this.seconds + (seconds * k) / SAMPLES, celsius: potTemperatureC(pot, held) });
    }
    this.celsius = potTemperatureC(pot, held);
    this.hottestC = Math.max(this.hottestC, this.celsius);
    this.end(step, seconds + stirSeconds);
  }

  private jump(step: StepKey, toC: number, seconds: number): void {
    this.celsius = toC;
    this.end(step, seconds);
  }

  private end(step: StepKey, seconds: number): void {
    this.seconds += seconds;
    this.curve.push({ seconds: this.seconds, celsius: this.celsius });
    this.steps.push({ ...step, seconds, afterC: this.celsius } as MeltStep);
  }
}

type StepKey = MeltStep extends infer S ? (S extends MeltStep ? Omit<S, 'seconds' | 'afterC'> : never) : never;
