import type { Supply } from '../../core/plan/supplies';
import { SUPPLIES, type SupplyKind } from '../../core/record/choices';
import type { UnitSystem } from '../../core/quantity/units';
import { capital, text } from './format';

const NAMES: Readonly<Record<SupplyKind, string>> = {
  stick: 'sticks',
  liner: 'paper liners',
  bag: 'bags',
  tie: 'ties',
  box: 'boxes',
  tag: 'tags',
  gloves: 'pairs of gloves',
};

export const SUPPLY_OPTIONS = SUPPLIES.map((value) => ({ value, name: NAMES[value] }));

/** "Sticks, 4 mm thick, 25 mm of each inside". */
export function supplyName({ kind, stick }: Pick<Supply, 'kind' | 'stick'>, system: UnitSystem): string {
  const size = stick
    ? `, ${text(stick.thickM, 'length', system)} thick, ${text(stick.insideM, 'length', system)} of each inside`
    : '';
  return `${capital(NAMES[kind])}${size}`;
}
