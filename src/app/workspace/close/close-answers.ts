import { inWholeMinutes, type CapAnswers } from '../../../core/chill/chill-answers';
import type { PieceClosing, PlanDraft } from '../../../core/plan/plan-types';
import { closesFilled, isLid } from '../../../core/record/closing';
import { answerRow, type AnswerRow } from '../../ui/answers';

/** What closing one body of a piece comes to; named where a piece has several. */
export interface ClosingGroup {
  readonly name: string;
  readonly rows: readonly AnswerRow[];
}

/**
 * What closing a piece comes to, as the Close station tells it: a group for every body that is closed by itself; none where nothing is.
 * @param capped how the cap of a part sets, once that is worked out
 */
export function closeAnswers(
  plan: PlanDraft,
  capped: (partId: string) => CapAnswers | undefined,
): readonly ClosingGroup[] {
  const { closings, parts, piece } = plan;
  const several = closings.length > 1;
  return closings.map((one, i) => {
    const name = parts.find(({ part }) => part.id === one.partId)?.part.name ?? '';
    return {
      name: several ? `${name}${one.count > 1 ? `, ${one.count} of them` : ''}` : '',
      rows: [
        ...bodyRows(plan, one, several || one.count > 1 ? 'each' : 'a piece', capped(one.partId)),
        ...(i === closings.length - 1 ? answerRow('A piece weighs', piece.mass, { strong: true }) : []),
      ],
    };
  });
}

function bodyRows(
  { closure, parts }: PlanDraft,
  { partId, close }: PieceClosing,
  of: string,
  capped: CapAnswers | undefined,
): readonly AnswerRow[] {
  const { plate, mass, cap, stay, levelling, hands } = close;
  const under = closesFilled(closure) ? parts.find(({ part }) => part.id === partId)?.fill.headspace : undefined;
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
      : answerRow(`Chocolate for ${of}`, mass, { strong: true })),
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
    ...answerRow(`Hands-on, ${of}`, hands),
  ];
}
