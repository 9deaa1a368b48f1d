import {
  CHOCOLATE_CONDUCTIVITY,
  CHOCOLATE_MATTER,
  CHOCOLATE_SPECIFIC_HEAT,
  latentHeat,
  type SettingChocolate,
} from '../matter/chocolate';
import { MOLD_MATTER, type MoldMaterial } from '../matter/mold-material';
import { slowGain, settingLaw, type SlowSetting } from '../heat/setting';
import type { WallCells } from './wall-cells';

/** Air on both sides of the wall: temperature, °C, and heat transfer, W/(m² K). */
export interface WallAir {
  readonly outsideC: number;
  readonly outsideH: number;
  readonly insideC: number;
  readonly insideH: number;
}

/** How a chocolate sets: its interval, its lag, and the heat it holds and gives off per volume. */
interface SettingMatter {
  readonly heat: number;
  readonly latent: number;
  readonly fromC: number;
  readonly spanK: number;
  readonly lagS: number;
  readonly slow: SlowSetting;
}

/** A contact is never better than this, m² K/W: keeps a layer that is not there from dividing by nothing. */
const LEAST_RESISTANCE = 1e-7;
const LEAST_AREA_SHARE = 0.05;
const MODES_TRIED = 8;
/** A layer thinner than this does not set the length of a step, m. */
const NOTED_M = 1e-4;

/** What a chocolate takes up and gives off, per volume of melted chocolate. */
export function settingMatter(chocolate: SettingChocolate): SettingMatter {
  const { meltedDensity } = CHOCOLATE_MATTER[chocolate.kind];
  const { setFromC, setToC, lagS, slow } = settingLaw(chocolate);
  return {
    heat: meltedDensity * CHOCOLATE_SPECIFIC_HEAT,
    latent: meltedDensity * latentHeat(chocolate.fatShare),
    fromC: setFromC,
    spanK: setFromC - setToC,
    lagS,
    slow,
  };
}

/**
 * Heat in the mold's wall, in what has set on it and in the film, place by place: three temperatures a cell, with the resistance of
 * each half layer and of the air between them, implicit Euler in time. The seed grows linearly over its interval, with a lag; what is stable
 * beyond that sets slowly, after each step. None of it goes back below the (higher) melting range. Nothing is conducted along the wall.
 */
export class WallHeat {
  readonly wallC: Float64Array;
  /** Temperature and set fraction of what has set before, and of the film. */
  readonly belowC: Float64Array;
  readonly belowSet: Float64Array;
  readonly filmC: Float64Array;
  readonly filmSet: Float64Array;
  /** Heat that has left through both faces, J. */
  heatOut = 0;

  private film: SettingMatter;
  /** What has set before, as one matter: the mean of its coats by thickness. */
  private below: SettingMatter;
  private belowThicknessM = 0;
  private readonly wallCapacity: Float64Array;
  private readonly outsideShare: Float64Array;
  private readonly insideShare: Float64Array;
  private readonly halfFilm: Float64Array;
  private readonly halfWall: number;
  private air: WallAir = { outsideC: 20, outsideH: 1, insideC: 20, insideH: 1 };
  private readonly toOutside: Float64Array;
  private readonly wallToBelow: Float64Array;
  private readonly belowToFilm: Float64Array;
  private readonly toInside: Float64Array;
  private readonly filmCapacity: Float64Array;
  private readonly belowCapacity: Float64Array;

  /** @param trayJperM2K heat capacity of what stands against the mold, per wall area */
  constructor(
    private readonly cells: WallCells,
    material: MoldMaterial,
    wallM: number,
    trayJperM2K: number,
    startC: number,
  ) {
    const matter = MOLD_MATTER[material];
    const array = (): Float64Array => new Float64Array(cells.count);
    this.wallC = array().fill(startC);
    this.belowC = array().fill(startC);
    this.belowSet = array();
    this.filmC = array().fill(startC);
    this.filmSet = array();
    this.toOutside = array();
    this.insideShare = array();
    this.halfFilm = array();
    this.wallToBelow = array();
    this.belowToFilm = array();
    this.toInside = array();
    this.filmCapacity = array();
    this.belowCapacity = array();
    this.film = this.below = settingMatter({ kind: 'dark', fatShare: CHOCOLATE_MATTER.dark.fatShare });
    this.halfWall = wallM / (2 * matter.conductivity);
    const volume = matter.density * matter.specificHeat * wallM;
    this.wallCapacity = cells.mean.map(
      (H, i) => volume * Math.max(LEAST_AREA_SHARE, 1 + H * wallM + (cells.gauss[i] * wallM * wallM) / 4) + trayJperM2K,
    );
    this.outsideShare = cells.mean.map((H, i) =>
      Math.max(LEAST_AREA_SHARE, 1 + 2 * H * wallM + cells.gauss[i] * wallM * wallM),
    );
  }

  /** A film of this chocolate comes on, everywhere at one temperature, °C, and so far set. */
  pour(chocolate: SettingChocolate, filmC: number, filmSet: number): void {
    this.film = settingMatter(chocolate);
    this.filmC.fill(filmC);
    this.filmSet.fill(filmSet);
  }

  /** Counts a layer of the film's chocolate, of mean thickness `addedM`, as set: mixes it into what has set before. */
  keep(addedM: number): void {
    const all = this.belowThicknessM + addedM;
    const share = all > 0 ? addedM / all : 1;
    const mix = (of: (matter: SettingMatter) => number): number =>
      of(this.below) + share * (of(this.film) - of(this.below));
    this.below = {
      heat: mix((m) => m.heat),
      latent: mix((m) => m.latent),
      fromC: mix((m) => m.fromC),
      spanK: mix((m) => m.spanK),
      lagS: mix((m) => m.lagS),
      slow: {
        perSecondK: mix((m) => m.slow.perSecondK),
        fromC: mix((m) => m.slow.fromC),
        stable: this.below.slow.stable.map((s, i) => s + share * (this.film.slow.stable[i] - s)),
      },
    };
    this.belowThicknessM = all;
  }

  /** Heat held against 0 °C and unset, J, with the layers' volumes per wall area in m. */
  heatHeld(filmPerArea: ArrayLike<number>, belowPerArea: ArrayLike<number>): number {
    let held = 0;
    for (let i = 0; i < this.cells.count; i++) {
      const film = filmPerArea[i] * (this.film.heat * this.filmC[i] - this.film.latent * this.filmSet[i]);
      const below = belowPerArea[i] * (this.below.heat * this.belowC[i] - this.below.latent * this.belowSet[i]);
      held += this.cells.areaM2[i] * (this.wallCapacity[i] * this.wallC[i] + film + below);
    }
    return held;
  }

  /** Heat that film of this state carries off, J per (K m³) and per (set fraction m³). */
  get filmHeat(): { readonly perKelvin: number; readonly perSet: number } {
    return { perKelvin: this.film.heat, perSet: -this.film.latent };
  }

  /**
   * Sets how heat passes from layer to layer: to be called when thickness or air have changed.
   * @param filmM, belowM thickness of film and of what has set, m; filmPerArea, belowPerArea their volumes per wall area, m
   */
  shape(
    air: WallAir,
    filmM: Float64Array,
    belowM: Float64Array,
    filmPerArea: Float64Array,
    belowPerArea: Float64Array,
  ): void {
    const { mean, gauss } = this.cells;
    const { halfWall, film, below } = this;
    for (let i = 0; i < filmM.length; i++) {
      const t = belowM[i] + filmM[i];
      const halfBelow = belowM[i] / (2 * CHOCOLATE_CONDUCTIVITY);
      const halfFilm = filmM[i] / (2 * CHOCOLATE_CONDUCTIVITY);
      this.wallToBelow[i] = 1 / (halfWall + halfBelow + LEAST_RESISTANCE);
      this.belowToFilm[i] = 1 / (halfBelow + halfFilm + LEAST_RESISTANCE);
      this.halfFilm[i] = halfFilm;
      this.insideShare[i] = Math.max(LEAST_AREA_SHARE, 1 - t * (2 * mean[i] - gauss[i] * t));
      this.filmCapacity[i] = film.heat * filmPerArea[i];
      this.belowCapacity[i] = below.heat * belowPerArea[i];
    }
    this.meet(air);
  }

  /** Sets how heat passes to the air, where that alone has changed. */
  meet(air: WallAir): void {
    const outside = 1 / (1 / air.outsideH + this.halfWall);
    const inside = 1 / air.insideH;
    for (let i = 0; i < this.toOutside.length; i++) {
      this.toOutside[i] = this.outsideShare[i] * outside;
      this.toInside[i] = this.insideShare[i] / (inside + this.halfFilm[i]);
    }
    this.air = air;
  }

  /**
   * Advances by `dt` seconds in the shape and air set last. What a layer loses to a neighbour, g (1 − g / (g + c)), is written as g c / (g + c),
   * so that a good contact does not drown it in rounding.
   * @returns the largest change of temperature in any cell, K
   */
  step(dt: number): number {
    const { count } = this.cells;
    const { film, below, toOutside, wallToBelow, belowToFilm, toInside } = this;
    const { wallCapacity, belowCapacity, filmCapacity, wallC, belowC, filmC, belowSet, filmSet } = this;
    const { outsideC, insideC } = this.air;
    const [per, least] = [1 / dt, NOTED_M * film.heat];
    // Latent heat over specific heat, K, and the share of the way to where the seed makes for that a step goes.
    const [filmWay, belowWay] = [dt / (dt + film.lagS), dt / (dt + below.lagS)];
    const [filmGain, belowGain] = [(film.latent / film.heat) * filmWay, (below.latent / below.heat) * belowWay];
    const [filmPerK, belowPerK] = [1 / film.spanK, 1 / below.spanK];
    const [filmFrom, belowFrom] = [film.fromC * filmPerK, below.fromC * belowPerK];
    let largest = 0;
    for (let i = 0; i < count; i++) {
      const gWall = wallToBelow[i];
      const gFilm = belowToFilm[i];
      const cWall = wallCapacity[i] * per;
      const cBelow = belowCapacity[i] * per;
      const cFilm = filmCapacity[i] * per;
      const perWall = 1 / (cWall + toOutside[i] + gWall);
      const wallShare = gWall * perWall;
      const wallPart = (cWall * wallC[i] + toOutside[i] * outsideC) * perWall;
      const toWall = (cWall + toOutside[i]) * wallShare;
      const setBelow = belowSet[i];
      const setFilm = filmSet[i];
      let modeBelow = cBelow > 0 ? modeAt(below, belowC[i], setBelow) : 0;
      let modeFilm = cFilm > 0 ? modeAt(film, filmC[i], setFilm) : 0;
      let tBelow = 0;
      let tFilm = 0;
      // Straight within each stretch of the setting curve: tried stretch by stretch until it is the right one.
      for (let k = 0; k <= MODES_TRIED; k++) {
        const gainBelow = modeBelow === 0 ? 0 : cBelow * belowGain;
        const gainFilm = modeFilm === 0 ? 0 : cFilm * filmGain;
        const filmTakes = cFilm + toInside[i] + (modeFilm === 1 ? gainFilm * filmPerK : 0);
        const perFilm = 1 / (filmTakes + gFilm);
        const rFilm = cFilm * filmC[i] + toInside[i] * insideC + gainFilm * ((modeFilm === 1 ? filmFrom : 1) - setFilm);
        const dBelow = cBelow + (modeBelow === 1 ? gainBelow * belowPerK : 0);
        const rBelow = cBelow * belowC[i] + gainBelow * ((modeBelow === 1 ? belowFrom : 1) - setBelow);
        const filmShare = gFilm * perFilm;
        tBelow = (rBelow + gWall * wallPart + filmShare * rFilm) / (dBelow + toWall + filmTakes * filmShare);
        tFilm = rFilm * perFilm + filmShare * tBelow;
        const nextBelow = cBelow > 0 ? modeAt(below, tBelow, setBelow) : 0;
        const nextFilm = cFilm > 0 ? modeAt(film, tFilm, setFilm) : 0;
        // What was not settled by then is a matter of rounding, and the heat stays right.
        if ((nextBelow === modeBelow && nextFilm === modeFilm) || k === MODES_TRIED) break;
        // Both at once may chase each other; one at a time does not.
        if (k < 2 || nextFilm === modeFilm) modeBelow = nextBelow;
        modeFilm = nextFilm;
      }
      const tWall = wallPart + wallShare * tBelow;
      // By the stretch that was reckoned with, so that the heat is right.
      if (modeBelow > 0) belowSet[i] += belowWay * ((modeBelow === 1 ? belowFrom - tBelow * belowPerK : 1) - setBelow);
      if (modeFilm > 0) filmSet[i] += filmWay * ((modeFilm === 1 ? filmFrom - tFilm * filmPerK : 1) - setFilm);
      const moved = Math.max(
        Math.abs(tWall - wallC[i]),
        belowCapacity[i] > least ? Math.abs(tBelow - belowC[i]) : 0,
        filmCapacity[i] > least ? Math.abs(tFilm - filmC[i]) : 0,
      );
      if (moved > largest) largest = moved;
      wallC[i] = tWall;
      belowC[i] = tBelow;
      filmC[i] = tFilm;
    }
    this.countLoss(dt);
    return Math.max(largest, this.setSlowly(dt));
  }

  /** What sets slowly within a step; gives the most that it has warmed a cell by, K. */
  private setSlowly(dt: number): number {
    return Math.max(
      settleSlowly(this.below, this.belowCapacity, this.belowC, this.belowSet, dt),
      settleSlowly(this.film, this.filmCapacity, this.filmC, this.filmSet, dt),
    );
  }

  /** Counts what has left through the faces in a step, before what sets slowly warms them. */
  private countLoss(dt: number): void {
    const { outsideC, insideC } = this.air;
    let out = 0;
    for (let i = 0; i < this.cells.count; i++)
      out +=
        this.cells.areaM2[i] *
        (this.toOutside[i] * (this.wallC[i] - outsideC) + this.toInside[i] * (this.filmC[i] - insideC));
    this.heatOut += dt * out;
  }
}

/** Which stretch of the setting curve a temperature lies on: 0 nothing more sets, 1 within the interval, 2 below it. */
function modeAt(matter: SettingMatter, c: number, set: number): 0 | 1 | 2 {
  const cooler = matter.fromC - c;
  if (cooler <= set * matter.spanK) return 0;
  return cooler >= matter.spanK ? 2 : 1;
}

/** Sets what sets slowly of one chocolate wherever there is some; gives the most that it has warmed a cell by, K. */
function settleSlowly(
  { slow, latent, heat }: SettingMatter,
  capacity: Float64Array,
  celsius: Float64Array,
  set: Float64Array,
  dt: number,
): number {
  let most = 0;
  for (let i = 0; i < set.length; i++) {
    if (capacity[i] <= 0) continue;
    const more = slowGain(slow, celsius[i], set[i], dt);
    const warmed = (more * latent) / heat;
    set[i] += more;
    celsius[i] += warmed;
    if (warmed > most) most = warmed;
  }
  return most;
}
