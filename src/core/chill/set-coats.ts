import { chocolateLayer, moldLayer } from '../heat/chocolate-layer';
import { HeatSlab, type SlabAir, type SlabLayer } from '../heat/heat-slab';
import { MOLD_MATTER, trayHeat } from '../matter/mold-material';
import type { Place } from '../record/choices';
import { WORKING_RULES } from '../matter/working-rules';
import { airAt, surroundingsIn, varied, type Surroundings } from '../shell/place-air';
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
const LONGEST_S = 6 * 3600;
const DEEP_M = 0.015;
const STEPS_AT_LEAST = 240;
/** A coat that found no room left still needs some body to be computed on. */
const THINNEST_M = 2e-5;
const SHORTEST_STEP_S = 1e-4;
const LONGEST_REST_STEP_S = 30;
const WANTED_CHANGE_K = 0.7;
/** Shrinking by cold is counted from here, °C. */
const SHRINKS_FROM_C = 20;

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
  private readonly room: Surroundings;
  private readonly place: Surroundings;
  private readonly rests: readonly { readonly seconds: number; readonly place: Surroundings }[];
  private readonly longestS: number;
  private readonly firstCoat: number;
  private readonly newCoat: number;
  /** It comes out only when it has shrunk so far from its mold. */
  private readonly letsGoAt: number;
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
    const held = { ...input, ...coat };
    const around = (where: Place): Surroundings =>
      varied(surroundingsIn(input.kitchen, where, held), variation.placeK, variation.cooling);
    this.room = around('room');
    this.place = around(place);
    this.rests = coat.rests.map((rest) => ({ seconds: rest.seconds, place: around(rest.place) }));
    this.longestS =
      LONGEST_S * Math.max(1, layers.slice(1).reduce((sum, { thicknessM }) => sum + thicknessM, 0) / DEEP_M) ** 2;
    this.firstCoat = this.slab.layerStart[1];
    this.newCoat = this.slab.layerStart[index + 1];
    this.letsGoAt = input.cutAway ? 0 : MOLD_MATTER[input.material].letsGoAt;
  }

  run(stayUntil: 'touch' | 'unmold'): CoatStay {
    const coat = this.input.coats[this.index];
    this.advance(coat.handlingSeconds, this.room);
    for (const { seconds, place } of this.rests) this.advance(seconds, place);
    const wanted = coat.overruledSeconds;
    let time = 0;
    let dt = 1;
    let before = this.measures();
    while (time < this.longestS && time < this.latest) {
      const rest = wanted !== undefined && time < wanted ? wanted - time : Infinity;
      const taken = Math.min(dt, rest);
      this.remember();
      const change = this.slab.step(taken, this.airNow(this.place));
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
  private advance(seconds: number, place: Surroundings): void {
    let left = seconds;
    let dt = Math.min(LONGEST_REST_STEP_S, seconds);
    while (left > 1e-9) {
      const taken = Math.min(dt, left);
      if (this.slab.step(taken, this.airNow(place)) >= 0) left -= taken;
      else if ((dt = taken / 2) < SHORTEST_STEP_S) throw new Error('the chill does not converge');
    }
  }

  /** Heat transfer at either face as warm as they are now. */
  private airNow(place: Surroundings): SlabAir {
    const { temperatureC, size } = this.slab;
    return airAt(place, temperatureC[0], temperatureC[size - 1]);
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
    this.advance(markS, this.place);
    this.keep();
    this.advance(rest, this.place);
  }

  private remember(): void {
    this.beforeC.set(this.slab.temperatureC);
    this.beforeSet.set(this.slab.setFraction);
  }

  private measures() {
    const all = this.slab.meanSetFraction(this.firstCoat, this.slab.size);
    const cold = SHRINKS_FROM_C - this.slab.faceC(this.firstCoat);
    return {
      shrunk: this.letsGoAt > 0 ? all + WORKING_RULES.shrinksPerK * cold : Infinity,
      coat: this.slab.meanSetFraction(this.newCoat, this.slab.size),
      all,
      surfaceC: this.surfaceC(),
    };
  }

  /** Of a shell its free side; two joined halves have none, and are as warm as where they lie in the mold. */
  private surfaceC(): number {
    return this.place.insideFactor > 0
      ? this.slab.innerFaceC(this.airNow(this.place))
      : this.slab.faceC(this.firstCoat);
  }

  private note(
    time: number,
    dt: number,
    before: ReturnType<StayRun['measures']>,
    now: ReturnType<StayRun['measures']>,
  ): void {
    const crossed = (a: number, b: number, at: number): number =>
      time + (b === a ? dt : dt * Math.min(1, Math.max(0, (at - a) / (b - a))));
    if (this.touch === Infinity && now.coat >= WORKING_RULES.touchSet)
      this.touch = crossed(before.coat, now.coat, WORKING_RULES.touchSet);
    if (this.unmold === Infinity && now.all >= WORKING_RULES.unmoldSet && now.shrunk >= this.letsGoAt) {
      const set = before.all < WORKING_RULES.unmoldSet ? crossed(before.all, now.all, WORKING_RULES.unmoldSet) : time;
      const free = before.shrunk < this.letsGoAt ? crossed(before.shrunk, now.shrunk, this.letsGoAt) : time;
      this.unmold = Math.max(set, free, this.touch);
    }
    const near = this.place.airC + 1;
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
      ...chocolateLayer(coat.kind, coat.fatShare),
      thicknessM: Math.max(THINNEST_M, thicknessM),
      cells,
      startC: coat.workingC + variation.workingK,
    });
  }
  return layers;
}
