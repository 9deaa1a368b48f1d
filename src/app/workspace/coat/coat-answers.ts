import { madeAlike } from '../../../core/edit/methods';
import type { CoatAnswer } from '../../../core/coat/coat-answers';
import type { PartDraft } from '../../../core/plan/plan-types';
import { answer, type Answer } from '../../../core/quantity/answer';
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

/** The thinnest line of a vessel that lies on its side, of the coat that came out least even. */
function thinnestLine({ coats }: PartDraft['coat']): Answer | undefined {
  const share = ({ thinnestAround, thickness: { wall } }: CoatAnswer): number =>
    (thinnestAround?.value ?? Infinity) / wall.value;
  return [...coats].sort((a, b) => share(a) - share(b))[0].thinnestAround;
}

/** What is stirred into all coats of a part; one answer where there is one. */
function mixedIn({ coats }: PartDraft['coat']): Answer | undefined {
  const mixed = coats.flatMap((coat) => coat.mixed ?? []);
  if (mixed.length < 2) return mixed[0];
  const kg = mixed.reduce((sum, { value }) => sum + value, 0);
  return { ...answer(kg, 'mass', 'coat.mixed', []), parts: mixed };
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
    ...answerRow('In narrow places', coat.narrow),
    ...answerRow('Stirred into it', mixedIn(coat)),
    ...answerRow('Squeezed out, back to the pot', coat.coats.at(-1)?.feet),
    ...answerRow('Thickness it needs', coat.neededRim),
  ];
}

function laid({ coat, coatsMade }: PartDraft): AnswerRow[] {
  // Of coats that differ, the one that runs longest and the one that drips most.
  const alike = madeAlike(coatsMade);
  const most = (of: 'rest' | 'feet'): number =>
    alike
      ? 0
      : coat.coats.reduce((at, one, i) => ((one[of]?.value ?? 0) > (coat.coats[at][of]?.value ?? 0) ? i : at), 0);
  const [running, dripping] = [most('rest'), most('feet')];
  const { feet } = coat.coats[dripping];
  const named = (index: number, what: string): string =>
    alike ? what : `${coatNameIn(coatsMade, index)} ${what.toLowerCase()}`;
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
    ...answerRow(named(running, 'Runs on for'), coat.coats[running].rest),
    ...answerRow(named(dripping, 'Drips off'), feet && feet.value > LEAST_FEET_KG ? feet : undefined),
    ...answerRow('Thinnest along its side', thinnestLine(coat)),
    ...answerRow('An upright wall holds', coat.coats[running].hold),
    ...answerRow('Rim it needs', coat.neededRim),
    ...answerRow('In narrow places, solid', coat.narrow),
    ...answerRow('Over its inner edges', coat.overEdges),
    ...answerRow('Stirred into a part', mixedIn(coat)),
  ];
}
