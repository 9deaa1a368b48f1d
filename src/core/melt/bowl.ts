import { BOWL_MATTER, type BowlMaterial } from '../matter/bowl-material';
import type { Jacket } from '../record/choices';

/** A bowl of the kitchen. */
export interface Bowl {
  readonly material: BowlMaterial;
  readonly kg: number;
  /** Across its top, inside. */
  readonly diameterM: number;
}

/** Still air over the chocolate, and over the bowl's outside, W/(m² K), radiation included. From memory, handbook range. */
const OPEN_TOP_H = 9;
const OUTSIDE_H = 8;
/** Share of the loss that a jacket leaves. Working rules. */
const JACKET_LOSS: Readonly<Record<Jacket, number>> = { none: 1, mitt: 0.45, warmWater: 0 };
/** A bowl is filled to this share of its room at most: the rest is for stirring. Working rule. */
const FILLED_SHARE = 0.6;

/** Heat capacity of the part of a bowl that its chocolate wets, J/K: the rest stays as cool as the room. */
export function bowlHeat(bowl: Bowl, chocolateM3: number): number {
  const radius = bowl.diameterM / 2;
  return (
    bowl.kg * BOWL_MATTER[bowl.material].specificHeat * (wettedM2(bowl, chocolateM3) / (2 * Math.PI * radius * radius))
  );
}

/** Room of a bowl taken as half a sphere as wide as its top, m³. */
export function bowlRoomM3({ diameterM }: Pick<Bowl, 'diameterM'>): number {
  return (Math.PI * diameterM ** 3) / 12;
}

/** Most chocolate that can be stirred in a bowl, kg. */
export function mostInBowlKg(bowl: Pick<Bowl, 'diameterM'>, density: number): number {
  return FILLED_SHARE * bowlRoomM3(bowl) * density;
}

/**
 * Heat lost to the room for each kelvin, W/K: the open face of the chocolate, and the wall that it wets.
 *
 * The bowl is half a sphere, filled to the depth z at which π z² (R - z/3) is the chocolate's volume; the open face is
 * π (2 R z - z²), the wetted wall 2 π R z. The wall's own resistance is in series with the air.
 * @param chocolateM3 what lies in it; more than it holds counts as full
 */
export function bowlLossWK(bowl: Bowl, chocolateM3: number, jacket: Jacket): number {
  const radius = bowl.diameterM / 2;
  const depth = fillDepthM(bowl, chocolateM3);
  const openM2 = Math.PI * (2 * radius * depth - depth * depth);
  const wettedM2 = 2 * Math.PI * radius * depth;
  const { conductivity, density } = BOWL_MATTER[bowl.material];
  const wallM = bowl.kg / (density * 2 * Math.PI * radius * radius);
  const wall = 1 / (1 / OUTSIDE_H + wallM / conductivity);
  return OPEN_TOP_H * openM2 + JACKET_LOSS[jacket] * wall * wettedM2;
}

/** Area of a bowl that what lies in it wets, m². */
export function wettedM2(bowl: Pick<Bowl, 'diameterM'>, volumeM3: number): number {
  return Math.PI * bowl.diameterM * fillDepthM(bowl, volumeM3);
}

/** The depth z at which π z² (R - z/3) is the volume, by the cubic's trigonometric root, written so that nothing cancels in a small dose. */
function fillDepthM(bowl: Pick<Bowl, 'diameterM'>, inItM3: number): number {
  const radius = bowl.diameterM / 2;
  const share = Math.min(1, inItM3 / bowlRoomM3(bowl));
  const angle = (2 / 3) * Math.asin(Math.sqrt(share / 2));
  return radius * (2 * Math.sin(angle / 2) ** 2 + Math.sqrt(3) * Math.sin(angle));
}
