import fc from 'fast-check';
import { meltable } from './heat-held';
import { heatedPot, meltedPot, potHeat, potTemperatureC, secondsToReach, type Pot } from './pot';

/** What is used of the reference package, which brings its types as source that this project's settings do not compile. */
interface Odex {
  readonly Solver: new (dimension: number) => {
    absoluteTolerance: number;
    relativeTolerance: number;
    solve(
      derivative: (x: number, y: number[]) => number[],
      from: number,
      start: number[],
      to: number,
    ): { readonly y: number[] };
  };
}
const { Solver } = jest.requireActual<Odex>('odex');

const pot: Pot = { chocolate: meltable('dark', 0.4, 31), kg: 0.45, bowlHeat: 110, lossWK: 0.5, aroundC: 19.5 };

const anyPot: fc.Arbitrary<Pot> = fc.record({
  kg: fc.double({ min: 0.02, max: 3, noNaN: true }),
  bowlHeat: fc.double({ min: 5, max: 600, noNaN: true }),
  lossWK: fc.oneof(fc.constant(0), fc.double({ min: 0.001, max: 6, noNaN: true })),
  aroundC: fc.double({ min: 5, max: 80, noNaN: true }),
  chocolate: fc
    .record({
      kind: fc.constantFrom('dark' as const, 'compound' as const),
      fatShare: fc.double({ min: 0, max: 0.7, noNaN: true }),
    })
    .map(({ kind, fatShare }) => meltable(kind, fatShare, 33)),
});
const temperature = fc.double({ min: 5, max: 60, noNaN: true });

/** The same pot by a solver of the reference package: dH/dt = watts - loss (T(H) - around). */
function byOdex(of: Pot, fromC: number, watts: number, seconds: number): number {
  const solver = new Solver(1);
  solver.absoluteTolerance = 1e-6;
  solver.relativeTolerance = 1e-9;
  const { y } = solver.solve(
    (_, [heat]) => [watts - of.lossWK * (potTemperatureC(of, heat) - of.aroundC)],
    0,
    [potHeat(of, fromC)],
    seconds,
  );
  return potTemperatureC(of, y[0]);
}

describe('a pot of chocolate', () => {
  // Reference: odex, an extrapolation solver after Hairer, Norsett and Wanner, "Solving Ordinary Differential Equations I".
  it.each([
    ['cools by Newton’s law', meltedPot(pot), 45, 0, 1800],
    ['takes a burst from cold', pot, 19.5, 250, 30],
    ['takes a burst across the whole melting interval', pot, 29, 400, 120],
    ['takes a burst from within it', pot, 32.2, 300, 20],
    ['sets nothing on the way down across it', pot, 36, 0, 2400],
    ['is warmed by a bath', { ...pot, lossWK: 2.5, aroundC: 70 }, 20, 0, 900],
  ] as const)('%s as the reference solver has it, within 0.1 K', (_, of, fromC, watts, seconds) => {
    const own = potTemperatureC(of, heatedPot(of, potHeat(of, fromC), watts, seconds));
    expect(Math.abs(own - byOdex(of, fromC, watts, seconds))).toBeLessThan(0.1);
  });

  it('without a loss gains exactly what it is given', () => {
    const closed = { ...pot, lossWK: 0 };
    expect(heatedPot(closed, potHeat(closed, 20), 250, 200) - potHeat(closed, 20)).toBeCloseTo(50_000, 6);
  });

  it('holds heat and temperature as inverses, in any state', () => {
    fc.assert(
      fc.property(anyPot, temperature, (of, celsius) =>
        expect(potTemperatureC(of, potHeat(of, celsius))).toBeCloseTo(celsius, 9),
      ),
    );
  });

  it('comes to the same in one step as in many, and never past what surrounds it', () => {
    fc.assert(
      fc.property(anyPot, temperature, fc.double({ min: 1, max: 4000, noNaN: true }), (of, fromC, seconds) => {
        const start = potHeat(of, fromC);
        let steps = start;
        for (let k = 0; k < 7; k++) steps = heatedPot(of, steps, 0, seconds / 7);
        const once = potTemperatureC(of, heatedPot(of, start, 0, seconds));
        expect(potTemperatureC(of, steps)).toBeCloseTo(once, 6);
        expect(once).toBeGreaterThanOrEqual(Math.min(fromC, of.aroundC) - 1e-9);
        expect(once).toBeLessThanOrEqual(Math.max(fromC, of.aroundC) + 1e-9);
      }),
    );
  });

  it('takes as long to a temperature as it says', () => {
    fc.assert(
      fc.property(
        anyPot,
        temperature,
        temperature,
        fc.oneof(fc.constant(0), fc.double({ min: 0.1, max: 900, noNaN: true })),
        (of, fromC, toC, watts) => {
          const seconds = secondsToReach(of, fromC, toC, watts);
          if (Number.isFinite(seconds))
            expect(potTemperatureC(of, heatedPot(of, potHeat(of, fromC), watts, seconds))).toBeCloseTo(toC, 6);
          // Never reached: however long it stands, it is still on the side that it started from.
          else
            expect(
              Math.sign(potTemperatureC(of, heatedPot(of, potHeat(of, fromC), watts, 1e5)) - toC) *
                Math.sign(fromC - toC),
            ).toBeGreaterThanOrEqual(0);
        },
      ),
    );
  });
});
