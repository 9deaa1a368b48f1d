import type { WaterProblem } from '../../core/mold/water-method';

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
