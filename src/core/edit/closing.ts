import type { Casting } from '../record/casting';
import { CLOSING_ROWS, closingNumbers, type ClosingRow, type Closure, type ClosureKind } from '../record/closing';

/** A way of closing as it is usually begun, by its row; with the melt that closed before, else that of the first part, and the last part as lid. */
export function usualClosing(casting: Casting, kind: ClosureKind): Closure {
  const row: ClosingRow = CLOSING_ROWS[kind];
  return {
    kind,
    meltId: casting.closure?.meltId ?? casting.parts[0].coats[0].shares[0].meltId,
    sets: row.sets.map((set) => ({ ...set })),
    ...Object.fromEntries(closingNumbers(kind).map(([key, { usual }]) => [key, usual])),
    ...(row.needs === 'lid' ? { partId: casting.parts[casting.parts.length - 1].id } : {}),
  } as Closure;
}
