import type { PantryChocolate } from '../../core/record/chocolate';
import type { UnitSystem } from '../../core/quantity/units';
import { text } from './format';

/** What the eye stops at, and what the hands do with it. Common practice, no source. */
export const CARAMEL_TEXTS: readonly string[] = [
  'Others go at full power: for 225 g, 30, 30 and 15 to 20 s until it runs, then about 17 bursts of 15 s, stirred after each.',
  'Stir to the bottom after every burst: it goes as thick as butter, then grainy, then as brown as peanut butter. Stop there.',
  'Let it cool right down before it is used; a little coconut oil thins what stays stiff.',
  'It is sticky, sets sooner and is more brittle: make the sides twice as thick.',
  'What is left over is poured out, left to set and broken up: it keeps. Real white chocolate made so wants tempering again.',
];

/** A wafer of coating, kg: flat drops as they are sold for melting. Common practice, no source. */
const WAFER_KG = 0.00095;
/** So few are counted out rather than weighed. */
const COUNTED = 24;

/** How many wafers of coating a small amount is, to count it out; empty for more. */
export function wafersText(kg: number): string {
  const wafers = Math.round(kg / WAFER_KG);
  if (wafers < 1 || wafers > COUNTED) return '';
  return wafers === 1 ? ', about a wafer' : `, about ${wafers} wafers`;
}

/** Beside a price that is not known. */
export const UNPRICED_TEXT = 'Not said yet: no cost has it.';

/** "250 g for € 4.90". */
export function packText(
  { packKg, packPrice }: Pick<PantryChocolate, 'packKg' | 'packPrice'>,
  currency: string,
  system: UnitSystem,
): string {
  const pack = `${text(packKg, 'mass', system)} a pack`;
  return packPrice === undefined ? pack : `${pack}, ${currency} ${packPrice.toFixed(2)}`;
}

const MONTH_MS = 30 * 86_400_000;

/** When it is best before, and whether that is past or near. */
export function bestBeforeText(
  bestBefore: string | undefined,
  now: Date,
): { readonly text: string; readonly past: boolean } {
  if (!bestBefore) return { text: '', past: false };
  const day = new Date(`${bestBefore}T12:00:00`);
  const written = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'short', year: 'numeric' }).format(day);
  const left = day.getTime() - now.getTime();
  return left < 0
    ? { text: `Best before ${written}, which has passed`, past: true }
    : { text: `Best before ${written}${left < MONTH_MS ? ', soon' : ''}`, past: left < MONTH_MS };
}
