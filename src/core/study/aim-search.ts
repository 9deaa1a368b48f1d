import { neededRimM } from '../coat/survival';
import type { Casting, Coat, Part } from '../record/casting';
import { copyOf } from '../record/copy';
import type { Chocolate } from '../record/chocolate';
import { WAYS_UP, type WayUp } from '../record/choices';
import { fillsLevel, type Method } from '../record/method';
import { LIMITS, within } from '../record/limits';
import { cavityRecordOf, chocolateOf, meltOf, partOf } from '../record/references';
import { doseFor } from '../shell/laid-film';
import type { Simulated } from '../shell/simulated';
import { fittedPlan } from '../occasion/fitted-job';
import { draftPlan } from '../plan/draft';
import { chillsOf } from '../plan/makings';
import { makingOf, type Made } from '../plan/making';
import { finishPlan } from '../plan/plan';
import { freshCoatId, lastStaysOn, makeBy } from '../edit/methods';
import { methodsFor } from '../plan/methods';
import { keepCoatsAsMade } from '../edit/remedy';
import { simulateMaking } from '../plan/simulate';
import { comparedSide, type ComparedSide } from './ways';
import type { CastingPlan, PlanDraft } from '../plan/plan-types';

/** What a shell is smashed with: a spoon or a light wooden mallet, or a metal one. */
export const BLOWS = ['spoon', 'mallet'] as const;
export type Blow = (typeof BLOWS)[number];

/** What a shell is wanted for: a thickness at the rim, to survive unmolding, or to be smashed and yet come out whole. */
export type AimGoal =
  | { readonly by: 'rim'; readonly rimM: number }
  | { readonly by: 'survive' }
  | { readonly by: 'smash'; readonly blow: Blow };

/** One way that reaches the goal. */
export interface FoundWay {
  /** Of its coats, or of all but the last where that is brushed on the sides alone. */
  readonly method: Method;
  readonly sides: boolean;
  readonly wayUp: WayUp;
  readonly workingC: number;
  readonly coats: number;
  readonly side: ComparedSide;
  /** The whole job, s. */
  readonly totalSeconds: number;
  /** The casting made this way. */
  readonly casting: Casting;
}

/** Rim over the rim it needs of a shell that survives: about 3 % break. Working rule, from the chance of breaking. */
const SURVIVES = 1.35;
/**
 * The same of one that comes out whole and yet breaks at one blow, from the thinnest to the thickest, and what is aimed at. Of a spoon: balls of
 * 38 mm are made 1.2 to 2.3 mm (common practice, no source). A shell gives way in bending at a force that goes with the square of its thickness,
 * as its stiffness does, so that a blow breaks a thickness in proportion to the root of its energy: a metal mallet's has some three times a
 * spoon's, and breaks 1.7 times as much (working rule).
 */
const SMASHES: Readonly<Record<Blow, { readonly low: number; readonly aim: number; readonly high: number }>> = {
  spoon: { low: 1.04, aim: 1.2, high: 2 },
  mallet: { low: SURVIVES, aim: 2, high: 3.4 },
};
/** As near as a goal has to be met, as a share of it. */
const CLOSE_SHARE = 0.03;
const BEST = 3;
/** Working temperatures tried across a chocolate's band. */
const BAND_STEPS = 3;

/** Temperatures to try: the band from end to end, and the one chosen where it lies outside. */
function workableAt({ workFromC, workToC }: Pick<Chocolate, 'workFromC' | 'workToC'>, chosenC: number): number[] {
  const band = Array.from({ length: BAND_STEPS }, (_, i) => workFromC + ((workToC - workFromC) * i) / (BAND_STEPS - 1));
  return chosenC < workFromC || chosenC > workToC ? [chosenC, ...band] : band;
}

/** The rim a goal comes to, m: what is aimed at, and from where to where it is met. */
export interface WantedRim {
  readonly aimM: number;
  readonly lowM: number;
  readonly highM: number;
}

/** The rim a goal comes to. */
export function rimOfGoal(goal: AimGoal, plan: Pick<CastingPlan, 'cavity' | 'chocolates' | 'moldRecord'>): WantedRim {
  const { kind } = plan.chocolates[plan.chocolates.length - 1];
  const needed = neededRimM(plan.cavity.spanM, kind, plan.moldRecord.material);
  const allowed = (rimM: number): number => within(LIMITS.wantedRimM, rimM);
  if (goal.by === 'smash') {
    const { low, aim, high } = SMASHES[goal.blow];
    return { aimM: allowed(needed * aim), lowM: allowed(needed * low), highM: allowed(needed * high) };
  }
  const aimM = allowed(goal.by === 'rim' ? goal.rimM : needed * SURVIVES);
  // To survive, a thicker rim is as good.
  const highM = goal.by === 'survive' ? Infinity : aimM * (1 + CLOSE_SHARE);
  return { aimM, lowM: aimM * (1 - CLOSE_SHARE), highM };
}

/** One way to try. */
interface Candidate {
  readonly method: Method;
  /** One coat by the method, and what its rim lacks brushed on the sides. */
  readonly sides: boolean;
  readonly wayUp: WayUp;
  readonly workingC: number;
}

/** The thinnest and the thickest that is brushed on the sides, m. Working rules. */
const BRUSHED_M = [0.0004, 0.002] as const;

/**
 * Ways that reach a goal, the quickest first, at most three that differ in more than a setting: every method, and one coat tipped out with
 * the sides brushed after it, either way up, and the chocolate's band from end to end, each with the fewest coats, dwell, drain or dose
 * that land on it, all simulated.
 * A generator, so that a worker can tell how far it is and be stopped.
 */
export function* searchWays(casting: Casting, goal: AimGoal, partId?: string): Generator<number, readonly FoundWay[]> {
  const plan = draftPlan(casting, [], partId);
  const wanted = rimOfGoal(goal, plan);
  const melt = meltOf(casting, plan.coatsMade[0].shares[0].meltId);
  const allowed = methodsFor(plan.moldRecord, cavityRecordOf(plan.moldRecord, plan.part));
  const temperatures = workableAt(chocolateOf(casting, melt), melt.workingC);
  const candidates = [...new Set<Method>(['dump', 'spoon', 'chillDump', plan.coatsMade[0].method])]
    .filter((method) => allowed.includes(method) && !fillsLevel(method))
    .flatMap((method) =>
      (method === 'dump' && allowed.includes('brush') ? [false, true] : [false]).map((sides) => ({ method, sides })),
    )
    .flatMap((how) =>
      WAYS_UP.flatMap((wayUp) => temperatures.map((workingC): Candidate => ({ ...how, wayUp, workingC }))),
    );
  const found: FoundWay[] = [];
  // What was found at one temperature is a good beginning for the next.
  const before = new Map<string, Simulated>();
  for (const [k, candidate] of candidates.entries()) {
    const alike = `${candidate.method} ${candidate.sides} ${candidate.wayUp}`;
    const { way, simulated } = tried(plan, melt.id, wanted, candidate, before.get(alike));
    before.set(alike, simulated);
    if (way) found.push(way);
    yield (k + 1) / candidates.length;
  }
  found.sort((a, b) => a.totalSeconds - b.totalSeconds || a.side.coat.mass.value - b.side.coat.mass.value);
  const seen = new Set<string>();
  return found
    .filter(({ method, sides, wayUp, coats }) => {
      const key = `${method} ${sides} ${wayUp} ${coats}`;
      return seen.has(key) ? false : seen.add(key);
    })
    .slice(0, BEST);
}

function tried(
  plan: PlanDraft,
  meltId: string,
  { aimM, lowM, highM }: WantedRim,
  { method, sides, wayUp, workingC }: Candidate,
  from: Simulated | undefined,
): { readonly way: FoundWay | undefined; readonly simulated: Simulated } {
  const { casting } = plan;
  const changed = copyOf(casting);
  const part = partOf(changed, plan.part.id);
  if (part.coats.some((coat) => coat.method !== method)) makeBy(changed, method, plan);
  part.coatsBy = sides ? { by: 'count' } : { by: 'thickness', rimM: aimM };
  for (const coat of part.coats) Object.assign(coat, { wayUp, where: 'all' });
  for (const one of changed.melts) if (one.id === meltId) one.workingC = workingC;
  const meets = ({ coat: { total, coats } }: Made): boolean =>
    total.rim.value > lowM && total.rim.value < highM && !coats.some(({ overHold }) => overHold);
  const { simulated, made } = sides
    ? withSides(changed, part, plan, aimM)
    : simulateMaking(makingOf(changed, part), from);
  // What one coat reaches by itself is found without the sides.
  if (!meets(made) || (sides && part.coats.length === 1)) return { way: undefined, simulated };
  const draft = draftPlan(
    changed,
    changed.parts.map(({ id }) => (id === part.id ? simulated : undefined)),
    part.id,
  );
  const whole = fittedPlan(finishPlan(draft, chillsOf(draft)));
  if (!Number.isFinite(whole.batch.total.value)) return { way: undefined, simulated };
  keepCoatsAsMade(part, draft.coatsMade);
  return {
    way: {
      method,
      sides,
      wayUp,
      workingC,
      coats: draft.coatsMade.length,
      side: comparedSide(whole),
      totalSeconds: whole.batch.total.value,
      casting: changed,
    },
    simulated,
  };
}

/**
 * Leaves a part its first coat, and has what the rim then lacks brushed on the sides alone: the dose that lies so thick, put right once by
 * what it adds when it is simulated. Where it lacks nothing, or more than is brushed in one coat, only the first coat is made.
 */
function withSides(
  casting: Casting,
  part: Part,
  { cavity }: Pick<PlanDraft, 'cavity'>,
  aimM: number,
): Pick<ReturnType<typeof simulateMaking>, 'simulated' | 'made'> {
  part.coats = part.coats.slice(0, 1);
  const one = simulateMaking(makingOf(casting, part));
  const rimM = one.made.coat.total.rim.value;
  const lacksM = aimM - rimM;
  if (lacksM < BRUSHED_M[0] || lacksM > BRUSHED_M[1]) return one;
  const [first] = part.coats;
  const brushed: Coat = {
    ...copyOf(first),
    id: freshCoatId([first.id]),
    method: 'brush',
    where: 'sides',
    doseM3: within(LIMITS.doseM3, doseFor(cavity, 'sides', lacksM)),
  };
  part.coats = [first, brushed];
  lastStaysOn(part.coats, first.then);
  const tried = simulateMaking(makingOf(casting, part));
  const added = tried.made.coat.total.rim.value - rimM;
  if (!(added > 0)) return tried;
  brushed.doseM3 = within(LIMITS.doseM3, (brushed.doseM3 * lacksM) / added);
  return simulateMaking(makingOf(casting, part), tried.simulated);
}
