import { WORKING_RULES } from './working-rules';

export const CHOCOLATE_KINDS = ['dark', 'milk', 'white', 'compound'] as const;
export type ChocolateKind = (typeof CHOCOLATE_KINDS)[number];

export const FLUIDITY_CLASSES = ['veryThick', 'thick', 'medium', 'fluid', 'veryFluid'] as const;
export type FluidityClass = (typeof FLUIDITY_CLASSES)[number];

/** Up to this share of coating in real chocolate, or the other way about, softens it little enough that some do it. Common practice, no source. */
export const SMALL_STREAK = 0.15;

/**
 * Chocolate without seed sets by fats that melt lower: the growth begins so much lower, lags and follows so many times as slowly, and what is
 * stable is that of so much lower, K. Coating needs no seed. From memory of the forms of cocoa butter (the fourth melts some 6 K below the fifth); the
 * factor is a working rule.
 */
export const UNSEEDED = { lowerK: 4, stableLowerK: 6, slower: 3 } as const;

/** A chocolate as it sets: its kind, how fat it is, and whether it was melted without seed. */
export interface SettingChocolate {
  readonly kind: ChocolateKind;
  readonly fatShare: number;
  readonly unseeded?: boolean | undefined;
}

/** Temperature-independent properties of one kind of chocolate, SI. */
export interface ChocolateMatter {
  /** Density melted, kg/m³. From memory, within the range of the confectionery literature. */
  readonly meltedDensity: number;
  /** Typical fat share of the whole, 0 to 1. From memory. */
  readonly fatShare: number;
  /**
   * In temper the seed grows at once, by equal shares of the fat for each kelvin from `setFromC`, a little below where stable crystals
   * melt, down to `setToC`, °C. Calibrated on practice.
   */
  readonly setFromC: number;
  readonly setToC: number;
  /** Temperature, °C, and share of the fat whose stable crystals are solid there, rising with temperature. From memory of published curves. */
  readonly stableFat: readonly (readonly [celsius: number, share: number])[];
  /** What has set begins to soften from here on, °C: the foot of the melting range. From memory. */
  readonly softensFromC: number;
  /** How far the growth of the seed lags the cooling, s, and how slowly the rest follows at 20 °C up to what is stable, s. Calibrated on practice. */
  readonly settingLagS: number;
  readonly slowSettingS: number;
  /** Melted to, and seeded down to (compound needs no seed), °C. Common practice, no source; the packet wins. */
  readonly meltToC: number;
  readonly seedToC: number;
  /** Working band and ceiling, °C. Common practice, no source; the packet wins. */
  readonly workFromC: number;
  readonly workToC: number;
  readonly ceilingC: number;
}

/** Cocoa butter in its stable form. */
const COCOA_BUTTER: ChocolateMatter['stableFat'] = [
  [10, 1],
  [15, 0.98],
  [20, 0.93],
  [25, 0.82],
  [27, 0.75],
  [30, 0.5],
  [32, 0.2],
  [33.5, 0],
];
/** Milk fat softens it: all of it a little lower. */
const COCOA_BUTTER_WITH_MILK = COCOA_BUTTER.map(([c, share]) => [c - 1.2, share] as const);
/** Fat of coatings, which melts by its own curve. */
const COATING_FAT: ChocolateMatter['stableFat'] = [
  [12, 1],
  [20, 0.95],
  [25, 0.8],
  [30, 0.4],
  [34, 0],
];

export const CHOCOLATE_MATTER: Readonly<Record<ChocolateKind, ChocolateMatter>> = {
  dark: {
    meltedDensity: 1260,
    fatShare: 0.4,
    setFromC: 32,
    setToC: 12,
    stableFat: COCOA_BUTTER,
    softensFromC: 30,
    settingLagS: 20,
    slowSettingS: 650,
    meltToC: 45,
    seedToC: 32,
    workFromC: 31,
    workToC: 32,
    ceilingC: 33,
  },
  milk: {
    meltedDensity: 1240,
    fatShare: 0.36,
    setFromC: 30.8,
    setToC: 10.8,
    stableFat: COCOA_BUTTER_WITH_MILK,
    softensFromC: 29,
    settingLagS: 20,
    slowSettingS: 650,
    meltToC: 45,
    seedToC: 32,
    workFromC: 29,
    workToC: 30,
    ceilingC: 31,
  },
  white: {
    meltedDensity: 1220,
    fatShare: 0.38,
    setFromC: 30.8,
    setToC: 10.8,
    stableFat: COCOA_BUTTER_WITH_MILK,
    softensFromC: 28.5,
    settingLagS: 20,
    slowSettingS: 650,
    meltToC: 45,
    seedToC: 32,
    workFromC: 28,
    workToC: 31,
    ceilingC: 32,
  },
  compound: {
    meltedDensity: 1250,
    fatShare: 0.32,
    setFromC: 32,
    setToC: 12,
    stableFat: COATING_FAT,
    softensFromC: 31,
    settingLagS: 24,
    slowSettingS: 440,
    meltToC: 38,
    seedToC: 34,
    workFromC: 34,
    workToC: 38,
    ceilingC: 40,
  },
};

/** Set chocolate is this much denser than melted. From memory. */
export const SET_DENSITY_FACTOR = 1.03;
/** Specific heat of chocolate, J/(kg K), and conductivity, W/(m K). From memory. */
export const CHOCOLATE_SPECIFIC_HEAT = 1650;
export const CHOCOLATE_CONDUCTIVITY = 0.24;
/** Latent heat of the fat, J/kg of fat. From memory. */
export const FAT_LATENT_HEAT = 157e3;

/** Flow of melted chocolate at one temperature, after Casson (ICA method 46). */
export interface Rheology {
  /** Yield stress, Pa. */
  readonly yieldPa: number;
  /** Plastic viscosity, Pa·s. */
  readonly viscosityPas: number;
}

/** Casson values at 40 °C by class. From memory, within the range of the confectionery literature. */
export const CASSON_AT_40: Readonly<Record<FluidityClass, Rheology>> = {
  veryThick: { yieldPa: 14, viscosityPas: 4 },
  thick: { yieldPa: 10, viscosityPas: 3 },
  medium: { yieldPa: 7, viscosityPas: 2.2 },
  fluid: { yieldPa: 4.5, viscosityPas: 1.5 },
  veryFluid: { yieldPa: 2.5, viscosityPas: 0.9 },
};

/** How a chocolate runs: a class, or its own Casson values at 40 °C as a data sheet or a drip test gives them. */
export type Fluidity = FluidityClass | Rheology;

/** Casson values at 40 °C, of a class or as they are. */
export function cassonAt40(fluidity: Fluidity): Rheology {
  return typeof fluidity === 'string' ? CASSON_AT_40[fluidity] : fluidity;
}

/** The class whose viscosity is nearest, by ratio. */
export function nearestClass(fluidity: Fluidity): FluidityClass {
  if (typeof fluidity === 'string') return fluidity;
  const away = (name: FluidityClass): number =>
    Math.abs(Math.log(CASSON_AT_40[name].viscosityPas / fluidity.viscosityPas));
  return FLUIDITY_CLASSES.reduce((best, name) => (away(name) < away(best) ? name : best));
}

/**
 * Casson yield stress and plastic viscosity of unset chocolate at a temperature.
 *
 * Working rule: both grow exponentially on cooling, viscosity by 3.5 % and yield stress by 3 % a kelvin.
 * @param fluidity the class, or the values at 40 °C
 * @param temperatureC 20 to 60 °C
 */
export function rheologyAt(fluidity: Fluidity, temperatureC: number): Rheology {
  const at40 = cassonAt40(fluidity);
  return {
    yieldPa: at40.yieldPa * yieldPerKelvin(temperatureC),
    viscosityPas: at40.viscosityPas * viscosityPerKelvin(temperatureC),
  };
}

/** Yield stress at a temperature over that at 40 °C: 3 % a kelvin. Working rule. */
export function yieldPerKelvin(temperatureC: number): number {
  return Math.exp(0.03 * (40 - temperatureC));
}

/** Plastic viscosity at a temperature over that at 40 °C: 3.5 % a kelvin. Working rule. */
export function viscosityPerKelvin(temperatureC: number): number {
  return Math.exp(0.035 * (40 - temperatureC));
}

/** The same chocolate made `factor` times stiffer in both Casson values. */
export function stiffened(flow: Rheology, factor: number): Rheology {
  return { yieldPa: flow.yieldPa * factor, viscosityPas: flow.viscosityPas * factor };
}

/** Latent heat of setting, J/kg of chocolate, from its fat share (0 to 1). */
export function latentHeat(fatShare: number): number {
  return FAT_LATENT_HEAT * fatShare;
}

/**
 * Film that stays put on a wall of the given slope, m: thinner than this it does not run (Casson yield).
 * @param slopeRadians the wall's slope, 0 at the pole (gives Infinity), π/2 at a vertical rim
 */
export function holdThicknessM(flow: Rheology, densityKgM3: number, slopeRadians: number): number {
  return flow.yieldPa / (densityKgM3 * WORKING_RULES.gravity * Math.sin(slopeRadians));
}
