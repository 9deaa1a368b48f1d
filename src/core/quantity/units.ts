import type { Dimension } from './answer';

/** A unit people type or read: SI value = typed * `factor` + `offset`. */
export interface Unit {
  readonly symbol: string;
  readonly dimension: Dimension;
  readonly factor: number;
  readonly offset: number;
  /** Spellings accepted when typed, lower case, without a trailing full stop. */
  readonly spellings: readonly string[];
}

function unit(dimension: Dimension, symbol: string, factor: number, spellings: string, offset = 0): Unit {
  return { symbol, dimension, factor, offset, spellings: spellings.split(' ') };
}

/**
 * Units understood in any field. Inch, ounce and pound are exact by definition
 * (international yard and pound agreement, 1959). Kitchen spoons and cups are US customary:
 * teaspoon 4.92892 mL, tablespoon 3 teaspoons, cup 48 teaspoons (NIST Handbook 44, appendix C).
 */
export const UNITS = {
  millimetre: unit('length', 'mm', 1e-3, 'mm millimetre millimetres millimeter millimeters'),
  centimetre: unit('length', 'cm', 1e-2, 'cm centimetre centimetres centimeter centimeters'),
  metre: unit('length', 'm', 1, 'm metre metres meter meters'),
  inch: unit('length', 'in', 0.0254, "in inch inches \" ″ ''"),
  gram: unit('mass', 'g', 1e-3, 'g gr gram grams gramme grammes'),
  kilogram: unit('mass', 'kg', 1, 'kg kilo kilos kilogram kilograms'),
  ounce: unit('mass', 'oz', 0.028349523125, 'oz ounce ounces'),
  pound: unit('mass', 'lb', 0.45359237, 'lb lbs pound pounds'),
  millilitre: unit('volume', 'mL', 1e-6, 'ml millilitre millilitres milliliter milliliters cc'),
  centilitre: unit('volume', 'cL', 1e-5, 'cl centilitre centilitres'),
  litre: unit('volume', 'L', 1e-3, 'l litre litres liter liters'),
  teaspoon: unit('volume', 'tsp', 4.92892159375e-6, 'tsp tsps teaspoon teaspoons'),
  tablespoon: unit('volume', 'tbsp', 14.78676478125e-6, 'tbsp tbsps tbs tablespoon tablespoons'),
  cup: unit('volume', 'cup', 236.5882365e-6, 'cup cups'),
  fluidOunce: unit('volume', 'fl oz', 29.5735295625e-6, 'floz fl-oz'),
  celsius: unit('temperature', '°C', 1, 'c °c celsius degc'),
  fahrenheit: unit('temperature', '°F', 5 / 9, 'f °f fahrenheit degf', -160 / 9),
  second: unit('duration', 's', 1, 's sec secs second seconds'),
  minute: unit('duration', 'min', 60, 'min mins minute minutes'),
  hour: unit('duration', 'h', 3600, 'h hr hrs hour hours'),
  watt: unit('power', 'W', 1, 'w watt watts'),
  kilowatt: unit('power', 'kW', 1000, 'kw kilowatt kilowatts'),
  gramPerMillilitre: unit('density', 'g/mL', 1000, 'g/ml g/cc g/cm3 kg/l'),
  gramPerLitre: unit('density', 'g/L', 1, 'g/l kg/m3'),
  pascal: unit('yieldStress', 'Pa', 1, 'pa pascal pascals'),
  pascalSecond: unit('viscosity', 'Pa·s', 1, 'pas pa·s pa*s'),
  percent: unit('share', '%', 0.01, '% percent'),
  plain: unit('ratio', '', 1, 'times'),
  piece: unit('count', '', 1, 'x pc pcs piece pieces'),
} as const;

export type UnitName = keyof typeof UNITS;

/** Which system the person reads; typing accepts both always. */
export type UnitSystem = 'metric' | 'us';

/** Finds a unit by a typed spelling, upper or lower case; undefined when it is not one. */
export function unitSpelled(spelling: string): Unit | undefined {
  const wanted = spelling.trim().toLowerCase().replace(/\.$/, '').replace(/\s+/g, '');
  return Object.values(UNITS).find((u: Unit) => u.spellings.includes(wanted));
}

/** Converts a value in `u` to SI. */
export function toSi(value: number, u: Unit): number {
  return value * u.factor + u.offset;
}

/** Converts an SI value to `u`. */
export function fromSi(si: number, u: Unit): number {
  return (si - u.offset) / u.factor;
}
