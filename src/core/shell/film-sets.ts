import { chocolateLayer, moldLayer } from '../heat/chocolate-layer';
import { HeatSlab, type SlabLayer } from '../heat/heat-slab';
import { setsInTheEnd } from '../heat/setting';
import { CHOCOLATE_SPECIFIC_HEAT, latentHeat, type SettingChocolate } from '../matter/chocolate';
import { COCOA_BUTTER_DENSITY } from '../matter/cocoa-butter';
import { trayHeat, type MoldMaterial } from '../matter/mold-material';
import { WORKING_RULES } from '../matter/working-rules';
import type { Place } from '../record/choices';
import type { Rest } from '../record/sets';
import { airAt, placeC, surroundingsIn, type PlaceKitchen, type Surroundings } from './place-air';

/** What a film is of: a chocolate, or cocoa butter, which sets as the fat of a dark one in temper does. */
export type FilmMatter = SettingChocolate | 'cocoaButter';

/** A thin film laid on something colder, and where it sets. SI, °C. */
export interface SettingFilm {
  readonly of: FilmMatter;
  readonly thickM: number;
  /** As warm as it is laid on. */
  readonly laidC: number;
  readonly kitchen: PlaceKitchen;
  /** Where it rests before its place. */
  readonly rests: readonly Rest[];
  readonly place: Place;
}

/** An empty mold that is painted. */
export interface PaintedMold {
  readonly material: MoldMaterial;
  readonly wallM: number;
  /** Share of the wall that is flat floor, 0 to 1. */
  readonly floorShare: number;
}

/** A wall of set chocolate that is joined to another, or closed. */
export interface JoinedShell {
  readonly shell: Pick<SettingChocolate, 'kind' | 'fatShare'>;
  readonly thickM: number;
}

/** What lies behind a film, in contact with it: a layer of a single cell, what it stands on, and what takes the heat. */
interface Behind {
  readonly layer: SlabLayer;
  readonly standsOnHeat: number;
  readonly around: (place: Place) => Surroundings;
}

const COCOA_BUTTER: SettingChocolate = { kind: 'dark', fatShare: 1 };
const FIRST_STEP_S = 1;
const STEP_GROWS = 1.25;
const LONGEST_STEP_S = 30;
/** After hours little changes: a step may be this share of what has passed. */
const LATE_STEP = 0.01;
/** A step that has to be shorter than this to be solved cannot be, s. */
const SHORTEST_STEP_S = 1e-4;
/** What is not set by then does not set there, s. */
const MOST_S = 24 * 3600;

/**
 * Seconds in its place until a film painted into an empty mold is set to the touch; 0 where its rests have seen to that, Infinity where it
 * never is. It is so thin that it is as warm all through, and so is the wall behind it: the chill's slab with a cell for each.
 */
export function paintSetsSeconds(film: SettingFilm, { material, wallM, floorShare }: PaintedMold): number {
  const { kitchen } = film;
  return setsSeconds(film, {
    layer: moldLayer(material, wallM, kitchen.roomC, 1),
    standsOnHeat: trayHeat(material),
    around: (place) => surroundingsIn(kitchen, place, { material, wayUp: 'upright', inside: 'open', floorShare }),
  });
}

/** The same for a line or a melted rim on a shell that is as warm as the room. */
export function jointSetsSeconds(film: SettingFilm, { shell, thickM }: JoinedShell): number {
  const { kitchen } = film;
  const set = chocolateLayer(shell);
  return setsSeconds(film, {
    layer: { ...set, latentHeat: 0, thicknessM: thickM, cells: 1, startC: kitchen.roomC },
    standsOnHeat: 0,
    // Air on either side, wherever it lies: a joint stands on nothing.
    around: (place) =>
      surroundingsIn(kitchen, place, { material: 'polycarbonate', wayUp: 'upright', inside: 'level', floorShare: 0 }),
  });
}

function setsSeconds(film: SettingFilm, behind: Behind): number {
  const run = new FilmRun(film, behind);
  for (const { place, seconds } of film.rests) run.stay(place, seconds);
  const { kind, unseeded } = settingOf(film.of);
  const could = setsInTheEnd({ kind, unseeded }, placeC(film.kitchen, film.place)) > WORKING_RULES.touchSet;
  return run.isSet || could ? run.stay(film.place, MOST_S, true) : Infinity;
}

function settingOf(of: FilmMatter): SettingChocolate {
  return of === 'cocoaButter' ? COCOA_BUTTER : of;
}

function filmLayer({ of, thickM, laidC }: SettingFilm): SlabLayer {
  const butter =
    of === 'cocoaButter'
      ? {
          volumetricHeat: COCOA_BUTTER_DENSITY * CHOCOLATE_SPECIFIC_HEAT,
          latentHeat: COCOA_BUTTER_DENSITY * latentHeat(COCOA_BUTTER.fatShare),
        }
      : {};
  return { ...chocolateLayer(settingOf(of)), ...butter, thicknessM: thickM, cells: 1, startC: laidC };
}

class FilmRun {
  private readonly slab: HeatSlab;

  constructor(
    film: SettingFilm,
    private readonly behind: Behind,
  ) {
    this.slab = new HeatSlab([behind.layer, filmLayer(film)]);
    this.slab.addOutsideCapacity(behind.standsOnHeat);
  }

  get isSet(): boolean {
    return this.slab.setFraction[1] >= WORKING_RULES.touchSet;
  }

  /** Stays so long in a place, or no longer than it takes to set; gives how long it was, Infinity where it did not set. */
  stay(place: Place, seconds: number, untilSet = false): number {
    const around = this.behind.around(place);
    let [now, dt] = [0, FIRST_STEP_S];
    while (now < seconds && dt > SHORTEST_STEP_S) {
      if (untilSet && this.isSet) return now;
      const before = this.slab.setFraction[1];
      const took = Math.min(dt, seconds - now);
      const { temperatureC } = this.slab;
      if (Number.isNaN(this.slab.step(took, airAt(around, temperatureC[0], temperatureC[1])))) {
        dt /= 2;
        continue;
      }
      if (untilSet && this.isSet) {
        // Where in the step it passed the mark.
        const rise = this.slab.setFraction[1] - before;
        return now + took * (rise > 0 ? (WORKING_RULES.touchSet - before) / rise : 1);
      }
      now += took;
      dt = Math.min(Math.max(LONGEST_STEP_S, now * LATE_STEP), dt * STEP_GROWS);
    }
    return untilSet ? Infinity : now;
  }
}
