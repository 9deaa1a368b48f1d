import type { PantryChocolate } from '../../core/record/chocolate';
import type { UnitSystem } from '../../core/quantity/units';
import { text } from './format';

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
