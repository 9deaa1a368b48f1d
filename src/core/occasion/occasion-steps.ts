import { dueSeconds } from '../record/due';
import type { Casting } from '../record/casting';
import type { Occasion, ShelfRoom } from '../record/occasion';
import type { CastingPlan } from '../plan/plan-types';
import { Attendance } from '../schedule/attend';
import { impossible } from '../schedule/impossible';
import { Improver } from '../schedule/improve';
import { forward, reversed } from '../schedule/reversed';
import type { Starts, Stay, Workload } from '../schedule/workload';
import { occasionPlan, type OccasionPlan } from './occasion-plan';
import { MeltsAnew } from './melts-anew';
import { occasionWork, type NoWork, type OccasionWork } from './occasion-work';
import { staysOf } from './stays';
import type { Task } from './work';

/** Why an occasion has no timetable. */
export type NoTimetable =
  | NoWork
  /** It is longer than every stay. */
  | { readonly key: 'tooLong'; readonly task: Task }
  /** All that is done by hand is more than the stays have hours, s. */
  | { readonly key: 'tooFewHours'; readonly wantedS: number; readonly givenS: number }
  /** It wants more room than there is, m². */
  | { readonly key: 'shelf'; readonly place: 'fridge' | 'freezer'; readonly castingId: string; readonly m2: number }
  /** All stays begin when everything is to be ready. */
  | { readonly key: 'noStay' }
  /** What is held, or the stays, contradict each other. Without stays and holds it would take so long, s. */
  | { readonly key: 'contradiction' | 'notFound'; readonly wouldTakeS: number | undefined };

export type OccasionAnswer =
  { readonly ok: true; readonly plan: OccasionPlan } | { readonly ok: false; readonly why: NoTimetable };

/** How far the search is, 0 to 1, and what it has found so far. */
export interface OccasionProgress {
  readonly share: number;
  readonly plan?: OccasionPlan;
}

/** Effort is told in rounds, so that the same occasion always comes out the same; of a large one each round takes longer. */
const ROUNDS = 300;
const ROUNDS_THERE = 500;
const PROOF_TURNS = 500;
const ROUNDS_AT_A_TIME = 5;
const SEED = 1;
/** How often it is found out anew what is done in which stay, and in how many rounds. */
const STARTS_ANEW = 4;
const ROUNDS_ANEW = 250;
/** Tries at a first timetable, of those that the search has. */
const TRIES = 3;
/** A timetable begins no longer than this before the event, s. */
const AT_MOST_S = 30 * 86_400;

type Steps = Generator<OccasionProgress, OccasionAnswer>;

/**
 * Finds an occasion's timetable: ready in time, within the stays, with the fewest minutes in which somebody has to be there, and that as late as
 * may be; one bowl for what is alike, or, where that cannot be, one for each melt. A generator, so that a worker can tell how far it is and be stopped.
 * @param castings those of the occasion that there are, in its order
 * @param planned plans a casting
 */
export function* occasionSteps(
  occasion: Occasion,
  castings: readonly Casting[],
  planned: (casting: Casting) => CastingPlan,
): Steps {
  const plans: CastingPlan[] = [];
  for (const [i, casting] of castings.entries()) {
    yield { share: (0.3 * i) / castings.length };
    plans.push(planned(casting));
  }
  const { stays } = staysOf(occasion);
  if (occasion.stays.length > 0 && stays.length === 0) return { ok: false, why: { key: 'noStay' } };
  // Where nobody has said when they are there, what has to stand is made before.
  const making = stays.length > 0 ? Infinity : -1;
  const search = new Search(occasion, plans, stays, making);
  const made = occasionWork(plans, true, making, undefined, occasion.sets);
  if ('key' in made) return { ok: false, why: made };
  const found = yield* search.steps(made);
  if (found.ok || !('wouldTakeS' in found.why)) return found;
  // It is a matter of time: bowls that are melted anew in a later stay, or one for each casting, may do.
  const other = stays.length > 1 ? yield* search.meltedAnew() : yield* search.apart(made);
  return other ?? found;
}

/** The search for an occasion's timetable, by one kind of its work after another. */
class Search {
  private readonly backS: number;
  private readonly zeroS: number;

  constructor(
    private readonly occasion: Occasion,
    private readonly plans: readonly CastingPlan[],
    private readonly stays: readonly Stay[],
    private readonly making: number,
  ) {
    const dueS = dueSeconds(occasion.due);
    this.backS = Math.max(AT_MOST_S, ...stays.map(({ from }) => dueS - from));
    this.zeroS = dueS - this.backS;
  }

  *steps(made: OccasionWork, stayOf?: (task: number) => number | undefined): Steps {
    const workload = this.workload(made, stayOf);
    const why = impossibleHere(workload, this.occasion, made);
    if (why) return { ok: false, why };
    const backward = reversed(workload, this.backS);
    const improver = new Improver(backward, SEED);
    if (improver.first(TRIES) !== 'found')
      return { ok: false, why: { key: 'notFound', wouldTakeS: wouldTake(this.occasion, made) } };
    const told = this.teller(made, workload, backward);
    return yield* this.stays.length > 1 ? thereSteps(backward, improver, told) : endSteps(improver, told);
  }

  /** One bowl for each melt, where some were shared. */
  *apart(made: OccasionWork): Generator<OccasionProgress, OccasionAnswer | undefined> {
    if (made.bowls.every(({ uses }) => uses.length === 1)) return undefined;
    const own = occasionWork(this.plans, false, this.making, undefined, this.occasion.sets);
    return 'key' in own ? undefined : yield* this.steps(own);
  }

  /**
   * As if bowls lasted for ever it is found what is done in which stay, what melting anew takes counted in; then each is melted anew in every stay in
   * which it is worked from.
   */
  *meltedAnew(): Generator<OccasionProgress, OccasionAnswer | undefined> {
    const lasting = occasionWork(this.plans, true, this.making, Infinity, this.occasion.sets);
    if ('key' in lasting) return undefined;
    let leastS = Infinity;
    let anew: ReturnType<Search['anew']>;
    let cut: readonly number[] = this.stays.map(() => 0);
    for (let k = 0; k < STARTS_ANEW; k++) {
      const one = this.lasting(lasting, cut, SEED + k);
      if (!one) break;
      let tried: Starts | undefined;
      for (let round = 0; round < ROUNDS_ANEW; round++) {
        if (round % ROUNDS_AT_A_TIME === 0) {
          // The first that has room for all melts is shown.
          const { starts } = one.search.best;
          if (!anew && tried !== starts) anew = this.anew(one.melts, starts);
          tried = starts;
          const share = 0.3 + (0.1 * (k + round / ROUNDS_ANEW)) / STARTS_ANEW;
          yield { share, ...(anew?.plan ? { plan: anew.plan } : {}) };
        }
        one.search.round();
      }
      const { starts, attendedS } = one.search.best;
      if (attendedS < leastS) {
        leastS = attendedS;
        anew = this.anew(one.melts, starts) ?? anew;
      }
      cut = one.melts.cutBy(starts);
    }
    return anew && (yield* thereSteps(anew.backward, anew.improver, anew.told));
  }

  /** A search for what is done in which stay, as if bowls lasted for ever. */
  private lasting(made: OccasionWork, cut: readonly number[], seed: number) {
    const workload = this.workload(made, undefined, [...cut].reverse());
    if (impossible(workload)) return undefined;
    const backward = reversed(workload, this.backS);
    const improver = new Improver(backward, seed);
    if (improver.first(TRIES) !== 'found') return undefined;
    const melts = new MeltsAnew(made, backward, cut);
    return {
      search: new Attendance(backward, improver.best?.starts ?? [], seed, (starts) => melts.costS(starts)),
      melts,
    };
  }

  /** The timetable found as if bowls lasted for ever, with each melted anew; undefined where the stays have no room for that. */
  private anew(melts: MeltsAnew, found: Starts) {
    const { made, stayOf, starts } = melts.made(found);
    const workload = this.workload(made, stayOf);
    const backward = reversed(workload, this.backS);
    const improver = new Improver(backward, SEED);
    if (!improver.takeOver(starts)) return undefined;
    const told = this.teller(made, workload, backward);
    const search = new Attendance(backward, improver.best?.starts ?? [], SEED);
    return { backward, improver, told, plan: told(search.best.starts, search.leastS) };
  }

  private teller(made: OccasionWork, workload: Workload, backward: Workload) {
    return (starts: Starts, leastS: number): OccasionPlan | undefined =>
      occasionPlan({
        occasion: this.occasion,
        plans: this.plans,
        made,
        workload,
        starts: forward(backward, starts, this.backS),
        zeroS: this.zeroS,
        leastS,
      });
  }

  /** @param cut by how much each stay is taken for shorter than it is, s */
  private workload(
    made: OccasionWork,
    stayOf: (task: number) => number | undefined = () => undefined,
    cut: readonly number[] = [],
  ): Workload {
    const { zeroS } = this;
    const workload = withHolds(this.occasion, made, zeroS, workloadOf(this.occasion, made));
    return {
      ...workload,
      operations: workload.operations.map((operation, i) => ({ ...operation, stay: stayOf(i) })),
      stays: this.stays.map(({ from, to }, k) => ({
        from: from - zeroS,
        to: Math.max(from + 1, to - (cut[k] ?? 0)) - zeroS,
      })),
    };
  }
}

/** All in one stretch: it begins as late as is found. */
function* endSteps(improver: Improver, told: (starts: Starts, leastS: number) => OccasionPlan | undefined): Steps {
  let best = improver.best;
  let plan = best && told(best.starts, improver.leastS);
  for (let k = 0; k < ROUNDS && !improver.proven; k++) {
    if (k % ROUNDS_AT_A_TIME === 0) {
      if (best !== improver.best && improver.best) plan = told(improver.best.starts, improver.leastS);
      best = improver.best;
      yield { share: 0.3 + (0.7 * k) / ROUNDS, ...(plan ? { plan } : {}) };
    }
    improver.round();
  }
  improver.prove(PROOF_TURNS);
  plan = improver.best && told(improver.best.starts, improver.leastS);
  return plan ? { ok: true, plan } : { ok: false, why: { key: 'notFound', wouldTakeS: undefined } };
}

/** Over several stays: as few minutes in them as are found. */
function* thereSteps(
  backward: Workload,
  improver: Improver,
  told: (starts: Starts, leastS: number) => OccasionPlan | undefined,
): Steps {
  for (let k = 0; k < ROUNDS / 4; k++) improver.round();
  const search = new Attendance(backward, improver.best?.starts ?? [], SEED);
  let best = search.best;
  let plan = told(best.starts, search.leastS);
  for (let k = 0; k < ROUNDS_THERE; k++) {
    if (k % ROUNDS_AT_A_TIME === 0) {
      if (best !== search.best) plan = told(search.best.starts, search.leastS);
      best = search.best;
      yield { share: 0.4 + (0.6 * k) / ROUNDS_THERE, ...(plan ? { plan } : {}) };
    }
    search.round();
  }
  plan = told(search.best.starts, search.leastS);
  return plan ? { ok: true, plan } : { ok: false, why: { key: 'notFound', wouldTakeS: undefined } };
}

function workloadOf({ people, fridge, freezer }: Occasion, { work, bowls }: OccasionWork): Workload {
  return work.workload(
    { people, stays: [], fridgeM2: areaOf(fridge), freezerM2: areaOf(freezer) },
    ({ bowl }) => bowl !== undefined && bowls[bowl].way === 'microwave',
  );
}

const areaOf = (room: ShelfRoom | undefined): number | undefined => room && room.widthM * room.depthM;

/** The workload with what is held; what is held of a task that is not there any more is left out. */
function withHolds({ holds, due }: Occasion, { work }: OccasionWork, zeroS: number, workload: Workload): Workload {
  const at = new Map(
    holds.map(({ operation, at: local }) => [operation, dueSeconds({ local, zone: due.zone }) - zeroS]),
  );
  return {
    ...workload,
    operations: workload.operations.map((operation, i) => {
      const heldAt = at.get(work.keys[i]);
      return heldAt === undefined ? operation : { ...operation, heldAt };
    }),
  };
}

function impossibleHere(workload: Workload, occasion: Occasion, made: OccasionWork): NoTimetable | undefined {
  const { work } = made;
  const why = impossible(workload);
  if (why?.key === 'lags') return { key: 'contradiction', wouldTakeS: wouldTake(occasion, made) };
  if (why?.key === 'tooFewHours') return why;
  if (why?.key === 'tooLong' || why?.key === 'tooFewHands') return { key: 'tooLong', task: work.tasks[why.operation] };
  if (why?.key === 'tooMuch') {
    const { resource, amount } = workload.occupations[why.occupation];
    const place = workload.resources[resource].name === 'fridge' ? 'fridge' : 'freezer';
    const use = work.shelfUses.find((one) => one.place === place && one.m2 === amount);
    return { key: 'shelf', place, castingId: use?.castingId ?? '', m2: amount };
  }
  return undefined;
}

/** What it would take at a stretch, whenever that is, s. */
function wouldTake(occasion: Occasion, made: OccasionWork): number | undefined {
  const workload = reversed(workloadOf(occasion, made), AT_MOST_S);
  const improver = new Improver(workload, SEED);
  return improver.first(TRIES) === 'found' ? improver.best?.endS : undefined;
}
