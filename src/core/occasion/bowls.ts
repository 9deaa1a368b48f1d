import type { Casting } from '../record/casting';
import type { CastingPlan } from '../plan/plan-types';
import { meltInput, stuckOf } from '../plan/melts';
import { meltStation } from '../melt/melt';
import { chocolateOf, meltOf, mixedOf, type MeltPart } from '../record/references';
import type { MeltingWay } from '../record/choices';
import type { Work } from './work';

/** A melt of a casting. */
export interface MeltUse {
  readonly castingId: string;
  readonly meltId: string;
  /** What stays in its pieces, kg; the rest sticks to bowl and tools, or is left. */
  readonly usedKg: number;
  /** Some of it comes back from the molds. */
  readonly tipsOut: boolean;
}

/** Chocolate that is melted once for all the castings that want it, at the temperature that they all want. */
export interface Bowl {
  readonly uses: readonly MeltUse[];
  readonly name: string;
  readonly colour: string;
  readonly workingC: number;
  readonly way: MeltingWay;
  /** What is melted, kg: what the castings use, and the largest pool that one of them tips out, as it comes back for the next. */
  readonly kg: number;
  /** Of that what the castings use, and what is left when they are through with it, kg; the rest sticks to bowl and tools. */
  readonly usedKg: number;
  readonly leftKg: number;
  /** What it would come to were it melted for each casting by itself, kg. */
  readonly apartKg: number;
  /** Until it is ready, s. */
  readonly seconds: number;
  /** The same where it is melted by itself, as it is when it is melted again. */
  readonly meltedS: number;
  /** What it is of: chocolates and colours, by their share of its weight. */
  readonly mix: Mix;
  /** Where it is made of what is left of another bowl. */
  readonly from?: MadeFrom;
}

/** Whether it is melted, and not made of what another leaves; that is melted, too, where it is warmed again. */
export const isMelted = ({ from }: Pick<Bowl, 'from'>, again = false): boolean => again || !from;

/** What is in it, by weight. */
export type Mix = readonly Pick<MeltPart, 'component' | 'name' | 'share'>[];

/** So much of another bowl, and what is stirred in, kg. */
export interface MadeFrom {
  /** Its place among the bowls. */
  readonly bowl: number;
  readonly kg: number;
  readonly added: readonly { readonly component: string; readonly name: string; readonly kg: number }[];
}

/** From a bowl that is warmed between uses it is worked for so long, s, at most. Working rule. */
export const WORKED_FROM_S = 8 * 3600;
/** It is ready no longer than this before its first coat, beside what is melted for that as well, s. Working rule. */
const STANDS_S = 600;

/**
 * The bowls of some plans: one for all melts that are alike, or one for each melt.
 * @param fromLeft castings that are cast, where one is shared, from what the others leave of it
 */
export function bowlsOf(
  plans: readonly CastingPlan[],
  shared: boolean,
  fromLeft: readonly string[] = [],
): readonly Bowl[] {
  const groups = new Map<string, { readonly plan: CastingPlan; readonly meltId: string }[]>();
  for (const plan of plans)
    for (const { meltId } of plan.batch.melts) {
      const key = shared ? alikeKey(plan.casting, meltId) : `${plan.casting.id} ${meltId}`;
      groups.set(key, [...(groups.get(key) ?? []), { plan, meltId }]);
    }
  return [...groups.values()].map((uses) => bowlOf(uses, fromLeft));
}

function bowlOf(
  uses: readonly { readonly plan: CastingPlan; readonly meltId: string }[],
  fromLeft: readonly string[],
): Bowl {
  const [{ plan, meltId }] = uses;
  const { casting } = plan;
  const melt = meltOf(casting, meltId);
  const { name, colour } = chocolateOf(casting, melt);
  const amounts = uses.map((use) => amountsOf(use.plan, use.meltId));
  const sum = (of: (one: (typeof amounts)[number]) => number): number => amounts.reduce((all, one) => all + of(one), 0);
  const apartKg = sum(({ meltedKg }) => meltedKg);
  const usedKg = sum((one) => one.usedKg);
  const backKg = Math.max(...amounts.map((one) => one.backKg));
  // Cast last, it takes what the others have tipped out, as far as that goes.
  const late = sum((one) => (fromLeft.includes(one.castingId) && one.backKg === 0 ? one.usedKg : 0));
  const leftKg = late < usedKg ? Math.max(0, backKg - late) : backKg;
  const pooled = usedKg + leftKg;
  // What sticks is of the bowl and its tools, and so of one.
  const kg = uses.length === 1 ? apartKg : Math.min(apartKg, pooled + stuckOf(casting, meltId, pooled));
  const readyS = meltStation(meltInput(casting, meltId, kg)).ready.value;
  return {
    uses: uses.map((use, i) => ({
      castingId: use.plan.casting.id,
      meltId: use.meltId,
      usedKg: amounts[i].usedKg,
      tipsOut: amounts[i].backKg > 0,
    })),
    name,
    colour,
    workingC: melt.workingC,
    way: melt.way,
    kg,
    usedKg,
    leftKg,
    apartKg,
    mix: mixedOf(casting, melt),
    seconds: readyS,
    meltedS: readyS,
  };
}

function amountsOf({ casting, batch }: CastingPlan, meltId: string) {
  const own = batch.melts.find((melt) => melt.meltId === meltId);
  const [meltedKg, backKg, stuckKg] = [own?.melted.value ?? 0, own?.comesBack.value ?? 0, own?.stuck.value ?? 0];
  return { castingId: casting.id, meltedKg, backKg, usedKg: meltedKg - backKg - stuckKg };
}

/** What makes two melts one: chocolate or tint, temperature, temper, and how thin they are. */
function alikeKey(casting: Casting, meltId: string): string {
  const { source, workingC, school, thinning } = meltOf(casting, meltId);
  const of = source.kind === 'tint' ? `tint ${source.tintId}` : source.chocolateId;
  return [of, workingC.toFixed(1), school, thinning ? `${thinning.fat} ${thinning.share}` : ''].join(' ');
}

/** The bowls as they are melted and worked from in the course of the work. @param lastS for so long at most, s */
export class BowlTurns {
  /** The task that makes each bowl, and of each casting's the last one and when it first takes from it. */
  private readonly made = new Map<number, number>();
  private readonly own = new Map<string, { readonly task: number; readonly firstS: number }>();

  constructor(
    private readonly work: Work,
    private readonly bowls: readonly Bowl[],
    private readonly lastS = WORKED_FROM_S,
  ) {}

  /** A task works from some of its casting's melts: they are made before it, and anew where the first of it is too long ago. */
  use(castingId: string, meltIds: readonly string[], task: number): void {
    const fresh: { readonly made: number; readonly alone: boolean }[] = [];
    for (const meltId of meltIds) {
      const bowl = this.bowls.findIndex(({ uses }) =>
        uses.some((use) => use.castingId === castingId && use.meltId === meltId),
      );
      const key = `${castingId} ${meltId}`;
      const before = this.own.get(key);
      if (before && this.work.earliest[task] - before.firstS <= this.lastS) {
        this.work.lag(before.task, task, { least: 0, most: this.most });
        continue;
      }
      const made = before
        ? this.melt(bowl, castingId, true)
        : (this.made.get(bowl) ?? this.melt(bowl, castingId, false));
      if (!before) this.made.set(bowl, made);
      // What is melted for one casting alone is worked from at once.
      fresh.push({ made, alone: this.bowls[bowl].uses.length === 1 || before !== undefined });
      this.own.set(key, { task: made, firstS: this.work.earliest[task] });
    }
    const all = fresh.reduce((sum, { made }) => sum + this.work.tasks[made].seconds, 0);
    for (const { made, alone } of fresh) {
      const others = all - this.work.tasks[made].seconds;
      this.work.lag(made, task, { least: 0, most: alone ? STANDS_S + Math.ceil(others) : this.most });
    }
  }

  private get most(): number | undefined {
    return Number.isFinite(this.lastS) ? this.lastS : undefined;
  }

  private melt(bowl: number, castingId: string, again: boolean): number {
    const { uses, seconds, meltedS } = this.bowls[bowl];
    return this.work.add({
      castingId: uses.length === 1 || again ? castingId : undefined,
      kind: 'melt',
      handsOn: true,
      seconds: again ? meltedS : seconds,
      meltIds: uses.map(({ meltId }) => meltId),
      bowl,
      ...(again ? { again } : {}),
    });
  }
}
