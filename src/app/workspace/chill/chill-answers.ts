import type { ChillCoatAnswer } from '../../../core/chill/chill-answers';
import type { CastingPlan } from '../../../core/plan/plan-types';
import { answerRow, type AnswerRow } from '../../ui/answers';
import { coatNameIn } from '../../wording/coats';

/** What a stay goes on to; the next coat is called by its name. */
const NEXT: Readonly<Record<ChillCoatAnswer['until'], string | undefined>> = {
  touch: undefined,
  holds: 'Holds for filling',
  unmold: 'To unmold',
};

/** How long a part's coats set and what that comes to, as the Chill station tells it. */
export function chillAnswers(plan: CastingPlan): readonly AnswerRow[] {
  const { chill, coatsMade } = plan;
  const { coats, dewPoint, surface, sweats, cover, coverWhenCold } = chill;
  const last = coats[coats.length - 1];
  return [
    ...coats.map(({ until, stay, overruled, longestFor }, i) => ({
      name: NEXT[until] ?? `To ${coatNameIn(coatsMade, i + 1).toLowerCase()}`,
      figures: [{ answer: stay, strong: true }, ...(stay.low === undefined ? [] : [{ answer: stay, rangeOnly: true }])],
      ...(stay.value === 0 && !overruled ? { after: 'once it has rested' } : {}),
      ...(longestFor ? { after: `for ${longestFor}` } : {}),
    })),
    ...answerRow('Keep level for', levelFor(plan)),
    ...answerRow('Latest sensible', last.until === 'unmold' ? last.chosen.latest : undefined),
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
