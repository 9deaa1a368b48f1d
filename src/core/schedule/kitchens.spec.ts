import { endOf, kitchenAsProgram } from '../../testing/kitchen-as-program';
import { madeUpKitchen } from '../../testing/made-up-kitchens';
import { boundS } from './bound';
import { faultsOf } from './check';
import { impossible } from './impossible';
import { Improver } from './improve';
import type { Workload } from './workload';

/** What is used of the reference package. */
interface Highs {
  solve(program: string): { readonly Status: string; readonly ObjectiveValue: number };
}
const loadHighs = jest.requireActual<() => Promise<Highs>>('highs');

/** Whether a kitchen can be, and when it ends at the earliest. */
function solved(kitchen: Workload): Improver | undefined {
  if (impossible(kitchen)) return undefined;
  const improver = new Improver(kitchen, 1);
  const first = improver.first();
  if (first === 'none') return undefined;
  expect(first).toBe('found');
  improver.prove(200_000);
  expect(improver.proven).toBe(true);
  return improver;
}

describe('made-up kitchens with lags both ways, molds, a shelf, hands and stays', () => {
  // Reference: the mixed-integer optimum of HiGHS (Huangfu and Hall 2018) on the same kitchens, in a model written apart.
  it('end when the mixed-integer optimum does, and cannot be where that cannot', async () => {
    const highs = await loadHighs();
    let none = 0;
    for (let seed = 1; seed <= 20; seed++) {
      const kitchen = madeUpKitchen(seed);
      const end = solved(kitchen)?.best?.endS;
      // What ends earlier than ours would do so within this.
      const horizon = end === undefined ? 90 : end + 5;
      const { Status, ObjectiveValue } = highs.solve(kitchenAsProgram(kitchen, horizon));
      if (Status === 'Infeasible') none++;
      expect({ seed, end: Status === 'Infeasible' ? undefined : endOf(ObjectiveValue, horizon) }).toEqual({
        seed,
        end,
      });
    }
    expect(none).toBeGreaterThan(0);
    expect(none).toBeLessThan(15);
  });

  it('have no fault by the checker, and are never over before their bound', () => {
    let could = 0;
    for (let seed = 1000; seed < 3000; seed++) {
      const kitchen = madeUpKitchen(seed);
      const improver = new Improver(kitchen, seed);
      if (impossible(kitchen) || improver.first() !== 'found') continue;
      for (let k = 0; k < 5; k++) improver.round();
      could++;
      const { starts, endS } = improver.best ?? { starts: [], endS: NaN };
      expect(faultsOf(kitchen, starts)).toEqual([]);
      expect(boundS(kitchen)).toBeLessThanOrEqual(endS);
    }
    expect(could).toBeGreaterThan(1000);
  });

  it('are refused by the checker where something is broken on purpose', () => {
    let broken = 0;
    for (let seed = 1; broken < 2000; seed++) {
      const kitchen = madeUpKitchen(seed);
      const improver = new Improver(kitchen, 1);
      if (impossible(kitchen) || improver.first() !== 'found') continue;
      const starts = improver.best?.starts ?? [];
      for (const [lag, { from, to, least }] of kitchen.lags.entries()) {
        const cut = starts.map((start, i) =>
          i === to ? starts[from] + kitchen.operations[from].seconds + least - 1 : start,
        );
        expect(faultsOf(kitchen, cut)).toContainEqual({ key: 'lag', lag });
        broken++;
      }
      // Everything at once is more than the hands there are, or than one mold holds.
      const together = kitchen.operations.map(() => 0);
      expect(faultsOf(kitchen, together)).not.toEqual([]);
      broken++;
      const { stays, operations } = kitchen;
      if (stays.length === 0) continue;
      const after = stays[stays.length - 1].to;
      const late = starts.map((start) => start + after);
      for (const [operation, { hands }] of operations.entries()) {
        if (hands === 0) continue;
        expect(faultsOf(kitchen, late)).toContainEqual({ key: 'outsideStay', operation });
        broken++;
      }
    }
    expect(broken).toBeGreaterThanOrEqual(2000);
  });
});

describe('kitchens by hand', () => {
  const coat = (seconds: number) => ({ id: 'x', seconds, hands: 1 });
  const kitchen = (change: Partial<Workload>): Workload => ({
    operations: [],
    lags: [],
    resources: [],
    occupations: [],
    people: 1,
    stays: [],
    ...change,
  });

  it('a coat, a wait, a coat and a wait end after their sum', () => {
    const one = kitchen({
      operations: [coat(120), coat(90), coat(30)],
      lags: [
        { from: 0, to: 1, least: 300 },
        { from: 1, to: 2, least: 600 },
      ],
    });
    expect(boundS(one)).toBe(120 + 300 + 90 + 600 + 30);
    expect(solved(one)?.best).toEqual({ starts: [0, 420, 1110], endS: 1140 });
  });

  it('two molds are worked in each other’s waits; one mold waits for itself', () => {
    const rounds = (molds: number): Workload =>
      kitchen({
        operations: [coat(100), coat(20), coat(100), coat(20)],
        lags: [
          { from: 0, to: 1, least: 300 },
          { from: 2, to: 3, least: 300 },
        ],
        resources: [{ name: 'mold', capacity: molds }],
        occupations: [0, 2].map((i) => ({
          resource: 0,
          amount: 1,
          from: { operation: i, at: 'start' as const },
          to: { operation: i + 1, at: 'end' as const },
        })),
      });
    expect(solved(rounds(1))?.best?.endS).toBe(2 * 420);
    expect(solved(rounds(2))?.best?.endS).toBe(100 + 100 + 300 + 20);
  });

  it('work waits for the next stay, and a wait runs through the night', () => {
    const two = kitchen({
      operations: [coat(50), coat(50), coat(10)],
      lags: [
        { from: 0, to: 2, least: 500 },
        { from: 1, to: 2, least: 500 },
      ],
      stays: [
        { from: 0, to: 120 },
        { from: 600, to: 700 },
      ],
    });
    const best = solved(two)?.best;
    expect(best?.endS).toBe(610);
    expect(best?.starts[2]).toBe(600);
  });

  it('says why there can be none', () => {
    const shelf = { resources: [{ name: 'shelf', capacity: 1 }], operations: [coat(10), coat(10)] };
    const held = {
      resource: 0,
      amount: 2,
      from: { operation: 0, at: 'end' as const },
      to: { operation: 1, at: 'start' as const },
    };
    expect(impossible(kitchen({ ...shelf, occupations: [held] }))).toEqual({ key: 'tooMuch', occupation: 0 });
    expect(impossible(kitchen({ operations: [{ ...coat(10), hands: 2 }] }))).toEqual({
      key: 'tooFewHands',
      operation: 0,
    });
    expect(impossible(kitchen({ operations: [coat(10)], stays: [{ from: 0, to: 9 }] }))).toEqual({
      key: 'tooLong',
      operation: 0,
    });
    const lags = [
      { from: 0, to: 1, least: 10 },
      { from: 1, to: 0, least: 10 },
    ];
    expect(impossible(kitchen({ operations: [coat(1), coat(1)], lags }))).toEqual({ key: 'lags' });
    // Two that want their hands at the same moment: no lag alone forbids it, the search does.
    const together = kitchen({
      operations: [coat(10), coat(10), { ...coat(1), hands: 0 }],
      lags: [
        { from: 2, to: 0, least: 0, most: 0 },
        { from: 2, to: 1, least: 0, most: 5 },
      ],
    });
    expect(impossible(together)).toBeUndefined();
    expect(new Improver(together, 1).first()).toBe('none');
  });
});
