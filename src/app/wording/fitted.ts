import type { BatchResult } from '../../core/batch/batch';
import type { NotFitted } from '../../core/occasion/fitted-job';
import type { UnitSystem } from '../../core/quantity/units';
import { text } from './format';

/** Why rounds are not fitted into each other's waits. What never ends is said where it is chosen. */
export const NOT_FITTED: Readonly<Record<NotFitted, string>> = {
  endless: '',
  tooMany:
    'These are more rounds than anybody keeps a list of, so they are not fitted into each other’s waits. More molds at hand make fewer of them.',
  notFound:
    'No order was found that fits the rounds into each other’s waits: make them one after the other, as the ribbon has it.',
};

/** Less than this is not worth another order, s. */
const WORTH_S = 60;

/**
 * What it saves to fit the rounds into each other's waits, how sure that is the least, and what another mold would do.
 * @param withMoreS what it takes with one more of each mold, s
 */
export function fittedText(
  { total, inTurnS, leastS = 0 }: Pick<BatchResult, 'total' | 'inTurnS' | 'leastS'>,
  withMoreS: number | undefined,
  system: UnitSystem,
): string {
  const time = (seconds: number): string => text(seconds, 'duration', system);
  const endS = total.value;
  const saves =
    inTurnS - endS >= WORTH_S
      ? `Instead of ${time(inTurnS)} one after the other, by one pair of hands: what is cast is filled, closed and finished while the next sets.`
      : endS - inTurnS >= WORTH_S
        ? `${time(endS - inTurnS)} more than the rounds by themselves: what does not last so long is melted anew.`
        : 'There is nothing to do in its waits: it takes as long as one after the other.';
  const sure =
    leastS >= endS - WORTH_S ? 'They cannot be fitted closer.' : `They cannot be fitted closer than ${time(leastS)}.`;
  const more = withMoreS !== undefined && withMoreS < endS ? ` With one more of each mold: ${time(withMoreS)}.` : '';
  return `${saves} ${sure}${more}`;
}
