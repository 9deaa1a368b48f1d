import { demoCastings } from '../../data/demo';
import type { Casting } from '../record/casting';
import { readCasting } from '../record/read-casting';
import { draftPlan } from '../plan/draft';
import { makingOf } from '../plan/making';
import { simulateMaking } from '../plan/simulate';
import { takeWeighed } from '../edit/weighed';
import { weighedShell, type WeighedShell } from './weighed-shell';

const bombs = (): Casting => demoCastings(new Date('2026-10-12T08:00:00Z'))[0];
const massOf = (casting: Casting): number => simulateMaking(makingOf(casting, casting.parts[0])).made.coat.mass.value;
const weigh = (casting: Casting, kg: number): WeighedShell => {
  const outcome = weighedShell(casting, draftPlan(casting), kg);
  if (!outcome.ok) throw new Error(JSON.stringify(outcome.problem));
  return outcome.found;
};

describe('a weighed shell', () => {
  it('that weighs what was computed changes next to nothing', () => {
    const { factor, by } = weigh(bombs(), massOf(bombs()));
    expect(by).toBe('stiffness');
    expect(factor).toBeCloseTo(1, 1);
  });

  it('finds most of the way to a chocolate that is stiffer than told, and then computes about its weight', () => {
    const casting = bombs();
    const truth = bombs();
    truth.chocolates[0].fluidity = { yieldPa: 4.5 * 1.5, viscosityPas: 1.5 * 1.5 };
    const weighedKg = massOf(truth);
    const found = weigh(casting, weighedKg);
    expect(found.factor).toBeGreaterThan(1.2);
    expect(found.factor).toBeLessThan(1.5);
    expect(Math.abs(found.after.massKg - weighedKg)).toBeLessThan(Math.abs(found.before.massKg - weighedKg) / 2);
    takeWeighed(casting, 'half', found);
    expect(readCasting(casting).ok).toBe(true);
    expect(massOf(casting)).toBeCloseTo(found.after.massKg, 6);
  });

  it('narrows the likely range of what is computed from then on, and each further weight narrows it more', () => {
    const casting = bombs();
    const spread = (): number => {
      const { rim } = draftPlan(casting).coat.total;
      return (rim.high ?? 0) / (rim.low ?? 0);
    };
    const before = spread();
    const found = weigh(casting, massOf(casting));
    expect(found.within).toBeGreaterThan(1.02);
    expect(found.within).toBeLessThan(1.3);
    takeWeighed(casting, 'half', found);
    const once = spread();
    expect(once).toBeLessThan(1 + 0.75 * (before - 1));
    const again = weigh(casting, massOf(casting));
    expect(again.within).toBeLessThan(found.within);
    takeWeighed(casting, 'half', again);
    expect(spread()).toBeLessThan(once);
    expect(readCasting(casting).ok).toBe(true);
  });

  it('says of spooned coats that more or less goes in', () => {
    const casting = bombs();
    for (const coat of casting.parts[0].coats) Object.assign(coat, { method: 'spoon', wayUp: 'upright' });
    const found = weigh(casting, massOf(casting) * 1.1);
    expect(found.by).toBe('dose');
    expect(found.factor).toBeGreaterThan(1.05);
    takeWeighed(casting, 'half', found);
    expect(massOf(casting)).toBeGreaterThan(found.before.massKg * 1.05);
  });

  it('refuses a weight that no chocolate makes, and says which can be', () => {
    const outcome = weighedShell(bombs(), draftPlan(bombs()), 0.2);
    expect(outcome.ok).toBe(false);
    if (!outcome.ok) expect(outcome.problem.highKg).toBeLessThan(0.1);
  });
});
