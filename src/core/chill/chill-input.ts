import type { SettingChocolate } from '../matter/chocolate';
import type { MoldMaterial } from '../matter/mold-material';
import type { Place, WayUp } from '../record/choices';
import type { Rest } from '../record/sets';
import type { Inside } from '../shell/coat-choice';
import type { PlaceKitchen } from '../shell/place-air';

/** One coat as the chill sees it; plain data, so that it can be sent to a worker. */
export interface ChillCoat extends SettingChocolate {
  readonly workingC: number;
  /** Mean thickness of the coat over the wall with its likely range, m. */
  readonly thicknessM: { readonly value: number; readonly low: number; readonly high: number };
  /** Mean temperature of the mold's wall when the coat is on, °C (first coat only). */
  readonly wallC: number;
  readonly wayUp: WayUp;
  /** What lies behind its free side. */
  readonly inside: Inside;
  /** Time at room temperature between coating and the cold place, s. */
  readonly handlingSeconds: number;
  /** Where it rests before its place, and for how long, in this order. */
  readonly rests: readonly Rest[];
  readonly place: Place;
  /** The user's own interval, s, where they overrule the computed one. */
  readonly overruledSeconds?: number;
  /** Where it stays on once that is over, still in its mold; nowhere where it is left out. */
  readonly then?: readonly Rest[];
}

export interface ChillInput {
  readonly material: MoldMaterial;
  readonly wallM: number;
  readonly meanCurvature: number;
  readonly gaussCurvature: number;
  /** Share of the wall that is flat floor, 0 to 1. */
  readonly floorShare: number;
  /** Wall of the insert that stands in a pressed shell, m; undefined where the inside is open to the air. */
  readonly insertM?: number | undefined;
  /** It is cut, peeled or popped off what it was cast on, and need not shrink away from it. */
  readonly cutAway?: boolean;
  readonly kitchen: PlaceKitchen;
  readonly coats: readonly ChillCoat[];
}

/** A cap that is cast on what is filled into a shell, before it leaves its mold. */
export interface ChillCap extends Pick<
  ChillCoat,
  'kind' | 'fatShare' | 'unseeded' | 'workingC' | 'handlingSeconds' | 'rests' | 'place' | 'overruledSeconds'
> {
  /** Mean over its face, m. */
  readonly thicknessM: number;
  /** Its face over the wall of the cavity, as areas. */
  readonly faceShare: number;
  /** What it lies on: as thick as it is between wall and face on the whole, m; 0 where there is nothing. J/(m³ K). */
  readonly filling: { readonly thicknessM: number; readonly volumetricHeat: number };
}
