import { dueSeconds } from '../record/due';
import type { Occasion } from '../record/occasion';
import type { CastingPlan } from '../plan/plan-types';
import { Attendance } from '../schedule/attend';
import { impossible } from '../schedule/impossible';
import { Improver } from '../schedule/improve';
import { forward, reversed } from '../schedule/reversed';
import { byHandsS, type Starts, type Stay, type Workload } from '../schedule/workload';
import type { NoTimetable, OccasionAnswer, OccasionProgress, Steps } from './occasion-answer';
import { impossibleOf } from './occasion-impossible';
import { occasionPlan, type OccasionPlan } from './occasion-plan';
import { endSteps, roughly, AT_MOST_S, ROUNDS_AT_A_TIME, SEED, thereSteps, TRIES } from './occasion-rounds';
import type { Asked, Begun } from './occasion-begun';
import type { KeptTimetable } from './kept-timetable';
import { WORKED_FROM_S } from './bowls';
import { longStretches, middleOf, withBreakAt } from './breaks';
import { MeltsAnew } from './melts-anew';
import { occasionWork, type OccasionWork, type Together } from './occasion-work';
import { withHolds, workloadOf } from './occasion-workload';
import { beyond, tried, widened, type Wider } from './wider';

/** How often it is found out anew what is done in which stay, and in how many rounds. */
const STARTS_ANEW = 4;
const ROUNDS_ANEW = 250;
/** To have something at another time it is tried to move what hangs on it alone, then so many others near it; at last as many as go. */
const MOVED_WITH = [0, 3, ...Array.from({ length: 12 }, () => undefined)];

/** The same where stays are longer, or bowls melted anew: what is in its way moves as well. */
const ROOM_WITH = [3, undefined, undefined];

/** A timetable to go on from, told backward, and what of it is taken anew in any case. */
interface From {
  readonly starts: Starts;
  readonly anew: readonly number[];
}

const NOT_FOUND: OccasionAnswer = { ok: false, why: { key: 'notFound', help: {} } };

/** The search for an occasion's timetable, by one kind of its work after another. */
export class Search {
  private readonly backS: number;
  private readonly zeroS: number;
  /** What was moved does not go with the rest in its order, nor do its bowls last for all of it. */
  private from: From | undefined;

  constructor(
    private readonly occasion: Occasion,
    private readonly plans: readonly CastingPlan[],
    private readonly stays: readonly Stay[],
    private readonly together: Together,
    private readonly kept: KeptTimetable,
  ) {
    const dueS = dueSeconds(occasion.due);
    this.backS = Math.max(AT_MOST_S, ...stays.map(({ from }) => dueS - from));
    this.zeroS = dueS - this.backS;
  }

  *steps(made: OccasionWork): Steps {
    const begun = this.begun({ made });
    const { workload, improver } = begun;
    const why = this.impossible(workload, made);
    if (why) return { ok: false, why };
    if (this.from) return NOT_FOUND;
    // What is by hands alone more than a bowl lasts has little hope of one bowl for all that is alike.
    const hopeful = !this.canBeApart(made) || byHandsS(workload) <= WORKED_FROM_S;
    const first = hopeful ? improver.first(TRIES) : improver.first(0, 1);
    if (first !== 'found') return NOT_FOUND;
    return yield* this.bettered(begun);
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
   * which it is worked from. Goes on from the timetable that there was, where it had bowls melted anew.
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
      const from = k === 0 ? this.from : undefined;
      const one = this.lasting(lasting, cut, SEED + k, from);
      if (!one) {
        cut = none;
        continue;
      }
      let tried: Starts | undefined;
      for (let round = 0; round < ROUNDS_ANEW; round++) {
        if (round % ROUNDS_AT_A_TIME === 0) {
          // The first that has room for all melts is shown.
          const { starts } = one.search.best;
          if (!anew && tried !== starts) anew = this.anew(one.melts, starts, from ? ROOM_WITH : []);
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

  /** A search for what is done in which stay, as if bowls lasted for ever. @param from what melts anew and breaks were added to, after all else */
  private lasting(made: OccasionWork, cut: readonly number[], seed: number, from: From | undefined) {
    const workload = this.workload({ made }, [...cut].reverse());
    if (impossible(workload)) return undefined;
    const backward = reversed(workload, this.backS);
    const improver = new Improver(backward, seed);
    const { length } = made.work.tasks;
    const anew = from?.anew.filter((task) => task < length);
    if (from && anew) takenOver(improver, from.starts.slice(0, length), anew, MOVED_WITH);
    if (!improver.best && improver.first(TRIES) !== 'found') return undefined;
    const melts = new MeltsAnew(made, backward, cut, this.occasion.breakS);
    return {
      search: new Attendance(backward, improver.best?.starts ?? [], seed, (starts) => melts.costS(starts)),
      melts,
    };
  }

  private impossible(workload: Workload, made: OccasionWork): NoTimetable | undefined {
    return impossibleOf(workload, made, this.zeroS, this.backS);
  }

  /**
   * The timetable found as if bowls lasted for ever, with each melted anew; undefined where the stays have no room for that.
   * @param others in the order in which it was found, or with the melts and so many others taken anew
   */
  private anew(melts: MeltsAnew, found: Starts, others: readonly (number | undefined)[] = []) {
    const { made, stayOf, starts } = melts.made(found);
    const anew = this.begun({ made, stayOf });
    const { improver, backward } = anew;
    improver.takeOver(starts);
    const melted = made.work.tasks.flatMap(({ bowl }, task) => (bowl === undefined ? [] : [task]));
    if (!improver.best) takenOver(improver, starts, melted, others);
    if (!improver.best) return undefined;
    return { ...anew, plan: this.teller(anew)(improver.best.starts, byHandsS(backward)) };
  }

  private begun(asked: Asked): Begun {
    const workload = this.workload(asked);
    const backward = reversed(workload, this.backS);
    return { ...asked, workload, backward, improver: new Improver(backward, SEED) };
  }

  /** What is found in the rounds that there are, with the breaks that are wanted. @param about about what is found in the end, where that is known */
  private *bettered(begun: Begun, about?: Starts): Steps {
    return yield* this.rounds(this.occasion.breakS > 0 ? yield* this.withBreaks(begun, about) : begun);
  }

  /** @param goesOn from a timetable that was searched for to the end */
  private *rounds(begun: Begun, goesOn = false): Steps {
    const told = this.teller(begun, goesOn);
    return yield* this.stays.length > 1 ? thereSteps(begun, told, goesOn) : endSteps(begun, told);
  }

  /**
   * Goes on from the timetable that was told last, where nothing but what is held has changed: the rest is worked out around it, near to how it was.
   * Undefined where that does not do, and it is to be searched from the beginning.
   */
  *moved(): Generator<OccasionProgress, OccasionAnswer | undefined> {
    const same = this.kept.sameOf(this.occasion, this.plans);
    const plan = same && this.teller(this.begun(same.asked))(same.starts, same.leastS);
    if (plan) return { ok: true, plan };
    const last = this.kept.lastOf(this.occasion, this.plans);
    if (!last) return undefined;
    const begun = this.begun(last.asked);
    const { workload, made, backward, improver } = begun;
    const hopeless = this.impossible(workload, made) !== undefined;
    const { operations, lags } = backward;
    const starts = last.starts.map((start, i) => operations[i].heldAt ?? start);
    const away = starts.flatMap((start, i) => (start === last.starts[i] ? [] : [i]));
    const hanging = lags.flatMap(({ from, to }) => (away.includes(from) || away.includes(to) ? [from, to] : []));
    const near = [...new Set([...away, ...hanging])];
    if (!hopeless && away.length === 0) improver.takeOver(starts);
    else if (!hopeless) takenOver(improver, starts, near, MOVED_WITH);
    if (improver.best) return yield* this.rounds(begun, true);
    if (made.work.tasks.some(({ again }) => again)) this.from = { starts, anew: near };
    yield { share: 0, unfit: {} };
    const wider = this.wider(last.asked, starts, near);
    if (wider) yield { share: 0, unfit: { wider } };
    return undefined;
  }

  /** What is held does not go with the rest: which stay would have to be longer for it; undefined where that would not do either. */
  private wider(asked: Asked, starts: Starts, anew: readonly number[]): Wider | undefined {
    const workload = this.workload(asked);
    for (const how of tried(workload.stays)) {
      const wide = { ...workload, stays: widened(workload.stays, how, this.backS) };
      if (impossible(wide)) continue;
      const backward = reversed(wide, this.backS);
      const { best } = takenOver(new Improver(backward, SEED), starts, anew, ROOM_WITH);
      if (best) return beyond(this.stays, how, wide, forward(backward, best.starts, this.backS), this.zeroS);
    }
    return undefined;
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
      const withIt = this.begun(asked);
      const { improver } = withIt;
      const fits =
        orders.some((order) => improver.takeOver(order)) || orders.some((order) => improver.takeOver(order, [task]));
      if (!fits || !improver.best) continue;
      found = withIt;
      starts = improver.best.starts;
    }
    return found;
  }

  private teller(begun: Begun, goesOn = false) {
    const { made, workload, backward } = begun;
    return (starts: Starts, leastS: number): OccasionPlan | undefined => {
      const plan = occasionPlan({
        occasion: this.occasion,
        plans: this.plans,
        made,
        workload,
        starts: forward(backward, starts, this.backS),
        zeroS: this.zeroS,
        leastS,
      });
      if (plan) this.kept.keep(this.occasion, this.plans, { asked: begun, starts, leastS });
      if (plan && goesOn) this.kept.settle(false);
      return plan;
    };
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

/** Goes on from a timetable with ever more of it taken anew, until that does. @param anew what is taken anew in any case @param others so many others */
function takenOver(
  improver: Improver,
  starts: Starts,
  anew: readonly number[],
  others: readonly (number | undefined)[],
): Improver {
  others.some((count) => improver.takeOver(starts, anew, count));
  return improver;
}
