import { demoCastings } from '../../data/demo';
import { plannedUnchilled as planned } from '../../testing/planned';
import { bowlsOf, BowlTurns } from './bowls';
import { addJob } from './job-workload';
import { MoldTurns } from './mold-turns';
import { isCapped } from '../plan/capping';
import { pouredKg } from '../plan/pouring';
import { amountsOf } from './task-amounts';
import { Work } from './work';

const castings = demoCastings(new Date('2026-10-12T08:00:00Z'));

describe('what the tasks of a casting take', () => {
  it.each(castings.map((casting) => [casting.name, casting] as const))(
    'adds up to what is weighed out for it: %s',
    (_, casting) => {
      const plan = planned(casting);
      const work = new Work();
      addJob(plan, work, new BowlTurns(work, bowlsOf([plan], false)), new MoldTurns(work), Infinity);
      const all = work.tasks.flatMap((task) => amountsOf(plan, task).map((amount) => ({ ...amount, kind: task.kind })));
      const kg = (kind: string): number =>
        all.filter((one) => one.kind === kind).reduce((sum, { count, eachKg }) => sum + count * eachKg, 0);
      const weighed = (of: (melt: (typeof plan.batch.melts)[number]) => number): number =>
        plan.batch.melts.reduce((sum, melt) => sum + of(melt), 0);
      expect(kg('coat')).toBeCloseTo(
        weighed(({ inParts }) => inParts.value),
        9,
      );
      expect(kg('coat')).toBeGreaterThan(0);
      expect(kg('close')).toBeCloseTo(
        weighed(({ closing }) => closing.value),
        9,
      );
      const filled =
        plan.batch.work.pieces *
        plan.parts.reduce((sum, { part, fill }) => {
          const each = part.filled === 'all' ? part.perPiece : 1;
          return sum + each * fill.fillMass.value;
        }, 0);
      // What is filled in its mold is filled into the spares as well.
      if (plan.parts.some(({ part }) => isCapped(plan, part.id)))
        expect(kg('fill')).toBeGreaterThanOrEqual(filled - 1e-9);
      else expect(kg('fill')).toBeCloseTo(filled, 9);
    },
  );

  it('is less for a second coat by what the first has taken of the cavity', () => {
    const [bombs] = castings;
    const plan = planned(bombs);
    const [part] = plan.parts;
    expect(part.coatsMade.length).toBeGreaterThan(1);
    const [first, second] = [0, 1].map((coat) => pouredKg(part, coat));
    // Both fill the same share of what is left.
    const share = first / part.mold.solid.value;
    expect(second).toBeCloseTo(share * (part.mold.solid.value - part.coat.coats[0].mass.value), 9);
    expect(second).toBeLessThan(first);
  });

  it('is told of each sort where some pieces are cast of another chocolate', () => {
    const [bombs] = castings;
    const other = { ...bombs.chocolates[0], id: 'milk', kind: 'milk' as const };
    const melt = { ...bombs.melts[0], id: 'other', source: { kind: 'chocolate' as const, chocolateId: 'milk' } };
    const [{ meltId }] = bombs.parts[0].coats[0].shares;
    const variant = {
      id: 'v',
      name: 'Pale ones',
      pieces: 6,
      melts: [{ meltId, insteadId: 'other' }],
      fillings: [],
      without: [],
    };
    const plan = planned({
      ...bombs,
      chocolates: [...bombs.chocolates, other],
      melts: [...bombs.melts, melt],
      variants: [variant],
    });
    const coat = { castingId: bombs.id, kind: 'coat' as const, handsOn: true, seconds: 60, part: 0, coat: 0, count: 6 };
    const told = amountsOf(plan, coat);
    expect(told).toMatchObject([
      { count: 1, eachKg: plan.parts[0].coat.coats[0].mass.value, names: [undefined] },
      { count: 1, eachKg: plan.variants[0].draft.parts[0].coat.coats[0].mass.value, names: ['Pale ones'] },
    ]);
    // Half a sphere of 64 mm holds 68.6 mL, and half of it is poured: 34.3 mL of 1.27 to 1.33 g/mL (densities from memory).
    for (const { pouredKg = 0 } of told) expect(pouredKg).toBeGreaterThan(0.0343 * 1.2);
    for (const { pouredKg = 0 } of told) expect(pouredKg).toBeLessThan(0.0343 * 1.4);
    expect(amountsOf(plan, { ...coat, kind: 'fill' })).toEqual([]);
  });
});
