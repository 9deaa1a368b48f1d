import { CHOCOLATE_CONDUCTIVITY } from '../matter/chocolate';
import { BOWL_MATTER, type BowlMaterial } from '../matter/bowl-material';
import type { Jacket } from '../record/choices';

/** A bowl of the kitchen. */
export interface Bowl {
  readonly material: BowlMaterial;
  readonly kg: number;
  /** Across its top, inside. */
  readonly diameterM: number;
}

/**
 * Still air over the chocolate, along the bowl's sides, and under the part of it that faces what it stands on (a warm face turned down
 * to a counter that warms with it), W/(m² K), radiation included. From memory, handbook range.
 */
const OPEN_TOP_H = 9;
const SIDE_H = 8;
const UNDERSIDE_H = 4;
/** Depth of the part of a half sphere whose wall is flatter than 45°, as a share of its radius. */
const UNDERSIDE_SHARE = 1 - Math.SQRT1_2;
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
 * Heat lost to the room for each kelvin, W/K, while it is stirred: the open face of the chocolate, and the wall that it wets, whose flatter
 * part faces what the bowl stands on.
 *
 * The bowl is half a sphere, filled to the depth z at which π z² (R - z/3) is the chocolate's volume; the open face is
 * π (2 R z - z²), the wetted wall 2 π R z. The wall's own resistance is in series with the air.
 * @param chocolateM3 what lies in it; more than it holds counts as full
 */
export function bowlLossWK(bowl: Bowl, chocolateM3: number, jacket: Jacket): number {
  const radius = bowl.diameterM / 2;
  const depth = fillDepthM(bowl, chocolateM3);
  const under = Math.min(depth, UNDERSIDE_SHARE * radius);
  const { conductivity, density } = BOWL_MATTER[bowl.material];
  const wallM = bowl.kg / (density * 2 * Math.PI * radius * radius);
  const through = (h: number): number => 1 / (1 / h + wallM / conductivity);
  const wall = 2 * Math.PI * radius * (through(UNDERSIDE_H) * under + through(SIDE_H) * (depth - under));
  return OPEN_TOP_H * openM2(radius, depth) + JACKET_LOSS[jacket] * wall;
}

/**
 * Share of that loss that is left while it stands unstirred: the heat comes to the faces through the chocolate, as through a slab whose
 * mean lies a third of its depth from a face: 1 / (1 + Bi/3).
 */
export function unstirredShare(bowl: Bowl, chocolateM3: number, jacket: Jacket): number {
  const faces = openM2(bowl.diameterM / 2, fillDepthM(bowl, chocolateM3)) + wettedM2(bowl, chocolateM3);
  const biot = (bowlLossWK(bowl, chocolateM3, jacket) * chocolateM3) / (faces * faces * CHOCOLATE_CONDUCTIVITY);
  return 1 / (1 + biot / 3);
}

function openM2(radiusM: number, depthM: number): number {
  return Math.PI * (2 * radiusM * depthM - depthM * depthM);
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
