import type { CastingPlan } from '../../../core/plan/plan';
import { weighedName } from '../../wording/coats';
import { chocolateOf, meltOf } from '../../../core/record/references';

/** One line of a weigh-out; amounts in kg, undefined where a column does not apply. */
export interface WeighOutRow {
  readonly name: string;
  readonly perPartKg: number | undefined;
  readonly perRoundKg: number | undefined;
  readonly jobKg: number;
  readonly sum: boolean;
}

/** The weigh-out of one melt; the job column adds up to what is melted. */
export interface WeighOutTable {
  readonly meltId: string;
  readonly chocolate: string;
  readonly partName: string;
  readonly rows: readonly WeighOutRow[];
}

/** Turns a plan into the tables that the screen, the printed sheet and the CSV file show alike. */
export function weighOutTables(plan: CastingPlan): WeighOutTable[] {
  const parts = plan.batch.parts.value;
  const perRound = Math.min(plan.batch.perRound, parts);
  return plan.batch.melts.map((melt) => {
    const coats = plan.coat.coats.flatMap((coat, i) =>
      plan.coatsMade[i].shares[0].meltId === melt.meltId
        ? [{ name: weighedName(coat.choice.method, i, plan.coat.coats.length), perPartKg: coat.mass.value, perRoundKg: coat.mass.value * perRound, jobKg: coat.mass.value * parts, sum: false }]
        : [],
    );
    const rows: WeighOutRow[] = [...coats];
    if (melt.comesBack.value > 0) rows.push({ name: 'Pool, comes back', perPartKg: undefined, perRoundKg: melt.comesBack.value, jobKg: melt.comesBack.value, sum: false });
    const coatsRound = coats.reduce((sum, row) => sum + row.perRoundKg, 0);
    rows.push({ name: 'Bowl and tools', perPartKg: undefined, perRoundKg: melt.perRound.value - coatsRound - melt.comesBack.value, jobKg: melt.stuck.value, sum: false });
    rows.push({ name: 'Melt', perPartKg: undefined, perRoundKg: melt.perRound.value, jobKg: melt.melted.value, sum: true });
    return { meltId: melt.meltId, chocolate: chocolateOf(plan.casting, meltOf(plan.casting, melt.meltId)).name, partName: plan.part.perPiece === 2 ? 'half' : 'part', rows };
  });
}
