import {
  CHOCOLATE_CONDUCTIVITY,
  CHOCOLATE_MATTER,
  CHOCOLATE_SPECIFIC_HEAT,
  latentHeat,
  rheologyAt,
  type ChocolateKind,
  type FluidityClass,
} from '../core/matter/chocolate';
import { convectionH, radiationH } from '../core/heat/still-air';
import { MOLD_MATTER, type MoldMaterial } from '../core/matter/mold-material';

/** One coat on a half sphere, written plainly for a general solver of ordinary differential equations or a plain explicit scheme. */
export interface FilmProblem {
  readonly radiusM: number;
  readonly cells: number;
  readonly kind: ChocolateKind;
  readonly fluidity: FluidityClass;
  readonly fatShare: number;
  readonly material: MoldMaterial;
  readonly wallM: number;
  readonly trayHeat: number;
  /** Set chocolate under the film, m, everywhere alike, and its set fraction at the start. */
  readonly belowM: number;
  readonly belowSet: number;
}

/** How the mold is held, and the air around it. */
export interface FilmStage {
  /** Sine of the tilt by which the hand rocks it; 0 where it stands. */
  readonly rock: number;
  readonly upright: boolean;
  readonly yieldFactor: number;
  readonly airC: number;
  /** Heat transfer of either face by its temperature, W/(m² K). */
  readonly outsideH: (surfaceC: number) => number;
  readonly insideH: (surfaceC: number) => number;
}

/**
 * Method of lines for the film on a half sphere with heat in film, set chocolate and wall, from the equations as published and as the
 * model document gives them; shares no code with the simulation but the properties of the materials.
 * State, cell by cell: volume; volume times temperature; volume times set fraction; wall temperature; temperature and set fraction below.
 */
export class FilmEquations {
  static readonly PER_CELL = 6;
  readonly size: number;
  /** The largest time step that a plain explicit scheme bears at the state last asked for, s. */
  stableS = 0;
  private readonly angle: number;

  constructor(private readonly problem: FilmProblem) {
    this.size = problem.cells * FilmEquations.PER_CELL;
    this.angle = Math.PI / 2 / problem.cells;
  }

  private area(i: number): number {
    // The same bands of wall as the simulation's: twice pi, radius in the middle, width.
    return 2 * Math.PI * this.problem.radiusM ** 2 * Math.sin((i + 0.5) * this.angle) * this.angle;
  }

  private layer(t: number): number {
    const R = this.problem.radiusM;
    return t - t ** 2 / R + t ** 3 / (3 * R * R);
  }

  /** Thickness of the film in a cell, m. */
  thickness(volume: number, i: number): number {
    const { radiusM: R, belowM } = this.problem;
    const outer = R - belowM;
    // A shell between two spheres: (outer³ - inner³)/3 per solid angle.
    return outer - Math.cbrt(outer ** 3 - (3 * volume * R * R) / this.area(i));
  }

  /** A film of one thickness and temperature on a wall of another. */
  start(filmM: number, filmC: number, wallC: number): number[] {
    const { belowM, belowSet, cells } = this.problem;
    return Array.from({ length: cells }, (_, i) => {
      const volume = this.area(i) * (this.layer(belowM + filmM) - this.layer(belowM));
      return [volume, volume * filmC, 0, wallC, wallC, belowSet];
    }).flat();
  }

  /** Time derivative of a state. */
  derivative(y: ArrayLike<number>, stage: FilmStage): Float64Array {
    const { cells, radiusM: R } = this.problem;
    const rates = new Float64Array(this.size);
    const thickness = Float64Array.from({ length: cells }, (_, i) => this.thickness(y[6 * i], i));
    this.stableS = Infinity;
    this.flow(y, thickness, stage, rates, this.angle * R);
    for (let i = 0; i < cells; i++) this.heat(y, thickness, i, stage, rates);
    return rates;
  }

  private flow(y: ArrayLike<number>, h: Float64Array, stage: FilmStage, rates: Float64Array, ds: number): void {
    const { cells, radiusM: R, kind, fluidity } = this.problem;
    const weight = CHOCOLATE_MATTER[kind].meltedDensity * 9.81;
    for (let f = 1; f <= cells; f++) {
      const beta = f * this.angle;
      if (stage.upright && f === cells) continue;
      const along = stage.rock > 0 ? Math.hypot(Math.sin(beta), stage.rock) : Math.sin(beta);
      const rise = stage.upright ? (Math.max(0, Math.cos(beta)) * (h[f] - h[f - 1])) / ds : 0;
      const drive = stage.upright ? -weight * (Math.sin(beta) + rise) : weight * along;
      const from = drive > 0 ? f - 1 : f;
      // A solver's trial may empty a cell.
      if (!(h[from] > 0)) continue;
      const T = y[6 * from + 1] / y[6 * from];
      const set = y[6 * from + 2] / y[6 * from];
      if (set >= 0.6) continue;
      const { yieldPa, viscosityPas } = rheologyAt(fluidity, T);
      const tau = yieldPa * (1 + 8 * set) * stage.yieldFactor;
      const eta = viscosityPas * (1 - set / 0.6) ** -1.5;
      const G = Math.abs(drive);
      const x = Math.sqrt(tau / (G * h[from]));
      if (x >= 1) continue;
      const q = ((G * h[from] ** 3) / (30 * eta)) * (1 - x) ** 3 * (10 + 6 * x + 3 * x * x + x ** 3);
      const turned = stage.rock > 0 ? Math.sin(beta) / along : 1;
      const flux = Math.sign(drive) * turned * q * 2 * Math.PI * R * Math.sin(beta);
      const speed = (G * h[from] ** 2 * (1 - x) ** 2) / eta / (1 - h[from] / R) ** 2;
      const spread = stage.upright ? (weight * h[from] ** 3) / (3 * eta) : 0;
      this.stableS = Math.min(this.stableS, ds / (speed + (4 * spread) / ds));
      for (const [k, value] of [flux, flux * T, flux * set].entries()) {
        rates[6 * (f - 1) + k] -= value;
        if (f < cells) rates[6 * f + k] += value;
      }
    }
  }

  private heat(y: ArrayLike<number>, thickness: Float64Array, i: number, stage: FilmStage, rates: Float64Array): void {
    const { radiusM: R, kind, fatShare, material, wallM, trayHeat, belowM } = this.problem;
    const { setFromC, setToC, settingLagS, slowSettingS, stableFat, meltedDensity } = CHOCOLATE_MATTER[kind];
    const { conductivity, density, specificHeat } = MOLD_MATTER[material];
    const at = 6 * i;
    const h = thickness[i];
    const film = y[at + 1] / y[at];
    const set = y[at + 2] / y[at];
    const wall = y[at + 3];
    const k = CHOCOLATE_CONDUCTIVITY;
    const halfWall = wallM / (2 * conductivity);
    const outside = (1 + wallM / R) ** 2 / (1 / stage.outsideH(wall) + halfWall);
    const inside = (1 - (belowM + h) / R) ** 2 / (1 / stage.insideH(film) + h / (2 * k));
    const wallCapacity = density * specificHeat * wallM * (1 + wallM / (2 * R)) ** 2 + trayHeat;
    const perVolume = meltedDensity * CHOCOLATE_SPECIFIC_HEAT;
    const kelvin = (meltedDensity * latentHeat(fatShare)) / perVolume;
    const setting = (c: number, already: number): number =>
      Math.max(0, Math.min(1, (setFromC - c) / (setFromC - setToC)) - already) / settingLagS +
      (Math.max(0, stableShare(stableFat, c) - already) * Math.max(0, setFromC - c)) / (slowSettingS * (setFromC - 20));
    // Without a layer below, wall and film touch.
    const direct = 1 / (halfWall + h / (2 * k));
    const below = belowM > 0 ? y[at + 4] : NaN;
    const fromWall = belowM > 0 ? (wall - below) / (halfWall + belowM / (2 * k)) : direct * (wall - film);
    const toFilm = belowM > 0 ? (below - film) / ((belowM + h) / (2 * k)) : fromWall;
    rates[at + 3] = (outside * (stage.airC - wall) - fromWall) / wallCapacity;
    if (belowM > 0) {
      const sets = setting(below, y[at + 5]);
      rates[at + 4] = (fromWall - toFilm) / (this.layer(belowM) * perVolume) + kelvin * sets;
      rates[at + 5] = sets;
    }
    const sets = setting(film, set);
    rates[at + 1] += (this.area(i) * (toFilm + inside * (stage.airC - film))) / perVolume + y[at] * kelvin * sets;
    rates[at + 2] += y[at] * sets;
    const filmCapacity = (y[at] / this.area(i)) * perVolume;
    this.stableS = Math.min(
      this.stableS,
      (0.5 * filmCapacity) / (direct + inside + ((2 * k) / Math.max(h, 1e-6)) * (belowM > 0 ? 1 : 0)),
    );
  }
}

/** Heat transfer of a mold's face to still air, or so many times as much, by the face's temperature. */
export function stillAirAt(airC: number, times = 1): (surfaceC: number) => number {
  return (surfaceC) => times * (convectionH(surfaceC, airC, 0.06) + radiationH(surfaceC, airC));
}

/** Stable share of the fat at a temperature, straight between the points of its curve. */
function stableShare(points: readonly (readonly [number, number])[], celsius: number): number {
  for (let i = 1; i < points.length; i++) {
    const [[lowC, low], [highC, high]] = [points[i - 1], points[i]];
    if (celsius <= highC) return low + ((high - low) * Math.max(0, celsius - lowC)) / (highC - lowC);
  }
  return 0;
}
