import type { Cavity } from '../cavity/cavity';
import { isOutlined } from '../cavity/free-outline';
import type { CavityShape } from '../cavity/shape';
import type { MoldMaterial } from '../matter/mold-material';
import type { OutSeconds } from '../matter/working-rules';
import type { Coat, Part } from '../record/casting';
import { isTurned } from '../record/method';
import type { Mold } from '../record/mold';

/**
 * Every way out of a mold: pushed up from below, lifted off what is large, flexed off what is flat, tapped out of what is rigid, a press
 * opened, a liner or a leaf peeled, a former let out, a bottle cut, a tin opened; glass is not opened at all.
 */
export const WAYS_OUT = {
  pushed: { perPartS: 8, perMoldS: 0 },
  large: { perPartS: 30, perMoldS: 0 },
  flat: { perPartS: 6, perMoldS: 0 },
  // All of a tray at once.
  tapped: { perPartS: 1, perMoldS: 30 },
  press: { perPartS: 30, perMoldS: 0 },
  liner: { perPartS: 12, perMoldS: 0 },
  leaf: { perPartS: 8, perMoldS: 0 },
  former: { perPartS: 90, perMoldS: 0 },
  bottle: { perPartS: 240, perMoldS: 0 },
  tin: { perPartS: 180, perMoldS: 0 },
  glass: { perPartS: 8, perMoldS: 0 },
} as const satisfies Record<string, OutSeconds>;
export type WayOut = keyof typeof WAYS_OUT;

/** Silicone of this width is lifted off the piece; below it the piece is pushed out, m. Working rule. */
const LARGE_M = 0.07;
/** No deeper than this share of its width it is flat, and flexed. Working rule. */
const FLAT = 0.3;

const BY_MATERIAL: Readonly<Partial<Record<MoldMaterial, WayOut>>> = {
  glass: 'glass',
  tin: 'tin',
  paper: 'liner',
  film: 'leaf',
  polycarbonate: 'tapped',
  thinPlastic: 'tapped',
};
const FLAT_SHAPES: readonly CavityShape['kind'][] = ['tile', 'pillow', 'cylinder', 'cap'];

/** What a way out is told by. */
export interface OutOf {
  readonly moldRecord: Mold;
  readonly coatsMade: readonly Pick<Coat, 'method'>[];
  readonly cavity: Pick<Cavity, 'depthM' | 'lengthM'>;
  readonly part: Pick<Part, 'cavityId'>;
}

/** How a part comes out of its mold, by composition, material, method, shape and size. */
export function wayOut({ moldRecord, coatsMade, cavity, part }: OutOf): WayOut {
  const { material, composition, cavities } = moldRecord;
  if (composition.kind === 'press') return 'press';
  if (composition.kind === 'former') return 'former';
  if (material === 'thinPlastic' && coatsMade.some(({ method }) => isTurned(method))) return 'bottle';
  const way = BY_MATERIAL[material];
  if (way) return way;
  const shape = cavities.find(({ id }) => id === part.cavityId)?.shape;
  const plain = shape !== undefined && (FLAT_SHAPES.includes(shape.kind) || isOutlined(shape));
  if (plain && cavity.depthM <= FLAT * cavity.lengthM) return 'flat';
  return cavity.lengthM >= LARGE_M ? 'large' : 'pushed';
}
