import type { ChocolateKind } from '../matter/chocolate';
import { stirDownToC, type Bands } from '../matter/bands';
import { isTempered, schoolRow, type School } from '../record/school';
import { meltable } from './heat-held';
import type { Readings } from './thermometer';

/** What to do now, by what the thermometer has told so far. */
export interface ThermometerAdvice {
  readonly key:
    'nothing' | 'melt' | 'seedNow' | 'stirDown' | 'warmUp' | 'workNow' | 'warm' | 'tooHot' | 'outOfTemper' | 'thickens';
  /** The reading it goes by, °C, and where to go from there. */
  readonly celsius: number;
  readonly toC: number;
}

/** How near counts as there, K: what a kitchen thermometer tells apart. */
const NEAR_K = 0.5;

/**
 * Reads the stage of the work from the readings: melted, seeded, stirred down, in work; and says what comes next.
 * Above the ceiling after it was in temper there is only the way back to the start; coating just cools again.
 * @param workingC where it is to be worked
 */
export function adviseBy(
  readings: Readings,
  kind: ChocolateKind,
  school: School,
  bands: Bands,
  workingC: number,
): ThermometerAdvice {
  const told = readings.celsius.filter((c) => !Number.isNaN(c));
  const now = told[told.length - 1];
  if (now === undefined) return { key: 'nothing', celsius: NaN, toC: kind === 'compound' ? workingC : bands.meltToC };
  if (!isTempered(kind, school)) return adviseMelted(now, told, kind, bands);
  if (schoolRow(school).melts === 'untilLumps') return adviseGentle(now, told, kind, bands);
  return adviseTempered(now, stageOf(told, kind, school, bands), kind, school, bands, workingC);
}

function adviseMelted(
  now: number,
  told: Float64Array,
  kind: ChocolateKind,
  { workFromC, workToC, ceilingC }: Bands,
): ThermometerAdvice {
  const was = told.some((c) => c >= workFromC - NEAR_K);
  if (now > ceilingC) return { key: kind === 'compound' ? 'thickens' : 'tooHot', celsius: now, toC: workToC };
  if (now > workToC + NEAR_K) return { key: 'tooHot', celsius: now, toC: workToC };
  if (now >= workFromC - NEAR_K) return { key: 'workNow', celsius: now, toC: workToC };
  return { key: was ? 'warm' : 'melt', celsius: now, toC: workToC };
}

/** In temper from the start, as long as it never comes to where all of it has melted. */
function adviseGentle(
  now: number,
  told: Float64Array,
  kind: ChocolateKind,
  { meltToC, workFromC, workToC }: Bands,
): ThermometerAdvice {
  const { meltedFromC } = meltable(kind, 0, workFromC);
  if (told.some((c) => c >= meltedFromC)) return { key: 'outOfTemper', celsius: now, toC: meltToC };
  const was = told.some((c) => c >= workFromC - NEAR_K);
  if (now > workToC + NEAR_K) return { key: 'stirDown', celsius: now, toC: workToC };
  if (now >= workFromC - NEAR_K) return { key: 'workNow', celsius: now, toC: workToC };
  return { key: was ? 'warm' : 'melt', celsius: now, toC: workToC };
}

type Stage = 'melting' | 'melted' | 'seeded' | 'down';

function stageOf(told: Float64Array, kind: ChocolateKind, school: School, bands: Bands): Stage {
  let stage: Stage = 'melting';
  const quarter = schoolRow(school).seed === 'quarter';
  const meltedAt = quarter ? Math.min(bands.meltToC, bands.seedToC + 3) : bands.meltToC;
  const down = downBy(kind, school, bands);
  for (const c of told) {
    if (c >= meltedAt - NEAR_K) stage = 'melted';
    else if (stage === 'melted' && c <= bands.seedToC + NEAR_K) stage = quarter ? 'down' : 'seeded';
    if (stage === 'seeded' && c <= down + NEAR_K) stage = 'down';
  }
  return stage;
}

/** Where a school stirs down to, °C. */
function downBy(kind: ChocolateKind, school: School, bands: Bands): number {
  return stirDownToC(bands, schoolRow(school).stirsDown === 'byKind' ? kind : undefined);
}

function adviseTempered(
  now: number,
  stage: Stage,
  kind: ChocolateKind,
  school: School,
  bands: Bands,
  workingC: number,
): ThermometerAdvice {
  const { meltToC, seedToC, workFromC, workToC, ceilingC } = bands;
  const say = (key: ThermometerAdvice['key'], toC: number): ThermometerAdvice => ({ key, celsius: now, toC });
  if (stage === 'melting') return say('melt', meltToC);
  if (stage === 'melted') return now > meltToC + 5 ? say('tooHot', meltToC) : say('seedNow', seedToC);
  const held = schoolRow(school).works === 'below' && workingC < workFromC;
  const down = downBy(kind, school, bands);
  const low = held ? workingC - 1 : workFromC;
  const high = held ? workingC + 1 : workToC;
  if (stage === 'seeded' && now > down + NEAR_K)
    return held && now <= high ? say('workNow', workingC) : say('stirDown', held ? workingC : down);
  if (now > ceilingC + NEAR_K) return say('outOfTemper', meltToC);
  if (now > high + NEAR_K) return say('stirDown', high);
  if (now >= low - NEAR_K) return say('workNow', workingC);
  return say(now < low - 4 ? 'warmUp' : 'warm', workingC);
}
