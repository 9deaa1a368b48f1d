import { depthCurve } from '../cavity/depth-curve';
import { amountForLevel } from '../fill/fill';
import { closedPartId } from '../plan/closed-part';
import type { PlanDraft } from '../plan/plan-types';
import { wantsRest } from '../plan/temper';
import type { Casting } from '../record/casting';
import {
  CLOSING_ROWS,
  closingChoices,
  closingNumbers,
  isCap,
  type ClosingRow,
  type Closure,
  type ClosureKind,
} from '../record/closing';
import { LIMITS, within } from '../record/limits';
import { partOf } from '../record/references';
import { RESTS_S } from '../record/sets';
import { restFirst } from './sets';

/**
 * A way of closing as it is usually begun, by its row; with the melt that closed before, else that of the first part, and the last part as
 * lid. A tempered cap in a rigid mold rests in the room first.
 */
export function usualClosing(casting: Casting, kind: ClosureKind): Closure {
  const row: ClosingRow = CLOSING_ROWS[kind];
  const closure = {
    kind,
    meltId: casting.closure?.meltId ?? casting.parts[0].coats[0].shares[0].meltId,
    sets: row.sets.map((set) => ({ ...set })),
    ...Object.fromEntries(closingNumbers(kind).map(([key, { usual }]) => [key, usual])),
    ...Object.fromEntries(closingChoices(kind).map(([key, [usual]]) => [key, usual])),
    ...(row.needs === 'lid' ? { partId: casting.parts[casting.parts.length - 1].id } : {}),
  } as Closure;
  const part = partOf(casting, closedPartId({ ...casting, closure }));
  if (isCap(closure) && wantsRest(casting, part, closure.meltId)) restFirst(closure, RESTS_S);
  return closure;
}

/**
 * Makes a cap so thick, as far as there is room: by its dose, or by filling lower or higher under one that is flush.
 * @param plan seen from the part that is capped
 */
export function capThick(casting: Casting, { fill }: PlanDraft, thicknessM: number): void {
  const { closure } = casting;
  if (!isCap(closure)) return;
  const curve = depthCurve(fill.inside);
  if (closure.kind === 'dosedCap') {
    const filledToM = curve.depthM - fill.headspace.value;
    const m3 = curve.volumeAt(filledToM + thicknessM) - curve.volumeAt(filledToM);
    closure.doseM3 = within(LIMITS.doseM3, m3, DOSE_STEP_M3);
    return;
  }
  const top = fill.layers.length - 1;
  const layer = top < 0 ? undefined : casting.fill.find(({ id }) => id === fill.layers[top].choice.id);
  if (layer) layer.amount = amountForLevel(fill, top, curve.depthM - thicknessM);
}

/** A dose that is dragged moves in steps of this, m³. */
const DOSE_STEP_M3 = 1e-8;
