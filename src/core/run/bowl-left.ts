import { bowlInUse, type MeltInput } from '../melt/melt';
import { heatedPot, potHeat, potTemperatureC, secondsToReach, type Pot } from '../melt/pot';
import { isMelted } from '../occasion/bowls';
import { meltInput } from '../plan/melts';
import type { Run } from './run-record';
import type { Reading, RunState } from './run-state';

/** A bowl as it stands now. */
export interface BowlNow {
  readonly bowl: number;
  /** What is left in it, by the last weighing and by what has been cast since, and what is still wanted of it, kg. */
  readonly leftKg: number;
  readonly wantedKg: number;
  /** By the last reading, or as it was melted, and by how it cools since, °C. */
  readonly c: number;
  /** The reading it goes by; undefined where there was none since it was melted. */
  readonly read: Reading | undefined;
  /** When it was melted or measured last, s since 1970 UTC. */
  readonly stirredS: number;
  /** Where it has become a class thicker, °C, and how long until then, s; 0 where it has, Infinity where the room keeps it warm. */
  readonly thickC: number;
  readonly workableS: number;
  /** Warming it back to where it is worked from, s. */
  readonly warmS: number;
  /** When it was melted last, s since 1970 UTC, and how it cools from here on. */
  readonly meltedS: number;
  readonly pot: Pot;
}

/** Less than this is no bowl to follow, kg. */
const NEARLY_NONE_KG = 0.002;

/** What each task takes of each bowl, kg, by its place in the run: together what its castings use. */
export function takenOf({ tasks, bowls }: Pick<Run, 'tasks' | 'bowls'>): readonly ReadonlyMap<number, number>[] {
  const taken = tasks.map(() => new Map<number, number>());
  const add = (task: number, bowl: number, kg: number): void => {
    taken[task].set(bowl, (taken[task].get(bowl) ?? 0) + kg);
  };
  for (const [bowl, { uses }] of bowls.entries())
    for (const { castingId, meltId, usedKg } of uses) {
      const own = tasks.flatMap((task, i) =>
        task.kind !== 'melt' && task.castingId === castingId && task.meltIds?.includes(meltId) ? [i] : [],
      );
      const weights = own.map((i) => chocolateKg(tasks[i]));
      // Where it is not told of each how much it takes, all take alike.
      const known = weights.every((kg) => kg !== undefined);
      const sum = weights.reduce<number>((all, kg) => all + (kg ?? 0), 0);
      for (const [k, i] of own.entries())
        add(i, bowl, known && sum > 0 ? (usedKg * (weights[k] ?? 0)) / sum : usedKg / own.length);
    }
  for (const [bowl, { from }] of bowls.entries()) {
    const made = tasks.findIndex((task) => task.bowl === bowl && !isMelted(bowls[bowl], task.again));
    if (from && made >= 0) add(made, from.bowl, from.kg);
  }
  return taken;
}

/** What a task takes of chocolate, kg; undefined where that is told only for each. Tipping out takes none. */
function chocolateKg({ kind, amounts, count }: Run['tasks'][number]): number | undefined {
  if (amounts.some(({ names }) => names)) return undefined;
  if (amounts.length === 0) return kind === 'coat' && count === undefined ? 0 : undefined;
  const own = amounts.filter(({ fillingId }) => fillingId === undefined);
  return own.length > 0 ? own.reduce((sum, { count: times, eachKg }) => sum + times * eachKg, 0) : undefined;
}

/** The bowls that are melted and not used up, as they stand now. */
export function bowlsNow(run: Run, state: RunState, nowS: number): readonly BowlNow[] {
  const taken = takenOf(run);
  return run.bowls.flatMap((_, bowl) => {
    const now = bowlNow(run, state, taken, bowl, nowS);
    return now ? [now] : [];
  });
}

function bowlNow(
  run: Run,
  { doneS, temperature, weight }: RunState,
  taken: readonly ReadonlyMap<number, number>[],
  bowl: number,
  nowS: number,
): BowlNow | undefined {
  const { tasks, bowls } = run;
  const melted = Math.max(...tasks.flatMap((task) => (task.bowl === bowl ? (doneS.get(task.key) ?? []) : [])));
  if (!Number.isFinite(melted)) return undefined;
  const wantedKg = sumOf(taken, bowl, (i) => !doneS.has(tasks[i].key));
  const leftAt = (atS: number): number => leftIn(run, { doneS, weight }, taken, bowl, atS);
  // All that was noted is over, even where the clock that is looked at is a little behind it.
  const leftKg = leftAt(Infinity);
  if (wantedKg <= 0) return undefined;
  const read = temperature.get(bowl);
  const from = read && read.atS >= melted ? read : undefined;
  const begun = from ?? { atS: melted, value: bowls[bowl].workingC };
  const input = inputOf(run, bowl, bowls[bowl].kg);
  if (!input) return undefined;
  const meanKg = Math.max(NEARLY_NONE_KG, (leftAt(begun.atS) + leftKg) / 2);
  const { pot } = bowlInUse(input, meanKg);
  const c = potTemperatureC(pot, heatedPot(pot, potHeat(pot, begun.value), 0, Math.max(0, nowS - begun.atS)));
  const still = bowlInUse(input, Math.max(NEARLY_NONE_KG, leftKg));
  return {
    bowl,
    leftKg,
    wantedKg,
    c,
    read: from,
    stirredS: begun.atS,
    thickC: still.thickC,
    workableS: c > still.thickC ? secondsToReach(still.pot, c, still.thickC, 0) : 0,
    warmS: c < input.workingC ? secondsToReach(still.warmed, c, input.workingC, still.watts) : 0,
    meltedS: melted,
    pot: still.pot,
  };
}

/** What is in a bowl at a moment, kg: what was weighed last, or was melted, less what has been cast since. */
function leftIn(
  { tasks, bowls }: Run,
  { doneS, weight }: Pick<RunState, 'doneS' | 'weight'>,
  taken: readonly ReadonlyMap<number, number>[],
  bowl: number,
  atS: number,
): number {
  const weighed = weight.get(bowl);
  const since = weighed && weighed.atS <= atS ? weighed : { atS: -Infinity, value: bowls[bowl].kg };
  const gone = sumOf(taken, bowl, (i) => {
    const done = doneS.get(tasks[i].key);
    return done !== undefined && done > since.atS && done <= atS;
  });
  return Math.max(0, since.value - gone);
}

/** What is left over in each bowl that was melted, kg, what sticks to it included. */
export function leftOver(run: Run, state: RunState): readonly { readonly bowl: number; readonly kg: number }[] {
  const taken = takenOf(run);
  const melted = (bowl: number): boolean => run.tasks.some((task) => task.bowl === bowl && state.doneS.has(task.key));
  return run.bowls.flatMap((_, bowl) =>
    melted(bowl) ? [{ bowl, kg: leftIn(run, state, taken, bowl, Infinity) }] : [],
  );
}

/**
 * What a run has used up of each chocolate, kg by its id: what was melted of it, less what is left over in a bowl of nothing else. What was coloured is of no use for
 * another job, and counts as used.
 */
export function usedUp(run: Run, state: RunState): ReadonlyMap<string, number> {
  const used = new Map<string, number>();
  const left = new Map(leftOver(run, state).map(({ bowl, kg }) => [bowl, kg]));
  for (const [i, bowl] of run.bowls.entries()) {
    if (!left.has(i) || !isMelted(bowl)) continue;
    const alone = bowl.mix.length === 1;
    for (const { component, share } of bowl.mix)
      used.set(
        component,
        (used.get(component) ?? 0) + bowl.kg * share - (alone ? Math.min(bowl.kg, left.get(i) ?? 0) : 0),
      );
  }
  return used;
}

function sumOf(taken: readonly ReadonlyMap<number, number>[], bowl: number, of: (task: number) => boolean): number {
  return taken.reduce((sum, own, i) => sum + (of(i) ? (own.get(bowl) ?? 0) : 0), 0);
}

/** What the melt of a bowl is computed from with so much of it, kg; undefined where its casting has it no more. */
export function inputOf({ castings, bowls }: Run, bowl: number, kg: number): MeltInput | undefined {
  const [use] = bowls[bowl].uses;
  const casting = castings.find(({ id }) => id === use?.castingId);
  return casting?.melts.some(({ id }) => id === use.meltId) ? meltInput(casting, use.meltId, kg) : undefined;
}
