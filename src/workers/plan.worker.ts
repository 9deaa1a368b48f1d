import { expose } from 'comlink';
import { chillCasting } from '../core/chill/chill';
import type { ChillInput } from '../core/chill/chill-input';
import { remedyEffects } from '../core/plan/remedy-effect';
import type { Casting } from '../core/record/casting';

const planWorker = {
  /** The chill of a whole casting with ranges. */
  chill: (input: ChillInput) => chillCasting(input),
  /** What each note's remedy would change. */
  effects: (casting: Casting) => remedyEffects(casting),
};

export type PlanWorker = typeof planWorker;

expose(planWorker);
