/**
 * Coloured cocoa butter, painted or sprayed: what it is melted and strained at and used at, °C, how long it rests before it is cast on, s,
 * and how warm meanwhile, °C. Common practice, no source.
 */
export const COCOA_BUTTER_COLOUR = {
  meltC: 45,
  useC: 29,
  restFromS: 4 * 3600,
  restToS: 8 * 3600,
  restMostS: 24 * 3600,
  restFromC: 18,
  restToC: 22,
} as const;

/** Melted cocoa butter, and dust as it lies brushed on, kg/m³. From memory. */
export const COCOA_BUTTER_DENSITY = 900;
export const DUST_DENSITY = 400;
