import type { ChocolateKind } from './chocolate';

/** The temperatures a packet names, °C. */
export interface Bands {
  /** Melt to, so that no crystal is left. */
  readonly meltToC: number;
  /** Stir seed in down to; for compound, which needs none, the same as the lowest it is worked at. */
  readonly seedToC: number;
  readonly workFromC: number;
  readonly workToC: number;
  /** Never above, once it is in temper; for compound never above at all. */
  readonly ceilingC: number;
}

/** What is wrong with a set of bands: which two are out of order. */
export interface BandProblem {
  readonly lower: keyof Bands;
  readonly upper: keyof Bands;
}

/** How much further than `meltToC` real chocolate may be heated while it melts, K. Working rule; the packet wins. */
const MELT_MARGIN_K = 5;
/** Stirred on down to this before it is warmed to work, °C: one figure, or the kind's own; a little below the lowest working temperature at the most. Common practice, no source. */
const STIR_DOWN_TO_C = 29;
const STIR_DOWN_BY_KIND_C: Readonly<Record<ChocolateKind, number>> = {
  dark: 29,
  milk: 28.5,
  white: 27.5,
  compound: 29,
};
const BELOW_WORKING_K = 0.5;

/** The first pair of bands that is out of order, or undefined. Equal is in order, but for seed and melt. */
export function bandProblem(kind: ChocolateKind, bands: Bands): BandProblem | undefined {
  const ordered: (keyof Bands)[] = ['workFromC', 'workToC', 'ceilingC'];
  for (let i = 1; i < ordered.length; i++) {
    if (bands[ordered[i - 1]] > bands[ordered[i]]) return { lower: ordered[i - 1], upper: ordered[i] };
  }
  if (kind === 'compound')
    return bands.workFromC > bands.meltToC
      ? { lower: 'workFromC', upper: 'meltToC' }
      : bands.meltToC > bands.ceilingC
        ? { lower: 'meltToC', upper: 'ceilingC' }
        : undefined;
  if (bands.seedToC < bands.workFromC) return { lower: 'workFromC', upper: 'seedToC' };
  if (bands.seedToC >= bands.meltToC) return { lower: 'seedToC', upper: 'meltToC' };
  return bands.ceilingC > bands.meltToC ? { lower: 'ceilingC', upper: 'meltToC' } : undefined;
}

/** No spot is to pass this while it melts, °C: the packet's ceiling for compound, a little above `meltToC` for real chocolate. */
export function meltingCeilingC(kind: ChocolateKind, bands: Bands): number {
  return kind === 'compound' ? bands.ceilingC : bands.meltToC + MELT_MARGIN_K;
}

/** Where seeded chocolate is stirred down to before it is warmed to work, °C: to one figure, or to that of its `kind`. */
export function stirDownToC(bands: Bands, kind?: ChocolateKind): number {
  return Math.min(kind ? STIR_DOWN_BY_KIND_C[kind] : STIR_DOWN_TO_C, bands.workFromC - BELOW_WORKING_K);
}
