import { CHOCOLATE_MATTER, type ChocolateKind } from '../matter/chocolate';
import { FILLING_MATTER } from '../matter/filling';
import { WORKING_RULES } from '../matter/working-rules';
import { answer, term, type Answer } from '../quantity/answer';
import type { Filling } from '../record/filling';

/**
 * How warm a filling may be when it goes into a shell, °C: so warm that the shell, which is thin and soon as warm as what lies in it, does not
 * begin to soften, less the likely error of a kitchen temperature.
 * @returns undefined for what is not cooked or melted
 */
export function warmestC({ kind }: Pick<Filling, 'kind'>, shell: ChocolateKind): number | undefined {
  return FILLING_MATTER[kind].warm ? CHOCOLATE_MATTER[shell].softensFromC - WORKING_RULES.kitchenSpreadK : undefined;
}

/** The same for the first of all that goes into a shell that has been cooked or melted; undefined where nothing has. */
export function warmestOf(fillings: readonly Filling[], shell: ChocolateKind): Answer | undefined {
  const warm = fillings.find(({ kind }) => FILLING_MATTER[kind].warm);
  const c = warm && warmestC(warm, shell);
  return c === undefined
    ? undefined
    : answer(c, 'temperature', 'fill.warmest', [
        term('filling', warm?.name ?? ''),
        term('chocolateKind', shell),
        term('softensFrom', CHOCOLATE_MATTER[shell].softensFromC, 'temperature'),
      ]);
}
