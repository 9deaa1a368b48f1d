import type { Cavity } from '../cavity/cavity';
import type { ChocolateKind, Fluidity } from '../matter/chocolate';
import type { MoldMaterial } from '../matter/mold-material';
import type { CoatArea, Method, WayUp } from '../record/choices';

/** A chocolate as the coats use it. */
export interface CoatChocolate {
  readonly kind: ChocolateKind;
  readonly fluidity: Fluidity;
  readonly fatShare: number;
}

/** One coat as chosen, with its chocolate and working temperature looked up. */
export interface CoatChoice {
  readonly id: string;
  readonly method: Method;
  readonly chocolate: CoatChocolate;
  readonly workingC: number;
  readonly doseM3: number;
  readonly dwellSeconds: number;
  readonly drainSeconds: number;
  readonly tappingSeconds: number;
  readonly wayUp: WayUp;
  readonly where: CoatArea;
}

/** The gap an insert is pressed to: its width, m, or the volume it holds up to the line, m³. */
export type Press = { readonly by: 'width'; readonly gapM: number } | { readonly by: 'water'; readonly m3: number };

/** The cavity and its mold, with the room it stands in. */
export interface CoatPlaceInput {
  readonly cavity: Cavity;
  readonly material: MoldMaterial;
  readonly moldWallM: number;
  readonly roomC: number;
  /** Where the shell is what an insert leaves: coats are then all alike, and there is one. */
  readonly press?: Press | undefined;
}
