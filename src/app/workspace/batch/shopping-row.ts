import type { UnitSystem } from '../../../core/quantity/units';
import type { ShoppingLine } from '../../state/shopping-list';
import { text } from '../../wording/format';

/** A line of the shopping list as it is written. */
export interface ShoppingRow {
  readonly name: string;
  readonly wanted: string;
  readonly there: string;
  readonly buy: string;
  readonly price: string;
}

/** What of something is wanted, what is there, what to buy and for how much. */
export function shoppingRow(line: ShoppingLine, currency: string, system: UnitSystem): ShoppingRow {
  const { name, neededKg, stockKg } = line;
  return {
    name,
    wanted: text(neededKg, 'mass', system),
    there: stockKg === undefined ? 'not kept' : text(stockKg, 'mass', system),
    buy: buying(line, system),
    price: price(line, currency),
  };
}

function buying({ shopping, packKg, neededKg, stockKg = 0 }: ShoppingLine, system: UnitSystem): string {
  if (!shopping || packKg === undefined)
    return neededKg > stockKg ? text(neededKg - stockKg, 'mass', system) : 'nothing';
  return shopping.packs === 0 ? 'nothing' : `${shopping.packs} × ${text(packKg, 'mass', system)}`;
}

function price({ shopping, packPrice }: ShoppingLine, currency: string): string {
  if (shopping?.cost === undefined) return '';
  if (packPrice === 0) return 'free';
  return shopping.cost === 0 ? '' : `${currency} ${shopping.cost.toFixed(2)}`;
}
