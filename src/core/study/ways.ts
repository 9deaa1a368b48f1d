import { LIMITS, within } from '../record/limits';
import type { Casting, Part } from '../record/casting';
import { copyOf } from '../record/copy';
import { setsUpright, tippedOut } from '../record/method';
import { partOf } from '../record/references';
import { setIn } from '../edit/sets';
import { keepCoatsAsMade } from '../edit/remedy';
import { simulatedPlan } from '../plan/simulated-plan';
import type { CastingPlan } from '../plan/plan-types';

/** Ways of making the same piece that are worth holding beside each other. */
export const WAYS = [
  'asPlanned',
  'upright',
  'upsideDown',
  'oneThick',
  'twoThin',
  'fridge',
  'freezer',
  'room',
  'cooler',
  'warmer',
  'spooned',
  'dumped',
  'noDwell',
  'longDwell',
] as const;
export type Way = (typeof WAYS)[number];

/** Those that make a difference to a solid piece, which has no film to run. */
const SOLID_WAYS: readonly Way[] = ['asPlanned', 'fridge', 'freezer', 'room', 'cooler', 'warmer'];

/** The ways worth comparing for a casting as it is made now. */
export function waysFor({ coat }: Pick<CastingPlan, 'coat'>): readonly Way[] {
  if (coat.body) return SOLID_WAYS;
  return setsUpright(coat.coats[0].choice.method)
    ? WAYS.filter((way) => way !== 'upright' && way !== 'upsideDown')
    : WAYS;
}

/** How much cooler or warmer the chocolate is worked, K. */
export const WORKED_APART_K = 3;
const LONG_DWELL_S = 25;

/**
 * The casting made another way: everything else as it is. A wanted thickness is let go first, as it would only be reached again;
 * the coats made for it stay.
 */
export function madeThisWay(casting: Casting, way: Way, plan: CastingPlan): Casting {
  const changed = copyOf(casting);
  if (way === 'asPlanned') return changed;
  const part = partOf(changed, plan.part.id);
  keepCoatsAsMade(part, plan.coatsMade);
  switch (way) {
    case 'upright':
    case 'upsideDown':
      for (const coat of part.coats) coat.wayUp = way;
      break;
    case 'oneThick':
    case 'twoThin':
      spreadOver(part, way === 'oneThick' ? 1 : 2, plan);
      break;
    case 'fridge':
    case 'freezer':
    case 'room':
      for (const coat of part.coats) setIn(coat, way);
      break;
    case 'cooler':
    case 'warmer':
      for (const melt of changed.melts) {
        if (!part.coats.some(({ shares }) => shares.some(({ meltId }) => meltId === melt.id))) continue;
        const apartK = way === 'warmer' ? WORKED_APART_K : -WORKED_APART_K;
        melt.workingC = within(LIMITS.workingC, melt.workingC + apartK);
      }
      break;
    case 'spooned':
      part.coats.forEach((coat, i) =>
        Object.assign(coat, { method: 'spoon', doseM3: dose(plan.coat.coats[i].spooned.value) }),
      );
      break;
    case 'dumped':
      for (const coat of part.coats) Object.assign(coat, { method: 'dump', where: 'all' });
      break;
    case 'noDwell':
    case 'longDwell':
      for (const coat of part.coats) coat.dwellSeconds = way === 'noDwell' ? 0 : LONG_DWELL_S;
  }
  return changed;
}

/** The chocolate of all coats, spooned in as so many alike. */
function spreadOver(part: Part, count: number, plan: CastingPlan): void {
  const each = plan.coat.coats.reduce((sum, coat) => sum + coat.spooned.value, 0) / count;
  const [first] = part.coats;
  part.coats = Array.from({ length: count }, (_, i) => ({
    ...copyOf(first),
    id: part.coats[i]?.id ?? `${first.id}-${i + 1}`,
    method: 'spoon' as const,
    where: 'all' as const,
    doseM3: dose(each),
  }));
}

function dose(m3: number): number {
  return within(LIMITS.doseM3, m3);
}

/** What is shown of one way; plain data, so that a worker can send it. */
export interface ComparedSide extends Pick<
  CastingPlan,
  'cavity' | 'moldRecord' | 'coatsMade' | 'chocolates' | 'coat' | 'fill' | 'chill'
> {
  /** Coating and setting of one round, s. */
  readonly roundSeconds: number;
}

/** Two ways side by side, each planned with its shell simulated. */
export interface Comparison {
  readonly sides: readonly [ComparedSide, ComparedSide];
  readonly verdict: Verdict;
}

/** Which of two ways is the better, and what decides it. */
export interface Verdict {
  readonly better: 0 | 1 | undefined;
  readonly by: 'unset' | 'breaking' | 'time' | 'mass' | 'evenness' | 'nothing';
  /** Why the thinner rim is thinner: what was on it runs to the base, or drips off, or there is less of it. */
  readonly because: 'pooled' | 'dripped' | 'less' | undefined;
}

/** Differences smaller than these decide nothing: chance of breaking, share of the minutes, share of the grams, share of base over rim. Working rules. */
const NOTED = { breaking: 0.02, time: 0.08, mass: 0.05, evenness: 0.15 } as const;
/** Likewise for the rims, as a share, and for what drips off, as a share of what was spooned in. */
const NOTED_RIM = 0.03;
const NOTED_DRIP = 0.1;

/** Plans a casting with one of its parts made both ways and says which is the better. */
export function compareWays(casting: Casting, ways: readonly [Way, Way], partId?: string): Comparison {
  const plan = simulatedPlan(casting, partId);
  const [a, b] = ways.map((way) =>
    comparedSide(way === 'asPlanned' ? plan : simulatedPlan(madeThisWay(casting, way, plan), partId)),
  );
  return { sides: [a, b], verdict: verdictOn(a, b) };
}

/** What is shown of a planned way. */
export function comparedSide({
  cavity,
  moldRecord,
  coatsMade,
  chocolates,
  coat,
  fill,
  chill,
  batch,
}: CastingPlan): ComparedSide {
  const roundSeconds = batch.timeline.oneRound
    .filter(({ kind }) => kind === 'coat' || kind === 'chill')
    .reduce((sum, { seconds }) => sum + seconds, 0);
  return { cavity, moldRecord, coatsMade, chocolates, coat, fill, chill, roundSeconds };
}

/** First whether it sets at all, then breaking, then time, then chocolate, then how even it comes out. */
export function verdictOn(a: ComparedSide, b: ComparedSide): Verdict {
  const sets = [a, b].map(({ chill: { coats, cap } }) =>
    Number.isFinite((cap ?? coats[coats.length - 1]).chosen.unmold.value),
  );
  const because = reasonOf(a, b);
  if (sets[0] !== sets[1]) return { better: sets[0] ? 0 : 1, by: 'unset', because: undefined };
  const [breakA, breakB] = [a, b].map((side) => side.coat.breakChance.value);
  if (Math.abs(breakA - breakB) >= NOTED.breaking) return { better: breakA < breakB ? 0 : 1, by: 'breaking', because };
  const decides = (of: (side: ComparedSide) => number, share: number): 0 | 1 | undefined => {
    const [x, y] = [of(a), of(b)];
    return Math.abs(x - y) < share * Math.max(x, y) ? undefined : x < y ? 0 : 1;
  };
  const byTime = sets[0] ? decides((side) => side.roundSeconds, NOTED.time) : undefined;
  if (byTime !== undefined) return { better: byTime, by: 'time', because };
  const byMass = decides((side) => side.coat.mass.value, NOTED.mass);
  if (byMass !== undefined) return { better: byMass, by: 'mass', because };
  const byEvenness = decides(unevenness, NOTED.evenness);
  return byEvenness === undefined
    ? { better: undefined, by: 'nothing', because: undefined }
    : { better: byEvenness, by: 'evenness', because };
}

/** Base over rim: 1 is an even shell. */
export function unevenness({ coat }: ComparedSide): number {
  return coat.total.base.value / Math.max(1e-6, coat.total.rim.value);
}

/** Why one rim is thinner than the other. */
function reasonOf(a: ComparedSide, b: ComparedSide): Verdict['because'] {
  const [thin, thick] = a.coat.total.rim.value < b.coat.total.rim.value ? [a, b] : [b, a];
  if (thick.coat.total.rim.value - thin.coat.total.rim.value < NOTED_RIM * thick.coat.total.rim.value) return undefined;
  if (drippedShare(thin) > NOTED_DRIP + drippedShare(thick)) return 'dripped';
  // No less chocolate and yet a thinner rim: it lies at the base.
  return thin.coat.mass.value > 0.9 * thick.coat.mass.value && unevenness(thin) > unevenness(thick) ? 'pooled' : 'less';
}

/** Share of what was spooned in that is not in the shell: it has dripped off the rim. */
function drippedShare({ coat }: ComparedSide): number {
  const spooned = coat.coats.filter(({ choice }) => !tippedOut(choice.method));
  const given = spooned.reduce((sum, { choice }) => sum + choice.doseM3, 0);
  const stays = spooned.reduce((sum, one) => sum + one.spooned.value, 0);
  return given > 0 ? Math.max(0, 1 - stays / given) : 0;
}
