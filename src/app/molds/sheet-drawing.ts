import { isOutlined, outlinePoints } from '../../core/cavity/free-outline';
import type { CavityShape } from '../../core/cavity/shape';
import { cavityOf } from '../../core/cavity/cavity';
import { CAVITY_GAP_M, sheetSize } from '../../core/mold/sheet-size';
import type { Mold } from '../../core/record/mold';

/** A mold drawn to scale in millimetres: its sheet from above with every cavity, and one cavity cut through. */
export interface SheetDrawing {
  readonly widthMm: number;
  readonly heightMm: number;
  /** The cavities' outlines, one path for each kind. */
  readonly cavities: readonly string[];
}

/** Lays a mold's cavities out in their rows and columns, the kinds one below another. Pure; knows nothing of the page. */
export function sheetDrawing(mold: Pick<Mold, 'cavities'>): SheetDrawing {
  const { acrossM, alongM, groups } = sheetSize(mold);
  const widthMm = acrossM * 1000;
  const gap = CAVITY_GAP_M * 1000;
  const paths = mold.cavities.map(({ shape, rows, columns }, i) => {
    const group = groups[i];
    const [across, along, top] = [group.lengthM * 1000, group.widthM * 1000, group.fromM * 1000];
    const left = (widthMm - group.acrossM * 1000) / 2;
    const one: string[] = [];
    for (let row = 0; row < rows; row++) {
      for (let column = 0; column < columns; column++)
        one.push(
          outlinePath(
            shape,
            left + column * (across + gap) + across / 2,
            top + row * (along + gap) + along / 2,
            across,
            along,
          ),
        );
    }
    return one.join('');
  });
  return { widthMm, heightMm: alongM * 1000, cavities: paths };
}

/** One cavity's rim from above, around a middle, mm. */
function outlinePath(shape: CavityShape, x: number, y: number, across: number, along: number): string {
  const n = (value: number): string => value.toFixed(2);
  const [a, b] = [across / 2, along / 2];
  if (shape.kind === 'tile' || shape.kind === 'pillow') {
    const c = Math.min(shape.cornerM * 1000, a, b);
    const arc = (dx: number, dy: number): string => `a${n(c)} ${n(c)} 0 0 1 ${n(dx)} ${n(dy)}`;
    return `M${n(x - a + c)} ${n(y - b)}h${n(across - 2 * c)}${arc(c, c)}v${n(along - 2 * c)}${arc(-c, c)}h${n(2 * c - across)}${arc(-c, -c)}v${n(2 * c - along)}${arc(c, -c)}z`;
  }
  if (isOutlined(shape)) {
    const points = outlinePoints(shape).map(([px, py]) => [px * 1000, -py * 1000] as const);
    const lowest = (axis: 0 | 1): number => Math.min(...points.map((point) => point[axis]));
    const [left, top] = [x - a - lowest(0), y - b - lowest(1)];
    return `M${points.map(([px, py]) => `${n(left + px)} ${n(top + py)}`).join('L')}z`;
  }
  if (shape.kind === 'faceted') {
    const corners = Array.from(
      { length: shape.facets },
      (_, k) =>
        `${n(x + a * Math.sin((2 * Math.PI * k) / shape.facets))} ${n(y - a * Math.cos((2 * Math.PI * k) / shape.facets))}`,
    );
    return `M${corners.join('L')}z`;
  }
  return `M${n(x - a)} ${n(y)}a${n(a)} ${n(b)} 0 1 0 ${n(across)} 0a${n(a)} ${n(b)} 0 1 0 ${n(-across)} 0z`;
}

/** A cavity cut through the middle, mm from its rim's middle downward. */
export function cutPath(shape: CavityShape): {
  readonly path: string;
  readonly widthMm: number;
  readonly depthMm: number;
} {
  const { profile, depthM, spanM, lengthM } = cavityOf(shape);
  // What is not round is cut along its length.
  const stretch = lengthM / spanM;
  const point = (side: number, i: number): string =>
    `${(side * profile.radiusM[i] * stretch * 1000).toFixed(2)} ${((depthM - profile.heightM[i]) * 1000).toFixed(2)}`;
  const last = profile.radiusM.length - 1;
  const kept = Array.from({ length: last + 1 }, (_, i) => i).filter((i) => i % 2 === 0 || i === last);
  const right = kept.map((i) => point(1, i));
  const left = [...kept].reverse().map((i) => point(-1, i));
  return { path: `M${[...left, ...right].join('L')}z`, widthMm: lengthM * 1000, depthMm: depthM * 1000 };
}
