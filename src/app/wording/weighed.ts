import type { WeighedOutcome } from '../../core/study/weighed-shell';
import type { UnitSystem } from '../../core/quantity/units';
import { text } from './format';

/** What a weighed shell says, before and after. */
export function weighedText(outcome: WeighedOutcome, kg: number, system: UnitSystem): string {
  const mass = (value: number): string => text(value, 'mass', system);
  if (!outcome.ok) {
    const { lowKg, highKg } = outcome.problem;
    return `No chocolate makes a shell of ${mass(kg)} this way: ${mass(lowKg)} to ${mass(highKg)} can be. Look whether one part alone was on the scale, and whether coats, dwell and drain are as they were.`;
  }
  const { by, factor, within, before, after } = outcome.found;
  const rims = `Rim ${text(before.rimM, 'length', system)} before, ${text(after.rimM, 'length', system)} after; a part ${mass(before.massKg)} before, ${mass(after.massKg)} after.`;
  const size = factor > 1 ? factor : 1 / factor;
  if (size < 1.03) return `As computed; taken over, the likely ranges narrow. ${rims}`;
  if (by === 'dose')
    return `Your spoon gives ${size.toFixed(2)} times ${factor > 1 ? 'more' : 'less'} than told. ${rims}`;
  return `It runs ${size.toFixed(2)} times ${factor > 1 ? 'stiffer' : 'thinner'} than told, give or take a factor of ${within.toFixed(2)}: the likely ranges narrow with it. ${rims}`;
}
