import { usedStays } from '../schedule/attend';
import type { Starts, Workload } from '../schedule/workload';
import { WORKED_FROM_S } from './bowls';
import { BREAK_AFTER_S } from './breaks';
import type { OccasionWork } from './occasion-work';

/** What does not fit into a stay counts so many times. */
const OVER_COUNTS = 10;

/**
 * Work over several stays, as if bowls lasted for ever, and what becomes of it where each bowl is melted in every stay in which it is worked from.
 * All of it told backward, see `reversed`.
 * @param cut by how much each stay of the workload is taken for shorter than it is, s
 * @param breakS the break that is had in each long stay, s
 */
export class MeltsAnew {
  private readonly melts: readonly {
    readonly melt: number;
    readonly seconds: number;
    readonly uses: readonly number[];
  }[];

  constructor(
    private readonly lasting: OccasionWork,
    private readonly workload: Workload,
    private readonly cut: readonly number[],
    private readonly breakS: number,
  ) {
    const { tasks, lags } = lasting.work;
    this.melts = tasks.flatMap(({ bowl }, melt) =>
      bowl === undefined
        ? []
        : [
            {
              melt,
              seconds: Math.round(lasting.bowls[bowl].meltedS),
              uses: lags.filter(({ from }) => from === melt).map(({ to }) => to),
            },
          ],
    );
  }

  /** What the melts and breaks take that a timetable asks for besides, s; what of them finds no room in their stay counts more. */
  costS(starts: Starts): number {
    return this.stays(starts).reduce((sum, { besidesS, overS }) => sum + besidesS + OVER_COUNTS * overS, 0);
  }

  /** By how much each stay is to be taken for shorter, s, so that there is room for what is melted anew in it, and its break; for none where there is. */
  cutBy(starts: Starts): readonly number[] {
    const stays = this.stays(starts);
    const fits = stays.every(({ overS }) => overS === 0);
    return stays.map(({ besidesS, overS }, k) => (fits ? 0 : overS > 0 ? besidesS : this.cut[k]));
  }

  /** Of each stay: what melting anew and its break take, and what of that finds no room, s. */
  private stays(starts: Starts): readonly { readonly besidesS: number; readonly overS: number }[] {
    const { stays } = this.workload;
    const melting = stays.map(() => 0);
    for (const { melt, uses, seconds } of this.melts)
      for (const stay of this.staysMelted(starts, melt, uses)) melting[stay] += seconds;
    return usedStays(this.workload, starts).map((used, k) => {
      const usedS = used ? used.to - used.from : 0;
      const besidesS = melting[k] + (usedS + melting[k] > BREAK_AFTER_S ? this.breakS : 0);
      const room = stays[k].to - stays[k].from + this.cut[k] - usedS;
      return { besidesS, overS: Math.max(0, besidesS - room) };
    });
  }

  /** The work with these melts, the stay of what is worked from a bowl, and a timetable's starts with the melts at the beginning of their stays. */
  made(starts: Starts): {
    readonly made: OccasionWork;
    readonly stayOf: (task: number) => number | undefined;
    readonly starts: Starts;
  } {
    const work = this.lasting.work.copy();
    const withMelts = [...starts];
    const ends = usedStays(this.workload, starts).map((used) => used?.to ?? 0);
    for (const { melt, seconds, uses } of this.melts)
      for (const stay of this.staysMelted(starts, melt, uses)) {
        // What would stand from an earlier stay until its first use is not melted twice, but later.
        const first = stay === this.firstStay(starts, uses);
        const made = first ? melt : work.add({ ...work.tasks[melt], seconds, again: true });
        for (const use of uses.filter((one) => this.stayOf(starts, one) === stay))
          work.lagAnew(melt, made, use, { least: 0, most: WORKED_FROM_S });
        // Told backward it is done last.
        withMelts[made] = ends[stay];
        ends[stay] += work.tasks[made].seconds;
      }
    // What is melted first is not melted for ever either.
    for (const { melt, uses } of this.melts)
      for (const use of uses)
        if (work.lags.some(({ from, to }) => from === melt && to === use))
          work.lagAnew(melt, melt, use, { least: 0, most: WORKED_FROM_S });
    const last = this.workload.stays.length - 1;
    const stayOf = (task: number): number | undefined =>
      task < starts.length && work.tasks[task].handsOn && work.tasks[task].bowl === undefined
        ? last - this.stayOf(starts, task)
        : undefined;
    return { made: { work, bowls: this.lasting.bowls }, stayOf, starts: withMelts };
  }

  /** Stays in which it is worked from a bowl, but the one in which that is melted already. */
  private staysMelted(starts: Starts, melt: number, uses: readonly number[]): readonly number[] {
    const own = this.stayOf(starts, melt);
    return [...new Set(uses.map((use) => this.stayOf(starts, use)))].filter((stay) => stay !== own);
  }

  /** The first stay in which it is worked from a bowl; told backward that is the last. */
  private firstStay(starts: Starts, uses: readonly number[]): number {
    return Math.max(...uses.map((use) => this.stayOf(starts, use)));
  }

  private stayOf(starts: Starts, task: number): number {
    return this.workload.stays.findIndex(({ from, to }) => starts[task] >= from && starts[task] < to);
  }
}
