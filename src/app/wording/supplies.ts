import type { Supply, SupplyKind } from '../../core/plan/supplies';
import type { UnitSystem } from '../../core/quantity/units';
import { text } from './format';

const WORDS: Readonly<Record<SupplyKind, readonly [one: string, more: string]>> = {
  stick: ['stick', 'sticks'],
  liner: ['paper liner', 'paper liners'],
  bag: ['bag', 'bags'],
  tie: ['tie', 'ties'],
  box: ['box', 'boxes'],
  tag: ['tag', 'tags'],
  gloves: ['pair of gloves', 'pairs of gloves'],
};

/** "24 sticks, 4 mm thick, 25 mm of each inside". */
export function supplyText({ kind, count, stick }: Supply, system: UnitSystem): string {
  const [one, more] = WORDS[kind];
  const size = stick
    ? `, ${text(stick.thickM, 'length', system)} thick, ${text(stick.insideM, 'length', system)} of each inside`
    : '';
  return `${count} ${count === 1 ? one : more}${size}`;
}

/** What a job takes in pieces, as a sentence; empty where it takes nothing so. */
export function suppliesText(supplies: readonly Supply[], system: UnitSystem): string {
  return supplies.length > 0
    ? `Besides, counted in pieces: ${supplies.map((supply) => supplyText(supply, system)).join('; ')}.`
    : '';
}
