import { moreSeedKg, type MeltResult } from '../../core/melt/melt';
import type { MeltStep, SchoolPlan } from '../../core/melt/schools';
import type { ThermometerAdvice } from '../../core/melt/thermometer-advice';
import type { LogProblem, LogRefused } from '../../core/melt/read-log';
import type { BandProblem } from '../../core/matter/bands';
import type { Bands } from '../../core/matter/bands';
import type { ChocolateKind } from '../../core/matter/chocolate';
import type { MeltingWay, TestResult } from '../../core/record/choices';
import { schoolRow, type School } from '../../core/record/school';
import type { UnitSystem } from '../../core/quantity/units';
import type { ChartBand } from './chart-band';
import { text } from './format';

export const BAND_NAMES: Readonly<Record<keyof Bands, string>> = {
  meltToC: 'Melt to',
  seedToC: 'Seed to',
  workFromC: 'Work from',
  workToC: 'Work to',
  ceilingC: 'Ceiling',
};

/** One step, as it is said at the stove. */
export interface StepWording {
  readonly what: string;
  readonly how: string;
  readonly after: string;
}

/** From here on bursts of one length are told together. */
const MANY_BURSTS = 8;

/** Words the steps of melting and tempering; a long series of bursts of one length is told as one. */
export function stepWordings(steps: readonly MeltStep[], way: MeltingWay, system: UnitSystem): StepWording[] {
  const lastBurst = steps.map(({ key }) => key).lastIndexOf('burst');
  const worded = steps.map((step, i) => stepWording(step, way, system, i === lastBurst));
  if (steps.filter(({ key }) => key === 'burst').length <= MANY_BURSTS) return worded;
  const told: (StepWording & { readonly times: number; readonly single: string })[] = [];
  for (const [i, step] of worded.entries()) {
    const before = told[told.length - 1];
    if (steps[i].key === 'burst' && before?.single === step.what && before.how === step.how) {
      told[told.length - 1] = {
        ...before,
        times: before.times + 1,
        what: `${before.times + 1} × ${step.what}`,
        after: step.after,
      };
    } else told.push({ ...step, times: 1, single: step.what });
  }
  return told;
}

/** Words a step of melting or tempering. */
function stepWording(step: MeltStep, way: MeltingWay, system: UnitSystem, last: boolean): StepWording {
  // What lies in a bag or tube is kneaded.
  const stir = way === 'bag' || way === 'tube' ? 'knead' : 'stir';
  const after = text(Math.round(step.afterC * 2) / 2, 'temperature', system);
  const time = text(
    step.seconds < 90 ? Math.max(5, Math.round(step.seconds / 5) * 5) : step.seconds,
    'duration',
    system,
  );
  switch (step.key) {
    case 'burst': {
      const { seconds, power, lumps } = step.burst;
      return {
        what: text(seconds, 'duration', system),
        how: `at ${Math.round(power * 100)} %, then ${stir}${last && lumps ? `: stop with lumps left, ${stir} them out` : ''}`,
        after,
      };
    }
    case 'bath':
      return { what: time, how: `in the heat, ${stir === 'knead' ? 'kneaded' : 'stirred'} every minute`, after };
    case 'pour':
      return { what: 'Pour', how: 'into a cool, dry bowl', after };
    case 'seed':
      return {
        what: `Seed, ${time}`,
        how: `stir in ${text(step.kg, 'mass', system)} of fine chopped, the last of it slowly${step.bits > 0.1 ? '; a few bits stay' : ''}`,
        after,
      };
    case 'coolInAir':
      return { what: time, how: `${stir} on, off the heat`, after };
    case 'coolInWater':
      return { what: time, how: 'stir over cool water; the room is too warm. Dry the bowl’s bottom', after };
    case 'warm':
      return {
        what: 'Warm',
        how: `${text(Math.max(2, Math.round(step.heating)), 'duration', system)} at half power or over steam, ${stir}, look`,
        after,
      };
  }
}

/** What a school asks for and risks, for comparing; for coating what little there is to risk. */
const SCHOOL_RISKS: Readonly<Record<School, { readonly real: string; readonly coating: string }>> = {
  seeding: {
    real: 'stirred down to one figure; a degree too far and it starts again',
    coating: 'seed does nothing for coating',
  },
  seedingByKind: {
    real: 'milk and white stirred further down than dark; a degree too far and it starts again',
    coating: 'seed does nothing for coating',
  },
  threeQuarters: {
    real: 'by eye: test it before casting',
    coating: 'guards against overheating; does nothing for temper, which coating needs none of',
  },
  keepTemper: {
    real: 'for bars that are in temper, not chips; one hot spot and the temper is gone: test it',
    coating: 'guards against overheating: the lumps take up what is too much',
  },
  holdBelow: {
    real: 'thick, builds a wall fast; sets in the bowl if left',
    coating: 'seed does nothing for coating',
  },
  keptCold: {
    real: 'glossy while it is cold; softens and blooms in a warm room, so not for giving',
    coating: 'coating sets without',
  },
  meltOnly: { real: 'untempered: soft, streaky, sticks', coating: 'thick and lumpy past its ceiling' },
};

/** What a school asks for and risks, for comparing. */
export function schoolRisk(school: School, kind: ChocolateKind): string {
  return SCHOOL_RISKS[school][kind === 'compound' ? 'coating' : 'real'];
}

/** What a piece that was melted without seed asks for until it is eaten. */
export const KEPT_COLD_TEXT =
  'Melted without temper: set it in the cold, keep it closed in the fridge, and eat it cold. In a warm room it softens and blooms, so it is no gift.';

/** Whether what is melted gently is still in temper, and from where on it is not; what is not in temper at all, where that is meant. */
export function temperText({ input, plan }: MeltResult, system: UnitSystem): string {
  if (schoolRow(input.school).works === 'anywhere') return KEPT_COLD_TEXT;
  if (plan.lumps === 0) return '';
  const lost = text(plan.ceilingC, 'temperature', system);
  if (input.kind === 'compound') return `The lumps keep every spot below ${lost}.`;
  const hottest = text(plan.hottestC, 'temperature', system);
  return plan.hottestC < plan.ceilingC
    ? `Still in temper: no spot comes above ${hottest}. From ${lost} on it is lost. For bars; chips are risky. Test a smear before casting.`
    : `Out of temper: a spot comes to ${hottest}, and from ${lost} on it is lost. Seed it instead.`;
}

/** What to do when a bowl has thickened, and when it has become too warm. */
export function thickenedText({ input, reheat, thickC }: MeltResult, system: UnitSystem): string {
  const ceiling = text(input.bands.ceilingC, 'temperature', system);
  const warm = `Thick at about ${text(thickC, 'temperature', system)}: warm it ${text(Math.max(2, Math.round(reheat.value)), 'duration', system)} at half power, stir, look again.`;
  return input.kind === 'compound'
    ? `${warm} Past ${ceiling} it turns thick and lumpy: take it off and stir; if it only streaked, remelt it gently.`
    : schoolRow(input.school).works === 'anywhere'
      ? `${warm} Nothing is in temper that could be lost. What sets in the cold, set and keep there.`
      : `${warm} Past ${ceiling} it has lost its temper: start again at ${text(input.bands.meltToC, 'temperature', system)}.`;
}

/** Bands of a chocolate as the chart draws them. */
export function chartBands(kind: ChocolateKind, bands: Bands, system: UnitSystem, workingC?: number): ChartBand[] {
  const at = (name: string, c: number): string => `${name} ${text(c, 'temperature', system)}`;
  const range = `${text(bands.workFromC, 'temperature', system).replace(/ .*/, '')} to ${text(bands.workToC, 'temperature', system)}`;
  const below = workingC !== undefined && workingC < bands.workFromC ? workingC : undefined;
  // Held below its band, one name says both, as two so near would cover each other.
  const work: ChartBand = {
    name: below === undefined ? `work ${range}` : '',
    fromC: bands.workFromC,
    toC: bands.workToC,
    tone: 'work',
    under: true,
  };
  const held: ChartBand[] =
    below === undefined
      ? []
      : [{ name: `${at('held at', below)}, below its band of ${range}`, fromC: below, tone: 'mark', under: true }];
  if (kind === 'compound')
    return [work, { name: at('ceiling', bands.ceilingC), fromC: bands.ceilingC, tone: 'ceiling' }, ...held];
  return [
    work,
    { name: at('out of temper above', bands.ceilingC), fromC: bands.ceilingC, tone: 'ceiling' },
    { name: at('melt to', bands.meltToC), fromC: bands.meltToC, tone: 'mark' },
    ...held,
  ];
}

/** What to do now by the thermometer: a few words to read from the stove, and a sentence. */
export function adviceText(
  { key, celsius, toC }: ThermometerAdvice,
  system: UnitSystem,
): { readonly say: string; readonly why: string } {
  const to = text(toC, 'temperature', system);
  const now = text(celsius, 'temperature', system);
  switch (key) {
    case 'nothing':
      return { say: 'Melt first', why: `Up to ${to}. Type what the thermometer shows, or take readings from a file.` };
    case 'melt':
      return { say: `Melt on to ${to}`, why: `At ${now} there is still something to melt.` };
    case 'seedNow':
      return { say: 'Seed now', why: `At ${now} it is melted through: off the heat, stir the seed in down to ${to}.` };
    case 'stirDown':
      return { say: `Stir on down to ${to}`, why: `It is at ${now}; no heat.` };
    case 'warmUp':
      return { say: `Warm up to ${to}`, why: `${now} is too cool to work: a few short bursts at half power, stirred.` };
    case 'workNow':
      return { say: 'Work now', why: `${now} is in its band.` };
    case 'warm':
      return { say: 'Warm 5 s', why: `${now} has left the band: 5 s at half power, stir, read again; up to ${to}.` };
    case 'tooHot':
      return { say: 'Off the heat', why: `${now} is warmer than it is worked: stir until it is down to ${to}.` };
    case 'outOfTemper':
      return {
        say: `Out of temper: start again at ${to}`,
        why: `At ${now} the crystals that make it set hard are melted.`,
      };
    case 'thickens':
      return {
        say: 'Too hot: take it off and stir',
        why: `Past its ceiling coating thickens and goes lumpy. At ${now} let it fall to ${to}; if it only streaked, it can be remelted gently.`,
      };
  }
}

/** Why a table of readings cannot be read at all, and what to do. */
export function logRefusedText({ problem, detail }: LogRefused, fileName: string): string {
  const file = `“${fileName}”`;
  switch (problem) {
    case 'empty':
      return `${file} is empty. Export the readings again.`;
    case 'noTable':
      return `${file} is no table: it wants at least two columns, a time and a temperature, with a comma, semicolon or tab between.`;
    case 'noTime':
      return `No column of ${file} reads as a time${detail ? ` (its columns are ${detail})` : ''}. It wants seconds, minutes or clock times that go on.`;
    case 'noTemperature':
      return `No column of ${file} reads as a temperature${detail ? ` (its columns are ${detail})` : ''}.`;
    case 'tooLong':
      return `${file} has ${detail} rows; at most 350000 are read. Export a shorter stretch.`;
  }
}

/** What was odd in a table of readings: what, where first, how often, and what became of it. */
export function logProblemText({ key, line, text: cell, count }: LogProblem): string {
  const times = count === 1 ? `Line ${line}` : `${count} lines, the first ${line}`;
  switch (key) {
    case 'notATime':
      return `${times}: “${cell}” is no time. Left out.`;
    case 'notANumber':
      return `${times}: “${cell}” is no temperature. A gap is left there.`;
    case 'backwards':
      return `${times}: the time goes back (“${cell}”). Left out.`;
    case 'repeated':
      return `${times}: the same time twice (“${cell}”). The later reading stands.`;
    case 'outOfRange':
      return `${times}: ${cell} is nothing a thermometer can read. A gap is left there.`;
    case 'gap':
      return `${times}: nothing was read for a while before. A gap is left there.`;
  }
}

/** What follows from a temper test. */
export function testFollowsText(
  result: TestResult,
  made: MeltResult,
  system: UnitSystem,
): { readonly head: string; readonly body: string } {
  const { kind, bands, workingC, school } = made.input;
  const at = (c: number): string => text(c, 'temperature', system);
  if (result === 'firm')
    return {
      head: 'In temper: cast now.',
      body: `Keep it between ${at(Math.min(bands.workFromC, workingC))} and ${at(bands.workToC)}, and test again if it stood long.`,
    };
  if (kind === 'compound')
    return result === 'soft'
      ? { head: 'Not set yet.', body: 'Coating needs no temper: give it five minutes more, or a cooler place.' }
      : {
          head: 'Overheated or damp.',
          body: 'If it only streaked, break up what was cast, melt it in bursts of 30 s at 80 % below its ceiling, and cast again; if it is grainy and thick, water got in and it is lost for molding.',
        };
  const more = text(moreSeedKg(made), 'mass', system);
  if (result === 'soft')
    return {
      head: 'Too few crystals.',
      body: `Warm it to ${at(bands.workToC)}, stir in ${more} more seed in a bowlful, stir two minutes, test again.${school === 'meltOnly' ? ' Without seed it will not come into temper.' : ''}`,
    };
  return {
    head: 'Uneven, or too warm on the way.',
    body: `Stir longer first and test again. If it streaks once more, start over at ${at(bands.meltToC)} with seed, which is sure; others break what was cast up, melt it in bursts of 30 s at 80 % until lumps are left, and cast again, which can go on streaking.`,
  };
}

/** Two bands that are out of order. */
export function bandProblemText({ lower, upper }: BandProblem): string {
  return `“${BAND_NAMES[lower]}” must not be above “${BAND_NAMES[upper]}”. The last good value stays; change the other one first.`;
}

/** Minutes of a plan, and whether it wants a thermometer. */
export function planInBrief(
  plan: SchoolPlan,
  system: UnitSystem,
): { readonly time: string; readonly thermometer: string; readonly seed: string } {
  return {
    time: text(plan.seconds, 'duration', system),
    thermometer: plan.needsThermometer ? 'needed' : 'not needed',
    seed: plan.seedKg > 0 ? text(plan.seedKg, 'mass', system) : 'none',
  };
}
