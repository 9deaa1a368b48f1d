// Apart from the schemas, so that what computes need not carry them.
import type { Mold, MoldCavity } from './mold';

/** Cavities of one kind on a mold. */
export function cavityCount(cavity: Pick<MoldCavity, 'rows' | 'columns'>): number {
  return cavity.rows * cavity.columns;
}

/** Rows and columns of so many cavities, as near to a square as they go. */
export function gridOf(count: number): { readonly rows: number; readonly columns: number } {
  let rows = Math.floor(Math.sqrt(count));
  while (count % rows !== 0) rows--;
  return { rows, columns: count / rows };
}

/** The first id of a mold's composition that names none of its cavities. */
export function brokenComposition({ composition, cavities }: Mold): string | undefined {
  const has = (cavityId: string): boolean => cavities.some((cavity) => cavity.id === cavityId);
  if (composition.kind === 'figure')
    return has(composition.frontId)
      ? has(composition.backId)
        ? undefined
        : 'composition.backId'
      : 'composition.frontId';
  if (composition.kind !== 'assembly') return undefined;
  const broken = composition.parts.findIndex((part) => !has(part.cavityId));
  return broken < 0 ? undefined : `composition.parts.${broken}.cavityId`;
}

/** How many of a cavity's parts one piece takes. */
export function partsPerPiece({ composition }: Mold, cavityId: string): number {
  if (composition.kind === 'halves' || (composition.kind === 'press' && composition.joined)) return 2;
  if (composition.kind === 'assembly')
    return composition.parts.find((part) => part.cavityId === cavityId)?.perPiece ?? 1;
  return 1;
}
