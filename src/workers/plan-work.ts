import type { Making } from '../core/plan/making';
import { remedyEffects, type RemedyEffects } from '../core/plan/remedy-effect';
import { workOut, workOutRange, type Worked } from '../core/plan/worked';
import type { Casting } from '../core/record/casting';
import type { Simulated } from '../core/shell/simulated';

/** What the plan worker does, one thing at a time. */
export interface PlanWork {
  /** The shell as planned and its chill; some tens of milliseconds. */
  work(making: Making, from: Worked | undefined): Worked;
  /** The same with the likely range from fifteen runs; undefined where it was stopped. */
  range(making: Making, simulated: Simulated): Promise<Worked | undefined>;
  /** Stops a range that is under way: something newer waits. */
  stop(): void;
  /** What each note's remedy would change. */
  effects(casting: Casting): RemedyEffects;
}

/** The worker's work, apart from the worker, so that it can be tried without one. */
export function planWork(): PlanWork {
  let run = 0;
  return {
    work: (making, from) => workOut(making, from),
    async range(making, simulated) {
      const mine = ++run;
      const steps = workOutRange(making, simulated);
      for (;;) {
        const { done, value } = steps.next();
        if (done) return value;
        // A turn for messages between two runs.
        await new Promise((resolve) => setTimeout(resolve));
        if (mine !== run) return undefined;
      }
    },
    stop: () => void run++,
    effects: (casting) => remedyEffects(casting),
  };
}
