import type { ChillInput } from '../core/chill/chill-input';
import type { StayUntil } from '../core/chill/set-coats';
import type { Belief } from '../core/learn/belief';
import { SET_PARAMETERS } from '../core/learn/parameters';
import { alongOf, readySeconds } from '../core/learn/set-along';
import { learnedFromSetting, type SetReading } from '../core/learn/set-evidence';
import { draftPlan } from '../core/plan/draft';
import { FOUR_FIFTHS } from '../core/quantity/normal';
import { randoms } from '../core/quantity/randoms';
import type { Learned } from '../core/record/kitchen';
import { demoCastings } from '../data/demo';

/** A wait of some casting for something to set. */
interface Case {
  readonly input: ChillInput;
  readonly coat: number;
  readonly until: StayUntil;
  /** Without any lesson. */
  readonly readyS: number;
  readonly along: SetReading['along'];
}

/** What a made-up cook does when the bell goes: looks so often, looks before so often, and notes at random so often. */
export interface CookWays {
  readonly looks: number;
  readonly early: number;
  readonly strays: number;
}

/** What a cook's runs have taught, after some of them. */
interface CookTaught {
  /** By parameter, whether the range of four fifths holds the truth. */
  readonly holds: readonly boolean[];
  /** How far all waits are planned from what they truly take, as the mean size of the logarithm of a factor. */
  readonly off: number;
  /** How sure the belief is beside the prior, as standard deviations. */
  readonly sure: readonly number[];
}

/** The same of many cooks. */
export interface CooksTaught {
  /** How far waits are planned from the truth with nothing learned; the middle of the cooks. */
  readonly before: number;
  readonly after: readonly {
    readonly runs: number;
    /** Share of all ranges of four fifths that hold the truth. */
    readonly holds: number;
    readonly off: number;
    /** The sum over all cooks, beside that with nothing learned. */
    readonly ratio: number;
    /** The middle of all parameters' standard deviations beside the prior's. */
    readonly sure: number;
  }[];
}

const AFTER_RUNS = [1, 3, 10];

/** What is known of so many cooks, one like the other in their ways, after 1, 3 and 10 runs. */
export function madeCooks(count: number, ways: CookWays): CooksTaught {
  const cooks = Array.from({ length: count }, (_, k) => new MadeCook(1000 + k, ways));
  const told = cooks.map((cook) => ({ before: cook.offWith(SET_PARAMETERS.map(() => 0)), taught: cook.taught() }));
  const sum = (values: readonly number[]): number => values.reduce((all, value) => all + value, 0);
  return {
    before: middle(told.map(({ before }) => before)),
    after: AFTER_RUNS.map((runs, i) => {
      const at = told.map(({ taught }) => taught[i]);
      const holds = at.flatMap((one) => one.holds);
      return {
        runs,
        holds: holds.filter(Boolean).length / holds.length,
        off: middle(at.map(({ off }) => off)),
        ratio: sum(at.map(({ off }) => off)) / sum(told.map(({ before }) => before)),
        sure: middle(at.flatMap(({ sure }) => sure)),
      };
    }),
  };
}

const middle = (values: readonly number[]): number => [...values].sort((a, b) => a - b)[values.length >> 1];

let known: readonly (readonly Case[])[] | undefined;

/** Every wait of the demo's castings to the next coat and out of the mold; worked out once for all cooks. */
function casesOf(): readonly (readonly Case[])[] {
  known ??= demoCastings(new Date('2026-10-12T08:00:00Z'))
    .map((casting) =>
      draftPlan(casting).parts.flatMap(({ chillInput: input }) =>
        input.coats.flatMap((_, coat): Case[] => {
          const until = coat < input.coats.length - 1 ? 'touch' : 'unmold';
          const readyS = readySeconds(input, coat, until);
          return Number.isFinite(readyS) && readyS > 60
            ? [{ input, coat, until, readyS, along: alongOf(input, coat, until) }]
            : [];
        }),
      ),
    )
    .filter((cases) => cases.length > 0);
  return known;
}

const learnedBy = (values: readonly number[]): Learned =>
  Object.fromEntries(
    SET_PARAMETERS.map(({ key }, i) => [key, { factor: Math.exp(values[i]), within: 1.2, readings: 1 }]),
  );

const readyIn = ({ input, coat, until }: Case, values: readonly number[]): number =>
  readySeconds({ ...input, kitchen: { ...input.kitchen, learned: learnedBy(values) } }, coat, until);

const JUDGED = 0.15;
/** A wait that is made longer is made so by this, s. */
const LONGER_S = 300;
/** Each casting is cast in so many rounds. */
const ROUNDS = 2;

/** A made-up kitchen with its cook, whose true values nobody knows, and who casts the demo's castings in any order. */
class MadeCook {
  private readonly random: () => number;
  private readonly truth: readonly number[];
  private readonly readings: SetReading[] = [];
  private readonly cases = casesOf();
  private readonly truly = new Map<Case, number>();

  constructor(
    seed: number,
    private readonly ways: CookWays,
  ) {
    this.random = randoms(seed);
    this.truth = SET_PARAMETERS.map(({ spread }) => Math.log(spread) * this.normal());
  }

  /** What is known after each number of runs. */
  taught(): readonly CookTaught[] {
    let belief: Belief = learnedFromSetting([]);
    const taught: CookTaught[] = [];
    for (let run = 1; run <= Math.max(...AFTER_RUNS); run++) {
      for (const one of this.pick(this.cases)) for (let round = 0; round < ROUNDS; round++) this.wait(one, belief.mean);
      belief = learnedFromSetting(this.readings);
      if (AFTER_RUNS.includes(run)) taught.push(this.judged(belief));
    }
    return taught;
  }

  /** How far all waits are planned from the truth by these values. */
  offWith(values: readonly number[]): number {
    const all = this.cases.flat();
    return all.reduce((sum, one) => sum + Math.abs(Math.log(readyIn(one, values) / this.trueOf(one))), 0) / all.length;
  }

  private wait(one: Case, believed: readonly number[]): void {
    const dueS = Math.ceil(readyIn(one, believed) / 60 - 0.05) * 60;
    const { readyS, along } = one;
    const note = (deed: SetReading['deed'], softS: number, byS: number): void => {
      this.readings.push({ readyS, along, deed, softS, byS });
    };
    if (this.random() < this.ways.strays) {
      const at = dueS * 2 * this.random();
      if (at < dueS * 0.9) note('early', 0, at);
      else if (this.random() < 0.7) note('wentOn', 0, at);
      else note('waited', at, at + LONGER_S);
      return;
    }
    const trulyS = this.trueOf(one) * Math.exp(JUDGED * this.normal());
    const lookS = dueS * (0.5 + 0.4 * this.random());
    if (this.random() < this.ways.early && trulyS <= lookS) {
      note('early', 0, lookS);
    } else if (this.random() >= this.ways.looks || trulyS <= dueS) {
      note('wentOn', 0, dueS);
    } else {
      let softS = dueS;
      while (trulyS > softS + LONGER_S) softS += LONGER_S;
      note('waited', softS, softS + LONGER_S);
    }
  }

  private judged({ mean, covariance }: Belief): CookTaught {
    const sd = covariance.map((row, i) => Math.sqrt(row[i]));
    return {
      holds: mean.map((value, i) => Math.abs(this.truth[i] - value) <= FOUR_FIFTHS * sd[i]),
      off: this.offWith(mean),
      sure: sd.map((value, i) => value / Math.log(SET_PARAMETERS[i].spread)),
    };
  }

  private trueOf(one: Case): number {
    const known = this.truly.get(one) ?? readyIn(one, this.truth);
    this.truly.set(one, known);
    return known;
  }

  private pick<T>(all: readonly T[]): T {
    return all[Math.floor(this.random() * all.length)];
  }

  /** By Box and Muller. */
  private normal(): number {
    return Math.sqrt(-2 * Math.log(1 - this.random())) * Math.cos(2 * Math.PI * this.random());
  }
}
