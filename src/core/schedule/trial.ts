import type { Network } from './network';
import { networkOf, spansOf, type Spans } from './orders';
import { randoms } from '../quantity/randoms';
import { Removal } from './removal';
import { Sequence } from './sequence';
import type { Starts, Workload } from './workload';

/** What searches try orders on: a workload's network, its occupations, and the small exact search, all with the same random numbers. */
export class Trial {
  readonly spans: Spans;
  readonly end: number;
  readonly sequence: Sequence;
  readonly removal: Removal;
  readonly random: () => number;
  private readonly network: Network;
  private readonly base: ReturnType<Network['mark']>;

  constructor(
    readonly workload: Workload,
    seed: number,
  ) {
    const { network, end } = networkOf(workload);
    this.network = network;
    this.end = end;
    this.spans = spansOf(workload);
    this.random = randoms(seed);
    this.removal = new Removal(workload, this.spans, this.random);
    this.sequence = new Sequence(network, this.spans, this.random);
    network.settle();
    this.base = network.mark();
  }

  /** The network as the lags alone make it, without any order. */
  anew(): Network {
    this.network.backTo(this.base);
    return this.network;
  }

  /** Everything as early as what is in the network leaves it. */
  get starts(): Starts {
    return Array.from(this.network.early.subarray(0, this.end));
  }

  /** When all of it is over, by what is in the network, s. */
  get endS(): number {
    return this.network.early[this.end];
  }
}
