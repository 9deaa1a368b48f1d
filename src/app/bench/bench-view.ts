import { Injectable, computed, effect, inject, signal, untracked } from '@angular/core';
import { CHOCOLATE_MATTER } from '../../core/matter/chocolate';
import { chocolateOf, meltOf } from '../../core/record/references';
import { meltStation } from '../../core/melt/melt';
import { isMelted } from '../../core/occasion/bowls';
import { bowlsNow, inputOf, type BowlNow } from '../../core/run/bowl-left';
import type { RunClock } from '../../core/run/at-hand';
import { nudgeOfBowl, nudgeOfWait, type Nudge } from '../../core/run/nudges';
import type { Run } from '../../core/run/run-record';
import type { RunWait } from '../../core/run/run-waits';
import { Units } from '../state/units';
import {
  callsText,
  clockTitle,
  countText,
  howText,
  placesText,
  readySign,
  standText,
  stepAt,
  waitText,
} from '../wording/bench';
import { stepWordings, type StepWording } from '../wording/melting';
import { spoons, text } from '../wording/format';
import { amountsText, letterOf, reasonText, taskText, whoseText, type Told } from '../wording/occasion';
import { toldOf } from '../wording/marks';
import { timeText } from '../wording/times';
import { Bell } from './bell';
import { BenchRun } from './bench-run';

/** A bowl's temperature and what is left of it are worked out anew after so long, s: it cools by a tenth of a degree in about that. */
const BOWL_EVERY_S = 5;
/** How far a wait has run is drawn in so many steps. */
const SHARES = 200;
/** Shorter than this until a bowl is too thick, it is told, s. */
const SOON_THICK_S = 120;

/** Why something is done now is told by what it waited for, or what waits for it. */
const WHY: ReadonlySet<string> = new Set(['after', 'before', 'held']);

interface Standing {
  readonly clock: RunClock;
  /** At which of its steps it is, from 0. */
  readonly at: number;
}

const isToldAlike = (a: Standing, b: Standing): boolean =>
  a.at === b.at &&
  a.clock.wait === b.clock.wait &&
  a.clock.dueS === b.clock.dueS &&
  a.clock.latestS === b.clock.latestS &&
  a.clock.turnsS[a.at] === b.clock.turnsS[b.at];

/** The open run in words: what is at hand, what runs, how the bowls stand. */
@Injectable()
export class BenchView {
  readonly bench = inject(BenchRun);
  private readonly units = inject(Units);
  private readonly bell = inject(Bell);
  /** What was called last and has not been answered. */
  readonly called = signal('');
  /** By wait or bowl, how many times it has been due to be looked after. */
  private readonly nudged = new Map<string, number>();
  /** Calls that are being noted. */
  private readonly calling = new Set<string>();

  readonly zone = computed(() => this.bench.run()?.zone ?? 'UTC');
  readonly told = computed<Told>(() => toldOf(this.bench.run(), this.units.system()));

  /** Told anew only when something else is at hand. */
  private readonly atHand = computed(
    () => {
      const hand = this.bench.atHand();
      const waited = (task: number): RunWait | undefined => hand?.clocks.find(({ wait }) => wait.to === task)?.wait;
      return (hand?.now ?? []).map(({ task }) => ({ task, wait: waited(task) }));
    },
    { equal: (a, b) => a.length === b.length && a.every((one, i) => one.task === b[i].task && one.wait === b[i].wait) },
  );

  /** What is done now, of each pair of hands one. */
  readonly now = computed(() => {
    const run = this.bench.run();
    if (!run) return [];
    return this.atHand().map(({ task: i, wait }) => {
      const task = run.tasks[i];
      const told = this.told();
      return {
        key: task.key,
        what: taskText(task, told),
        whose: run.castings.length > 1 ? whoseText(task, told) : '',
        amounts: [amountsText(task, told), this.spooned(run, i)].filter((part) => part !== '').join(', '),
        how: howText(run, task),
        melt: this.meltSteps(run, i),
        why: WHY.has(task.reason.key) ? reasonText(task, run, told) : '',
        takes: text(task.seconds, 'duration', told.system),
        ready: wait && readySign(run, wait),
      };
    });
  });

  /** What comes after, and from when: told anew when another minute is told. */
  private readonly comingUp = computed(
    () => (this.bench.atHand()?.next ?? []).map(({ task, startS }) => ({ task, minute: Math.floor(startS / 60) })),
    {
      equal: (a, b) =>
        a.length === b.length && a.every((one, i) => one.task === b[i].task && one.minute === b[i].minute),
    },
  );
  readonly next = computed(() => {
    const run = this.bench.run();
    if (!run) return [];
    return this.comingUp().map(({ task: i, minute }) => ({
      key: run.tasks[i].key,
      at: timeText(minute * 60, run.zone),
      what: taskText(run.tasks[i], this.told()),
      whose: run.castings.length > 1 ? whoseText(run.tasks[i], this.told()) : '',
    }));
  });

  /** How long nothing is to be done by hand. */
  readonly untilNext = computed(() => {
    const [next] = this.bench.atHand()?.next ?? [];
    return next ? countText(next.startS - this.bench.nowS()) : '';
  });

  /** The clocks by what their words say: other ones when another time or place is told, not by the second. */
  private readonly standing = computed(
    () =>
      (this.bench.atHand()?.clocks ?? []).map((clock): Standing => ({ clock, at: stepAt(clock, this.bench.nowS()) })),
    { equal: (a, b) => a.length === b.length && a.every((one, i) => isToldAlike(one, b[i])) },
  );
  private readonly clockWords = computed(() => {
    const run = this.bench.run();
    return run ? this.standing().map(({ clock, at }) => this.wordsOf(run, clock, at)) : [];
  });
  readonly clocks = computed(() => {
    const [run, hand, nowS, words] = [this.bench.run(), this.bench.atHand(), this.bench.nowS(), this.clockWords()];
    return run && hand ? hand.clocks.map((clock, i) => ({ ...words[i], ...this.countOf(run, clock, nowS) })) : [];
  });
  /** The next clock, for the browser’s own row of tabs. */
  readonly nextClock = computed(() => {
    const [first] = this.bench.atHand()?.clocks ?? [];
    return first && clockTitle(this.clockWords()[0].name, first.dueS - this.bench.nowS());
  });

  private readonly bowlsAtS = computed(() => Math.floor(this.bench.nowS() / BOWL_EVERY_S) * BOWL_EVERY_S);
  /** The bowls that are melted and not used up, worked out anew every few seconds. */
  readonly bowlsNow = computed(() => {
    const run = this.bench.run();
    return run ? bowlsNow(run, this.bench.state(), this.bowlsAtS()) : [];
  });
  readonly bowls = computed(() => {
    const run = this.bench.run();
    return run ? this.bowlsNow().map((now) => this.bowlOf(run, now)) : [];
  });
  /** When each bowl is to be stirred or kneaded next. */
  readonly bowlNudges = computed(() => {
    const run = this.bench.run();
    const nudges = new Map<number, Nudge>();
    if (run) for (const now of this.bowlsNow()) nudges.set(now.bowl, nudgeOfBowl(run, now, this.bench.nowS()));
    return nudges;
  });

  /** How it stands against the plan. */
  readonly stand = computed(() => {
    const [run, followed] = [this.bench.run(), this.bench.followed()];
    if (!run || !followed) return '';
    const plannedS = this.bench.asBegun()?.readyS ?? followed.readyS;
    return standText(plannedS, followed.readyS, run.zone, this.units.system());
  });
  readonly isLate = computed(() => {
    const [run, followed] = [this.bench.run(), this.bench.followed()];
    return run !== undefined && followed !== undefined && followed.readyS > run.dueS + 60;
  });

  constructor() {
    effect(() => {
      const [run, hand] = [this.bench.run(), this.bench.atHand()];
      if (!run || !hand || !this.bench.loaded() || !this.bench.lead.leads() || this.bench.isOver()) return;
      const wanted = hand.clocks.filter(({ rings }) => rings !== undefined);
      if (wanted.length > 0) untracked(() => void this.call(run, wanted));
    });
    effect(() => {
      const ofWaits = this.clocks().map(({ key, nudge }) => [key, nudge] as const);
      const ofBowls = [...this.bowlNudges()].map(([bowl, nudge]) => [String(bowl), nudge] as const);
      if (this.bench.lead.leads() && !this.bench.isOver()) this.nudgeOn([...ofWaits, ...ofBowls]);
    });
  }

  /** Told by a short note when it is due once more; not what was due before the page was opened. */
  private nudgeOn(nudges: readonly (readonly [string, Nudge | undefined])[]): void {
    for (const [key, one] of nudges) {
      const before = this.nudged.get(key);
      if (one) this.nudged.set(key, one.times);
      if (one && before !== undefined && one.times > before) this.bell.nudge();
    }
  }

  letter(castingId: string | undefined): string {
    const index = this.told().castings.findIndex(({ id }) => id === castingId);
    return this.told().castings.length > 1 && index >= 0 ? letterOf(index) : '';
  }

  /** Calls are noted first, so that no other tab and no later visit makes them again; what is wanted at once is one call. */
  private async call(run: Run, clocks: readonly RunClock[]): Promise<void> {
    const anew = clocks.flatMap((clock) => {
      const at = clock.rings;
      const key = `${at} ${clock.wait.key}`;
      return at && !this.calling.has(key) ? [{ clock, at, key }] : [];
    });
    if (anew.length === 0) return;
    for (const { key } of anew) this.calling.add(key);
    await Promise.all(anew.map(({ clock, at }) => this.bench.note({ kind: 'rung', wait: clock.wait.key, at })));
    for (const { key } of anew) this.calling.delete(key);
    const said = callsText(
      run,
      anew.map(({ clock }) => clock),
      this.told(),
    );
    this.called.set(said);
    this.bell.ring(
      said,
      anew.some(({ at }) => at === 'latest'),
    );
  }

  private bowlOf(run: Run, now: BowlNow) {
    const { system } = this.told();
    const { name, colour } = run.bowls[now.bowl];
    const warm =
      Number.isFinite(now.warmS) && now.warmS > 0 ? `, ${text(now.warmS, 'duration', system)} of warming` : '';
    return {
      bowl: now.bowl,
      name,
      colour,
      c: text(now.c, 'temperature', system),
      nowC: Math.round(now.c * 10) / 10,
      leftKg: Math.round(now.leftKg * 1000) / 1000,
      by: now.read ? `measured ${timeText(now.read.atS, run.zone)}` : 'reckoned, not measured yet',
      left: `${text(now.leftKg, 'mass', system)} left, ${text(now.wantedKg, 'mass', system)} wanted`,
      short: now.leftKg < now.wantedKg,
      cool: now.workableS <= SOON_THICK_S,
      keeps:
        now.workableS === 0
          ? `too thick to cast by now${warm}`
          : Number.isFinite(now.workableS)
            ? `too thick in ${text(now.workableS, 'duration', system)}`
            : 'stays thin enough here',
    };
  }

  private wordsOf(run: Run, clock: RunClock, at: number) {
    const { wait, dueS, latestS } = clock;
    const own = run.tasks[wait.from];
    const until = `until ${timeText(dueS, run.zone)}`;
    return {
      key: wait.key,
      letter: this.letter(own.castingId),
      name: waitText(run, wait, this.told()),
      whose: run.castings.length > 1 ? whoseText(own, this.told()) : '',
      places: placesText(clock, at, run.zone),
      until: latestS !== undefined && latestS > dueS ? `${until}, at the latest ${timeText(latestS, run.zone)}` : until,
    };
  }

  private countOf(run: Run, clock: RunClock, nowS: number) {
    const { sinceS, dueS, latestS } = clock;
    const left = dueS - nowS;
    return {
      count: left > 0 ? countText(left) : `+${countText(left)}`,
      nudge: nudgeOfWait(run, clock, nowS),
      share: Math.round(SHARES * Math.min(1, Math.max(0, (nowS - sinceS) / Math.max(1, dueS - sinceS)))) / SHARES,
      over: left <= 0,
      late: latestS !== undefined && nowS >= latestS,
    };
  }

  /** How a bowl is melted, step by step; nothing where it is made of what another leaves. */
  private meltSteps(
    run: Run,
    i: number,
  ): { readonly lots: string; readonly steps: readonly StepWording[] } | undefined {
    const { bowl, again } = run.tasks[i];
    const input =
      bowl === undefined || !isMelted(run.bowls[bowl], again) ? undefined : inputOf(run, bowl, run.bowls[bowl].kg);
    if (!input) return undefined;
    const system = this.units.system();
    const { lots, perLotKg, plan } = meltStation(input);
    return {
      lots: lots > 1 ? `${lots} bowlfuls of ${text(perLotKg, 'mass', system)}, each:` : '',
      steps: stepWordings(plan.steps, input.way, system),
    };
  }

  /** What a dose of chocolate comes to in spoons, where it is dosed one by one. */
  private spooned(run: Run, i: number): string {
    const { kind, amounts, castingId, meltIds = [] } = run.tasks[i];
    const [amount] = amounts;
    const casting = run.castings.find(({ id }) => id === castingId);
    if (kind !== 'coat' || !amount || !casting || meltIds.length === 0 || amounts.length > 1) return '';
    const { kind: chocolate } = chocolateOf(casting, meltOf(casting, meltIds[0]));
    const { number, unit } = spoons((amount.pouredKg ?? amount.eachKg) / CHOCOLATE_MATTER[chocolate].meltedDensity);
    return `about ${number} ${unit} each`;
  }
}
