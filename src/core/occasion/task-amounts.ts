import { workOrder } from '../plan/batch-input';
import { isCapped } from '../plan/capping';
import { pouredKg } from '../plan/pouring';
import { filledPerPiece } from '../plan/piece';
import type { CastingPlan, PartPlan } from '../plan/plan-types';
import { castsOf, type Cast } from '../plan/sorts';
import { tippedOut } from '../record/method';
import type { Task } from './work';

/** What a task takes: so many times so much, kg. */
export interface TaskAmount {
  readonly count: number;
  readonly eachKg: number;
  /** Of which filling; undefined for chocolate. */
  readonly fillingId?: string;
  /** So much is poured in, kg, and is tipped out again but for what each takes. */
  readonly pouredKg?: number;
  /** Of each of which sorts, where a casting has variants. */
  readonly names?: Cast['names'];
}

/** What a casting's task takes; nothing for what takes nothing, or where what is done at once is not all made alike and is no coat. */
export function amountsOf(plan: CastingPlan, task: Task): readonly TaskAmount[] {
  if (task.kind === 'make') {
    const made = plan.fillings.find(({ fillingId }) => fillingId === task.fillingId);
    return made ? [{ count: 1, eachKg: made.mass.value, fillingId: made.fillingId }] : [];
  }
  const { count } = task;
  const part = task.part === undefined ? undefined : workOrder(plan.parts)[task.part];
  if (plan.variants.length > 0) return part && task.kind === 'coat' ? variedCoat(plan, part, task.coat ?? 0) : [];
  if (count === undefined) return [];
  switch (task.kind) {
    case 'coat':
      return part && task.coat !== undefined ? coatAmounts(part, task.coat, count) : [];
    case 'prep':
      return part && task.step !== undefined ? chocolate(count, part.preps[task.step].takes.value) : [];
    case 'fill':
      return part
        ? fillAmounts(part, count)
        : plan.parts.flatMap((one) =>
            isCapped(plan, one.part.id) ? [] : fillAmounts(one, count * filledPerPiece(one)),
          );
    case 'close':
      return closeAmounts(plan, part, count);
    default:
      return [];
  }
}

function coatAmounts(made: PartPlan, i: number, count: number): readonly TaskAmount[] {
  const poured = tippedOut(made.coatsMade[i].method) ? { pouredKg: pouredKg(made, i) } : {};
  return chocolate(count, made.coat.coats[i].mass.value).map((amount) => ({ ...amount, ...poured }));
}

/** Which of them are in which round is not known: what stays in each of a sort. */
function variedCoat(plan: CastingPlan, { part }: PartPlan, i: number): readonly TaskAmount[] {
  return castsOf(plan, part.id, plan.casting.pieces).flatMap(({ made, names }) =>
    i < made.coatsMade.length ? coatAmounts(made, i, 1).map((amount) => ({ ...amount, names })) : [],
  );
}

const chocolate = (count: number, eachKg: number): readonly TaskAmount[] => (eachKg > 0 ? [{ count, eachKg }] : []);

function fillAmounts({ fill }: PartPlan, count: number): readonly TaskAmount[] {
  return fill.layers.flatMap(({ choice, mass }) =>
    count > 0 && mass.value > 0 ? [{ count, eachKg: mass.value, fillingId: choice.filling.id }] : [],
  );
}

/** A cap is of each part, a seam or a plate of each piece. */
function closeAmounts({ closings }: CastingPlan, part: PartPlan | undefined, count: number): readonly TaskAmount[] {
  const own = part ? closings.filter(({ partId }) => partId === part.part.id) : closings;
  const eachKg = own.reduce((sum, closing) => sum + (part ? 1 : closing.count) * closing.close.mass.value, 0);
  return chocolate(count, eachKg);
}
