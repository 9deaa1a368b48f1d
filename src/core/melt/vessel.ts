import type { Jacket, MeltingWay } from '../record/choices';
import { bowlHeat, bowlLossWK, mostInBowlKg, unstirredShare, wettedM2, type Bowl } from './bowl';
import type { Meltable } from './heat-held';
import type { Pot } from './pot';

/** What stands around a pot in a bath: still heat from a wall of steam or water. */
export interface Bath {
  readonly waterC: number;
  readonly exchangeWK: number;
}

/** A piping bag holds about this much, and a tube of coating; heat capacity of bag or tube, J/K. Common practice, no source. */
const IN_BAG_KG = 0.35;
const IN_TUBE_KG = 0.1;
const BAG_HEAT = 15;
/** Loss of a bag or tube in the hand, W/K for a kilogram; grows with the two thirds power of its weight. Working rule. */
const BAG_LOSS_WK = 0.55;
/** Steam under a bowl on very low heat; water that is very hot and not boiling. °C. Common practice, no source. */
const STEAM_C = 70;
const HOT_WATER_C = 80;
/** Cool water that a bowl is stood in where the room is too warm to cool it. */
const COOL_WATER_C = 18;
/** Heat transfer through a wetted wall that is stirred or kneaded, W/(m² K). Fitted on common practice: tubes take 3 to 5 min. */
const STIRRED_WALL_H = 80;
const KNEADED_WALL_H = 50;
const TUBE_M2_AT_100G = 0.012;

/** Most that is melted at once in one vessel, kg. */
export function mostAtOnceKg(way: MeltingWay, bowl: Bowl, density: number): number {
  return way === 'bag' ? IN_BAG_KG : way === 'tube' ? IN_TUBE_KG : mostInBowlKg(bowl, density);
}

/** What a spatula leaves on the wall that was wetted, m; what a bag or tube keeps of its content; what sticks to tools, kg, and on the way. Working rules. */
const SCRAPED_M = 0.25e-3;
const KEPT_IN_BAG = 0.03;
const ON_TOOLS_KG = 0.001;
const ON_THE_WAY = 0.01;

/** What sticks to the vessel and to tools of so much chocolate that is melted and worked, kg: it grows with the wall that was wetted. */
export function stuckKg(way: MeltingWay, bowl: Bowl, kg: number, density: number): number {
  const atOnceKg = Math.min(kg, mostAtOnceKg(way, bowl, density));
  const inVesselKg =
    way === 'bag' || way === 'tube' ? KEPT_IN_BAG * kg : SCRAPED_M * density * wettedM2(bowl, atOnceKg / density);
  return inVesselKg + ON_TOOLS_KG + ON_THE_WAY * kg;
}

/** The vessel with `kg` of chocolate in it, as it stands in the room. */
export function potOf(
  way: MeltingWay,
  bowl: Bowl,
  chocolate: Meltable,
  kg: number,
  density: number,
  roomC: number,
  jacket: Jacket,
): Pot {
  if (way === 'bag' || way === 'tube')
    return { chocolate, kg, bowlHeat: BAG_HEAT, lossWK: BAG_LOSS_WK * kg ** (2 / 3), aroundC: roomC };
  return {
    chocolate,
    kg,
    bowlHeat: bowlHeat(bowl, kg / density),
    lossWK: bowlLossWK(bowl, kg / density, jacket),
    aroundC: roomC,
  };
}

/** How much slower a vessel cools while it stands than while it is stirred, as a share; a bag or tube in the hand is kneaded by it. */
export function standingShare(way: MeltingWay, bowl: Bowl, volumeM3: number, jacket: Jacket): number {
  return way === 'bag' || way === 'tube' ? 1 : unstirredShare(bowl, volumeM3, jacket);
}

/** The hot bath of a way that has one: steam under a bowl, water around a tube. */
export function hotBath(way: MeltingWay, bowl: Bowl, kg: number, density: number): Bath | undefined {
  if (way === 'doubleBoiler') return { waterC: STEAM_C, exchangeWK: STIRRED_WALL_H * wettedM2(bowl, kg / density) };
  if (way === 'tube')
    return { waterC: HOT_WATER_C, exchangeWK: KNEADED_WALL_H * TUBE_M2_AT_100G * (kg / IN_TUBE_KG) ** (2 / 3) };
  return undefined;
}

/** Cool water around a bowl. */
export function coolBath(bowl: Bowl, kg: number, density: number): Bath {
  return { waterC: COOL_WATER_C, exchangeWK: STIRRED_WALL_H * wettedM2(bowl, kg / density) };
}

/** A pot standing in a bath: room and bath together are one surrounding, weighted by what each exchanges. */
export function inBath(pot: Pot, bath: Bath): Pot {
  const lossWK = pot.lossWK + bath.exchangeWK;
  return { ...pot, lossWK, aroundC: (pot.lossWK * pot.aroundC + bath.exchangeWK * bath.waterC) / lossWK };
}
