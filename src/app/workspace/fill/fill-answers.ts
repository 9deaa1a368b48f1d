import type { PlanDraft } from '../../../core/plan/plan-types';
import { answerRow, type AnswerRow } from '../../ui/answers';

/** What a part's fill comes to, as the Fill station tells it. */
export function fillAnswers({ fill, piece, warmest }: PlanDraft): readonly AnswerRow[] {
  return [
    ...answerRow('Room inside', fill.capacity),
    ...answerRow('Room for a heap on it', fill.heapRoom),
    ...answerRow('Left to the rim', fill.headspace),
    ...answerRow('Filling in a piece', piece.fillMass),
    ...answerRow('A piece weighs', piece.mass, { strong: true }),
    ...answerRow('Goes in no warmer than', warmest, { strong: true }),
    { name: fill.closes ? 'It closes flat' : 'It does not close', figures: [] },
  ];
}
