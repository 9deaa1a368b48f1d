import { closedPart } from '../../../core/plan/draft';
import type { PlanDraft } from '../../../core/plan/plan-types';
import { closesFilled, isLid } from '../../../core/record/closing';
import { answerRow, type AnswerRow } from '../../ui/answers';

/** What closing a piece comes to, as the Close station tells it; nothing where nothing closes it. */
export function closeAnswers(plan: PlanDraft): readonly AnswerRow[] {
  const { close, closure, casting, parts, piece } = plan;
  if (!close) return [];
  const { plate, mass, spare, hands } = close;
  const under = closesFilled(closure) ? closedPart(casting, parts).fill.headspace : undefined;
  return [
    ...(plate
      ? [
          ...answerRow('Rim lost on the plate', plate.lost, { strong: true }),
          ...answerRow('Chocolate left on it', plate.lostMass),
          ...answerRow('One warming serves', plate.perWarming, { strong: true, after: 'pieces' }),
          ...answerRow('Warmings in the job', plate.warmings),
          ...answerRow('Plates, one a colour', plate.plates),
        ]
      : answerRow('Chocolate for a piece', mass, { strong: true })),
    ...answerRow(isLid(closure) ? 'Headspace under it' : 'Headspace', under),
    ...answerRow('Between filling and cap', spare && spare.value >= 0 ? spare : undefined),
    ...answerRow('Hands-on, a piece', hands),
    ...answerRow('A piece weighs', piece.mass, { strong: true }),
  ];
}
