import { dueSeconds } from '../record/due';
import type { Casting } from '../record/casting';
import type { Occasion, ShelfRoom } from '../record/occasion';
import type { CastingPlan } from '../plan/plan-types';
import { Attendance } from '../schedule/attend';
import { heldOutside } from '../schedule/held';
import { impossible } from '../schedule/impossible';
import { Improver } from '../schedule/improve';
import { forward, reversed } from '../schedule/reversed';
import { byHandsS, type Starts, type Stay, type Workload } from '../schedule/workload';
import type { Help, NoTimetable, OccasionAnswer, OccasionProgress, Steps } from './occasion-answer';
import { occasionPlan, type OccasionPlan } from './occasion-plan';
import { endSteps, roughly, ROUNDS_AT_A_TIME, SEED, thereSteps, type Rounds } from './occasion-rounds';
import { isMelted, WORKED_FROM_S } from './bowls';
import { longStretches, middleOf, withBreakAt } from './breaks';
import { MeltsAnew } from './melts-anew';
import { occasionWork, type OccasionWork, type Together } from './occasion-work';

/** How often it is found out anew what is done in which stay, and in how many rounds. */
const STARTS_ANEW = 4;
const ROUNDS_ANEW = 250;
/** Tries at a first timetable, of those that the search has. */
const TRIES = 3;
/** One more mold is worth telling of where it saves so much, s. */
const WORTH_S = 300;
/** A timetable begins no longer than this before the event, s. */
const AT_MOST_S = 30 * 86_400;

/** Work to be searched for a timetable: in which stay some of it is done, and between which moments, s, where that is said. */
interface Asked {
  readonly made: OccasionWork;
  readonly stayOf?: ((task: number) => number | undefined) | undefined;
  readonly within?: ReadonlyMap<number, Stay> | undefined;
}

/** A search that has a first timetable of that. */
interface Begun extends Asked, Rounds {
  readonly workload: Workload;
}

/** The search for an occasion's timetable, by one kind of its work after another. */
export class Search {
  private readonly backS: number;
  private readonly zeroS: number;

  constructor(
    private readonly occasion: Occasion,
    private readonly plans: readonly CastingPlan[],
    private readonly stays: readonly Stay[],
    private readonly together: Together,
    private readonly planned: (casting: Casting) => CastingPlan,
  ) {
    const dueS = dueSeconds(occasion.due);
    this.backS = Math.max(AT_MOST_S, ...stays.map(({ from }) => dueS - from));
    this.zeroS = dueS - this.backS;
  }

  *steps(made: OccasionWork): Steps {
    const workload = this.workload({ made });
    const why = this.impossible(workload, made);
    if (why) return { ok: false, why };
    const backward = reversed(workload, this.backS);
    const improver = new Improver(backward, SEED);
    // What is by hands alone more than a bowl lasts has little hope of one bowl for all that is alike.
    const hopeful = !this.canBeApart(made) || byHandsS(workload) <= WORKED_FROM_S;
    const first = hopeful ? improver.first(TRIES) : improver.first(0, 1);
    if (first !== 'found') return { ok: false, why: { key: 'notFound', help: {} } };
    return yield* this.bettered({ made, workload, backward, improver });
  }

  /** One bowl for each melt, where some were shared. */
  *apart(made: OccasionWork): Generator<OccasionProgress, OccasionAnswer | undefined> {
    if (!this.canBeApart(made)) return undefined;
    const own = occasionWork(this.plans, { ...this.together, melting: 'apart' });
    return 'key' in own ? undefined : yield* this.steps(own);
  }

  private canBeApart({ bowls }: OccasionWork): boolean {
    return this.stays.length <= 1 && bowls.some(({ uses }) => uses.length > 1);
  }

  /**
   * As if bowls lasted for ever it is found what is done in which stay, what melting anew takes counted in; then each is melted anew in every stay in
   * which it is worked from.
   */
  *meltedAnew(): Generator<OccasionProgress, OccasionAnswer | undefined> {
    const lasting = occasionWork(this.plans, { ...this.together, lastS: Infinity });
    if ('key' in lasting) return undefined;
    const why = this.impossible(this.workload({ made: lasting }), lasting);
    if (why?.key === 'held') return { ok: false, why };
    let leastS = Infinity;
    let anew: ReturnType<Search['anew']>;
    const none: readonly number[] = this.stays.map(() => 0);
    let cut = none;
    for (let k = 0; k < STARTS_ANEW; k++) {
      const one = this.lasting(lasting, cut, SEED + k);
      if (!one) {
        cut = none;
        continue;
      }
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
    return anew && (yield* this.bettered(anew, anew.improver.best?.starts));
  }

  /** A search for what is done in which stay, as if bowls lasted for ever. */
  private lasting(made: OccasionWork, cut: readonly number[], seed: number) {
    const workload = this.workload({ made }, [...cut].reverse());
    if (impossible(workload)) return undefined;
    const backward = reversed(workload, this.backS);
    const improver = new Improver(backward, seed);
    if (improver.first(TRIES) !== 'found') return undefined;
    const melts = new MeltsAnew(made, backward, cut, this.occasion.breakS);
    return {
      search: new Attendance(backward, improver.best?.starts ?? [], seed, (starts) => melts.costS(starts)),
      melts,
    };
  }

  /** What would help: to have it at one stretch, and one more of the mold that is in use for longest. */
  help(made: OccasionWork): Help {
    const takesS = this.takes(made);
    if (takesS === undefined) return {};
    const stretch = { takesS, startS: this.zeroS + this.backS - takesS };
    const mold = this.oneMore(made, takesS);
    return mold ? { stretch, mold } : { stretch };
  }

  /** What it takes at a stretch, whenever that is, s. */
  private takes(made: OccasionWork): number | undefined {
    const improver = new Improver(reversed(workloadOf(this.occasion, made), AT_MOST_S), SEED);
    return improver.first(TRIES) === 'found' ? improver.best?.endS : undefined;
  }

  private oneMore({ work }: OccasionWork, takesS: number): Help['mold'] {
    const used = new Map<string, number>();
    for (const { moldId, from, to } of work.moldUses)
      used.set(moldId, (used.get(moldId) ?? 0) + work.earliest[to] - work.earliest[from]);
    const [moldId] = [...used].sort((a, b) => b[1] - a[1]).at(0) ?? [];
    let name = '';
    const plans = this.plans.map((plan) => {
      const mold = plan.casting.molds.find(({ id }) => id === moldId);
      if (!mold) return plan;
      ({ name } = mold);
      const molds = plan.casting.molds.map((one) => (one === mold ? { ...one, atHand: one.atHand + 1 } : one));
      return this.planned({ ...plan.casting, molds });
    });
    const made = occasionWork(plans, this.together);
    const withIt = 'key' in made ? undefined : this.takes(made);
    return withIt !== undefined && withIt < takesS - WORTH_S ? { name, takesS: withIt } : undefined;
  }

  private impossible(workload: Workload, { work }: OccasionWork): NoTimetable | undefined {
    const held = heldOutside(workload, this.backS);
    if (held) {
      const task = work.tasks[held.operation];
      return { key: 'held', task, earliestS: this.zeroS + held.earliest, latestS: this.zeroS + held.latest };
    }
    const why = impossible(workload);
    switch (why?.key) {
      case undefined:
        return undefined;
      case 'lags':
        return { key: 'contradiction', help: {} };
      case 'tooFewHours':
        return why;
      case 'tooLong':
      case 'tooFewHands':
        return { key: 'tooLong', task: work.tasks[why.operation] };
      case 'tooMuch': {
        const { resource, amount } = workload.occupations[why.occupation];
        const place = workload.resources[resource].name === 'fridge' ? 'fridge' : 'freezer';
        const use = work.shelfUses.find((one) => one.place === place && one.m2 === amount);
        return { key: 'shelf', place, castingId: use?.castingId ?? '', m2: amount };
      }
    }
  }

  /** The timetable found as if bowls lasted for ever, with each melted anew; undefined where the stays have no room for that. */
  private anew(melts: MeltsAnew, found: Starts) {
    const { made, stayOf, starts } = melts.made(found);
    const anew = this.takenOver({ made, stayOf }, [starts]);
    if (!anew) return undefined;
    const search = new Attendance(anew.backward, anew.improver.best?.starts ?? [], SEED);
    return { ...anew, plan: this.teller(anew)(search.best.starts, search.leastS) };
  }

  /** A search that goes on from the first of some orders in which there is a timetable. @param loose the same with some operations in any order */
  private takenOver(asked: Asked, orders: readonly Starts[], loose: readonly number[] = []): Begun | undefined {
    const workload = this.workload(asked);
    const backward = reversed(workload, this.backS);
    const improver = new Improver(backward, SEED);
    const found =
      orders.some((starts) => improver.takeOver(starts)) ||
      (loose.length > 0 && orders.some((starts) => improver.takeOver(starts, loose)));
    return found ? { ...asked, workload, backward, improver } : undefined;
  }

  /** What is found in the rounds that there are, with the breaks that are wanted. @param about about what is found in the end, where that is known */
  private *bettered(begun: Begun, about?: Starts): Steps {
    const whole = this.occasion.breakS > 0 ? yield* this.withBreaks(begun, about) : begun;
    const told = this.teller(whole);
    return yield* this.stays.length > 1 ? thereSteps(whole, told) : endSteps(whole, told);
  }

  /** Once it is about known when somebody is there, a break is put into the middle of each long stretch that has room for it. */
  private *withBreaks(begun: Begun, about?: Starts): Generator<OccasionProgress, Begun> {
    const { breakS } = this.occasion;
    let found = begun;
    let starts = about ?? (yield* roughly(begun, this.stays.length > 1));
    // Told backward the last stretch comes first: breaks are counted from the first on.
    for (const stretch of [...longStretches(begun.backward, starts)].reverse()) {
      const work = found.made.work.copy();
      const task = work.add({ castingId: undefined, kind: 'break', handsOn: true, seconds: breakS });
      const middle = middleOf(stretch, breakS);
      const within = new Map([
        ...(found.within ?? []),
        [task, { from: this.backS - middle.to, to: this.backS - middle.from }],
      ]);
      const asked = { ...found, made: { ...found.made, work }, within };
      const orders = withBreakAt(found.backward, starts, stretch, breakS);
      const withIt = this.takenOver(asked, orders, [task]);
      if (!withIt) continue;
      found = withIt;
      starts = withIt.improver.best?.starts ?? starts;
    }
    return found;
  }

  private teller({ made, workload, backward }: Begun) {
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
  private workload({ made, stayOf, within }: Asked, cut: readonly number[] = []): Workload {
    const { zeroS } = this;
    const workload = withHolds(this.occasion, made, zeroS, workloadOf(this.occasion, made));
    return {
      ...workload,
      operations: workload.operations.map((operation, i) => ({
        ...operation,
        stay: stayOf?.(i),
        // What is held is where it is held.
        within: operation.heldAt === undefined ? within?.get(i) : undefined,
      })),
      stays: this.stays.map(({ from, to }, k) => ({
        from: from - zeroS,
        to: Math.max(from + 1, to - (cut[k] ?? 0)) - zeroS,
      })),
    };
  }
}

function workloadOf({ people, fridge, freezer }: Occasion, { work, bowls }: OccasionWork): Workload {
  return work.workload(
    { people, stays: [], fridgeM2: areaOf(fridge), freezerM2: areaOf(freezer) },
    ({ bowl, again }) => bowl !== undefined && isMelted(bowls[bowl], again) && bowls[bowl].way === 'microwave',
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
