import { demoCastings, demoOccasions } from '../../data/demo';
import { dueSeconds, localTime } from '../record/due';
import type { Casting } from '../record/casting';
import type { Occasion } from '../record/occasion';
import { draftPlan } from '../plan/draft';
import { chillsOf } from '../plan/makings';
import { finishPlan } from '../plan/plan';
import type { CastingPlan } from '../plan/plan-types';
import { stayEvents } from './calendar';
import type { NoTimetable, OccasionProgress } from './occasion-answer';
import { KeptTimetable, type SavedTimetable } from './kept-timetable';
import { occasionSteps } from './occasion-steps';
import type { OccasionPlan } from './occasion-plan';
import { staysOf } from './stays';

const MONDAY = new Date('2026-10-12T08:00:00Z');
const castings = demoCastings(MONDAY);
const [supper] = demoOccasions(MONDAY);
const zone = supper.due.zone;
const at = (local: string): number => dueSeconds({ local, zone });
const kept = new Map<string, CastingPlan>();

function planned(casting: Casting): CastingPlan {
  const key = JSON.stringify(casting);
  let plan = kept.get(key);
  if (!plan) {
    const draft = draftPlan(casting);
    plan = finishPlan(draft, chillsOf(draft));
    kept.set(key, plan);
  }
  return plan;
}

function answered(change: Partial<Occasion>, of: readonly Casting[] = castings) {
  const steps = occasionSteps({ ...supper, stays: [], ...change }, of, planned);
  const told: OccasionProgress[] = [];
  for (;;) {
    const { done, value } = steps.next();
    if (done) return { answer: value, told };
    told.push(value);
  }
}
/** The first timetable on the way to the answer that is as wanted. */
function firstPlan(change: Partial<Occasion>, isWanted: (plan: OccasionPlan) => boolean): OccasionPlan | undefined {
  const steps = occasionSteps({ ...supper, ...change }, castings, planned);
  for (;;) {
    const { done, value } = steps.next();
    const plan = 'plan' in value ? value.plan : undefined;
    if (done || (plan && isWanted(plan))) return plan;
  }
}
/** The same is searched for once: it comes out the same each time, as is tested below. */
const searched = new Map<string, OccasionPlan>();
function planOf(change: Partial<Occasion>, of: readonly Casting[] = castings): OccasionPlan {
  const key = JSON.stringify([change, of]);
  const before = searched.get(key);
  if (before) return before;
  const { answer } = answered(change, of);
  if (!answer.ok) throw new Error(answer.why.key);
  searched.set(key, answer.plan);
  return answer.plan;
}
function whyOf(change: Partial<Occasion>, of?: readonly Casting[]): NoTimetable {
  const { answer } = answered(change, of);
  if (answer.ok) throw new Error('a timetable');
  return answer.why;
}
const demo = (id: string): Casting => structuredClone(castings.find((casting) => casting.id === id) as Casting);
const few = ['demo-bombs', 'demo-pears', 'demo-tiles'].map(demo);

describe('an occasion at one stretch', () => {
  const plan = planOf({});

  it('takes nine castings in little more than the longest of them: less than a third of what they take one after the other', () => {
    const longest = Math.max(...castings.map((casting) => planned(casting).batch.total.value));
    const whole = plan.readyS - plan.startS;
    expect(plan.apartS).toBeGreaterThan(3 * whole);
    expect(whole).toBeLessThan(1.05 * plan.leastS);
    expect(whole).toBeLessThan(1.25 * longest);
    // No later start than the one that is found.
    expect(at(supper.due.local) - plan.leastS).toBeGreaterThanOrEqual(plan.startS - 1);
  });

  it('is ready in time, by one pair of hands, and holds everything that is done by hand', () => {
    expect(plan.readyS).toBeLessThanOrEqual(at(supper.due.local));
    const byHand = plan.tasks.filter(({ handsOn }) => handsOn);
    byHand
      .slice(1)
      .forEach((task, i) => expect(task.startS).toBeGreaterThanOrEqual(byHand[i].startS + byHand[i].seconds));
    // Melts are shared; all else is as in the castings by themselves.
    const alone = castings.reduce((sum, casting) => sum + planned(casting).batch.handsOn.value, 0);
    const melts = castings.flatMap((casting) => planned(casting).melts.map(({ ready }) => ready.value));
    const shared = plan.bowls.reduce((sum, { seconds }) => sum + seconds, 0);
    const expected = alone - melts.reduce((sum, s) => sum + s, 0) + shared;
    expect(Math.abs(plan.handsOnS - expected)).toBeLessThan(byHand.length + 240);
  });

  it('melts what is alike once: never more, and less where a pool is used by several', () => {
    for (const { kg, apartKg, uses } of plan.bowls) {
      expect(kg).toBeLessThanOrEqual(apartKg + 1e-9);
      if (uses.length === 1) expect(kg).toBe(apartKg);
    }
    const apart = castings.reduce(
      (sum, casting) => sum + planned(casting).batch.melts.reduce((all, { melted }) => all + melted.value, 0),
      0,
    );
    const sum = (of: (bowl: (typeof plan.bowls)[number]) => number): number =>
      plan.bowls.reduce((all, bowl) => all + of(bowl), 0);
    expect(sum(({ apartKg }) => apartKg)).toBeCloseTo(apart, 9);
    expect(sum(({ kg }) => kg)).toBeLessThan(apart - 0.1);
    expect(plan.tasks.filter(({ kind }) => kind === 'melt')).toHaveLength(plan.bowls.length);
  });

  it('comes out the same each time', () => {
    expect(answered({}, few).answer).toEqual(answered({}, few).answer);
  });

  it('is shared by two: never longer', () => {
    const two = planOf({ people: 2 });
    expect(two.readyS - two.startS).toBeLessThanOrEqual(plan.readyS - plan.startS);
    expect(new Set(two.tasks.map(({ person }) => person))).toEqual(new Set([0, 1]));
  });
});

describe('a task held at another time', () => {
  const first = (change: Partial<Occasion>, kept: KeptTimetable) => {
    const steps = occasionSteps({ ...supper, stays: [], ...change }, castings, planned, kept);
    for (;;) {
      const { done, value } = steps.next();
      if (done || value.plan) return value;
    }
  };
  const whole = (change: Partial<Occasion>, kept: KeptTimetable): OccasionPlan => {
    const steps = occasionSteps({ ...supper, stays: [], ...change }, castings, planned, kept);
    for (;;) {
      const { done, value } = steps.next();
      if (!done) continue;
      if (!value.ok) throw new Error(value.why.key);
      return value.plan;
    }
  };

  it('is worked out around from the timetable that there is: most of it stays in its order', () => {
    const kept = new KeptTimetable();
    const before = whole({}, kept);
    const byHand = before.tasks.filter(({ handsOn }) => handsOn);
    const { key, startS } = byHand[Math.floor(byHand.length / 2)];
    const held = localTime(startS - 900, zone);
    const answer = first({ holds: [{ operation: key, at: held }] }, kept);
    if (!('plan' in answer) || !answer.plan) throw new Error('no timetable');
    const { tasks } = answer.plan;
    expect(tasks.map((task) => task.key).sort()).toEqual(before.tasks.map((task) => task.key).sort());
    const own = tasks.find((task) => task.key === key);
    expect(own && localTime(own.startS, zone)).toBe(held);
    expect(own?.reason.key).toBe('held');
    // Of tasks that follow each other as many as three in four did before.
    const next = (of: OccasionPlan['tasks']) => of.slice(1).map((task, i) => `${of[i].key} ${task.key}`);
    const were = new Set(next(before.tasks));
    const same = next(tasks).filter((pair) => were.has(pair));
    expect(same.length).toBeGreaterThan(0.75 * were.size);
    // Let go, it is as it was at first.
    expect(whole({ holds: [] }, kept)).toEqual(before);
  });

  it('stays as long over two days as it was, or nearly', () => {
    const kept = new KeptTimetable();
    const stays = supper.stays;
    const before = whole({ stays }, kept);
    const { key, startS } = before.tasks.filter(({ kind }) => kind === 'finish')[0];
    const held = localTime(startS - 600, zone);
    const answer = first({ stays, holds: [{ operation: key, at: held }] }, kept);
    if (!('plan' in answer) || !answer.plan) throw new Error('no timetable');
    const own = answer.plan.tasks.find((task) => task.key === key);
    expect(own && localTime(own.startS, zone)).toBe(held);
    expect(answer.plan.attendedS).toBeLessThan(before.attendedS + 900);
  });

  it('that wants another spread of the work over two days is soon found from the one that there was', () => {
    const { stays } = supper;
    const kept = new KeptTimetable();
    const coats = whole({ stays }, kept).tasks.filter(
      ({ kind, castingId }) => kind === 'coat' && castingId === 'demo-owls',
    );
    let foundAnew = 0;
    for (const { key, startS } of coats) {
      whole({ stays }, kept);
      const at = localTime(startS - 1800, zone);
      const steps = occasionSteps({ ...supper, holds: [{ operation: key, at }] }, castings, planned, kept);
      const told: OccasionProgress[] = [];
      // A search from the beginning tells its first after hundreds of rounds, five of them at a time.
      while (told.length < castings.length + 15) {
        const { done, value } = steps.next();
        if (done) break;
        told.push(value);
        if (!value.plan) continue;
        expect(value.plan.tasks.find((task) => task.key === key)?.startS).toBe(dueSeconds({ local: at, zone }));
        if (told.some(({ unfit }) => unfit)) foundAnew++;
        break;
      }
      steps.return(undefined as never);
    }
    expect(foundAnew).toBeGreaterThan(0);
  });

  it('goes on from what was written down, in another worker, as in the one that found it', () => {
    const ends = (change: Partial<Occasion>, kept: KeptTimetable, saved?: SavedTimetable) => {
      const steps = occasionSteps({ ...supper, stays: [], ...change }, few, planned, kept, saved);
      for (;;) {
        const { done, value } = steps.next();
        if (!done) continue;
        if (!value.ok) throw new Error(value.why.key);
        return value;
      }
    };
    for (const stays of [[], supper.stays]) {
      const here = new KeptTimetable();
      const { plan: before, saves } = ends({ stays }, here);
      const there = new KeptTimetable();
      const again = ends({ stays }, there, structuredClone(saves));
      expect(again.plan).toEqual(before);
      const { key, startS } = before.tasks.filter(({ handsOn }) => handsOn)[5];
      const holds = [{ operation: key, at: localTime(startS - 300, zone) }];
      expect(ends({ stays, holds }, there).plan).toEqual(ends({ stays, holds }, here).plan);
    }
  });

  it('is searched for from the beginning where the search before was broken off', () => {
    const kept = new KeptTimetable();
    first({}, kept);
    expect(kept.lastOf({ ...supper, stays: [] }, castings.map(planned))).toBeUndefined();
    whole({}, kept);
    expect(kept.lastOf({ ...supper, stays: [] }, castings.map(planned))).toBeDefined();
  });

  it('is searched for from the beginning where anything else has changed', () => {
    const kept = new KeptTimetable();
    whole({}, kept);
    const [together, alone] = [whole({ people: 2 }, kept), planOf({ people: 2 })];
    expect(together).toEqual(alone);
  });
});

describe('a break', () => {
  const longer = [supper.stays[0], { from: '2026-10-17T13:15', to: supper.stays[1].to }];
  const breaksOf = ({ tasks }: OccasionPlan) => tasks.filter(({ kind }) => kind === 'break');

  it.each([
    ['at one stretch', { stays: [] }, 1],
    ['by two, who have it together', { stays: [], people: 2 }, 1],
    ['over two days, in each long stay', { stays: longer }, 2],
  ])('is had about the middle: %s', (_, change, count) => {
    const breakS = 1800;
    const plan = planOf({ ...change, breakS }, castings);
    const breaks = breaksOf(plan);
    expect(breaks).toHaveLength(count);
    expect(plan.noBreak).toEqual([]);
    for (const { startS, seconds } of breaks) {
      expect(seconds).toBe(breakS);
      const [{ from, to }] = plan.there.filter((stay) => startS >= stay.from && startS < stay.to);
      // The stretch may still become shorter once the break has its place.
      expect(startS - from).toBeGreaterThan((to - from) / 5);
      expect(to - startS - seconds).toBeGreaterThan((to - from) / 5);
      const others = plan.tasks.filter((task) => task.handsOn && task.kind !== 'break');
      expect(others.filter((task) => task.startS < startS + seconds && task.startS + task.seconds > startS)).toEqual(
        [],
      );
      expect(plan.free.some((free) => free.from <= startS && free.to >= startS + seconds)).toBe(true);
    }
  });

  it('costs at most as much as it takes, and is no work', () => {
    const [without, withIt] = [planOf({}), planOf({ breakS: 1800 })];
    const takes = ({ readyS, startS }: OccasionPlan): number => readyS - startS;
    expect(takes(withIt)).toBeGreaterThanOrEqual(takes(without));
    expect(withIt.leastS).toBeLessThanOrEqual(without.leastS + 1800);
    expect(takes(withIt)).toBeLessThan(1.05 * withIt.leastS);
    expect(withIt.handsOnS).toBe(without.handsOnS);
  });

  it('is held at a time like anything else', () => {
    const [{ key, startS }] = breaksOf(planOf({ breakS: 1800 }));
    const held = localTime(startS - 600, zone);
    const [moved] = breaksOf(planOf({ breakS: 1800, holds: [{ operation: key, at: held }] }));
    expect(localTime(moved.startS, zone)).toBe(held);
  });

  it('that finds no room is told, with the stretch, and takes nothing away', () => {
    const [stay] = longer.slice(1);
    const plan = planOf({ breakS: 3 * 3600, stays: [stay] }, few);
    expect(breaksOf(plan)).toEqual([]);
    expect(plan.noBreak).toEqual(plan.there);
  });
});

describe('what several castings share', () => {
  it('a mold goes from the light chocolate to the dark one, washed and dried between', () => {
    const dark = demo('demo-bombs');
    const light = demo('demo-bombs');
    light.id = 'light';
    light.chocolates[0] = { ...demo('demo-pears').chocolates[0], id: 'linen', colour: '#f0e2c4' };
    light.melts[0].source = { kind: 'chocolate', chocolateId: 'linen' };
    const plan = planOf({}, [dark, light]);
    const washes = plan.tasks.filter(({ kind }) => kind === 'wash');
    expect(washes).toHaveLength(1);
    const coats = (id: string) => plan.tasks.filter(({ kind, castingId }) => kind === 'coat' && castingId === id);
    const lastLight = Math.max(...coats('light').map(({ startS }) => startS));
    const firstDark = Math.min(...coats('demo-bombs').map(({ startS }) => startS));
    expect(washes[0].startS).toBeGreaterThan(lastLight);
    // Dry after a quarter of an hour.
    expect(firstDark).toBeGreaterThanOrEqual(washes[0].startS + washes[0].seconds + 900);
    // Alike, it is only waited for.
    expect(planOf({}, [dark, { ...demo('demo-bombs'), id: 'again' }]).tasks.some(({ kind }) => kind === 'wash')).toBe(
      false,
    );
  });

  it('a small shelf makes it longer, and one that takes no round of it is told', () => {
    const room = { widthM: 0.3, depthM: 0.15 };
    const [wide, narrow] = [planOf({}, few), planOf({ fridge: room }, few)];
    expect(narrow.readyS - narrow.startS).toBeGreaterThan(wide.readyS - wide.startS);
    const uses = narrow.lanes.shelves.find(({ place }) => place === 'fridge')?.uses ?? [];
    for (const { from } of uses) {
      const there = uses.filter((use) => use.from <= from && use.to > from);
      expect(there.reduce((sum, { m2 }) => sum + m2, 0)).toBeLessThanOrEqual(0.045 + 1e-9);
    }
    const tiny = whyOf({ fridge: { widthM: 0.1, depthM: 0.1 } }, few);
    expect(tiny).toMatchObject({ key: 'shelf', place: 'fridge' });
  });
});

describe('an occasion over several days', () => {
  const plan = planOf({ stays: supper.stays });

  it.each([
    ['12:30', 'hardly more than there is to do', 2],
    ['12:00', 'long enough for all of it', 1],
  ])('with a second stay from %s: %s', (from, _, wanted) => {
    const stays = [supper.stays[0], { ...supper.stays[1], from: `2026-10-17T${from}` }];
    const seen = firstPlan({ stays }, ({ there }) => there.length === wanted);
    expect(seen?.there).toHaveLength(wanted);
  });

  it('has everything done by hand within the stays, and melts anew in each', () => {
    const { stays } = staysOf(supper);
    for (const { handsOn, startS, seconds } of plan.tasks)
      if (handsOn) expect(stays.some(({ from, to }) => startS >= from && startS + seconds <= to)).toBe(true);
    expect(plan.there).toHaveLength(2);
    for (const task of plan.tasks.filter(({ again }) => again)) {
      const before = plan.tasks.find((one) => one.bowl === task.bowl && !one.again);
      expect(task.startS - (before?.startS ?? 0)).toBeGreaterThan(8 * 3600);
    }
    expect(plan.tasks.some(({ again }) => again)).toBe(true);
  });

  it('asks for little more time than all of it takes by hand', () => {
    expect(plan.leastS).toBeLessThanOrEqual(plan.attendedS);
    expect(plan.attendedS).toBeLessThan(1.1 * plan.leastS);
  });

  it('is a calendar of two entries that call when the hands are wanted again', () => {
    const events = stayEvents(plan);
    expect(events).toHaveLength(2);
    for (const { from, to, tasks, calls } of events) {
      expect(calls[0]).toBe(tasks[0]);
      expect(from).toBe(tasks[0].startS);
      for (const { startS } of calls) expect(startS >= from && startS < to).toBe(true);
    }
  });
});

describe('what is held', () => {
  it('starts at its time, and the rest follows', () => {
    const free = planOf({}, few);
    const task = free.tasks.find(({ kind, castingId }) => kind === 'unmold' && castingId === 'demo-tiles');
    const when = at('2026-10-17T16:00');
    const held = planOf({ holds: [{ operation: task?.key ?? '', at: '2026-10-17T16:00' }] }, few);
    const same = held.tasks.find(({ key }) => key === task?.key);
    expect(same).toMatchObject({ startS: when, reason: { key: 'held' } });
    expect(held.readyS).toBeLessThanOrEqual(at(supper.due.local));
  });

  it('of a task that is gone is left out; what contradicts is told with what it would take', () => {
    expect(planOf({ holds: [{ operation: 'nothing', at: '2026-10-17T16:00' }] }, few).tasks).toHaveLength(
      planOf({}, few).tasks.length,
    );
    const first = planOf({}, few).tasks.find(({ kind }) => kind === 'unmold');
    const why = whyOf({ holds: [{ operation: first?.key ?? '', at: '2026-10-17T17:59' }] }, few);
    if (why.key !== 'held') throw new Error(why.key);
    expect(why.task.kind).toBe('unmold');
    // Held at its latest there is a timetable, a minute later there is none.
    const local = (s: number): string => new Date((s + 2 * 3600) * 1000).toISOString().slice(0, 16);
    const latestS = Math.floor(why.latestS / 60) * 60;
    const holdAt = (s: number) => ({ holds: [{ operation: first?.key ?? '', at: local(s) }] });
    expect(whyOf(holdAt(latestS + 60), few).key).toBe('held');
    expect(answered(holdAt(latestS - 3600), few).answer.ok).toBe(true);
  });

  it('beside another that is held, where the two contradict each other, is told with both and when it would go', () => {
    const own = planOf({}, few).tasks.filter(({ castingId }) => castingId === few[0].id);
    const [coat, out] = [own.find(({ kind }) => kind === 'coat'), own.find(({ kind }) => kind === 'unmold')];
    const holds = (outAt: string) => ({
      holds: [
        { operation: coat?.key ?? '', at: '2026-10-17T14:00' },
        { operation: out?.key ?? '', at: outAt },
      ],
    });
    const why = whyOf(holds('2026-10-17T13:50'), few);
    if (why.key !== 'held' || !why.beside) throw new Error(why.key);
    expect([why.task.kind, why.beside.kind]).toEqual(['unmold', 'coat']);
    expect(why.earliestS).toBeGreaterThan(at('2026-10-17T14:00'));
    // The coat by itself may be there, and so may both where it was told that they may.
    expect(answered({ holds: holds('2026-10-17T13:50').holds.slice(0, 1) }, few).answer.ok).toBe(true);
    const told = localTime(Math.ceil(why.earliestS / 60) * 60, zone);
    expect(answered(holds(told), few).answer.ok).toBe(true);
  });

  it('over several days is told in the same way', () => {
    const key = planOf({}, few).tasks.find(({ kind }) => kind === 'coat')?.key ?? '';
    const why = whyOf({ stays: supper.stays, holds: [{ operation: key, at: '2026-10-17T17:20' }] }, few);
    expect(why).toMatchObject({ key: 'held', task: { kind: 'coat' } });
  });

  it('where the stays are too short tells when to start at a stretch, and what one more of the busiest mold saves', () => {
    const bombs = [demo('demo-bombs')];
    const alone = planOf({}, bombs);
    const tight = { stays: [{ from: '2026-10-17T16:15', to: '2026-10-17T18:00' }] };
    const why = whyOf(tight, bombs);
    if (!('help' in why)) throw new Error(why.key);
    expect(why.help.stretch?.takesS).toBeLessThanOrEqual((alone.readyS - alone.startS) * 1.02);
    expect(why.help.stretch?.startS).toBe(at(supper.due.local) - (why.help.stretch?.takesS ?? 0));
    const two = structuredClone(bombs[0]);
    two.molds.forEach((mold) => mold.atHand++);
    const withTwo = planOf({}, [two]);
    expect(why.help.mold?.name).toBe(bombs[0].molds[0].name);
    expect(why.help.mold?.takesS).toBeLessThanOrEqual((withTwo.readyS - withTwo.startS) * 1.05);
    expect(why.help.mold?.takesS).toBeGreaterThanOrEqual((withTwo.readyS - withTwo.startS) * 0.99);
  });
});

describe('no timetable', () => {
  it('is told with its reason', () => {
    expect(whyOf({}, [])).toEqual({ key: 'empty' });
    expect(whyOf({ stays: [{ from: '2026-10-17T19:00', to: '2026-10-17T21:00' }] })).toEqual({ key: 'noStay' });
    expect(whyOf({ stays: [{ from: '2026-10-17T17:00', to: '2026-10-17T18:00' }] })).toMatchObject({
      key: 'tooFewHours',
      givenS: 3600,
    });
    const hot = demo('demo-bombs');
    hot.kitchen.roomC = 35;
    hot.parts[0].coats.forEach((coat) => (coat.sets = [{ place: 'room' }]));
    expect(whyOf({}, [hot])).toEqual({ key: 'endless', castingId: 'demo-bombs' });
    const many = demo('demo-bombs');
    many.pieces = 2000;
    expect(whyOf({}, [many])).toEqual({ key: 'tooMany' });
  });
});

describe('stays', () => {
  it('that overlap are one; one after the event is left out; both are said', () => {
    const { stays, notes } = staysOf({
      due: supper.due,
      stays: [
        { from: '2026-10-17T14:00', to: '2026-10-17T16:00' },
        { from: '2026-10-17T15:00', to: '2026-10-17T19:00' },
        { from: '2026-10-17T18:00', to: '2026-10-17T20:00' },
      ],
    });
    expect(stays).toEqual([{ from: at('2026-10-17T14:00'), to: at('2026-10-17T18:00') }]);
    expect(notes).toEqual([
      { key: 'overlap', stay: 1, other: 0 },
      { key: 'afterDue', stay: 2 },
    ]);
  });

  it('across a change of clocks last an hour longer or less', () => {
    // Clocks went back in Berlin at 3:00 on 25 October 2026 (IANA time zone database).
    const [stay] = staysOf({
      due: { local: '2026-10-26T18:00', zone },
      stays: [{ from: '2026-10-24T22:00', to: '2026-10-25T08:00' }],
    }).stays;
    expect(stay.to - stay.from).toBe(11 * 3600);
  });
});
