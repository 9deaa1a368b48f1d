import { WORKING_RULES } from '../matter/working-rules';
import { answer, term, type Answer, type Term } from '../quantity/answer';
import type { Jacket } from '../record/choices';
import { isTempered, type School } from '../record/school';
import { meltable } from './heat-held';
import { hotBath, inBath, mostAtOnceKg, potOf, standingShare } from './vessel';
import { planSchool, seedingBy, type SchoolInput, type SchoolPlan } from './schools';
import {
  reheatSeconds,
  reheatsNeeded,
  thickAtC,
  workedPot,
  workingSeconds,
  type BowlStretch,
  type Worked,
} from './working-window';
import { heatedPot, potHeat, potTemperatureC, type Pot } from './pot';

/** One melt of a casting, as this station sees it. */
export interface MeltInput extends Omit<SchoolInput, 'kg'> {
  readonly meltId: string;
  readonly totalKg: number;
  readonly school: School;
  /** Whether the microwave was calibrated with a known weight. */
  readonly calibrated: boolean;
}

/** What it takes to have a melt ready, before the job's minutes are known. */
export interface MeltPlan {
  readonly input: MeltInput;
  /** Bowlfuls, one after another, and how much each is. */
  readonly lots: number;
  readonly perLotKg: number;
  readonly plan: SchoolPlan;
  readonly ready: Answer;
  readonly melted: Answer;
  readonly seed: Answer;
  /** Seconds of bursts of one bowlful; undefined where there are none. */
  readonly bursts: Answer | undefined;
  readonly perLot: Answer;
  /** Share of its fat that is still solid when the last lumps are stirred out: the seed it keeps. Only where it is melted so gently, and of what is in temper by it. */
  readonly lumps: Answer | undefined;
}

/** The whole station: ready, and kept so. */
export interface MeltResult extends MeltPlan {
  readonly window: Answer;
  readonly reheats: Answer;
  readonly reheat: Answer;
  /** Where it has become a class thicker, °C. */
  readonly thickC: number;
}

/** How much sooner or later it may be ready: hands and microwaves differ. Working rule. */
const READY_SPREAD = [0.8, 1.4] as const;
/** A bowl that has been worked from holds about this much of what it began with. Working rule. */
const NEARLY_EMPTY = 0.35;

/** A bowl that is worked from is warmed at no more than this of the microwave's power. Common practice, no source. */
const GENTLE_POWER = 0.5;

/** More seed for chocolate that tests soft, a share of the bowlful. Working rule. */
const MORE_SEED_SHARE = 0.05;

/** Seed to add to one bowlful that has tested soft, kg. */
export function moreSeedKg({ perLotKg }: Pick<MeltPlan, 'perLotKg'>): number {
  return MORE_SEED_SHARE * perLotKg;
}

/** Plans how to melt and temper what a casting needs: bursts, seed, temperatures, seconds until it is ready. */
export function meltStation(input: MeltInput): MeltPlan {
  const most = mostAtOnceKg(input.way, input.bowl, input.density);
  const lots = Math.max(1, Math.ceil(input.totalKg / most - 1e-9));
  const perLotKg = input.totalKg / lots;
  const plan = planSchool({ ...input, kg: perLotKg }, input.school);
  const spread = input.calibrated ? WORKING_RULES.calibratedSpread : WORKING_RULES.microwaveSpread;
  const burstSeconds = plan.steps.reduce((sum, step) => sum + (step.key === 'burst' ? step.burst.seconds : 0), 0);
  const lotTerms = [term('melted', input.totalKg, 'mass'), term('atOnce', most, 'mass')];
  return {
    input,
    lots,
    perLotKg,
    plan,
    // Work begins with the first bowlful; further ones are melted while the molds chill.
    ready: answer(
      plan.seconds,
      'duration',
      'melt.ready',
      [term('bowlfuls', lots, 'count'), term('perBowl', perLotKg, 'mass')],
      [plan.seconds * READY_SPREAD[0], plan.seconds * READY_SPREAD[1]],
    ),
    melted: answer(plan.meltedKg * lots, 'mass', 'melt.melted', [
      term('melted', input.totalKg, 'mass'),
      term('seed', plan.seedKg * lots, 'mass'),
    ]),
    seed: seedAnswer(input, perLotKg, lots, plan),
    bursts:
      burstSeconds > 0
        ? answer(burstSeconds, 'duration', 'melt.bursts', burstTerms(input, perLotKg), [
            burstSeconds / spread,
            burstSeconds * spread,
          ])
        : undefined,
    perLot: answer(perLotKg, 'mass', 'melt.perLot', lotTerms),
    lumps:
      plan.lumps > 0 && isTempered(input.kind, input.school)
        ? answer(plan.lumps, 'share', 'melt.lumps', [
            term('hottestSpot', plan.hottestC, 'temperature'),
            term('meltsFully', plan.ceilingC, 'temperature'),
          ])
        : undefined,
  };
}

/** Completes a plan with how long it stays workable and how often it is warmed again, from the minutes of the job. */
export function keepWorkable(made: MeltPlan, stretches: readonly BowlStretch[]): MeltResult {
  const { input, perLotKg, plan } = made;
  const { workingC, jacket } = input;
  const worked = workedOf(input);
  const full = standing(input, perLotKg, jacket);
  const left = perLotKg * (1 + NEARLY_EMPTY) * 0.5;
  const bowl = standing(input, left, jacket);
  const bath = hotBath(input.way, input.bowl, perLotKg, input.density);
  const watts = bath ? 0 : input.fullW(perLotKg) * Math.min(GENTLE_POWER, input.power);
  const thickC = thickAtC(worked, workingC);
  const window = workingSeconds(bowl, worked, workingC);
  const shortest = workingSeconds(standing(input, perLotKg * NEARLY_EMPTY, jacket), worked, workingC);
  const longest = workingSeconds(full, worked, workingC);
  const unstirred = standingShare(input.way, input.bowl, left / input.density, jacket);
  const reheats = (seconds: number): number => reheatsNeeded(seconds, unstirred, stretches);
  return {
    ...made,
    thickC,
    window: answer(
      window,
      'duration',
      'melt.window',
      [
        term('workingTemperature', workingC, 'temperature'),
        term('thickAt', thickC, 'temperature'),
        term('room', input.roomC, 'temperature'),
        term('jacket', jacket),
      ],
      [shortest, longest],
    ),
    reheats: answer(
      reheats(window),
      'count',
      'melt.reheats',
      [term('window', window, 'duration'), term('backTo', workingC, 'temperature')],
      [reheats(longest), reheats(shortest)],
    ),
    reheat: answer(
      reheatSeconds(bath ? inBath(bowl, bath) : bowl, worked, workingC, watts),
      'duration',
      'melt.reheat',
      [term('thickAt', thickC, 'temperature'), term('backTo', workingC, 'temperature'), term('perBowl', left, 'mass')],
    ),
    plan: { ...plan, curve: [...plan.curve, ...cooling(workedPot(full, worked), plan, longest)] },
  };
}

/**
 * A bowl that is worked from with so much left in it, kg: how it cools, where it has become a class thicker, °C, and what warms it: watts in the
 * microwave, 0 over a bath, which then is around the pot.
 */
export function bowlInUse(
  input: MeltInput,
  kg: number,
): { readonly pot: Pot; readonly warmed: Pot; readonly thickC: number; readonly watts: number } {
  const { workingC, jacket, way, bowl, density } = input;
  const worked = workedOf(input);
  const pot = workedPot(standing(input, kg, jacket), worked);
  const bath = hotBath(way, bowl, kg, density);
  return {
    pot,
    warmed: bath ? inBath(pot, bath) : pot,
    thickC: thickAtC(worked, workingC),
    watts: bath ? 0 : input.fullW(kg) * Math.min(GENTLE_POWER, input.power),
  };
}

/** What is worked from the bowl: in temper where a school seeds it, from the top of its band down. */
function workedOf({ kind, fatShare, bands, school }: MeltInput): Worked {
  return { kind, fatShare, temperC: isTempered(kind, school) ? bands.workToC : undefined };
}

function standing(input: MeltInput, kg: number, jacket: Jacket): Pot {
  const { kind, fatShare, bands, way, bowl, density, roomC } = input;
  return potOf(way, bowl, meltable(kind, fatShare, bands.workFromC), kg, density, roomC, jacket);
}

const COOLING_SAMPLES = 12;
const LONGEST_SHOWN_S = 20 * 60;

/** The curve once it is ready and left to stand, until a little after it has thickened. */
function cooling(worked: Pot, plan: SchoolPlan, window: number): { seconds: number; celsius: number }[] {
  const shown = Math.min(LONGEST_SHOWN_S, Number.isFinite(window) ? window * 1.5 : LONGEST_SHOWN_S);
  const start = potHeat(worked, plan.endC);
  return Array.from({ length: COOLING_SAMPLES }, (_, k) => {
    const seconds = (shown * (k + 1)) / COOLING_SAMPLES;
    return { seconds: plan.seconds + seconds, celsius: potTemperatureC(worked, heatedPot(worked, start, 0, seconds)) };
  });
}

function seedAnswer(input: MeltInput, perLotKg: number, lots: number, plan: SchoolPlan): Answer {
  const at = (roomK: number, meltK: number): number => {
    const { bands, roomC } = input;
    return (
      (seedingBy(
        { ...input, kg: perLotKg, roomC: roomC + roomK, bands: { ...bands, meltToC: bands.meltToC + meltK } },
        input.school,
      )?.seedKg ?? 0) * lots
    );
  };
  const terms: Term[] = [
    term('school', input.school),
    term('melted', input.totalKg, 'mass'),
    term('meltedTo', input.bands.meltToC, 'temperature'),
    term('seededTo', Math.max(input.bands.seedToC, input.workingC), 'temperature'),
    term('room', input.roomC, 'temperature'),
  ];
  if (plan.seedKg === 0) return answer(0, 'mass', 'melt.seed', terms);
  const spread = WORKING_RULES.kitchenSpreadK;
  const ends = [at(spread, -spread), at(-spread, spread), at(spread, spread), at(-spread, -spread)];
  return answer(plan.seedKg * lots, 'mass', 'melt.seed', terms, [Math.min(...ends), Math.max(...ends)]);
}

function burstTerms(input: MeltInput, kg: number): Term[] {
  return [
    term('perBowl', kg, 'mass'),
    term('delivered', input.fullW(kg) * input.power, 'power'),
    term('meltedTo', input.bands.meltToC, 'temperature'),
    term('room', input.roomC, 'temperature'),
  ];
}
