import { layersOf } from '../../core/plan/needs';
import { variantPrefix } from '../wording/inside';
import { weighOutTables } from '../workspace/weigh-out/weigh-out-table';
import type { CastingPlan } from '../../core/plan/plan-types';

/** The weigh-out as CSV, grams throughout; one line an amount. The CSV package loads only when it is asked for. */
export async function weighOutCsv(plan: CastingPlan): Promise<string> {
  const { default: papaparse } = await import('papaparse');
  const grams = (kg: number | undefined): string => (kg === undefined ? '' : (kg * 1000).toFixed(1));
  const chocolate = weighOutTables(plan, 'metric').flatMap((table) =>
    table.rows.map((row) => [table.chocolate, row.name, grams(row.perPartKg), grams(row.perRoundKg), grams(row.jobKg)]),
  );
  const inside = layersOf(plan).map(({ layer: { choice, mass }, names, count }) => [
    choice.filling.name,
    `${variantPrefix(names)}Filling, each piece`,
    grams(mass.value),
    '',
    grams(mass.value * count),
  ]);
  const mixed = plan.fillings.flatMap(({ fillingId, components }) =>
    components.length > 1
      ? components.map(({ name, kg }) => [
          name,
          `in ${plan.casting.fillings.find(({ id }) => id === fillingId)?.name ?? ''}`,
          '',
          '',
          grams(kg),
        ])
      : [],
  );
  return papaparse.unparse(
    { fields: ['what', 'for', 'each, g', 'a round, g', 'the job, g'], data: [...chocolate, ...inside, ...mixed] },
    { escapeFormulae: true },
  );
}
