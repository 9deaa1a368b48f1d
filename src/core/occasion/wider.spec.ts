import { demoCastings, demoOccasions } from '../../data/demo';
import { planned } from '../../testing/planned';
import { localTime } from '../record/due';
import type { CastingPlan } from '../plan/plan-types';
import type { Casting } from '../record/casting';
import type { Occasion } from '../record/occasion';
import { KeptTimetable } from './kept-timetable';
import type { OccasionAnswer, OccasionProgress } from './occasion-answer';
import { occasionSteps } from './occasion-steps';
import { tried, widened, type Wider } from './wider';

const MONDAY = new Date('2026-10-12T08:00:00Z');
const castings = demoCastings(MONDAY).filter(({ id }) => id === 'demo-tiles' || id === 'demo-bites');
const [supper] = demoOccasions(MONDAY);
const plans = new Map<string, CastingPlan>();
const planOf = (casting: Casting): CastingPlan => {
  const plan = plans.get(casting.id) ?? planned(casting);
  plans.set(casting.id, plan);
  return plan;
};

/** Two stays that are just long enough. */
const occasion: Occasion = {
  ...supper,
  castingIds: castings.map(({ id }) => id),
  stays: [
    { from: '2026-10-16T18:00', to: '2026-10-16T19:10' },
    { from: '2026-10-17T16:30', to: '2026-10-17T17:30' },
  ],
};

function answered(one: Occasion, kept: KeptTimetable): { answer: OccasionAnswer; told: readonly OccasionProgress[] } {
  const told: OccasionProgress[] = [];
  for (const steps = occasionSteps(one, castings, planOf, kept); ;) {
    const { done, value } = steps.next();
    if (done) return { answer: value, told };
    told.push(value);
  }
}

describe('what is held and does not go with the rest', () => {
  it('is told at once, before another order is searched for; and where a longer stay is said to do, it does', () => {
    const kept = new KeptTimetable();
    const { answer } = answered(occasion, kept);
    if (!answer.ok) throw new Error(answer.why.key);
    const advised: Wider[] = [];
    const tasks = answer.plan.tasks.filter(({ handsOn }) => handsOn);
    // Some earlier, as those that come first, and some later.
    for (const [i, { key, startS }] of tasks.slice(0, 6).entries()) {
      const held = Math.floor((startS + (i % 2 === 0 ? -1800 : 1200)) / 60) * 60;
      const at = localTime(held, supper.due.zone);
      const steps = occasionSteps({ ...occasion, holds: [{ operation: key, at }] }, castings, planOf, kept);
      const told: OccasionProgress[] = [];
      while (told.length < castings.length + 2) {
        const { done, value } = steps.next();
        if (done || value.plan) break;
        told.push(value);
      }
      steps.return(undefined as never);
      const unfit = told.filter((one) => one.unfit);
      if (unfit.length === 0) continue;
      // Nothing but the plans of the castings comes before it.
      expect(told.findIndex((one) => one.unfit)).toBe(castings.length);
      const wider = unfit.at(-1)?.unfit?.wider;
      if (!wider) continue;
      advised.push(wider);
      const { answer: then } = answered(longer(wider, [{ operation: key, at }]), new KeptTimetable());
      expect(then.ok).toBe(true);
      if (then.ok) expect(then.plan.tasks.find((task) => task.key === key)?.startS).toBe(held);
    }
    expect(advised.some((one) => 'fromS' in one) && advised.some((one) => 'toS' in one)).toBe(true);
  });

  it('is tried with one stay longer by itself, that reaches neither into another nor past the end', () => {
    const stays = [
      { from: 1000, to: 8000 },
      { from: 9000, to: 20_000 },
    ];
    const all = tried(stays).map((how) => widened(stays, how, 20_500));
    expect(all).toEqual([
      [{ from: 0, to: 8000 }, stays[1]],
      [stays[0], { from: 8000, to: 20_000 }],
      [{ from: 1000, to: 9000 }, stays[1]],
      [stays[0], { from: 9000, to: 20_500 }],
    ]);
  });
});

function longer(wider: Wider, holds: Occasion['holds']): Occasion {
  const stays = occasion.stays.map((stay, k) => {
    if (k !== wider.stay) return stay;
    const { zone } = supper.due;
    return 'fromS' in wider
      ? { ...stay, from: localTime(Math.floor(wider.fromS / 300) * 300, zone) }
      : { ...stay, to: localTime(Math.ceil(wider.toS / 300) * 300, zone) };
  });
  return { ...occasion, stays, holds };
}
