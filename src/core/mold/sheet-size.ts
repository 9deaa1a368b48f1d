import { cavityOf } from '../cavity/cavity';
import type { Mold, MoldCavity } from '../record/mold';

/** Between two cavities, and round all of them, m. Common practice, no source. */
export const CAVITY_GAP_M = 0.007;
export const SHEET_EDGE_M = 0.009;

/** Cavities of one kind as they lie on their sheet, m: each one's length and width, and where their rows begin. */
export interface SheetGroup {
  readonly lengthM: number;
  readonly widthM: number;
  readonly fromM: number;
  readonly acrossM: number;
}

/** A mold seen from above, m, its cavities laid out in their rows and columns, the kinds one below another: where its real size is not known. */
export interface SheetSize {
  readonly acrossM: number;
  readonly alongM: number;
  readonly groups: readonly SheetGroup[];
}

export function sheetSize({
  cavities,
}: {
  readonly cavities: readonly Pick<MoldCavity, 'shape' | 'rows' | 'columns'>[];
}): SheetSize {
  let fromM = SHEET_EDGE_M;
  const groups = cavities.map(({ shape, rows, columns }): SheetGroup => {
    const { lengthM, widthM } = cavityOf(shape);
    const group = { lengthM, widthM, fromM, acrossM: columns * (lengthM + CAVITY_GAP_M) - CAVITY_GAP_M };
    fromM += rows * (widthM + CAVITY_GAP_M);
    return group;
  });
  return {
    acrossM: Math.max(...groups.map(({ acrossM }) => acrossM)) + 2 * SHEET_EDGE_M,
    alongM: fromM - CAVITY_GAP_M + SHEET_EDGE_M,
    groups,
  };
}

/** What a mold takes of a shelf, m². */
export function sheetM2(mold: Pick<Mold, 'cavities'>): number {
  const { acrossM, alongM } = sheetSize(mold);
  return acrossM * alongM;
}
