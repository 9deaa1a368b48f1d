import { cavityOf } from '../cavity/cavity';
import { CHOCOLATE_MATTER } from '../matter/chocolate';
import { MOLD_MATTER } from '../matter/mold-material';
import { setsInTheEnd } from '../heat/setting';
import { wallCells } from './wall-cells';
import { settingMatter, WallHeat, type WallAir } from './wall-heat';

// A flat floor, so that curvature plays no part.
const cells = wallCells(cavityOf({ kind: 'cylinder', diameterM: 0.2, depthM: 0.003 }).profile, 20);
const FLOOR = 5;
const array = (value: number): Float64Array => new Float64Array(cells.count).fill(value);
const air = (c: number, h = 10): WallAir => ({ outsideC: c, insideC: c, outsideH: h, insideH: h });

function heat(filmC: number, wallC: number, wallM = 0.0025): WallHeat {
  const of = new WallHeat(cells, 'silicone', wallM, 0, wallC);
  of.pour({ kind: 'dark', fatShare: 0.4 }, filmC, 0);
  return of;
}

describe('heat in wall and film', () => {
  // Newton's law of cooling of a body that is at one temperature throughout (Incropera, chapter 5): Bi is 0.05 here.
  it('falls as a lumped body’s where nothing sets and little resists inside', () => {
    const filmM = 0.0005;
    const wallM = 0.0002;
    const of = heat(60, 60, wallM);
    of.shape(air(40), array(filmM), array(0), array(filmM), array(0));
    const { conductivity, density, specificHeat } = MOLD_MATTER.silicone;
    const capacity = settingMatter({ kind: 'dark', fatShare: 0.4 }).heat * filmM + density * specificHeat * wallM;
    const seconds = 60;
    for (let k = 0; k < 6000; k++) of.step(seconds / 6000);
    const exchange = 1 / (1 / 10 + wallM / (2 * conductivity)) + 1 / (1 / 10 + filmM / 0.48);
    expect((of.filmC[FLOOR] - 40) / (20 * Math.exp((-exchange * seconds) / capacity))).toBeCloseTo(1, 1);
    expect(Math.abs(of.filmC[FLOOR] - of.wallC[FLOOR])).toBeLessThan(0.3);
  });

  it('settles between wall and film by their heat capacities, losing none of it, where no air takes it away', () => {
    const filmM = 0.0012;
    const of = heat(45, 35);
    const still = { ...air(40), outsideH: 1e-9, insideH: 1e-9 };
    of.shape(still, array(filmM), array(0), array(filmM), array(0));
    const before = of.heatHeld(array(filmM), array(0));
    for (let k = 0; k < 400; k++) of.step(1);
    const { density, specificHeat } = MOLD_MATTER.silicone;
    const film = settingMatter({ kind: 'dark', fatShare: 0.4 }).heat * filmM;
    const wall = density * specificHeat * 0.0025;
    expect(of.filmC[FLOOR]).toBeCloseTo((45 * film + 35 * wall) / (film + wall), 3);
    expect(of.heatHeld(array(filmM), array(0)) / before).toBeCloseTo(1, 9);
  });

  it('lets the seed grow with its lag, then the rest slowly up to what is stable, and never back', () => {
    const filmM = 0.001;
    const { setFromC, setToC, settingLagS } = CHOCOLATE_MATTER.dark;
    const of = heat(20, 20);
    of.shape(air(20, 1e6), array(filmM), array(0), array(filmM), array(0));
    const allowed = (setFromC - 20) / (setFromC - setToC);
    for (let k = 0; k < 2000; k++) of.step(settingLagS / 2000);
    // One lag: 1 - 1/e of the way, a little less for the heat of setting that first has to go.
    expect(of.filmSet[FLOOR] / allowed).toBeGreaterThan(0.5);
    expect(of.filmSet[FLOOR] / allowed).toBeLessThan(1 - Math.exp(-1) + 0.01);
    // After hours it is what is stable there; warmed again, less would be, but what has set stays.
    for (let k = 0; k < 2000; k++) of.step(5);
    expect(of.filmSet[FLOOR]).toBeCloseTo(setsInTheEnd({ kind: 'dark' }, 20), 3);
    const set = of.filmSet[FLOOR];
    of.shape(air(29, 1e6), array(filmM), array(0), array(filmM), array(0));
    for (let k = 0; k < 300; k++) of.step(1);
    expect(of.filmSet[FLOOR]).toBe(set);
  });

  it('balances for steps of any length, setting and cooling at once', () => {
    const filmM = 0.0013;
    for (const dt of [0.01, 1, 30, 300]) {
      const of = heat(32, 19);
      of.shape(air(5), array(filmM), array(0), array(filmM), array(0));
      const before = of.heatHeld(array(filmM), array(0));
      for (let k = 0; k < 20; k++) of.step(dt);
      expect((before - of.heatHeld(array(filmM), array(0))) / of.heatOut).toBeCloseTo(1, 9);
    }
  });
});
