import type { FurtherTask } from '../batch/timeline';
import type { Cavity } from '../cavity/cavity';
import { prepStation, type PrepAnswer } from '../prep/prep';
import type { Part, Prep } from '../record/casting';
import type { Mold } from '../record/mold';
import { prepRow } from '../record/prep';
import { chocolateOf, meltOf, type Sources } from '../record/references';
import { placeOf, restsOf } from '../record/sets';
import { placeKitchen } from '../shell/place-air';
import { isUnseeded } from './temper';

/** What is painted, sprayed and dusted into a part's empty mold, in the order in which it is done. */
export function paintedIn(casting: Sources, part: Part, cavity: Cavity, mold: Mold): PrepAnswer[] {
  return part.prep.map((step, i) =>
    prepStation({
      step,
      wallM2: cavity.wallAreaM2,
      floorShare: cavity.floorShare,
      material: mold.material,
      moldWallM: mold.wallM,
      kitchen: placeKitchen(casting.kitchen),
      melt: 'meltId' in step ? meltMatter(casting, step.meltId) : undefined,
      followed: part.prep.slice(i + 1).some((later) => restsAsWell(step, later)),
    }),
  );
}

/** Whether a later step has to rest after it is done, as this one would: both do so together. */
function restsAsWell(step: Prep, later: Prep): boolean {
  return prepRow(later.kind).restS[0] >= prepRow(step.kind).restS[0];
}

function meltMatter(casting: Sources, meltId: string) {
  const melt = meltOf(casting, meltId);
  const { kind, fatShare } = chocolateOf(casting, melt);
  return { kind, fatShare, unseeded: isUnseeded(casting, meltId), workingC: melt.workingC };
}

/**
 * The same as tasks before the first coat: hands-on for each cavity, then how long it waits, 0 where it does not.
 * @param steps those of the casting itself; one that is not among the answers takes no time
 */
export function paintingTasks(steps: readonly Prep[], preps: readonly PrepAnswer[]): FurtherTask[] {
  return steps.flatMap((own, i): FurtherTask[] => {
    const done = preps.find(({ step }) => step.id === own.id);
    const step = done?.step ?? own;
    const waits = [...restsOf(step), { place: placeOf(step), seconds: done?.stay.value ?? 0 }];
    return [
      {
        kind: 'prep',
        handsOn: true,
        seconds: done?.hands.value ?? 0,
        step: i,
        ...('meltId' in step ? { meltIds: [step.meltId] } : {}),
      },
      ...waits.map(({ place, seconds }): FurtherTask => ({
        kind: 'chill',
        handsOn: false,
        seconds: done ? seconds : 0,
        place,
        step: i,
      })),
    ];
  });
}

/** What is used up of a colour or a dust for so many parts, kg; what comes out of a melt is weighed with it. */
export interface PaintNeed {
  readonly name: string;
  readonly kg: number;
}

/** Colours and dusts of a part for so many of it. */
export function paintNeeds(preps: readonly PrepAnswer[], parts: number): PaintNeed[] {
  return preps.flatMap(({ step, takes }) => ('meltId' in step ? [] : [{ name: step.name, kg: takes.value * parts }]));
}
