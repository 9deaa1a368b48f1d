import fc from 'fast-check';
import { onScale, scaleStepKg } from './on-scale';

describe('amounts on a scale', () => {
  it('go to those with most left over (Hamilton’s method, an apportionment worked by hand)', () => {
    // 21 seats by 1.33, 2.57, 4.87, 5.55, 6.68: whole parts 18, the three missing to .87, .68 and .57.
    expect(onScale([1.33, 2.57, 4.87, 5.55, 6.68], 1)).toEqual([1, 3, 5, 5, 7]);
  });

  it('are each within a step of what they were, and add up to the rounded sum', () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: 0, max: 5, noNaN: true }), { minLength: 1, maxLength: 12 }),
        fc.constantFrom('metric' as const, 'us' as const),
        (amounts, system) => {
          const sum = amounts.reduce((all, one) => all + one, 0);
          const step = scaleStepKg(sum, system);
          const rounded = onScale(amounts, step);
          rounded.forEach((one, i) => expect(Math.abs(one - amounts[i])).toBeLessThanOrEqual(step * 1.000001));
          expect(rounded.reduce((all, one) => all + one, 0)).toBeCloseTo(Math.round(sum / step) * step, 9);
        },
      ),
    );
  });
});
