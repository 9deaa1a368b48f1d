import { expose } from 'comlink';
import { chillCasting } from '../core/chill/chill';
import type { ChillInput } from '../core/chill/chill-input';

const chillWorker = {
  /** The chill of a whole casting with ranges. */
  chill: (input: ChillInput) => chillCasting(input),
};

export type ChillWorker = typeof chillWorker;

expose(chillWorker);
