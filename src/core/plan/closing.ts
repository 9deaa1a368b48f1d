import type { Casting, Closure, Part } from '../record/casting';
import { hasRim, type ClosureKind } from '../record/choices';
import { USUAL_PLATE_C } from './remedy';

/**
 * A way of closing as it is usually begun: 4 s on a plate, a line of 3 mm, a cap of 2 mm that sets 5 min in the fridge.
 * Common practice, no source. With the melt that closed before, else that of the first part.
 */
export function usualClosing(casting: Casting, kind: ClosureKind): Closure {
  const meltId = casting.closure?.meltId ?? casting.parts[0].coats[0].shares[0].meltId;
  switch (kind) {
    case 'warmPlate':
      return { kind, meltId, plateC: USUAL_PLATE_C, seconds: 4, sets: [] };
    case 'pipedSeam':
      return { kind, meltId, lineM: 0.003, sets: [] };
    case 'cap':
      return { kind, meltId, thicknessM: 0.002, sets: [{ place: 'fridge', seconds: 300 }] };
    case 'lid':
      return { kind, meltId, lineM: 0.003, partId: casting.parts[casting.parts.length - 1].id, sets: [] };
    case 'plug':
      return { kind, meltId, holeM: 0.012, thicknessM: 0.002, sets: [] };
  }
}

/** What a plate or a seam joins in a piece: two halves, or a shell and the base it stands on; undefined where there is nothing to join. */
export function joinsOf(parts: readonly Part[]): 'halves' | 'base' | undefined {
  const rims = parts.filter(hasRim).reduce((sum, { perPiece }) => sum + perPiece, 0);
  if (rims > 1) return 'halves';
  return rims === 1 && parts.some(({ role }) => role === 'base') ? 'base' : undefined;
}
