/** What the simulation of a coat adds to its closed form, m at each point of the profile: as planned, and at either end of the likely range. */
export interface SimulatedCoat {
  readonly nominalM: Float64Array;
  readonly thinM: Float64Array;
  readonly thickM: Float64Array;
  /** Mean temperature of the mold's wall when the coat was set down, °C. */
  readonly wallC: number;
  /** What dripped off the rim after it was set down, m³, and as a share of the dose where there is one. */
  readonly feetM3: number;
  readonly feetShare: number;
  /** Seconds after it was set down until nothing ran any more; Infinity: it never came to rest. */
  readonly stillAfterSeconds: number;
  /** Of a vessel that lies on its side: its thinnest line round it over the mean, 0 to 1; undefined of all else. */
  readonly thinnestAround: number | undefined;
}

/** The coats of one simulation. */
export interface SimulatedCoats {
  readonly coats: readonly SimulatedCoat[];
  /** The ends come from runs of their own, not from the closed form's spread. */
  readonly ranged: boolean;
}

/**
 * The simulation's answer, as a correction of the closed form: while a figure is dragged the closed form follows at once, and the
 * correction of a moment ago keeps it next to the simulation until the new one is there.
 */
export interface Simulated {
  /** What must be alike for the correction to hold: shape, material, and how each coat is made. */
  readonly structure: string;
  /** By number of coats: an aim that weighs one coat against two needs to know of both. */
  readonly byCount: Readonly<Record<number, SimulatedCoats>>;
}
