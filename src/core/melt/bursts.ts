import { heatedPot, potHeat, potTemperatureC, type Pot } from './pot';

/** One burst in the microwave, and the stir after it. */
export interface Burst {
  readonly seconds: number;
  /** Power setting, 0 to 1. */
  readonly power: number;
  /** The hottest spot before stirring, °C. */
  readonly hottestC: number;
  /** All of it once stirred, °C. */
  readonly afterC: number;
  /** Lumps are still there when the burst ends, and are stirred out. */
  readonly lumps: boolean;
}

export interface BurstInput {
  readonly pot: Pot;
  readonly startC: number;
  /** Where the last stir should end, °C. */
  readonly targetC: number;
  /** Whether the last ones may be as short as it takes; lumps are stirred out otherwise. */
  readonly toTheDegree: boolean;
  /** No spot is to pass this, °C. */
  readonly ceilingC: number;
  /** Heat that reaches the chocolate at full power, W. */
  readonly fullW: number;
  /** Power setting, 0 to 1. */
  readonly power: number;
  /** Near enough to where the last stir should end to stop, K; a kelvin where it is left out. */
  readonly closeK?: number;
  /** How much more than the mean the hottest spot takes up, as a share, and the coolest less. */
  readonly uneven: number;
}

export interface BurstPlan {
  readonly bursts: readonly Burst[];
  /** Heat held at the end, J. */
  readonly endHeatJ: number;
  /** It ends where it should; otherwise even the shortest burst would pass the ceiling, or there are too many. */
  readonly reached: boolean;
}

/** Lengths of a burst, s, longest first. Common practice, no source: 30 s at first, 10 to 15 s at the end. */
const LENGTHS = [30, 20, 15, 10, 5] as const;
const SHORTEST = [3] as const;
/** From this amount on a burst grows with it. Working rules. */
const FULL_LENGTH_KG = 0.5;
const LONGEST_S = 120;
/** Half power and less heats gently enough to begin with a minute. Common practice, no source. */
const GENTLE_POWER = 0.5;
const GENTLE_FACTOR = 2;
const MOST_BURSTS = 40;
/** Near enough to where it should end to stop, K, unless it is told. */
const CLOSE_K = 1;
/** Near enough to be called there where no burst is short enough any more, K. */
const ENOUGH_K = 2.5;

/**
 * Plans bursts with a stir after each: the longest that leaves no spot above the ceiling and does not go past the target.
 *
 * The bowl's middle takes more than its rim: the hottest spot is heated by `uneven` more than the mean, the coolest by as
 * much less; stirring evens it out. Each burst is the exact solution of the stirred pot. Working rule: what is uneven.
 */
export function planBursts(input: BurstInput): BurstPlan {
  const { pot, startC, targetC, closeK = CLOSE_K } = input;
  const bursts: Burst[] = [];
  let heat = potHeat(pot, startC);
  while (bursts.length < MOST_BURSTS && potTemperatureC(pot, heat) < targetC - closeK) {
    const next = longestBurst(input, heat);
    if (!next) break;
    bursts.push(next.burst);
    heat = next.heat;
  }
  return { bursts, endHeatJ: heat, reached: potTemperatureC(pot, heat) >= targetC - ENOUGH_K };
}

/** The longest burst that leaves no spot above the ceiling and does not go past the target, and the heat held after it; undefined where even the shortest does. */
export function longestBurst(
  input: Omit<BurstInput, 'startC'>,
  heat: number,
): { burst: Burst; heat: number } | undefined {
  const { pot, power, targetC, ceilingC } = input;
  const scale = Math.max(1, pot.kg / FULL_LENGTH_KG) * (power <= GENTLE_POWER ? GENTLE_FACTOR : 1);
  for (const length of input.toTheDegree ? [...LENGTHS, ...SHORTEST] : LENGTHS) {
    const seconds = length < 5 ? length : Math.min(LONGEST_S, Math.round((length * scale) / 5) * 5);
    const tried = burstOf(input, heat, seconds);
    if (tried.burst.hottestC <= ceilingC && tried.burst.afterC <= targetC) return tried;
  }
  return undefined;
}

function burstOf(
  { pot, fullW, power, uneven }: Omit<BurstInput, 'startC'>,
  heat: number,
  seconds: number,
): { burst: Burst; heat: number } {
  const after = heatedPot(pot, heat, fullW * power, seconds);
  const risen = after - heat;
  const coolestC = potTemperatureC(pot, heat + (1 - uneven) * risen);
  return {
    heat: after,
    burst: {
      seconds,
      power,
      hottestC: potTemperatureC(pot, heat + (1 + uneven) * risen),
      afterC: potTemperatureC(pot, after),
      lumps: coolestC < pot.chocolate.meltedFromC,
    },
  };
}
