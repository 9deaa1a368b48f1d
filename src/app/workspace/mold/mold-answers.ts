import type { MoldResult } from '../../../core/mold/mold';
import { answerRow, type AnswerRow } from '../../ui/answers';

/** What a cavity comes to, as the Mold station tells it. */
export function moldAnswers(
  { volume, wallArea, depth, rimLength, solid, perRound }: MoldResult,
  former: boolean,
): readonly AnswerRow[] {
  return [
    ...answerRow('A cavity holds', volume, { strong: true }),
    ...answerRow('likely', volume.low === undefined ? undefined : volume, { rangeOnly: true }),
    ...answerRow('Its wall', wallArea),
    ...answerRow('Its depth', depth),
    ...answerRow('Its rim', rimLength),
    ...answerRow('Filled solid', former ? undefined : solid),
    ...answerRow('Parts in a round', perRound),
  ];
}
