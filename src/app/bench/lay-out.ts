import { draftPlan } from '../../core/plan/draft';
import { chillsOf } from '../../core/plan/makings';
import { finishPlan } from '../../core/plan/plan';
import { suppliesOf } from '../../core/plan/supplies';
import type { CastingPlan } from '../../core/plan/plan-types';
import { isMelted } from '../../core/occasion/bowls';
import type { OccasionPlan } from '../../core/occasion/occasion-plan';
import type { Casting } from '../../core/record/casting';
import type { UnitSystem } from '../../core/quantity/units';
import type { Option } from '../wording/option';
import { supplyName } from '../wording/supplies';

import { text } from '../wording/format';
import { toolsFor } from '../wording/tools';

/** What one casting wants laid out: its molds, dry, then tools in the order of their use, then what is used up in pieces. Some milliseconds. */
export function laidOut(casting: Casting, system: UnitSystem): readonly Option<string>[] {
  const draft = draftPlan(casting);
  const plan = finishPlan(draft, chillsOf(draft));
  const lines = [...moldsOf(plan), ...toolsFor(plan), ...countedOf(plan, system)];
  return [...new Set(lines)].map((what) => ({ value: `${casting.id} ${what}`, name: what }));
}

/** What is used up in pieces; sticks and gloves are among the tools. */
function countedOf(plan: CastingPlan, system: UnitSystem): readonly string[] {
  return suppliesOf(plan)
    .filter(({ kind }) => kind !== 'stick' && kind !== 'gloves')
    .map((supply) => `${supply.count} × ${supplyName(supply, system).toLowerCase()}`);
}

/** What is melted in the course of a plan, each bowl by itself. */
export function weighedOut({ bowls }: Pick<OccasionPlan, 'bowls'>, system: UnitSystem): readonly Option<string>[] {
  return bowls.flatMap((bowl, i) =>
    isMelted(bowl) ? [{ value: `bowl ${i}`, name: `${text(bowl.kg, 'mass', system)} of ${bowl.name}, chopped` }] : [],
  );
}

/** As many of each mold as the fullest round takes. */
function moldsOf({ casting, batch, parts }: CastingPlan): readonly string[] {
  return casting.molds.flatMap((mold) => {
    const wanted = Math.max(
      0,
      ...parts
        .filter(({ part }) => part.moldId === mold.id)
        .map(({ part, cavities }) =>
          Math.ceil((batch.byPart.find(({ partId }) => partId === part.id)?.perRound ?? 0) / cavities),
        ),
    );
    return wanted === 0 ? [] : [`${wanted} × ${mold.name}, washed, dry, and as warm as the room`];
  });
}
