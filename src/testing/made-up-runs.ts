import * as fc from 'fast-check';
import { clocksOf } from '../core/run/at-hand';
import { follow } from '../core/run/following';
import type { Mark, NewMark } from '../core/run/mark';
import { rungKey, runState } from '../core/run/run-state';
import { BEGINS_S } from './made-run';
import { MadeUpProbe, PROBE_HAPPENINGS, type ProbeHappening } from './made-up-probe';
import { Store, Tab, run, type Time } from './made-up-tabs';

/** What can happen at a moment of a run; what a number says is taken from it. */
export type Happening =
  | { readonly what: 'done' | 'longer' | 'measure' | 'takeBack' | 'reload' | 'tab' | 'takeOver' | 'full' | 'free' }
  | { readonly what: 'pass'; readonly s: number }
  | { readonly what: 'sleep'; readonly s: number }
  | { readonly what: 'clockSet'; readonly s: number }
  | { readonly what: 'kill'; readonly written: boolean }
  | { readonly what: ProbeHappening };

const DAY_S = 86_400;

export const happenings: fc.Arbitrary<readonly Happening[]> = fc.array(
  fc.oneof(
    { weight: 8, arbitrary: fc.constant<Happening>({ what: 'done' }) },
    { weight: 8, arbitrary: fc.integer({ min: 1, max: 900 }).map((s): Happening => ({ what: 'pass', s })) },
    {
      weight: 6,
      arbitrary: fc.constantFrom<Happening>(
        { what: 'longer' },
        { what: 'measure' },
        { what: 'takeBack' },
        { what: 'reload' },
        { what: 'tab' },
        { what: 'takeOver' },
        { what: 'full' },
        { what: 'free' },
      ),
    },
    {
      weight: 3,
      arbitrary: fc.constantFrom(...PROBE_HAPPENINGS).map((what): Happening => ({ what })),
    },
    { weight: 2, arbitrary: fc.boolean().map((written): Happening => ({ what: 'kill', written })) },
    { weight: 1, arbitrary: fc.integer({ min: 10, max: 3 * 3600 }).map((s): Happening => ({ what: 'sleep', s })) },
    { weight: 1, arbitrary: fc.integer({ min: -DAY_S, max: DAY_S }).map((s): Happening => ({ what: 'clockSet', s })) },
  ),
  { minLength: 5, maxLength: 40 },
);

/** How often each thing happened. */
export type Counts = Record<string, number>;

/** How a property of made-up runs is looked at: always in the same order. */
export const IN_ORDER = { seed: 19 } as const;

/**
 * Goes through a made-up run, and sees after each happening that every mark that was shown as stored is there, in its order, once; that no call is made twice
 * and none is left out; that the state is the fold of what is stored; that what runs has its true time left; and that a probe's reading counts only where it is that of the bowl.
 * @throws where it is not so
 */
export async function goThrough(all: readonly Happening[], counts: Counts = {}): Promise<void> {
  const kitchen = new Kitchen();
  for (const one of all) {
    counts[one.what] = (counts[one.what] ?? 0) + 1;
    await kitchen.happen(one);
    await kitchen.ring();
    kitchen.check();
  }
  counts['marks'] = (counts['marks'] ?? 0) + kitchen.marks;
  counts['calls'] = (counts['calls'] ?? 0) + kitchen.calls;
}

class Kitchen {
  private readonly store = new Store();
  private readonly time: Time = { trueS: BEGINS_S, wallMs: BEGINS_S * 1000, countMs: 0 };
  private readonly probe = new MadeUpProbe();
  private readonly tabs: Tab[] = [new Tab(this.store, this.time)];
  private leader = 0;
  private ids = 0;
  /** Marks that a screen has shown as stored. */
  private readonly confirmed: string[] = [];
  /** When each task was done in truth. */
  private readonly trulyDoneS = new Map<string, number>();
  private timeIsKnown = true;
  private readonly rings = new Map<string, number>();

  get marks(): number {
    return this.store.rows.length;
  }

  get calls(): number {
    return [...this.rings.values()].reduce((sum, n) => sum + n, 0);
  }

  private get lead(): Tab {
    return this.tabs[this.leader];
  }

  async happen(one: Happening): Promise<void> {
    const { time } = this;
    switch (one.what) {
      case 'pass':
        return this.pass(one.s, true);
      case 'sleep':
        return this.pass(one.s, false);
      case 'clockSet':
        time.wallMs += one.s * 1000;
        return this.answerClock(one.s);
      case 'kill':
        return this.kill(one.written);
      case 'reload':
        this.lead.close();
        this.dropUnsaved(this.lead);
        this.tabs[this.leader] = new Tab(this.store, time);
        return;
      case 'tab':
        if (this.tabs.length < 3) this.tabs.push(new Tab(this.store, time));
        return;
      case 'takeOver':
        this.knowsTime(this.lead);
        this.leader = (this.leader + 1) % this.tabs.length;
        // What was set meanwhile by who led is taken over.
        this.lead.clock.aheadS = runState(this.lead.log.marks).aheadS;
        this.lead.clock.read(time.wallMs, time.countMs);
        return;
      case 'unplug':
      case 'plug':
      case 'lie':
      case 'tellTruth':
      case 'devicesDie':
        return this.probe.happen(one.what);
      case 'full':
        this.store.full = true;
        return;
      case 'free':
        this.store.full = false;
        return;
      default: {
        const mark = this.wanted(one.what);
        if (mark) await this.note(this.lead, mark);
      }
    }
  }

  private wanted(what: 'done' | 'longer' | 'measure' | 'takeBack'): NewMark | undefined {
    const state = runState(this.lead.log.marks);
    switch (what) {
      case 'done': {
        const task = run.tasks.find(({ key, handsOn }) => handsOn && !state.doneS.has(key));
        return task && { kind: 'done', task: task.key };
      }
      case 'longer': {
        const [clock] = clocksOf(run, state, this.nowS());
        return clock && { kind: 'longer', wait: clock.wait.key, byS: 300 };
      }
      case 'measure':
        return { kind: 'temperature', bowl: 0, ...this.probe.reading() };
      case 'takeBack':
        return state.last && { kind: 'takenBack', mark: state.last.id };
    }
  }

  /** Calls whatever is due, as the tab that leads does: noted first, then rung. */
  async ring(): Promise<void> {
    const tab = this.lead;
    for (const clock of clocksOf(run, runState(tab.log.marks), this.nowS())) {
      const { rings, wait } = clock;
      if (!rings) continue;
      const mark = await this.note(tab, { kind: 'rung', wait: wait.key, at: rings });
      if (this.store.rows.some(({ id }) => id === mark.id)) {
        // Who has it wait longer once more wants to be called once more.
        const asked = tab.log.marks.filter((one) => one.kind === 'longer' && one.wait === wait.key).length;
        const key = `${rungKey(wait.key, rings)} until ${clock.dueS}, asked ${asked} times`;
        this.rings.set(key, (this.rings.get(key) ?? 0) + 1);
      }
    }
  }

  private async note(tab: Tab, mark: NewMark): Promise<Mark> {
    const whole = { ...mark, id: `mark ${++this.ids}`, atS: this.nowS() } as Mark;
    await tab.log.note(whole);
    tab.noted.push(whole.id);
    if (mark.kind === 'done') this.trulyDoneS.set(whole.id, this.time.trueS);
    if (!tab.log.unsaved.includes(whole))
      for (const { id } of tab.log.marks) if (!this.confirmed.includes(id)) this.confirmed.push(id);
    return whole;
  }

  /** The tab that leads dies in the middle of a writing, which has reached the disk or has not; another leads, or the page is opened again. */
  private kill(written: boolean): void {
    const tab = this.lead;
    const mark = this.wanted('done');
    if (written && mark && !this.store.full) {
      const whole = { ...mark, id: `mark ${++this.ids}`, atS: this.nowS() } as Mark;
      this.trulyDoneS.set(whole.id, this.time.trueS);
      void this.store.append(run.id, [...tab.log.unsaved, whole]);
    }
    this.dropUnsaved(tab);
    tab.close();
    this.tabs.splice(this.leader, 1);
    if (this.tabs.length === 0) this.tabs.push(new Tab(this.store, this.time));
    this.leader = 0;
    this.lead.clock.aheadS = Math.max(this.lead.clock.aheadS, runState(this.lead.log.marks).aheadS);
    this.lead.clock.read(this.time.wallMs, this.time.countMs);
  }

  /** What only that tab had is gone with it, and had been said to be. */
  private dropUnsaved(tab: Tab): void {
    this.knowsTime(tab);
    for (const { id } of tab.log.unsaved) this.trulyDoneS.delete(id);
  }

  /** That the computer's clock was set may be known to a tab alone: what the clock says to another then cannot be told from the time. */
  private knowsTime(tab: Tab): void {
    if (tab.log.unsaved.some(({ kind }) => kind === 'clock')) this.timeIsKnown = false;
  }

  private async pass(s: number, counted: boolean): Promise<void> {
    this.time.trueS += s;
    this.probe.pass(s);
    this.time.wallMs += s * 1000;
    if (counted) this.time.countMs += s * 1000;
    for (const tab of this.tabs) tab.clock.read(this.time.wallMs, this.time.countMs);
  }

  /** Set back, the run's clock goes on by itself; put forward, whoever is there says so. */
  private async answerClock(byS: number): Promise<void> {
    for (const tab of this.tabs) {
      const { jumpS } = tab.clock.read(this.time.wallMs, this.time.countMs);
      if (jumpS > 0) tab.clock.putBack(jumpS);
      else if (jumpS === 0) tab.clock.aheadS -= byS;
    }
    await this.note(this.lead, { kind: 'clock', aheadS: this.lead.clock.aheadS });
  }

  private nowS(): number {
    return this.lead.clock.read(this.time.wallMs, this.time.countMs).nowS;
  }

  check(): void {
    const ids = this.store.rows.map(({ id }) => id);
    wanted(new Set(ids).size === ids.length, 'a mark is stored twice');
    wanted(
      this.confirmed.every((id) => ids.includes(id)),
      'a mark that was shown as stored is not there',
    );
    for (const tab of this.tabs) {
      const stored = tab.log.marks.slice(0, tab.log.marks.length - tab.log.unsaved.length).map(({ id }) => id);
      wanted(JSON.stringify(stored) === JSON.stringify(ids), 'a tab shows another list than is stored');
      const shown = new Set(tab.log.marks.map(({ id }) => id));
      wanted(
        tab.noted.every((id) => shown.has(id)),
        'a tab has lost what was noted in it',
      );
      if (tab.log.unsaved.length === 0)
        wanted(
          told(runState(tab.log.marks)) === told(runState(this.store.rows)),
          'a tab’s state is not the fold of what is stored',
        );
    }
    wanted(
      [...this.rings.values()].every((times) => times === 1),
      'a call was made twice',
    );
    this.checkTimes();
    const wrong = this.probe.wrong();
    wanted(wrong === undefined, wrong ?? '');
  }

  /** What runs has as long to go as in truth, to a second, and what is over has been called. */
  private checkTimes(): void {
    const state = runState(this.lead.log.marks);
    const byTask = new Map<string, number>();
    for (const mark of this.lead.log.marks)
      if (mark.kind === 'done' && state.doneS.get(mark.task) === mark.atS) {
        const trulyS = this.trulyDoneS.get(mark.id);
        if (trulyS !== undefined) byTask.set(mark.task, trulyS);
      }
    const nowS = this.nowS();
    for (const { wait, dueS, rings } of clocksOf(run, state, nowS)) {
      wanted(rings === undefined, 'a wait that is over was not called');
      const trulyS = byTask.get(run.tasks[wait.from].key);
      if (trulyS === undefined || !this.timeIsKnown) continue;
      const truly = trulyS + wait.leastS + (state.longerS.get(wait.key) ?? 0) - this.time.trueS;
      wanted(Math.abs(dueS - nowS - truly) < 1, `${dueS - nowS} s are left by the clock, ${truly} s in truth`);
    }
    const { startS, open } = follow(run, state, nowS);
    wanted(
      open.every((is, i) => !is || !run.tasks[i].handsOn || startS[i] >= nowS),
      'something open was to begin before now',
    );
  }
}

const told = (state: ReturnType<typeof runState>): string =>
  JSON.stringify(state, (_, value: unknown) => (value instanceof Map || value instanceof Set ? [...value] : value));

function wanted(holds: boolean, otherwise: string): void {
  if (!holds) throw new Error(otherwise);
}
