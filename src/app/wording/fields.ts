import type { AmountProblem } from '../../core/quantity/parse-amount';
import type { Limit } from '../../core/record/limits';
import type { UnitSystem } from '../../core/quantity/units';
import { editableText } from '../../core/quantity/display-unit';

/** Why an amount that was understood is not taken. */
export interface FieldProblem {
  readonly ok: false;
  readonly problem: 'outOfRange' | 'notWhole' | 'refused';
  readonly detail?: string;
  readonly readings?: undefined;
}

/** What a field says of an amount it cannot take: what is wrong and what to type. */
export function amountProblemText(
  problem: AmountProblem | Pick<FieldProblem, 'problem' | 'detail'>,
  limits: readonly Limit[],
  system: UnitSystem,
): string {
  const range = `Type ${limits.map((limit) => rangeOf(limit, system)).join(', or ')}.`;
  switch (problem.problem) {
    case 'empty':
      return `Empty: the last amount stays. ${range}`;
    case 'notANumber':
      return `No amount in that. ${range}`;
    case 'tooLong':
      return `Too long for an amount. ${range}`;
    case 'zeroDivision':
      return `A fraction cannot be over 0. ${range}`;
    case 'ambiguousComma':
      return 'A comma or point before three digits reads two ways. Which one?';
    case 'unknownUnit':
      return `“${problem.detail}” is not a unit known here. ${range}`;
    case 'wrongKind':
      return `${problem.detail} does not fit here. ${range}`;
    case 'notWhole':
      return `Whole numbers only. ${range}`;
    case 'refused':
      return problem.detail ?? '';
    case 'outOfRange':
      return `Out of range. ${range}`;
  }
}

function rangeOf(limit: Limit, system: UnitSystem): string {
  const end = (si: number): string => editableText(si, limit.dimension, system);
  const [low, high] = [end(limit.low), end(limit.high)];
  const unit = low.split(' ')[1];
  return unit && high.endsWith(unit) ? `${low.split(' ')[0]} to ${high}` : `${low} to ${high}`;
}
