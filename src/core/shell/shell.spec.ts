import fc from 'fast-check';
import { usualCoat } from '../../testing/coat-choice';
import { anyShape } from '../../testing/arbitrary-shape';
import { FilmEquations, stillAirAt, type FilmProblem, type FilmStage } from '../../testing/film-equations';
import { cavityOf } from '../cavity/cavity';
import { CHOCOLATE_KINDS, CHOCOLATE_MATTER } from '../matter/chocolate';
import { MOLD_MATERIALS } from '../matter/mold-material';
import { WORKING_RULES } from '../matter/working-rules';
import { COAT_AREAS, PLACES, WAYS_UP } from '../record/choices';
import { METHODS, fillsLevel } from '../record/method';
import type { CoatChoice } from './coat-choice';
import { readings } from './laid-film';
import { placeC } from './place-air';
import { AS_PLANNED, simulateShell } from './shell';
import type { ShellInput } from './shell-types';

/** What is used of the reference package, which brings its types as source that this project's settings do not compile. */
interface Odex {
  readonly Solver: new (dimension: number) => {
    absoluteTolerance: number;
    relativeTolerance: number;
    maxSteps: number;
    solve(
      derivative: (x: number, y: number[]) => ArrayLike<number>,
      from: number,
      start: number[],
      to: number,
    ): { readonly y: number[] };
  };
}
const { Solver } = jest.requireActual<Odex>('odex');

const RADIUS = 0.032;
const cavity = cavityOf({ kind: 'hemisphere', diameterM: 2 * RADIUS });
const KITCHEN = { roomC: 19.5, fridgeC: 5, freezerC: -18, fridgeFan: false, freezerFan: false };
const coat = usualCoat();
const shell = (change: Partial<CoatChoice> = {}, coats = 1, kitchen = KITCHEN): ShellInput => ({
  cavity,
  material: 'silicone',
  moldWallM: 0.0025,
  roomC: kitchen.roomC,
  kitchen,
  coats: Array.from({ length: coats }, (_, i) => ({
    choice: { ...coat, id: `c${i}`, ...change },
    handlingSeconds: 60,
    sets: [{ place: 'fridge', seconds: 600 }],
  })),
});
/** Coats that make a film on the wall. */
const SHELL_METHODS = METHODS.filter((method) => !fillsLevel(method));
const read = (input: ShellInput, variation = AS_PLANNED) =>
  readings(input.cavity.profile, simulateShell(input, variation).coats[0].thicknessM);

describe('shell simulation', () => {
  // Reference: Hairer and Wanner's extrapolation code (odex) on the same equations by the method of lines, written apart.
  it.each([
    ['upside down', 'upsideDown', 60],
    ['upright', 'upright', 40],
  ] as const)('agrees with a general solver of differential equations within 1 %%, set %s', (_, wayUp, cells) => {
    const problem: FilmProblem = {
      radiusM: RADIUS,
      cells,
      kind: 'dark',
      fluidity: 'medium',
      fatShare: 0.4,
      material: 'silicone',
      wallM: 0.0025,
      trayHeat: WORKING_RULES.trayHeatCapacity,
      belowM: 0,
      belowSet: 0,
    };
    const input: ShellInput = {
      ...shell({ dwellSeconds: 0, drainSeconds: 8, tappingSeconds: 4, wayUp }),
      coats: [
        {
          choice: { ...coat, dwellSeconds: 0, drainSeconds: 8, tappingSeconds: 4, wayUp },
          handlingSeconds: 8,
          sets: [{ place: 'fridge', seconds: 90 }],
        },
      ],
    };
    const ours = simulateShell(input, AS_PLANNED, undefined, cells).coats[0].thicknessM;
    const theirs = referenceFilm(problem, wayUp);
    const { arcM } = cavity.profile;
    for (let i = 1; i < cells; i += 3) {
      const s = ((i + 0.5) * RADIUS * Math.PI) / 2 / cells;
      const k = Math.min(arcM.length - 2, Math.floor((s / arcM[arcM.length - 1]) * (arcM.length - 1)));
      const share = (s - arcM[k]) / (arcM[k + 1] - arcM[k]);
      const here = ours[k] + share * (ours[k + 1] - ours[k]);
      expect(Math.abs(here / theirs[i] - 1)).toBeLessThan(0.01);
    }
  });

  it('conserves what was poured to 1e-12 and heat to 1e-9, either way up, spooned or tipped out, over several coats', () => {
    for (const wayUp of WAYS_UP) {
      for (const method of SHELL_METHODS) {
        const { massError, heatError } = simulateShell(shell({ wayUp, method }, 3));
        expect(massError).toBeLessThan(1e-12);
        expect(heatError).toBeLessThan(1e-9);
      }
    }
  });

  it('moves the rim by less than 1 % when the cells are halved', () => {
    for (const wayUp of WAYS_UP) {
      const rim = (cells: number): number =>
        readings(cavity.profile, simulateShell(shell({ wayUp }), AS_PLANNED, undefined, cells).coats[0].thicknessM)
          .rimM;
      expect(Math.abs(rim(240) / rim(120) - 1)).toBeLessThan(0.01);
    }
  });

  // Jeffreys 1930: without a yield stress a film on a tall upright wall thins as √(η z/(ρ g t)), z below where it begins.
  it('is Jeffreys’ film on a tall cylinder without a yield stress and at one temperature', () => {
    const tall = cavityOf({ kind: 'cylinder', diameterM: 0.12, depthM: 0.2 });
    const viscosityPas = 2;
    const seconds = 60;
    const input: ShellInput = {
      ...shell(),
      cavity: tall,
      roomC: 40,
      kitchen: { ...KITCHEN, roomC: 40, fridgeC: 40 },
      coats: [
        {
          choice: {
            ...coat,
            workingC: 40,
            dwellSeconds: 0,
            drainSeconds: seconds,
            tappingSeconds: 0,
            chocolate: { ...coat.chocolate, fluidity: { yieldPa: 0, viscosityPas } },
          },
          handlingSeconds: seconds,
          sets: [],
        },
      ],
    };
    const film = simulateShell(input, AS_PLANNED, undefined, 400).coats[0].thicknessM;
    const { arcM, heightM } = tall.profile;
    const half = heightM.findIndex((z) => z >= 0.1);
    const last = arcM.length - 2;
    // What runs in from the floor is as a wall that begins higher up: the square of the thickness still grows with z as Jeffreys has it.
    const grown = (film[last] ** 2 - film[half] ** 2) / (heightM[last] - heightM[half]);
    expect(grown / (viscosityPas / (CHOCOLATE_MATTER.dark.meltedDensity * 9.81 * seconds))).toBeCloseTo(1, 1);
  });

  // Similarity profile on a dome (Takagi & Huppert 2010; same scaling in Lee et al. 2016): h/√(ηR/(ρgt)).
  it('has the dome’s similarity profile after a long drain without yield stress, rocking or cooling', () => {
    const seconds = 110;
    const input: ShellInput = {
      ...shell(),
      roomC: 40,
      kitchen: { ...KITCHEN, roomC: 40, fridgeC: 40 },
      coats: [
        {
          choice: {
            ...coat,
            method: 'dump',
            workingC: 40,
            dwellSeconds: 0,
            drainSeconds: 0,
            tappingSeconds: 0,
            chocolate: { ...coat.chocolate, fluidity: { yieldPa: 0, viscosityPas: 1 } },
          },
          handlingSeconds: 0,
          sets: [{ place: 'fridge', seconds }],
        },
      ],
    };
    const film = simulateShell(input).coats[0].thicknessM;
    const scale = Math.sqrt(RADIUS / (CHOCOLATE_MATTER.dark.meltedDensity * 9.81 * seconds));
    for (const [degrees, factor] of [
      [30, 0.8903],
      [45, 0.9224],
      [60, 0.9708],
    ])
      expect(Math.abs(film[(degrees / 90) * 48] / scale / factor - 1)).toBeLessThan(0.06);
  });

  it('keeps less than the hold thickness where it is put (Casson yield): a cool thin coat does not run at all', () => {
    const { stillAfterSeconds, thicknessM } = simulateShell(shell({ method: 'spoon', doseM3: 3e-6, wayUp: 'upright' }))
      .coats[0];
    expect(stillAfterSeconds).toBe(0);
    const { rimM, baseM } = readings(cavity.profile, thicknessM);
    expect(rimM / baseM).toBeCloseTo(1, 2);
  });
});

describe('common practice, no source', () => {
  it.each([
    ['of 1 tbsp, spooned', { method: 'spoon', doseM3: 14.8e-6 }],
    ['tipped out for 5 s', { drainSeconds: 5, tappingSeconds: 0 }],
  ] as const)('a coat %s sets with a thicker base and a thinner rim upright than upside down', (_, change) => {
    const up = read(shell({ ...change, wayUp: 'upright' }));
    const down = read(shell({ ...change, wayUp: 'upsideDown' }));
    expect(up.baseM).toBeGreaterThan(down.baseM * 1.01);
    expect(up.rimM).toBeLessThan(down.rimM * 0.99);
  });

  it('after a long tapped drain the way up hardly matters', () => {
    const rim = (wayUp: CoatChoice['wayUp']): number =>
      read(shell({ wayUp, drainSeconds: 90, tappingSeconds: 60 })).rimM;
    expect(Math.abs(rim('upright') / rim('upsideDown') - 1)).toBeLessThan(0.03);
  });

  it('cooler chocolate builds a thicker wall', () => {
    const walls = [28, 30, 32, 34].map((workingC) => read(shell({ workingC, dwellSeconds: 0 })).wallM);
    for (let i = 1; i < walls.length; i++) expect(walls[i]).toBeLessThan(walls[i - 1]);
  });

  it('standing longer thickens the wall, and never thins it again', () => {
    const wall = (dwellSeconds: number): number => read(shell({ dwellSeconds })).wallM;
    expect(wall(10)).toBeGreaterThan(wall(2));
    expect(wall(20)).toBeGreaterThan(wall(10));
    expect(wall(200)).toBeGreaterThan(wall(20));
  });

  it('two thin coats come out more even than one of the same weight', () => {
    const evenness = (coats: number): number => {
      const input = shell({ method: 'spoon', wayUp: 'upright', doseM3: 14e-6 / coats }, coats);
      const total = simulateShell(input).coats.reduce(
        (sum, one) => sum.map((t, i) => t + one.thicknessM[i]),
        new Float64Array(cavity.profile.arcM.length),
      );
      const { rimM, baseM } = readings(cavity.profile, total);
      return rimM / baseM;
    };
    expect(evenness(2)).toBeGreaterThan(evenness(1) * 1.2);
  });

  it('chocolate brought hot onto a wall pools at the base', () => {
    const pooled = (workingC: number): number => {
      const { baseM, rimM } = read(shell({ method: 'spoon', wayUp: 'upright', doseM3: 10e-6, workingC }));
      return baseM / rimM;
    };
    expect(pooled(40)).toBeGreaterThan(1.2 * pooled(31));
  });
});

describe('any shell', () => {
  const d = (min: number, max: number) => fc.double({ min, max, noNaN: true });
  const anyCoat = fc.record({
    method: fc.constantFrom(...SHELL_METHODS),
    kind: fc.constantFrom(...CHOCOLATE_KINDS),
    yieldPa: fc.oneof(fc.constant(0), d(0.5, 60)),
    viscosityPas: d(0.2, 20),
    workingC: d(26, 45),
    doseM3: d(1e-7, 5e-4),
    dwellSeconds: d(0, 1200),
    drainSeconds: d(2, 120),
    tappingSeconds: d(0, 120),
    turnSeconds: d(2, 600),
    volumeShare: fc.constant(1),
    standsIn: fc.constantFrom(...PLACES),
    wayUp: fc.constantFrom(...WAYS_UP),
    where: fc.constantFrom(...COAT_AREAS),
    handling: d(0, 2000),
    place: fc.constantFrom(...PLACES),
    seconds: d(30, 21600),
  });
  const anyShell = fc.record({
    shape: anyShape,
    outward: fc.boolean(),
    material: fc.constantFrom(...MOLD_MATERIALS),
    wallM: d(0.00002, 0.02),
    roomC: d(10, 35),
    fridgeC: d(0, 12),
    freezerC: d(-30, -5),
    coats: fc.array(anyCoat, { minLength: 1, maxLength: 2 }),
  });

  it('is finite, not negative, and keeps mass and heat, whatever the cavity, the chocolate and the kitchen', () => {
    fc.assert(
      fc.property(anyShell, ({ shape, outward, material, wallM, roomC, fridgeC, freezerC, coats }) => {
        const place = cavityOf(shape, outward);
        const result = simulateShell({
          cavity: place,
          material,
          moldWallM: wallM,
          roomC,
          kitchen: { roomC, fridgeC, freezerC, fridgeFan: false, freezerFan: true },
          coats: coats.map(
            ({ kind, yieldPa, viscosityPas, handling, place: where, seconds, standsIn, ...rest }, i) => ({
              choice: {
                ...rest,
                id: `c${i}`,
                ...(rest.method === 'chillDump'
                  ? {
                      stands: {
                        airC: placeC({ roomC, fridgeC, freezerC, fridgeFan: false, freezerFan: true }, standsIn),
                        draught: 1.2,
                      },
                    }
                  : {}),
                chocolate: { kind, fluidity: { yieldPa, viscosityPas }, fatShare: 0.4 },
              },
              handlingSeconds: handling,
              sets: [{ place: where, seconds }],
            }),
          ),
        });
        expect(result.massError).toBeLessThan(1e-10);
        expect(result.heatError).toBeLessThan(1e-9);
        for (const one of result.coats) {
          for (const t of one.thicknessM) {
            expect(t).toBeGreaterThanOrEqual(0);
            expect(t).toBeLessThanOrEqual(place.depthM * 1.001);
          }
        }
      }),
      { numRuns: 50, endOnFailure: true },
    );
  });
});

function referenceFilm(problem: FilmProblem, wayUp: 'upright' | 'upsideDown'): number[] {
  const equations = new FilmEquations(problem);
  const room = {
    airC: KITCHEN.roomC,
    outsideH: stillAirAt(KITCHEN.roomC),
    insideH: stillAirAt(KITCHEN.roomC, 0.5),
  };
  const drain: FilmStage = { ...room, rock: Math.sin((15 * Math.PI) / 180), upright: false, yieldFactor: 0.3 };
  const set: FilmStage = {
    rock: 0,
    upright: wayUp === 'upright',
    yieldFactor: 1,
    airC: KITCHEN.fridgeC,
    outsideH: stillAirAt(KITCHEN.fridgeC),
    insideH: stillAirAt(KITCHEN.fridgeC, wayUp === 'upright' ? 0.7 : 0.5),
  };
  let y = equations.start(0.008, 31.5, KITCHEN.roomC);
  for (const [stage, seconds] of [
    [drain, 4],
    [{ ...drain, yieldFactor: 1 }, 4],
    [set, 90],
  ] as const) {
    const solver = new Solver(equations.size);
    solver.absoluteTolerance = 1e-12;
    solver.relativeTolerance = 1e-5;
    solver.maxSteps = 100_000;
    y = solver.solve((_, state) => equations.derivative(state, stage), 0, y, seconds).y;
  }
  return Array.from({ length: problem.cells }, (_, i) => equations.thickness(y[6 * i], i));
}
