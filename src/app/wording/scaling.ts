import type { KindChange } from '../../core/plan/scale';
import type { UnitSystem } from '../../core/quantity/units';
import { chocolateOf, meltOf } from '../../core/record/references';
import { text } from './format';
import { noteWording } from './problems';
import type { CastingPlan } from '../../core/plan/plan-types';

/** What a scaled casting comes to, and then what changes in kind, a sentence each. */
export function scaledTexts(
  before: CastingPlan,
  after: CastingPlan,
  changes: readonly KindChange[],
  system: UnitSystem,
): string[] {
  const melted = ({ batch }: CastingPlan): string =>
    text(
      batch.melts.reduce((sum, melt) => sum + melt.melted.value, 0),
      'mass',
      system,
    );
  const parts = ({ batch }: CastingPlan): number => batch.byPart.reduce((sum, one) => sum + one.parts.value, 0);
  const time = ({ batch }: CastingPlan): string => text(batch.total.value, 'duration', system);
  return [
    `${parts(after)} parts to cast instead of ${parts(before)}, ${melted(after)} to melt instead of ${melted(before)}, ${time(after)} instead of ${time(before)}.`,
    ...changes.map((change) => kindText(change, after, system)),
  ];
}

function kindText(change: KindChange, { casting }: CastingPlan, system: UnitSystem): string {
  switch (change.key) {
    case 'moreBowlfuls':
      return `${chocolateOf(casting, meltOf(casting, change.name)).name} goes into ${change.to} bowlfuls instead of ${change.from}: melt the next while the molds chill.`;
    case 'melts':
      return change.to > change.from
        ? `${change.to} melts instead of ${change.from}: a bowl and a bag for each, light before dark.`
        : `${change.to === 1 ? 'One melt' : `${change.to} melts`} instead of ${change.from}.`;
    case 'rounds':
      return `${change.to} ${change.to === 1 ? 'round' : 'rounds'} instead of ${change.from}${change.moldsForAsMany === undefined ? '.' : `; ${change.moldsForAsMany} molds would keep it at ${change.from}.`}`;
    case 'anotherEvening':
      return `At ${text(change.toSeconds, 'duration', system)} it is more than one evening’s work: cast the shells the day before.`;
    case 'oneEvening':
      return 'It then fits into one evening.';
    case 'tempering':
      return change.needed ? 'It then has to be tempered.' : 'It then needs no tempering.';
    case 'problem':
      return noteWording(change.problem, system).head;
  }
}
