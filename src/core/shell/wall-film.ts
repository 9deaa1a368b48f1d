import { ROCKING_SINE } from '../flow/pull';
import { WORKING_RULES } from '../matter/working-rules';
import { Tridiagonal } from './tridiagonal';
import { layerOn, layerSlopeOn, layerThicknessOn, type WallCells } from './wall-cells';

/**
 * How a mold is held while its film runs: tipped out and rocked, standing upside down, upright, or lying on its side. A film on its side runs
 * round the vessel and not along it, as one that is turned does on the whole: what its meridian holds stays.
 */
export type Held = 'rocked' | 'upsideDown' | 'upright' | 'onSide';

// SDIRK2 of Alexander (1977): two stages, stiffly accurate.
const GAMMA = 1 - Math.SQRT1_2;
const NEWTON_MOST = 40;
/** A film this thin is none. */
const LEAST_M = 1e-15;
/** A Newton step this short leaves an error far below a nanometre. */
const NEAR_M = 2e-8;
/** A film thinner than this share of the mean does not set the length of a step. */
const NOTED_SHARE = 0.05;

/**
 * A film of chocolate that runs along a wall, over what has set there: ∂v/∂t + (1/r) ∂(r q)/∂s = 0 with the Casson flux q and
 * v(h) = h - H h² + K h³/3 counted over the layer below. Finite volumes with upwind faces; in time SDIRK2, upside down as one sweep
 * from the pole to the rim, upright as a tridiagonal Newton with the levelling in it. Volumes follow from the fluxes, never from
 * the Newton iterate, so that nothing is lost but what drips off.
 */
export class WallFilm {
  /** Film thickness, m, and volume, m³, in each cell. */
  readonly thicknessM: Float64Array;
  readonly volumeM3: Float64Array;
  /** Thickness of what has set below, m. */
  readonly belowM: Float64Array;
  /** Casson values in each cell; an infinite yield stress does not flow. */
  readonly yieldPa: Float64Array;
  readonly viscosityPas: Float64Array;
  /** What runs across each face, m³/s, positive toward the rim: the mean of the last step. */
  readonly flux: Float64Array;
  /** What has dripped off the rim, m³. */
  drippedM3 = 0;

  private readonly first: Float64Array;
  private readonly second: Float64Array;
  private readonly known: Float64Array;
  private readonly guess: Float64Array;
  private readonly belowVolume: Float64Array;
  private readonly before: Float64Array;
  /** How the thickness changed in the last step, m/s. */
  private readonly rate: Float64Array;
  private readonly equations: Tridiagonal;
  private readonly weight: number;
  private readonly rockedDrive: Float64Array;

  constructor(
    private readonly cells: WallCells,
    densityKgM3: number,
  ) {
    const array = (): Float64Array => new Float64Array(cells.count);
    const faces = (): Float64Array => new Float64Array(cells.count + 1);
    this.thicknessM = array();
    this.volumeM3 = array();
    this.belowM = array();
    this.yieldPa = array();
    this.viscosityPas = array();
    this.flux = faces();
    this.first = faces();
    this.second = faces();
    this.known = array();
    this.guess = array();
    this.belowVolume = array();
    this.before = array();
    this.rate = array();
    this.equations = new Tridiagonal(cells.count);
    this.weight = densityKgM3 * WORKING_RULES.gravity;
    this.rockedDrive = cells.rocked.map((sine) => this.weight * Math.sqrt(sine * sine + ROCKING_SINE * ROCKING_SINE));
  }

  /** Lays a film of the given thickness on what has set, both m. */
  lay(thicknessM: ArrayLike<number>, belowM: ArrayLike<number>): void {
    for (let i = 0; i < this.cells.count; i++) {
      this.belowM[i] = belowM[i];
      this.belowVolume[i] = layerOn(this.cells, i, belowM[i]);
      this.thicknessM[i] = thicknessM[i];
      this.volumeM3[i] =
        this.cells.areaM2[i] * (layerOn(this.cells, i, belowM[i] + thicknessM[i]) - this.belowVolume[i]);
    }
  }

  /** How many times its yield stress the film is pulled by where that is most: nothing flows from 1 down. */
  pull(held: Held): number {
    const { thicknessM, yieldPa } = this;
    const upright = held === 'upright';
    let most = 0;
    if (held === 'onSide') {
      for (let i = 0; i < this.cells.count; i++) most = Math.max(most, (this.weight * thicknessM[i]) / yieldPa[i]);
      return most;
    }
    for (let i = upright ? 1 : 0; i < this.cells.count; i++) {
      const drive = upright ? this.levelDrive(i, thicknessM) : this.drive(i + 1, held);
      // Held upright it runs over the lower face of a cell either way.
      const from = upright && drive > 0 ? i - 1 : i;
      const stress = Math.abs(drive) * thicknessM[from];
      if (stress > most * yieldPa[from]) most = stress / yieldPa[from];
    }
    return most;
  }

  private drive(face: number, held: Held): number {
    return held === 'rocked' ? this.rockedDrive[face] : this.weight * this.cells.sine[face];
  }

  private levelDrive(face: number, h: Float64Array): number {
    const { sine, cosine, widthM } = this.cells;
    const rise = this.belowM[face] + h[face] - this.belowM[face - 1] - h[face - 1];
    return -this.weight * (sine[face] + (cosine[face] * rise) / widthM);
  }

  /**
   * Advances by `dt` seconds.
   * @returns the largest relative change of thickness in any cell; NaN when the step did not converge (nothing has changed then)
   */
  step(dt: number, held: Held): number {
    const { count, areaM2 } = this.cells;
    const { known, volumeM3, first, second, flux, thicknessM, before } = this;
    if (held === 'onSide') {
      flux.fill(0);
      this.rate.fill(0);
      return 0;
    }
    const stage = (fluxes: Float64Array): boolean =>
      held === 'upright' ? this.level(GAMMA * dt, fluxes) : this.sweep(GAMMA * dt, held, fluxes);
    // What the last step did is the best guess of what this one does.
    const likely = GAMMA * dt;
    for (let i = 0; i < count; i++) {
      this.guess[i] = Math.max(thicknessM[i] / 2, thicknessM[i] + likely * this.rate[i]);
      before[i] = thicknessM[i];
    }
    known.set(volumeM3);
    if (!stage(first)) return NaN;
    for (let i = 0; i < count; i++) known[i] = volumeM3[i] + (1 - GAMMA) * dt * (first[i] - first[i + 1]);
    if (!stage(second)) return NaN;
    for (let f = 0; f <= count; f++) flux[f] = (1 - GAMMA) * first[f] + GAMMA * second[f];
    let sum = 0;
    for (let i = 0; i < count; i++) {
      sum += before[i];
      // More than was there cannot run away: a shorter step will tell.
      if (volumeM3[i] + dt * (flux[i] - flux[i + 1]) < -LEAST_M * areaM2[i]) return NaN;
    }
    const least = (NOTED_SHARE * sum) / count + 1e-9;
    let largest = 0;
    for (let i = 0; i < count; i++) {
      if (flux[i] === 0 && flux[i + 1] === 0) {
        this.rate[i] = 0;
        continue;
      }
      volumeM3[i] = Math.max(0, volumeM3[i] + dt * (flux[i] - flux[i + 1]));
      thicknessM[i] = layerThicknessOn(this.cells, i, volumeM3[i] / areaM2[i], this.belowM[i], this.guess[i]);
      this.rate[i] = (thicknessM[i] - before[i]) / dt;
      largest = Math.max(largest, Math.abs(thicknessM[i] - before[i]) / Math.max(before[i], least));
    }
    this.drippedM3 += dt * flux[count];
    return largest;
  }

  /** One implicit stage downhill: each cell gets what the one above it lets go, so one pass of scalar Newton steps does it. */
  private sweep(g: number, held: Held, out: Float64Array): boolean {
    const { count, areaM2, faceM, rocked, mean, gauss, roomM } = this.cells;
    const { known, volumeM3, guess, thicknessM, belowM, belowVolume, yieldPa, viscosityPas, weight } = this;
    out[0] = 0;
    for (let i = 0; i < count; i++) {
      const drive = this.drive(i + 1, held);
      const hold = yieldPa[i] / drive;
      let h = guess[i];
      out[i + 1] = 0;
      if (out[i] === 0 && hold >= thicknessM[i] && known[i] === volumeM3[i]) {
        guess[i] = thicknessM[i];
        continue;
      }
      const area = areaM2[i];
      const rhs = (known[i] + g * out[i]) / area + belowVolume[i];
      if (rhs < belowVolume[i]) return false;
      const rate =
        ((held === 'rocked' ? (faceM[i + 1] * rocked[i + 1] * weight) / drive : faceM[i + 1]) * drive) /
        viscosityPas[i];
      const flowing = (g * rate) / area;
      const H = mean[i];
      const K = gauss[i];
      const room = roomM[i];
      const below = belowM[i];
      let close = false;
      // Rising throughout, so what lies between the last too thin and the last too thick is always found.
      let thin = 0;
      let thick = Infinity;
      for (let k = 0; k < NEWTON_MOST && !close; k++) {
        const x = hold < h ? Math.sqrt(hold / h) : 1;
        const free = 1 - x;
        const square = free * free * h * h;
        const flow = (h * square * free * (10 + x * (6 + x * (3 + x)))) / 30;
        const t = below + h;
        const within = t < room ? t : room;
        const layerSlope = 1 - within * (2 * H - K * within);
        const layer = within * (1 - within * (H - (K * within) / 3)) + (t - within) * layerSlope;
        const over = layer - rhs + flowing * flow;
        const step = over / (layerSlope + flowing * square);
        if (over > 0) thick = h;
        else thin = h;
        h = h - step > thin && h - step < thick ? h - step : thick === Infinity ? h - step : (thin + thick) / 2;
        if (Math.abs(step) < NEAR_M || thick - thin < NEAR_M) {
          close = true;
          // The flow is followed along its tangent for the last, tiny step.
          out[i + 1] = Math.max(0, rate * (flow - square * step));
        }
      }
      if (!close) return false;
      guess[i] = h;
    }
    return true;
  }

  /** One implicit stage upright, where the film runs down and levels: Newton on all thicknesses at once. */
  private level(g: number, out: Float64Array): boolean {
    const { count, areaM2 } = this.cells;
    const { known, guess, belowM, belowVolume } = this;
    const { lower, diagonal, upper, right } = this.equations;
    out[0] = 0;
    out[count] = 0;
    for (let k = 0; k < NEWTON_MOST; k++) {
      for (let i = 0; i < count; i++) {
        right[i] = known[i] - areaM2[i] * (layerOn(this.cells, i, belowM[i] + guess[i]) - belowVolume[i]);
        diagonal[i] = areaM2[i] * layerSlopeOn(this.cells, i, belowM[i] + guess[i]);
        lower[i] = 0;
        upper[i] = 0;
      }
      for (let f = 1; f < count; f++) this.levelFace(f, g, out);
      const largest = this.correct();
      if (!(largest < 1)) return false;
      if (largest < NEAR_M) return true;
    }
    return false;
  }

  /** Adds what runs across one face, and how it depends on the thickness at either side, to the equations of both cells. */
  private levelFace(f: number, g: number, out: Float64Array): void {
    const { faceM, cosine, widthM } = this.cells;
    const { guess, yieldPa, viscosityPas } = this;
    const { diagonal, lower, upper, right } = this.equations;
    const drive = this.levelDrive(f, guess);
    const size = Math.abs(drive);
    const from = drive > 0 ? f - 1 : f;
    const h = guess[from];
    const tau = yieldPa[from];
    if (!(tau < size * h)) {
      out[f] = 0;
      return;
    }
    const x = Math.sqrt(tau / (size * h));
    const free = 1 - x;
    const scale = (faceM[f] * h * h * free * free) / viscosityPas[from];
    const flow = (scale * size * h * free * (10 + x * (6 + x * (3 + x)))) / 30;
    const sign = drive > 0 ? 1 : -1;
    out[f] = sign * flow;
    const byThickness = g * scale * drive;
    const byDrive = (g * (scale * h - (2 * flow) / size) * this.weight * cosine[f]) / widthM;
    const byLeft = (drive > 0 ? byThickness : 0) + byDrive;
    const byRight = (drive > 0 ? 0 : byThickness) - byDrive;
    right[f - 1] -= g * out[f];
    right[f] += g * out[f];
    diagonal[f - 1] += byLeft;
    upper[f - 1] += byRight;
    diagonal[f] -= byRight;
    lower[f] -= byLeft;
  }

  /** Solves for the correction of the guess and makes it; gives its size, m. */
  private correct(): number {
    const { guess, equations } = this;
    equations.solve();
    const { right: change } = equations;
    let largest = 0;
    for (let i = 0; i < guess.length; i++) {
      const h = Math.max(guess[i] / 4, guess[i] + change[i]);
      largest = Math.max(largest, Math.abs(h - guess[i]));
      guess[i] = h;
    }
    return largest;
  }

  /**
   * Carries a quantity, given per volume in each cell, along with the last step's flow: implicit and upwind, so that it stays
   * between its values and none is lost.
   * @param before volumes before the step, m³
   * @returns what left over the rim, quantity times m³
   */
  carry(values: Float64Array, before: Float64Array, dt: number): number {
    const { count } = this.cells;
    const { flux, equations } = this;
    const { lower, diagonal, upper, right } = equations;
    for (let i = 0; i < count; i++) {
      lower[i] = -dt * Math.max(0, flux[i]);
      upper[i] = i < count - 1 ? -dt * Math.max(0, -flux[i + 1]) : 0;
      diagonal[i] = this.volumeM3[i] + dt * (Math.max(0, -flux[i]) + Math.max(0, flux[i + 1]));
      right[i] = before[i] * values[i];
    }
    equations.solve();
    // Where nothing is and nothing comes, a value stays as it was.
    for (let i = 0; i < count; i++) if (diagonal[i] > 0) values[i] = right[i];
    return dt * Math.max(0, flux[count]) * values[count - 1];
  }
}
