import { setFractionAt, setFractionSlope } from './setting';

/** One material layer of a slab, from the outside inward. SI; temperatures °C. */
export interface SlabLayer {
  readonly thicknessM: number;
  readonly cells: number;
  readonly conductivity: number;
  /** Heat capacity per volume, J/(m³ K). */
  readonly volumetricHeat: number;
  /** Latent heat of complete setting per volume, J/m³; 0 for a layer that does not set. */
  readonly latentHeat: number;
  readonly setFromC: number;
  readonly setToC: number;
  /** Relaxation time of setting, s. 0: always in equilibrium, and reversible. */
  readonly lagS: number;
  readonly startC: number;
}

/** Air on both faces: temperature and heat transfer coefficient, W/(m² K); 0 is an insulated face. */
export interface SlabAir {
  readonly outsideC: number;
  readonly outsideH: number;
  readonly insideC: number;
  readonly insideH: number;
}

/** Curvature of the wall the slab stands for; 0 and 0 for a plane slab. */
export interface SlabCurvature {
  readonly mean: number;
  readonly gauss: number;
}

const NEWTON_TOLERANCE_K = 1e-9;
const NEWTON_MOST = 25;

/**
 * One-dimensional heat conduction with setting, by the enthalpy method: finite volumes, implicit Euler in
 * time, Newton on the temperatures. Layers run from the outside of the mold inward.
 *
 * Energy is conserved to rounding: what the faces let out is what the cells lose. Setting is linear over its
 * interval and may lag by a relaxation time; with a lag, set chocolate does not melt again below its
 * (higher) melting range, so setting only ever advances. Curvature enters as the area of each face.
 */
export class HeatSlab {
  readonly size: number;
  readonly temperatureC: Float64Array;
  readonly setFraction: Float64Array;
  /** Cell volume per wall area, m. */
  readonly volume: Float64Array;
  readonly width: Float64Array;
  /** Index of the first cell of each layer, with the size at the end. */
  readonly layerStart: readonly number[];
  /** Heat that has left through both faces since the start, J per m² of wall. */
  heatOut = 0;

  private readonly heat: Float64Array;
  private readonly latent: Float64Array;
  private readonly from: Float64Array;
  private readonly span: Float64Array;
  private readonly lag: Float64Array;
  private readonly conductance: Float64Array;
  private readonly halfResistance: Float64Array;
  private readonly faceArea: Float64Array;
  private readonly next: Float64Array;
  private readonly upper: Float64Array;
  private readonly right: Float64Array;
  private readonly trial: Float64Array;

  constructor(layers: readonly SlabLayer[], curvature: SlabCurvature = { mean: 0, gauss: 0 }, wallLayers = 1) {
    this.size = layers.reduce((sum, layer) => sum + layer.cells, 0);
    const array = (): Float64Array => new Float64Array(this.size);
    this.temperatureC = array();
    this.setFraction = array();
    this.volume = array();
    this.width = array();
    this.heat = array();
    this.latent = array();
    this.from = array();
    this.span = array();
    this.lag = array();
    this.halfResistance = array();
    this.next = array();
    this.upper = array();
    this.right = array();
    this.trial = array();
    this.conductance = new Float64Array(this.size + 1);
    this.faceArea = new Float64Array(this.size + 1);
    this.layerStart = this.lay(layers, curvature, wallLayers);
  }

  private lay(layers: readonly SlabLayer[], curvature: SlabCurvature, wallLayers: number): number[] {
    let depth = -layers.slice(0, wallLayers).reduce((sum, layer) => sum + layer.thicknessM, 0);
    const area = (n: number): number => Math.max(0.02, 1 - 2 * curvature.mean * n + curvature.gauss * n * n);
    const starts: number[] = [];
    let i = 0;
    this.faceArea[0] = area(depth);
    for (const layer of layers) {
      starts.push(i);
      const dx = layer.thicknessM / layer.cells;
      for (let k = 0; k < layer.cells; k++, i++) {
        this.width[i] = dx;
        this.volume[i] = dx * area(depth + dx / 2);
        this.heat[i] = layer.volumetricHeat;
        this.latent[i] = layer.latentHeat;
        this.from[i] = layer.setFromC;
        this.span[i] = layer.setFromC - layer.setToC;
        this.lag[i] = layer.lagS;
        this.halfResistance[i] = dx / (2 * layer.conductivity);
        this.temperatureC[i] = layer.startC;
        if (layer.latentHeat > 0 && layer.lagS === 0) this.setFraction[i] = setFractionAt(layer.startC, layer.setFromC, this.span[i]);
        depth += dx;
        this.faceArea[i + 1] = area(depth);
      }
    }
    for (let f = 1; f < this.size; f++) this.conductance[f] = this.faceArea[f] / (this.halfResistance[f - 1] + this.halfResistance[f]);
    return [...starts, this.size];
  }

  /** Adds heat capacity to the outermost cell, J/(m² K): a tray or a flange in contact with the mold. */
  addOutsideCapacity(perWallArea: number): void {
    this.heat[0] += perWallArea / this.volume[0];
  }

  /** Takes over temperature and set fraction of the outer cells of an earlier slab with the same layers. */
  continueFrom(temperatureC: ArrayLike<number>, setFraction: ArrayLike<number>): void {
    for (let i = 0; i < temperatureC.length && i < this.size; i++) {
      this.temperatureC[i] = temperatureC[i];
      this.setFraction[i] = setFraction[i];
    }
  }

  /**
   * Advances by `dt` seconds in the given air.
   * @returns the largest change of temperature in any cell, K; NaN when the step did not converge (nothing has changed then)
   */
  step(dt: number, air: SlabAir): number {
    this.setFaces(air);
    const { size, temperatureC, next } = this;
    next.set(temperatureC);
    let converged = false;
    for (let k = 0; k < NEWTON_MOST && !converged; k++) converged = this.newton(dt, air) < NEWTON_TOLERANCE_K;
    if (!converged) return NaN;
    let largest = 0;
    for (let i = 0; i < size; i++) {
      largest = Math.max(largest, Math.abs(next[i] - temperatureC[i]));
      if (this.latent[i] > 0) this.setFraction[i] = this.advanced(i, next[i], dt);
      temperatureC[i] = next[i];
    }
    this.heatOut += dt * (this.conductance[0] * (next[0] - air.outsideC) + this.conductance[size] * (next[size - 1] - air.insideC));
    return largest;
  }

  private setFaces(air: SlabAir): void {
    const last = this.size;
    this.conductance[0] = air.outsideH > 0 ? this.faceArea[0] / (1 / air.outsideH + this.halfResistance[0]) : 0;
    this.conductance[last] = air.insideH > 0 ? this.faceArea[last] / (1 / air.insideH + this.halfResistance[last - 1]) : 0;
  }

  /** Set fraction of cell `i` after `dt` at temperature `t`. */
  private advanced(i: number, t: number, dt: number): number {
    const before = this.setFraction[i];
    const wanted = setFractionAt(t, this.from[i], this.span[i]) - before;
    if (this.lag[i] === 0) return before + wanted;
    return wanted > 0 ? before + (wanted * dt) / (dt + this.lag[i]) : before;
  }

  /** One Newton correction of `next`, by a tridiagonal solve; gives its size, K. */
  private newton(dt: number, air: SlabAir): number {
    const { size, next, temperatureC, volume, heat, latent, conductance, upper, right, trial } = this;
    for (let i = 0; i < size; i++) {
      const below = conductance[i];
      const above = conductance[i + 1];
      const t = next[i];
      const outer = i === 0 ? air.outsideC : next[i - 1];
      const inner = i === size - 1 ? air.insideC : next[i + 1];
      let capacity = heat[i];
      let stored = heat[i] * (t - temperatureC[i]);
      if (latent[i] > 0) {
        stored -= latent[i] * (this.advanced(i, t, dt) - this.setFraction[i]);
        capacity += latent[i] * this.settingSlope(i, t, dt);
      }
      const scale = volume[i] / dt;
      const residual = below * (outer - t) + above * (inner - t) - scale * stored;
      let diagonal = scale * capacity + below + above;
      let rhs = residual;
      if (i > 0) {
        diagonal -= below * upper[i - 1];
        rhs += below * right[i - 1];
      }
      upper[i] = above / diagonal;
      right[i] = rhs / diagonal;
    }
    let largest = 0;
    for (let i = size - 1; i >= 0; i--) {
      trial[i] = i === size - 1 ? right[i] : right[i] + upper[i] * trial[i + 1];
      next[i] += trial[i];
      largest = Math.max(largest, Math.abs(trial[i]));
    }
    return largest;
  }

  private settingSlope(i: number, t: number, dt: number): number {
    const slope = setFractionSlope(t, this.from[i], this.span[i]);
    if (this.lag[i] === 0 || slope === 0) return slope;
    const advancing = setFractionAt(t, this.from[i], this.span[i]) > this.setFraction[i];
    return advancing ? (slope * dt) / (dt + this.lag[i]) : 0;
  }

  /** Heat held against 0 °C and unset, J per m² of wall; falls as heat leaves. */
  heatHeld(): number {
    let held = 0;
    for (let i = 0; i < this.size; i++) {
      held += this.volume[i] * (this.heat[i] * this.temperatureC[i] - this.latent[i] * this.setFraction[i]);
    }
    return held;
  }

  /** Mean set fraction of the cells from `first` up to but not including `end`, by volume. */
  meanSetFraction(first: number, end: number): number {
    let set = 0;
    let all = 0;
    for (let i = first; i < end; i++) {
      set += this.volume[i] * this.setFraction[i];
      all += this.volume[i];
    }
    return all > 0 ? set / all : 0;
  }

  /** Temperature of the innermost face, °C, between the last cell and the air. */
  innerFaceC(air: SlabAir): number {
    const t = this.temperatureC[this.size - 1];
    const resistance = this.halfResistance[this.size - 1];
    return t + (air.insideC - t) * (resistance / (resistance + 1 / Math.max(air.insideH, 1e-9)));
  }

  /** Temperature of the face between cell `i - 1` and cell `i`, °C. */
  faceC(i: number): number {
    const a = this.halfResistance[i - 1];
    const b = this.halfResistance[i];
    return (this.temperatureC[i - 1] * b + this.temperatureC[i] * a) / (a + b);
  }
}
