import { setFractionAt, slowGain, type SlowSetting } from './setting';

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
  /** How far the growth of the seed lags the temperature, s; 0: not at all. */
  readonly lagS: number;
  /** What sets slowly beyond that; left out where nothing does. */
  readonly slow?: SlowSetting;
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
/** Stretches of a cell's curve of temperature over heat: nothing more sets, it sets, it has set. */
const [WARM, SETS, DONE] = [0, 1, 2];

/**
 * One-dimensional heat conduction with setting, by the enthalpy method: finite volumes, implicit Euler in
 * time, Newton on the heat that each cell gains: temperature is a gentle function of heat even while a cell sets,
 * which the other way round it is not. Layers run from the outside of the mold inward.
 *
 * Energy is conserved to rounding: what the faces let out is what the cells lose. Setting is linear over its
 * interval and may lag by a relaxation time; what is stable beyond that follows slowly, after each step, and warms its cell by what it gives
 * off. Set chocolate does not melt again below its (higher) melting range, so setting only ever advances. Curvature enters as the area of each face.
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

  private readonly slow: readonly (SlowSetting | undefined)[];
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
  private readonly gained: Float64Array;
  private readonly slope: Float64Array;
  /** Which stretch of its curve each cell lies on. */
  private readonly stretch: Uint8Array;
  private readonly share: Float64Array;
  private readonly upperC: Float64Array;
  private readonly upperHeat: Float64Array;
  private readonly lowerHeat: Float64Array;

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
    this.gained = array();
    this.slope = array();
    this.stretch = new Uint8Array(this.size);
    this.share = array();
    this.upperC = array();
    this.upperHeat = array();
    this.lowerHeat = array();
    this.conductance = new Float64Array(this.size + 1);
    this.faceArea = new Float64Array(this.size + 1);
    this.slow = layers.map(({ slow }) => slow);
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
        depth += dx;
        this.faceArea[i + 1] = area(depth);
      }
    }
    for (let f = 1; f < this.size; f++)
      this.conductance[f] = this.faceArea[f] / (this.halfResistance[f - 1] + this.halfResistance[f]);
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
    this.setCurves(dt);
    const { size, temperatureC, next, gained } = this;
    gained.fill(0);
    for (let i = 0; i < size; i++) next[i] = this.temperatureAt(i, 0);
    let converged = false;
    for (let k = 0; k < NEWTON_MOST && !converged; k++) converged = this.newton(dt, air) < NEWTON_TOLERANCE_K;
    if (!converged) return NaN;
    let largest = 0;
    for (let i = 0; i < size; i++) {
      largest = Math.max(largest, Math.abs(next[i] - temperatureC[i]));
      if (this.latent[i] > 0) this.setFraction[i] = this.advanced(i, next[i]);
      temperatureC[i] = next[i];
    }
    largest += this.setSlowly(dt);
    this.heatOut +=
      dt * (this.conductance[0] * (next[0] - air.outsideC) + this.conductance[size] * (next[size - 1] - air.insideC));
    return largest;
  }

  /** What sets slowly within the step; gives the most that it has warmed a cell by, K. */
  private setSlowly(dt: number): number {
    const { slow, layerStart, temperatureC, setFraction, latent, heat } = this;
    let most = 0;
    for (let layer = 0; layer < slow.length; layer++) {
      const law = slow[layer];
      if (!law) continue;
      for (let i = layerStart[layer]; i < layerStart[layer + 1]; i++) {
        const more = slowGain(law, temperatureC[i], setFraction[i], dt);
        const warmed = (more * latent[i]) / heat[i];
        setFraction[i] += more;
        temperatureC[i] += warmed;
        if (warmed > most) most = warmed;
      }
    }
    return most;
  }

  private setFaces(air: SlabAir): void {
    const last = this.size;
    this.conductance[0] = air.outsideH > 0 ? this.faceArea[0] / (1 / air.outsideH + this.halfResistance[0]) : 0;
    this.conductance[last] =
      air.insideH > 0 ? this.faceArea[last] / (1 / air.insideH + this.halfResistance[last - 1]) : 0;
  }

  /**
   * Prepares, for each cell, the heat gained as a function of its temperature over this step: straight, with a gentler
   * slope of temperature while the cell sets, between an upper and a lower corner.
   */
  private setCurves(dt: number): void {
    const { size, latent, heat, from, span, lag, setFraction, temperatureC } = this;
    for (let i = 0; i < size; i++) {
      if (latent[i] === 0) continue;
      const reach = dt / (dt + lag[i]);
      const lowest = setFraction[i];
      const complete = from[i] - span[i];
      this.share[i] = reach;
      this.upperC[i] = from[i] - span[i] * lowest;
      this.upperHeat[i] = heat[i] * (this.upperC[i] - temperatureC[i]);
      this.lowerHeat[i] = heat[i] * (complete - temperatureC[i]) - latent[i] * reach * (1 - setFraction[i]);
    }
  }

  /** Temperature of cell `i` once it has gained `gained` J/m³ in this step; leaves the stretch and its slope in `stretch[i]` and `slope[i]`. */
  private temperatureAt(i: number, gained: number): number {
    const heat = this.heat[i];
    if (this.latent[i] === 0) {
      this.slope[i] = 1 / heat;
      return this.temperatureC[i] + gained / heat;
    }
    if (gained >= this.upperHeat[i]) {
      this.stretch[i] = WARM;
      this.slope[i] = 1 / heat;
      return this.upperC[i] + (gained - this.upperHeat[i]) / heat;
    }
    const complete = this.from[i] - this.span[i];
    if (gained <= this.lowerHeat[i]) {
      this.stretch[i] = DONE;
      this.slope[i] = 1 / heat;
      return complete + (gained - this.lowerHeat[i]) / heat;
    }
    this.stretch[i] = SETS;
    this.slope[i] = 1 / (heat + (this.latent[i] * this.share[i]) / this.span[i]);
    return complete + (gained - this.lowerHeat[i]) * this.slope[i];
  }

  /** Set fraction of cell `i` at the end of a step at temperature `t`. */
  private advanced(i: number, t: number): number {
    const before = this.setFraction[i];
    const wanted = setFractionAt(t, this.from[i], this.span[i]) - before;
    return wanted > 0 ? before + this.share[i] * wanted : before;
  }

  /**
   * One Newton correction of the heat gained by each cell, by a tridiagonal solve; gives its size in kelvin, and 0 where all cells stayed on
   * their stretches: the equations were straight, and nothing is left to correct.
   */
  private newton(dt: number, air: SlabAir): number {
    const { size, next, gained, slope, stretch, volume, conductance, upper, right, heat } = this;
    for (let i = 0; i < size; i++) {
      const below = conductance[i];
      const above = conductance[i + 1];
      const t = next[i];
      const outer = i === 0 ? air.outsideC : next[i - 1];
      const inner = i === size - 1 ? air.insideC : next[i + 1];
      const scale = volume[i] / dt;
      let rhs = below * (outer - t) + above * (inner - t) - scale * gained[i];
      let diagonal = scale + (below + above) * slope[i];
      if (i > 0) {
        const left = below * slope[i - 1];
        diagonal -= left * upper[i - 1];
        rhs += left * right[i - 1];
      }
      upper[i] = i === size - 1 ? 0 : (above * slope[i + 1]) / diagonal;
      right[i] = rhs / diagonal;
    }
    let largest = 0;
    let change = 0;
    for (let i = size - 1; i >= 0; i--) {
      change = right[i] + upper[i] * change;
      gained[i] += change;
      largest = Math.max(largest, Math.abs(change) / heat[i]);
    }
    let stayed = true;
    for (let i = 0; i < size; i++) {
      const before = stretch[i];
      next[i] = this.temperatureAt(i, gained[i]);
      if (stretch[i] !== before) stayed = false;
    }
    return stayed ? 0 : largest;
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
