import { CHOCOLATE_MATTER, UNSEEDED, type ChocolateKind, type SettingChocolate } from '../matter/chocolate';

/**
 * Set fraction that the growth of the seed makes for, 0 to 1, linear from `fromC` down over `spanK`.
 * Linear in temperature is linear in enthalpy, since specific and latent heat are constant over the interval.
 */
export function setFractionAt(temperatureC: number, fromC: number, spanK: number): number {
  const share = (fromC - temperatureC) / spanK;
  return share <= 0 ? 0 : share >= 1 ? 1 : share;
}

/**
 * What sets beyond the growth of the seed, slowly, toward a stable share that falls as it gets warmer. Crystals grow in proportion to how
 * far they are below where they melt.
 */
export interface SlowSetting {
  /** Part of what is left that sets in a second, for each kelvin below `fromC`. */
  readonly perSecondK: number;
  readonly fromC: number;
  /** Stable share of the fat, 0 to 1, from 0 °C in steps of `1 / STEPS_PER_K`. */
  readonly stable: Float64Array;
}

const WARMEST_C = 40;
const STEPS_PER_K = 4;

/** Stable share at a temperature, straight between the entries of its table. */
export function stableAt(stable: Float64Array, temperatureC: number): number {
  const at = temperatureC * STEPS_PER_K;
  if (at <= 0) return stable[0];
  const k = Math.floor(at);
  if (k >= stable.length - 1) return stable[stable.length - 1];
  return stable[k] + (at - k) * (stable[k + 1] - stable[k]);
}

/** How a chocolate sets: what grows at once, with its lag, and what follows slowly. */
export interface SettingLaw {
  readonly setFromC: number;
  readonly setToC: number;
  readonly lagS: number;
  readonly slow: SlowSetting;
}

type Setting = Pick<SettingChocolate, 'kind' | 'unseeded'>;

/** The law of a kind, in temper as long as it is not said to be without seed. */
export function settingLaw({ kind, unseeded = false }: Setting): SettingLaw {
  return unseeded ? WITHOUT_SEED[kind] : WITH_SEED[kind];
}

/** Share of the fat, 0 to 1, that sets at a temperature in the end: what grows at once, or what is stable, if that is more. */
export function setsInTheEnd(chocolate: Setting, temperatureC: number): number {
  const { setFromC, setToC, slow } = settingLaw(chocolate);
  return Math.max(setFractionAt(temperatureC, setFromC, setFromC - setToC), stableAt(slow.stable, temperatureC));
}

/** What is added to a set fraction within `seconds` by slow setting alone, at one temperature; never less than nothing, since what has set stays. */
export function slowGain(
  { perSecondK, fromC, stable }: SlowSetting,
  temperatureC: number,
  set: number,
  seconds: number,
): number {
  if (temperatureC >= fromC) return 0;
  const left = stableAt(stable, temperatureC) - set;
  if (left <= 0) return 0;
  // Implicit Euler: right to first order, and never further than there is to go.
  const way = seconds * perSecondK * (fromC - temperatureC);
  return (left * way) / (1 + way);
}

function tableOf(points: readonly (readonly [number, number])[]): Float64Array {
  return Float64Array.from({ length: WARMEST_C * STEPS_PER_K + 1 }, (_, i) => {
    const c = i / STEPS_PER_K;
    const next = points.findIndex(([at]) => at > c);
    if (next === 0) return points[0][1];
    if (next < 0) return points[points.length - 1][1];
    const [[fromC, from], [toC, to]] = [points[next - 1], points[next]];
    return from + ((to - from) * (c - fromC)) / (toC - fromC);
  });
}

/** The room in which a kind's slow setting is told, °C. */
const TOLD_AT_C = 20;

function slowOf(kind: ChocolateKind): SlowSetting {
  const { setFromC: fromC, slowSettingS, stableFat } = CHOCOLATE_MATTER[kind];
  return { perSecondK: 1 / (slowSettingS * (fromC - TOLD_AT_C)), fromC, stable: tableOf(stableFat) };
}

function withSeed(kind: ChocolateKind): SettingLaw {
  const { setFromC, setToC, settingLagS: lagS } = CHOCOLATE_MATTER[kind];
  return { setFromC, setToC, lagS, slow: slowOf(kind) };
}

function withoutSeed(kind: ChocolateKind): SettingLaw {
  const { setFromC, setToC, lagS, slow } = WITH_SEED[kind];
  const { lowerK, stableLowerK, slower } = UNSEEDED;
  const lower = CHOCOLATE_MATTER[kind].stableFat.map(([c, share]) => [c - stableLowerK, share] as const);
  return {
    setFromC: setFromC - lowerK,
    setToC: setToC - lowerK,
    lagS: lagS * slower,
    slow: { perSecondK: slow.perSecondK / slower, fromC: slow.fromC - lowerK, stable: tableOf(lower) },
  };
}

type Laws = Readonly<Record<ChocolateKind, SettingLaw>>;
const WITH_SEED: Laws = {
  dark: withSeed('dark'),
  milk: withSeed('milk'),
  white: withSeed('white'),
  compound: withSeed('compound'),
};
/** Coating is the same either way. */
const WITHOUT_SEED: Laws = {
  dark: withoutSeed('dark'),
  milk: withoutSeed('milk'),
  white: withoutSeed('white'),
  compound: WITH_SEED.compound,
};
