import { SHIPPED_FILLINGS } from '../../data/fillings-shipped';
import { demoCastings } from '../../data/demo';
import { planned } from '../../testing/planned';
import type { Filling } from '../record/filling';
import { madeAhead } from './made-ahead';

const shipped = (id: string): Filling => {
  const found = SHIPPED_FILLINGS.find((filling) => filling.id === id);
  if (!found) throw new Error(id);
  return found;
};
const HOUR = 3600;

describe('a filling made ahead', () => {
  it('cooked caramel stands a day before it is piped (common practice, no source)', () => {
    const cooked: Filling = { ...shipped('caramel'), recipe: shipped('custard').recipe };
    expect(madeAhead([cooked], cooked)?.standsS).toBe(24 * HOUR);
    // Bought as it is, it takes nothing.
    expect(madeAhead(SHIPPED_FILLINGS, shipped('caramel'))).toBeUndefined();
  });

  it('is what is stirred together, toasted, frozen or crushed too, once it has a recipe (common practice, no source)', () => {
    expect(madeAhead(SHIPPED_FILLINGS, shipped('spice'))).toEqual({ handsOnS: 300, standsS: 0 });
    const marshmallows = shipped('mallows');
    expect(madeAhead([marshmallows], marshmallows)).toBeUndefined();
    const toasted: Filling = {
      ...marshmallows,
      recipe: [{ name: 'Small marshmallows', parts: 1, allergens: [] }],
    };
    // 10 min in the freezer, or cooling from the grill.
    expect(madeAhead([toasted], toasted)).toEqual({ handsOnS: 300, standsS: 600 });
  });

  it('takes the hands for each that is stirred in, and the longest standing', () => {
    const inner = madeAhead(SHIPPED_FILLINGS, shipped('ganache'));
    const outer = madeAhead(SHIPPED_FILLINGS, shipped('hazelnut'));
    expect(outer?.handsOnS).toBe(2 * (inner?.handsOnS ?? 0));
    expect(outer?.standsS).toBe(inner?.standsS);
  });

  it('follows a recipe that names itself no further than once', () => {
    const round: Filling = {
      ...shipped('ganache'),
      recipe: [{ ...shipped('hazelnut').recipe[0], fillingId: 'ganache' }],
    };
    expect(madeAhead([round], round)).toEqual(madeAhead(SHIPPED_FILLINGS, shipped('ganache')));
  });

  it('is begun so long before the first of it goes in, in every casting that holds one; the job itself stays as long', () => {
    const told = demoCastings(new Date('2026-10-12T08:00:00Z')).flatMap((casting) => {
      const plan = planned(casting);
      return plan.fillings.flatMap(({ fillingId, makeBy }) => {
        if (!makeBy) return [];
        const goesIn =
          plan.start.value + (plan.batch.timeline.wholeJob.find(({ kind }) => kind === 'fill')?.startSeconds ?? 0);
        const made = madeAhead(
          casting.fillings,
          casting.fillings.find(({ id }) => id === fillingId) ?? shipped('spice'),
        );
        const early = goesIn - makeBy.value - (made?.handsOnS ?? 0) - (made?.standsS ?? 0);
        expect(early).toBeGreaterThanOrEqual(0);
        expect(early).toBeLessThan(300);
        expect(makeBy.zone).toBe(casting.due.zone);
        return [fillingId];
      });
    });
    expect(told.length).toBeGreaterThan(1);
  });
});
