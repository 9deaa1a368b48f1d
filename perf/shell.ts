import { usualCoat } from '../src/testing/coat-choice';
import { cavityOf } from '../src/core/cavity/cavity';
import { trayHeat } from '../src/core/matter/mold-material';
import { WORKING_RULES } from '../src/core/matter/working-rules';
import { searchWays } from '../src/core/study/aim-search';
import { makingOf } from '../src/core/plan/making';
import { simulateMaking, simulateRange } from '../src/core/plan/simulate';
import type { WayUp } from '../src/core/record/choices';
import type { CoatChoice } from '../src/core/shell/coat-choice';
import { AS_PLANNED, simulateShell } from '../src/core/shell/shell';
import { WALL_CELLS } from '../src/core/shell/wall-cells';
import { demoCastings } from '../src/data/demo';
import { stillAirAt, type FilmStage } from '../src/testing/film-equations';
import { explicitFilm } from './explicit-shell';
import { timed, type Result } from './measure';
import type { ShellInput } from '../src/core/shell/shell-types';

const RADIUS = 0.032;
const cavity = cavityOf({ kind: 'hemisphere', diameterM: 2 * RADIUS });
const kitchen = { roomC: 19.5, fridgeC: 5, freezerC: -18, fridgeFan: false, freezerFan: false };
const coat = usualCoat({ doseM3: 7e-6 });
const shell = (coats: number, change: Partial<CoatChoice> = {}, setSeconds = 600): ShellInput => ({
  cavity,
  material: 'silicone',
  moldWallM: 0.0025,
  roomC: kitchen.roomC,
  kitchen,
  coats: Array.from({ length: coats }, (_, i) => ({
    choice: { ...coat, id: `c${i}`, ...change },
    handlingSeconds: 30,
    sets: [{ place: 'fridge', seconds: setSeconds }],
  })),
});

/** The shell simulation by itself, and beside its yardstick. */
export function shellResults(): Result[] {
  return [
    usualResult(),
    hardestResult(),
    rangeResult(),
    yardstick('upsideDown'),
    yardstick('upright'),
    growthResult(),
    searchResult(),
  ];
}

function usualResult(): Result {
  const input = shell(2);
  const { ms, told } = timed(() => simulateShell(input), 60, 60);
  return {
    what: 'Two coats simulated',
    value: `${ms.toFixed(1)} ms`,
    wanted: 'at most 10 ms',
    met: ms <= 10,
    against: `64 mm half, 120 cells, drained 20 s and set 10 min each; ${told}`,
  };
}

function hardestResult(): Result {
  const input = shell(2, {
    wayUp: 'upright',
    workingC: 45,
    drainSeconds: 3,
    tappingSeconds: 0,
    chocolate: { ...coat.chocolate, fluidity: 'veryFluid' },
  });
  const { ms, told } = timed(() => simulateShell(input), 30, 30);
  return {
    what: 'The hardest two coats simulated',
    value: `${ms.toFixed(1)} ms`,
    wanted: 'at most 40 ms',
    met: ms <= 40,
    against: `very fluid, 45 °C, drained 3 s, upright; ${told}`,
  };
}

function rangeResult(): Result {
  const [bombs] = demoCastings(new Date('2026-10-12T08:00:00Z'));
  const making = makingOf(bombs, bombs.parts[0]);
  const { simulated } = simulateMaking(making);
  const { ms, told } = timed(
    () => {
      const steps = simulateRange(making, simulated);
      while (!steps.next().done);
    },
    15,
    5,
  );
  return {
    what: 'Likely range of a shell',
    value: `${ms.toFixed(0)} ms`,
    wanted: 'under 150 ms',
    met: ms < 150,
    against: `fifteen runs of the demo bombs’ two coats; ${told}`,
  };
}

/** One coat without dwell, drained 20 s and set for 10 min, by the simulation and by the plain explicit scheme on the same cells. */
function yardstick(wayUp: WayUp): Result {
  const input = {
    ...shell(1, { dwellSeconds: 0, wayUp }),
    coats: [
      {
        choice: { ...coat, dwellSeconds: 0, wayUp },
        handlingSeconds: 20,
        sets: [{ place: 'fridge' as const, seconds: 600 }],
      },
    ],
  };
  const room = {
    airC: kitchen.roomC,
    outsideH: stillAirAt(kitchen.roomC),
    insideH: stillAirAt(kitchen.roomC, WORKING_RULES.insideFactor.dome),
  };
  const drain: FilmStage = {
    ...room,
    rock: Math.sin((WORKING_RULES.rockingDegrees * Math.PI) / 180),
    upright: false,
    yieldFactor: 1,
  };
  const stages = [
    [{ ...drain, yieldFactor: WORKING_RULES.tappingYieldFactor }, 10],
    [drain, 10],
    [
      {
        rock: 0,
        upright: wayUp === 'upright',
        yieldFactor: 1,
        airC: kitchen.fridgeC,
        outsideH: stillAirAt(kitchen.fridgeC),
        insideH: stillAirAt(
          kitchen.fridgeC,
          wayUp === 'upright' ? WORKING_RULES.insideFactor.open : WORKING_RULES.insideFactor.dome,
        ),
      },
      600,
    ],
  ] as const;
  const problem = {
    radiusM: RADIUS,
    cells: WALL_CELLS,
    kind: 'dark',
    fluidity: 'medium',
    fatShare: 0.4,
    material: 'silicone',
    wallM: 0.0025,
    trayHeat: trayHeat('silicone'),
    belowM: 0,
    belowSet: 0,
  } as const;
  const explicit = (): Float64Array =>
    explicitFilm(problem, WORKING_RULES.dumpStartThicknessM, 31.5, kitchen.roomC, stages);
  let ours = new Float64Array();
  simulateShell(input, AS_PLANNED, ({ filmM }) => (ours = filmM.slice()));
  const theirs = explicit();
  const apart = theirs.reduce((most, h, i) => Math.max(most, Math.abs(ours[i] / h - 1)), 0) * 100;
  const ratio = timed(explicit, 3, 1).ms / timed(() => simulateShell(input), 30, 30).ms;
  const name = wayUp === 'upright' ? 'upright' : 'upside down';
  return {
    what: `Shell against a plain explicit scheme, ${name}`,
    value: `${ratio.toFixed(0)} times quicker, ${apart.toFixed(1)} % apart`,
    wanted: 'within 2 %',
    met: apart < 2,
    against: 'one coat drained 20 s and set 10 min in the fridge, the most of any of 120 cells',
  };
}

/** Ways found for the demo bombs: every method and way up across the band, each aimed and simulated. */
function searchResult(): Result {
  const [bombs] = demoCastings(new Date('2026-10-12T08:00:00Z'));
  const { ms, told } = timed(
    () => {
      const steps = searchWays(bombs, { by: 'rim', rimM: 0.0024 });
      while (!steps.next().done);
    },
    5,
    2,
  );
  return {
    what: 'Ways found for a wanted rim',
    value: `${ms.toFixed(0)} ms`,
    wanted: 'under 1500 ms',
    met: ms < 1500,
    against: `twelve ways aimed and simulated, with progress; ${told}`,
  };
}

/** How the time grows with cells and with simulated minutes. */
function growthResult(): Result {
  const cells = (count: number): number =>
    timed(() => simulateShell(shell(1), AS_PLANNED, undefined, count), 30, 20).ms;
  const minutes = (seconds: number): number => timed(() => simulateShell(shell(1, {}, seconds)), 30, 20).ms;
  const byCells = cells(240) / cells(120);
  const byMinutes = minutes(2400) / minutes(600);
  const met = byCells < 3 && byMinutes < 4;
  return {
    what: 'Growth of the simulation',
    value: `${byCells.toFixed(1)} times for twice the cells, ${byMinutes.toFixed(1)} times for four times the minutes`,
    wanted: 'about linear',
    met,
    against: 'one coat, quickest tenth of 30, warm',
  };
}
