import { chocolateLayer, moldLayer } from '../heat/chocolate-layer';
import { HeatSlab, type SlabAir, type SlabLayer } from '../heat/heat-slab';
import { MOLD_MATTER, trayHeat } from '../matter/mold-material';
import { equilibriumSetFraction } from '../matter/chocolate';
import type { Place } from '../record/choices';
import { TOUCH_SET } from '../shell/film-state';
import { airInsideH, airOutsideH, placeC } from '../shell/place-air';
import type { ChillInput } from './chill-input';

/** How far from nominal one run is. */
export interface ChillVariation {
  /** -1, 0 or 1: thin end, nominal or thick end of the coats' likely range. */
  readonly thickness: -1 | 0 | 1;
  /** Added to the temperature of every place, K. */
  readonly placeK: number;
  /** Factor on the heat transfer to the air. */
  readonly cooling: number;
  /** Added to the working temperature, K. */
  readonly workingK: number;
}

/** When a coat is where it should be, seconds after it went into its place; Infinity: never there. */
export interface SetTimes {
  readonly touchSeconds: number;
  readonly unmoldSeconds: number;
  readonly latestSeconds: number;
}

/** State at the end of a stay, from which the next coat goes on. */
interface SlabState {
  readonly temperatureC: Float64Array;
  readonly setFraction: Float64Array;
}

export interface CoatStay {
  readonly times: SetTimes;
  readonly after: SlabState;
  /** Surface temperature at the end of the stay, °C. */
  readonly surfaceC: number;
}

const MOLD_CELLS = 3;
/** A coat is divided into so many cells at least, a thick fill into more of about this width, m. */
const COAT_CELLS = 3;
const MOST_CELLS = 8;
const CELL_M = 0.002;
/** A shell is followed for so long; a thick fill for longer, by the square of its depth over this. */
const LONGEST_S = 3 * 3600;
const DEEP_M = 0.015;
const STEPS_AT_LEAST = 120;
/** A coat that found no room left still needs some body to be computed on. */
const THINNEST_M = 2e-5;
const SHORTEST_STEP_S = 1e-4;
const LONGEST_REST_STEP_S = 30;
const WANTED_CHANGE_K = 0.7;
/** A rigid mold lets go of a shell whose face is as cold as this: it has shrunk away. Working rule. */
const LETS_GO_C = 12;

/** Set share that a place must allow for a coat to set there at all. Working rule. */
export const WILL_NOT_SET_BELOW = 0.4;

/** Shares of setting that are waited for; see the model document. */
function touchShare(equilibrium: number): number {
  return Math.min(TOUCH_SET, 0.66 * equilibrium);
}
function unmoldShare(equilibrium: number): number {
  return Math.min(0.9, 0.92 * equilibrium);
}

/**
 * Runs one coat's stay in a place: mold, coats before it and the new one, by the enthalpy slab.
 *
 * @param index which coat of the input
 * @param before state of mold and earlier coats; undefined for the first coat
 * @param stayUntil 'touch' for a stay up to the next coat, 'unmold' for the last one; ignored when the user overrules it
 */
export function stay(
  input: ChillInput,
  index: number,
  place: Place,
  variation: ChillVariation,
  before: SlabState | undefined,
  stayUntil: 'touch' | 'unmold',
): CoatStay {
  const run = new StayRun(input, index, place, variation, before);
  return run.run(stayUntil);
}

class StayRun {
  private readonly slab: HeatSlab;
  private readonly roomAir: SlabAir;
  private readonly air: SlabAir;
  private readonly rests: readonly { readonly seconds: number; readonly air: SlabAir }[];
  private readonly longestS: number;
  private readonly firstCoat: number;
  private readonly newCoat: number;
  private readonly touchAt: number;
  private readonly unmoldAt: number;
  /** It comes out only when it has shrunk away from its mold. */
  private readonly shrinksFree: boolean;
  private touch = Infinity;
  private unmold = Infinity;
  private latest = Infinity;
  private snapshot: CoatStay['after'] | undefined;
  private readonly beforeC: Float64Array;
  private readonly beforeSet: Float64Array;
  private snapshotSurfaceC = 0;

  constructor(
    private readonly input: ChillInput,
    private readonly index: number,
    place: Place,
    variation: ChillVariation,
    before: SlabState | undefined,
  ) {
    const coat = input.coats[index];
    const layers = slabLayers(input, index, variation);
    this.slab = new HeatSlab(layers, { mean: input.meanCurvature, gauss: input.gaussCurvature });
    this.slab.addOutsideCapacity(trayHeat(input.material));
    if (before) this.slab.continueFrom(before.temperatureC, before.setFraction);
    this.beforeC = new Float64Array(this.slab.size);
    this.beforeSet = new Float64Array(this.slab.size);
    const inside = airInsideH(coat.inside, input.insertM);
    const airIn = (where: Place): SlabAir => {
      const c = placeC(input.kitchen, where) + variation.placeK;
      return {
        outsideC: c,
        insideC: c,
        outsideH: airOutsideH(input.kitchen, where) * variation.cooling,
        insideH: inside * variation.cooling,
      };
    };
    this.roomAir = airIn('room');
    this.air = airIn(place);
    this.rests = coat.rests.map((rest) => ({ seconds: rest.seconds, air: airIn(rest.place) }));
    this.longestS =
      LONGEST_S * Math.max(1, layers.slice(1).reduce((sum, { thicknessM }) => sum + thicknessM, 0) / DEEP_M) ** 2;
    this.firstCoat = this.slab.layerStart[1];
    this.newCoat = this.slab.layerStart[index + 1];
    const equilibrium = equilibriumSetFraction(coat.kind, this.air.insideC);
    // Where hardly anything can set, a small share of it is no shell.
    const sets = equilibrium >= WILL_NOT_SET_BELOW;
    this.touchAt = sets ? touchShare(equilibrium) : Infinity;
    this.unmoldAt = sets ? unmoldShare(equilibrium) : Infinity;
    this.shrinksFree = MOLD_MATTER[input.material].rigid && !input.cutAway;
  }

  run(stayUntil: 'touch' | 'unmold'): CoatStay {
    const coat = this.input.coats[this.index];
    this.advance(coat.handlingSeconds, this.roomAir);
    for (const { seconds, air } of this.rests) this.advance(seconds, air);
    const wanted = coat.overruledSeconds;
    let time = 0;
    let dt = 1;
    let before = this.measures();
    while (time < this.longestS && time < this.latest) {
      const rest = wanted !== undefined && time < wanted ? wanted - time : Infinity;
      const taken = Math.min(dt, rest);
      this.remember();
      const change = this.slab.step(taken, this.air);
      if (!(change >= 0)) {
        dt = taken / 2;
        if (dt < SHORTEST_STEP_S) throw new Error('the chill does not converge');
        continue;
      }
      this.note(time, taken, before, this.measures());
      if (this.endsStay(stayUntil, wanted, time + taken))
        this.keepAt(Math.min(wanted ?? (stayUntil === 'touch' ? this.touch : this.unmold), time + taken) - time, taken);
      time += taken;
      before = this.measures();
      dt = Math.min(
        this.longestS / STEPS_AT_LEAST,
        taken * Math.min(1.7, Math.max(0.5, WANTED_CHANGE_K / Math.max(change, 1e-9))),
      );
    }
    if (!this.snapshot) this.keep();
    const latestSeconds = Number.isFinite(this.unmold)
      ? Math.max(this.unmold, Math.min(this.latest, 3 * this.unmold))
      : Infinity;
    const after = this.snapshot as SlabState;
    return {
      times: { touchSeconds: this.touch, unmoldSeconds: this.unmold, latestSeconds },
      after,
      surfaceC: this.snapshotSurfaceC,
    };
  }

  /** Lets it be for so long, unwatched. */
  private advance(seconds: number, air: SlabAir): void {
    let left = seconds;
    let dt = Math.min(LONGEST_REST_STEP_S, seconds);
    while (left > 1e-9) {
      const taken = Math.min(dt, left);
      if (this.slab.step(taken, air) >= 0) left -= taken;
      else if ((dt = taken / 2) < SHORTEST_STEP_S) throw new Error('the chill does not converge');
    }
  }

  private endsStay(stayUntil: 'touch' | 'unmold', wanted: number | undefined, time: number): boolean {
    if (this.snapshot) return false;
    if (wanted !== undefined) return time >= wanted - 1e-9;
    return Number.isFinite(stayUntil === 'touch' ? this.touch : this.unmold);
  }

  private keep(): void {
    this.snapshot = { temperatureC: this.slab.temperatureC.slice(), setFraction: this.slab.setFraction.slice() };
    this.snapshotSurfaceC = this.surfaceC();
  }

  /** Keeps what there is at a mark within the step just made, which is made again in two, up to the mark and on: a stay ends at its mark, and not a step later. */
  private keepAt(markS: number, stepS: number): void {
    const rest = stepS - markS;
    if (markS < SHORTEST_STEP_S || rest < SHORTEST_STEP_S) return this.keep();
    this.slab.continueFrom(this.beforeC, this.beforeSet);
    this.advance(markS, this.air);
    this.keep();
    this.advance(rest, this.air);
  }

  private remember(): void {
    this.beforeC.set(this.slab.temperatureC);
    this.beforeSet.set(this.slab.setFraction);
  }

  private measures() {
    return {
      coat: this.slab.meanSetFraction(this.newCoat, this.slab.size),
      all: this.slab.meanSetFraction(this.firstCoat, this.slab.size),
      faceC: this.slab.faceC(this.firstCoat),
      surfaceC: this.surfaceC(),
    };
  }

  /** Of a shell its free side; two joined halves have none, and are as warm as where they lie in the mold. */
  private surfaceC(): number {
    return this.air.insideH > 0 ? this.slab.innerFaceC(this.air) : this.slab.faceC(this.firstCoat);
  }

  private note(
    time: number,
    dt: number,
    before: ReturnType<StayRun['measures']>,
    now: ReturnType<StayRun['measures']>,
  ): void {
    const crossed = (a: number, b: number, at: number): number =>
      time + (b === a ? dt : dt * Math.min(1, Math.max(0, (at - a) / (b - a))));
    if (this.touch === Infinity && now.coat >= this.touchAt) this.touch = crossed(before.coat, now.coat, this.touchAt);
    const free = !this.shrinksFree || now.faceC <= LETS_GO_C;
    if (this.unmold === Infinity && now.all >= this.unmoldAt && free) {
      const set = before.all < this.unmoldAt ? crossed(before.all, now.all, this.unmoldAt) : time;
      const shrunk = this.shrinksFree && before.faceC > LETS_GO_C ? crossed(before.faceC, now.faceC, LETS_GO_C) : time;
      this.unmold = Math.max(set, shrunk, this.touch);
    }
    const near = this.air.insideC + 1;
    if (this.unmold !== Infinity && this.latest === Infinity && now.surfaceC <= near) {
      this.latest = before.surfaceC > near ? crossed(before.surfaceC, now.surfaceC, near) : time + dt;
    }
    if (this.unmold !== Infinity && time + dt >= 3 * this.unmold) this.latest = Math.min(this.latest, 3 * this.unmold);
  }
}

function slabLayers(input: ChillInput, index: number, variation: ChillVariation): SlabLayer[] {
  const first = input.coats[0];
  const layers: SlabLayer[] = [moldLayer(input.material, input.wallM, first.wallC, MOLD_CELLS)];
  for (let i = 0; i <= index; i++) {
    const coat = input.coats[i];
    const { value, low, high } = coat.thicknessM;
    const thicknessM = variation.thickness === 0 ? value : variation.thickness < 0 ? low : high;
    const cells = Math.min(MOST_CELLS, Math.max(COAT_CELLS, Math.ceil(value / CELL_M)));
    layers.push({
      ...chocolateLayer(coat.kind, coat.fatShare, true),
      thicknessM: Math.max(THINNEST_M, thicknessM),
      cells,
      startC: coat.workingC + variation.workingK,
    });
  }
  return layers;
}
