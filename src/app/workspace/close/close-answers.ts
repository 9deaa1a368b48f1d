import { closedPart } from '../../../core/plan/closed-part';
import { inWholeMinutes, type CapAnswers } from '../../../core/chill/chill-answers';
import type { PlanDraft } from '../../../core/plan/plan-types';
import { closesFilled, isLid } from '../../../core/record/closing';
import { answerRow, type AnswerRow } from '../../ui/answers';

/**
 * What closing a piece comes to, as the Close station tells it; nothing where nothing closes it.
 * @param capped how a cap sets, once that is worked out
 */
export function closeAnswers(plan: PlanDraft, capped?: CapAnswers): readonly AnswerRow[] {
  const { close, closure, casting, parts, piece } = plan;
  if (!close) return [];
  const { plate, mass, cap, stay, levelling, hands } = close;
  const under = closesFilled(closure) ? closedPart(casting, parts).fill.headspace : undefined;
  return [
    ...(plate
      ? [
          ...answerRow('Rim lost on the plate', plate.lost, { strong: true }),
          ...answerRow('Chocolate left on it', plate.lostMass),
          ...answerRow('Taken up as glue', plate.glue),
          ...answerRow('A rim is flat after', Number.isFinite(plate.flat.value) ? plate.flat : undefined),
          ...answerRow('One warming serves', plate.perWarming, { strong: true, after: 'pieces' }),
          ...answerRow('Warmings in the job', plate.warmings),
          ...answerRow('Plates, one a colour', plate.plates),
        ]
      : answerRow('Chocolate for a piece', mass, { strong: true })),
    ...(cap ? answerRow('Cap, thick', cap.thickness, { strong: true }) : []),
    ...answerRow('Stays below the rim', cap && cap.below.value > 0 ? cap.below : undefined),
    ...(capped
      ? [
          // It may be long set when it comes into the cold.
          ...(capped.chosen.touch.value > 0 ? answerRow('Cap touch-set', inWholeMinutes(capped.chosen.touch)) : []),
          {
            name: 'To unmold',
            figures: [
              { answer: capped.stay, strong: true },
              ...(capped.stay.low === undefined ? [] : [{ answer: capped.stay, rangeOnly: true }]),
            ],
          },
          ...answerRow('Latest sensible', capped.chosen.latest),
        ]
      : []),
    ...(cap ? [] : answerRow(isLid(closure) ? 'Headspace under it' : 'Headspace', under)),
    ...answerRow('Joint set after', stay && Number.isFinite(stay.value) ? stay : undefined, { strong: true }),
    ...answerRow('To level its rims', levelling),
    ...answerRow('Hands-on, a piece', hands),
    ...answerRow('A piece weighs', piece.mass, { strong: true }),
  ];
}
