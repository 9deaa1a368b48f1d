import type { DripProblem, DripResult } from '../../core/melt/drip-test';
import type { WaterProblem } from '../../core/mold/water-method';
import type { DripReading } from '../../core/record/chocolate';
import { text } from './format';

/** What is wrong with a weighing, and what to do. */
export function waterProblemText(problem: WaterProblem): string {
  switch (problem.key) {
    case 'noReading':
      return 'No reading yet.';
    case 'wrongWayRound':
      return 'Full weighs no more than empty: the two are the wrong way round, or the scale was set to zero in between. Left out of the average.';
    case 'wet':
      return 'The empty mold weighs more than it did dry: it or the scale is wet. Dry both, and weigh again.';
    case 'tooLittle':
      return 'So little water is hard for this scale to tell. Fill several cavities at once.';
    case 'disagree':
      return `The readings are ${Math.round(problem.share * 100)} % apart. Weigh once more: fill level to the rim, without a dome of water.`;
  }
}

/** Why a card's weights cannot be, and what to do. */
export function dripProblemText({ problem }: DripProblem): string {
  return problem === 'gains'
    ? 'A card cannot hold more later than before: weigh it without the drops that fell, and with the same card.'
    : 'The second weighing has to come after the first.';
}

/** What makes the class of a drip test doubtful; nothing where nothing does. */
export function dripDoubtText({ beyond, disagree }: DripResult): string {
  if (beyond === 'thicker') return 'It hangs on thicker than any class: is it warm enough, and dry?';
  if (beyond === 'thinner') return 'It runs thinner than any class: did drops fall while it was weighed?';
  return disagree ? 'The two weighings tell different classes. Weigh once more.' : '';
}

/** How long the card hangs before each weighing; nothing for a second one that is not done. */
export function dripWaits({ first, second }: DripReading): { readonly first: string; readonly second: string } {
  const wait = (seconds: number | undefined): string =>
    seconds === undefined ? '' : text(seconds, 'duration', 'metric');
  return { first: wait(first.seconds), second: wait(second?.seconds) };
}
