import type { Place } from '../record/choices';
import type { Rest } from '../record/sets';
import type { CoatChoice, CoatPlaceInput } from './coat-choice';
import type { PlaceKitchen } from './place-air';
import type { WallCells } from './wall-cells';

/** Chocolate as it is laid on: its temperature, °C, and set fraction. */
export interface Melt {
  readonly celsius: number;
  readonly set: number;
}

/** One coat with what follows on it. */
export interface ShellCoat {
  readonly choice: CoatChoice;
  /** Time in the room from pouring to its cold place, s. */
  readonly handlingSeconds: number;
  /** Where it sets and for how long, s, in this order. */
  readonly sets: readonly Rest[];
}

/** Everything the simulation of a shell depends on; plain data but for the cavity, SI. */
export interface ShellInput extends CoatPlaceInput {
  readonly kitchen: PlaceKitchen;
  readonly coats: readonly ShellCoat[];
}

/** How far from nominal one run is. */
export interface ShellVariation {
  /** Factors on yield stress and viscosity, on a dose, and on the exchange with the air. */
  readonly stiffness: number;
  readonly dose: number;
  readonly cooling: number;
  /** Factors on the time it stands and is tipped out: nobody counts exactly. */
  readonly dwell: number;
  readonly drain: number;
  /** Added to the working temperature and to every place, K. */
  readonly workingK: number;
  readonly placeK: number;
}

/** What a run is doing: standing full, tipped out, worked with spoon or brush, set down in the room, or in its place. */
export type ShellPhase = 'dwell' | 'drain' | 'spread' | 'rest' | 'set';

/** A moment of a run, as it is passed to whoever watches; the arrays are the run's own and change with the next step. */
export interface ShellMoment {
  readonly coat: number;
  readonly phase: ShellPhase;
  readonly place: Place;
  /** Since the first coat was poured, s. */
  readonly seconds: number;
  readonly cells: WallCells;
  /** What has set before, and the film on it, m in each cell. */
  readonly belowM: Float64Array;
  readonly filmM: Float64Array;
  readonly filmC: Float64Array;
  readonly filmSet: Float64Array;
  readonly flows: boolean;
}

/** How one coat came out. */
export interface ShellCoatResult {
  /** At each point of the profile, m. */
  readonly thicknessM: Float64Array;
  /** What dripped off the rim after it was set down, and what of a dose found no room, m³. */
  readonly feetM3: number;
  /** Mean temperature of the mold's wall when the coat was set down, °C. */
  readonly wallC: number;
  /** Seconds after it was set down until nothing ran any more; Infinity: it still runs at the end. */
  readonly stillAfterSeconds: number;
  /** Of a vessel that lies on its side: its thinnest line round it over the mean, 0 to 1; undefined of all else. */
  readonly thinnestAround: number | undefined;
}

export interface ShellResult {
  readonly coats: readonly ShellCoatResult[];
  /** From pouring the first coat to the end of the last set, s. */
  readonly seconds: number;
  /** Poured less what lies on the wall and what dripped off, over what was poured; heat likewise, over what is held and what left. */
  readonly massError: number;
  readonly heatError: number;
}
