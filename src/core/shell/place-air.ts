import type { SlabAir } from '../heat/heat-slab';
import { StillAir } from '../heat/still-air';
import { MOLD_MATTER, type MoldMaterial } from '../matter/mold-material';
import { WORKING_RULES } from '../matter/working-rules';
import type { Place, WayUp } from '../record/choices';
import type { Kitchen } from '../record/kitchen';
import type { Inside } from './coat-choice';

/** What the setting of a shell needs to know of a kitchen. */
export type PlaceKitchen = Pick<Kitchen, 'roomC' | 'fridgeC' | 'freezerC' | 'fridgeFan' | 'freezerFan' | 'learned'>;

/** The same of a kitchen, and no more: what else changes in it leaves a shell as it is. */
export function placeKitchen({ roomC, fridgeC, freezerC, fridgeFan, freezerFan, learned }: Kitchen): PlaceKitchen {
  return { roomC, fridgeC, freezerC, fridgeFan, freezerFan, ...(learned ? { learned } : {}) };
}

/** What takes the heat of a mold and its shell: the air of its place, as a factor on still air at either face, and what it stands on. */
export interface Surroundings {
  readonly airC: number;
  readonly outsideFactor: number;
  /** 0 between two joined halves. */
  readonly insideFactor: number;
  /** Heat given to what it stands on, W/(m² K) of its wall. */
  readonly contactH: number;
  /** Wall of the insert that stands in a pressed shell, m; 0 where there is none. */
  readonly insertM: number;
}

/** How much more heat the air of a place takes than still air: 1, or more where a fan drives it; so many times that, where it was learned. */
export function draughtIn(kitchen: PlaceKitchen, place: Place): number {
  const fan = (place === 'fridge' && kitchen.fridgeFan) || (place === 'freezer' && kitchen.freezerFan);
  return (fan ? WORKING_RULES.fanFactor : 1) * learnedIn(kitchen, place);
}

const learnedIn = ({ learned }: PlaceKitchen, place: Place): number => learned?.[place]?.factor ?? 1;

/** What surrounds a shell in a place, with its mold as it is held there. */
export function surroundingsIn(
  kitchen: PlaceKitchen,
  place: Place,
  held: {
    readonly material: MoldMaterial;
    readonly wayUp: WayUp;
    readonly inside: Inside;
    /** Share of the wall that is flat floor. */
    readonly floorShare: number;
    readonly insertM?: number | undefined;
  },
): Surroundings {
  const draught = draughtIn(kitchen, place);
  const lies = held.wayUp === 'upright' && MOLD_MATTER[held.material].lies;
  return {
    airC: placeC(kitchen, place),
    outsideFactor: draught,
    insideFactor: draught * WORKING_RULES.insideFactor[held.inside],
    contactH: lies ? WORKING_RULES.contactH * held.floorShare * learnedIn(kitchen, place) : 0,
    insertM: held.insertM ?? 0,
  };
}

/** The same where the air is so many kelvin warmer and takes so many times as much heat. */
export function varied(surroundings: Surroundings, kelvin: number, cooling: number): Surroundings {
  const { airC, outsideFactor, insideFactor, contactH } = surroundings;
  return {
    ...surroundings,
    airC: airC + kelvin,
    outsideFactor: outsideFactor * cooling,
    insideFactor: insideFactor * cooling,
    contactH: contactH * cooling,
  };
}

/**
 * Heat transfer at either face as it is at the moment, W/(m² K): natural convection grows with how much warmer a face is than the air.
 * @param outerC, innerC temperature of the mold's outside and of the shell's free side, °C
 */
export function airAt(surroundings: Surroundings, outerC: number, innerC: number): SlabAir {
  const { airC, outsideFactor, insideFactor, contactH, insertM } = surroundings;
  const still = StillAir.of(airC);
  const toAir = insideFactor * still.at(innerC);
  return {
    outsideC: airC,
    insideC: airC,
    outsideH: outsideFactor * still.at(outerC) + contactH,
    insideH: insertM > 0 && toAir > 0 ? 1 / (1 / toAir + insertM / MOLD_MATTER.silicone.conductivity) : toAir,
  };
}

/** How surely it is known how much heat the air of a place takes: a factor either way. */
export const airSpread = ({ learned }: PlaceKitchen, place: Place): number =>
  learned?.[place]?.within ?? WORKING_RULES.coolingSpread;

/** Temperature of a place, °C. */
export function placeC(kitchen: PlaceKitchen, place: Place): number {
  return place === 'fridge' ? kitchen.fridgeC : place === 'freezer' ? kitchen.freezerC : kitchen.roomC;
}
