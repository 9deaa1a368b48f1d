import fc from 'fast-check';
import { Tridiagonal } from './tridiagonal';

const d = (min: number, max: number) => fc.double({ min, max, noNaN: true });

describe('tridiagonal equations', () => {
  it('are solved: put back, the unknowns give the right-hand side', () => {
    const rows = fc.array(fc.record({ lower: d(-1, 1), upper: d(-1, 1), more: d(0.1, 5), right: d(-10, 10) }), {
      minLength: 1,
      maxLength: 40,
    });
    fc.assert(
      fc.property(rows, (of) => {
        const n = of.length;
        const equations = new Tridiagonal(n);
        const diagonal = of.map(({ lower, upper, more }) => Math.abs(lower) + Math.abs(upper) + more);
        of.forEach(({ lower, upper, right }, i) => {
          equations.lower[i] = i > 0 ? lower : 0;
          equations.upper[i] = i < n - 1 ? upper : 0;
          equations.diagonal[i] = diagonal[i];
          equations.right[i] = right;
        });
        equations.solve();
        const x = equations.right;
        of.forEach(({ lower, upper, right }, i) => {
          const back = (i > 0 ? lower * x[i - 1] : 0) + diagonal[i] * x[i] + (i < n - 1 ? upper * x[i + 1] : 0);
          expect(back).toBeCloseTo(right, 9);
        });
      }),
    );
  });

  it('that say nothing leave their unknown at 0 and the others alone', () => {
    const equations = new Tridiagonal(3);
    equations.diagonal.set([2, 0, 4]);
    equations.right.set([6, 0, 8]);
    equations.solve();
    expect([...equations.right]).toEqual([3, 0, 2]);
  });
});
