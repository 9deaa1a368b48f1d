import type { PartDraft } from '../../../core/plan/plan-types';
import { answerRow, type AnswerRow } from '../../ui/answers';
import { coatNameIn } from '../../wording/coats';

/** Less than a kitchen scale tells is not worth a line. */
const LEAST_FEET_KG = 0.0001;

/** What a part's coats come to, as the Coat station tells it. */
export function coatAnswers(plan: PartDraft): readonly AnswerRow[] {
  return [
    ...aimed(plan),
    ...(plan.coat.body ? filled(plan) : laid(plan)),
    ...answerRow('Breaks when unmolded', plan.coat.breakChance, { strong: true }),
  ];
}

/** What a wanted thickness asks for. */
function aimed({ coat, part }: PartDraft): AnswerRow[] {
  if (!coat.coatsNeeded) return [];
  const { dwell, drain } = coat.coats[0];
  // Only where it asks for another time to stand than was chosen.
  const other = dwell && Math.abs(dwell.value - part.coats[0].dwellSeconds) > 0.5 ? dwell : undefined;
  return [
    ...answerRow('Coats that do it', coat.coatsNeeded, { strong: true }),
    ...answerRow('Let it stand for', other, { strong: true }),
    ...answerRow('Tip out for', drain, { strong: true }),
  ];
}

function filled({ coat, coatsMade }: PartDraft): AnswerRow[] {
  const layers = coat.coats.length > 1 ? coat.coats : [];
  return [
    ...answerRow('Deep in the middle', coat.total.base, { strong: true }),
    ...layers.map(({ thickness, mass }, i) => ({
      name: coatNameIn(coatsMade, i),
      figures: [{ answer: thickness.base }, { answer: mass }],
    })),
    ...answerRow('Chocolate in a part', coat.mass, { strong: true }),
    ...answerRow('Thickness it needs', coat.neededRim),
  ];
}

function laid({ coat, coatsMade }: PartDraft): AnswerRow[] {
  const { rest, feet, hold } = coat.coats[0];
  return [
    ...answerRow('Rim in all', coat.total.rim, { strong: true }),
    ...answerRow('likely', coat.total.rim, { rangeOnly: true }),
    ...coat.coats.flatMap(({ thickness: { rim, wall, base }, mass, spooned }, i) => [
      {
        name: coatNameIn(coatsMade, i),
        figures: [{ answer: mass }, { answer: spooned, inSpoons: true }],
      },
      {
        name: `${coatNameIn(coatsMade, i)} adds`,
        under: true,
        figures: [
          { label: 'rim', answer: rim },
          { label: 'wall', answer: wall },
          { label: 'base', answer: base },
        ],
      },
    ]),
    ...answerRow('Runs on for', rest),
    ...answerRow('Drips off', feet && feet.value > LEAST_FEET_KG ? feet : undefined),
    ...answerRow('An upright wall holds', hold),
    ...answerRow('Rim it needs', coat.neededRim),
  ];
}
