import type { Dimension } from './answer';
import { UNITS, fromSi, type Unit, type UnitSystem } from './units';

/** The unit a bare number is read in and a value is shown in, by system. */
export function displayUnit(dimension: Dimension, system: UnitSystem): Unit | undefined {
  const us = system === 'us';
  switch (dimension) {
    case 'length':
      return us ? UNITS.inch : UNITS.millimetre;
    case 'mass':
      return us ? UNITS.ounce : UNITS.gram;
    case 'volume':
      return us ? UNITS.tablespoon : UNITS.millilitre;
    case 'temperature':
      return us ? UNITS.fahrenheit : UNITS.celsius;
    case 'duration':
      return UNITS.second;
    case 'share':
      return UNITS.percent;
    case 'density':
      return UNITS.gramPerMillilitre;
    case 'power':
      return UNITS.watt;
    case 'yieldStress':
      return UNITS.pascal;
    case 'viscosity':
      return UNITS.pascalSecond;
    case 'ratio':
      return UNITS.plain;
    case 'count':
      return UNITS.piece;
    default:
      return undefined;
  }
}

/**
 * Rounds to a number of significant figures without scientific notation: 0.01254 to two is "0.013".
 * Whole numbers keep all their digits before the point ("1260", not "1300").
 */
export function significant(value: number, figures: number): string {
  if (!Number.isFinite(value)) return '?';
  if (value === 0) return '0';
  const before = Math.floor(Math.log10(Math.abs(value))) + 1;
  return value.toFixed(Math.max(0, Math.min(6, figures - before)));
}

/**
 * Writes an SI value as an editable text in its display unit ("64 mm", "2.5 in"), precise enough that
 * reading it back lands on the same rounded value where its thousandfold makes no sense. Trailing zeros are dropped.
 */
export function editableText(si: number, dimension: Dimension, system: UnitSystem): string {
  const unit = displayUnit(dimension, system);
  if (!unit) return String(si);
  return textIn(si, unit);
}

/** Writes an SI value in a given unit, with up to four significant figures and no trailing zeros. */
export function textIn(si: number, unit: Unit): string {
  const shown = fromSi(si, unit);
  const rounded = Number(shown.toPrecision(Math.abs(shown) >= 1000 ? 6 : 4));
  return unit.symbol ? `${rounded} ${unit.symbol}` : String(rounded);
}
