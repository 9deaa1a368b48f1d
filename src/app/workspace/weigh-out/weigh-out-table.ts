import { workOrder } from '../../../core/plan/batch-input';
import { castsOf } from '../../../core/plan/sorts';
import { onScale, scaleStepKg } from '../../../core/quantity/on-scale';
import type { UnitSystem } from '../../../core/quantity/units';
import { chocolateOf, meltOf } from '../../../core/record/references';
import { weighedName } from '../../wording/coats';
import { closingWords } from '../../wording/closing';
import { variantPrefix } from '../../wording/inside';
import type { CastingPlan } from '../../../core/plan/plan-types';

/** What a line of a weigh-out goes into. */
export type WeighOutUse =
  'parts' | 'painting' | 'dipping' | 'closing' | 'finishing' | 'back' | 'drips' | 'stuck' | 'sum';

/** One line of a weigh-out; amounts in kg, undefined where a column does not apply. */
export interface WeighOutRow {
  readonly name: string;
  readonly use: WeighOutUse;
  readonly perPartKg: number | undefined;
  readonly perRoundKg: number | undefined;
  readonly jobKg: number;
}

/** The weigh-out of one melt, rounded to what a scale shows; each column adds up to its last line. */
export interface WeighOutTable {
  readonly meltId: string;
  readonly chocolate: string;
  readonly partName: string;
  /** Most parts that one round casts with it. */
  readonly perRound: number;
  /** Step that the columns are rounded to, kg. */
  readonly stepKg: number;
  readonly rows: readonly WeighOutRow[];
}

/** Turns a plan into the tables that the screen, the printed sheet and the files show alike. */
export function weighOutTables(plan: CastingPlan, system: UnitSystem): WeighOutTable[] {
  return plan.batch.melts.map((melt): WeighOutTable => {
    const coats = coatLines(plan, melt.meltId);
    const further = furtherLines(plan, melt);
    const round = (lines: readonly WeighOutRow[]): number =>
      lines.reduce((sum, { perRoundKg = 0 }) => sum + perRoundKg, 0);
    const tools = {
      use: 'stuck' as const,
      name: 'Bowl and tools',
      perPartKg: undefined,
      perRoundKg: melt.perRound.value - round([...coats, ...further]),
      jobKg: melt.stuck.value,
    };
    const stepKg = scaleStepKg(melt.melted.value, system);
    return {
      meltId: melt.meltId,
      chocolate: chocolateOf(plan.casting, meltOf(plan.casting, melt.meltId)).name,
      partName: plan.parts.length === 1 && plan.part.perPiece === 2 ? 'half' : 'part',
      perRound: Math.max(...plan.batch.byPart.map(({ perRound }) => perRound)),
      stepKg,
      rows: addedUp([...coats, ...further, tools], stepKg),
    };
  });
}

/** What goes elsewhere than into coats, where there is any: painted in, closing, finishing, back into the pot, off the mold. */
function furtherLines(plan: CastingPlan, melt: CastingPlan['batch']['melts'][number]): WeighOutRow[] {
  const line = (use: WeighOutUse, name: string, perRoundKg: number, jobKg: number): WeighOutRow => ({
    use,
    name,
    perPartKg: undefined,
    perRoundKg,
    jobKg,
  });
  return [
    line('painting', 'Painted in first', melt.paintingPerRoundKg, melt.painting.value),
    line('dipping', 'Dipping', melt.dippingPerRoundKg, melt.dipping.value),
    line(
      'closing',
      plan.closure ? closingWords(plan.closure.kind).mass : '',
      melt.closingPerRoundKg,
      melt.closing.value,
    ),
    line('finishing', 'Finishing', melt.finishingPerRoundKg, melt.finishing.value),
    line(
      'back',
      melt.mixed ? 'Pool, comes back streaked' : 'Pool, comes back',
      melt.comesBack.value,
      melt.comesBack.value,
    ),
    line(
      'drips',
      plan.parts.every(({ coat }) => coat.body) ? 'Squeezed out' : 'Drips off',
      dripsInRound(plan, melt.meltId),
      melt.drips.value,
    ),
  ].filter(({ jobKg }) => jobKg > 0.00005);
}

function coatLines(plan: CastingPlan, meltId: string): WeighOutRow[] {
  return workOrder(plan.parts).flatMap(({ part }) =>
    castsWeighed(plan, part.id).flatMap(({ made: { coat, coatsMade }, names, parts, perRound }) => {
      const which = variantPrefix(names) + (plan.parts.length > 1 ? `${part.name}, ` : '');
      return coat.coats.flatMap((made, i): WeighOutRow[] => {
        const share = shareOf(coatsMade[i].shares, meltId);
        if (share === 0 || parts === 0) return [];
        const name = weighedName(made.choice.method, i, coat.coats.length);
        const perPartKg = share * made.mass.value;
        return [
          {
            use: 'parts',
            name: which ? which + name.toLowerCase() : name,
            perPartKg,
            perRoundKg: perPartKg * perRound,
            jobKg: perPartKg * parts,
          },
        ];
      });
    }),
  );
}

/** Those of a part that are cast alike, with how many they are in all and in the fullest round. */
function castsWeighed(plan: CastingPlan, partId: string) {
  const { casts = [], perRound = 0 } = plan.batch.byPart.find((one) => one.partId === partId) ?? {};
  return castsOf(plan, partId, plan.casting.pieces).map((cast, i) => ({
    ...cast,
    parts: casts[i] ?? 0,
    perRound: Math.min(perRound, casts[i] ?? 0),
  }));
}

/** What drips off in the fullest round, kg. */
function dripsInRound(plan: CastingPlan, meltId: string): number {
  return plan.parts
    .flatMap(({ part }) => castsWeighed(plan, part.id))
    .reduce(
      (sum, { made: { coat, coatsMade }, perRound }) =>
        sum +
        perRound *
          coat.coats.reduce((all, { feet }, i) => all + (feet?.value ?? 0) * shareOf(coatsMade[i].shares, meltId), 0),
      0,
    );
}

function shareOf(shares: readonly { readonly meltId: string; readonly share: number }[], meltId: string): number {
  const all = shares.reduce((sum, { share }) => sum + share, 0);
  return shares.reduce((sum, one) => sum + (one.meltId === meltId ? one.share / all : 0), 0);
}

/** Lines rounded to what a scale shows, with their sum last. */
function addedUp(lines: readonly WeighOutRow[], step: number): WeighOutRow[] {
  const job = onScale(
    lines.map(({ jobKg }) => jobKg),
    step,
  );
  // What comes back is the same in a round and in the job.
  const same = new Map(lines.flatMap(({ use }, i) => (use === 'back' ? [[i, job[i]] as const] : [])));
  const round = onScale(
    lines.map(({ perRoundKg = 0 }) => perRoundKg),
    step,
    same,
  );
  const sum = (of: readonly number[]): number => of.reduce((all, one) => all + one, 0);
  return [
    // What the scale does not show is no line.
    ...lines
      .map((line, i) => ({ ...line, jobKg: job[i], perRoundKg: line.perRoundKg === undefined ? undefined : round[i] }))
      .filter(({ jobKg, perRoundKg = 0 }) => jobKg + perRoundKg > 0),
    { name: 'Melt', use: 'sum', perPartKg: undefined, perRoundKg: sum(round), jobKg: sum(job) },
  ];
}
