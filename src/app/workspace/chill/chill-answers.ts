import type { CastingPlan } from '../../../core/plan/plan-types';
import { answerRow, type AnswerRow } from '../../ui/answers';
import { coatNameIn } from '../../wording/coats';

/** How long a part's coats set and what that comes to, as the Chill station tells it. */
export function chillAnswers(plan: CastingPlan): readonly AnswerRow[] {
  const { chill, coatsMade } = plan;
  const { coats, dewPoint, surface, sweats, cover, coverWhenCold } = chill;
  return [
    ...coats.map(({ last, stay }, i) => ({
      name: last ? 'To unmold' : `To ${coatNameIn(coatsMade, i + 1).toLowerCase()}`,
      figures: [{ answer: stay, strong: true }, ...(stay.low === undefined ? [] : [{ answer: stay, rangeOnly: true }])],
    })),
    ...answerRow('Keep level for', levelFor(plan)),
    ...answerRow('Latest sensible', coats[coats.length - 1].chosen.latest),
    ...answerRow('Dew point', dewPoint),
    ...answerRow('Comes out at', surface),
    {
      name: sweats ? 'Sweats: keep covered' : 'Does not sweat',
      figures: sweats ? [{ answer: cover, strong: true }] : [],
    },
    ...answerRow('Covered, if left to cold', coverWhenCold.value > 0 ? coverWhenCold : undefined),
  ];
}

/** How long a mold that stands upright has to lie level: until a film runs no more, or a fill is set to the touch. */
function levelFor({ coatsMade, coat, chill }: CastingPlan) {
  if (coatsMade[0].wayUp !== 'upright') return undefined;
  return coat.body ? chill.coats[0].chosen.touch : coat.coats[0].rest;
}
