import { placesAlong, sweptM2, type LinePlace } from '../../../core/cavity/along-line';
import type { Line } from '../../../core/cavity/profile';
import { pieceKg, pieceWidthM } from '../../../core/fill/packing';
import type { FillingKind } from '../../../core/matter/filling';
import { outsideLine, type PlacedPart } from '../../../core/plan/assembled';
import type { Finish } from '../../../core/record/casting';
import type { Filling } from '../../../core/record/filling';

/** No thread lies closer to the next than this share of the way. */
const CLOSEST = 0.9;
/** Lens of a sprinkle or a sweet: height over width. */
const FLAT = 0.55;
/** Pieces that are about as tall as wide. */
const ROUND_KINDS: readonly FillingKind[] = ['marshmallow', 'surprise', 'fruit', 'wholeFruit'];
/** Between two things that are stuck on, in their widths. */
const APART = 1.1;
/** Density of what is stuck on and tells no width, kg/m³. From memory. */
const STUCK_DENSITY = 1100;

/** The line that finishes lie along: an open face that was topped, or the outside from its highest point down. */
export function finishedLine({ draft, turned }: PlacedPart, topped: boolean): Line {
  if (topped) return faceLine(draft);
  return turned ? outsideLine(draft) : reversed(outsideLine(draft));
}

/** The open face of what lies as it was poured, from its middle to its rim. */
function faceLine({ cavity, coat }: PlacedPart['draft']): Line {
  const { radiusM, heightM } = cavity.profile;
  const { toM } = coat.coats.at(-1)?.levels ?? {};
  const atM = toM === undefined ? cavity.depthM : heightM[0] + toM;
  const rim = heightM.findIndex((z) => z >= atM - 1e-9);
  const rimM = radiusM[rim < 0 ? radiusM.length - 1 : rim];
  return { radiusM: Float64Array.of(0, rimM), heightM: Float64Array.of(atM, atM) };
}

/** Where a drizzle's threads lie that cover a share of so much of the outside, m². */
export function threadsAlong(
  outside: Line,
  { share, lineM }: Pick<Extract<Finish, { kind: 'drizzle' }>, 'share' | 'lineM'>,
  areaM2: number,
): readonly LinePlace[] {
  const here = Math.min(CLOSEST, (share * areaM2) / Math.max(1e-9, sweptM2(outside)));
  return placesAlong(outside, lineM / Math.max(0.01, here));
}

/** As far apart as bits are drawn at most, as the share of a line that they take. */
const SPARSEST = 0.05;

/** Where bits lie that are strewn alike over an open face. */
export function strewnAlong(face: Line, { wideM }: Form, share: number): readonly LinePlace[] {
  return placesAlong(face, wideM / Math.max(SPARSEST, share));
}

/** Where so many things are stuck on: one of an odd number in the middle, where there is one, and the others in pairs beside it. */
export function stuckAlong(
  outside: Line,
  count: number,
  { wideM }: Form,
  turned: boolean,
): { readonly places: readonly LinePlace[]; readonly single: LinePlace | undefined } {
  const pairs = Math.ceil(count / 2);
  const odd = count % 2 === 1;
  const places = placesAlong(outside, APART * wideM, turned && odd ? 0 : undefined)
    .filter(({ heightM }) => turned || heightM >= wideM / 2)
    .slice(0, pairs);
  return { places, single: odd ? places[turned ? 0 : pairs - 1] : undefined };
}

/** How wide and tall a bit lies, m. */
export interface Form {
  readonly wideM: number;
  readonly tallM: number;
}

/** The form of one of a filling: sweets and what is strewn as lenses, else as a ball. */
export function formOf(filling: Filling): Form {
  const ballM = pieceWidthM(filling) ?? Math.cbrt((6 * pieceKg(filling)) / (Math.PI * STUCK_DENSITY));
  if (ROUND_KINDS.includes(filling.kind)) return { wideM: ballM, tallM: ballM };
  const wideM = ballM / Math.cbrt(FLAT);
  return { wideM, tallM: FLAT * wideM };
}

function reversed({ radiusM, heightM }: Line): Line {
  return { radiusM: radiusM.slice().reverse(), heightM: heightM.slice().reverse() };
}
