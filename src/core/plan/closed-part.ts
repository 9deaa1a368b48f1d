import type { Casting, Part } from '../record/casting';
import { hasRim } from '../record/choices';
import { closesFilled, isCap, joinsRims } from '../record/closing';

/** A part whose rim or mouth a closing works on, and how often in a piece. */
export interface ClosedIn {
  readonly partId: string;
  readonly count: number;
}

/**
 * What a closing closes in a piece, each by itself: rims in pairs, of one part or of two that are there once each; a cap every part that is
 * filled; a lid the first that is. Never empty: where nothing fits, it is the first part.
 */
export function closedIn({ closure, fill, parts }: Pick<Casting, 'closure' | 'fill' | 'parts'>): readonly ClosedIn[] {
  const filled = parts.filter(({ id }) => fill.some(({ partId }) => partId === id));
  const found = isCap(closure)
    ? filled.map(({ id, perPiece }) => ({ partId: id, count: perPiece }))
    : closure !== null && joinsRims(closure.kind)
      ? pairsOf(parts)
      : filled.slice(0, closesFilled(closure) ? 1 : 0).map(({ id }) => ({ partId: id, count: 1 }));
  return found.length > 0 ? found : [{ partId: parts[0].id, count: 1 }];
}

function pairsOf(parts: readonly Part[]): ClosedIn[] {
  const single = singlesInPairs(parts);
  return parts.filter(hasRim).flatMap((part) => {
    // The second of a pair of single ones is closed with the first.
    const count = Math.floor(part.perPiece / 2) + (single.indexOf(part) % 2 === 0 ? 1 : 0);
    return count > 0 ? [{ partId: part.id, count }] : [];
  });
}

/** Parts of which one is left when their own are paired, two by two; one without another is not among them. */
function singlesInPairs(parts: readonly Part[]): readonly Part[] {
  const single = parts.filter((part) => hasRim(part) && part.perPiece % 2 === 1);
  return single.slice(0, single.length - (single.length % 2));
}

/** The part that a closing closes, or the first of several. */
export function closedPart<T extends { readonly part: Part }>(casting: Casting, parts: readonly T[]): T {
  const id = closedPartId(casting);
  return parts.find(({ part }) => part.id === id) ?? parts[0];
}

/** The same by its id. */
export function closedPartId(casting: Pick<Casting, 'closure' | 'fill' | 'parts'>): string {
  return closedIn(casting)[0].partId;
}

/** How many of a part stand in the bodies that are closed in a piece: of each pair both. */
export function joinedPerPiece(casting: Pick<Casting, 'closure' | 'fill' | 'parts'>): (partId: string) => number {
  const { closure, parts } = casting;
  if (closure === null) return () => 0;
  if (!joinsRims(closure.kind)) {
    const closed = closedIn(casting);
    return (id) => closed.find(({ partId }) => partId === id)?.count ?? 0;
  }
  const single = singlesInPairs(parts);
  return (id) => {
    const part = parts.find((one) => one.id === id && hasRim(one));
    return part ? 2 * Math.floor(part.perPiece / 2) + (single.includes(part) ? 1 : 0) : 0;
  };
}
