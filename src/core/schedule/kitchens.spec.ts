import { brokenOnPurpose } from '../../testing/broken-timetables';
import { endOf, kitchenAsProgram } from '../../testing/kitchen-as-program';
import { heldKitchen, madeUpKitchen, timetableOf } from '../../testing/made-up-kitchens';
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
    const held = [1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12, 13, 14, 15].flatMap((seed) => heldKitchen(seed) ?? []);
    const all = [...Array.from({ length: 20 }, (_, i) => madeUpKitchen(i + 1)), ...held];
    for (const [seed, kitchen] of all.entries()) {
      const end = solved(kitchen)?.best?.endS;
      // What ends earlier than ours would do so within this.
      const horizon = end === undefined ? 100 : end + 5;
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

  it('have no fault by the checker, with holds and stays, and are never over before their bound', () => {
    let [could, overStays] = [0, 0];
    for (let seed = 1000; could < 2000; seed++) {
      const kitchen = heldKitchen(seed);
      const starts = kitchen && timetableOf(kitchen, seed, 5);
      if (!starts) continue;
      could++;
      if (kitchen.stays.length > 0) overStays++;
      expect(faultsOf(kitchen, starts)).toEqual([]);
      const ends = kitchen.operations.map(({ seconds }, i) => starts[i] + seconds);
      expect(boundS(kitchen)).toBeLessThanOrEqual(Math.max(...ends));
    }
    expect(overStays).toBeGreaterThan(200);
  });

  it('are refused by the checker where something is broken on purpose, for what was broken', () => {
    const broken = new Map<string, number>();
    for (let seed = 1; seed <= 100; seed++) {
      const kitchen = heldKitchen(seed);
      const right = kitchen && timetableOf(kitchen, 1);
      if (!right) continue;
      for (const { starts, fault } of brokenOnPurpose(kitchen, right)) {
        expect(faultsOf(kitchen, starts)).toContainEqual(fault);
        broken.set(fault.key, (broken.get(fault.key) ?? 0) + 1);
      }
    }
    expect([...broken.keys()].sort()).toEqual(['hands', 'lag', 'notHeld', 'outsideStay', 'overfilled']);
    expect([...broken.values()].reduce((sum, count) => sum + count)).toBeGreaterThan(2000);
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

  it('what is held long after everything could be over takes the rest along', () => {
    const late = kitchen({
      operations: [coat(50), { ...coat(20), heldAt: 90_000 }],
      lags: [{ from: 0, to: 1, least: 300, most: 600 }],
    });
    const best = solved(late)?.best;
    expect(best?.endS).toBe(90_020);
    expect(best?.starts[0]).toBeGreaterThanOrEqual(90_000 - 650);
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
