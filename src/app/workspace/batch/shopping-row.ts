import { betterPack } from '../../../core/batch/packs';
import type { UnitSystem } from '../../../core/quantity/units';
import type { ShoppingLine } from '../../state/shopping-list';
import { text } from '../../wording/format';
import { listed } from '../../wording/names';
import { supplyName } from '../../wording/supplies';

/** A line of the shopping list as it is written. */
export interface ShoppingRow {
  readonly name: string;
  readonly wanted: string;
  readonly there: string;
  readonly buy: string;
  readonly price: string;
  /** A pack that would be better bought. */
  readonly tip: string;
}

/** What it is called: what is counted by its kind, all else by its own name. */
export function lineName({ of }: Pick<ShoppingLine, 'of'>, system: UnitSystem): string {
  return 'name' in of ? of.name : supplyName(of, system);
}

/** An amount of it: "73 g", or "24". */
export function lineAmount({ counted }: Pick<ShoppingLine, 'counted'>, amount: number, system: UnitSystem): string {
  return counted ? String(amount) : text(amount, 'mass', system);
}

/** What of something is wanted, what is there, what to buy and for how much. */
export function shoppingRow(line: ShoppingLine, currency: string, system: UnitSystem): ShoppingRow {
  const { needed, stock } = line;
  return {
    name: lineName(line, system),
    wanted: lineAmount(line, needed, system),
    there: stock === undefined ? 'not kept' : lineAmount(line, stock, system),
    buy: buying(line, system),
    price: price(line, currency),
    tip: tip(line, system),
  };
}

/** Of chocolate: "a tube of 20 g would do", "or 2 × 454 g". */
function tip({ of, needed, stock = 0, pack }: ShoppingLine, system: UnitSystem): string {
  const better = of.kind === 'chocolate' ? betterPack(needed - stock, pack) : undefined;
  if (!better) return '';
  const packed = text(better.packKg, 'mass', system);
  return better.of === 'tube' ? `a tube of ${packed} would do` : `or ${better.packs} × ${packed}`;
}

function buying(line: ShoppingLine, system: UnitSystem): string {
  const { shopping, pack, needed, stock = 0 } = line;
  if (!shopping || pack === undefined) return needed > stock ? lineAmount(line, needed - stock, system) : 'nothing';
  return shopping.packs === 0 ? 'nothing' : `${shopping.packs} × ${lineAmount(line, pack, system)}`;
}

function price({ shopping, packPrice }: ShoppingLine, currency: string): string {
  if (shopping?.cost === undefined) return '';
  if (packPrice === 0) return 'free';
  return shopping.cost === 0 ? '' : `${currency} ${shopping.cost.toFixed(2)}`;
}

/** What is not in the cost, as it has no price; empty where all of it has. */
export function withoutText(unpriced: readonly ShoppingLine[], system: UnitSystem): string {
  return unpriced.length > 0
    ? `Without ${listed(unpriced.map((line) => lineName(line, system)))}: no price in the pantry.`
    : '';
}
