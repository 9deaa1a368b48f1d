import type { Making } from '../core/plan/making';
import { remedyEffects, type RemedyEffects } from '../core/study/remedy-effect';
import { workOut, workOutRange, type Worked } from '../core/plan/worked';
import type { Casting } from '../core/record/casting';

/** What the plan worker does, one thing at a time; of a casting's makings there is one for each part. */
export interface PlanWork {
  /** The shells as planned and their chill; some tens of milliseconds each, nothing for one that has been worked out to the end. */
  work(makings: readonly Making[], from: readonly Worked[] | undefined): Worked[];
  /** The same with the likely range from fifteen runs each; undefined where it was stopped. */
  range(makings: readonly Making[], worked: readonly Worked[]): Promise<Worked[] | undefined>;
  /** Stops a range that is under way: something newer waits. */
  stop(): void;
  /** What each note's remedy would change. */
  effects(casting: Casting): RemedyEffects;
}

/** As many makings worked out to the end are kept as the parts of two castings. */
const KEPT = 24;

/** The worker's work, apart from the worker, so that it can be tried without one. */
export function planWork(): PlanWork {
  let run = 0;
  const ended = new Map<string, Worked>();
  const keep = (key: string, worked: Worked): void => {
    ended.delete(key);
    ended.set(key, worked);
    if (ended.size > KEPT) ended.delete([...ended.keys()][0]);
  };
  return {
    work: (makings, from) =>
      makings.map((making, i) => ended.get(JSON.stringify(making)) ?? workOut(making, from?.[i])),
    async range(makings, worked) {
      const mine = ++run;
      const all: Worked[] = [];
      for (const [i, making] of makings.entries()) {
        const key = JSON.stringify(making);
        const before = ended.get(key);
        if (before) {
          all.push(before);
          continue;
        }
        const steps = workOutRange(making, worked[i].simulated);
        for (let step = steps.next(); ; step = steps.next()) {
          if (step.done) {
            keep(key, step.value);
            all.push(step.value);
            break;
          }
          // A turn for messages between two runs.
          await new Promise((resolve) => setTimeout(resolve));
          if (mine !== run) return undefined;
        }
      }
      return all;
    },
    stop: () => void run++,
    effects: (casting) => remedyEffects(casting),
  };
}
