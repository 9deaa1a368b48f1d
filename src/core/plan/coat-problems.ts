import { isTurned, laidAnywhere, onOpenWall } from '../record/method';
import { SMALL_STREAK } from '../matter/chocolate';
import { LIMITS, within } from '../record/limits';
import { chocolateOf, coatWorkingC, meltOf } from '../record/references';
import type { CastingPlan, Problem, Remedy } from './plan-types';

type Planned = Omit<CastingPlan, 'problems'>;

/** A rim that is proposed is told to this, m. */
const RIM_STEP_M = 1e-5;

/** What the coats of the part that a plan is seen from want attention for. */
export function coatProblems(part: Planned): Problem[] {
  return [...mixedFats(part), ...turnProblems(part), ...moldWarmth(part), ...thicknessProblems(part)];
}

/** A coat that coating and real chocolate are streaked into sets soft and dull; the less so the smaller the streak. Common practice, no source. */
function mixedFats({ casting, coatsMade }: Planned): Problem[] {
  const mixed = coatsMade.map(({ shares }) => {
    const of = (coating: boolean): number =>
      shares.reduce((sum, { meltId, share }) => {
        const { kind } = chocolateOf(casting, meltOf(casting, meltId));
        return (kind === 'compound') === coating ? sum + share : sum;
      }, 0);
    return Math.min(of(true), of(false)) / (of(true) + of(false));
  });
  const share = Math.max(...mixed);
  const coat = mixed.indexOf(share) + 1;
  return share > 0 ? [{ key: share > SMALL_STREAK ? 'mixedFats' : 'someFat', station: 'coat', values: { coat } }] : [];
}

/** Base over rim, or wall over its thinnest line, from which a turned vessel counts as pooled. Working rules. */
const POOLED = 1.5;
const POOLED_ON_SIDE = 1.3;

/** Where a turned vessel is thin and what it was to be, as it ran from rim to base, or on its side from top to bottom, m; undefined where it did not. */
function pooled({ coats, total: { rim, base } }: Planned['coat'], [{ method }]: Planned['coatsMade']) {
  if (!isTurned(method)) return undefined;
  const lines = coats.flatMap(({ thinnestAround, thickness }) =>
    thinnestAround && thickness.wall.value >= POOLED_ON_SIDE * thinnestAround.value
      ? [{ thin: thinnestAround.value, thick: thickness.wall.value, onSide: 1 }]
      : [],
  );
  const along = base.value >= POOLED * rim.value ? { thin: rim.value, thick: base.value, onSide: 0 } : undefined;
  return lines[0] ?? along;
}

function turnProblems({ coat, coatsMade }: Planned): Problem[] {
  const run = pooled(coat, coatsMade);
  if (!run) return [];
  const [{ turnSeconds }] = coatsMade;
  const seconds = Math.max(LIMITS.turnSeconds.low, turnSeconds / 2);
  return [
    {
      key: 'poolsBetweenTurns',
      station: 'coat',
      values: { every: turnSeconds, ...run },
      ...(seconds < turnSeconds ? { remedy: { key: 'turnEvery' as const, seconds } } : {}),
    },
  ];
}

/** A shell that breaks oftener than this is too thin: people take one in ten to twenty as it comes. Common practice, no source. */
const TOO_LIKELY = 0.1;

function thicknessProblems(plan: Planned): Problem[] {
  const { coat, part, coatsMade } = plan;
  const problems: Problem[] = [];
  if (!coat.reached && part.coatsBy.by === 'thickness') {
    problems.push({
      key: 'wantedNotReached',
      station: 'coat',
      values: { wanted: part.coatsBy.rimM, comesOut: coat.total.rim.value, coats: coat.coats.length },
      remedy: { key: 'wantRim', rimM: nearestWithinReach(coat.total.rim.value, part.coatsBy.rimM) },
    });
  }
  const heavy = coat.coats.findIndex((c) => c.overHold);
  if (heavy >= 0) {
    const remedy: Remedy | undefined = coatsMade.length < LIMITS.coats.high ? { key: 'splitCoats' } : undefined;
    problems.push({
      key: 'coatTooHeavy',
      station: 'coat',
      values: { coat: heavy + 1, hold: coat.coats[heavy].hold.value },
      remedy,
    });
  }
  // Where it has pooled, another coat would pool as well.
  if (coat.breakChance.value > TOO_LIKELY && !pooled(coat, coatsMade)) {
    const uneven = baseHeavy(plan) && coat.total.base.value >= coat.neededRim.value;
    const values = {
      rim: coat.total.rim.value,
      needed: coat.neededRim.value,
      chance: coat.breakChance.value,
      uneven: uneven ? 1 : 0,
    };
    problems.push({ key: 'rimTooThin', station: 'coat', values, remedy: thickened(plan, uneven) });
  } else if (heavy < 0 && baseHeavy(plan)) problems.push(...poolsInBase(plan));
  return problems;
}

/** What makes a rim thick enough: where the base has plenty, a coat on the sides alone. */
function thickened({ coat, part, coatsMade, moldRecord }: Planned, uneven: boolean): Remedy | undefined {
  if (moldRecord.composition.kind === 'press') return undefined;
  const more = coatsMade.length < LIMITS.coats.high;
  if (uneven && more && coatsMade.every(({ method }) => onOpenWall(method))) return { key: 'brushSides' };
  if (part.coatsBy.by === 'thickness')
    return { key: 'wantRim', rimM: within(LIMITS.wantedRimM, coat.neededRim.value * 1.1, RIM_STEP_M) };
  return more ? { key: 'addCoat' } : undefined;
}

/** So many times its rim, and so much more, m, is a base that the chocolate has run to. Working rules. */
const HEAVY_TIMES = 2;
const HEAVY_MORE_M = 0.0015;

function baseHeavy({ coat: { body, total }, cavity, coatsMade, moldRecord }: Planned): boolean {
  if (body || cavity.outward || moldRecord.composition.kind === 'press' || isTurned(coatsMade[0].method)) return false;
  const [rim, base] = [total.rim.value, total.base.value];
  return base >= HEAVY_TIMES * rim && base - rim >= HEAVY_MORE_M;
}

/** A coat laid all over adds to the base again. */
function poolsInBase({ coat, coatsMade }: Planned): Problem[] {
  const laid = coatsMade.slice(1).some(({ method, where }) => laidAnywhere(method) && where === 'all');
  return [
    {
      key: 'poolsInBase',
      station: 'coat',
      values: { rim: coat.total.rim.value, base: coat.total.base.value },
      ...(laid ? { remedy: { key: 'laterSides' as const } } : {}),
    },
  ];
}

/** An empty mold colder than the dew point is wet, and one as warm as the chocolate takes its seed. */
function moldWarmth({ part, chill, coatsMade, casting }: Planned): Problem[] {
  const { moldC } = part;
  if (moldC === undefined) return [];
  const values = { moldC, dewPointC: chill.dewPoint.value, workingC: coatWorkingC(casting, coatsMade[0]) };
  const key = moldC < values.dewPointC ? 'moldSweats' : moldC >= values.workingC ? 'moldTooWarm' : undefined;
  return key ? [{ key, station: 'coat', values, remedy: { key: 'wipeMold' } }] : [];
}

/** What comes out, as a wanted thickness: rounded to the side that can be reached. */
function nearestWithinReach(comesOutM: number, wantedM: number): number {
  const steps = comesOutM * 1e5;
  return within(LIMITS.wantedRimM, (comesOutM < wantedM ? Math.floor(steps) : Math.ceil(steps)) / 1e5, RIM_STEP_M);
}
