/** One kind of part as the rounds see it, in the order of the work. */
export interface RoundPart {
  readonly moldId: string;
  readonly cavityId: string;
  /** Cavities of its kind on one mold, and molds at hand. */
  readonly perMold: number;
  readonly moldsAtHand: number;
  /** Parts to cast. */
  readonly parts: number;
}

/** Rounds that are alike: how many, from which on, and how many of each part every one of them casts. */
export interface RoundRun {
  readonly from: number;
  readonly count: number;
  readonly cast: readonly number[];
}

interface Placed extends RoundPart {
  /** Fills of a mold before its first and after its last, among all fills of that kind of cavity. */
  readonly startFill: number;
  readonly endFill: number;
}

/**
 * How many rounds it takes, and what each casts: a mold takes one part in its cavities of a kind at a time, different kinds of cavity on
 * one sheet are filled together, and all molds at hand go through a round side by side. Rounds that are alike are told as a run, so that
 * thousands cost no more than a few.
 */
export function castRounds(parts: readonly RoundPart[]): {
  readonly rounds: number;
  readonly runs: readonly RoundRun[];
  readonly roundsOf: readonly number[];
} {
  const filled = new Map<string, number>();
  const placed = parts.map((part): Placed => {
    const key = JSON.stringify([part.moldId, part.cavityId]);
    const startFill = filled.get(key) ?? 0;
    const endFill = startFill + Math.ceil(part.parts / part.perMold);
    filled.set(key, endFill);
    return { ...part, startFill, endFill };
  });
  const lastRound = ({ endFill, moldsAtHand }: Placed): number => Math.ceil(endFill / moldsAtHand);
  const rounds = Math.max(0, ...placed.map(lastRound));
  // Where nothing is cast, that is told as one run of nothing.
  const breaks = new Set([0, Math.max(1, rounds)]);
  for (const part of placed) {
    const { moldsAtHand } = part;
    const first = Math.floor(part.startFill / moldsAtHand);
    for (const at of [first, first + 1, lastRound(part) - 1, lastRound(part)])
      if (at > 0 && at < rounds) breaks.add(at);
  }
  const ends = [...breaks].sort((a, b) => a - b);
  const runs: RoundRun[] = [];
  for (const [i, from] of ends.slice(0, -1).entries()) {
    const cast = placed.map((part) => castBy(part, from + 1) - castBy(part, from));
    const before = runs[runs.length - 1];
    const count = ends[i + 1] - from;
    if (before && before.cast.every((n, k) => n === cast[k]))
      runs[runs.length - 1] = { ...before, count: before.count + count };
    else runs.push({ from, count, cast });
  }
  return {
    rounds,
    runs,
    roundsOf: placed.map((part) => lastRound(part) - Math.floor(part.startFill / part.moldsAtHand)),
  };
}

/** Parts of a kind cast in the first so many rounds. */
function castBy({ startFill, perMold, moldsAtHand, parts }: Placed, rounds: number): number {
  return Math.min(parts, Math.max(0, (rounds * moldsAtHand - startFill) * perMold));
}
