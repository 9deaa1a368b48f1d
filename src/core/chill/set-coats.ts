import { HeatSlab, type SlabAir, type SlabLayer } from '../heat/heat-slab';
import { MOLD_MATTER, trayHeat } from '../matter/mold-material';
import type { Place } from '../record/choices';
import type { Rest } from '../record/sets';
import { WORKING_RULES } from '../matter/working-rules';
import { airAt, airSpread, surroundingsIn, varied, type Surroundings } from '../shell/place-air';
import type { ChillCap, ChillCoat, ChillInput } from './chill-input';
import { cappedLayers, coatLayers, type ChillVariation } from './slab-layers';

/** When a coat is where it should be, seconds after it went into its place; Infinity: never there. */
export interface SetTimes {
  /** It holds its shape, and what is filled into it. */
  readonly holdsSeconds: number;
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
  /** Surface temperature in the end, °C: of the stay, or of where it stays on. */
  readonly surfaceC: number;
  /** What it has come to by then. */
  readonly ready: Readonly<Record<StayUntil, boolean>>;
}

/** How long it is handled and rests before its place, for how long it is left there, and where it stays on. */
type Stay = Pick<ChillCoat, 'handlingSeconds' | 'rests' | 'overruledSeconds' | 'then'>;
/** First cell, and the first that is no more of it. */
type CellRange = readonly [number, number];

/** A shell is followed for so long; a thick fill for longer, by the square of its depth over this. */
const LONGEST_S = 6 * 3600;
const DEEP_M = 0.015;
const STEPS_AT_LEAST = 240;
const SHORTEST_STEP_S = 1e-4;
const LONGEST_REST_STEP_S = 30;
const WANTED_CHANGE_K = 0.7;
/** Shrinking by cold is counted from here, °C. */
const SHRINKS_FROM_C = 20;

/** How far a stay is followed: to the latest sensible moment, until it can be unmolded, or until it ends. */
type Followed = 'latest' | 'unmold' | 'stay';

/** What a stay goes on to: the next coat, the filling, or out of the mold. */
export const STAYS_UNTIL = ['touch', 'holds', 'unmold'] as const;
export type StayUntil = (typeof STAYS_UNTIL)[number];

/**
 * Runs one coat's stay in a place: mold, coats before it and the new one, by the enthalpy slab.
 *
 * @param index which coat of the input
 * @param before state of mold and earlier coats; undefined for the first coat
 * @param stayUntil what the stay ends with; ignored when the user overrules it
 * @param followed how far it is followed; to the latest sensible moment where it is left out
 */
export function stay(
  input: ChillInput,
  index: number,
  place: Place,
  variation: ChillVariation,
  before: SlabState | undefined,
  stayUntil: StayUntil,
  followed: Followed = 'latest',
): CoatStay {
  const coat = input.coats[index];
  const layers = coatLayers(input, index, variation);
  return new StayRun(input, coat, coat, layers, place, variation, before).run(stayUntil, followed);
}

/**
 * The same for a cap, cast on what lies in the last coat's shell: a stack of mold, shell, filling and cap, all of which let go together.
 * @param before state of mold and coats when it is cast
 * @param followed how far it is followed
 */
export function stayCapped(
  input: ChillInput,
  cap: ChillCap,
  variation: ChillVariation,
  before: SlabState,
  followed: Followed,
): CoatStay {
  const layers = cappedLayers(input, cap, variation);
  const held = { wayUp: 'upright', inside: 'level' } as const;
  // From the wall to the cap the stack gets narrower in a straight line, so that both have their true share of it.
  const deepM = layers.slice(1).reduce((sum, { thicknessM }) => sum + thicknessM, 0);
  const taper = (1 - cap.faceShare) / (2 * deepM);
  // Nothing narrows faster than what it is cast in.
  const tapered = { ...input, meanCurvature: Math.min(taper, input.meanCurvature), gaussCurvature: 0 };
  return new StayRun(tapered, held, cap, layers, cap.place, variation, before).run('unmold', followed);
}

/** A stay of known length, and what is around it meanwhile. */
interface Stretch {
  readonly seconds: number;
  readonly place: Surroundings;
}

/** Before it is turned over. */
const UPRIGHT = { wayUp: 'upright', inside: 'open' } as const;

class StayRun {
  private readonly slab: HeatSlab;
  private readonly room: Surroundings;
  private readonly place: Surroundings;
  private readonly rests: readonly Stretch[];
  private readonly then: readonly Stretch[];
  private readonly longestS: number;
  private readonly firstCoat: number;
  /** Cells of what was laid last, and of the chocolate below it. */
  private readonly newest: CellRange;
  private readonly below: CellRange;
  /** It comes out only when it has shrunk so far from its mold. */
  private readonly letsGoAt: number;
  private holds = Infinity;
  private touch = Infinity;
  private unmold = Infinity;
  private latest = Infinity;
  private snapshot: CoatStay['after'] | undefined;
  private readonly beforeC: Float64Array;
  private readonly beforeSet: Float64Array;
  private snapshotSurfaceC = 0;

  constructor(
    input: ChillInput,
    held: Pick<ChillCoat, 'wayUp' | 'inside'>,
    private readonly coat: Stay,
    layers: readonly SlabLayer[],
    place: Place,
    variation: ChillVariation,
    before: SlabState | undefined,
  ) {
    this.slab = new HeatSlab(layers, { mean: input.meanCurvature, gauss: input.gaussCurvature });
    this.slab.addOutsideCapacity(trayHeat(input.material));
    if (before) this.slab.continueFrom(before.temperatureC, before.setFraction);
    this.beforeC = new Float64Array(this.slab.size);
    this.beforeSet = new Float64Array(this.slab.size);
    const { material, floorShare, insertM } = input;
    const lies = { material, floorShare, insertM, wayUp: held.wayUp, inside: held.inside };
    const around = (where: Place, upright?: true): Surroundings =>
      varied(
        surroundingsIn(input.kitchen, where, upright ? { ...lies, ...UPRIGHT } : lies),
        variation.placeK,
        airSpread(input.kitchen, where) ** variation.cooling,
      );
    const stretch = ({ seconds, place: where, upright }: Rest): Stretch => ({ seconds, place: around(where, upright) });
    this.room = around('room', coat.rests[0]?.upright);
    this.place = around(place);
    this.rests = coat.rests.map(stretch);
    this.then = (coat.then ?? []).map(stretch);
    this.longestS =
      LONGEST_S * Math.max(1, layers.slice(1).reduce((sum, { thicknessM }) => sum + thicknessM, 0) / DEEP_M) ** 2;
    const starts = this.slab.layerStart;
    const setting = layers.flatMap(({ latentHeat }, i) => (latentHeat > 0 ? [i] : []));
    const newest = setting[setting.length - 1];
    this.firstCoat = starts[1];
    this.newest = [starts[newest], starts[newest + 1]];
    // A filling lies between what it is filled into and its cap.
    this.below = [starts[1], starts[(setting[setting.length - 2] ?? 0) + 1]];
    this.letsGoAt = input.cutAway ? 0 : MOLD_MATTER[input.material].letsGoAt;
  }

  run(stayUntil: StayUntil, followed: Followed): CoatStay {
    const { coat } = this;
    this.advance(coat.handlingSeconds, this.room);
    for (const { seconds, place } of this.rests) this.advance(seconds, place);
    const wanted = coat.overruledSeconds;
    let time = 0;
    let dt = 1;
    let before = this.measures();
    this.noteAtOnce(before);
    if (this.endsStay(stayUntil, wanted, 0)) this.keep();
    while (time < this.longestS && this.goesOn(followed, time)) {
      const rest = wanted !== undefined && time < wanted ? wanted - time : Infinity;
      const taken = Math.min(dt, rest);
      this.remember();
      const change = this.slab.step(taken, this.airNow(this.place));
      if (!(change >= 0)) {
        dt = taken / 2;
        if (dt < SHORTEST_STEP_S) throw new Error('the chill does not converge');
        continue;
      }
      let now = this.measures();
      this.note(time, taken, before, now);
      if (this.endsStay(stayUntil, wanted, time + taken)) {
        this.keepAt(Math.min(wanted ?? this.mark(stayUntil), time + taken) - time, taken);
        now = this.measures();
      }
      time += taken;
      before = now;
      dt = Math.min(
        this.longestS / STEPS_AT_LEAST,
        taken * Math.min(1.7, Math.max(0.5, WANTED_CHANGE_K / Math.max(change, 1e-9))),
      );
    }
    if (!this.snapshot) this.keep();
    const latestSeconds = Number.isFinite(this.unmold)
      ? Math.max(this.unmold, Math.min(this.latest, 3 * this.unmold))
      : Infinity;
    return {
      times: { holdsSeconds: this.holds, touchSeconds: this.touch, unmoldSeconds: this.unmold, latestSeconds },
      ...this.staysOn(this.snapshot as SlabState, wanted ?? this.mark(stayUntil)),
    };
  }

  /** From the end of the stay on: what it is and has come to when it is taken on. */
  private staysOn(end: SlabState, staySeconds: number): Pick<CoatStay, 'after' | 'surfaceC' | 'ready'> {
    const by = (seconds: number): boolean => seconds <= staySeconds;
    const ready = { holds: by(this.holds), touch: by(this.touch), unmold: by(this.unmold) };
    if (this.then.length === 0) return { after: end, surfaceC: this.snapshotSurfaceC, ready };
    this.slab.continueFrom(end.temperatureC, end.setFraction);
    for (const { seconds, place } of this.then) this.advance(seconds, place);
    const now = this.measures(this.then[this.then.length - 1].place);
    const has = this.has(now);
    return {
      after: this.state(),
      surfaceC: now.surfaceC,
      // What has let go in the cold does not cling again.
      ready: {
        holds: ready.holds || has.holds,
        touch: ready.touch || has.touch,
        unmold: ready.unmold || has.unmold,
      },
    };
  }

  /** Lets it be for so long, unwatched. */
  private advance(seconds: number, place: Surroundings): void {
    let left = seconds;
    let dt = Math.min(LONGEST_REST_STEP_S, seconds);
    while (left > 1e-9) {
      const taken = Math.min(dt, left);
      if (this.slab.step(taken, this.airNow(place)) >= 0) {
        left -= taken;
        dt = Math.min(LONGEST_REST_STEP_S, 2 * dt);
      } else if ((dt = taken / 2) < SHORTEST_STEP_S) throw new Error('the chill does not converge');
    }
  }

  /** Heat transfer at either face as warm as they are now. */
  private airNow(place: Surroundings): SlabAir {
    const { temperatureC, size } = this.slab;
    return airAt(place, temperatureC[0], temperatureC[size - 1]);
  }

  private goesOn(followed: Followed, time: number): boolean {
    if (followed === 'stay') return this.snapshot === undefined;
    return time < (followed === 'latest' ? this.latest : this.unmold);
  }

  private mark(until: StayUntil): number {
    return { touch: this.touch, holds: this.holds, unmold: this.unmold }[until];
  }

  private endsStay(stayUntil: StayUntil, wanted: number | undefined, time: number): boolean {
    if (this.snapshot) return false;
    if (wanted !== undefined) return time >= wanted - 1e-9;
    return Number.isFinite(this.mark(stayUntil));
  }

  private keep(): void {
    this.snapshot = this.state();
    this.snapshotSurfaceC = this.surfaceC(this.place);
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

  private state(): SlabState {
    return { temperatureC: this.slab.temperatureC.slice(), setFraction: this.slab.setFraction.slice() };
  }

  private remember(): void {
    this.beforeC.set(this.slab.temperatureC);
    this.beforeSet.set(this.slab.setFraction);
  }

  private measures(place = this.place) {
    const cold = SHRINKS_FROM_C - this.slab.faceC(this.firstCoat);
    const coat = this.slab.meanSetFraction(...this.newest);
    const together = this.slab.meanSetFraction(this.firstCoat, this.slab.size);
    const { below, newest } = this;
    // Coats are one shell; under a filling the shell has to have set for itself, as its cap has.
    const all = below[1] < newest[0] ? Math.min(this.slab.meanSetFraction(...below), coat) : together;
    return {
      shrunk: this.letsGoAt > 0 ? all + WORKING_RULES.shrinksPerK * cold : Infinity,
      coat,
      all,
      surfaceC: this.surfaceC(place),
    };
  }

  /** Of a shell its free side; two joined halves have none, and are as warm as where they lie in the mold. */
  private surfaceC(place: Surroundings): number {
    return place.insideFactor > 0 ? this.slab.innerFaceC(this.airNow(place)) : this.slab.faceC(this.firstCoat);
  }

  /** What it has come to while it rested. */
  private noteAtOnce(measures: ReturnType<StayRun['measures']>): void {
    const has = this.has(measures);
    if (has.holds) this.holds = 0;
    if (has.touch) this.touch = 0;
    if (has.unmold) this.unmold = 0;
  }

  private has({ coat, all, shrunk }: ReturnType<StayRun['measures']>): CoatStay['ready'] {
    const { holdsSet, touchSet, unmoldSet } = WORKING_RULES;
    const touch = coat >= touchSet;
    return { holds: coat >= holdsSet, touch, unmold: touch && all >= unmoldSet && shrunk >= this.letsGoAt };
  }

  private note(
    time: number,
    dt: number,
    before: ReturnType<StayRun['measures']>,
    now: ReturnType<StayRun['measures']>,
  ): void {
    const crossed = (a: number, b: number, at: number): number =>
      time + (b === a ? dt : dt * Math.min(1, Math.max(0, (at - a) / (b - a))));
    if (this.holds === Infinity && now.coat >= WORKING_RULES.holdsSet)
      this.holds = crossed(before.coat, now.coat, WORKING_RULES.holdsSet);
    if (this.touch === Infinity && now.coat >= WORKING_RULES.touchSet)
      this.touch = crossed(before.coat, now.coat, WORKING_RULES.touchSet);
    if (this.unmold === Infinity && now.all >= WORKING_RULES.unmoldSet && now.shrunk >= this.letsGoAt) {
      const set = before.all < WORKING_RULES.unmoldSet ? crossed(before.all, now.all, WORKING_RULES.unmoldSet) : time;
      const free = before.shrunk < this.letsGoAt ? crossed(before.shrunk, now.shrunk, this.letsGoAt) : time;
      this.unmold = Math.max(set, free, this.touch);
    }
    const near = this.place.airC + 1;
    if (this.unmold !== Infinity && this.latest === Infinity && now.surfaceC <= near) {
      const cold = before.surfaceC > near ? crossed(before.surfaceC, now.surfaceC, near) : time;
      this.latest = Math.max(this.unmold, cold);
    }
    if (this.unmold !== Infinity && time + dt >= 3 * this.unmold) this.latest = Math.min(this.latest, 3 * this.unmold);
  }
}
